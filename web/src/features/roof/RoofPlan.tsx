import { type KeyboardEvent, useState } from 'react';
import type { PlanEdge, RoofThing } from '../../api/types';
import { arrowOf, pagedTo } from '../../drawing/arrows';
import { Canvas } from '../../drawing/Canvas';
import { boundsOf, pathOf } from '../../drawing/geometry';
import { useBuilding } from '../../document/context';
import { type Drag, pulledBy, ThingsOnRoof } from './ThingsOnRoof';

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
  const [drag, setDrag] = useState<Drag | null>(null);
  if (drawn === null) return null;
  const { plan, roof, rule } = drawn;
  const bounds = boundsOf([
    ...plan.blocks.map((block) => block.ring),
    ...roof.lines.map((line) => [line.from, line.to]),
    ...roof.things.flatMap((one) => one.rings),
  ]);
  const room = Math.max(bounds.x1 - bounds.x0, bounds.y1 - bounds.y0) * 0.05;
  const edges = plan.blocks.flatMap((block) => block.edges);

  const things = roof.things.filter((one) => one.rings.length > 0);
  const chosen = things.find((one) => one.path === thing);
  const all = [
    ...edges.map((one) => ({ isChosen: one.key === edge, choose: () => onEdge(one.key) })),
    ...things.map((one) => ({ isChosen: one.path === thing, choose: () => onThing(one.path) })),
  ];

  const under = (one: RoofThing) => edges.find((edge) => edge.block === one.block && edge.name === one.edge);
  const pulled = things.find((one) => one.path === drag?.path);
  const pull =
    drag === null || pulled === undefined
      ? null
      : pulledBy(
          pulled,
          under(pulled),
          drawn.walls.find((wall) => wall.block === pulled.block && wall.edge === pulled.edge),
          drag,
        );

  function drop() {
    if (pulled !== undefined && pull !== null && (pull.bricks !== 0 || pull.courses !== 0)) {
      onMove(pulled, pull.bricks, pull.courses);
    }
    setDrag(null);
  }

  function onKeyDown(event: KeyboardEvent<SVGSVGElement>) {
    const next = pagedTo(event, all, (one) => one.isChosen);
    const by = chosen === undefined ? null : arrowOf(event, 1, 0.25);
    if (next !== undefined) next.choose();
    else if (chosen !== undefined && event.key === 'Delete') onRemove(chosen);
    else if (chosen !== undefined && by !== null) {
      const [bricks, courses] = turned(under(chosen), by);
      onMove(chosen, bricks, chosen.anchor === 'slope' ? courses : 0);
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
      onPointerMove={(_mm, event) =>
        drag !== null && setDrag({ ...drag, by: [event.clientX - drag.from[0], drag.from[1] - event.clientY] })
      }
      onPointerUp={drop}
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
          <ThingsOnRoof
            things={things}
            chosen={thing}
            pulled={pulled === undefined || pull === null ? null : { path: pulled.path, at: pull.at }}
            perPx={perPx}
            onGrab={(one, event) => {
              onThing(one.path);
              setDrag({ path: one.path, from: [event.clientX, event.clientY], by: [0, 0], perPx });
            }}
            onThing={onThing}
          />
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
