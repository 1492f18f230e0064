import { useQuery, useQueryClient } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import Dropdown from 'react-bootstrap/Dropdown';
import { asNeighbourOptions, projectsOptions } from '../../api/options';
import type { AsNeighbour, BuildingSummary, Json } from '../../api/types';
import { entriesAt, freeId } from '../../document/entries';
import { textAt, useBuilding } from '../../document/context';

/** Other buildings of the project as neighbours: taken over as they stand, and anew when they have changed. */
export function OwnNeighbours() {
  const { state, save } = useBuilding();
  const queries = useQueryClient();
  const projects = useQuery(projectsOptions());
  const project = projects.data?.find((one) => one.id === state.project_id);
  const others = (project?.buildings ?? []).filter((one) => one.id !== state.id);
  const neighbours = entriesAt(state.document, 'plot.neighbours');
  const taken = others.filter((one) => neighbours.some((entry) => textAt(entry, 'of.building') === one.id));
  const changed = taken.filter((one) =>
    neighbours.some(
      (entry) => textAt(entry, 'of.building') === one.id && Number(textAt(entry, 'of.revision')) !== one.revision,
    ),
  );
  if (others.length === 0) return null;

  /** Where it stood it stands again; a new one stands at the plot’s right. */
  async function take(building: BuildingSummary) {
    const found = await queries.query(asNeighbourOptions(building.id, building.revision));
    const own = neighbours.filter((entry) => textAt(entry, 'of.building') === building.id);
    const rest = neighbours.filter((entry) => textAt(entry, 'of.building') !== building.id);
    const at = own[0]?.at ?? [textAt(state.document, 'plot.size.0') || '0mm', '0mm'];
    save([{ op: 'set', path: 'plot.neighbours', value: [...rest, ...entriesOf(found, at, rest)] as Json[] }]);
  }

  return (
    <>
      {changed.map((one) => (
        <p key={one.id} className="remark" role="status">
          {one.name} has changed since it was taken for a neighbour.{' '}
          <Button size="sm" variant="outline-primary" onClick={() => void take(one)}>
            Take it anew
          </Button>
        </p>
      ))}
      <Dropdown className="mt-1">
        <Dropdown.Toggle size="sm" variant="outline-primary" id="own-neighbour">
          A building of this project beside it
        </Dropdown.Toggle>
        <Dropdown.Menu>
          {others.map((one) => (
            <Dropdown.Item key={one.id} onClick={() => void take(one)}>
              {one.name}
            </Dropdown.Item>
          ))}
        </Dropdown.Menu>
      </Dropdown>
    </>
  );
}

function entriesOf({ building, name, revision, blocks }: AsNeighbour, at: Json, others: { id?: Json }[]): Json[] {
  const made: { [key: string]: Json }[] = [];
  for (const block of blocks) {
    made.push({
      id: freeId([...others, ...made], 'n'),
      name: blocks.length === 1 ? name : `${name}, ${block.name}`,
      at,
      outline: block.outline,
      to: block.to,
      of: { building, revision, pitch: block.pitch },
    });
  }
  return made;
}
