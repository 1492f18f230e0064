import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import type { BuildingState, Fault, Units } from '../../api/types';
import { placeOf } from '../../document/places';
import type { SaveState } from './SavingMachine';

const LOOKS: Record<SaveState['kind'], string> = {
  saved: '',
  saving: 'unsaved',
  gathering: 'unsaved',
  waiting: 'failed',
  'signed-out': 'failed',
  refused: 'failed',
  broken: 'failed',
  conflict: 'failed',
  fixed: 'unsaved',
};

function wordsOf(status: SaveState, revision: number): string {
  switch (status.kind) {
    case 'saved':
    case 'refused':
      return `saved, revision ${revision}`;
    case 'saving':
      return 'saving …';
    case 'gathering':
      return 'changing …';
    case 'waiting':
    case 'signed-out':
    case 'broken':
      return 'not saved, kept in this tab';
    case 'conflict':
    case 'fixed':
      return 'not saved yet';
  }
}

/** Whether what was done is kept, always in words. */
export function SaveWords({ status, revision }: { status: SaveState; revision: number }) {
  return (
    <span className={`save-state ${LOOKS[status.kind]}`} role="status" data-save={status.kind}>
      {wordsOf(status, revision)}
    </span>
  );
}

/** So many faults are listed before the rest are counted. */
const SHOWN = 6;

/** What is wrong, where, and the ways out of it. */
export function Faults({
  state,
  units,
  onUndo,
  onCure,
}: {
  state: BuildingState;
  units: Units;
  onUndo: () => void;
  onCure: (fault: Fault) => void;
}) {
  const [all, setAll] = useState(false);
  const { faults, history } = state;
  const shown = all ? faults : faults.slice(0, SHOWN);
  return (
    <section className="remark remark-stop faults" aria-label="Faults" role="status">
      <div className="d-flex justify-content-between gap-3">
        <div>
          <strong>
            {faults.length === 1 ? 'One thing has' : `${faults.length} things have`} to be put right before this can be
            made.
          </strong>{' '}
          {state.derived_from !== null && (
            <>
              It is drawn as it is described, in red where something clashes; parts, sheets and the view in space are
              from revision {state.derived_from}, the last that was sound.
            </>
          )}
        </div>
        {history.undo !== null && (
          <Button
            size="sm"
            variant="outline-danger"
            className="flex-shrink-0 align-self-start"
            onClick={onUndo}
            title={`Undo: ${history.undo}`}
          >
            Undo that
          </Button>
        )}
      </div>
      <ul className="mb-0">
        {shown.map((fault, i) => (
          <li key={`${fault.path} ${fault.code} ${i}`}>
            <strong>{fault.where}</strong>: {fault.says[units]}.{' '}
            <Link to={placeOf(state.id, fault.go)} aria-label={`Go to it: ${fault.where}`}>
              Go to it
            </Link>
            {fault.cure !== null && (
              <Button size="sm" variant="link" className="p-0 ms-2 align-baseline" onClick={() => onCure(fault)}>
                {fault.cure.words}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {shown.length < faults.length && (
        <button type="button" className="btn btn-link p-0" onClick={() => setAll(true)}>
          {faults.length - shown.length} more
        </button>
      )}
    </section>
  );
}
