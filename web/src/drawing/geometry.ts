import type { Point } from '../api/types';

/** Placing only: bounds and paths of points that the server worked out. */
export interface Bounds {
  x0: number;
  y0: number;
  x1: number;
  y1: number;
}

export function boundsOf(rings: readonly (readonly Point[])[]): Bounds {
  const bounds = { x0: Infinity, y0: Infinity, x1: -Infinity, y1: -Infinity };
  for (const ring of rings) {
    for (const [x, y] of ring) {
      bounds.x0 = Math.min(bounds.x0, x);
      bounds.y0 = Math.min(bounds.y0, y);
      bounds.x1 = Math.max(bounds.x1, x);
      bounds.y1 = Math.max(bounds.y1, y);
    }
  }
  return bounds;
}

export function pathOf(ring: readonly Point[], close = true): string {
  return `M${ring.map(([x, y]) => `${x} ${y}`).join('L')}${close ? 'Z' : ''}`;
}

/** A pull in steps, to a quarter of one. */
export const quarters = (steps: number) => Math.round(steps * 4) / 4;
