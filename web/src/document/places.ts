import type { Fault } from '../api/types';

/** Where something is looked at and put right. */
export function placeOf(building: string, { stage, block, wall, opening }: Fault['go']): string {
  const search = new URLSearchParams();
  if (wall !== null) search.set('wall', wall);
  if (opening !== null) search.set('opening', opening);
  if (wall === null && block !== null) search.set('block', block);
  return `/buildings/${building}/${stage}${search.size > 0 ? `?${search}` : ''}`;
}
