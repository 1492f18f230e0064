/** Text that could not be saved yet is kept at its field, in this tab, across a reload. */
const key = (building: string, path: string) => `draft:${building}:${path}`;

export function readDraft(building: string, path: string): string | null {
  return sessionStorage.getItem(key(building, path));
}

export function keepDraft(building: string, path: string, text: string | null): void {
  if (text === null) sessionStorage.removeItem(key(building, path));
  else sessionStorage.setItem(key(building, path), text);
}
