import Button from 'react-bootstrap/Button';
import type { Opening, Wall } from '../../api/types';
import { WorkingsTable } from '../../ui/WorkingsTable';
import { useBuilding } from '../../document/context';
import { DocumentForm } from '../../document/form/DocumentForm';
import { KindOf } from '../../document/KindOf';
import { ChecksAt } from '../../document/ChecksAt';
import { OwnDress } from './OwnDress';

const IN_ORDER = [
  ['over', 'Over or under the nearest'],
  ['spaces', 'Equal spaces'],
  ['bricks', 'To half bricks'],
] as const;

/** Figures of the chosen opening, with the sums of its frame and of the piers beside it. */
export function OpeningFigures({ wall, opening }: { wall: Wall; opening: Opening }) {
  const { derived, show, save } = useBuilding();
  const frame = derived?.kit.parts.find(
    (part) =>
      part.of.block === wall.block &&
      part.of.edge === wall.edge &&
      part.of.opening === opening.id &&
      (part.of.layer === 'frame' || part.of.layer === 'leaf'),
  );
  const width = frame?.workings.find((workings) => workings.of === 'width');
  const links = wall.chains[0] ?? [];
  const at = links.findIndex((link) => link.opening === opening.key);
  const piers = [links[at - 1], links[at + 1]].filter((link) => link !== undefined && link.opening === null);
  return (
    <>
      <h2>
        <span className="text-capitalize">{opening.called}</span>
        {opening.count > 1 ? `, row of ${opening.count}` : ''}
      </h2>
      <p className="quiet">{wall.edge} wall</p>
      <DocumentForm form="opening" path={opening.path} />
      {opening.row === null && (
        <div className="tools" role="group" aria-label="Set it in order">
          {IN_ORDER.map(([how, words]) => (
            <Button
              key={how}
              size="sm"
              variant="outline-secondary"
              onClick={() => save([{ op: 'place-opening', wall: wall.key, id: opening.id, how }])}
            >
              {words}
            </Button>
          ))}
        </div>
      )}
      <OwnDress opening={opening} />
      <KindOf wall={wall} opening={opening} />
      {width !== undefined && frame !== undefined && (
        <WorkingsTable workings={width} title={`${frame.name}, cut ${frame.qty}`} />
      )}
      {piers.map(
        (link) =>
          link !== undefined && (
            <section key={link.from} className="workings">
              <h3>Pier beside it</h3>
              <table>
                <tbody>
                  <tr>
                    <td className="text">{show(link.size)}</td>
                    <td className="mm">{link.bricks}</td>
                  </tr>
                  <tr className="sum">
                    <td>on the model</td>
                    <td className="mm">{link.size.model}</td>
                  </tr>
                </tbody>
              </table>
            </section>
          ),
      )}
      <ChecksAt at={[`${wall.key}.${opening.id}`, `${wall.key}.${opening.key}`]} />
      <p className="mt-3 mb-0">
        <span className="key">←</span> <span className="key">→</span> {wall.shows_courses ? 'a brick' : '3in'}{' '}
        <span className="key">↑</span> <span className="key">↓</span> {wall.shows_courses ? 'a course' : '3in'}{' '}
        <span className="key">Shift</span> {wall.shows_courses ? 'a quarter' : '1in'} <span className="key">Del</span>{' '}
        remove
      </p>
    </>
  );
}
