import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { compromisesOptions } from '../../api/options';
import type { CompromiseRow, Compromises, Direction, Edit, Json } from '../../api/types';
import { Shapes } from '../../drawing/Shapes';
import { entriesAt } from '../../document/entries';
import { useBuilding } from '../../document/context';
import { Itself } from './Itself';
import { SoFar, put } from './SoFar';

const DIRECTIONS = [
  ['across', 'wide'],
  ['deep', 'deep'],
  ['high', 'high'],
] as const;

const FILLS = { wall: 'var(--ground)', opening: 'var(--sheet)' };

const UNPROTECT: Edit = { op: 'set', path: 'compression.protect', value: [] };

/** The finished size that is asked for, and the wall that alone may give. */
type Asked = Partial<Record<Direction | 'wall' | 'alike' | 'bricks', string | undefined>>;

/** What is wanted of every proposal. */
const WISHES = [
  ['alike', 'twins stay alike'],
  ['bricks', 'whole bricks'],
] as const;

/** What is given up so that it fits: the least harmful ways to a finished size, and the steps taken so far. */
export function GiveUp() {
  const { state } = useBuilding();
  const [asked, setAsked] = useState<Asked>({});
  const answer = useQuery({
    ...compromisesOptions(state.id, state.derived_from ?? 0, asked),
    placeholderData: keepPreviousData,
  });
  const isTyped = DIRECTIONS.some(([key]) => asked[key] !== undefined);
  // Without a size typed it is fitted to its plot, where that is too small.
  const hasAsked = isTyped || Object.keys(answer.data?.missing ?? {}).length > 0;
  return (
    <>
      <SizeAsked now={answer.data?.now} onAsk={(size) => setAsked({ ...wishesOf(asked), ...size })} />
      <div className="tools mb-2">
        {WISHES.map(([key, words]) => (
          <Form.Check
            key={key}
            id={`wish-${key}`}
            type="switch"
            label={words}
            checked={asked[key] !== undefined}
            onChange={(event) => setAsked({ ...asked, [key]: event.target.checked ? '1' : undefined })}
          />
        ))}
      </div>
      {answer.isError && (
        <p className="text-danger" role="alert">
          {answer.error.message}
        </p>
      )}
      {answer.isFetching && hasAsked && <p role="status">Trying what could go …</p>}
      {answer.data !== undefined && <AsItIs answer={answer.data} hasAsked={hasAsked} />}
      {answer.data !== undefined && !hasAsked && <Room room={answer.data.room} />}
      {answer.data !== undefined && <Itself features={answer.data.features} />}
      {answer.data !== undefined && hasAsked && <Proposals answer={answer.data} />}
      <SoFar />
      {answer.data !== undefined && answer.data.differences.length > 0 && <AsModelled answer={answer.data} />}
    </>
  );
}

/** Without what is not wanted. */
function wishesOf({ alike, bricks }: Asked): Asked {
  return { ...(alike === undefined ? {} : { alike }), ...(bricks === undefined ? {} : { bricks }) };
}

function SizeAsked({ now, onAsk }: { now: Compromises['now'] | undefined; onAsk: (asked: Asked) => void }) {
  const { derived } = useBuilding();
  const ids = { wall: useId(), to: useId() };
  const walls = derived?.view.walls ?? [];
  const [picked, setWall] = useState('');
  // What was picked may have been left out since.
  const wall = walls.some((one) => one.key === picked) ? picked : '';
  const [typed, setTyped] = useState<Partial<Record<Direction, string>>>({});
  return (
    <form
      className="tools mb-2"
      onSubmit={(event) => {
        event.preventDefault();
        const said = DIRECTIONS.flatMap(([key]) => {
          const text = typed[key]?.trim() ?? '';
          return text === '' ? [] : [[key, text] as const];
        });
        onAsk({ ...Object.fromEntries(said), ...(wall === '' ? {} : { wall }) });
      }}
    >
      <span>fit it to</span>
      {DIRECTIONS.map(([key, word]) => (
        <span key={key} className="d-inline-flex align-items-baseline gap-1">
          <Form.Control
            id={`${ids.to}-${key}`}
            className="short"
            size="sm"
            value={typed[key] ?? ''}
            placeholder={now === undefined ? '' : `${now[key].toFixed(1)}mm`}
            onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
          />
          <Form.Label htmlFor={`${ids.to}-${key}`} className="mb-0">
            {word}
          </Form.Label>
        </span>
      ))}
      <Form.Label htmlFor={ids.wall} className="mb-0">
        from
      </Form.Label>
      <Form.Select
        id={ids.wall}
        className="w-auto"
        size="sm"
        value={wall}
        onChange={(event) => setWall(event.target.value)}
      >
        <option value="">any wall</option>
        {walls
          .filter((one) => !one.path.startsWith('relief'))
          .map((one) => (
            <option key={one.key} value={one.key}>
              {one.title.replace(', from outside', '')}
            </option>
          ))}
      </Form.Select>
      <Button
        type="submit"
        size="sm"
        variant="outline-primary"
        disabled={DIRECTIONS.every(([key]) => (typed[key] ?? '').trim() === '')}
      >
        Propose
      </Button>
    </form>
  );
}

