import type { BuildingState } from '../../api/types';
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

export function Faults({ state }: { state: BuildingState }) {
  return (
    <section className="remark remark-stop" aria-label="Faults">
      <strong>
        {state.faults.length === 1 ? 'One thing has' : `${state.faults.length} things have`} to be put right before this
        can be made.
      </strong>{' '}
      {state.derived_from !== null && (
        <>Drawings and parts are from revision {state.derived_from}, the last that was sound.</>
      )}
      <ul className="mb-0">
        {state.faults.map((fault) => (
          <li key={fault.path + fault.code}>
            <code>{fault.path}</code>: {fault.text}
          </li>
        ))}
      </ul>
    </section>
  );
}
