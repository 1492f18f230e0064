import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link } from 'react-router';
import { sightOptions } from '../../api/options';
import type { Edit, SeenFace } from '../../api/types';
import { textAt, useBuilding } from '../../document/context';
import { SightPicture } from './SightPicture';

/** What is seen from the end of the eye's travel is drawn in plan. */
const IN_PLAN = new Set(['place', 'flank', 'neighbour', 'return', 'slot']);

const WORDS = { full: 'shows', plain: 'hardly shows: plain card will do', omit: 'never shows' } as const;

/** Which faces show from the operator's eye, which need no detail and which no paper, and what gives low relief away. */
export function FromTheEye() {
  const { state, save } = useBuilding();
  const [side, setSide] = useState<'section' | 'plan'>('section');
  const [near, setNear] = useState(false);
  const [chosen, setChosen] = useState<string | null>(null);
  const hasEye = textAt(state.document, 'plot.eye.distance') !== '';
  const sight = useQuery({ ...sightOptions(state.id, state.derived_from ?? 0), enabled: hasEye });
  if (!hasEye) {
    return <NoEye />;
  }
  if (sight.isPending) return <p role="status">Looking at it from everywhere …</p>;
  if (sight.isError)
    return (
      <p className="text-danger" role="alert">
        {sight.error.message}
      </p>
    );
  const { view } = sight.data;
  const highest = textAt(state.document, 'plot.eye.to');
  const walls = sight.data.faces.filter((face) => face.kind === 'wall');
  const roofs = sight.data.faces.filter((face) => face.kind === 'roof');
  const spare = walls.filter(
    (face) => face.wants !== 'full' && face.treat === 'full' && !face.path.startsWith('relief'),
  );
  return (
    <>
      <p className="quiet">
        From {textAt(state.document, 'plot.eye.distance')} before the front, {textAt(state.document, 'plot.eye.height')}{' '}
        {highest === '' ? '' : `to ${highest} `}up, moving {textAt(state.document, 'plot.eye.travel') || 'not at all'}{' '}
        to each side. <Link to={`/buildings/${state.id}/stand`}>Stand it up</Link> shows the same view.
      </p>
      {view !== null && (
        <>
          <div className="walls-nav mb-1" role="group" aria-label="Drawn">
            {(['section', 'plan'] as const).map((name) => (
              <button key={name} type="button" aria-pressed={side === name} onClick={() => setSide(name)}>
                in {name}
              </button>
            ))}
            <button type="button" aria-pressed={near} onClick={() => setNear(!near)}>
              closer
            </button>
          </div>
          <SightPicture
            picture={{ ...view[side], lines: view[side].lines.filter((line) => line.key !== 'vanish') }}
            chosen={chosen}
            title={`Lines of sight, in ${side}`}
            named={side === 'section'}
            near={near}
          />
        </>
      )}
      {sight.data.lines.length > 0 && (
        <ul className="sight-lines" aria-label="What gives it away">
          {sight.data.lines.map((line) => (
            <li key={line.key + line.text} className={line.shows ? 'shows' : undefined}>
              <button
                type="button"
                aria-pressed={chosen === line.key}
                onClick={() => {
                  setChosen(chosen === line.key ? null : line.key);
                  setSide(IN_PLAN.has(line.key) ? 'plan' : 'section');
                }}
              >
                {line.text}
              </button>
            </li>
          ))}
        </ul>
      )}
      {spare.length > 1 && (
        <Button
          variant="outline-primary"
          className="mb-2"
          onClick={() => save(spare.map((face) => treat(face, 'plain')))}
        >
          Leave {spare.length} walls plain
        </Button>
      )}
      <Faces title="Walls" faces={walls}>
        {(face) => <Treatment face={face} />}
      </Faces>
      <Faces title="Roofs" faces={roofs} />
      {sight.data.insides.length > 0 && (
        <section aria-label="Insides">
          <h3>Through the openings</h3>
          <ul className="quiet">
            {sight.data.insides.map((one) => (
              <li key={one.key}>{one.text}</li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function NoEye() {
  const { state, save } = useBuilding();
  return (
    <>
      <p>Say from where the layout is looked at, and how far the eye moves to each side.</p>
      <Button
        onClick={() =>
          save([
            ...(state.document.plot === undefined ? [{ op: 'add-plot' } as const] : []),
            { op: 'set', path: 'plot.eye', value: { distance: '600mm', height: '350mm', travel: '400mm' } },
          ])
        }
      >
        Say where it is seen from
      </Button>
    </>
  );
}

/** A wall modelled fully, plain, or not at all. */
const treat = (face: SeenFace, how: string): Edit =>
  /\.\d+$/.test(face.path)
    ? { op: 'set', path: `${face.path}.treat`, value: how }
    : {
        op: 'set',
        path: `${face.path}.=${face.edge}`,
        value: { edge: face.edge, treat: how },
      };

/** What might be saved on a wall, or given back to it. */
function Treatment({ face }: { face: SeenFace }) {
  const { save } = useBuilding();
  return face.treat === 'full' && face.wants !== 'full' && !face.path.startsWith('relief') ? (
    <>
      <Button size="sm" variant="outline-secondary" onClick={() => save([treat(face, 'plain')])}>
        Plain
      </Button>
      {face.wants === 'omit' && (
        <Button size="sm" variant="outline-secondary" className="ms-1" onClick={() => save([treat(face, 'omit')])}>
          Leave it out
        </Button>
      )}
    </>
  ) : face.treat === 'full' ? null : (
    <Button size="sm" variant="outline-secondary" onClick={() => save([treat(face, 'full')])}>
      Model it fully
    </Button>
  );
}

function Faces({
  title,
  faces,
  children,
}: {
  title: string;
  faces: SeenFace[];
  children?: (face: SeenFace) => React.ReactNode;
}) {
  return (
    <table className="table table-sm scales">
      <caption className="visually-hidden">{title}</caption>
      <thead>
        <tr>
          <th scope="col">{title.toLowerCase()}</th>
          <th scope="col">of it shows</th>
          <th scope="col">at an angle of</th>
          <th scope="col" />
          <td />
        </tr>
      </thead>
      <tbody>
        {faces.map((face) => (
          <tr key={face.key + face.name}>
            <th scope="row">{face.name}</th>
            <td>{(face.share * 100).toFixed(0)} %</td>
            <td>{face.share > 0 ? `${face.degrees.toFixed(0)}°` : '–'}</td>
            <td className={`sight-${face.wants}`}>
              {face.treat === 'full'
                ? WORDS[face.wants]
                : `${WORDS[face.wants]}; it is ${face.treat === 'omit' ? 'left out' : face.treat}`}
            </td>
            <td>{children?.(face)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
