import { useId } from 'react';
import type { Units, Wall } from '../api/types';
import { Dimension } from './Dimension';
import { type Bounds, pathOf } from './geometry';
import { useOneAtATime } from './oneAtATime';

/** The card that is built, and, dashed, what another block hides. */
export function Card({ wall, clip, perPx }: { wall: Wall; clip: string; perPx: number }) {
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
export function Hatched({ wall, clip, perPx }: { wall: Wall; clip: string; perPx: number }) {
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
export function Brickwork({ href, bounds }: { href: string; bounds: Bounds }) {
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
export function Lines({ wall, bounds, perPx }: { wall: Wall; bounds: Bounds; perPx: number }) {
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
export function Chains({
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
