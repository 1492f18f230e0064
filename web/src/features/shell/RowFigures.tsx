import Button from 'react-bootstrap/Button';
import type { Opening, Wall } from '../../api/types';
import { textAt, useBuilding } from '../../document/context';
import { storeysAt } from '../../document/entries';
import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { KindOf } from '../../document/KindOf';
import { ChecksAt } from '../../document/ChecksAt';

const STANDS = [
  ['bays', 'in equal bays'],
  ['margin', 'between equal margins'],
  ['from', 'from a place on'],
] as const;

/** A row of equal openings, as one: how many, where they stand, and on which floor. */
export function RowFigures({ wall, opening, row }: { wall: Wall; opening: Opening; row: string }) {
  const { state, save } = useBuilding();
  const path = opening.path;
  const text = (key: string) => textAt(state.document, `${path}.${key}`);
  const all = wall.openings.filter((one) => one.row === row);
  const stands = text('from') !== '' ? 'from' : text('margin') !== '' ? 'margin' : 'bays';
  const block = path.split('.').slice(0, 2).join('.');
  const storeys = storeysAt(state.document, block).map(
    (one) => [textAt(one, 'id'), textAt(one, 'name') || textAt(one, 'id')] as const,
  );

  function stand(how: string) {
    const known = STANDS.find(([key]) => key === how);
    if (known !== undefined) {
      save([{ op: 'stand-row', wall: wall.key, id: row, how: known[0] }]);
    }
  }

  return (
    <>
      <h2>
        <span className="text-capitalize">{opening.name}</span>, a row of {all.length}
      </h2>
      <p className="quiet">{wall.edge} wall; all of it moves together.</p>
      <TextField
        label="how many"
        path={`${path}.count`}
        value={text('count')}
        read={whole}
        onPut={(count) => save([{ op: 'repeat-opening', wall: wall.key, id: row, count: Number(count) }])}
      />
      <SelectField label="they stand" value={stands} choices={STANDS} onChange={stand} />
      {stands === 'margin' && (
        <LengthField label="margin at both ends" path={`${path}.margin`} value={text('margin')} />
      )}
      {stands === 'from' && (
        <>
          <LengthField label="first, from the left end" path={`${path}.from`} value={text('from')} />
          <LengthField label="from one to the next" path={`${path}.pitch`} value={text('pitch')} optional />
        </>
      )}
      <LengthField
        label={text('storey') === '' ? 'sill above base' : 'sill above the floor'}
        path={`${path}.sill`}
        value={text('sill')}
      />
      {storeys.length > 0 && (
        <SelectField
          label="on the floor"
          path={`${path}.storey`}
          value={text('storey')}
          choices={[['', 'of the block'], ...storeys]}
          onChange={(id) => save([{ op: 'set', path: `${path}.storey`, value: id === '' ? null : id }])}
        />
      )}
      <KindOf wall={wall} opening={opening} />
      <Button
        variant="outline-secondary"
        size="sm"
        onClick={() => save([{ op: 'break-row', wall: wall.key, id: row }])}
      >
        Break into single ones
      </Button>
      <ChecksAt at={all.map((one) => `${wall.key}.${one.id}`)} />
    </>
  );
}

function whole(text: string): number | null {
  return /^[1-9]\d{0,2}$/.test(text) ? Number(text) : null;
}
