import { api } from './client';
import type { Faces } from './types';

/** More than so many are asked for as all that there are. */
const MOST = 60;

/** Pictures of what is printed on parts of a building, by their ids. */
export async function facesOf(building: string, revision: number, parts: readonly string[]): Promise<Faces['faces']> {
  const of = parts.length > MOST ? '' : `&of=${parts.join(',')}`;
  return (await api.get<Faces>(`buildings/${building}/faces?r=${revision}${of}`)).faces;
}
