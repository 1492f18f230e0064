import Button from 'react-bootstrap/Button';
import type { Json, Wall, WallCorner } from '../../api/types';
import { Entries } from '../../ui/Entries';
import { freeId, storeysAt } from '../../document/entries';
import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { kindsOf } from '../../document/kinds';
import { StackOf } from '../../document/StackOf';
import { textAt, useBuilding } from '../../document/context';

/** What is said of a wall beyond its single openings: its corners, rows in bays, what stays free, the ground along it. */
export function WallDetails({ wall }: { wall: Wall }) {
  const { state, save } = useBuilding();
  const kinds = kindsOf(state.document);
  // A wall that the document says nothing of yet has no number there.
  const isThere = /\.\d+$/.test(wall.path);
  const path = isThere ? wall.path : `${wall.path}.=${wall.edge}`;
  const block = wall.path.split('.walls')[0] ?? '';
  const storeys = storeysAt(state.document, block);
  const put = (key: string) => (value: Json[] | null) =>
    save([
      isThere
        ? { op: 'set', path: `${path}.${key}`, value }
        : { op: 'set', path, value: { edge: wall.edge, [key]: value } },
    ]);
  const ground = textAt(state.document, `${path}.ground.0`);
  return (
    <>
      <StackOf
        path={isThere ? path : null}
        usual={textAt(state.document, `${block}.stack`) === '' ? 'as the building’s walls' : 'as its block’s walls'}
        owner={{ wall: wall.key }}
      />
      {state.document.relief === undefined && (
        <section className="workings">
          <h3>Its corners</h3>
          {wall.ends.map((end) => (
            <CornerField key={end.end} wall={wall} corner={end} />
          ))}
        </section>
      )}
      <Entries
        title="Rows in bays"
        path={`${path}.rows`}
        onPut={put('rows')}
        add="Add a row"
        onAdd={() => save([{ op: 'add-row', wall: wall.key }])}
        empty="Equal openings in equal bays, or between margins."
        named={(_entry, i) => `Row ${i + 1}`}
        fresh={(others) => ({ id: freeId(others, 'r'), style: kinds[0]?.[0] ?? 'window', sill: '3ft', count: 3 })}
        fields={[
          { key: 'style', label: 'of', what: 'choice', choices: kinds },
          { key: 'count', label: 'how many', what: 'count' },
          { key: 'sill', label: 'sill', what: 'length' },
          {
            key: 'storey',
            label: 'above the floor of',
            what: 'choice',
            choices: [
              ['', 'the block'],
              ...storeys.map((one) => [textAt(one, 'id'), textAt(one, 'name') || textAt(one, 'id')] as const),
            ],
          },
          { key: 'margin', label: 'margin at the ends', what: 'length', optional: true },
        ]}
      />
      <Entries
        title="Kept free"
        path={`${path}.keep`}
        onPut={put('keep')}
        add="Keep a place free"
        empty="Where no opening may come: a chimney, a stair, a wall inside."
        named={(entry, i) => (typeof entry.why === 'string' && entry.why !== '' ? entry.why : `Place ${i + 1}`)}
        fresh={() => ({ from: '1ft', width: '2ft', why: 'chimney' })}
        fields={[
          { key: 'from', label: 'from the left end', what: 'length' },
          { key: 'width', label: 'width', what: 'length' },
          { key: 'why', label: 'for', what: 'text' },
        ]}
      />
      <details open={ground !== ''}>
        <summary>Ground along it</summary>
        {ground === '' ? (
          <>
            <p className="quiet mb-1">Level with the base.</p>
            <Button variant="outline-primary" size="sm" onClick={() => put('ground')(['0ft', '0ft'])}>
              It falls
            </Button>
          </>
        ) : (
          <>
            <LengthField label="at its left end" path={`${path}.ground.0`} value={ground} />
            <LengthField
              label="at its right end"
              path={`${path}.ground.1`}
              value={textAt(state.document, `${path}.ground.1`)}
            />
            <p className="quiet mb-1">
              Above the datum. The card goes down to the lowest of it and somewhat into the ground.
            </p>
            <Button variant="outline-secondary" size="sm" onClick={() => put('ground')(null)}>
              Level with the base
            </Button>
          </>
        )}
      </details>
    </>
  );
}

function CornerField({ wall, corner }: { wall: Wall; corner: WallCorner }) {
  const { save } = useBuilding();
  const mine = corner.end === 'left' ? 'after' : 'before';
  const theirs = corner.end === 'left' ? 'before' : 'after';
  const say = (value: string) =>
    save([
      {
        op: 'corner',
        block: wall.block,
        vertex: corner.vertex,
        method: value === '' ? null : value === 'mitre' ? 'mitre' : 'butt',
        through: value === 'through' ? mine : value === 'stopped' ? theirs : null,
      },
    ]);
  return (
    <>
      <SelectField
        label={`${corner.name ?? `${corner.end} end`}, ${corner.angle}`}
        value={corner.said}
        choices={[
          ['', 'as the building’s are'],
          ['through', 'this wall runs through'],
          ['stopped', `the ${corner.other} wall runs through`],
          ['mitre', 'mitred'],
        ]}
        onChange={say}
      />
    </>
  );
}
