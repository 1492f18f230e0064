import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Clearance, PlotView } from '../../api/types';
import { standInServer } from '../../testing/building';
import { showRow } from '../../testing/row';
import { Clearances } from './Clearances';
import { ComingOff } from './ComingOff';
import { PlotPlan } from './PlotPlan';

standInServer();

const clearance = (more: Partial<Clearance>): Clearance => ({
  kind: 'side',
  code: 'plot.over-edge',
  with: 'front',
  piece: 'main.front.core',
  left_mm: 4.2,
  fits: true,
  line: null,
  text: '4.20 mm left at the front side.',
  path: 'plot.size',
  sums: ['stands 6.20 mm inside', 'less 2.00 mm kept free'],
  ...more,
});

const plot = {
  fits: false,
  move: null,
  clearances: [clearance({}), clearance({ with: 'right', fits: false, left_mm: -3, text: 'Too far out.', sums: [] })],
  outline: [
    [0, 0],
    [100, 0],
    [100, 60],
    [0, 60],
  ],
  edges: [],
  walls: [],
  roofs: [],
  neighbours: [],
  roads: [],
  tracks: [],
  obstacles: [],
  eye: null,
} as unknown as PlotView;

describe('the plot', () => {
  it('opens the sum of what is left, and says in words what does not fit', () => {
    const onChoose = vi.fn();
    showRow(<Clearances plot={plot} chosen="side front" onChoose={onChoose} />);
    expect(screen.getByText('less 2.00 mm kept free')).toBeInTheDocument();
    expect(screen.getByText('does not fit:')).toHaveClass('visually-hidden');
    fireEvent.click(screen.getByRole('button', { name: /4.20 mm/ }));
    expect(onChoose).toHaveBeenCalledWith(null);
  });

  it('says in which order things come off', () => {
    const split = {
      texts: ['It is 300 mm long and can be handled in one piece.'],
    } as NonNullable<PlotView['split']>;
    showRow(<ComingOff off={['Bridge, up.', 'The building, up.']} split={split} />);
    const steps = within(screen.getByRole('region', { name: 'Coming off the layout' })).getAllByRole('listitem');
    expect(steps.map((step) => step.textContent)).toEqual(['Bridge, up.', 'The building, up.', split.texts[0]]);
  });

  it('is dragged by as far as it was pulled', () => {
    const onMove = vi.fn();
    showRow(<PlotPlan plot={plot} chosen={null} onMove={onMove} onChoose={vi.fn()} />);
    const drawing = screen.getByRole('application');
    const building = drawing.querySelector('[data-drag="building"]');
    if (building === null) throw new Error('no building to drag');
    fireEvent.pointerDown(building, { clientX: 100, clientY: 100 });
    fireEvent.pointerMove(drawing, { clientX: 140, clientY: 80 });
    fireEvent.pointerUp(drawing, { clientX: 140, clientY: 80 });
    expect(onMove).toHaveBeenCalledTimes(1);
    const [x, y] = onMove.mock.calls[0] as [number, number];
    // Twice as far to the right as to the back.
    expect(x).toBeGreaterThan(0);
    expect(x / y).toBeCloseTo(2, 1);
  });

  it('moves the building by a millimetre, with Shift by a tenth', () => {
    const onMove = vi.fn();
    showRow(<PlotPlan plot={plot} chosen={null} onMove={onMove} onChoose={vi.fn()} />);
    const plan = screen.getByRole('application');
    fireEvent.keyDown(plan, { key: 'ArrowRight' });
    fireEvent.keyDown(plan, { key: 'ArrowUp', shiftKey: true });
    fireEvent.keyDown(plan, { key: 'a' });
    expect(onMove.mock.calls).toEqual([
      [1, 0],
      [0, 0.1],
    ]);
  });
});
