import { useId, useState } from 'react';
import { useBuilding } from '../document/context';

interface Props {
  label: string;
  path: string;
  value: string;
  /** What it means that nothing is said; without it there is always a colour. */
  unsaid?: string | undefined;
}

/** From where a picker begins that has no colour yet: it must have one. */
// eslint-disable-next-line no-restricted-syntax -- a picker takes no variable of the theme
const NONE = '#808080';

/** A colour of the document, saved when the field is left. */
export function ColourField({ label, path, value, unsaid }: Props) {
  const { save } = useBuilding();
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const shown = draft ?? value;
  return (
    <div className="field-row">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        type="color"
        className={shown === '' ? 'swatch unsaid' : 'swatch'}
        value={shown === '' ? NONE : shown}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => {
          if (draft !== null && draft !== value) save([{ op: 'set', path, value: draft }]);
          setDraft(null);
        }}
      />
      {shown !== '' && unsaid !== undefined ? (
        <button type="button" className="btn btn-sm btn-link" onClick={() => save([{ op: 'set', path, value: null }])}>
          {unsaid}
        </button>
      ) : (
        <span className="other">{shown === '' ? unsaid : shown}</span>
      )}
    </div>
  );
}
