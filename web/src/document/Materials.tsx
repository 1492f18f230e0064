import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { ShelfStock } from '../api/types';
import { textAt, useBuilding } from './context';
import { SelectField } from '../ui/SelectField';
import { Layers } from './Layers';
import { StockField } from './StockField';
import { StockTexture } from './StockTexture';

const KINDS = [
  ['board', 'board'],
  ['card', 'card'],
  ['paper', 'paper'],
  ['sheet', 'clear or plastic sheet'],
] as const;

/** Stocks that small parts are of, each with where the document says so and what is usual. */
const SMALL = [
  ['frames and doors', 'methods.trim.frame', 'card-0.5'],
  ['glazing', 'methods.trim.glazing', 'acetate-0.2'],
  ['papers', 'methods.skin.stock', 'paper-0.1'],
  ['strips over ridges and hips', 'methods.ridge.stock', 'card-0.25'],
] as const;

/** From what it is cut: the layers of walls and roofs, the stocks of small parts, and how thick each really is. */
export function Materials() {
  const { state, derived, drawn, save } = useBuilding();
  const shelf = drawn?.shelf ?? [];
  const used = new Set(derived?.view.stocks.map((stock) => stock.id));
  const set = (path: string, value: string) => {
    // A strip's stock is all that is said of strips.
    save([
      path === 'methods.ridge.stock'
        ? { op: 'set', path: 'methods.ridge', value: { stock: value } }
        : { op: 'set', path, value },
    ]);
  };
  return (
    <section aria-label="Materials">
      <h3 className="mt-3">What it is cut from</h3>
      <Layers stack="wall" label="Walls, from outside in" />
      <Layers stack="roof" label="Roofs, from outside in" />
      {SMALL.map(([label, path, usual]) => (
        <SelectField
          key={path}
          label={label}
          path={path}
          value={textAt(state.document, path) || usual}
          choices={shelf.map((stock) => [stock.id, stock.name] as const)}
          onChange={(next) => set(path, next)}
        />
      ))}
      <SelectField
        label="frames and leaves are held"
        path="methods.trim.held"
        value={textAt(state.document, 'methods.trim.held') || 'said'}
        choices={[
          ['said', 'as their kinds say'],
          ['rebates', 'in rebates of 1 mm'],
          ['behind', 'from behind, on rings of card'],
          ['stops', 'by strips behind them'],
        ]}
        onChange={(next) => set('methods.trim.held', next)}
      />
      <h3 className="mt-3">Thickness as measured</h3>
      <p className="quiet mb-1">Best from a pile of ten. Every corner depends on it.</p>
      {[...shelf, ...unsound(state.document.stock, shelf)]
        .filter((stock) => used.has(stock.id) || isOwn(state.document.stock, stock))
        .map((stock) => (
          <StockField key={stock.id} stock={stock} />
        ))}
      {shelf
        .filter((stock) => isOwn(state.document.stock, stock))
        .map((stock) => (
          <StockTexture key={stock.id} stock={stock} />
        ))}
      <NewStock />
    </section>
  );
}

/** Stocks of the document with something wrong with them: no shelf has those, and here it is put right. */
function unsound(stocks: unknown, shelf: readonly ShelfStock[]): ShelfStock[] {
  if (stocks === null || typeof stocks !== 'object') return [];
  return Object.entries(stocks as Record<string, unknown>)
    .filter(([id]) => !shelf.some((stock) => stock.id === id))
    .map(([id, stock]) => ({
      id,
      name: textAt(stock, 'name') || id,
      kind: textAt(stock, 'kind'),
      thickness: textAt(stock, 'thickness'),
      measured: true,
    }));
}

function isOwn(stocks: unknown, { id }: ShelfStock): boolean {
  return stocks !== null && typeof stocks === 'object' && id in stocks;
}

/** A stock that is not among the usual ones. */
function NewStock() {
  const { save } = useBuilding();
  const [name, setName] = useState('');
  const [thickness, setThickness] = useState('');
  const [kind, setKind] = useState<(typeof KINDS)[number][0]>('card');
  return (
    <details>
      <summary>A stock of my own</summary>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          save([{ op: 'add-stock', name, kind, thickness }]);
          setName('');
          setThickness('');
        }}
      >
        <label className="d-block">
          what it is called
          <input
            className="form-control"
            value={name}
            required
            maxLength={60}
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        <SelectField
          label="it is"
          value={kind}
          choices={KINDS}
          onChange={(next) => setKind(KINDS.find(([key]) => key === next)?.[0] ?? 'card')}
        />
        <label className="d-block mb-2">
          thickness
          <input
            className="form-control"
            value={thickness}
            required
            placeholder="0.8mm"
            onChange={(e) => setThickness(e.target.value)}
          />
        </label>
        <Button type="submit" size="sm" variant="outline-primary">
          Put it on the shelf
        </Button>
      </form>
    </details>
  );
}
