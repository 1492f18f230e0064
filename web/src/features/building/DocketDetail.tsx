import { Link } from 'react-router';
import type { BuildingState, Derived, Edit } from '../../api/types';
import { Thoughts } from '../../document/Thoughts';

interface Props {
  entry: string;
  state: BuildingState;
  derived: Derived;
  onSave: (edits: Edit[]) => void;
}

/** What stands behind a sentence of the docket. */
export function DocketDetail({ entry, state, derived, onSave }: Props) {
  const building = state.id;
  return (
    <section className="sheet docket-detail" aria-label="Behind the sentence">
      {entry === 'dry-fit' && (
        <>
          <p className="mb-1">
            {derived.dry_fit.pieces} pieces stood up in the computer, {derived.dry_fit.joints} joints measured, every
            edge accounted for.
          </p>
          {derived.dry_fit.findings.length === 0 ? (
            <p className="mb-0">
              Every joint closes to 0.01 mm, no two pieces of card are in the same place, and the outside is filled.
            </p>
          ) : (
            <>
              <ul>
                {derived.dry_fit.findings.map((finding, i) => (
                  <li key={i}>{finding.text}</li>
                ))}
              </ul>
              <p className="mb-1">{derived.dry_fit.advice}</p>
            </>
          )}
        </>
      )}
      {(entry === 'dry-fit' || entry === 'checks') && (
        <p className="mb-1">
          <Link to={`/buildings/${building}/fit`}>Every joint, free edge and check</Link>
        </p>
      )}
      {entry === 'plot' && derived.plot !== null && (
        <>
          <ul>
            {derived.plot.clearances.map((one, i) => (
              <li key={i}>
                <span className={`level level-${one.fits ? 'ok' : 'stop'}`}>{one.fits ? 'fits' : 'does not fit'}</span>,{' '}
                {one.text}
              </li>
            ))}
          </ul>
          <p className="mb-0">
            <Link to={`/buildings/${building}/plot`}>On the layout</Link>
          </p>
        </>
      )}
      {entry === 'made' && (
        <p className="mb-0">
          <Link to={`/buildings/${building}/bench`}>What is printed, cut, papered and fixed, and what is stale</Link>
        </p>
      )}
      {entry === 'checks' && <Thoughts state={state} thoughts={derived.thoughts} onSave={onSave} />}
      {entry === 'parts' && (
        <ul>
          {derived.kit.parts.map((part) => (
            <li key={part.id}>
              <Link to={`/buildings/${building}/stand?part=${part.id}`}>
                <strong>{part.label}</strong>
              </Link>{' '}
              {part.name}
              {part.qty > 1 ? `, cut ${part.qty}` : ''},{' '}
              {derived.view.stocks.find((one) => one.id === part.stock)?.name ?? part.stock}
            </li>
          ))}
        </ul>
      )}
      {entry === 'sheets' && (
        <p className="mb-0">
          {derived.kit.totals.sheets} pages as first packed.{' '}
          <Link to={`/buildings/${building}/sheets`}>See and print them</Link>: a tighter packing is looked for there.
        </p>
      )}
    </section>
  );
}
