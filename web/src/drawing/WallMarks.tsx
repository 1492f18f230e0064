import type { PointerEvent } from 'react';
import type { Opening, Thing, Wall } from '../api/types';
import { Words } from './Dimension';
import { pathOf } from './geometry';

/** One opening as it stands, or as far as it has been pulled, in bricks along and courses up. */
export function OpeningMark({
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
        fill={fillOf(opening)}
        stroke={opening.clashes ? 'var(--signal)' : isChosen ? 'var(--brick)' : 'var(--ink)'}
        strokeWidth={(isChosen ? 3 : 1.2) * perPx}
      />
      {opening.leaves.map((leaf, i) => (
        <path key={i} d={pathOf(leaf)} fill="var(--door)" stroke="var(--slate)" strokeWidth={perPx} />
      ))}
      {opening.panes.map((pane, i) => (
        <path key={i} d={pathOf(pane)} fill="var(--pane)" stroke="var(--slate)" strokeWidth={perPx} />
      ))}
      {opening.panels.map((panel, i) => (
        <path key={i} d={pathOf(panel)} fill="none" stroke="var(--slate)" strokeWidth={perPx} />
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

function fillOf({ clashes, stands_open, kind }: Opening): string {
  if (clashes) return 'var(--clash-wash)';
  if (stands_open) return 'var(--slate)';
  return kind === 'door' ? 'var(--door)' : 'var(--sheet)';
}

/** What a thing takes of the wall, as it stands or as far as it has been pulled. */
export function ThingMark({
  thing,
  step,
  pulled,
  isChosen,
  perPx,
  onGrab,
}: {
  thing: Thing;
  step: Wall['step'];
  pulled: readonly [number, number];
  isChosen: boolean;
  perPx: number;
  onGrab: ((event: PointerEvent<SVGGElement>) => void) | undefined;
}) {
  const first = thing.rings[0] ?? [];
  return (
    <g
      className={onGrab === undefined ? undefined : 'opening'}
      data-thing={thing.id}
      transform={`translate(${pulled[0] * step.along_mm} ${pulled[1] * step.up_mm})`}
      onPointerDown={(event: PointerEvent<SVGGElement>) => {
        onGrab?.(event);
      }}
    >
      <title>{thing.called}</title>
      {thing.rings.map((ring, i) => (
        <path
          key={i}
          d={pathOf(ring)}
          fill={thing.clashes ? 'var(--clash-wash)' : 'var(--edge-wash)'}
          fillOpacity={thing.clashes ? 1 : 0.45}
          stroke={thing.clashes ? 'var(--signal)' : isChosen ? 'var(--brick)' : 'var(--slate)'}
          strokeWidth={(isChosen ? 3 : 1.2) * perPx}
        />
      ))}
      {isChosen && first.length > 0 && (
        <Words
          x={(Math.min(...first.map(([x]) => x)) + Math.max(...first.map(([x]) => x))) / 2}
          y={Math.max(...first.map(([, y]) => y)) + 5 * perPx}
          perPx={perPx}
          strong
        >
          {thing.called}
        </Words>
      )}
    </g>
  );
}
