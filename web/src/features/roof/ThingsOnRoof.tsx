import type { PointerEvent } from 'react';
import type { PlanEdge, RoofThing, Wall } from '../../api/types';
import { pathOf, quarters } from '../../drawing/geometry';

/** A pull at a thing: where it began and how far it goes, in pixels, at so many millimetres a pixel. */
export interface Drag {
  path: string;
  from: readonly [number, number];
  by: readonly [number, number];
  perPx: number;
}

/** What stands on roofs, as it is seen from above; what is pulled goes along with the pointer. */
export function ThingsOnRoof({
  things,
  chosen,
  pulled,
  perPx,
  onGrab,
  onThing,
}: {
  things: readonly RoofThing[];
  /** The path of the chosen one. */
  chosen: string | null;
  pulled: { path: string; at: readonly [number, number] } | null;
  perPx: number;
  onGrab: (one: RoofThing, event: PointerEvent<SVGGElement>) => void;
  onThing: (path: string) => void;
}) {
  return (
    <>
      {things.map((one) => (
        <g
          key={one.path}
          className="opening"
          data-thing={one.id}
          transform={one.path === pulled?.path ? `translate(${pulled.at[0]} ${pulled.at[1]})` : undefined}
          onClick={() => onThing(one.path)}
          onPointerDown={(event) => onGrab(one, event)}
        >
          <title>{one.called}</title>
          {one.rings.map((ring, i) => (
            <path
              key={i}
              d={pathOf(ring)}
              fill={one.path === chosen ? 'var(--edge-wash)' : 'var(--sheet)'}
              stroke={one.clashes ? 'var(--signal)' : one.path === chosen ? 'var(--brick)' : 'var(--ink)'}
              strokeWidth={(one.path === chosen ? 3.5 : 2) * perPx}
            />
          ))}
        </g>
      ))}
    </>
  );
}

/** A pull as steps along its edge and in from it, to a quarter, and how far those go on the plan. */
export function pulledBy(thing: RoofThing, edge: PlanEdge | undefined, wall: Wall | undefined, drag: Drag) {
  if (edge === undefined || wall === undefined) return null;
  const [x, y] = [edge.to[0] - edge.from[0], edge.to[1] - edge.from[1]];
  const long = Math.hypot(x, y);
  const [right, up] = [drag.by[0] * drag.perPx, drag.by[1] * drag.perPx];
  const { along_mm: brick, up_mm: course } = wall.step;
  const bricks = quarters((right * x + up * y) / long / brick);
  const courses = thing.anchor === 'slope' ? quarters((up * x - right * y) / long / course) : 0;
  const [along, inwards] = [(bricks * brick) / long, (courses * course) / long];
  return { bricks, courses, at: [along * x - inwards * y, along * y + inwards * x] as const };
}
