import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Made } from '../../api/types';
import { showIn, standInServer } from '../../testing/building';
import { hut, hutState } from '../../testing/hut';
import { BenchPage } from './BenchPage';

const server = standInServer();

const made = (): Made => ({
  revision: 1,
  counts: { pieces: 2, printed: 1, cut: 1, papered: 0, fixed: 0, stale: 0 },
  pieces: [
    {
      part: 'main.front.core',
      copy: 0,
      label: 'W1',
      name: 'Front wall',
      group: 'shell',
      stock: 'card',
      qty: 1,
      state: 'cut',
      change: null,
      by: null,
      kept: false,
    },
    {
      part: 'main.front.paper',
      copy: 0,
      label: 'P1',
      name: 'Paper',
      group: 'skin',
      stock: 'paper',
      qty: 1,
      state: null,
      change: null,
      by: null,
      kept: false,
    },
  ],
  prints: [{ revision: 1, what: 'all sheets', pieces: 2, at: '2026-11-28T10:00:00Z' }],
});

describe('Bench', () => {
  it('lists pieces with how far each is, and only those that are asked for', async () => {
    server.answers = { made: made() };
    showIn(hutState(), <BenchPage />, hut());
    expect(await screen.findByText(/Of 2 pieces 1 are printed, 1 cut/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'not cut yet' }));
    expect(screen.getAllByRole('group', { name: /W1|P1/ })).toHaveLength(1);
    expect(screen.getByText(/all sheets, 2 pieces, from revision 1/)).toBeInTheDocument();
  });

  it('marks a piece with one press, and takes the mark back with another', async () => {
    server.answers = { made: made(), pieces: made() };
    showIn(hutState(), <BenchPage />, hut());
    const steps = await screen.findByRole('group', { name: /W1/ });
    const cut = Array.from(steps.querySelectorAll('button')).find((button) => button.textContent === 'cut');
    expect(cut).toHaveAttribute('aria-pressed', 'true');
    if (cut !== undefined) fireEvent.click(cut);
    await waitFor(() => expect(server.asked).toContain('/api/buildings/b/pieces'));
  });

  it('says what the program changed, and lets it be kept as it is', async () => {
    const changed = made();
    const [front] = changed.pieces;
    if (front === undefined) throw new Error('No piece');
    front.by = 'program';
    front.change = {
      id: 'main.front.core',
      label: 'W1',
      name: 'Front wall',
      kind: 'cut',
      mm: 1,
      text: '2.00 mm wider',
      before: null,
      after: null,
    };
    changed.counts.stale = 1;
    const kept = structuredClone(changed);
    kept.pieces = kept.pieces.map((piece) => (piece.by === 'program' ? { ...piece, kept: true } : piece));
    kept.counts.stale = 0;
    server.answers = { made: changed, 'pieces/kept': kept };
    showIn(hutState(), <BenchPage />, hut());
    expect(await screen.findByText(/One piece was changed by the program/)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Keep as it is: Front wall' }));
    await waitFor(() => expect(server.asked).toContain('/api/buildings/b/pieces/kept'));
    expect(await screen.findByText(/kept as it was made/)).toBeInTheDocument();
    expect(screen.queryByText(/changed by the program, not by you/)).not.toBeInTheDocument();
  });

  it('says so where there is nothing to make yet', () => {
    showIn(hutState({ derived: null }), <BenchPage />);
    expect(screen.getByText('Nothing to make yet')).toBeInTheDocument();
  });
});
