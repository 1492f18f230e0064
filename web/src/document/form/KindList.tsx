import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { FormKind, Json } from '../../api/types';
import { focusWhenShown } from '../../ui/focus';
import { textAt, useBuilding } from '../context';
import { entriesAt } from '../entries';
import { Fields, type Names, type OneProps } from './Fields';

/** Things of several kinds: each with the fields of its own kind, in their order; one more is chosen by its picture. */
export function KindList({ field, path, names }: OneProps & { names: Names }) {
  const { state, save } = useBuilding();
  const entries = entriesAt(state.document, path);
  const { kinds = [] } = field.holds;
  const put = (next: readonly object[]) =>
    save([{ op: 'set', path, value: next.length === 0 ? null : next.map((one) => one as Json) }]);
  return (
    <section className="things" aria-label={field.label}>
      <h4 className="mt-2">{field.label}</h4>
      {entries.length === 0 && <p className="quiet mb-1">Nothing yet.</p>}
      {entries.map((entry, i) => {
        const kind = kinds.find((one) => one.kind === textAt(entry, 'kind'));
        const called = kind?.title ?? textAt(entry, 'kind');
        return (
          <details key={`${called} ${i}`} open={i === entries.length - 1 || undefined}>
            <summary>
              {kind !== undefined && <Picture kind={kind} />} {called}
            </summary>
            <Fields fields={kind?.fields ?? []} path={`${path}.${i}`} names={names} />
            <div className="tools mb-2">
              {i > 0 && (
                <Button size="sm" variant="outline-secondary" onClick={() => put(swapped(entries, i - 1))}>
                  Before {kinds.find((one) => one.kind === textAt(entries[i - 1], 'kind'))?.title.toLowerCase()}
                </Button>
              )}
              <Button size="sm" variant="outline-secondary" onClick={() => put(entries.filter((_one, k) => k !== i))}>
                Remove {called.toLowerCase()}
              </Button>
            </div>
          </details>
        );
      })}
      <AddOne kinds={kinds} onAdd={(kind) => save([{ op: 'add-entry', path, kind }])} />
    </section>
  );
}

function swapped<T>(list: readonly T[], at: number): T[] {
  return list.map((one, i) => (i === at ? (list[at + 1] ?? one) : i === at + 1 ? (list[at] ?? one) : one));
}

function Picture({ kind }: { kind: FormKind }) {
  return (
    <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
      <path d={kind.picture} />
    </svg>
  );
}

/** Whatever belongs here, with its picture and a sentence, found by any word of both. */
function AddOne({ kinds, onAdd }: { kinds: readonly FormKind[]; onAdd: (kind: string) => void }) {
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const words = text.toLowerCase().split(/\s+/);
  const found = kinds.filter((kind) =>
    words.every((word) => `${kind.title} ${kind.says}`.toLowerCase().includes(word)),
  );
  const take = (kind: FormKind | undefined) => {
    if (kind === undefined) return;
    onAdd(kind.kind);
    setOpen(false);
    setText('');
  };
  if (!isOpen) {
    return (
      <Button size="sm" variant="outline-primary" onClick={() => setOpen(true)}>
        Add …
      </Button>
    );
  }
  return (
    <div className="add-thing">
      <input
        className="form-control"
        aria-label="Find something to add"
        placeholder="sill, arch, stone …"
        value={text}
        autoComplete="off"
        onChange={(event) => setText(event.target.value)}
        ref={focusWhenShown}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Escape') setOpen(false);
          if (event.key === 'Enter') take(found[0]);
        }}
      />
      <ul>
        {found.map((kind) => (
          <li key={kind.kind}>
            <button type="button" onClick={() => take(kind)}>
              <Picture kind={kind} />
              <span>
                <b>{kind.title}</b> {kind.says}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="quiet">Nothing of that name goes here.</p>}
      <Button size="sm" variant="outline-secondary" onClick={() => setOpen(false)}>
        Add nothing
      </Button>
    </div>
  );
}
