import { useId, useState } from 'react';
import { useBuilding } from '../document/context';

/** A colour of the document, saved when the field is left. */
export function ColourField({ label, path, value }: { label: string; path: string; value: string }) {
  const { save } = useBuilding();
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <div className="field-row">
      <label htmlFor={id}>{label}</label>
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
