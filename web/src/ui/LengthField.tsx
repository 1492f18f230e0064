import { useEffect, useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { ApiError, api } from '../api/client';
import type { Problem, Size } from '../api/types';
import { useBuilding } from '../features/building/context';
import { keepDraft, readDraft } from './drafts';

interface Props {
  label: string;
  path: string;
  /** What the document holds there. */
  value: string;
  world?: 'real' | 'model';
  optional?: boolean;
  /** Of the page, not of the building: the other world says nothing. */
  plain?: boolean;
}

/** What is typed is read by the server while it is typed, and saved when the field is left or Enter is pressed. */
export function LengthField({ label, path, value, world = 'real', optional = false, plain = false }: Props) {
  const { state, save, units } = useBuilding();
  const id = useId();
  const [draft, setDraft] = useState<string | null>(() => readDraft(state.id, path));
  const [reading, setReading] = useState<Size | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const text = draft ?? value;
  const scale = typeof state.document.scale === 'string' ? state.document.scale : '1:76.2';
  const gauge = gaugeOf(state.document.gauge);
  const stored = state.faults.find((problem) => problem.path === path)?.text;

  useEffect(() => {
    const current = { live: true };
    const wait = setTimeout(
      () => {
        if (text === '') {
          setReading(null);
          setFault(optional ? null : 'this is required');
          return;
        }
        api
          .post<Size>('lengths', { text, scale, world, path, gauge })
          .then((size) => {
            if (!current.live) return;
            setReading(size);
            setFault(null);
          })
          .catch((error: unknown) => {
            if (!current.live) return;
            setReading(null);
            setFault(faultOf(error, path));
          });
      },
      draft === null ? 0 : 250,
    );
    return () => {
      current.live = false;
      clearTimeout(wait);
    };
  }, [text, scale, world, path, draft, optional, gauge.brick, gauge.course]); // eslint-disable-line react-hooks/exhaustive-deps

  async function commit() {
    if (draft === null) return;
    if (draft === value) {
      setDraft(null);
      keepDraft(state.id, path, null);
      return;
    }
    if (draft === '' && optional) {
      save([{ op: 'set', path, value: null }]);
    } else {
      try {
        await api.post<Size>('lengths', { text: draft, scale, world, path, gauge });
      } catch (error) {
        // With no server to read it, it is kept and sent with the rest; a fault in it will show at this field then.
        if (error instanceof ApiError && (error.status === 0 || error.status >= 500)) {
          save([{ op: 'set', path, value: draft }]);
          keepDraft(state.id, path, null);
          setDraft(null);
          return;
        }
        // It stays at the field, with what is wrong with it.
        setFault(faultOf(error, path));
        keepDraft(state.id, path, draft);
        return;
      }
      save([{ op: 'set', path, value: draft }]);
    }
    keepDraft(state.id, path, null);
    setDraft(null);
  }

  const wrong = fault ?? stored;
  const other =
    reading === null || plain
      ? ''
      : world === 'real'
        ? reading.model
        : units === 'imperial'
          ? reading.imperial
          : reading.metric;
  return (
    <div className="field-row">
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        value={text}
        spellCheck={false}
        autoComplete="off"
        aria-invalid={wrong !== undefined}
        aria-describedby={`${id}-other`}
        onChange={(event) => {
          setDraft(event.target.value);
          keepDraft(state.id, path, event.target.value);
        }}
        onBlur={() => void commit()}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Enter') void commit();
          if (event.key === 'Escape') {
            setDraft(null);
            keepDraft(state.id, path, null);
          }
        }}
      />
      <span className="other">{other}</span>
      <span id={`${id}-other`} className={wrong ? 'fault' : 'visually-hidden'} role={wrong ? 'alert' : undefined}>
        {wrong ?? (other === '' ? '' : `is ${other}`)}
      </span>
    </div>
  );
}

function gaugeOf(gauge: unknown): { brick?: string; course?: string } {
  if (gauge === null || typeof gauge !== 'object') return {};
  const { brick, course } = gauge as Record<string, unknown>;
  return { ...(typeof brick === 'string' ? { brick } : {}), ...(typeof course === 'string' ? { course } : {}) };
}

function faultOf(error: unknown, path: string): string {
  if (!(error instanceof ApiError)) return 'this could not be read';
  const problems: Problem[] = error.problems;
  return problems.find((problem) => problem.path === path)?.text ?? problems[0]?.text ?? error.message;
}
