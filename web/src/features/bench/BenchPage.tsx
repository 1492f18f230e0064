import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { v4 as newId } from 'uuid';
import { api } from '../../api/client';
import { buildingOptions, madeOptions } from '../../api/options';
import type { Made, MadePiece, MadeState } from '../../api/types';
import { Ghost } from '../../drawing/Ghost';
import { Empty } from '../../ui/States';
import { useBuilding } from '../../document/context';

const STATES: readonly MadeState[] = ['printed', 'cut', 'papered', 'fixed'];
const FILTERS = ['all', 'stale', 'not cut yet', 'not fixed yet'] as const;
type Filter = (typeof FILTERS)[number];

const reached = (piece: MadePiece) => (piece.state === null ? -1 : STATES.indexOf(piece.state));

const shows: Record<Filter, (piece: MadePiece) => boolean> = {
  all: () => true,
  stale: (piece) => piece.change !== null,
  'not cut yet': (piece) => reached(piece) < 1,
  'not fixed yet': (piece) => reached(piece) < 3,
};

/** What is printed, cut, papered and fixed, marked with a thumb at the bench; and what an edit made stale. */
export function BenchPage() {
  const { state, derived } = useBuilding();
  const queries = useQueryClient();
  const made = useQuery({ ...madeOptions(state.id), enabled: derived !== null });
  const [filter, setFilter] = useState<Filter>('all');
  const changed = (next: Made) => {
    queries.setQueryData(madeOptions(state.id).queryKey, next);
    void queries.invalidateQueries({ queryKey: buildingOptions(state.id).queryKey, exact: true });
  };
  const print = useMutation({
    mutationFn: (which: 'all' | 'stale') =>
      api.post<Made>(`buildings/${state.id}/prints`, { client_id: newId(), which }),
    onSuccess: changed,
  });
  const mark = useMutation({
    mutationFn: ({ pieces, to }: { pieces: MadePiece[]; to: MadeState | null }) =>
      api.patch<Made>(`buildings/${state.id}/pieces`, {
        pieces: pieces.map(({ part, copy }) => ({ part, copy })),
        state: to,
      }),
    onSuccess: changed,
  });
  if (derived === null) {
    return (
      <Empty title="Nothing to make yet">
        <p>There are parts as soon as the figures under Prototype are sound.</p>
      </Empty>
    );
  }
  if (made.isPending) return <p role="status">Looking what is made …</p>;
  if (made.isError) return <p className="text-danger">{made.error.message}</p>;
  const { counts, pieces } = made.data;
  const error = print.error ?? mark.error;
  const listed = pieces.filter(shows[filter]);
  return (
    <>
      <section className="sheet bench" aria-label="Pieces">
        <h2>At the bench</h2>
        <p>
          Of {counts.pieces} pieces {counts.printed} are printed, {counts.cut} cut, {counts.papered} papered,{' '}
          {counts.fixed} fixed. {counts.stale === 0 ? 'None is stale.' : ''}
          {counts.stale > 0 && (
            <strong className="level level-warn">
              {counts.stale === 1 ? 'One is stale' : `${counts.stale} are stale`}: the building has changed since.
            </strong>
          )}
        </p>
        {error !== null && (
          <p role="alert" className="text-danger">
            {error.message}
          </p>
        )}
        <div className="tools mb-2" role="group" aria-label="Which pieces">
          {FILTERS.map((one) => (
            <Button
              key={one}
              variant={filter === one ? 'secondary' : 'outline-secondary'}
              aria-pressed={filter === one}
              onClick={() => setFilter(one)}
            >
              {one}
            </Button>
          ))}
        </div>
        {listed.length === 0 && <p>No piece is like that.</p>}
        <ul className="pieces">
          {listed.map((piece) => (
            <PieceRow
              key={`${piece.part}#${piece.copy}`}
              piece={piece}
              isBusy={mark.isPending}
              onMark={(to) => mark.mutate({ pieces: [piece], to })}
            />
          ))}
        </ul>
      </section>
      <Printing made={made.data} isBusy={print.isPending} onPrinted={(which) => print.mutate(which)} />
    </>
  );
}

interface PrintingProps {
  made: Made;
  isBusy: boolean;
  onPrinted: (which: 'all' | 'stale') => void;
}

/** What to print, and what was printed so far. */
function Printing({ made: { counts, prints }, isBusy, onPrinted }: PrintingProps) {
  const { state } = useBuilding();
  return (
    <aside className="sheet" aria-label="Printing">
      <h2>Printing</h2>
      <div className="d-grid gap-2">
        <a className="btn btn-outline-secondary" href={`/api/buildings/${state.id}/sheets.pdf`} download>
          Download all sheets
        </a>
        <Button onClick={() => onPrinted('all')} disabled={isBusy}>
          Mark all sheets as printed
        </Button>
        {counts.stale > 0 && (
          <>
            <a className="btn btn-outline-secondary" href={`/api/buildings/${state.id}/sheets.pdf?only=stale`} download>
              Download just the stale pieces
            </a>
            <Button onClick={() => onPrinted('stale')} disabled={isBusy}>
              Mark the stale pieces as printed
            </Button>
          </>
        )}
      </div>
      <p className="quiet mt-2">
        Pieces that are still good keep their marks when a sheet is printed again. Knives slip and glues bite: a sharp
        blade, a safety rule, the other hand behind the cut; air when you spray or use solvents.
      </p>
      <h3>Printed so far</h3>
      {prints.length === 0 ? (
        <p className="quiet">Nothing yet.</p>
      ) : (
        <ul>
          {prints.map((run) => (
            <li key={run.at}>
              {run.what}, {run.pieces === 1 ? 'one piece' : `${run.pieces} pieces`}, from revision {run.revision}
              <div className="quiet">{new Date(run.at).toLocaleString()}</div>
            </li>
          ))}
        </ul>
      )}
    </aside>
  );
}

interface PieceRowProps {
  piece: MadePiece;
  isBusy: boolean;
  onMark: (to: MadeState | null) => void;
}

function PieceRow({ piece, isBusy, onMark }: PieceRowProps) {
  const at = reached(piece);
  const name = `${piece.label} ${piece.name}${piece.qty > 1 ? `, ${piece.copy + 1} of ${piece.qty}` : ''}`;
  return (
    <li className={piece.change === null ? undefined : 'stale'}>
      <div className="piece-name">
        <strong>{piece.label}</strong> {piece.name}
        {piece.qty > 1 && (
          <span className="quiet">
            {' '}
            {piece.copy + 1} of {piece.qty}
          </span>
        )}
        <div className="quiet">{piece.stock}</div>
      </div>
      <div className="steps" role="group" aria-label={name}>
        {STATES.map((step, i) => (
          <button
            key={step}
            type="button"
            disabled={isBusy}
            aria-pressed={i <= at}
            className={i <= at ? 'done' : ''}
            onClick={() => onMark(i === at ? (STATES[i - 1] ?? null) : step)}
          >
            {step}
          </button>
        ))}
      </div>
      {piece.change !== null && (
        <div className="piece-change">
          <span className="level level-warn">
            stale in {piece.change.kind === 'both' ? 'cut and print' : piece.change.kind}
          </span>
          : {piece.change.text}
          <Ghost change={piece.change} width={140} />
        </div>
      )}
    </li>
  );
}
