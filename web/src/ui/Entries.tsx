import Button from 'react-bootstrap/Button';
import type { Json } from '../api/types';
import { textAt, useBuilding } from '../document/context';
import { type Entry, entriesAt, numberOf } from '../document/entries';
import { LengthField } from './LengthField';
import { SelectField } from './SelectField';
import { TextField } from './TextField';

export interface Field {
  key: string;
  label: string;
  what: 'length' | 'text' | 'count' | 'number' | 'choice' | 'list';
  /** Of a length: which world a figure without a word is of. */
  world?: 'real' | 'model';
  /** Of a length: the other world says nothing. */
  plain?: boolean;
  /** Of a list within the entry. */
  list?: Omit<Props, 'path' | 'onPut'>;
  optional?: boolean;
  choices?: readonly (readonly [string, string])[];
}

interface Props {
  title: string;
  /** Where the list stands in the document. */
  path: string;
  fields: readonly Field[];
  /** What one is called in its heading. */
  named: (entry: Entry, at: number) => string;
  /** A new one, with a name that none of the others has. */
  fresh: (others: Entry[]) => { [key: string]: Json };
  add: string;
  empty?: string;
  /** Saves the whole list where its owner is not in the document yet. */
  onPut?: (entries: Json[] | null) => void;
  /** Adds one where the server knows best what to begin with. */
  onAdd?: () => void;
}

/** A short list in the document: each entry with its fields, one more, one less. */
export function Entries({ title, path, fields, named, fresh, add, empty, onPut, onAdd }: Props) {
  const { state, save } = useBuilding();
  const entries = entriesAt(state.document, path);
  const put = onPut ?? ((next: Json[] | null) => save([{ op: 'set', path, value: next }]));
  return (
    <details open={entries.length > 0}>
      <summary>
        {title}
        {entries.length > 0 ? `: ${entries.length}` : ''}
      </summary>
      {entries.length === 0 && empty !== undefined && <p className="quiet mb-1">{empty}</p>}
      {entries.map((entry, i) => (
        <fieldset key={i} className="mb-2">
          <legend className="fs-6 fw-semibold mb-1 d-flex justify-content-between">
            {named(entry, i)}
            <Button
              variant="outline-secondary"
              size="sm"
              aria-label={`Remove ${named(entry, i)}`}
              onClick={() =>
                put(entries.length === 1 ? null : entries.filter((_one, k) => k !== i).map((one) => one as Json))
              }
            >
              Remove
            </Button>
          </legend>
          {fields.map((field) => (
            <EntryField key={field.key} field={field} path={`${path}.${i}.${field.key}`} />
          ))}
        </fieldset>
      ))}
      <Button
        variant="outline-primary"
        size="sm"
        onClick={() => (onAdd === undefined ? put([...entries.map((one) => one as Json), fresh(entries)]) : onAdd())}
      >
        {add}
      </Button>
    </details>
  );
}

function EntryField({ field, path }: { field: Field; path: string }) {
  const { state, save } = useBuilding();
  const value = textAt(state.document, path);
  if (field.what === 'list') return field.list === undefined ? null : <Entries {...field.list} path={path} />;
  if (field.what === 'length') {
    return (
      <LengthField
        label={field.label}
        path={path}
        value={value}
        world={field.world ?? 'real'}
        optional={field.optional ?? false}
        plain={field.plain ?? false}
      />
    );
  }
  if (field.what === 'choice') {
    return (
      <SelectField
        label={field.label}
        path={path}
        value={value}
        choices={field.choices ?? []}
        onChange={(next) => save([{ op: 'set', path, value: next === '' ? null : next }])}
      />
    );
  }
  return (
    <TextField
      label={field.label}
      path={path}
      value={value}
      isWide={field.what === 'text'}
      {...(field.what === 'count' ? { read: (text: string) => (/^\d+$/.test(text) ? Number(text) : null) } : {})}
      {...(field.what === 'number' ? { read: numberOf } : {})}
    />
  );
}
