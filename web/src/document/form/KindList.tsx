import Button from 'react-bootstrap/Button';
import type { Json } from '../../api/types';
import { textAt, useBuilding } from '../context';
import { entriesAt } from '../entries';
import { AddOne, KindPicture } from './AddOne';
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
              {kind !== undefined && <KindPicture kind={kind} />} {called}
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
      <AddOne
        all={kinds.map((kind) => ({ kind, key: kind.kind }))}
        onAdd={({ kind }) => save([{ op: 'add-entry', path, kind: kind.kind }])}
      />
    </section>
  );
}

function swapped<T>(list: readonly T[], at: number): T[] {
  return list.map((one, i) => (i === at ? (list[at + 1] ?? one) : i === at + 1 ? (list[at] ?? one) : one));
}
