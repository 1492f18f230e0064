import type { BuildingState, Derived, Opening, Thing, Part, Size, Wall } from '../api/types';
import { buildingOf } from './building';

/** A length of so many millimetres on the model, at 1:76.2. */
export const sizeOf = (mm: number): Size => ({
  real_mm: mm * 76.2,
  model_mm: mm,
  imperial: `${mm / 4}ft`,
  metric: `${(mm * 76.2).toFixed(0)}mm`,
  model: `${mm.toFixed(2)} mm`,
});

/** A window of 12 by 20 at so many millimetres from the left. */
export const openingAt = (key: string, left: number): Opening => ({
  key,
  id: key,
  copy: 0,
  count: 1,
  row: null,
  style: 'sash',
  name: 'sash',
  called: 'sash',
  kind: 'window',
  path: 'blocks.0.walls.0.openings.0',
  style_path: 'styles.sash',
  left: sizeOf(left),
  sill: sizeOf(11),
  width: sizeOf(12),
  height: sizeOf(20),
  rise: null,
  pitch: null,
  ring: [
    [left, 11],
    [left + 12, 11],
    [left + 12, 31],
    [left, 31],
  ],
  panes: [],
  panels: [],
  leaves: [],
  stands_open: false,
  clashes: false,
});

/** A thing along a wall, 2 high from a height. */
export const thingAt = (id: string, up: number, more: Partial<Thing> = {}): Thing => ({
  id,
  path: 'blocks.0.features.0',
  kind: 'band',
  called: 'band',
  anchor: 'wall',
  openings: [],
  rings: [
    [
      [0, up],
      [72, up],
      [72, up + 2],
      [0, up + 2],
    ],
  ],
  clashes: false,
  ...more,
});

/** A front wall of 72 by 38 with two windows. */
export const frontWall = (more: Partial<Wall> = {}): Wall => ({
  covered: [],
  things: [],
  key: 'main.front',
  block: 'main',
  edge: 'front',
  title: 'Front, from outside',
  path: 'blocks.0.walls.0',
  finish: 'brick-stretcher',
  shows_courses: false,
  step: { along_mm: 3, up_mm: 1 },
  length: sizeOf(72),
  height: sizeOf(38),
  apex: null,
  outlines: [
    [
      [0, 0],
      [72, 0],
      [72, 38],
      [0, 38],
    ],
  ],
  whole: [
    [0, 0],
    [72, 0],
    [72, 38],
    [0, 38],
  ],
  parts: ['main.front.core', 'main.front.paper', 'main.front.frame.w1'],
  paper: 'main.front.paper',
  openings: [openingAt('w1', 10), openingAt('w2', 40)],
  marks: [],
  ends: [],
  chains: [[{ from: 0, to: 10, opening: null, size: sizeOf(10), bricks: '3.33 bricks' }]],
  ...more,
});

const part = (id: string, layer: string, label: string, name: string, group: Part['group']): Part => ({
  id,
  of: { block: 'main', edge: 'front', layer, opening: layer === 'frame' ? 'w1' : null },
  label,
  name,
  group,
  stock: group === 'skin' ? 'paper-0.1' : 'greyboard-1',
  thickness: 1,
  qty: 1,
  like: null,
  mirror_of: null,
  outline: [],
  holes: [],
  edges: [],
  placements: [],
  cut: '',
  print: '',
  workings: [{ of: 'width', mm: 72, steps: [{ op: 'measured', mm: 72, text: '18ft = 5486.4 mm' }] }],
});

