import { whenOf } from '../../ui/dates';
import { useSearched } from '../../ui/searched';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { v4 as newId } from 'uuid';
import { api } from '../../api/client';
import { buildingOptions, madeOptions } from '../../api/options';
import type { Made, MadePiece, MadeState } from '../../api/types';
import { Ghost } from '../../drawing/Ghost';
import { Empty } from '../../ui/States';
import { useBuilding, useStockName } from '../../document/context';

const STATES: readonly MadeState[] = ['printed', 'cut', 'papered', 'fixed'];
const FILTERS = ['all', 'stale', 'not cut yet', 'not fixed yet'] as const;
type Filter = (typeof FILTERS)[number];

const isStale = (piece: MadePiece) => piece.change !== null && !piece.kept;
const isByProgram = (piece: MadePiece) => isStale(piece) && piece.by === 'program';

const reached = (piece: MadePiece) => (piece.state === null ? -1 : STATES.indexOf(piece.state));

const shows: Record<Filter, (piece: MadePiece) => boolean> = {
  all: () => true,
  stale: isStale,
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
  const keep = useMutation({
    mutationFn: ({ pieces, kept }: { pieces: MadePiece[]; kept: boolean }) =>
      api.patch<Made>(`buildings/${state.id}/pieces/kept`, {
        pieces: pieces.map(({ part, copy }) => ({ part, copy })),
        kept,
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
  const error = print.error ?? mark.error ?? keep.error;
  const listed = pieces.filter(shows[filter]);
  const byProgram = pieces.filter(isByProgram);
  return (
    <>
      <section className="sheet bench" aria-label="Pieces">
        <h2>At the bench</h2>
        <p>
          Of {counts.pieces} pieces {counts.printed} are printed, {counts.cut} cut, {counts.papered} papered,{' '}
          {counts.fixed} fixed. {counts.stale === 0 ? 'None is stale.' : ''}
          {counts.stale > 0 && (
            <strong className="level level-warn">
              {counts.stale === 1 ? 'One is stale' : `${counts.stale} are stale`}:{' '}
              {byProgram.length === counts.stale
                ? 'this version of Chartula makes them otherwise.'
                : 'the building has changed since.'}
            </strong>
          )}
        </p>
        {byProgram.length > 0 && (
          <p>
            {byProgram.length === 1 ? 'One piece was' : `${byProgram.length} pieces were`} changed by the program, not
            by you. What is cut already may be kept as it is, where the pieces beside it are kept too.{' '}
            <Button
              size="sm"
              variant="outline-secondary"
              disabled={keep.isPending}
              onClick={() => keep.mutate({ pieces: byProgram, kept: true })}
            >
              {byProgram.length === 1 ? 'Keep it as it is' : 'Keep them all as they are'}
            </Button>
          </p>
        )}
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
        <Pieces
          key={filter}
          pieces={listed}
          isBusy={mark.isPending || keep.isPending}
          onMark={(piece, to) => mark.mutate({ pieces: [piece], to })}
          onKeep={(piece, kept) => keep.mutate({ pieces: [piece], kept })}
        />
      </section>
      <Printing made={made.data} isBusy={print.isPending} onPrinted={(which) => print.mutate(which)} />
    </>
  );
}

interface PiecesProps {
  pieces: readonly MadePiece[];
  isBusy: boolean;
  onMark: (piece: MadePiece, to: MadeState | null) => void;
  onKeep: (piece: MadePiece, kept: boolean) => void;
}

function Pieces({ pieces, isBusy, onMark, onKeep }: PiecesProps) {
  const { shown, search, more } = useSearched(pieces, ({ label, name }) => `${label} ${name}`, 'pieces');
  return (
    <>
      {search}
      <ul className="pieces">
        {shown.map((piece) => (
          <PieceRow
            key={`${piece.part}#${piece.copy}`}
            piece={piece}
            isBusy={isBusy}
            onMark={(to) => onMark(piece, to)}
            onKeep={(kept) => onKeep(piece, kept)}
          />
        ))}
      </ul>
      {more}
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
        <a className="btn btn-primary" href={`/api/buildings/${state.id}/sheets.pdf`} download>
          Download all sheets
        </a>
        <Button variant="outline-secondary" onClick={() => onPrinted('all')} disabled={isBusy}>
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
              <div className="quiet">{whenOf(run.at)}</div>
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
  onKeep: (kept: boolean) => void;
}

function PieceRow({ piece, isBusy, onMark, onKeep }: PieceRowProps) {
  const stockName = useStockName();
  const { state } = useBuilding();
  const at = reached(piece);
  const name = `${piece.label} ${piece.name}${piece.qty > 1 ? `, ${piece.copy + 1} of ${piece.qty}` : ''}`;
  return (
    <li className={isStale(piece) ? 'stale' : undefined}>
      <div className="piece-name">
        <Link to={`/buildings/${state.id}/stand?part=${encodeURIComponent(piece.part)}`} title="See where it stands">
          <strong>{piece.label}</strong>
        </Link>{' '}
        {piece.name}
        {piece.qty > 1 && (
          <span className="quiet">
            {' '}
            {piece.copy + 1} of {piece.qty}
          </span>
        )}
        <div className="quiet">{stockName(piece.stock)}</div>
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
      <PieceChange piece={piece} isBusy={isBusy} onKeep={onKeep} />
    </li>
  );
}

interface PieceChangeProps {
  piece: MadePiece;
  isBusy: boolean;
  onKeep: (kept: boolean) => void;
}

/** What the kit has otherwise than it was made, and who changed it: what the program did may be left as it is. */
function PieceChange({ piece: { change, by, kept, name }, isBusy, onKeep }: PieceChangeProps) {
  if (change === null) return null;
  const what = change.kind === 'both' ? 'cut and print' : change.kind;
  return (
    <div className="piece-change">
      {kept ? (
        <span className="quiet">kept as it was made; it would now be </span>
      ) : (
        <span className="level level-warn">stale in {what}: </span>
      )}
      {change.text}
      {!kept && by === 'program' && '; changed by the program'}
      {!kept && by === 'both' && '; changed by an edit, and by the program'}
      <Ghost change={change} width={140} />
      {(kept || by === 'program') && (
        <Button
          size="sm"
          variant="outline-secondary"
          disabled={isBusy}
          aria-label={`${kept ? 'No longer keep' : 'Keep as it is'}: ${name}`}
          onClick={() => onKeep(!kept)}
        >
          {kept ? 'No longer keep it' : 'Keep it as it is'}
        </Button>
      )}
    </div>
  );
}
