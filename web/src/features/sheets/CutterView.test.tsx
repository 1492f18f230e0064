import { screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Cut } from '../../api/types';
import { showIn, standInServer } from '../../testing/building';
import { hut, hutState } from '../../testing/hut';
import { CutterView } from './CutterView';

const server = standInServer();

const cut: Cut = {
  seconds: 75,
  findings: [],
  size: [210, 297],
  passes: 2,
  strokes: [],
  notes: ['Hut, sheet 1, greyboard-1, 210 x 297 mm', 'from here on greyboard-1'],
  cuts: [{ stock: 'greyboard 1.05 mm', passes: 2 }],
};

describe('the knife at work', () => {
  it('calls the stocks of a file as people do', async () => {
    server.answers = { 'sheets/1/cut': cut };
    showIn(hutState(), <CutterView sheet="1" packing="quick" close={vi.fn()} />, hut());
    expect(await screen.findByText(/Hut, sheet 1, greyboard 1.05 mm, 210 x 297 mm/)).toBeInTheDocument();
    expect(screen.getByText(/from here on greyboard 1.05 mm/)).toBeInTheDocument();
    expect(screen.queryByText(/greyboard-1/)).toBeNull();
  });
});
