import type { Point } from '../../api/types';

/** An upright at a corner that turns by less than this, as a sine, would shade every arch. */
const SHARP = 0.34;

interface Facet {
  outline: Point[];
  /** The outline on the inside face, corner for corner, where edges are bevelled. */
  inside: Point[] | null;
  holes: Point[][];
}

/** The arrises of a card in its own axes, outside at no depth: x, y and z of the ends of every line in turn. */
export function rims(facet: Facet, thickness: number): number[] {
  const rings: [Point[], Point[]][] = [
    [facet.outline, facet.inside ?? facet.outline],
    ...facet.holes.map((hole): [Point[], Point[]] => [hole, hole]),
  ];
  return rings.flatMap(([outside, inside]) =>
    outside.flatMap((at, i) => {
      const next = (i + 1) % outside.length;
      const [below, belowNext, after] = [inside[i] ?? at, inside[next] ?? at, outside[next] ?? at];
      const lines = [...line(at, 0, after, 0), ...line(below, -thickness, belowNext, -thickness)];
      const before = outside[(i + outside.length - 1) % outside.length] ?? at;
      return turn(before, at, after) > SHARP ? [...lines, ...line(at, 0, below, -thickness)] : lines;
    }),
  );
}

function line(from: Point, z: number, to: Point, depth: number): number[] {
  return [from[0], from[1], z, to[0], to[1], depth];
}

/** How far the way through a corner turns: the sine, and 1 where it turns back. */
function turn(before: Point, at: Point, after: Point): number {
  const [ax, ay] = [at[0] - before[0], at[1] - before[1]];
  const [bx, by] = [after[0] - at[0], after[1] - at[1]];
  const along = ax * bx + ay * by;
  return along <= 0 ? 1 : Math.abs(ax * by - ay * bx) / Math.max(1e-9, Math.hypot(ax, ay) * Math.hypot(bx, by));
}
