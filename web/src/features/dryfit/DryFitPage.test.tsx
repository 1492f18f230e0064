import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { DryFit, Thought } from '../../api/types';
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

const thought = (): Thought => ({
  code: 'head.off-course',
  level: 'note',
  count: 1,
  words: 'The head is off',
  alike: true,
  left: false,
  places: [
    {
      at: 'main.front.w1',
      where: 'Front, window',
      go: { stage: 'shell', block: 'main', wall: 'main.front', opening: 'w1' },
    },
  ],
});

describe('Dry fit', () => {
  it('leads from a remark to the wall that it is of', async () => {
    server.answers = { fit };
    const derived = { ...hut(), thoughts: [thought()] };
    showIn(hutState(), <DryFitPage />, derived);
    expect(await screen.findByText(/The head is off/)).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Front, window' })).toHaveAttribute(
      'href',
      '/buildings/b/shell?wall=main.front&opening=w1',
    );
  });

  it('leaves a remark as it is, and counts it again', async () => {
    server.answers = { fit };
    const { save } = showIn(hutState(), <DryFitPage />, { ...hut(), thoughts: [thought()] });
    fireEvent.click(await screen.findByRole('button', { name: 'Leave it so' }));
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'leave.head~.off-course', value: ['main.front.w1'] }]);
  });

  it('does not offer to leave what stops it', async () => {
    server.answers = { fit };
    showIn(hutState(), <DryFitPage />, { ...hut(), thoughts: [{ ...thought(), level: 'stop' }] });
    expect(await screen.findByText(/The head is off/)).toBeInTheDocument();
    expect(screen.queryByRole('button', { name: 'Leave it so' })).toBeNull();
  });
});
