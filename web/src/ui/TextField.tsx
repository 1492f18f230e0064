import { useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { useBuilding } from '../document/context';
import { keepDraft, readDraft } from './drafts';

interface Props {
  label: string;
  path: string;
  value: string;
  /** How the text becomes the document's value; null where it cannot yet. */
  read?: (text: string) => string | number | null;
  after?: string;
  /** Saves it where that makes more than one field of the document. */
  onPut?: (value: string | number) => void;
  /** For words rather than figures. */
  isWide?: boolean;
  /** What stands in for it where nothing is said. */
  usual?: string;
  /** Emptied, it is said no more. */
  isOptional?: boolean;
}

/** A field of the document that is no length: saved when it is left or Enter is pressed, and kept at it across a reload until then. */
export function TextField(props: Props) {
  const { label, path, value, read = (text: string) => text, after = '', isWide = false, usual = '', onPut } = props;
  const isGone = (text: string) => props.isOptional === true && text.trim() === '';
  const { state, units, save } = useBuilding();
  const id = useId();
  const [draft, setDraft] = useState<string | null>(() => readDraft(state.id, path));
  function put(next: string | null) {
    setDraft(next);
    keepDraft(state.id, path, next);
  }
  const fault = state.faults.find((problem) => problem.path === path)?.says[units];
  function commit() {
    if (draft === null) return;
    if (isGone(draft)) {
      if (value !== '') save([{ op: 'set', path, value: null }]);
      put(null);
      return;
    }
    const next = read(draft);
    if (draft !== value && next !== null) {
      if (onPut === undefined) save([{ op: 'set', path, value: next }]);
      else onPut(next);
    }
    if (next !== null) put(null);
  }
  const wrong = draft !== null && !isGone(draft) && read(draft) === null ? `“${draft}” is not a number` : fault;
  return (
    <div className={isWide ? 'field-row wide' : 'field-row'}>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        value={draft ?? value}
        placeholder={usual}
        autoComplete="off"
        aria-invalid={wrong !== undefined}
        aria-describedby={`${id}-fault`}
        onChange={(event) => put(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') put(null);
        }}
      />
      <span className="other">{after}</span>
      <span id={`${id}-fault`} className={wrong === undefined ? 'visually-hidden' : 'fault'}>
        {wrong ?? ''}
      </span>
    </div>
  );
}
