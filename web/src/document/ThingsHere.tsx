import Button from 'react-bootstrap/Button';
import type { FormKind, Json } from '../api/types';
import { Centred } from './Centred';
import { textAt, useBuilding } from './context';
import { entriesAt, type Entry } from './entries';
import { AddOne, KindPicture } from './form/AddOne';
import { Fields } from './form/Fields';
import { isFirst, useKindsAt } from './things';

interface Props {
  form: 'things' | 'things-of-the-plot';
  /** Whose they are; null for the plot’s. */
  block: { id: string; path: string } | null;
  /** On what they may stand here, and how a person says that. */
  anchors: Readonly<Record<string, string>>;
  /** What a new one here says of where it is. */
  on?: Record<string, Json>;
  title: string;
}

/** Things that stand here, each with its figures, and one more; nothing where there are no kinds that could. */
export function ThingsHere({ form, block, anchors, on = {}, title }: Props) {
  const { state, save } = useBuilding();
  const kinds = useKindsAt(form, Object.keys(anchors));
  if (kinds.length === 0) return null;
  const path = block === null ? 'features' : `${block.path}.features`;
  const of = block === null ? {} : { block: block.id };
  const here = entriesAt(state.document, path)
    .map((entry, i) => ({ entry, i, kind: kinds.find((one) => one.kind === textAt(entry, 'kind')) }))
    .filter(({ entry, kind }) => kind !== undefined && anchorOf(entry, kind) in anchors && isThere(entry, on));
  return (
    <section className="things" aria-label={title}>
      <h3 className="mt-3">{title}</h3>
      {here.map(({ entry, i, kind }) =>
        kind === undefined ? null : (
          <details key={`${kind.kind} ${i}`} open={i === here.at(-1)?.i || undefined}>
            <summary>
              <KindPicture kind={kind} /> {kind.title}
            </summary>
            {kind.is_at_one_place === true && block !== null && textAt(entry, 'on.edge') !== '' && (
              <Centred path={`${path}.${i}`} block={block.id} edge={textAt(entry, 'on.edge')} />
            )}
            <Fields fields={kind.fields} path={`${path}.${i}`} names={{}} />
            <Button
              size="sm"
              variant="outline-secondary"
              className="mb-2"
              onClick={() => save([{ op: 'remove-thing', ...of, id: textAt(entry, 'id') || `thing-${i + 1}` }])}
            >
              Remove {kind.title.toLowerCase()}
            </Button>
          </details>
        ),
      )}
      <AddOne
        all={kinds.flatMap((kind) =>
          (kind.anchors ?? [])
            .filter((anchor) => anchor in anchors)
            .map((anchor) => ({ kind, key: `${anchor} ${kind.kind}`, where: anchors[anchor] ?? '' })),
        )}
        onAdd={({ kind, key }) => {
          const [anchor = ''] = key.split(' ');
          const place = { ...(isFirst(kind, anchor) ? {} : { anchor }), ...on };
          save([{ op: 'add-thing', ...of, kind: kind.kind, on: place }]);
        }}
      />
    </section>
  );
}

function anchorOf(entry: Entry, kind: FormKind): string {
  return textAt(entry, 'on.anchor') || (kind.anchors?.[0] ?? '');
}

/** Whether it is where a new one would be: over the same edge, where that is said. */
function isThere(entry: Entry, on: Record<string, Json>): boolean {
  return typeof on.edge !== 'string' || textAt(entry, 'on.edge') === on.edge;
}
