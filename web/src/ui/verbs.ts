const VERB = 'chartula:verb';

/** Something to do that was chosen elsewhere than where it is done. */
export function sayVerb(verb: string): void {
  window.dispatchEvent(new CustomEvent(VERB, { detail: verb }));
}

/** Listens until the function it gives is called. */
export function onVerb(listen: (verb: string) => void): () => void {
  const heard = (event: Event) => {
    if (event instanceof CustomEvent && typeof event.detail === 'string') listen(event.detail);
  };
  window.addEventListener(VERB, heard);
  return () => window.removeEventListener(VERB, heard);
}
