import { useQuery } from '@tanstack/react-query';
import { type KeyboardEvent, useDeferredValue, useEffect, useState } from 'react';
import Modal from 'react-bootstrap/Modal';
import { useLocation, useNavigate } from 'react-router';
import { foundOptions } from '../../api/options';
import type { FoundResult } from '../../api/types';
import { FIND } from '../../ui/FindButton';
import { focusWhenShown } from '../../ui/focus';

const SCALES = ['1:22.5', '1:43.5', '1:76.2', '1:87.1', '1:148', '1:160'];

/** Whatever is typed, from anywhere by one key: `/`. What it finds is worked out by the server. */
export function Finder({ onVerb }: { onVerb: (verb: string, building: string | null) => boolean }) {
  const [isOpen, setIsOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: globalThis.KeyboardEvent) => {
      const field = event.target instanceof Element && event.target.closest('input, textarea, select') !== null;
      const isSlash = event.key === '/' && !field && !event.ctrlKey && !event.metaKey && !event.altKey;
      if (!isSlash && !(event.key.toLowerCase() === 'k' && (event.ctrlKey || event.metaKey))) return;
      event.preventDefault();
      setIsOpen(true);
    };
    const onAsked = () => setIsOpen(true);
    window.addEventListener('keydown', onKey);
    window.addEventListener(FIND, onAsked);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener(FIND, onAsked);
    };
  }, []);
  return (
    <Modal show={isOpen} onHide={() => setIsOpen(false)} aria-labelledby="finder-title" animation={false}>
      <Found close={() => setIsOpen(false)} onVerb={onVerb} />
    </Modal>
  );
}

interface FoundProps {
  close: () => void;
  onVerb: (verb: string, building: string | null) => boolean;
}

function Found({ close, onVerb }: FoundProps) {
  const building = /^\/buildings\/([^/]+)/.exec(useLocation().pathname)?.[1] ?? null;
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const [scale, setScale] = useState('1:76.2');
  const [at, setAt] = useState(0);
  const [copied, setCopied] = useState<string | null>(null);
  const asked = useDeferredValue(text);
  const found = useQuery({ ...foundOptions(building, asked, scale), placeholderData: (before) => before });
  const results = found.data?.results ?? [];
  const chosen = Math.min(at, results.length - 1);

  function take(result: FoundResult | undefined) {
    if (result === undefined) return;
    if (result.copy !== undefined) {
      // Over a plain connection from another machine a browser has no clipboard to give.
      if (!('clipboard' in navigator)) return;
      setCopied(result.copy);
      void navigator.clipboard.writeText(result.copy).catch(() => setCopied(null));
      return;
    }
    if (result.to === undefined) return;
    const { what, id, wall } = result.to;
    const base = `/buildings/${building ?? ''}`;
    close();
    if (what === 'verb' && onVerb(id, building)) return;
    const targets: Record<typeof what, string> = {
      verb: id === 'projects' ? '/' : `${base}/${id}`,
      wall: `${base}/shell?wall=${id}`,
      opening: `${base}/shell?wall=${wall ?? ''}&opening=${id}`,
      sheet: `${base}/sheets?sheet=${id}`,
      part: typeof wall !== 'string' ? `${base}/stand?part=${id}` : `${base}/shell?wall=${wall}&part=${id}`,
    };
    void navigate(targets[what]);
  }

  function onKeyDown(event: KeyboardEvent) {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step !== undefined && results.length > 0) setAt((chosen + step + results.length) % results.length);
    else if (event.key === 'Enter') take(results[chosen]);
    else return;
    event.preventDefault();
  }

  return (
    <div className="finder">
      <h2 id="finder-title" className="visually-hidden">
        Find
      </h2>
      <div className="finder-line">
        <input
          className="form-control"
          aria-label="Find a length, a part, or what to do"
          placeholder="7ft 6in, W2, print stale …"
          value={text}
          ref={focusWhenShown}
          autoComplete="off"
          spellCheck={false}
          role="combobox"
          aria-expanded={results.length > 0}
          aria-controls="finder-results"
          aria-activedescendant={results.length > 0 ? `found-${chosen}` : undefined}
          onChange={(event) => {
            setText(event.target.value);
            setAt(0);
            setCopied(null);
          }}
          onKeyDown={onKeyDown}
        />
        {building === null && (
          <select
            className="form-select w-auto"
            aria-label="Scale"
            value={scale}
            onChange={(event) => setScale(event.target.value)}
          >
            {SCALES.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </select>
        )}
      </div>
      <ul id="finder-results" role="listbox" aria-label="Found">
        {results.map((result, i) => (
          // By keyboard they are chosen from the field above.
          // eslint-disable-next-line jsx-a11y/click-events-have-key-events
          <li
            key={`${result.kind} ${result.text}`}
            id={`found-${i}`}
            role="option"
            aria-selected={i === chosen}
            onClick={() => {
              setAt(i);
              take(result);
            }}
          >
            <span className="quiet">{result.kind === 'verb' ? 'do' : result.kind}</span> {result.text}
          </li>
        ))}
      </ul>
      <p className="quiet mb-0" role="status">
        {copied !== null
          ? `Copied ${copied}.`
          : (found.error?.message ??
            found.data?.help ??
            'Enter copies a figure or goes there; arrows choose; Escape closes.')}
      </p>
    </div>
  );
}
