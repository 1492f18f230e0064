import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Clearance, CompromiseRow, Compromises, PlotView, ReliefTable, Sight, SightPicture } from '../../api/plot';
import type { BuildingState, Derived, Edit } from '../../api/types';
import { BuildingContext } from '../building/context';
import { Clearances } from './Clearances';
import { Deeper } from './Deeper';
import { DeeperFigures } from './DeeperFigures';
import { FromTheEye } from './FromTheEye';
import { GiveUp } from './GiveUp';
import { LowRelief } from './LowRelief';
import { PlotPlan } from './PlotPlan';

const document = {
  scale: '1:76.2',
  plot: { size: ['338mm', '190mm'], eye: { distance: '600mm', height: '350mm', travel: '400mm' } },
  blocks: [
    { id: 'sail', name: 'Sail loft' },
    { id: 'cork', name: 'Cork loft' },
  ],
};

const derived = {
  kit: { checks: [] },
  view: {
    rule: { foot_mm: 4, metre_mm: 13.123 },
    walls: [
      {
        key: 'sail.front',
        title: 'Sail loft, front',
        path: 'blocks.0.walls.0',
        openings: [{ key: 'p1', kind: 'open' }],
      },
      { key: 'relief.back', title: 'back', path: 'relief', openings: [] },
    ],
  },
} as unknown as Derived;

const state = (more: object = {}): BuildingState => ({
  id: 'b',
  project_id: 'p',
  name: 'Row',
  revision: {
    number: 1,
    summary: '',
    name: null,
    note: null,
    kind: 'edit',
    parts_changed: null,
    is_sound: true,
    at: '',
  },
  faults: [],
  derived_from: 1,
  history: { undo: null, redo: null },
  made: null,
  document: { ...document, ...more },
  derived: null,
});

/** What the server says, by the beginning of the path it is asked. */
let answers: Record<string, unknown> = {};
let asked: string[] = [];

function show(ui: ReactNode, more: object = {}) {
  const save = vi.fn<(edits: Edit[]) => void>();
  const gather = vi.fn<(edits: Edit[]) => void>();
  const { container } = render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <BuildingContext.Provider
          value={{
            state: state(more),
            derived,
            units: 'imperial',
            save,
            gather,
            undo: vi.fn(),
            redo: vi.fn(),
            restore: vi.fn(),
            unseen: [],
            show: (size) => size.imperial,
          }}
        >
          {ui}
        </BuildingContext.Provider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return { save, gather, container };
}

beforeAll(() =>
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      disconnect() {}
    },
  ),
);

beforeEach(() => {
  asked = [];
  vi.stubGlobal('fetch', (url: string) => {
    asked.push(url);
    const key = Object.keys(answers).find((one) => url.startsWith(`/api/buildings/b/${one}`));
    return Promise.resolve(
      new Response(JSON.stringify(key === undefined ? { message: 'Not asked for here.' } : answers[key]), {
        status: key === undefined ? 422 : 200,
      }),
    );
  });
});

afterEach(() => {
  answers = {};
});

const row = (key: string, more: Partial<CompromiseRow> = {}): CompromiseRow => ({
  key,
  title: key,
  wall: 'sail.front',
  steps: [{ op: key, block: 'sail', edge: 'front', by: '1ft' }],
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
  ...more,
});

