import { useId } from 'react';
import Form from 'react-bootstrap/Form';
import type { FormValue, Json } from '../../api/types';
import { ColourField } from '../../ui/ColourField';
import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { TextField } from '../../ui/TextField';
import { asText, textAt, useBuilding, valueAt } from '../context';
import { entriesAt, numberOf } from '../entries';
import { listOf, withAt } from './asked';
import type { OneProps } from './Fields';

const wholeOf = (text: string): number | null => (/^\d+$/.test(text.trim()) ? Number(text) : null);

export function NumberField({ field, path }: OneProps) {
  const { state } = useBuilding();
  return (
    <TextField
      label={field.label}
      path={path}
      value={textAt(state.document, path)}
      read={numberOf}
      after={field.holds.after ?? ''}
      usual={asText(field.usual)}
      isOptional={field.optional}
    />
  );
}

export function CountField({ field, path }: OneProps) {
  const { state } = useBuilding();
  const value = textAt(state.document, path);
  return (
    <TextField
      label={field.label}
      path={path}
      value={value}
      read={wholeOf}
      usual={asText(field.usual)}
      isOptional={field.optional}
    />
  );
}

export function WordsField({ field, path }: OneProps) {
  const { state } = useBuilding();
  return (
    <TextField
      label={field.label}
      path={path}
      value={textAt(state.document, path)}
      usual={asText(field.usual)}
      isWide
      isOptional={field.optional}
    />
  );
}

export function FlagField({ field, path }: OneProps) {
  const { state, save } = useBuilding();
  const id = useId();
  const said = valueAt(state.document, path) ?? field.usual;
  return (
    <Form.Check
      id={id}
      type="checkbox"
      label={field.label}
      checked={said === true}
      onChange={(event) => save([{ op: 'set', path, value: event.target.checked }])}
    />
  );
}

/** Two of a kind; what is not said yet is said as a whole, with what is usual for the other. */
export function PairField({ field, path }: OneProps) {
  const { state, save } = useBuilding();
  const said = listOf(valueAt(state.document, path));
  const pair = said.length === 2 ? said : listOf(field.usual);
  const { each, labels = ['', ''] } = field.holds;
  if (each === undefined) return null;
  return labels.map((label, i) => (
    <PlainValue
      key={label}
      holds={each}
      label={label}
      path={`${path}.${i}`}
      value={asText(pair[i])}
      {...(said.length === 2
        ? {}
        : {
            onPut: (value: Json) =>
              save([{ op: 'set', path, value: withAt(pair.length === 2 ? pair : ['', ''], i, value) }]),
          })}
    />
  ));
}

interface PlainProps {
  holds: FormValue;
  label: string;
  path: string;
  value: string;
  isOptional?: boolean;
  onPut?: (value: Json) => void;
}

/** A length, a count or a word that has no field of its own. */
export function PlainValue({ holds, label, path, value, isOptional = false, onPut }: PlainProps) {
  const put = onPut === undefined ? {} : { onPut };
  if (holds.what === 'length') {
    return (
      <LengthField
        label={label}
        path={path}
        value={value}
        world={holds.world ?? 'real'}
        optional={isOptional}
        {...put}
      />
    );
  }
  const read = holds.what === 'count' ? wholeOf : holds.what === 'number' ? numberOf : (text: string) => text;
  return <TextField label={label} path={path} value={value} read={read} {...put} />;
}

export function ColourChoice({ field, path }: OneProps) {
  const { state } = useBuilding();
  return (
    <ColourField
      label={field.label}
      path={path}
      value={textAt(state.document, path) || asText(field.usual)}
      unsaid={field.unsaid}
    />
  );
}

export function StockChoice({ field, path }: OneProps) {
  const { state, drawn, save } = useBuilding();
  return (
    <SelectField
      label={field.label}
      path={path}
      value={textAt(state.document, path) || asText(field.usual)}
      choices={(drawn?.shelf ?? []).map((stock) => [stock.id, stock.name] as const)}
      onChange={(value) => save([{ op: 'set', path, value }])}
    />
  );
}

/** Something that the document names elsewhere. */
export function ReferenceField({ field, path }: OneProps) {
  const { state, save } = useBuilding();
  const value = textAt(state.document, path);
  const known = entriesAt(state.document, field.holds.to ?? '').map((one) => {
    const id = textAt(one, 'id');
    return [id, textAt(one, 'name') || id] as const;
  });
  const none = ['', field.unsaid ?? 'none'] as const;
  const choices = [
    ...(field.optional || value === '' ? [none] : []),
    ...(value === '' || known.some(([id]) => id === value) ? [] : [[value, value] as const]),
    ...known,
  ];
  return (
    <SelectField
      label={field.label}
      path={path}
      value={value}
      choices={choices}
      onChange={(next) => save([{ op: 'set', path, value: next === '' ? null : next }])}
    />
  );
}
