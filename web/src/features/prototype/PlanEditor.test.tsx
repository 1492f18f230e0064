import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { showIn, standInServer } from '../../testing/building';
import { hut, hutState } from '../../testing/hut';
import { PlanEditor } from './PlanEditor';

standInServer();

const two = () => {
  const derived = hut();
  derived.view.plan.blocks.push(...hut().view.plan.blocks.map((block) => ({ ...block, id: 'wing' })));
  return derived;
};

describe('The plan by keys', () => {
  it('is passed by Tab without another block being chosen, and left by page keys at its ends', () => {
    const choose = vi.fn();
    const move = vi.fn();
    showIn(hutState(), <PlanEditor chosen="main" onChoose={choose} onMove={move} />, two());
    const plan = screen.getByRole('application');
    expect(fireEvent.keyDown(plan, { key: 'Tab' })).toBe(true);
    expect(fireEvent.keyDown(plan, { key: 'PageUp' })).toBe(true);
    expect(choose).not.toHaveBeenCalled();
    expect(fireEvent.keyDown(plan, { key: 'PageDown' })).toBe(false);
    expect(choose).toHaveBeenCalledWith('wing');
    fireEvent.keyDown(plan, { key: 'ArrowUp', shiftKey: true });
    expect(move).toHaveBeenCalledWith('main', 0, 4, false);
  });
});
