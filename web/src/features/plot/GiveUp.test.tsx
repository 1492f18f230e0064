import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { CompromiseRow, Compromises } from '../../api/types';
import { standInServer } from '../../testing/building';
import { showRow } from '../../testing/row';
import { GiveUp } from './GiveUp';

const server = standInServer();

const row = (key: string, more: Partial<CompromiseRow> = {}): CompromiseRow => ({
  key,
  title: key,
  wall: 'sail.front',
  steps: [{ op: key, block: 'sail', edge: 'front', by: '1ft' }],
  relief: null,
  costs: [`${key} narrower`],
  harm: 12.3,
  protected: false,
  finished: { across: 335, deep: 136, high: 115.4 },
  over_mm: 0,
  closes: true,
  refused: null,
  view: [
    {
      kind: 'wall',
      ring: [
        [0, 0],
        [10, 0],
        [10, 5],
      ],
    },
  ],
  ghost: [],
  ...more,
});

const compromises = (more: Partial<Compromises> = {}): Compromises => ({
  now: { across: 342.9, deep: 136, high: 115.4 },
  to: { across: 335, deep: null, high: null },
  of_plot: true,
  missing: { across: '1ft 11 5/8in' },
  room: [{ direction: 'across', wall: 'sail.front', name: 'Sail loft, front', most: '6ft' }],
  rows: [row('margins'), row('factor', { protected: true, over_mm: 0.31 })],
  plan: [],
  ghost: [],
  differences: [],
  spared: 0,
  features: [],
  ...more,
});

describe('what to give up', () => {
  it('has proposals for the plot ready, and takes one after what was given up before', async () => {
    server.answers = { compromises: compromises() };
    const { save } = showRow(<GiveUp />, { compression: { steps: [{ op: 'courses', block: 'sail', count: 1 }] } });
    const proposal = await screen.findByRole('region', { name: 'margins' });
    expect(screen.getByText(/Its plot has room for 335.0 mm wide/)).toBeInTheDocument();
    expect(within(proposal).getByText(/Finished 335.00 mm wide/)).toBeInTheDocument();
    fireEvent.click(within(proposal).getByRole('button', { name: 'Take it' }));
    expect(save).toHaveBeenCalledWith([
      {
        op: 'set',
        path: 'compression.steps',
        value: [
          { op: 'courses', block: 'sail', count: 1 },
          { op: 'margins', block: 'sail', edge: 'front', by: '1ft' },
        ],
      },
    ]);
  });

  it('takes depth out of sight as low relief, and no step with it', async () => {
    const relief = { depth: '31mm', school: 'front-slope' };
    server.answers = { compromises: compromises({ rows: [row('depth', { steps: [], relief })] }) };
    const { save } = showRow(<GiveUp />);
    fireEvent.click(
      within(await screen.findByRole('region', { name: 'depth' })).getByRole('button', { name: 'Take it' }),
    );
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'relief', value: relief }]);
  });

  it('keeps what makes the building itself, and lets go of it', async () => {
    const features = [
      { key: 'sail', name: 'all of Sail loft', kept: false },
      { key: 'sail.front.d', name: 'front: loft door', kept: true },
    ];
    server.answers = { compromises: compromises({ features, rows: [], spared: 3 }) };
    const { save } = showRow(<GiveUp />);
    expect(await screen.findByText(/would change what makes it this building/)).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('what makes it this building stays as it is'), {
      target: { value: 'sail' },
    });
    expect(save).toHaveBeenLastCalledWith([{ op: 'set', path: 'compression.keep', value: ['sail.front.d', 'sail'] }]);
    fireEvent.click(screen.getByRole('button', { name: 'Let go of front: loft door' }));
    expect(save).toHaveBeenLastCalledWith([{ op: 'set', path: 'compression.keep', value: null }]);
  });

  it('lifts the protection only with what needs it, and says what is still too large', async () => {
    server.answers = { compromises: compromises() };
    const { save } = showRow(<GiveUp />);
    const proposal = await screen.findByRole('region', { name: 'factor' });
    expect(within(proposal).getByText(/Still 0.31 mm too large/)).toBeInTheDocument();
    fireEvent.click(within(proposal).getByRole('button', { name: 'Take it' }));
    expect(save.mock.calls[0]?.[0][0]).toEqual({ op: 'set', path: 'compression.protect', value: [] });
  });

  it('asks for the sizes that were typed, and for no other', async () => {
    server.answers = { compromises: compromises({ missing: {}, rows: [], of_plot: false }) };
    showRow(<GiveUp />);
    expect(await screen.findByText('its margins and piers can give')).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('wide'), { target: { value: '330mm' } });
    fireEvent.change(screen.getByLabelText('high'), { target: { value: ' 110mm ' } });
    fireEvent.change(screen.getByLabelText('from'), { target: { value: 'sail.front' } });
    fireEvent.click(screen.getByRole('button', { name: 'Propose' }));
    await screen.findByText('It is no larger than that already.');
    expect(server.asked[server.asked.length - 1]).toBe(
      '/api/buildings/b/compromises?across=330mm&high=110mm&wall=sail.front',
    );
  });

  it('switches a step off without losing it', async () => {
    server.answers = { compromises: compromises({ missing: {}, rows: [] }) };
    const { save } = showRow(<GiveUp />, {
      compression: { steps: [{ op: 'margins', block: 'sail', edge: 'front', by: '1ft', off: true }] },
    });
    await screen.findByText('its margins and piers can give');
    fireEvent.click(screen.getByLabelText(/Sail loft front margins shorter by 1ft/));
    expect(save).toHaveBeenCalledWith([{ op: 'set', path: 'compression.steps.0.off', value: null }]);
  });

  it('shows the building as it is modelled over the building as it is', async () => {
    const ring = (x: number): { kind: 'wall'; ring: [number, number][] } => ({
      kind: 'wall',
      ring: [
        [0, 0],
        [x, 0],
        [x, 5],
      ],
    });
    server.answers = {
      compromises: compromises({
        missing: {},
        rows: [],
        plan: [ring(9)],
        ghost: [ring(10)],
        differences: [{ what: 'Sail loft, front', real: '22ft', modelled: '20ft' }],
      }),
    };
    showRow(<GiveUp />);
    const plan = await screen.findByRole('img', { name: 'In plan as it is modelled, and dashed as it is' });
    expect(plan.querySelectorAll('path[stroke-dasharray]')).toHaveLength(1);
    expect(screen.getByRole('row', { name: 'Sail loft, front 22ft 20ft' })).toBeInTheDocument();
  });

  it('shows what the server refuses', async () => {
    showRow(<GiveUp />);
    expect(await screen.findByRole('alert')).toHaveTextContent('Not asked for here.');
  });
});
