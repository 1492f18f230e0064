import type { KeyboardEvent } from 'react';
import type { PlanEdge, RoofThing } from '../../api/types';
import { arrowOf, pagedTo } from '../../drawing/arrows';
import { Canvas } from '../../drawing/Canvas';
import { boundsOf, pathOf } from '../../drawing/geometry';
import { useBuilding } from '../../document/context';

interface Props {
  edge: string | null;
  line: number | null;
  /** The path of the chosen thing. */
  thing: string | null;
  onEdge: (key: string) => void;
  onLine: (at: number) => void;
  onThing: (path: string) => void;
  onMove: (thing: RoofThing, bricks: number, courses: number) => void;
  onRemove: (thing: RoofThing) => void;
}

/** Ridges and hips are folds over, valleys folds under: never by colour alone. */
const DASH: Record<string, readonly number[]> = { valley: [2, 3], verge: [8, 3], break: [10, 3, 2, 3] };

/** All roofs from above: every line, and the edges of the blocks under them. */
export function RoofPlan({ edge, line, thing, onEdge, onLine, onThing, onMove, onRemove }: Props) {
  const { drawn, units } = useBuilding();
  if (drawn === null) return null;
  const { plan, roof, rule } = drawn;
  const bounds = boundsOf([
    ...plan.blocks.map((block) => block.ring),
    ...roof.lines.map((line) => [line.from, line.to]),
  ]);
  const room = Math.max(bounds.x1 - bounds.x0, bounds.y1 - bounds.y0) * 0.05;
  const edges = plan.blocks.flatMap((block) => block.edges);

  const things = roof.things.filter((one) => one.rings.length > 0);
  const chosen = things.find((one) => one.path === thing);
  const all = [
    ...edges.map((one) => ({ isChosen: one.key === edge, choose: () => onEdge(one.key) })),
    ...things.map((one) => ({ isChosen: one.path === thing, choose: () => onThing(one.path) })),
  ];

  function onKeyDown(event: KeyboardEvent<SVGSVGElement>) {
    const next = pagedTo(event, all, (one) => one.isChosen);
    const by = chosen === undefined ? null : arrowOf(event, 1, 0.25);
    if (next !== undefined) next.choose();
    else if (chosen !== undefined && event.key === 'Delete') onRemove(chosen);
    else if (chosen !== undefined && by !== null) {
      onMove(
        chosen,
        ...turned(
          edges.find((one) => one.block === chosen.block && one.name === chosen.edge),
          by,
        ),
      );
    } else return;
    event.preventDefault();
  }

  return (
    <Canvas
      bounds={bounds}
      room={[room, room, room]}
      above={16}
      rule={rule}
      units={units}
      title={`Roof plan: ${roof.panels.length} panels, ${roof.lines.length} lines. Page keys go from edge to edge, and on to what stands on the roofs.`}
      focusable
      onKeyDown={onKeyDown}
    >
      {({ perPx }) => (
        <>
          {roof.panels.map((panel) => (
            <path key={panel.part} d={pathOf(panel.plan)} fill="var(--roof)" stroke="none" />
          ))}
          {roof.lines.map((one, i) => (
            <path
              key={i}
              className="opening"
              data-line={one.kind}
              d={pathOf([one.from, one.to], false)}
              stroke={i === line ? 'var(--brick)' : 'var(--ink)'}
              strokeWidth={(i === line ? 3.5 : one.kind === 'ridge' || one.kind === 'hip' ? 2 : 1.2) * perPx}
              strokeDasharray={DASH[one.kind]?.map((part) => part * perPx).join(' ')}
              onClick={() => onLine(i)}
            />
          ))}
          {edges.map((one) => (
            <g key={one.key} className="opening" data-edge={one.key} onClick={() => onEdge(one.key)}>
              <path d={pathOf([one.from, one.to], false)} stroke="transparent" strokeWidth={14 * perPx} />
              <path
                d={pathOf([one.from, one.to], false)}
                stroke={one.clashes ? 'var(--signal)' : one.key === edge ? 'var(--brick)' : 'var(--slate)'}
                strokeWidth={(one.key === edge ? 5 : 2.5) * perPx}
                strokeDasharray={one.roof === 'gable' ? undefined : `${5 * perPx} ${3 * perPx}`}
              />
            </g>
          ))}
          {things.map((one) => (
            <g key={one.path} className="opening" data-thing={one.id} onClick={() => onThing(one.path)}>
              <title>{one.called}</title>
              {one.rings.map((ring, i) => (
                <path
                  key={i}
                  d={pathOf(ring)}
                  fill={one.path === thing ? 'var(--edge-wash)' : 'var(--sheet)'}
                  stroke={one.clashes ? 'var(--signal)' : one.path === thing ? 'var(--brick)' : 'var(--ink)'}
                  strokeWidth={(one.path === thing ? 3.5 : 2) * perPx}
                />
              ))}
            </g>
          ))}
        </>
      )}
    </Canvas>
  );
}

/** Steps to the right and up on the plan, as those along an edge, from its left end, and in from it. */
function turned(edge: PlanEdge | undefined, [right, up]: readonly [number, number]): [number, number] {
  if (edge === undefined) return [right, up];
  const [x, y] = [edge.to[0] - edge.from[0], edge.to[1] - edge.from[1]];
  return Math.abs(x) >= Math.abs(y)
    ? [right * Math.sign(x), up * Math.sign(x)]
    : [up * Math.sign(y), 0 - right * Math.sign(y)];
}
