import Button from 'react-bootstrap/Button';
import { useBuilding } from '../../document/context';
import { DocumentForm } from '../../document/form/DocumentForm';
import { ThingsHere } from '../../document/ThingsHere';
import { OwnNeighbours } from './OwnNeighbours';

/** The place on the layout and all that is round it, in figures. */
export function PlotFigures() {
  const { derived, save } = useBuilding();
  const names = { plot: (derived?.plot?.edges ?? []).map((edge) => edge.name) };
  return (
    <>
      <h2>The place</h2>
      <p className="quiet mb-2">In millimetres of the layout, from the plot’s front left corner.</p>
      <DocumentForm form="plot" path="plot" names={names} show={({ holds }) => holds.what !== 'list'} />
      <h3 className="mt-3">Round it</h3>
      <OwnNeighbours />
      <DocumentForm form="plot" path="plot" show={({ holds }) => holds.what === 'list'} />
      <ThingsHere
        form="things-of-the-plot"
        title="On the layout"
        block={null}
        anchors={{ ground: 'on the ground', track: 'along a track', plot: 'on the plot' }}
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
