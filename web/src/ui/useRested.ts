import { useEffect, useState } from 'react';

/** A value once it has not changed for a while; at once where there is no need to wait. */
export function useRested<T>(value: T, waitMs: number): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    if (waitMs === 0) return;
    const wait = setTimeout(() => setRested(value), waitMs);
    return () => clearTimeout(wait);
  }, [value, waitMs]);
  return waitMs === 0 ? value : rested;
}
