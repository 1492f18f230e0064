import { type ReactNode, useId, useState } from 'react';

/** So many are shown before the rest is asked for. */
const MOST = 24;

/** A long list that folds: the first of it, a search through all of it, and the rest in one press. */
export function useSearched<T>(
  all: readonly T[],
  textOf: (one: T) => string,
  what: string,
): { shown: readonly T[]; search: ReactNode; more: ReactNode } {
  const id = useId();
  const [wanted, setWanted] = useState('');
  const [isWhole, setIsWhole] = useState(false);
  if (all.length <= MOST) return { shown: all, search: null, more: null };
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  const found = all.filter((one) => {
    const text = textOf(one).toLowerCase();
    return words.every((word) => text.includes(word));
  });
  const shown = isWhole ? found : found.slice(0, MOST);
  return {
    shown,
    search: (
      <div className="tools mb-2">
        <label htmlFor={id}>Look for</label>
        <input
          id={id}
          type="search"
          className="form-control form-control-sm w-auto"
          placeholder="label or name"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
        />
        <span className="quiet" role="status">
          {found.length === all.length ? `${all.length} ${what}` : `${found.length} of ${all.length} ${what}`}
        </span>
      </div>
    ),
    more:
      shown.length < found.length ? (
        <button type="button" className="btn btn-outline-secondary btn-sm" onClick={() => setIsWhole(true)}>
          All {found.length}
        </button>
      ) : null,
  };
}
