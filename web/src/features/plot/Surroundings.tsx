import { Entries, type Field, entriesAt, freeId } from '../../ui/Entries';
import { textAt, useBuilding } from '../../document/context';

const KINDS = ['rod', 'wire', 'lamp', 'screw', 'motor', 'post', 'tie', 'other'].map((one) => [one, one] as const);

const length = (key: string, label: string, optional = false): Field => ({
  key,
  label,
  what: 'length',
  world: 'model',
  optional,
});
const name: Field = { key: 'name', label: 'called', what: 'text' };
const at = [length('at.0', 'to the right'), length('at.1', 'to the back')];

const LIFTS: Field = {
  key: 'lifts',
  label: 'comes off',
  what: 'choice',
  choices: [
    ['', 'not at all'],
    ['up', 'lifted up'],
    ['front', 'to the front'],
    ['back', 'to the back'],
    ['left', 'to the left'],
    ['right', 'to the right'],
  ],
};

const NEIGHBOUR: Field[] = [
  name,
  ...at,
  length('size.0', 'width'),
  length('size.1', 'depth'),
  length('from', 'from, above the baseboard', true),
  length('to', 'up to'),
  length('clear', 'kept clear', true),
  LIFTS,
];

const ROAD: Field[] = [
  name,
  length('line.0.0', 'from: to the right'),
  length('line.0.1', 'from: to the back'),
  length('line.1.0', 'to: to the right'),
  length('line.1.1', 'to: to the back'),
  length('width', 'width'),
  length('above', 'kept open up to', true),
  length('clear', 'kept clear beside it', true),
];

const VEHICLE: Field[] = [
  name,
  length('length', 'length'),
  length('width', 'width'),
  length('height', 'height', true),
  length('centres', 'bogies or axles apart'),
  length('bogie', 'a bogie’s wheelbase', true),
];

const TRACK: Field[] = [
  name,
  length('from.0', 'begins to the right'),
  length('from.1', 'begins to the back'),
  { key: 'heading', label: 'heading, degrees', what: 'number' },
  length('rail', 'rails above the baseboard', true),
  length('beside', 'clear beside vehicles', true),
  length('above', 'clear above them', true),
  {
    key: 'course',
    label: '',
    what: 'list',
    list: {
      title: 'Its course',
      add: 'Add a piece',
      named: (_one, i) => `Piece ${i + 1}`,
      fresh: () => ({ straight: '100mm' }),
      fields: [
        length('straight', 'straight on', true),
        length('left', 'or left, radius', true),
        length('right', 'or right, radius', true),
        { key: 'degrees', label: 'for degrees', what: 'number' },
      ],
    },
  },
];

const OBSTACLE: Field[] = [
  { key: 'kind', label: 'a', what: 'choice', choices: KINDS },
  name,
  ...at,
  length('size.0', 'width', true),
  length('size.1', 'depth', true),
  length('from', 'from, above the baseboard', true),
  length('to', 'up to'),
  length('travel.0', 'moves to the right', true),
  length('travel.1', 'moves to the back', true),
  length('play', 'play all round', true),
  LIFTS,
];

/** A train is made of the vehicles that are described. */
const runFields = (vehicles: readonly (readonly [string, string])[]): Field[] => [
  {
    key: 'kind',
    label: 'a',
    what: 'choice',
    choices: [
      ['platform', 'platform'],
      ['siding', 'siding'],
    ],
  },
  name,
  length('has', 'it has', true),
  length('gap', 'from one to the next', true),
  length('margin', 'at its ends, or beyond the points', true),
  {
    key: 'train',
    label: '',
    what: 'list',
    list: {
      title: 'The train',
      add: 'Add vehicles',
      named: (_one, i) => `Vehicles ${i + 1}`,
      fresh: () => ({ vehicle: vehicles[0]?.[0] ?? 'v1', count: 1 }),
      fields: [
        { key: 'vehicle', label: 'of', what: 'choice', choices: vehicles },
        { key: 'count', label: 'how many', what: 'count' },
      ],
    },
  },
];

/** All that is round the plot: neighbours, roads, tracks with their vehicles, what is in the way, platforms. */
export function Surroundings() {
  const { state } = useBuilding();
  const vehicles = entriesAt(state.document, 'plot.vehicles').map((one) => {
    const id = textAt(one, 'id');
    return [id, textAt(one, 'name') || id] as const;
  });
  return (
    <>
      <Entries
        title="Neighbours"
        path="plot.neighbours"
        add="Add a neighbour"
        named={(one, i) => textAt(one, 'name') || `Neighbour ${i + 1}`}
        fresh={(others) => ({
          id: freeId(others, 'n'),
          name: `Neighbour ${others.length + 1}`,
          // At the plot’s right, where nothing of its own stands.
          at: [textAt(state.document, 'plot.size.0') || '0mm', '0mm'],
          size: ['40mm', '40mm'],
          to: '60mm',
        })}
        fields={NEIGHBOUR}
      />
      <Entries
        title="Roads"
        path="plot.roads"
        add="Add a road"
        named={(one, i) => textAt(one, 'name') || `Road ${i + 1}`}
        fresh={(others) => ({
          id: freeId(others, 'r'),
          name: `Road ${others.length + 1}`,
          line: [
            ['0mm', '-20mm'],
            ['200mm', '-20mm'],
          ],
          width: '30mm',
        })}
        fields={ROAD}
      />
      <Entries
        title="Vehicles"
        path="plot.vehicles"
        add="Add a vehicle"
        empty="Where there is none, a usual long coach is reckoned with."
        named={(one, i) => textAt(one, 'name') || `Vehicle ${i + 1}`}
        fresh={(others) => ({
          id: freeId(others, 'v'),
          name: `Coach ${others.length + 1}`,
          length: '230mm',
          width: '36mm',
          height: '50mm',
          centres: '160mm',
          bogie: '35mm',
        })}
        fields={VEHICLE}
      />
      <Entries
        title="Tracks"
        path="plot.tracks"
        add="Add a track"
        named={(one, i) => textAt(one, 'name') || `Track ${i + 1}`}
        fresh={(others) => ({
          id: freeId(others, 't'),
          name: `Track ${others.length + 1}`,
          from: ['0mm', '-40mm'],
          course: [{ straight: '300mm' }],
        })}
        fields={TRACK}
      />
      <Entries
        title="In the way"
        path="plot.obstacles"
        add="Add something in the way"
        empty="Point rods, wires, lamps, screw heads, motors: what is found at the final fitting."
        named={(one, i) => textAt(one, 'name') || `Obstacle ${i + 1}`}
        fresh={(others) => ({
          id: freeId(others, 'o'),
          kind: 'rod',
          name: `Rod ${others.length + 1}`,
          at: ['0mm', '0mm'],
          size: ['1.2mm', '1.2mm'],
          to: '5mm',
          travel: ['5mm', '0mm'],
        })}
        fields={OBSTACLE}
      />
      <Entries
        title="Platforms and sidings"
        path="plot.runs"
        add="Add a platform or siding"
        empty="How long it has to be for what stands in it. Describe the vehicles first."
        named={(one, i) => textAt(one, 'name') || `Run ${i + 1}`}
        fresh={(others) => ({
          id: freeId(others, 'p'),
          name: `Platform ${others.length + 1}`,
          kind: 'platform',
          train: [{ vehicle: vehicles[0]?.[0] ?? 'v1', count: 3 }],
        })}
        fields={runFields(vehicles)}
      />
    </>
  );
}
