import type { Edit, Json, Opening, Wall } from '../../api/types';
import { AddOne, type Addable } from '../../document/form/AddOne';
import { isFirst, useKindsAt } from '../../document/things';

/** One more thing on a wall: along it, over several openings, or at one of its corners. */
export function AddThing({
  wall,
  opening,
  onAdd,
}: {
  wall: Wall;
  opening: Opening | null;
  onAdd: (edits: Edit[]) => void;
}) {
  const along = useKindsAt('things', ['wall']);
  const over = useKindsAt('things', ['openings']);
  const corner = useKindsAt('things', ['corner']);
  const pair = pairAt(wall, opening);
  const all: Addable[] = [
    ...along.map((kind) => ({
      kind,
      key: `wall ${kind.kind}`,
      where: kind.is_at_one_place === true ? 'before the wall' : 'along the wall',
    })),
    ...(pair === null
      ? []
      : over.map((kind) => ({
          kind,
          key: `openings ${kind.kind}`,
          where: `for the ${pair.map(({ called }) => called).join(' and the ')} as one`,
        }))),
    ...wall.ends.flatMap((end) =>
      corner.map((kind) => ({ kind, key: `corner ${end.vertex} ${kind.kind}`, where: `at the ${end.end} corner` })),
    ),
  ];
  if (all.length === 0) return null;
  return (
    <AddOne
      isLarge
      label="Add to the wall …"
      all={all}
      onAdd={({ kind, key }) => {
        const [anchor = '', vertex = ''] = key.split(' ');
        const on: Record<string, Json> = {
          ...(isFirst(kind, anchor) ? {} : { anchor }),
          ...(anchor === 'corner' ? { corner: Number(vertex) } : { edge: wall.edge }),
          ...(anchor === 'openings' ? { openings: (pair ?? []).map((one) => one.key) } : {}),
        };
        onAdd([{ op: 'add-thing', block: wall.block, kind: kind.kind, on }]);
      }}
    />
  );
}

/** The chosen opening and the next on its right, or else the one on its left; the first two where none is chosen. */
function pairAt(wall: Wall, opening: Opening | null): [Opening, Opening] | null {
  const all = [...wall.openings].sort((a, b) => a.left.model_mm - b.left.model_mm);
  const at = opening === null ? 0 : all.findIndex((one) => one.key === opening.key);
  const [one, other] = at + 1 < all.length ? [all[at], all[at + 1]] : [all[at - 1], all[at]];
  return one === undefined || other === undefined ? null : [one, other];
}
