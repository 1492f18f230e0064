import Button from 'react-bootstrap/Button';
import type { RoofThing } from '../../api/types';
import { ChecksAt } from '../../document/ChecksAt';
import { Centred } from '../../document/Centred';
import { useBuilding } from '../../document/context';
import { Fields } from '../../document/form/Fields';
import { useKindsAt } from '../../document/things';

interface Props {
  thing: RoofThing;
  onAdded: () => void;
  onRemoved: () => void;
}

/** Figures of what stands on a roof, and what is done with it as a whole. */
export function RoofThingFigures({ thing, onAdded, onRemoved }: Props) {
  const { state, save } = useBuilding();
  const kind = useKindsAt('things', [thing.anchor]).find((one) => one.kind === thing.kind);
  const of = { block: thing.block, id: thing.id };
  const faults = state.faults.filter((fault) => fault.path.startsWith(`${thing.path}.`) || fault.path === thing.path);
  return (
    <>
      <h2>{thing.called.charAt(0).toUpperCase() + thing.called.slice(1)}</h2>
      <p className="quiet">{kind?.says}</p>
      {thing.rings.length === 0 && faults.length === 0 && (
        <div className="remark">Nothing of it stands on this roof now.</div>
      )}
      <ChecksAt at={[`${thing.block}.${thing.id}`]} />
      {kind?.is_at_one_place !== false && <Centred path={thing.path} block={thing.block} edge={thing.edge} />}
      <Fields fields={kind?.fields ?? []} path={thing.path} names={{}} />
      <div className="tools my-2" role="toolbar" aria-label={thing.called}>
        <Button
          size="sm"
          variant="outline-secondary"
          onClick={() => {
            save([{ op: 'copy-thing', ...of }]);
            onAdded();
          }}
        >
          Copy it
        </Button>
        <Button
          size="sm"
          variant="outline-secondary"
          onClick={() => {
            save([{ op: 'remove-thing', ...of }]);
            onRemoved();
          }}
        >
          Remove it
        </Button>
      </div>
      <p className="mt-3 mb-0">
        Pull it on the plan, or <span className="key">←</span> <span className="key">→</span>{' '}
        <span className="key">↑</span> <span className="key">↓</span> move it by a brick along
        {thing.anchor === 'slope' ? ' and a course up the slope' : ''} <span className="key">Shift</span> by a quarter{' '}
        <span className="key">Del</span> remove
      </p>
    </>
  );
}
