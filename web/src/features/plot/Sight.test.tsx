import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Sight, SightDrawing } from '../../api/types';
import { standInServer } from '../../testing/building';
import { showRow } from '../../testing/row';
import { Deeper } from './Deeper';
import { DeeperFigures } from './DeeperFigures';
import { FromTheEye } from './FromTheEye';

const server = standInServer();

const picture = (key: string): SightDrawing => ({
  shapes: [
    {
      kind: 'wall',
      ring: [
        [0, 0],
        [50, 0],
        [50, 30],
        [0, 30],
      ],
    },
  ],
  lines: [
    { key, from: [-600, 350], to: [40, 93.6], limit: false, text: `${key} line` },
    { key: 'vanish', from: [0, 0], to: [25, 400], limit: true, text: '' },
  ],
  eyes: [{ at: [-600, 350], text: 'eye, 350 up' }],
});

const sight = (more: Partial<Sight> = {}): Sight => ({
  faces: [
    {
      kind: 'wall',
      key: 'sail.back',
      edge: 'back',
      name: 'back',
      path: 'blocks.0.walls.2',
      share: 0,
      degrees: 0,
      treat: 'full',
      wants: 'omit',
    },
    {
      kind: 'wall',
      key: 'sail.left',
      edge: 'left',
      name: 'left',
      path: 'blocks.0.walls',
      share: 0.01,
      degrees: 3,
      treat: 'full',
      wants: 'plain',
    },
  ],
  lines: [
    { key: 'top', shows: false, text: 'The top does not show.' },
    { key: 'flank', shows: true, text: 'It looks past the flank.' },
  ],
  insides: [],
  perspectives: [],
  view: { plan: picture('flank'), section: picture('top') },
  ...more,
});

describe('from the eye', () => {
  it('says how much of the inside shows through the openings', async () => {
    const inside = {
      key: 'sail.front.w',
      name: 'front: w',
      room_mm: 38,
      back_mm: [-14.5, 26.5] as [number, number],
      floor_mm: null,
      text: 'front: w. Of its floor nothing shows.',
    };
    server.answers = { sight: sight({ insides: [inside] }) };
    showRow(<FromTheEye />);
    expect(await screen.findByText('front: w. Of its floor nothing shows.')).toBeInTheDocument();
  });

  it('draws the line of the sentence that is chosen, in plan or in section', async () => {
    server.answers = { sight: sight() };
    const { container } = showRow(<FromTheEye />);
    expect(await screen.findByRole('img', { name: 'Lines of sight, in section' })).toBeInTheDocument();
    expect(container.querySelectorAll('[data-line=vanish]')).toHaveLength(0);
    fireEvent.click(screen.getByRole('button', { name: /looks past the flank/ }));
    const plan = screen.getByRole('img', { name: 'Lines of sight, in plan' });
    expect(plan.querySelector('[data-line=flank] path')).toHaveAttribute('stroke', 'var(--brick)');
    fireEvent.click(screen.getByRole('button', { name: 'The top does not show.' }));
    expect(screen.getByRole('img', { name: 'Lines of sight, in section' })).toBeInTheDocument();
  });

  it('leaves what hardly shows plain with one press', async () => {
    server.answers = { sight: sight() };
    const { save } = showRow(<FromTheEye />);
    fireEvent.click(await screen.findByRole('button', { name: 'Leave 2 walls plain' }));
    expect(save).toHaveBeenCalledWith([
      { op: 'set', path: 'blocks.0.walls.2.treat', value: 'plain' },
      { op: 'set', path: 'blocks.0.walls.=left', value: { edge: 'left', treat: 'plain' } },
    ]);
  });

  it('asks from where it is looked at, where nobody says', () => {
    const { save } = showRow(<FromTheEye />, { plot: undefined });
    fireEvent.click(screen.getByRole('button', { name: 'Say where it is seen from' }));
    expect(save.mock.calls[0]?.[0].map((edit) => edit.op)).toEqual(['add-plot', 'set']);
  });
});

describe('shallower than it looks', () => {
  const perspective = {
    path: 'perspective',
    name: 'Sail loft and Cork loft',
    vanishing_mm: 801.3,
    back_scale: 0.975,
    back_ratio: 78.2,
    rise_mm: 0.5,
    limit_mm: 123,
    strong: false,
    depths: [{ apparent_mm: 36, true_mm: 20, scale: 0.975 }],
    pieces: [{ label: 'M1', name: 'Floor', front_mm: 30, back_mm: 26, long_mm: 50.1, other_mm: 50.1 }],
    texts: ['All lines meet far behind.'],
  };

  it('shows where lines meet, and how large each piece is', async () => {
    server.answers = { sight: sight({ perspectives: [perspective] }) };
    const { container } = showRow(<Deeper />);
    expect(await screen.findByText('All lines meet far behind.')).toBeInTheDocument();
    expect(screen.getByRole('row', { name: /M1, floor 30.00 26.00 50.10, 50.10/ })).toBeInTheDocument();
    expect(screen.getByText('97.5 %')).toBeInTheDocument();
    // Only what recedes is drawn here.
    expect(container.querySelectorAll('[data-line=vanish]')).toHaveLength(1);
    expect(container.querySelectorAll('[data-line=flank]')).toHaveLength(0);
  });

  it('says what it is for while nothing recedes', async () => {
    server.answers = { sight: sight() };
    showRow(<Deeper />);
    expect(await screen.findByText(/Everything is as deep as it is/)).toBeInTheDocument();
  });

  it('lets single blocks recede, and all of them again', () => {
    server.answers = { sight: sight() };
    const { save } = showRow(<DeeperFigures />, { perspective: { depth: '20mm', blocks: ['cork'] } });
    expect(screen.getByLabelText('Cork loft')).toBeDisabled();
    fireEvent.click(screen.getByLabelText('Sail loft'));
    expect(save).toHaveBeenLastCalledWith([{ op: 'set', path: 'perspective.blocks', value: null }]);
    fireEvent.click(screen.getByLabelText('with the ground between them'));
    expect(save).toHaveBeenLastCalledWith([{ op: 'set', path: 'perspective.ground', value: true }]);
    fireEvent.click(screen.getByRole('button', { name: 'Build them as deep as they are' }));
    expect(save.mock.lastCall?.[0]).toHaveLength(5);
  });

  it('offers only openings that stand open', () => {
    const { save } = showRow(<DeeperFigures />);
    fireEvent.click(screen.getByRole('button', { name: 'Build an inside' }));
    expect(save).toHaveBeenCalledWith([
      {
        op: 'set',
        path: 'perspective.mouths',
        value: [{ opening: 'sail.front.p1', depth: '30mm', apparent: '80mm' }],
      },
    ]);
  });
});
