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
