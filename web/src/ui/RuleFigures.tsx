import { useContext, useRef, useState } from 'react';
import { ApiError, api } from '../api/client';
import type { Size } from '../api/types';
import { BuildingContext } from '../features/building/context';

const REST_MS = 200;

/** Either side of the double rule typed into: the other side answers, and the rule shows the place. */
export function RuleFigures({ onMark }: { onMark: (mm: number | null) => void }) {
  const building = useContext(BuildingContext);
  const [texts, setTexts] = useState({ real: '', model: '' });
  const [fault, setFault] = useState<string | null>(null);
  const asking = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const turns = useRef(0);
  if (building === null) return null;
  const { state, units } = building;
  const scale = typeof state.document.scale === 'string' ? state.document.scale : '1:76.2';

  /** Asks once typing rests; an answer to what no longer stands there is let go. */
  function read(world: 'real' | 'model', text: string) {
    setTexts(world === 'real' ? { real: text, model: '' } : { real: '', model: text });
    setFault(null);
    clearTimeout(asking.current);
    const turn = ++turns.current;
    if (text === '') {
      onMark(null);
      return;
    }
    asking.current = setTimeout(() => {
      api
        .post<Size>('lengths', { text, scale, world })
        .then((size) => {
          if (turn !== turns.current) return;
          const other = units === 'imperial' ? size.imperial : size.metric;
          setTexts(world === 'real' ? { real: text, model: size.model } : { real: other, model: text });
          onMark(size.model_mm);
        })
        .catch((error: unknown) => {
          if (turn !== turns.current) return;
          setFault(error instanceof ApiError ? (error.problems[0]?.text ?? error.message) : null);
          onMark(null);
        });
    }, REST_MS);
  }

  return (
    <div className="rule-figures">
      <label>
        real{' '}
        <input
          value={texts.real}
          placeholder={units === 'imperial' ? 'feet, inches' : 'metres'}
          spellCheck={false}
          autoComplete="off"
          aria-invalid={fault !== null}
          onChange={(event) => read('real', event.target.value)}
          onKeyDown={(event) => event.stopPropagation()}
        />
      </label>
      <span aria-hidden="true">=</span>
      <label>
        <span className="visually-hidden">on the model</span>
        <input
          value={texts.model}
          placeholder="mm"
          spellCheck={false}
          autoComplete="off"
          aria-invalid={fault !== null}
          onChange={(event) => read('model', event.target.value)}
          onKeyDown={(event) => event.stopPropagation()}
        />{' '}
        on the model
      </label>
      {fault !== null && (
        <span role="alert" className="text-danger">
          {fault}
        </span>
      )}
    </div>
  );
}
