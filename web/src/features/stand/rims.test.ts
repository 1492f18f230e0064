import { describe, expect, it } from 'vitest';
import type { Point } from '../../api/types';
import { rims } from './rims';

const square: Point[] = [
  [0, 0],
  [10, 0],
  [10, 10],
  [0, 10],
];

function lines(flat: number[]): number[][] {
  return Array.from({ length: flat.length / 6 }, (_, i) => flat.slice(6 * i, 6 * i + 6));
}

describe('rims', () => {
  it('has the arrises of both faces and an upright at every corner', () => {
    const found = lines(rims({ outline: square, inside: null, holes: [] }, 2));
    expect(found).toHaveLength(12);
    expect(found.filter((l) => l[2] === 0 && l[5] === 0)).toHaveLength(4);
    expect(found.filter((l) => l[2] === -2 && l[5] === -2)).toHaveLength(4);
    expect(found).toContainEqual([10, 10, 0, 10, 10, -2]);
  });

  it('goes round holes and draws nothing between them', () => {
    const hole = (x: number): Point[] => [
      [x, 4],
      [x, 6],
      [x + 1, 6],
      [x + 1, 4],
    ];
    const found = lines(rims({ outline: square, inside: null, holes: [hole(2), hole(6)] }, 1));
    expect(found).toHaveLength(36);
    expect(found.filter(([x0 = 0, , , x1 = 0]) => Math.min(x0, x1) === 3 && Math.max(x0, x1) === 6)).toEqual([]);
  });

  it('leans where edges are bevelled, and leaves out the uprights of an arch', () => {
    const inside: Point[] = [
      [1, 0],
      [9, 0],
      [9, 10],
      [1, 10],
    ];
    expect(lines(rims({ outline: square, inside, holes: [] }, 1))).toContainEqual([0, 0, 0, 1, 0, -1]);
    const round = Array.from({ length: 40 }, (_, i): Point => [Math.cos(i * 0.157), Math.sin(i * 0.157)]);
    expect(lines(rims({ outline: round, inside: null, holes: [] }, 1))).toHaveLength(80);
  });
});
