import Button from 'react-bootstrap/Button';
import type { PlanBlock } from '../../api/types';
import { entriesAt } from '../../document/entries';
import { textAt, useBuilding } from '../../document/context';

const HAVE_PITCH = ['gable', 'hip', 'half-hip', 'lean-to', 'mansard'];

/** Where nobody knows the pitch: that of another block, of a building that was taken for a neighbour, or of what it is covered with. */
export function NeighboursPitch({ block, blocks }: { block: number; blocks: PlanBlock[] }) {
  const { state, derived, save } = useBuilding();
  const covered = derived?.view.skin.roofs.find((one) => one.path === `blocks.${block}.roof.finish`);
  const pitchOf = (at: number) => textAt(state.document, `blocks.${at}.roof.pitch`);
  const own = pitchOf(block);
  if (!HAVE_PITCH.includes(textAt(state.document, `blocks.${block}.roof.kind`))) return null;
  const others = [
    ...blocks.map((one, at) => [one.name, at === block ? '' : pitchOf(at)] as const),
    ...entriesAt(state.document, 'plot.neighbours').map(
      (one) => [textAt(one, 'name'), textAt(one, 'of.pitch')] as const,
    ),
    [`${covered?.words ?? ''} usually are`, String(covered?.usual_pitch ?? '')] as const,
  ].filter(([, pitch]) => pitch !== '' && Number(pitch) > 0 && pitch !== own);
  if (others.length === 0) return null;
  return (
    <div className="tools mb-2">
      {others.map(([name, pitch], i) => (
        <Button
          key={i}
          size="sm"
          variant="outline-secondary"
          onClick={() => save([{ op: 'set', path: `blocks.${block}.roof.pitch`, value: Number(pitch) }])}
        >
          {pitch}°, as {name}
        </Button>
      ))}
    </div>
  );
}

const WORDS: Record<string, string> = {
  wall: 'stands against another block: the roof runs on there until it dies into that one, whatever kind the whole roof is',
  hip: 'has a slope of its own',
  gable: 'has a gable of its own',
  'half-hip': 'has a half-hip of its own',
};

/** Edges that do not follow the kind of the whole roof, so that nobody wonders why they stay. */
export function OwnEdges({ block, onEdge }: { block: PlanBlock | undefined; onEdge: (key: string) => void }) {
  const { state } = useBuilding();
  if (block === undefined) return null;
  const own = entriesAt(state.document, `${block.path}.roof.edges`)
    .map((one) => [block.edges.find((edge) => edge.name === textAt(one, 'edge')), textAt(one, 'kind')] as const)
    .filter(([edge, kind]) => edge !== undefined && kind !== '');
  return (
    <>
      {own.map(
        ([edge, kind]) =>
          edge !== undefined && (
            <p key={edge.key} className="quiet mb-1">
              <button type="button" className="btn btn-link p-0 align-baseline" onClick={() => onEdge(edge.key)}>
                {edge.name}
              </button>{' '}
              {WORDS[kind] ?? 'has its own roof'}.
            </p>
          ),
      )}
    </>
  );
}
