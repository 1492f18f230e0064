import { useId, useState } from 'react';
import { asText, textAt, useBuilding } from '../context';
import type { OneProps } from './Fields';

/** A colour, saved when the field is left. */
export function ColourField({ field, path }: OneProps) {
  const { state, save } = useBuilding();
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const value = textAt(state.document, path) || asText(field.usual);
  return (
    <div className="field-row">
      <label htmlFor={id}>{field.label}</label>
      <input
        id={id}
        type="color"
        className="swatch"
        value={draft ?? value}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => {
          if (draft !== null && draft !== value) save([{ op: 'set', path, value: draft }]);
          setDraft(null);
        }}
      />
      <span className="other">{draft ?? value}</span>
    </div>
  );
}
