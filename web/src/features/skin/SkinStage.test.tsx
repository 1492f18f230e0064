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

  it('covers a wall otherwise, chosen by its picture', () => {
    const { save } = showIn(hutState(), <SkinStage />, hut());
    fireEvent.click(screen.getByLabelText('ashlar'));
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'blocks.0.walls.0.finish', value: 'stone-ashlar' }]);
    expect(screen.queryByLabelText('felt')).toBeNull();
  });

  it('says that a bare wall has none', () => {
    const derived = hut();
    derived.view.walls = [frontWall({ parts: ['main.front.core'], paper: null, finish: 'bare' })];
    showIn(hutState(), <SkinStage />, derived);
    expect(screen.getByText(/This wall stays bare card/)).toBeInTheDocument();
  });

  it('covers a roof, and says how its rows come out', () => {
    const { save } = showIn(hutState(), <SkinStage />, hut());
    fireEvent.click(screen.getByRole('button', { name: 'roof' }));
    expect(screen.getByText('43 mm ÷ 3 mm: 15 rows.')).toBeInTheDocument();
    fireEvent.click(screen.getByLabelText('felt'));
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'blocks.0.roof.finish', value: 'felt' }]);
    fireEvent.change(screen.getByLabelText('laid'), { target: { value: 'strips' } });
    expect(save).toHaveBeenCalledWith([{ op: 'choose', path: 'blocks.0.roof.laid', value: 'strips' }]);
    expect(screen.queryByLabelText('ashlar')).toBeNull();
  });
});
