import Button from 'react-bootstrap/Button';
import { entriesAt } from './entries';
import { textAt, useBuilding } from './context';
import { SelectField } from '../ui/SelectField';

const MOST = 4;

/** Where a stack stands in the document. */
function pathOf(stack: string): string {
  return stack === 'wall' || stack === 'roof' ? `methods.${stack}` : `methods.stacks.${stack}`;
}

function nameOf(layer: number, count: number): string {
  if (count === 1) return 'of';
  return layer === 0 ? 'outside' : layer === count - 1 ? 'inside' : `layer ${layer + 1}`;
}

/** The layers of a wall or a roof from outside in, each of a stock that is chosen. */
export function Layers({ stack, label }: { stack: string; label: string }) {
  const { state, drawn, save } = useBuilding();
  const path = pathOf(stack);
  const stocks = entriesAt(state.document, path).map((entry) => textAt(entry, 'stock'));
  const choices = (drawn?.shelf ?? [])
    .filter((stock) => stock.kind === 'board' || stock.kind === 'card' || stocks.includes(stock.id))
    .map((stock) => [stock.id, stock.name] as const);
  const framed = entriesAt(state.document, path).findIndex((entry) => textAt(entry, 'role') === 'frames');
  const put = (next: string[]) => save([{ op: 'stack-layers', stack, stocks: next }]);
  return (
    <fieldset className="mb-2">
      <legend className="fs-6 fw-semibold mb-1">{label}</legend>
      {stocks.map((stock, i) => (
        <SelectField
          key={i}
          label={nameOf(i, stocks.length)}
          path={`${path}.${i}.stock`}
          value={stock}
          choices={choices}
          onChange={(next) => put(stocks.map((one, k) => (k === i ? next : one)))}
        />
      ))}
      {stack !== 'roof' && stocks.length > 1 && (
        <SelectField
          label="frames are cut in"
          path={`${path}.${Math.max(1, framed)}.role`}
          value={framed < 0 ? '' : String(framed)}
          choices={[
            ['', 'cards of their own'],
            ...stocks.slice(1).map((_one, i) => [String(i + 1), nameOf(i + 1, stocks.length)] as const),
          ]}
          onChange={(next) =>
            save([
              ...(framed < 0 ? [] : [{ op: 'set' as const, path: `${path}.${framed}.role`, value: 'core' }]),
              ...(next === '' ? [] : [{ op: 'set' as const, path: `${path}.${next}.role`, value: 'frames' }]),
            ])
          }
        />
      )}
      <div className="tools">
        {stocks.length < MOST && (
          <Button
            size="sm"
            variant="outline-secondary"
            onClick={() => put([...stocks, stocks[stocks.length - 1] ?? ''])}
          >
            One layer more
          </Button>
        )}
        {stocks.length > 1 && (
          <Button size="sm" variant="outline-secondary" onClick={() => put(stocks.slice(0, -1))}>
            One layer fewer
          </Button>
        )}
      </div>
    </fieldset>
  );
}
