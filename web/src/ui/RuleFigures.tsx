import { useQueryClient } from '@tanstack/react-query';
import { useContext, useRef, useState } from 'react';
import { lengthOptions, measureOf, type World } from '../api/lengths';
import type { Reading } from '../api/types';
import { BuildingContext, type BuildingContextValue } from '../document/context';

const REST_MS = 200;

/** Either side of the double rule typed into: the other side answers, and the rule shows the place. */
export function RuleFigures({ onMark }: { onMark: (mm: number | null) => void }) {
  const building = useContext(BuildingContext);
  return building === null ? null : <Figures building={building} onMark={onMark} />;
}

function Figures({ building, onMark }: { building: BuildingContextValue; onMark: (mm: number | null) => void }) {
  const queries = useQueryClient();
  const [texts, setTexts] = useState({ real: '', model: '' });
  const [fault, setFault] = useState<string | null>(null);
  const asking = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const turns = useRef(0);
  const { state, units } = building;

  /** Asks once typing rests; an answer to what no longer stands there is let go. */
  function read(world: World, text: string) {
    setTexts(world === 'real' ? { real: text, model: '' } : { real: '', model: text });
    setFault(null);
    clearTimeout(asking.current);
    const turn = ++turns.current;
    if (text === '') {
      onMark(null);
      return;
    }
    asking.current = setTimeout(() => {
      queries
        .query(lengthOptions(measureOf(state.document), text, world))
        .catch((error: unknown): Reading => ({
          size: null,
          fault: error instanceof Error ? error.message : null,
          asks: null,
          offers: [],
        }))
        .then(({ size, fault: wrong }) => {
          if (turn !== turns.current) return;
          setFault(wrong);
          onMark(size?.model_mm ?? null);
          if (size === null) return;
          const other = units === 'imperial' ? size.imperial : size.metric;
          setTexts(world === 'real' ? { real: text, model: size.model } : { real: other, model: text });
        })
        .catch(() => undefined);
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
