import type { KeyboardEvent } from 'react';

/** Which way an arrow key moves, to the right and up, by one step or with Shift by another; null for other keys. */
export function arrowOf(event: KeyboardEvent, step: number, withShift: number): readonly [number, number] | null {
  const by = event.shiftKey ? withShift : step;
  switch (event.key) {
    case 'ArrowLeft':
      return [-by, 0];
    case 'ArrowRight':
      return [by, 0];
    case 'ArrowUp':
      return [0, by];
    case 'ArrowDown':
      return [0, -by];
    default:
      return null;
  }
}

/**
 * The one after that which is chosen, or before it, where a page key is pressed. Not by Tab: whoever only passes a drawing goes on with
 * what was chosen before it.
 */
export function pagedTo<T>(event: KeyboardEvent, all: readonly T[], isChosen: (one: T) => boolean): T | undefined {
  const by = { PageDown: 1, PageUp: -1 }[event.key];
  return by === undefined ? undefined : all[all.findIndex(isChosen) + by];
}
