import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { reliefOptions } from '../../api/options';
import type { ReliefRow } from '../../api/types';
import { type Bounds, boundsOf } from '../../drawing/geometry';
import { Shapes } from '../../drawing/Shapes';
import { textAt, useBuilding } from '../../document/context';

const NAMES: Record<string, string> = {
  slice: 'Slice',
  squeeze: 'Squeeze',
  'keep-pitch': 'Keep the pitch',
  'front-slope': 'Front slope',
  'keep-ridge': 'Keep the ridge',
};

const FILLS = { wall: 'var(--ground)', roof: 'var(--seen-wall)' };

/** A building cut to a depth before the backscene: the five schools side by side. */
export function LowRelief() {
  const { state, save } = useBuilding();
  const id = useId();
  const own = textAt(state.document, 'relief.depth');
  const [typed, setTyped] = useState<string | null>(null);
  const [asked, setAsked] = useState(own === '' ? '30mm' : own);
  const table = useQuery({
    ...reliefOptions(state.id, state.derived_from ?? 0, asked),
    placeholderData: keepPreviousData,
  });
  const ask = () => typed !== null && typed.trim() !== '' && setAsked(typed.trim());
  const take = (school: string) =>
    save([
      {
        op: 'set',
        path: 'relief',
        value: {
          depth: asked,
          school,
          back: textAt(state.document, 'relief.back') || 'open',
          flank: textAt(state.document, 'relief.flank') || 'keep',
        },
      },
    ]);
  return (
    <>
      <form
        className="tools mb-2"
        onSubmit={(event) => {
          event.preventDefault();
          ask();
        }}
      >
        <Form.Label htmlFor={id} className="mb-0">
          cut to a depth of
        </Form.Label>
        <Form.Control
          id={id}
          className="w-auto"
          size="sm"
          value={typed ?? asked}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={ask}
        />
        <Button type="submit" size="sm" variant="outline-primary">
          Compare
        </Button>
        {own !== '' && (
          <Button
            size="sm"
            variant="outline-secondary"
            onClick={() => save([{ op: 'set', path: 'relief', value: null }])}
          >
            Model it whole
          </Button>
        )}
      </form>
      {table.isError && (
        <p className="text-danger" role="alert">
          {table.error.message}
        </p>
      )}
      {table.isPending && <p role="status">Cutting it five ways …</p>}
      {table.data !== undefined && (
        <>
          <p className="quiet">
            The building is {table.data.whole_mm.toFixed(1)} mm deep. Seen from its right end, the front on the left.
            {table.data.even.length === 2 &&
              ` With ${table.data.even[0]?.toFixed(2)} or ${table.data.even[1]?.toFixed(2)} mm brick flanks end on a closer.`}
          </p>
          <div className="schools">
            {table.data.rows.map((row) => (
              <School
                key={row.school}
                row={row}
                all={boundsOf(table.data.rows.flatMap((one) => one.view.map((shape) => shape.ring)))}
                onTake={() => take(row.school)}
              />
            ))}
          </div>
        </>
      )}
    </>
  );
}

function School({ row, all, onTake }: { row: ReliefRow; all: Bounds; onTake: () => void }) {
  return (
    <section className={row.chosen ? 'school chosen' : 'school'} aria-label={NAMES[row.school] ?? row.school}>
      <h3>
        {NAMES[row.school] ?? row.school}
        {row.recommended !== null && <span> recommended</span>}
      </h3>
      {row.refused === null ? (
        <Shapes shapes={row.view} fills={FILLS} title="From its right end" bounds={all} ground />
      ) : (
        <p className="fault">{row.refused}</p>
      )}
      <p>{row.costs}</p>
      {row.recommended !== null && <p>{row.recommended}</p>}
      {row.heights.length > 0 && (
        <p className="quiet">
          {row.heights.join(' ')}
          {row.slopes.length <= 4 &&
            row.slopes.map((slope) => ` ${slope.name} slope ${slope.slope_mm.toFixed(2)} at ${slope.pitch}.`).join('')}
          {row.slates !== null &&
            ` ${row.slates.is.toFixed(1)} rows of slates at the front, of ${row.slates.was.toFixed(1)}.`}
        </p>
      )}
      {row.lost.length > 0 && (
        <ul className="quiet">
          {row.lost.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      {row.chosen ? (
        <strong>as it is modelled</strong>
      ) : (
        <Button size="sm" variant="outline-primary" disabled={row.refused !== null} onClick={onTake}>
          Cut it so
        </Button>
      )}
    </section>
  );
}
