import { useId } from 'react';
import type { ShelfStock } from '../api/types';
import { textAt, useBuilding } from './context';

/** What a stock measures: the usual figure is taken until one is typed, and nothing is measured by looking at it. */
export function StockField({ stock }: { stock: ShelfStock }) {
  const { state, units, save } = useBuilding();
  const field = useId();
  const { id, kind, thickness, measured } = stock;
  const described = Object.keys((state.document.stock ?? {}) as object).includes(id);
  const fault = state.faults.find((one) => one.path === `stock.${id}.thickness`)?.says[units];
  const written = textAt((state.document.stock as Record<string, unknown> | undefined)?.[id], 'thickness');
  const stored = described ? written : '';
  function commit(typed: string) {
    if (typed === stored || typed === '') return;
    save([
      described
        ? { op: 'set', path: `stock.${keyOf(id)}.thickness`, value: typed }
        : { op: 'set', path: `stock.${keyOf(id)}`, value: { kind, thickness: typed } },
    ]);
  }
  return (
    <div className="field-row">
      <label htmlFor={field}>{stock.name}</label>
      <input
        id={field}
        className="form-control"
        defaultValue={stored}
        placeholder={thickness}
        key={stored}
        aria-invalid={fault !== undefined}
        aria-describedby={fault === undefined ? undefined : `${field}-fault`}
        onBlur={(event) => commit(event.target.value.trim())}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      <span className="other">{measured ? 'measured' : 'usual'}</span>
      {fault !== undefined && (
        <span id={`${field}-fault`} className="fault" role="alert">
          {fault}
        </span>
      )}
    </div>
  );
}

/** Ids of stocks have points in them. */
export function keyOf(id: string): string {
  return id.replaceAll('.', '~.');
}
