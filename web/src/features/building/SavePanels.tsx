import Button from 'react-bootstrap/Button';
import type { User } from '../../api/types';
import { GhostList } from '../../drawing/Ghost';
import { useBuilding } from '../../document/context';
import { ConflictPanel } from './ConflictPanel';
import { SignInAgain } from './SignInAgain';
import type { useSaving } from './useSaving';

/** The server broke on a change three times: it is not sent for ever, and nothing of it is lost. */
function Broken({ saving, kept }: { saving: ReturnType<typeof useSaving>; kept: string }) {
  const { state } = useBuilding();
  const text = JSON.stringify({ document: state.document, not_saved: saving.unseen }, null, 2);
  return (
    <section role="alert" className="remark remark-stop" aria-label="Not saved">
      <strong>Chartula breaks on the last change, and has noted that down.</strong> {kept} in this tab.
      <div className="tools mt-1">
        <a
          className="btn btn-outline-secondary"
          href={`data:application/json;charset=utf-8,${encodeURIComponent(text)}`}
          download="not-saved.json"
        >
          Keep the text as a file
        </a>
        <Button variant="outline-primary" onClick={saving.takeBack}>
          Take the change back
        </Button>
        <Button variant="outline-secondary" onClick={saving.retry}>
          Try again
        </Button>
      </div>
    </section>
  );
}

/** What stands between a change and its being kept, and what can be done about it. */
export function SavePanels({ saving, user }: { saving: ReturnType<typeof useSaving>; user: User }) {
  const { status, unseen } = saving;
  const kept = unseen.length === 1 ? 'One change waits' : `${unseen.length} changes wait`;
  if (status.kind === 'refused') {
    const { instead } = status;
    return (
      <div role="alert" className="remark remark-stop">
        Not done: {status.why}
        {instead !== null && (
          <div className="tools mt-1">
            <Button size="sm" variant="danger" onClick={() => saving.save(instead)}>
              Change it, and let them go
            </Button>
          </div>
        )}
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
  if (status.kind === 'broken') return <Broken saving={saving} kept={kept} />;
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
