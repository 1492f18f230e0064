/** What stands second in the name of a part that is no wall's. */
const NO_WALL = /^(base|brace|deck|former|(ridge|hip)(-board)?|break)(-\d+)?$|-slope(-\d+)?$|-upper/;

/** The wall that a part or a remark belongs to, as `block.edge`; undefined where it belongs to none. */
export function wallOf(id: string): string | undefined {
  const [block, edge] = id.split('.');
  return block === undefined || edge === undefined || NO_WALL.test(edge) ? undefined : `${block}.${edge}`;
}