/** What the server derives of the hut: one wall is enough for a screen. */
export const hut = (): Derived => ({
  kit: {
    format: 'chartula.kit',
    version: 1,
    building: { name: 'Hut', fingerprint: '' },
    scale: 76.2,
    parts: [
      part('main.front.core', 'core', 'W1', 'Front wall, core', 'shell'),
      part('main.front.paper', 'paper', 'P1', 'Front wall, brick paper', 'skin'),
      part('main.front.frame.w1', 'frame', 'F1', 'Sash frame', 'trim'),
    ],
    joints: [],
    checks: [{ code: 'head.off-course', level: 'note', at: 'main.front.w1', text: 'The head is off.', mm: 1 }],
    sheets: [
      {
        id: '1',
        stock: 'greyboard-1',
        size: [210, 297],
        template: false,
        mirrored: false,
        printed: false,
        frames: [
          { stock: 'greyboard-1', template: false, mirrored: false, x: 8, y: 8, width: 194, height: 50, parts: 1 },
        ],
        parts: [{ part: 'main.front.core', copy: 0, x: 0, y: 0, turn: 0 }],
        order: [],
      },
    ],
    totals: { parts: 3, sheets: 1, sheets_bound: 1, sheets_yield: 0.05, cut_length_mm: 220, area_mm2: {} },
    assembly: [],
  },
  dry_fit: { ok: true, joints: 1, pieces: 3, findings: [], advice: null },
  view: {
    scale: '1:76.2',
    rule: { foot_mm: 4, metre_mm: 13.12 },
    walls: [frontWall()],
    plan: {
      blocks: [
        {
          id: 'main',
          name: 'Hut',
          path: 'blocks.0',
          is_stack: false,
          storeys: null,
          ring: [
            [0, 0],
            [72, 0],
            [72, 48],
            [0, 48],
          ],
          edges: [
            {
              name: 'front',
              block: 'main',
              key: 'main.front',
              from: [0, 0],
              to: [72, 0],
              length: sizeOf(72),
              roof: 'hip',
              pitch: '40°',
              overhang: sizeOf(3),
              clashes: false,
              measurable: [
                { figure: 'length', is: sizeOf(72) },
                { figure: 'height', is: sizeOf(38) },
                { figure: 'up', is: sizeOf(35.25) },
              ],
            },
          ],
          at: [sizeOf(0), sizeOf(0)],
          turn: 0,
          eaves: sizeOf(38),
          base: sizeOf(0),
          roof: { kind: 'gable', pitch: '40°' },
          clashes: false,
          wide: sizeOf(72),
          deep: sizeOf(48),
          shape: 'rect',
          figures: [],
        },
      ],
      walls: [],
      braces: [],
      gaps: [],
    },
    section: {
      rings: [],
      bounds: [0, 0, 48, 60],
      eaves: sizeOf(38),
      ridge: sizeOf(58),
      rise: sizeOf(20),
      reach: sizeOf(3),
      pitch: '40°',
      note: 'Cut across the middle.',
    },
    skin: {
      brick: '#a65f4a',
      mortar: '#d5cbb9',
      flap: '3.01 mm',
      look: 'a1',
      papers: [],
      palettes: [],
      eye: 600,
      coverings: [
        { key: 'brick-stretcher', words: 'brick, stretcher bond', walls: true, roofs: false },
        { key: 'stone-ashlar', words: 'ashlar', walls: true, roofs: false },
        { key: 'felt', words: 'felt', walls: false, roofs: true },
        { key: 'bare', words: 'bare card', walls: true, roofs: true },
      ],
      roofs: [
        {
          block: 'main',
          path: 'blocks.0.roof.finish',
          finish: 'bare',
          usual_pitch: null,
          words: 'bare card',
          papers: [],
          rows: '43 mm ÷ 3 mm: 15 rows.',
        },
      ],
    },
    shelf: [
      { id: 'card-0.5', name: 'card 0.5 mm', kind: 'card', thickness: '0.5mm', measured: false },
      { id: 'greyboard-1', name: 'greyboard 1 mm', kind: 'board', thickness: '1mm', measured: false },
    ],
    stocks: [
      {
        id: 'greyboard-1',
        name: 'greyboard 1.05 mm',
        kind: 'card',
        thickness: '1.17mm',
        measured: false,
        with_template: '1.29 mm',
        pieces: 2,
      },
    ],
    roof: {
      lines: [
        {
          kind: 'ridge',
          from: [0, 24],
          to: [72, 24],
          length: sizeOf(72),
          fold: '80°',
          workings: { of: 'ridge', mm: 72, steps: [{ op: 'given', mm: 72, text: 'in plan, level' }] },
        },
      ],
      panels: [],
      things: [],
      area_mm2: 4000,
    },
  },
  thoughts: [],
  card: { scale: '1:76.2', wide: sizeOf(72), deep: sizeOf(48), text: '30 joints close', state: 'fits' },
  docket: [{ key: 'sheets', over: 'sheets', text: '1 of A4', state: 'plain' }],
  stages: {},
  plot: null,
});

/** The hut as the server gives it. */
export const hutState = (more: Partial<BuildingState> = {}): BuildingState =>
  buildingOf({
    document: {
      scale: '1:76.2',
      blocks: [
        { id: 'main', eaves: '9ft 6in', roof: { kind: 'gable', pitch: 40 }, footprint: { rect: ['18ft', '12ft'] } },
      ],
      styles: { sash: { kind: 'window', w: '3ft', h: '5ft' } },
      methods: { skin: { overlap: '1.8mm' } },
    },
    derived: hut(),
    ...more,
  });
