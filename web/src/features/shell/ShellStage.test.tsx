import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { showIn, standInServer } from '../../testing/building';
import { hut, hutState } from '../../testing/hut';
import { ShellStage } from './ShellStage';

standInServer();

describe('Shell', () => {
  it('adds an opening of a kind to the wall that is drawn', () => {
    const { save } = showIn(hutState(), <ShellStage />, hut());
    expect(screen.getAllByRole('heading', { name: 'Front, from outside' })).not.toHaveLength(0);
    fireEvent.click(screen.getByRole('button', { name: 'Add sash' }));
    expect(save).toHaveBeenCalledWith([{ op: 'add-opening', wall: 'main.front', style: 'sash' }]);
  });

  it('chooses an opening, copies it, makes it a row, and takes it away', () => {
    const { save, container } = showIn(hutState(), <ShellStage />, hut());
    const mark = container.querySelector('[data-opening=w1]');
    expect(mark).not.toBeNull();
    if (mark !== null) fireEvent.pointerDown(mark);
    expect(screen.getByLabelText('from the left end')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Copy w1' }));
    fireEvent.click(screen.getByRole('button', { name: 'One more in the row' }));
    fireEvent.click(screen.getByRole('button', { name: 'Remove w1' }));
    expect(save.mock.calls.map(([edits]) => edits[0])).toEqual([
      { op: 'copy-opening', wall: 'main.front', id: 'w1' },
      { op: 'repeat-opening', wall: 'main.front', id: 'w1', count: 2 },
      { op: 'remove-opening', wall: 'main.front', id: 'w1' },
    ]);
  });

  it('says so where nothing stands yet', () => {
    showIn(hutState({ derived: null }), <ShellStage />);
    expect(screen.getByText('Nothing to draw yet')).toBeInTheDocument();
  });
});
