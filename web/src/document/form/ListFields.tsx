import Button from 'react-bootstrap/Button';
import { asText, textAt, useBuilding, valueAt } from '../context';
import { entriesAt } from '../entries';
import { listOf } from './asked';
import { Fields, type Names, type OneProps } from './Fields';
import { PlainValue } from './PlainFields';

const article = (word: string) => (/^[aeiou]/i.test(word) ? 'an' : 'a');

/** Things of one kind: each with its fields, one more, one less. */
export function ListField({ field, path, names }: OneProps & { names: Names }) {
  const { state, save } = useBuilding();
  const entries = entriesAt(state.document, path);
  const { fields = [], one = '', empty = '', least = 0 } = field.holds;
  return (
    <details open={entries.length > 0}>
      <summary>
        {field.label}
        {entries.length > 0 ? `: ${entries.length}` : ''}
      </summary>
      {entries.length === 0 && empty !== '' && <p className="quiet mb-1">{empty}</p>}
      {entries.map((entry, i) => {
        const called = textAt(entry, 'name') || `${one} ${i + 1}`;
        return (
          <fieldset key={textAt(entry, 'id') || i} className="mb-2">
            <legend className="fs-6 fw-semibold mb-1 d-flex justify-content-between">
              {called}
              {entries.length > least && (
                <Button
                  variant="outline-secondary"
                  size="sm"
                  aria-label={`Remove ${called}`}
                  onClick={() => save([{ op: 'set', path: entries.length === 1 ? path : `${path}.${i}`, value: null }])}
                >
                  Remove
                </Button>
              )}
            </legend>
            <Fields fields={fields} path={`${path}.${i}`} names={names} />
          </fieldset>
        );
      })}
      <Button variant="outline-primary" size="sm" onClick={() => save([{ op: 'add-entry', path }])}>
        Add {article(one)} {one.toLowerCase()}
      </Button>
    </details>
  );
}

/** Plain values, or places, one after the other. */
export function ItemsField({ field, path }: OneProps) {
  const { state, save } = useBuilding();
  const items = listOf(valueAt(state.document, path));
  const { each, one = '', least = 0 } = field.holds;
  if (each === undefined) return null;
  const last = items.at(-1);
  return (
    <>
      {items.map((item, i) => (
        <div key={i} role="group" aria-label={`${one} ${i + 1}`}>
          {each.what === 'pair' && each.each !== undefined ? (
            (each.labels ?? ['', '']).map((label, k) => (
              <PlainValue
                key={label}
                holds={each.each ?? each}
                label={`${one.toLowerCase()} ${i + 1}, ${label}`}
                path={`${path}.${i}.${k}`}
                value={asText(listOf(item)[k])}
              />
            ))
          ) : (
            <PlainValue
              holds={each}
              label={`${one.toLowerCase()} ${i + 1}`}
              path={`${path}.${i}`}
              value={asText(item)}
            />
          )}
        </div>
      ))}
      <div className="tools mb-2">
        {last !== undefined && (
          <Button
            variant="outline-primary"
            size="sm"
            onClick={() => save([{ op: 'set', path, value: [...items, last] }])}
          >
            Add {article(one)} {one.toLowerCase()}
          </Button>
        )}
        {items.length > least && (
          <Button
            variant="outline-secondary"
            size="sm"
            onClick={() => save([{ op: 'set', path, value: items.slice(0, -1) }])}
          >
            Remove the last {one.toLowerCase()}
          </Button>
        )}
      </div>
    </>
  );
}

/** Values by names that the document has given. */
export function MapField({ field, path, names }: OneProps & { names: Names }) {
  const { state } = useBuilding();
  const { each, names: of = '' } = field.holds;
  if (each === undefined) return null;
  return (names[of] ?? []).map((name) => (
    <PlainValue
      key={name}
      holds={each}
      label={name}
      path={`${path}.${name}`}
      value={textAt(state.document, `${path}.${name}`)}
      isOptional
    />
  ));
}
