import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { FormKind } from '../../api/types';
import { focusWhenShown } from '../../ui/focus';

/** What may be added: a kind of thing, and where it would be if there is a choice. */
export interface Addable {
  kind: FormKind;
  /** Unlike that of any other. */
  key: string;
  /** Such as “over several openings”. */
  where?: string;
}

interface Props {
  all: readonly Addable[];
  onAdd: (one: Addable) => void;
  /** On the button. */
  label?: string;
  isLarge?: boolean;
}

/** Whatever belongs here, with its picture and a sentence, found by any word of both. */
export function AddOne({ all, onAdd, label = 'Add …', isLarge = false }: Props) {
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const words = text.toLowerCase().split(/\s+/);
  const found = all.filter(({ kind, where = '' }) =>
    words.every((word) => `${kind.title} ${where} ${kind.says}`.toLowerCase().includes(word)),
  );
  const take = (one: Addable | undefined) => {
    if (one === undefined) return;
    onAdd(one);
    setOpen(false);
    setText('');
  };
  if (!isOpen) {
    return (
      <Button {...(isLarge ? {} : { size: 'sm' })} variant="outline-primary" onClick={() => setOpen(true)}>
        {label}
      </Button>
    );
  }
  return (
    <div className="add-thing">
      <input
        className="form-control"
        aria-label="Find something to add"
        placeholder={[...new Set(all.map(({ kind }) => kind.title.toLowerCase()))].slice(0, 3).join(', ').concat(' …')}
        value={text}
        autoComplete="off"
        onChange={(event) => setText(event.target.value)}
        ref={focusWhenShown}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Escape') setOpen(false);
          if (event.key === 'Enter') take(found[0]);
        }}
      />
      <ul>
        {found.map((one) => (
          <li key={one.key}>
            <button type="button" onClick={() => take(one)}>
              <KindPicture kind={one.kind} />
              <span>
                <b>{one.where === undefined ? one.kind.title : `${one.kind.title}, ${one.where}`}</b> {one.kind.says}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="quiet">Nothing of that name goes here.</p>}
      <Button size="sm" variant="outline-secondary" onClick={() => setOpen(false)}>
        Add nothing
      </Button>
    </div>
  );
}

export function KindPicture({ kind }: { kind: FormKind }) {
  return (
    <svg className="kind-picture" viewBox="0 0 24 24" width="24" height="24" aria-hidden="true">
      <path d={kind.picture} />
    </svg>
  );
}