describe('what to give up', () => {
  it('has proposals for the plot ready, and takes one after what was given up before', async () => {
    answers = { compromises: compromises() };
    const { save } = show(<GiveUp />, { compression: { steps: [{ op: 'courses', block: 'sail', count: 1 }] } });
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

  it('lifts the protection only with what needs it, and says what is still too large', async () => {
    answers = { compromises: compromises() };
    const { save } = show(<GiveUp />);
    const proposal = await screen.findByRole('region', { name: 'factor' });
    expect(within(proposal).getByText(/Still 0.31 mm too large/)).toBeInTheDocument();
    fireEvent.click(within(proposal).getByRole('button', { name: 'Take it' }));
    expect(save.mock.calls[0]?.[0][0]).toEqual({ op: 'set', path: 'compression.protect', value: [] });
  });

  it('asks for the sizes that were typed, and for no other', async () => {
    answers = { compromises: compromises({ missing: {}, rows: [], of_plot: false }) };
    show(<GiveUp />);
    expect(await screen.findByText('its margins and piers can give')).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('wide'), { target: { value: '330mm' } });
    fireEvent.change(screen.getByLabelText('high'), { target: { value: ' 110mm ' } });
    fireEvent.change(screen.getByLabelText('from'), { target: { value: 'sail.front' } });
    fireEvent.click(screen.getByRole('button', { name: 'Propose' }));
    await screen.findByText('It is no larger than that already.');
    expect(asked[asked.length - 1]).toBe('/api/buildings/b/compromises?across=330mm&high=110mm&wall=sail.front');
  });

  it('switches a step off without losing it', async () => {
    answers = { compromises: compromises({ missing: {}, rows: [] }) };
    const { save } = show(<GiveUp />, {
      compression: { steps: [{ op: 'margins', block: 'sail', edge: 'front', by: '1ft', off: true }] },
    });
    await screen.findByText('its margins and piers can give');
    fireEvent.click(screen.getByLabelText(/sail front margins shorter by 1ft/));
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
    answers = {
      compromises: compromises({
        missing: {},
        rows: [],
        plan: [ring(9)],
        ghost: [ring(10)],
        differences: [{ what: 'Sail loft, front', real: '22ft', modelled: '20ft' }],
      }),
    };
    show(<GiveUp />);
    const plan = await screen.findByRole('img', { name: 'In plan as it is modelled, and dashed as it is' });
    expect(plan.querySelectorAll('path[stroke-dasharray]')).toHaveLength(1);
    expect(screen.getByRole('row', { name: 'Sail loft, front 22ft 20ft' })).toBeInTheDocument();
  });

  it('shows what the server refuses', async () => {
    show(<GiveUp />);
    expect(await screen.findByRole('alert')).toHaveTextContent('Not asked for here.');
  });
});

const picture = (key: string): SightPicture => ({
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
  perspectives: [],
  view: { plan: picture('flank'), section: picture('top') },
  ...more,
});

describe('from the eye', () => {
  it('draws the line of the sentence that is chosen, in plan or in section', async () => {
    answers = { sight: sight() };
    const { container } = show(<FromTheEye />);
    expect(await screen.findByRole('img', { name: 'Lines of sight, in section' })).toBeInTheDocument();
    expect(container.querySelectorAll('[data-line=vanish]')).toHaveLength(0);
    fireEvent.click(screen.getByRole('button', { name: /looks past the flank/ }));
    const plan = screen.getByRole('img', { name: 'Lines of sight, in plan' });
    expect(plan.querySelector('[data-line=flank] path')).toHaveAttribute('stroke', '#9c4a32');
    fireEvent.click(screen.getByRole('button', { name: 'The top does not show.' }));
    expect(screen.getByRole('img', { name: 'Lines of sight, in section' })).toBeInTheDocument();
  });

  it('leaves what hardly shows plain with one press', async () => {
    answers = { sight: sight() };
    const { save } = show(<FromTheEye />);
    fireEvent.click(await screen.findByRole('button', { name: 'Leave 2 walls plain' }));
    expect(save).toHaveBeenCalledWith([
      { op: 'set', path: 'blocks.0.walls.2.treat', value: 'plain' },
      { op: 'set', path: 'blocks.0.walls.=left', value: { edge: 'left', treat: 'plain' } },
    ]);
  });

  it('asks from where it is looked at, where nobody says', () => {
    const { save } = show(<FromTheEye />, { plot: undefined });
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
    answers = { sight: sight({ perspectives: [perspective] }) };
    const { container } = show(<Deeper />);
    expect(await screen.findByText('All lines meet far behind.')).toBeInTheDocument();
    expect(screen.getByRole('row', { name: /M1, floor 30.00 26.00 50.10, 50.10/ })).toBeInTheDocument();
    expect(screen.getByText('97.5 %')).toBeInTheDocument();
    // Only what recedes is drawn here.
    expect(container.querySelectorAll('[data-line=vanish]')).toHaveLength(1);
    expect(container.querySelectorAll('[data-line=flank]')).toHaveLength(0);
  });

  it('says what it is for while nothing recedes', async () => {
    answers = { sight: sight() };
    show(<Deeper />);
    expect(await screen.findByText(/Everything is as deep as it is/)).toBeInTheDocument();
  });

  it('lets single blocks recede, and all of them again', () => {
    answers = { sight: sight() };
    const { save } = show(<DeeperFigures />, { perspective: { depth: '20mm', blocks: ['cork'] } });
    expect(screen.getByLabelText('Cork loft')).toBeDisabled();
    fireEvent.click(screen.getByLabelText('Sail loft'));
    expect(save).toHaveBeenLastCalledWith([{ op: 'set', path: 'perspective.blocks', value: null }]);
    fireEvent.click(screen.getByLabelText('with the ground between them'));
    expect(save).toHaveBeenLastCalledWith([{ op: 'set', path: 'perspective.ground', value: true }]);
    fireEvent.click(screen.getByRole('button', { name: 'Build them as deep as they are' }));
    expect(save.mock.lastCall?.[0]).toHaveLength(5);
  });

  it('offers only openings that stand open', () => {
    const { save } = show(<DeeperFigures />);
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
    show(<Clearances plot={plot} chosen="side front" onChoose={onChoose} />);
    expect(screen.getByText('less 2.00 mm kept free')).toBeInTheDocument();
    expect(screen.getByText('does not fit:')).toHaveClass('visually-hidden');
    fireEvent.click(screen.getByRole('button', { name: /4.20 mm/ }));
    expect(onChoose).toHaveBeenCalledWith(null);
  });

  it('moves the building by a millimetre, with Shift by a tenth', () => {
    const onMove = vi.fn();
    show(<PlotPlan plot={plot} chosen={null} onMove={onMove} onChoose={vi.fn()} />);
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
        lost: [],
        view: [],
      },
    ],
  };

  it('shows the schools side by side, and takes one at the depth that was asked', async () => {
    answers = { relief: table };
    const { save } = show(<LowRelief />);
    expect(
      await screen.findByText(/8.39 lower than it is. 41.6 mm above the cooperage. front slope 52.22/),
    ).toBeInTheDocument();
    expect(screen.getByText('2 windows dropped')).toBeInTheDocument();
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
