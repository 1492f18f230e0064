import { type KeyboardEvent, type PointerEvent, useId, useState } from 'react';
import type { Opening, Units, Wall } from '../api/types';
import { arrowOf, pagedTo } from './arrows';
import { Canvas } from './Canvas';
import { Dimension, Words } from './Dimension';
import { type Bounds, boundsOf, pathOf } from './geometry';
import { useOneAtATime } from './oneAtATime';

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
  onMove?: (opening: Opening, bricks: number, courses: number) => void;
  onRemove?: (opening: Opening) => void;
  /** Moves that the drawing does not hold yet, by the opening's id: bricks along, courses up. */
  moved?: Record<string, readonly [number, number]>;
  /** Less wide than the drawing of a stage. */
  isSmall?: boolean;
}

/** A pull at an opening: how far, in pixels, at so many millimetres a pixel. */
interface Drag {
  key: string;
  x: number;
  y: number;
  along: number;
  up: number;
  perPx: number;
}

/** What moves as one. */
const nameOf = (opening: Opening) => opening.row ?? opening.id;

const quarters = (value: number) => Math.round(value * 4) / 4;

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
  const bounds = boundsOf([wall.whole, ...wall.outlines]);
  const size = bounds.x1 - bounds.x0;
  const current = wall.openings.find((opening) => opening.key === chosen) ?? null;
  const live = onChoose !== undefined;

  function onKeyDown(event: KeyboardEvent<SVGSVGElement>) {
    const move = arrowOf(event, 1, 0.25);
    const next = pagedTo(event, wall.openings, (opening) => opening.key === chosen);
    if (next !== undefined && onChoose !== undefined) {
      onChoose(next.key);
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

  function grab(opening: Opening, event: PointerEvent<SVGGElement>, perPx: number) {
    onChoose?.(opening.key);
    setDrag({ key: opening.key, x: event.clientX, y: event.clientY, along: 0, up: 0, perPx });
  }

  /** All of a row go along with the one that is pulled. */
  function pulledBy(opening: Opening): readonly [number, number] {
    return drag !== null && wall.openings.some((one) => one.key === drag.key && nameOf(one) === nameOf(opening))
      ? stepsOf(drag, wall.step)
      : (moved[nameOf(opening)] ?? [0, 0]);
  }

  function drop() {
    if (drag === null) return;
    const opening = wall.openings.find((one) => one.key === drag.key);
    const [bricks, courses] = stepsOf(drag, wall.step);
    if (opening !== undefined && (bricks !== 0 || courses !== 0)) onMove?.(opening, bricks, courses);
    setDrag(null);
  }

  return (
    <Canvas
      bounds={bounds}
      room={[size * 0.12, size * 0.05, size * 0.06]}
      above={30 + 32 * (isSmall ? 1 : wall.chains.length)}
      rule={rule}
      units={units}
      title={`${wall.title}. ${wall.openings.length === 1 ? 'One opening' : `${wall.openings.length} openings`}. ${live ? 'Page keys choose one, arrow keys move it.' : ''}`}
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
                bounds={bounds}
              />
            </g>
          )}
          <Lines wall={wall} bounds={bounds} perPx={perPx} />
          <Hatched wall={wall} clip={clip} perPx={perPx} />
          {wall.openings.map((opening) => (
            <OpeningMark
              key={opening.key}
              opening={opening}
              step={wall.step}
              pulled={pulledBy(opening)}
              isChosen={opening.key === chosen || (opening.row !== null && opening.row === current?.row)}
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

/** One opening as it stands, or as far as it has been pulled, in bricks along and courses up. */
function OpeningMark({
  opening,
  step,
  pulled,
  isChosen,
  perPx,
  onGrab,
}: {
  opening: Opening;
  step: Wall['step'];
  pulled: readonly [number, number];
  isChosen: boolean;
  perPx: number;
  /** Undefined where the drawing only shows. */
  onGrab: ((event: PointerEvent<SVGGElement>) => void) | undefined;
}) {
  return (
    <g
      className={onGrab === undefined ? undefined : 'opening'}
      data-opening={opening.key}
      transform={`translate(${pulled[0] * step.along_mm} ${pulled[1] * step.up_mm})`}
      onPointerDown={(event: PointerEvent<SVGGElement>) => {
        onGrab?.(event);
      }}
    >
      <path
        d={pathOf(opening.ring)}
        fill={opening.clashes ? 'var(--clash-wash)' : opening.kind === 'door' ? 'var(--door)' : 'var(--sheet)'}
        stroke={opening.clashes ? 'var(--signal)' : isChosen ? 'var(--brick)' : 'var(--ink)'}
        strokeWidth={(isChosen ? 3 : 1.2) * perPx}
      />
      {opening.panes.map((pane, i) => (
        <path key={i} d={pathOf(pane)} fill="var(--pane)" stroke="var(--slate)" strokeWidth={perPx} />
      ))}
      {isChosen && opening.row === null && (
        <Words
          x={(opening.ring[0]?.[0] ?? 0) + opening.width.model_mm / 2}
          y={opening.sill.model_mm - 15 * perPx}
          perPx={perPx}
          strong
        >
          {opening.called}
        </Words>
      )}
    </g>
  );
}

/** The card that is built, and, dashed, what another block hides. */
function Card({ wall, clip, perPx }: { wall: Wall; clip: string; perPx: number }) {
  return (
    <>
      <clipPath id={clip}>
        {wall.outlines.map((outline, i) => (
          <path key={i} d={pathOf(outline)} />
        ))}
      </clipPath>
      {/* What another block hides. */}
      <path
        d={pathOf(wall.whole)}
        fill="none"
        stroke="var(--slate)"
        strokeWidth={perPx}
        strokeDasharray={`${4 * perPx} ${3 * perPx}`}
      />
      {wall.outlines.map((outline, i) => (
        <path key={i} d={pathOf(outline)} fill="var(--edge-wash)" stroke="none" />
      ))}
    </>
  );
}

/** What another block stands in front of: hatched, so that nobody puts a window there unawares. */
function Hatched({ wall, clip, perPx }: { wall: Wall; clip: string; perPx: number }) {
  const pattern = useId();
  if (wall.covered.length === 0) return null;
  const size = 9 * perPx;
  return (
    <g clipPath={`url(#${clip})`}>
      <pattern id={pattern} width={size} height={size} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1={0} x2={0} y1={0} y2={size} stroke="var(--slate)" strokeWidth={1.5 * perPx} />
      </pattern>
      {wall.covered.map((one, i) => (
        <path key={i} d={pathOf(one.ring)} fill={`url(#${pattern})`} stroke="var(--slate)" strokeWidth={perPx}>
          <title>{one.by} stands here</title>
        </path>
      ))}
    </g>
  );
}

/** What is printed on it. */
function Brickwork({ href, bounds }: { href: string; bounds: Bounds }) {
  return (
    <image
      {...useOneAtATime(href)}
      x={bounds.x0}
      y={bounds.y0}
      width={bounds.x1 - bounds.x0}
      height={bounds.y1 - bounds.y0}
      preserveAspectRatio="none"
      transform={`scale(1 -1) translate(0 ${-2 * bounds.y0 - (bounds.y1 - bounds.y0)})`}
      opacity={0.5}
    />
  );
}

/** Its outline, the ground it stands on, and lines that are printed on it. */
function Lines({ wall, bounds, perPx }: { wall: Wall; bounds: Bounds; perPx: number }) {
  const size = bounds.x1 - bounds.x0;
  return (
    <>
      {wall.outlines.map((outline, i) => (
        <path key={i} d={pathOf(outline)} fill="none" stroke="var(--ink)" strokeWidth={1.5 * perPx} />
      ))}
      <line
        x1={bounds.x0 - size * 0.08}
        x2={bounds.x1 + size * 0.05}
        y1={0}
        y2={0}
        stroke="var(--ink)"
        strokeWidth={2 * perPx}
      />
      {wall.marks.map((mark, i) => (
        <g key={i}>
          <path
            d={pathOf(mark.path, false)}
            fill="none"
            stroke="var(--slate)"
            strokeWidth={perPx}
            strokeDasharray={`${1.5 * perPx} ${3 * perPx}`}
          />
          <title>{mark.text}</title>
        </g>
      ))}
    </>
  );
}

/** Its dimensions: openings and piers over it, its height beside it. */
function Chains({
  wall,
  units,
  bounds,
  chosen,
  isSmall,
  perPx,
}: {
  wall: Wall;
  units: Units;
  bounds: Bounds;
  chosen: string | null;
  isSmall: boolean;
  perPx: number;
}) {
  return (
    <>
      {(isSmall ? wall.chains.slice(0, 1) : wall.chains).map((links, level) =>
        links.map((link) => (
          <Dimension
            key={`${level}-${link.from}`}
            from={link.from}
            to={link.to}
            y={bounds.y1 + (24 + level * 30) * perPx}
            perPx={perPx}
            strong={link.opening !== null && link.opening === chosen}
            text={
              level === 1 || wall.chains.length === 1
                ? `${link.size[units]} · ${link.size.model_mm.toFixed(1)}`
                : link.size.model_mm.toFixed(1)
            }
          />
        )),
      )}
      <Dimension
        upright
        from={0}
        to={wall.height.model_mm}
        y={bounds.x0 - 18 * perPx}
        perPx={perPx}
        text={`${wall.height[units]} · ${wall.height.model_mm.toFixed(1)}`}
      />
    </>
  );
}
