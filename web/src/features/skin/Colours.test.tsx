import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { showIn, standInServer } from '../../testing/building';
import { hut, hutState } from '../../testing/hut';
import { SkinStage } from './SkinStage';

standInServer();

function coloured() {
  const derived = hut();
  derived.view.skin.palettes = [
    { id: 'c1', name: 'Old reds', path: 'palettes.0', named: ['blocks.0.walls.0.palette'] },
  ];
  return derived;
}

const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

describe('Colours of one’s own', () => {
  it('says what they are for, and adds some', () => {
    const { save } = showIn(hutState(), <SkinStage />, hut());
    press('colours');
    expect(screen.getByText(/burnt headers, bands and/)).toBeInTheDocument();
    press('Add colours');
    const value = { id: 'c1', name: 'Colours 1', colours: [{ colour: '#a65f4a', parts: 1 }] };
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'palettes.=c1', value }]);
  });

  it('shows them on any covering, and takes them out wherever they are named', () => {
    const { save } = showIn(hutState(), <SkinStage />, coloured());
    press('colours');
    fireEvent.change(screen.getByLabelText('Shown on'), { target: { value: 'stone-ashlar' } });
    expect(screen.getByAltText('Old reds, as they come out').getAttribute('src')).toMatch(
      /coverings\/(brick-flemish|stone-ashlar)\.svg\?look=.*palette=c1/,
    );
    press('Take these colours out');
    expect(save).toHaveBeenCalledWith([
      { op: 'set', path: 'blocks.0.walls.0.palette', value: null },
      { op: 'set', path: 'palettes.0', value: null },
    ]);
  });

  it('gives them to a wall, and takes them back', () => {
    const { save } = showIn(hutState(), <SkinStage />, coloured());
    fireEvent.change(screen.getByLabelText('In the colours'), { target: { value: 'c1' } });
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'blocks.0.walls.0.palette', value: 'c1' }]);
  });
});

describe('Two coverings', () => {
  it('are seen from where somebody stands, by what the server says of it', async () => {
    const asked = vi.fn(() =>
      Promise.resolve(
        new Response(
          JSON.stringify({ seen: { distance: 600, least_mm: 0.175, words: 'An eye tells 0.175 mm apart.' } }),
        ),
      ),
    );
    vi.stubGlobal('fetch', asked);
    showIn(hutState(), <SkinStage />, coloured());
    press('compare');
    fireEvent.change(screen.getByLabelText('seen'), { target: { value: '600' } });
    await waitFor(() => expect(screen.getByText('An eye tells 0.175 mm apart.')).toBeInTheDocument());
    expect(asked.mock.calls.flat()).toContain('/api/buildings/b/seen?distance=600');
    fireEvent.change(screen.getByLabelText('on the left'), { target: { value: 'felt' } });
    expect(screen.getByAltText('felt')).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('beside the tone'), { target: { value: '#6a7a5a' } });
    expect(screen.getByLabelText('the tone beside')).toBeInTheDocument();
    expect(screen.getByText('Print a piece of each')).toHaveAttribute('href', '/api/buildings/b/coverings.pdf');
  });
});
