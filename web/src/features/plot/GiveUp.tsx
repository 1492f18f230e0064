import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { compromisesOptions } from '../../api/options';
import type { CompromiseRow, Compromises } from '../../api/plot';
import type { Edit, Json } from '../../api/types';
import { Shapes } from '../../drawing/Shapes';
import { entriesAt } from '../../ui/Entries';
import { textAt, useBuilding } from '../building/context';

const NAMES: Record<string, string> = {
  mix: 'Margins and piers',
  margins: 'Margins only',
  piers: 'Piers only',
  bays: 'Fewer bays',
  factor: 'Everything smaller',
};

const STEPS: Record<string, string> = {
  margins: 'margins shorter',
  piers: 'piers shorter',
  shorten: 'blank stretches shorter',
  spread: 'spread over margins and piers',
  bays: 'bays fewer',
  courses: 'courses lower',
  factor: 'everything smaller',
  omit: 'left out',
};

const FILLS = { wall: '#e6dcc4', opening: '#fbfaf6' };

const UNPROTECT: Edit = { op: 'set', path: 'compression.protect', value: [] };

/** What is given up so that it fits: the least harmful ways to a finished length, and the steps taken so far. */
export function GiveUp() {
  const { state, save, derived } = useBuilding();
  const ids = { wall: useId(), to: useId() };
  const walls = derived?.view.walls ?? [];
  const [picked, setWall] = useState<string | null>(null);
  // What was picked may have been left out since.
  const wall = (walls.find((one) => one.key === picked) ?? walls[0])?.key ?? '';
  const [typed, setTyped] = useState('');
  const [to, setTo] = useState('');
  const answer = useQuery({
    ...compromisesOptions(state.id, state.derived_from ?? 0, wall, to),
    placeholderData: keepPreviousData,
    enabled: wall !== '',
  });
  const steps = entriesAt(state.document, 'compression.steps');
  const put = (next: Json[]): Edit => ({ op: 'set', path: 'compression.steps', value: next });
  return (
    <>
      <form
        className="tools mb-2"
        onSubmit={(event) => {
          event.preventDefault();
          setTo(typed.trim());
        }}
      >
        <Form.Label htmlFor={ids.wall} className="mb-0">
          along
        </Form.Label>
        <Form.Select
          id={ids.wall}
          className="w-auto"
          size="sm"
          value={wall}
          onChange={(event) => setWall(event.target.value)}
        >
          {walls
            .filter((one) => !one.path.startsWith('relief'))
            .map((one) => (
              <option key={one.key} value={one.key}>
                {one.title.replace(', from outside', '')}
              </option>
            ))}
        </Form.Select>
        <Form.Label htmlFor={ids.to} className="mb-0">
          fit it to
        </Form.Label>
        <Form.Control
          id={ids.to}
          className="w-auto"
          size="sm"
          value={typed}
          placeholder="212mm"
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button type="submit" size="sm" variant="outline-primary" disabled={typed.trim() === ''}>
          Propose
        </Button>
      </form>
      {answer.isError && (
        <p className="text-danger" role="alert">
          {answer.error.message}
        </p>
      )}
      {answer.isFetching && to !== '' && <p role="status">Trying what could go …</p>}
      {answer.data !== undefined && (
        <p className="quiet">
          Finished it is {answer.data.now_mm.toFixed(1)} mm long in that direction. Openings, steps and bricks stay as
          they are; this wall’s margins and piers can give {answer.data.most}.
        </p>
      )}
      {answer.data !== undefined && to !== '' && answer.data.rows.length === 0 && (
        <p>
          {answer.data.to_mm !== null && answer.data.now_mm <= answer.data.to_mm
            ? 'It is no longer than that already.'
            : `Nothing in this wall can give ${answer.data.by}. Shorten another wall in the same direction too, leave a block out, or cut it to low relief.`}
        </p>
      )}
      {answer.data !== undefined && to !== '' && (
        <div className="schools">
          {answer.data.rows.map((row) => (
            <Proposal
              key={row.key}
              row={row}
              answer={answer.data}
              onTake={() =>
                save([...(row.protected ? [UNPROTECT] : []), put([...steps.map((one) => one as Json), ...row.steps])])
              }
            />
          ))}
        </div>
      )}
      <h3 className="mt-3">Given up so far</h3>
      {steps.length === 0 ? (
        <p className="quiet">Nothing: the building is modelled as it is.</p>
      ) : (
        <ul className="steps">
          {steps.map((one, i) => {
            const isOff = one.off === true;
            const words = [
              textAt(one, 'block'),
              textAt(one, 'edge'),
              textAt(one, 'count'),
              STEPS[textAt(one, 'op')] ?? textAt(one, 'op'),
              textAt(one, 'by') === '' ? '' : `by ${textAt(one, 'by')}`,
            ];
            return (
              <li key={i} className={isOff ? 'off' : undefined}>
                <Form.Check
                  type="switch"
                  id={`${ids.wall}-${i}`}
                  checked={!isOff}
                  label={words.filter((word) => word !== '').join(' ')}
                  onChange={() => save([{ op: 'set', path: `compression.steps.${i}.off`, value: isOff ? null : true }])}
                />
                <Button
                  size="sm"
                  variant="outline-secondary"
                  onClick={() => save([put(steps.filter((_one, k) => k !== i).map((rest) => rest as Json))])}
                >
                  Take it back
                </Button>
              </li>
            );
          })}
        </ul>
      )}
      {answer.data !== undefined && answer.data.differences.length > 0 && (
        <table className="table table-sm scales">
          <thead>
            <tr>
              <th scope="col">what</th>
              <th scope="col">as it is</th>
              <th scope="col">as it is modelled</th>
            </tr>
          </thead>
          <tbody>
            {answer.data.differences.map((row) => (
              <tr key={row.what}>
                <th scope="row">{row.what}</th>
                <td>{row.real}</td>
                <td>{row.modelled}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

function Proposal({ row, answer, onTake }: { row: CompromiseRow; answer: Compromises; onTake: () => void }) {
  return (
    <section className="school" aria-label={NAMES[row.key] ?? row.key}>
      <h3>{NAMES[row.key] ?? row.key}</h3>
      {row.refused === null ? (
        <Shapes
          shapes={row.view}
          ghost={answer.ghost}
          fills={FILLS}
          title="The wall as it would be, over the real one"
        />
      ) : (
        <p className="fault">{row.refused}</p>
      )}
      <ul>
        {row.costs.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <p className="quiet">
        {row.finished_mm === null ? '' : `${row.finished_mm.toFixed(2)} mm finished. `}Shows by {row.harm.toFixed(1)}.
        {row.refused === null && !row.closes && ' It does not go together so: something is in the way.'}
      </p>
      <Button size="sm" variant="outline-primary" disabled={row.refused !== null} onClick={onTake}>
        Take it
      </Button>
    </section>
  );
}
