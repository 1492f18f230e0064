import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { showIn, standInServer } from '../../testing/building';
import { frontWall, hut, hutState } from '../../testing/hut';
import { SkinStage } from './SkinStage';

standInServer();

describe('Skin', () => {
  it('shows the paper of a wall with its sums, and what is remarked on it', () => {
    showIn(hutState(), <SkinStage />, hut());
    expect(screen.getByAltText(/Front wall, brick paper/)).toHaveAttribute(
      'src',
      '/api/buildings/b/parts/main.front.paper.svg?r=1',
    );
    expect(screen.getByText('The head is off.')).toBeInTheDocument();
  });

  it('changes the bond', () => {
    const { save } = showIn(hutState(), <SkinStage />, hut());
    fireEvent.change(screen.getByLabelText('finish'), { target: { value: 'brick-english' } });
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'blocks.0.walls.0.finish', value: 'brick-english' }]);
  });

  it('says that a bare wall has none', () => {
    const derived = hut();
    derived.view.walls = [frontWall({ parts: ['main.front.core'], paper: null, finish: 'bare' })];
    showIn(hutState(), <SkinStage />, derived);
    expect(screen.getByText(/This wall stays bare card/)).toBeInTheDocument();
  });
});
