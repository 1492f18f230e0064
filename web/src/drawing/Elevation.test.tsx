import { fireEvent, render, screen } from '@testing-library/react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { frontWall } from '../testing/hut';
import { Elevation } from './Elevation';

const wall = frontWall({ finish: 'bare', step: { along_mm: 1, up_mm: 1 } });

beforeAll(() => {
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      disconnect() {}
    },
  );
});

function draw(chosen: string | null) {
  const calls = { choose: vi.fn(), move: vi.fn(), remove: vi.fn() };
  render(
    <Elevation
      wall={wall}
      rule={{ foot_mm: 4, metre_mm: 13.1 }}
      units="imperial"
      building="b"
      revision={1}
      chosen={chosen}
      onChoose={calls.choose}
      onMove={calls.move}
      onRemove={calls.remove}
    />,
  );
  return { ...calls, drawing: screen.getByRole('application') };
}

describe('an elevation by keyboard', () => {
  it.each([
    [null, 'PageDown', 'w1'],
    ['w1', 'PageDown', 'w2'],
    ['w2', 'PageUp', 'w1'],
  ])('chooses the openings one after the other: from %s with %s to %s', (from, key, to) => {
    const { drawing, choose } = draw(from);
    expect(fireEvent.keyDown(drawing, { key })).toBe(false);
    expect(choose).toHaveBeenCalledWith(to);
  });

  it.each([
    ['w2', 'PageDown'],
    ['w1', 'PageUp'],
    ['w1', 'Tab'],
  ])('chooses no other from %s with %s', (from, key) => {
    const { drawing, choose } = draw(from);
    expect(fireEvent.keyDown(drawing, { key })).toBe(true);
    expect(choose).not.toHaveBeenCalled();
  });

  it.each([
    ['ArrowRight', false, 1, 0],
    ['ArrowLeft', true, -0.25, 0],
    ['ArrowUp', false, 0, 1],
    ['ArrowDown', true, 0, -0.25],
  ])('%s (shift %s) moves by %s along and %s up', (key, shiftKey, along, up) => {
    const { drawing, move } = draw('w1');
    fireEvent.keyDown(drawing, { key, shiftKey });
    expect(move).toHaveBeenCalledWith(wall.openings[0], along, up);
  });

  it('removes the chosen one, and moves nothing where none is chosen', () => {
    const { drawing, remove } = draw('w2');
    fireEvent.keyDown(drawing, { key: 'Delete' });
    expect(remove).toHaveBeenCalledWith(wall.openings[1]);
  });

  it('does nothing where nothing is chosen', () => {
    const { drawing, move, remove } = draw(null);
    fireEvent.keyDown(drawing, { key: 'ArrowRight' });
    fireEvent.keyDown(drawing, { key: 'Delete' });
    expect(move).not.toHaveBeenCalled();
    expect(remove).not.toHaveBeenCalled();
  });
});
