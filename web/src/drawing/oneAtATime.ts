import { useEffect, useState } from 'react';

/** So often is a picture that was put off asked for again, and so much later. */
const MOST_TRIES = 5;
const AGAIN_MS = 1000;

interface Asked {
  href: string;
  tries: number;
  is: 'coming' | 'there' | 'put off';
}

const begun = (href: string): Asked => ({ href, tries: 0, is: 'coming' });

/**
 * One picture after the other: while one is on its way the next waits, so that the server is never busy with pictures that nobody
 * looks at any more. One that it puts off is asked for again.
 */
export function useOneAtATime(wanted: string) {
  const [asked, setAsked] = useState(() => begun(wanted));
  const { href, tries, is } = asked;
  if (is !== 'coming' && href !== wanted) setAsked(begun(wanted));
  useEffect(() => {
    if (is !== 'put off' || tries === MOST_TRIES) return;
    const later = setTimeout(() => setAsked({ href, tries: tries + 1, is: 'coming' }), AGAIN_MS);
    return () => clearTimeout(later);
  }, [href, tries, is]);
  return {
    href: tries === 0 ? href : `${href}&again=${tries}`,
    onLoad: () => setAsked({ ...asked, is: 'there' }),
    onError: () => setAsked({ ...asked, is: 'put off' }),
  };
}
