import { useEffect, useRef } from 'react';

/** A screen that is fetched first has no heading for so long at the most. */
const PATIENCE_MS = 3000;

/** Who comes to another screen hears its heading and goes on from there; where the first was opened nothing is taken away. */
export function useHeadingFocus(path: string): void {
  const before = useRef<string | null>(null);
  useEffect(() => {
    const isFirst = before.current === null;
    before.current = path;
    if (isFirst) return;
    const until = performance.now() + PATIENCE_MS;
    let frame = 0;
    const look = () => {
      const heading = document.querySelector<HTMLElement>('main h2');
      if (heading !== null) {
        heading.tabIndex = -1;
        heading.focus({ preventScroll: true });
      } else if (performance.now() < until) {
        frame = requestAnimationFrame(look);
      }
    };
    frame = requestAnimationFrame(look);
    return () => cancelAnimationFrame(frame);
  }, [path]);
}
