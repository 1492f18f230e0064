import { useId, useState } from 'react';
import Form from 'react-bootstrap/Form';
import { useBuilding } from '../document/context';

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
}

/** A field of the document that is no length: saved when it is left or Enter is pressed. */
export function TextField({ label, path, value, read = (text) => text, after = '', isWide = false, onPut }: Props) {
  const { state, units, save } = useBuilding();
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const fault = state.faults.find((problem) => problem.path === path)?.says[units];
  function commit() {
    if (draft === null) return;
    const next = read(draft);
    if (draft !== value && next !== null) {
      if (onPut === undefined) save([{ op: 'set', path, value: next }]);
      else onPut(next);
    }
    if (next !== null) setDraft(null);
  }
  const wrong = draft !== null && read(draft) === null ? `“${draft}” is not a number` : fault;
  return (
    <div className={isWide ? 'field-row wide' : 'field-row'}>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        value={draft ?? value}
        autoComplete="off"
        aria-invalid={wrong !== undefined}
        aria-describedby={`${id}-fault`}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') setDraft(null);
        }}
      />
      <span className="other">{after}</span>
      <span id={`${id}-fault`} className={wrong === undefined ? 'visually-hidden' : 'fault'}>
        {wrong ?? ''}
      </span>
    </div>
  );
}
