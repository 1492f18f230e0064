import Button from 'react-bootstrap/Button';
import { Entries, entriesAt, freeId, numberOf } from '../../ui/Entries';
import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { textAt, useBuilding } from '../../document/context';

const WAYS = [
  ['up', 'lifted up'],
  ['front', 'drawn out to the front'],
  ['back', 'to the back'],
  ['left', 'to the left'],
  ['right', 'to the right'],
] as const;

const KINDS = ['rod', 'wire', 'lamp', 'screw', 'motor', 'post', 'tie', 'other'].map((one) => [one, one] as const);

const length = (key: string, label: string, optional = false) =>
  ({ key, label, what: 'length', world: 'model', optional }) as const;
const name = { key: 'name', label: 'called', what: 'text' } as const;
const at = [length('at.0', 'to the right'), length('at.1', 'to the back')] as const;

/** The place on the layout and all that is round it, in figures. */
export function PlotFigures() {
  const { state, save, derived } = useBuilding();
  const text = (path: string) => textAt(state.document, `plot.${path}`);
  const vehicles = entriesAt(state.document, 'plot.vehicles').map((one) => {
    const id = textAt(one, 'id');
    return [id, textAt(one, 'name') || id] as const;
  });
  const hasEye = text('eye.distance') !== '';
  const field = (path: string, label: string, optional = false) => (
    <LengthField label={label} path={`plot.${path}`} value={text(path)} world="model" optional={optional} />
  );
  return (
    <>
      <h2>The place</h2>
      <p className="quiet mb-2">In millimetres of the layout, from the plot’s front left corner.</p>
      {text('size.0') !== '' && (
        <>
          {field('size.0', 'width')}
          {field('size.1', 'depth')}
        </>
      )}
      {field('height', 'height free above', true)}
      {field('gap', 'gap before the backscene', true)}
      <details>
        <summary>Where the plot lies</summary>
        {field('at.0', 'right of the building’s corner', true)}
        {field('at.1', 'behind it', true)}
        <TextField label="turned, degrees" path="plot.turn" value={text('turn')} read={numberOf} />
      </details>
      <details>
        <summary>Kept free at its sides</summary>
        {(derived?.plot?.edges ?? []).map((edge) => (
          <LengthField
            key={edge.name}
            label={edge.name}
            path={`plot.clear.${edge.name}`}
            value={text(`clear.${edge.name}`)}
            world="model"
            optional
          />
        ))}
        {field('allow.roofs', 'gutters, proud of roofs', true)}
        {field('allow.walls', 'pipes, proud of walls', true)}
      </details>
      <SelectField
        label="comes off"
        value={text('lift.way') || 'up'}
        choices={WAYS}
        onChange={(way) => save([{ op: 'set', path: 'plot.lift.way', value: way }])}
      />
      <details open={hasEye}>
        <summary>The operator’s eye</summary>
        {hasEye ? (
          <>
            {field('eye.distance', 'before the front')}
            {field('eye.height', 'above the baseboard')}
            {field('eye.travel', 'moves to each side', true)}
          </>
        ) : (
          <Button
            variant="outline-primary"
            size="sm"
            onClick={() =>
              save([
                {
                  op: 'set',
                  path: 'plot.eye',
                  value: { distance: '600mm', height: '350mm', travel: '400mm' },
                },
              ])
            }
          >
            Say where it is seen from
          </Button>
        )}
      </details>
      <h3 className="mt-3">Round it</h3>
      <Entries
        title="Neighbours"
        path="plot.neighbours"
        add="Add a neighbour"
        named={(one, i) => textAt(one, 'name') || `Neighbour ${i + 1}`}
        fresh={(others) => ({
          id: freeId(others, 'n'),
          name: `Neighbour ${others.length + 1}`,
          at: ['0mm', '0mm'],
          size: ['40mm', '40mm'],
          to: '60mm',
        })}
        fields={[
          name,
          ...at,
          length('size.0', 'width'),
          length('size.1', 'depth'),
          length('from', 'from, above the baseboard', true),
          length('to', 'up to'),
          length('clear', 'kept clear', true),
        ]}
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
        fields={[
          name,
          length('line.0.0', 'from: to the right'),
          length('line.0.1', 'from: to the back'),
          length('line.1.0', 'to: to the right'),
          length('line.1.1', 'to: to the back'),
          length('width', 'width'),
          length('above', 'kept open up to', true),
          length('clear', 'kept clear beside it', true),
        ]}
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
        fields={[
          name,
          length('length', 'length'),
          length('width', 'width'),
          length('height', 'height', true),
          length('centres', 'bogies or axles apart'),
          length('bogie', 'a bogie’s wheelbase', true),
        ]}
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
        fields={[
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
        ]}
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
        fields={[
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
        ]}
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
        fields={[
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
        ]}
      />
      <p className="quiet mt-2">
        Before anything is fixed, run your own longest and widest vehicles past the place, both ways.
      </p>
      <Button variant="outline-secondary" size="sm" onClick={() => save([{ op: 'set', path: 'plot', value: null }])}>
        Take the plot away
      </Button>
    </>
  );
}
