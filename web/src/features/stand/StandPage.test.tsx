import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Stand, StandPiece } from '../../api/types';
import { showIn, standInServer } from '../../testing/building';
import { hut, hutState } from '../../testing/hut';
import { StandPage } from './StandPage';

// What is drawn in space is tested in a browser.
vi.mock('./StandCanvas', () => ({ StandCanvas: () => null }));

const server = standInServer();

const piece = (part: string, label: string, name: string, phase: string): StandPiece => ({
  key: `${part}#0`,
  part,
  copy: 0,
  label,
  name,
  group: 'shell',
  stock: 'greyboard-1',
  phase,
  layer: 'core',
  thickness: 1.17,
  art: false,
  tone: null,
  print: '',
  away: [0, -1, 0],
  stands: 'from 0.0 to 72.0 across',
  facets: [],
});

const stand: Stand = {
  revision: 1,
  box: [0, 72, 0, 48, 0, 60],
  phases: [
    { key: 'wall', text: 'walls' },
    { key: 'roof', text: 'roofs' },
  ],
  pieces: [
    piece('main.front.core', 'W1', 'Front wall, core', 'wall'),
    piece('main.front-slope.carrier', 'R1', 'Front slope', 'roof'),
  ],
  joints: [['main.front.core', 'main.front-slope.carrier', 'seat']],
  eye: null,
};

describe('Stand it up', () => {
  it('says of a piece where it stands, what it joins, and where it is drawn and printed', async () => {
    server.answers = { stand };
    showIn(hutState(), <StandPage />, hut());
    fireEvent.click(await screen.findByRole('button', { name: 'W1 Front wall, core' }));
    expect(screen.getByText(/It stands from 0.0 to 72.0 across/)).toBeInTheDocument();
    expect(screen.getByText('seat with R1 Front slope')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'In the drawing' })).toHaveAttribute(
      'href',
      '/buildings/b/shell?wall=main.front&part=main.front.core',
    );
    expect(screen.getByRole('link', { name: 'On sheet 1' })).toBeInTheDocument();
  });

  it('hides kinds of pieces', async () => {
    server.answers = { stand };
    showIn(hutState(), <StandPage />, hut());
    const roofs = await screen.findByLabelText('roofs');
    fireEvent.click(roofs);
    expect(roofs).not.toBeChecked();
  });
});
