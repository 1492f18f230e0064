import Button from 'react-bootstrap/Button';
import { numberOf } from '../../ui/Entries';
import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { textAt, useBuilding } from '../../document/context';
import { OwnNeighbours } from './OwnNeighbours';
import { Surroundings } from './Surroundings';

const WAYS = [
  ['up', 'lifted up'],
  ['front', 'drawn out to the front'],
  ['back', 'to the back'],
  ['left', 'to the left'],
  ['right', 'to the right'],
] as const;

/** A length of the plot, in millimetres of the layout. */
function PlotLength({ at, label, optional = false }: { at: string; label: string; optional?: boolean }) {
  const { state } = useBuilding();
  const path = `plot.${at}`;
  return (
    <LengthField label={label} path={path} value={textAt(state.document, path)} world="model" optional={optional} />
  );
}

/** The place on the layout and all that is round it, in figures. */
export function PlotFigures() {
  const { state, save } = useBuilding();
  const text = (path: string) => textAt(state.document, `plot.${path}`);
  return (
    <>
      <h2>The place</h2>
      <p className="quiet mb-2">In millimetres of the layout, from the plot’s front left corner.</p>
      {text('size.0') !== '' && (
        <>
          <PlotLength at="size.0" label="width" />
          <PlotLength at="size.1" label="depth" />
        </>
      )}
      <PlotLength at="height" label="height free above" optional />
      <PlotLength at="gap" label="gap before the backscene" optional />
      <details>
        <summary>Where the plot lies</summary>
        <PlotLength at="at.0" label="right of the building’s corner" optional />
        <PlotLength at="at.1" label="behind it" optional />
        <TextField label="turned, degrees" path="plot.turn" value={text('turn')} read={numberOf} />
      </details>
      <KeptFree />
      <SelectField
        label="comes off"
        path="plot.lift.way"
        value={text('lift.way') || 'up'}
        choices={WAYS}
        onChange={(way) => save([{ op: 'set', path: 'plot.lift.way', value: way }])}
      />
      <details>
        <summary>How it is handled</summary>
        <PlotLength at="lift.play" label="play while it comes off" optional />
        <PlotLength at="lift.handy" label="longest handy piece" optional />
        <PlotLength at="lift.joint" label="a joint leaves open" optional />
      </details>
      <Eye />
      <h3 className="mt-3">Round it</h3>
      <OwnNeighbours />
      <Surroundings />
      <p className="quiet mt-2">
        Before anything is fixed, run your own longest and widest vehicles past the place, both ways.
      </p>
      <Button variant="outline-secondary" size="sm" onClick={() => save([{ op: 'set', path: 'plot', value: null }])}>
        Take the plot away
      </Button>
    </>
  );
}

/** How much is kept free at each side, and what stands proud of the building. */
function KeptFree() {
  const { derived } = useBuilding();
  return (
    <details>
      <summary>Kept free at its sides</summary>
      {(derived?.plot?.edges ?? []).map((edge) => (
        <PlotLength key={edge.name} at={`clear.${edge.name}`} label={edge.name} optional />
      ))}
      <PlotLength at="allow.roofs" label="gutters, proud of roofs" optional />
      <PlotLength at="allow.walls" label="pipes, proud of walls" optional />
    </details>
  );
}

/** From where the layout is looked at. */
function Eye() {
  const { state, save } = useBuilding();
  const hasEye = textAt(state.document, 'plot.eye.distance') !== '';
  return (
    <details open={hasEye}>
      <summary>The operator’s eye</summary>
      {hasEye ? (
        <>
          <PlotLength at="eye.distance" label="before the front" />
          <PlotLength at="eye.height" label="above the baseboard" />
          <PlotLength at="eye.to" label="and up to" optional />
          <PlotLength at="eye.travel" label="moves to each side" optional />
          <TextField
            label="light falls at, degrees"
            path="plot.light"
            value={textAt(state.document, 'plot.light')}
            read={numberOf}
          />
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
  );
}
