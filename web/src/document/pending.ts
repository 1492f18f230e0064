import type { Edit, Json } from '../api/types';

type Document = { [key: string]: Json | undefined };

/**
 * The document with what has been typed but not been answered yet, so that fields keep what was put into them. Only plain
 * values at plain paths; whatever needs working out waits for the server.
 */
export function withTyped(document: Document, edits: readonly Edit[]): Document {
  let result: Json = document;
  for (const edit of edits) {
    // A path with points within its keys, or with entries by name, is the server's to follow.
    if ((edit.op === 'set' || edit.op === 'choose') && edit.value !== null && !/[~=]/.test(edit.path))
      result = set(result, edit.path.split('.'), edit.value);
  }
  return result as Document;
}

function set(target: Json, keys: string[], value: Json): Json {
  const [key, ...rest] = keys;
  if (key === undefined) return value;
  if (Array.isArray(target)) {
    const at = Number(key);
    if (!(at in target)) return target;
    return target.map((item, i) => (i === at ? set(item, rest, value) : item));
  }
  if (target === null || typeof target !== 'object') return target;
  return { ...target, [key]: set(target[key] ?? (rest.length > 0 ? {} : null), rest, value) };
}

/** How far openings of a wall were moved by what has not been answered yet, in bricks and courses, by the opening's id. */
export function movesIn(edits: readonly Edit[], wall: string): Record<string, readonly [number, number]> {
  const moves: Record<string, readonly [number, number]> = {};
  for (const edit of edits) {
    if (edit.op === 'move-opening' && edit.wall === wall) {
      const [bricks, courses] = moves[edit.id] ?? [0, 0];
      moves[edit.id] = [bricks + (edit.bricks ?? 0), courses + (edit.courses ?? 0)];
    }
  }
  return moves;
}

/** The same of things with a place of their own on a block, by their ids. */
export function thingMovesIn(edits: readonly Edit[], block: string): Record<string, readonly [number, number]> {
  const moves: Record<string, readonly [number, number]> = {};
  for (const edit of edits) {
    if (edit.op === 'move-thing' && edit.block === block) {
      const [bricks, courses] = moves[edit.id] ?? [0, 0];
      moves[edit.id] = [bricks + (edit.bricks ?? 0), courses + (edit.courses ?? 0)];
    }
  }
  return moves;
}
