import Button from 'react-bootstrap/Button';
import type { User } from '../../api/types';
import { GhostList } from '../../drawing/Ghost';
import { ConflictPanel } from './ConflictPanel';
import { SignInAgain } from './SignInAgain';
import type { useSaving } from './useSaving';

/** What stands between a change and its being kept, and what can be done about it. */
export function SavePanels({ saving, user }: { saving: ReturnType<typeof useSaving>; user: User }) {
  const { status, unseen } = saving;
  const kept = unseen.length === 1 ? 'One change waits' : `${unseen.length} changes wait`;
  if (status.kind === 'refused') {
    return (
      <div role="alert" className="remark remark-stop">
        Not done: {status.why}
      </div>
    );
  }
  if (status.kind === 'waiting') {
    return (
      <div role="alert" className="remark">
        {status.why} {kept} in this tab and will be sent by itself; you can go on.{' '}
        <Button size="sm" variant="outline-secondary" onClick={saving.retry}>
          Try now
        </Button>
      </div>
    );
  }
  if (status.kind === 'signed-out')
    return <SignInAgain user={user} why={status.why} kept={kept} again={saving.retry} />;
  if (status.kind === 'conflict')
    return <ConflictPanel conflict={status.conflict} settle={(how) => void saving.settle(how)} />;
  if (status.kind === 'fixed') {
    return (
      <section role="alert" className="remark remark-stop" aria-label="Fixed parts">
        <strong>{status.message}</strong> It would have to be cut again and the old one taken off.
        <GhostList changes={status.parts} />
        <div className="tools mt-1">
          <Button variant="danger" onClick={() => saving.settleFixed(true)}>
            Change it all the same
          </Button>
          <Button variant="outline-secondary" onClick={() => saving.settleFixed(false)}>
            Leave it as it is
          </Button>
        </div>
      </section>
    );
  }
  return null;
}
