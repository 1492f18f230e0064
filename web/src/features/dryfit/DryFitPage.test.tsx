import { screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { DryFit } from '../../api/types';
import { showIn, standInServer } from '../../testing/building';
import { hut, hutState } from '../../testing/hut';
import { DryFitPage } from './DryFitPage';

const server = standInServer();

const fit: DryFit = {
  ok: true,
  joints: 1,
  pieces: 3,
  findings: [],
  advice: null,
  measures: [
    {
      id: 'j1',
      kind: 'lap',
      a: 'main.front.core',
      b: 'main.front.paper',
      off_mm: 0,
      found: 'lies on it',
      closes: true,
      why: 'stuck to the wall',
      drawing: null,
    },
  ],
  free: [],
};

describe('Dry fit', () => {
  it('leads from a remark to the wall that it is of', async () => {
    server.answers = { fit };
    showIn(hutState(), <DryFitPage />, hut());
    expect(await screen.findByText(/The head is off/)).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Go there' })).toHaveAttribute(
      'href',
      '/buildings/b/shell?wall=main.front',
    );
  });
});
