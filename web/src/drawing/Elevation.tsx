import { type KeyboardEvent, type PointerEvent, useId, useState } from 'react';
import type { Opening, Thing, Units, Wall } from '../api/types';
import { arrowOf, pagedTo } from './arrows';
import { Canvas } from './Canvas';
import { boundsOf, quarters } from './geometry';
import { OpeningMark, ThingMark } from './WallMarks';
import { Brickwork, Card, Chains, Hatched, Lines } from './WallParts';

interface Props {
  wall: Wall;
  rule: { foot_mm: number; metre_mm: number };
  units: Units;
  building: string;
  /** Whose brickwork is drawn; a new one is asked for when it changes. */
  revision: number;
  chosen?: string | null;
  onChoose?: (key: string | null) => void;
  /** Moved by so many bricks along and courses up. */
  onMove?: (one: Opening | Thing, bricks: number, courses: number) => void;
  onRemove?: (one: Opening | Thing) => void;
  /** Moves that the drawing does not hold yet, by what is chosen: bricks along, courses up. */
  moved?: Record<string, readonly [number, number]>;
  /** Less wide than the drawing of a stage. */
  isSmall?: boolean;
}

/** What is chosen on a wall is an opening by its key, or a thing by its id with this before it. */
const THING = '#';

export const keyOfThing = (id: string) => `${THING}${id}`;

export const isThing = (one: Opening | Thing): one is Thing => 'rings' in one;

/** A pull at an opening or a thing: how far, in pixels, at so many millimetres a pixel. */
interface Drag {
  key: string;
  x: number;
  y: number;
  along: number;
  up: number;
  perPx: number;
}

const keyOf = (one: Opening | Thing) => (isThing(one) ? keyOfThing(one.id) : one.key);

/** What moves as one. */
const nameOf = (one: Opening | Thing) => (isThing(one) ? keyOfThing(one.id) : (one.row ?? one.id));

function counted(wall: Wall): string {
  const openings = wall.openings.length === 1 ? 'One opening' : `${wall.openings.length} openings`;
  return wall.things.length === 0 ? openings : `${openings}, ${wall.things.map(({ called }) => called).join(', ')}`;
}

const isOfItsRow = (opening: Opening, chosen: Opening | Thing | null) =>
  opening.row !== null && chosen !== null && !isThing(chosen) && opening.row === chosen.row;

/** A pull in bricks along and courses up, to a quarter. */
function stepsOf(drag: Drag, step: Wall['step']): readonly [number, number] {
  return [quarters((drag.along * drag.perPx) / step.along_mm), quarters((drag.up * drag.perPx) / step.up_mm)];
}

/** A wall from outside, with its dimension chains. Openings can be chosen, dragged, and moved by the arrow keys. */
export function Elevation({
  wall,
  rule,
  units,
  building,
  revision,
  chosen = null,
  onChoose,
  onMove,
  onRemove,
  moved = {},
  isSmall = false,
}: Props) {
  const clip = useId();
  const [drag, setDrag] = useState<Drag | null>(null);
  const own = boundsOf([wall.whole, ...wall.outlines]);
  // A chimney goes on over its wall.
  const bounds = boundsOf([wall.whole, ...wall.outlines, ...wall.things.flatMap(({ rings }) => rings)]);
  const size = own.x1 - own.x0;
  const all: (Opening | Thing)[] = [...wall.openings, ...wall.things];
  const current = all.find((one) => keyOf(one) === chosen) ?? null;
  const live = onChoose !== undefined;

  function onKeyDown(event: KeyboardEvent<SVGSVGElement>) {
    const move = arrowOf(event, 1, 0.25);
    const next = pagedTo(event, all, (one) => keyOf(one) === chosen);
    if (next !== undefined && onChoose !== undefined) {
      onChoose(keyOf(next));
    } else if (move !== null && current !== null && onMove !== undefined) {
      onMove(current, move[0], move[1]);
    } else if ((event.key === 'Delete' || event.key === 'Backspace') && current !== null && onRemove !== undefined) {
      onRemove(current);
    } else if (event.key === 'Escape') {
      onChoose?.(null);
    } else {
      return;
    }
    event.preventDefault();
  }

  const grab = (one: Opening | Thing, event: PointerEvent<SVGGElement>, perPx: number) => {
    onChoose?.(keyOf(one));
    setDrag({ key: keyOf(one), x: event.clientX, y: event.clientY, along: 0, up: 0, perPx });
  };

  /** All of a row go along with the one that is pulled. */
  function pulledBy(pulled: Opening | Thing): readonly [number, number] {
    return drag !== null && all.some((one) => keyOf(one) === drag.key && nameOf(one) === nameOf(pulled))
      ? stepsOf(drag, wall.step)
      : (moved[nameOf(pulled)] ?? [0, 0]);
  }

  function drop() {
    if (drag === null) return;
    const dropped = all.find((one) => keyOf(one) === drag.key);
    const [bricks, courses] = stepsOf(drag, wall.step);
    if (dropped !== undefined && (bricks !== 0 || courses !== 0)) onMove?.(dropped, bricks, courses);
    setDrag(null);
  }

  return (
    <Canvas
      bounds={bounds}
      room={[size * 0.12, size * 0.05, size * 0.06]}
      above={30 + 32 * (isSmall ? 1 : wall.chains.length)}
      rule={rule}
      units={units}
      title={`${wall.title}. ${counted(wall)}. ${live ? 'Page keys choose one, arrow keys move it.' : ''}`}
      focusable={live}
      onKeyDown={onKeyDown}
      onPointerMove={(_mm, event) =>
        drag !== null && setDrag({ ...drag, along: event.clientX - drag.x, up: drag.y - event.clientY })
      }
      onPointerUp={drop}
    >
      {({ perPx }) => (
        <>
          <Card wall={wall} clip={clip} perPx={perPx} />
          {wall.shows_courses && (
            <g clipPath={`url(#${clip})`}>
              <Brickwork
                key={wall.paper}
                href={`/api/buildings/${building}/parts/${wall.paper ?? ''}.svg?art=1&r=${revision}`}
                bounds={own}
              />
            </g>
          )}
          <Lines wall={wall} bounds={own} perPx={perPx} />
          <Hatched wall={wall} clip={clip} perPx={perPx} />
          {wall.things.map((thing) => (
            <ThingMark
              key={thing.id}
              thing={thing}
              step={wall.step}
              pulled={pulledBy(thing)}
              isChosen={keyOfThing(thing.id) === chosen}
              perPx={perPx}
              onGrab={onChoose === undefined ? undefined : (event) => grab(thing, event, perPx)}
            />
          ))}
          {wall.openings.map((opening) => (
            <OpeningMark
              key={opening.key}
              opening={opening}
              step={wall.step}
              pulled={pulledBy(opening)}
              isChosen={opening.key === chosen || isOfItsRow(opening, current)}
              perPx={perPx}
              onGrab={onChoose === undefined ? undefined : (event) => grab(opening, event, perPx)}
            />
          ))}
          <Chains wall={wall} units={units} bounds={bounds} chosen={chosen} isSmall={isSmall} perPx={perPx} />
        </>
      )}
    </Canvas>
  );
}
