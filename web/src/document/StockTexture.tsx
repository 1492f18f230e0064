import type { ShelfStock } from '../api/types';
import { LengthField } from '../ui/LengthField';
import { SelectField } from '../ui/SelectField';
import { textAt, useBuilding } from './context';
import { keyOf } from './StockField';

const FACES = [
  ['', 'smooth'],
  ['clapboard', 'boards that lap'],
  ['boards', 'boards'],
  ['bricks', 'courses of bricks'],
  ['stones', 'courses of stones'],
  ['tiles', 'rows of tiles'],
  ['waves', 'waves'],
] as const;

/** What is scribed or pressed into a sheet: it shows itself, and no paper goes over it. */
export function StockTexture({ stock }: { stock: ShelfStock }) {
  const { state, save } = useBuilding();
  const said = (state.document.stock as Record<string, unknown> | undefined)?.[stock.id];
  const of = textAt(said, 'texture.of');
  const path = `stock.${keyOf(stock.id)}.texture`;
  return (
    <>
      <SelectField
        label={`face of ${stock.name}`}
        value={of}
        choices={FACES}
        onChange={(next) =>
          save([
            of !== '' && next !== ''
              ? { op: 'set', path: `${path}.of`, value: next }
              : { op: 'set', path, value: next === '' ? null : { of: next, pitch: '2mm' } },
          ])
        }
      />
      {of !== '' && (
        <>
          <LengthField
            label="from line to line"
            path={`${path}.pitch`}
            value={textAt(said, 'texture.pitch')}
            world="model"
          />
          <SelectField
            label="its lines go"
            value={textAt(said, 'texture.lines') || 'across'}
            choices={[
              ['across', 'across'],
              ['up', 'up'],
            ]}
            onChange={(next) => save([{ op: 'set', path: `${path}.lines`, value: next === 'up' ? 'up' : null }])}
          />
        </>
      )}
    </>
  );
}
