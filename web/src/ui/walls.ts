import type { Wall } from '../api/types';

/** The wall to which a remark belongs: it is of the wall, of a part of it, or of one of its openings. */
export function wallAt(walls: readonly Wall[], at: string): Wall | undefined {
  return walls.find((wall) => at === wall.key || at.startsWith(`${wall.key}.`) || wall.parts.includes(at));
}
