import { whenOf } from '../../ui/dates';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { Conflict, Difference } from '../../api/types';
import type { Settlement } from './SavingMachine';

/** Both versions, what differs, and what to keep of them. */
export function ConflictPanel({ conflict, settle }: { conflict: Conflict; settle: (how: Settlement) => void }) {
  const { theirs, differences } = conflict;
  const [taken, setTaken] = useState<ReadonlySet<string>>(
    new Set(differences.mine.filter((one) => one.clashes !== true).map((one) => one.path)),
  );
  const chosen = differences.mine.filter((one) => taken.has(one.path));
  const toggle = (path: string) => {
    const next = new Set(taken);
    if (!next.delete(path)) next.add(path);
    setTaken(next);
  };
  return (
    <section role="alert" className="remark remark-stop conflict" aria-label="Changed elsewhere">
      <strong>
        This building was changed elsewhere: revision {theirs.number}, {whenOf(theirs.at)}.
      </strong>{' '}
      What you did here is not saved yet. Both began with revision {conflict.base}.
      <div className="conflict-sides">
        <div>
          <h3>Theirs</h3>
          <ul>
            {differences.theirs.map((one) => (
              <li key={one.path}>{one.text}</li>
            ))}
            {differences.theirs.length === 0 && <li>no difference in the end</li>}
          </ul>
        </div>
        <fieldset>
          <legend className="h3">Yours</legend>
          {differences.mine.map((one) => (
            <Yours key={one.path} difference={one} isTaken={taken.has(one.path)} toggle={() => toggle(one.path)} />
          ))}
        </fieldset>
      </div>
      <div className="tools mt-1">
        <Button onClick={() => settle(chosen)} disabled={chosen.length === 0}>
          Take the ticked ones across
        </Button>
        <Button variant="outline-secondary" onClick={() => settle('again')}>
          Put mine on top of it
        </Button>
        <Button variant="outline-secondary" onClick={() => settle('mine')}>
          Keep mine whole
        </Button>
        <Button variant="outline-secondary" onClick={() => settle('theirs')}>
          Take theirs, drop mine
        </Button>
      </div>
      <p className="quiet mb-0">
        <em>Ticked ones</em>: theirs, with those figures of yours in it. <em>On top</em>: what you did is done once more
        on theirs. <em>Whole</em>: yours, and nothing of theirs. Whatever you choose, every revision stays in the
        history.
      </p>
    </section>
  );
}

function Yours({ difference, isTaken, toggle }: { difference: Difference; isTaken: boolean; toggle: () => void }) {
  return (
    <label className="d-block">
      <input type="checkbox" checked={isTaken} onChange={toggle} /> {difference.text}
      {difference.clashes === true && <span className="level level-warn"> (they changed this too)</span>}
    </label>
  );
}
