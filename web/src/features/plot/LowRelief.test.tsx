import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { ReliefTable } from '../../api/types';
import { standInServer } from '../../testing/building';
import { showRow } from '../../testing/row';
import { LowRelief } from './LowRelief';

const server = standInServer();

describe('low relief', () => {
  const table: ReliefTable = {
    depth_mm: 30,
    whole_mm: 48.5,
    half_bricks: 20,
    even: [28.5, 31.5],
    rows: [
      {
        school: 'slice',
        costs: 'Everything that is left is true.',
        chosen: false,
        refused: null,
        top_mm: 93.56,
        off_mm: -8.39,
        heights: ['Top at 93.56 mm, 8.39 lower than it is.', '41.6 mm above the cooperage.'],
        slopes: [{ name: 'front', pitch: '40°', slope_mm: 52.22 }],
        slates: { is: 18.4, was: 23 },
        recommended: 'There is no room up to the ridge.',
        lost: ['2 windows dropped'],
        view: [],
      },
      {
        school: 'front-slope',
        costs: '',
        chosen: false,
        refused: 'the ridge lies behind the cut',
        top_mm: null,
        off_mm: null,
        heights: [],
        slopes: [],
        slates: null,
        recommended: null,
        lost: [],
        view: [],
      },
    ],
  };

  it('shows the schools side by side, and takes one at the depth that was asked', async () => {
    server.answers = { relief: table };
    const { save } = showRow(<LowRelief />);
    expect(
      await screen.findByText(/8.39 lower than it is. 41.6 mm above the cooperage. front slope 52.22/),
    ).toBeInTheDocument();
    expect(screen.getByText('2 windows dropped')).toBeInTheDocument();
    expect(screen.getByText(/18.4 rows of slates at the front, of 23.0/)).toBeInTheDocument();
    expect(screen.getByText('recommended')).toBeInTheDocument();
    expect(
      within(screen.getByRole('region', { name: 'Front slope' })).getByRole('button', { name: 'Cut it so' }),
    ).toBeDisabled();
    fireEvent.change(screen.getByLabelText('cut to a depth of'), { target: { value: '36mm' } });
    fireEvent.click(screen.getByRole('button', { name: 'Compare' }));
    fireEvent.click(within(screen.getByRole('region', { name: 'Slice' })).getByRole('button', { name: 'Cut it so' }));
    expect(save).toHaveBeenCalledWith([
      { op: 'set', path: 'relief', value: { depth: '36mm', school: 'slice', back: 'open', flank: 'keep' } },
    ]);
  });
});
