import { Link } from 'react-router';
import type { Wall } from '../../api/types';
import { WorkingsTable } from '../../ui/WorkingsTable';
import { useBuilding } from '../../document/context';
import { AsBuilt } from '../../document/AsBuilt';
import { keyOfThing } from '../../drawing/Elevation';
import { ChecksAt } from '../../document/ChecksAt';
import { WallDetails } from './WallDetails';

/** Figures of the wall, its parts, and the sum of one of them. */
export function WallFigures({ wall, part: named }: { wall: Wall; part: string | null }) {
  const { state, derived, drawn, show } = useBuilding();
  const edge = drawn?.plan.blocks.flatMap((block) => block.edges).find((one) => one.key === wall.key);
  const parts = derived?.kit.parts.filter((part) => wall.parts.includes(part.id)) ?? [];
  const told = parts.find((part) => part.id === named) ?? parts[0];
  const first = told?.workings.find((workings) => workings.of === 'width');
  const foot = told?.workings.find((workings) => workings.of === 'foot');
  const height = told?.workings.find((workings) => workings.of === 'height');
  return (
    <>
      <h2>{wall.title}</h2>
      <dl className="figures">
        <dt>length</dt>
        <dd className="mb-0">{show(wall.length)}</dd>
        <dd className="mm mb-0">{wall.length.model}</dd>
        <dt>to the eaves</dt>
        <dd className="mb-0">{show(wall.height)}</dd>
        <dd className="mm mb-0">{wall.height.model}</dd>
        {wall.apex !== null && (
          <>
            <dt>to the peak</dt>
            <dd className="mb-0">{show(wall.apex)}</dd>
            <dd className="mm mb-0">{wall.apex.model}</dd>
          </>
        )}
      </dl>
      {edge !== undefined && <AsBuilt edge={edge} of={['length', 'height', 'apex']} />}
      <p className="quiet mt-2">
        {wall.openings.length === 0
          ? 'No opening in it. Add one above the drawing.'
          : 'Choose an opening to see its figures.'}
      </p>
      {wall.things.length > 0 && (
        <p>
          On it:{' '}
          {wall.things.map((thing, i) => (
            <span key={thing.id}>
              {i > 0 && ', '}
              <Link
                to={`/buildings/${state.id}/shell?${new URLSearchParams({ wall: wall.key, opening: keyOfThing(thing.id) }).toString()}`}
                replace
              >
                {thing.called}
              </Link>
            </span>
          ))}
        </p>
      )}
      {wall.path.startsWith('relief') ? (
        <p className="quiet">Here the building is cut before the backscene; what stands there is said under Plot.</p>
      ) : (
        <WallDetails wall={wall} />
      )}
      {first !== undefined && told !== undefined && (
        <>
          <WorkingsTable workings={first} title={`${told.label}, ${told.name}`} />
          {foot !== undefined && <WorkingsTable workings={foot} title="foot, between the walls beside it" />}
          {height !== undefined && <WorkingsTable workings={height} />}
          <Link to={`/buildings/${state.id}/stand?part=${told.id}`}>See {told.label} standing</Link>
        </>
      )}
      <section className="workings">
        <h3>Its parts</h3>
        <table>
          <tbody>
            {parts.map((part) => (
              <tr key={part.id}>
                <td>
                  <Link to={`/buildings/${state.id}/shell?wall=${wall.key}&part=${part.id}`} replace>
                    <strong>{part.label}</strong>
                  </Link>{' '}
                  {part.name}
                </td>
                <td className="mm">{part.qty > 1 ? `× ${part.qty}` : ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <ChecksAt at={[wall.key]} />
    </>
  );
}
