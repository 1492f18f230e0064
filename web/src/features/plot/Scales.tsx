import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { materialOptions, scalesOptions } from '../../api/options';
import { useBuilding } from '../../document/context';

/** The building at other scales, what a scale changes and what it does not, and what stock stands for. */
export function Scales() {
  const { state, save } = useBuilding();
  const id = useId();
  const [typed, setTyped] = useState('');
  const [also, setAlso] = useState('');
  const revision = state.derived_from ?? 0;
  const table = useQuery({ ...scalesOptions(state.id, revision, also), placeholderData: keepPreviousData });
  return (
    <>
      <form
        className="tools mb-2"
        onSubmit={(event) => {
          event.preventDefault();
          setAlso(typed.replace(/^1\s*:\s*/, ''));
        }}
      >
        <Form.Label htmlFor={id} className="mb-0">
          also at 1:
        </Form.Label>
        <Form.Control
          id={id}
          className="w-auto"
          size="sm"
          value={typed}
          placeholder="50"
          onChange={(event) => setTyped(event.target.value)}
        />
        <Button type="submit" size="sm" variant="outline-primary">
          Show it
        </Button>
      </form>
      {table.isError && (
        <p className="text-danger" role="alert">
          {table.error.message}
        </p>
      )}
      {table.isPending && <p role="status">Building it at every scale …</p>}
      {table.data !== undefined && (
        <>
          <div className="table-responsive">
            <table className="table table-sm scales">
              <thead>
                <tr>
                  <th scope="col">scale</th>
                  <th scope="col">finished, w × d × h, mm</th>
                  <th scope="col">fits the plot</th>
                  <th scope="col">too fine to cut</th>
                  <th scope="col">1 mm of card</th>
                  <th scope="col">a figure</th>
                  <th scope="col">doors</th>
                  <td />
                </tr>
              </thead>
              <tbody>
                {table.data.rows.map((row) => (
                  <tr key={row.scale} className={row.here ? 'here' : undefined}>
                    <th scope="row">{row.scale}</th>
                    <td>
                      {row.size === null
                        ? 'cannot be made'
                        : `${row.size.width.toFixed(1)} × ${row.size.depth.toFixed(1)} × ${row.size.height.toFixed(1)}`}
                    </td>
                    <td title={row.fit ?? undefined}>
                      {row.fits === null ? '–' : row.fits ? 'yes' : row.moved ? 'once moved' : 'no'}
                    </td>
                    <td title={[...row.fine, ...row.faults].join('\n') || undefined}>
                      {row.faults.length > 0
                        ? row.faults[0]
                        : row.fine.length === 0
                          ? 'nothing'
                          : `${row.fine.length} ${row.fine.length === 1 ? 'place' : 'places'}`}
                    </td>
                    <td>{row.card_real}</td>
                    <td>{row.figure_mm.toFixed(1)} mm</td>
                    <td>{row.doors.map((door) => `${door.mm.toFixed(1)} mm`).join(', ') || '–'}</td>
                    <td>
                      {row.here ? (
                        'as it is'
                      ) : (
                        <Button
                          size="sm"
                          variant="outline-secondary"
                          onClick={() => save([{ op: 'set', path: 'scale', value: row.scale }])}
                        >
                          Take it
                        </Button>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <div className="side-by-side">
            <Changes title="Another scale changes" rows={table.data.scaled} />
            <Changes title="It leaves as they are" rows={table.data.kept} />
          </div>
        </>
      )}
      <h3 className="mt-3">Stock at this scale</h3>
      <Material world="model" label="a strip or sheet of" example="3/64in" />
      <Material world="real" label="the real thing measures" example="6in" />
    </>
  );
}

function Changes({ title, rows }: { title: string; rows: { what: string; mm: string }[] }) {
  return (
    <section>
      <h3>{title}</h3>
      <dl className="figures two">
        {rows.map((row) => (
          <div key={row.what} className="d-contents">
            <dt>{row.what}</dt>
            <dd className="mm mb-0">{row.mm}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function Material({ world, label, example }: { world: 'model' | 'real'; label: string; example: string }) {
  const { state } = useBuilding();
  const id = useId();
  const [text, setText] = useState('');
  const [asked, setAsked] = useState('');
  const answer = useQuery({
    ...materialOptions(state.id, state.derived_from ?? 0, world, asked),
    enabled: asked !== '',
  });
  return (
    <div className="material">
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        value={text}
        placeholder={example}
        autoComplete="off"
        onChange={(event) => setText(event.target.value)}
        onBlur={() => setAsked(text.trim())}
        onKeyDown={(event) => event.key === 'Enter' && setAsked(text.trim())}
      />
      <span role="status" className={answer.isError && asked !== '' ? 'fault' : undefined}>
        {asked === '' ? '' : answer.isError ? answer.error.message : (answer.data?.text ?? '…')}
      </span>
    </div>
  );
}
