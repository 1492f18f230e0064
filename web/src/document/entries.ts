import type { Json } from '../api/types';

export type Entry = Record<string, Json | undefined>;

export function numberOf(text: string): number | null {
  return /^-?\d+(\.\d+)?$/.test(text.trim()) ? Number(text) : null;
}

/** The objects of a list in the document. */
export function entriesAt(document: unknown, path: string): Entry[] {
  let value: unknown = document;
  for (const key of path.split('.')) {
    if (value === null || typeof value !== 'object') return [];
    value = (value as Record<string, unknown>)[key];
  }
  return Array.isArray(value)
    ? value.filter((one): one is Entry => one !== null && typeof one === 'object' && !Array.isArray(one))
    : [];
}

/** The storeys of a block at a path: its own, or those of the block whose storeys it shares. */
export function storeysAt(document: unknown, block: string): Entry[] {
  const blocks = entriesAt(document, 'blocks');
  const own = blocks[Number(block.split('.')[1])];
  const shared = typeof own?.storeys_of === 'string' ? blocks.find((one) => one.id === own.storeys_of) : own;
  return entriesAt(shared, 'storeys');
}

/** `r1`, or the first number after it that no entry has. */
export function freeId(others: Entry[], word: string): string {
  for (let n = 1; ; n++) if (!others.some((one) => one.id === `${word}${n}`)) return `${word}${n}`;
}
