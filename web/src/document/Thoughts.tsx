import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import type { BuildingState, Edit, Thought } from '../api/types';
import { placeOf } from './places';

/** One key of words for all remarks. */
export const LEVELS = { ok: 'fits', note: 'note', warn: 'look again', stop: 'stop' } as const;

/** So many findings are shown before the rest are counted, and so many places of each. */
const SHOWN = 12;
const PLACES = 4;

interface Props {
  state: BuildingState;
  thoughts: Thought[];
  onSave: (edits: Edit[]) => void;
}

/** What is to be thought about: a line a finding, its places to go to, and what may be left so. */
export function Thoughts({ state, thoughts, onSave }: Props) {
  const [all, setAll] = useState(false);
  if (thoughts.length === 0) return <p className="mb-0">Nothing to think about.</p>;
  const shown = all ? thoughts : thoughts.slice(0, SHOWN);
  return (
    <>
      <p className="quiet mb-1">
        <span className="level level-stop">stop</span>: it cannot be built so.{' '}
        <span className="level level-warn">look again</span>: it will show, or is hard to do.{' '}
        <span className="level level-note">note</span>: good to know before the first cut.
      </p>
      <ul className="thoughts">
        {shown.map((one) => (
          <Line key={`${one.level} ${one.code}`} thought={one} state={state} onSave={onSave} />
        ))}
      </ul>
      {shown.length < thoughts.length && (
        <button type="button" className="btn btn-link p-0" onClick={() => setAll(true)}>
          {thoughts.length - shown.length} more
        </button>
      )}
    </>
  );
}

function Line({ thought, state, onSave }: { thought: Thought; state: BuildingState; onSave: Props['onSave'] }) {
  const [all, setAll] = useState(false);
  const { code, level, count, words, alike, left, places } = thought;
  const shown = all ? places : places.slice(0, PLACES);
  const leave = (ats: string[] | null) =>
    onSave([{ op: 'set', path: `leave.${code.replaceAll('.', '~.')}`, value: ats }]);
  return (
    <li className={left ? 'left' : undefined}>
      <span className={`level level-${level}`}>{left ? 'left so' : LEVELS[level]}</span>{' '}
      {count > 1 && <strong>{count} places. </strong>}
      {words}
      {count > 1 && !alike && ' So at the worst of them.'}{' '}
      <span className="places">
        {shown.map((place, i) => (
          <span key={`${place.at} ${i}`}>
            {i > 0 && ' · '}
            <Link to={placeOf(state.id, place.go)}>{place.where}</Link>
          </span>
        ))}
        {shown.length < places.length && (
          <button type="button" className="btn btn-link p-0 ms-1 align-baseline" onClick={() => setAll(true)}>
            and {places.length - shown.length} more
          </button>
        )}
      </span>
      {level !== 'stop' && (
        <Button
          size="sm"
          variant="link"
          className="p-0 ms-2 align-baseline"
          onClick={() => leave(left ? null : places.map((place) => place.at))}
        >
          {left ? 'Count it again' : 'Leave it so'}
        </Button>
      )}
    </li>
  );
}