function AsItIs({ answer, hasAsked }: { answer: Compromises; hasAsked: boolean }) {
  return (
    <p className="quiet">
      Finished it is {answer.now.across.toFixed(1)} mm wide, {answer.now.deep.toFixed(1)} deep and{' '}
      {answer.now.high.toFixed(1)} high. Openings, steps and bricks stay as they are.
      {answer.of_plot && hasAsked && (
        <strong>
          {' '}
          Its plot has room for{' '}
          {DIRECTIONS.filter(([key]) => answer.to[key] !== null)
            .map(([key, word]) => `${answer.to[key]?.toFixed(1) ?? ''} mm ${word}`)
            .join(', ')}
          , a little left for glue and warp.
        </strong>
      )}
    </p>
  );
}

/** How much each wall could give. */
function Room({ room }: { room: Compromises['room'] }) {
  return (
    <table className="table table-sm scales">
      <thead>
        <tr>
          <th scope="col">wall</th>
          <th scope="col">its margins and piers can give</th>
          <th scope="col" />
        </tr>
      </thead>
      <tbody>
        {room.map((one) => (
          <tr key={one.wall}>
            <th scope="row">{one.name}</th>
            <td>{one.most}</td>
            <td>{one.direction === 'across' ? 'in width' : 'in depth'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Proposals({ answer }: { answer: Compromises }) {
  const { state, save } = useBuilding();
  const steps = entriesAt(state.document, 'compression.steps').map((one) => one as Json);
  if (answer.rows.length === 0) {
    return (
      <p>
        {Object.keys(answer.missing).length === 0
          ? 'It is no larger than that already.'
          : answer.spared > 0
            ? `Every way to give ${Object.values(answer.missing).join(' and ')} would change what makes it this building. Let go of some of that, or choose another scale.`
            : `Nothing in it can give ${Object.values(answer.missing).join(' and ')}. Leave a block out, cut it to low relief, or choose another scale.`}
      </p>
    );
  }
  return (
    <>
      <p className="quiet">
        <em>Shows by</em> says how much a way is noticed: every kind of length that it changes, by how many hundredths,
        margins counted half, piers once, openings four times. The first shows least; under 10 few will see it.
      </p>
      <div className="schools">
        {answer.rows.map((row) => (
          <Proposal
            key={row.key}
            row={row}
            answer={answer}
            onTake={() =>
              save([
                ...(row.protected ? [UNPROTECT] : []),
                ...(row.steps.length > 0 ? [put([...steps, ...row.steps])] : []),
                ...(row.relief === null ? [] : [{ op: 'set', path: 'relief', value: row.relief } as const]),
              ])
            }
          />
        ))}
      </div>
    </>
  );
}

/** The building in plan and in figures, as it is and as it is modelled. */
function AsModelled({ answer }: { answer: Compromises }) {
  return (
    <>
      <figure className="school mt-2">
        <Shapes
          shapes={answer.plan}
          ghost={answer.ghost}
          fills={FILLS}
          title="In plan as it is modelled, and dashed as it is"
        />
        <figcaption className="quiet">In plan as it is modelled, and dashed as it is.</figcaption>
      </figure>
      <table className="table table-sm scales">
        <thead>
          <tr>
            <th scope="col">what</th>
            <th scope="col">as it is</th>
            <th scope="col">as it is modelled</th>
          </tr>
        </thead>
        <tbody>
          {answer.differences.map((row) => (
            <tr key={row.what}>
              <th scope="row">{row.what}</th>
              <td>{row.real}</td>
              <td>{row.modelled}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

function Proposal({ row, answer, onTake }: { row: CompromiseRow; answer: Compromises; onTake: () => void }) {
  return (
    <section className="school" aria-label={row.title}>
      <h3>{row.title}</h3>
      {row.refused === null ? (
        <Shapes shapes={row.view} ghost={row.ghost} fills={FILLS} title="The wall as it would be, over the real one" />
      ) : (
        <p className="fault">{row.refused}</p>
      )}
      <ul>
        {row.costs.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <p className="quiet">
        {row.finished === null
          ? ''
          : `Finished ${DIRECTIONS.filter(([key]) => answer.to[key] !== null)
              .map(([key, word]) => `${row.finished?.[key].toFixed(2) ?? ''} mm ${word}`)
              .join(', ')}. `}
        {row.over_mm > 0 && `Still ${row.over_mm.toFixed(2)} mm too large. `}Shows by {row.harm.toFixed(1)}.
        {row.refused === null && !row.closes && ' It does not go together so: something is in the way.'}
      </p>
      <Button size="sm" variant="outline-primary" disabled={row.refused !== null} onClick={onTake}>
        Take it
      </Button>
    </section>
  );
}
