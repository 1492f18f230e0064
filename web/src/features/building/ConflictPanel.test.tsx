import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Conflict, Difference } from '../../api/types';
import { ConflictPanel } from './ConflictPanel';

const difference = (path: string, text: string, clashes: boolean): Difference => ({
  path,
  text,
  before: '1ft',
  after: '2ft',
  clashes,
});

const mine = [
  difference('width', 'width from 18ft to 20ft', false),
  difference('eaves', 'eaves from 9ft to 11ft', true),
];

const conflict: Conflict = {
  code: 'conflict',
  message: 'changed',
  base: 2,
  theirs: {
    number: 3,
    summary: 'eaves from 9ft to 10ft',
    name: null,
    note: null,
    kind: 'edit',
    parts_changed: 4,
    is_sound: true,
    at: '2026-11-26T12:00:00Z',
    document: {},
  },
  mine: { summary: 'both', document: {} },
  sent: {},
  differences: { theirs: [difference('eaves', 'eaves from 9ft to 10ft', true)], mine },
};

function show() {
  const settle = vi.fn();
  render(<ConflictPanel conflict={conflict} settle={settle} />);
  return settle;
}

describe('two versions of one building', () => {
  it('shows what each changed, and ticks what only mine did', () => {
    show();
    expect(screen.getByText('eaves from 9ft to 10ft')).toBeInTheDocument();
    expect(screen.getByLabelText(/width from 18ft to 20ft/)).toBeChecked();
    expect(screen.getByLabelText(/they changed this too/)).not.toBeChecked();
  });

  it('takes the ticked ones across, and more when they are ticked', () => {
    const settle = show();
    fireEvent.click(screen.getByText('Take the ticked ones across'));
    expect(settle).toHaveBeenLastCalledWith([mine[0]]);
    fireEvent.click(screen.getByLabelText(/they changed this too/));
    fireEvent.click(screen.getByText('Take the ticked ones across'));
    expect(settle).toHaveBeenLastCalledWith(mine);
    fireEvent.click(screen.getByLabelText(/width/));
    fireEvent.click(screen.getByLabelText(/they changed/));
    expect(screen.getByText('Take the ticked ones across')).toBeDisabled();
  });

  it.each([
    ['Put mine on top of it', 'again'],
    ['Keep mine whole', 'mine'],
    ['Take theirs, drop mine', 'theirs'],
  ])('offers to “%s”', (words, how) => {
    const settle = show();
    fireEvent.click(screen.getByText(words));
    expect(settle).toHaveBeenCalledWith(how);
  });
});
