import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { ApiError } from '../api/client';
import { lengthOptions, measureOf, type World } from '../api/lengths';
import { useBuilding } from '../document/context';
import { keepDraft, readDraft } from './drafts';
import { Offers } from './Offers';
import { useRested } from './useRested';

const REST_MS = 250;

/** What is longer has the whole row. */
const FITS = 8;

/** A long row of decimals is cut short where nobody types in it, and says so; what is kept is as it was entered. */
function forTheEye(text: string): string {
  return text.replace(/(\d[.,]\d\d)\d+/g, '$1…');
}

interface Props {
  label: string;
  path: string;
  /** What the document holds there. */
  value: string;
  world?: World;
  optional?: boolean;
  /** Of the page, not of the building: the other world says nothing. */
  plain?: boolean;
  /** What stands in for it where nothing is said. */
  usual?: string;
  /** Saves it where it is no field of the document but makes several. */
  onPut?: (text: string) => void;
}

/** What is typed into a field of the document, kept at it until it can be saved, and what the server makes of it. */
function useLength({ path, value, world = 'real', optional = false, onPut }: Omit<Props, 'label' | 'usual'>) {
  const { state, units, save } = useBuilding();
  const queries = useQueryClient();
  const [draft, setDraft] = useState<string | null>(() => readDraft(state.id, path));
  const text = draft ?? value;
  const measure = measureOf(state.document);
  const asked = useRested(text, draft === null ? 0 : REST_MS);
  const reading = useQuery({ ...lengthOptions(measure, asked, world), enabled: asked !== '' });

  function put(next: string | null) {
    setDraft(next);
    keepDraft(state.id, path, next);
  }

  /** False where it is no length. With no server to read it, it is saved as it is; a fault in it will show at this field then. */
  async function isReadable(typed: string): Promise<boolean> {
    try {
      return (await queries.query(lengthOptions(measure, typed, world))).fault === null;
    } catch (error) {
      return error instanceof ApiError && (error.status === 0 || error.status >= 500);
    }
  }

  async function commit() {
    if (draft === null) return;
    const isGone = draft === '' && optional;
    if (draft !== value) {
      if (!isGone && !(await isReadable(draft))) return;
      if (onPut === undefined) save([{ op: 'set', path, value: isGone ? null : draft }]);
      else onPut(draft);
    }
    put(null);
  }

  const missing = asked === '' && !optional ? 'this is required' : null;
  const fault = missing ?? reading.data?.fault ?? reading.error?.message ?? null;
  const offers = asked === text ? (reading.data?.offers ?? []) : [];
  /** One of the readings that a figure without a unit may have. */
  function take(offer: string) {
    if (onPut === undefined) save([{ op: 'set', path, value: offer }]);
    else onPut(offer);
    put(null);
  }
  const stored = state.faults.find((problem) => problem.path === path)?.says[units];
  const asks = asked === text ? (reading.data?.asks ?? null) : null;
  const size = asked === '' ? null : (reading.data?.size ?? null);
  return { text, put, commit, size, wrong: fault ?? stored, asks, offers, take };
}

/** What is typed is read by the server while it is typed, and saved when the field is left or Enter is pressed. */
export function LengthField({ label, plain = false, usual = '', ...field }: Props) {
  const { units } = useBuilding();
  const id = useId();
  const { text, put, commit, size, wrong, asks, offers, take } = useLength(field);
  const [isIn, setIn] = useState(false);
  const other =
    size === null || plain
      ? ''
      : field.world !== 'model'
        ? size.model
        : units === 'imperial'
          ? size.imperial
          : size.metric;
  return (
    <div className={text.length > FITS ? 'field-row long' : 'field-row'}>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        value={isIn ? text : forTheEye(text)}
        title={text}
        placeholder={usual}
        onFocus={() => setIn(true)}
        spellCheck={false}
        autoComplete="off"
        aria-invalid={wrong !== undefined}
        aria-describedby={`${id}-other`}
        onChange={(event) => put(event.target.value)}
        onBlur={() => {
          setIn(false);
          void commit();
        }}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Enter') void commit();
          if (event.key === 'Escape') put(null);
        }}
      />
      <span className="other">{other}</span>
      <Offers asks={asks} offers={offers} onTake={take} />
      <span id={`${id}-other`} className={wrong ? 'fault' : 'visually-hidden'} role={wrong ? 'alert' : undefined}>
        {wrong ?? (other === '' ? '' : `is ${other}`)}
      </span>
    </div>
  );
}
