import { useEffect, useId, useRef, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import type { BuiltFigure, PlanEdge, Size } from '../api/types';
import { lengthOptions, measureOf } from '../api/lengths';
import { entriesAt } from './entries';
import { FormField } from '../ui/FormField';
import { Offers } from '../ui/Offers';
import { keepDraft, readDraft } from '../ui/drafts';
import { today } from '../ui/dates';
import { useRested } from '../ui/useRested';
import { textAt, useBuilding } from './context';

const WORDS: Record<BuiltFigure, string> = {
  length: 'length',
  height: 'to the eaves',
  apex: 'to the peak',
  up: 'panel, up to the ridge',
  along: 'panel, along the eaves',
};

const OF_PANELS: readonly BuiltFigure[] = ['up', 'along'];

/**
 * Where in the document it stands what was measured of an edge's wall, or of the panel over it; null where nothing was. Edges go by
 * their name or by their number.
 */
export function builtAt(document: unknown, edge: PlanEdge, at: number, figure: BuiltFigure): string | null {
  const block = entriesAt(document, 'blocks').findIndex(
    (one, i) => (textAt(one, 'id') || `block-${i + 1}`) === edge.block,
  );
  const list = `blocks.${block}.${OF_PANELS.includes(figure) ? 'roof.edges' : 'walls'}`;
  const entry = entriesAt(document, list).findIndex((one) => [edge.name, String(at)].includes(textAt(one, 'edge')));
  const path = `${list}.${entry}.built.${figure}`;
  return textAt(document, `${path}.measured`) === '' ? null : path;
}

/** Figures of an edge that can be measured once it is built, or were: each with what it is, and what was found instead. */
export function AsBuilt({ edge, of }: { edge: PlanEdge; of: readonly BuiltFigure[] }) {
  const { state, drawn } = useBuilding();
  const at =
    drawn?.plan.blocks.find((one) => one.id === edge.block)?.edges.findIndex((one) => one.key === edge.key) ?? -1;
  const shown = of.flatMap((figure) => {
    const is = edge.measurable.find((one) => one.figure === figure)?.is ?? null;
    const path = builtAt(state.document, edge, at, figure);
    return is === null && path === null ? [] : [{ figure, is, path }];
  });
  const [open, setOpen] = useState<readonly BuiltFigure[]>(() =>
    of.filter((figure) => readDraft(state.id, draftOf(edge, figure)) !== null),
  );
  if (shown.length === 0) return null;
  const offered = shown.filter(({ figure, path }) => path === null && !open.includes(figure));
  return (
    <section className="workings as-built">
      <h3>As built</h3>
      {shown
        .filter((one) => !offered.includes(one))
        .map(({ figure, is, path }) => (
          <One
            key={`${edge.key} ${figure}`}
            edge={edge}
            figure={figure}
            is={is}
            path={path}
            isOpen={open.includes(figure)}
            onOpen={(isOpen) => setOpen(isOpen ? [...open, figure] : open.filter((one) => one !== figure))}
          />
        ))}
      {offered.length > 0 && (
        <div className="d-flex flex-wrap gap-1">
          {offered.map(({ figure, is }) => (
            <Button key={figure} variant="outline-secondary" size="sm" onClick={() => setOpen([...open, figure])}>
              {WORDS[figure]}
              {OF_PANELS.includes(figure) ? `, ${is?.model ?? ''}` : ''}…
            </Button>
          ))}
        </div>
      )}
    </section>
  );
}

interface OneProps {
  edge: PlanEdge;
  figure: BuiltFigure;
  is: Size | null;
  path: string | null;
  isOpen: boolean;
  onOpen: (isOpen: boolean) => void;
}

/** One that was measured, or is being. */
function One({ edge, figure, is, path, isOpen, onOpen }: OneProps) {
  const { state, save, units } = useBuilding();
  const words = WORDS[figure];
  const faults = path === null ? [] : state.faults.filter((fault) => fault.path.startsWith(path));
  return (
    <div className="as-built-one">
      <div className="d-flex flex-wrap align-items-baseline gap-2">
        <span className="me-auto">{words}</span>
        {path === null ? (
          <span className="mm">{is?.model}</span>
        ) : (
          <strong className="mm">{textAt(state.document, `${path}.measured`)}</strong>
        )}
        {!isOpen && (
          <Button variant="outline-secondary" size="sm" onClick={() => onOpen(true)}>
            change
            <span className="visually-hidden">{` ${words}`}</span>
          </Button>
        )}
      </div>
      {path !== null && (
        <div className="quiet">
          {textAt(state.document, `${path}.reason`)}, {textAt(state.document, `${path}.date`)}{' '}
          <Button
            variant="link"
            size="sm"
            className="p-0 align-baseline"
            onClick={() => save([{ op: 'as-built', block: edge.block, edge: edge.name, figure, measured: null }])}
          >
            Take it out
          </Button>
        </div>
      )}
      {faults.map((fault) => (
        <div key={fault.path + fault.code} className="remark remark-stop" role="alert">
          {fault.says[units]}
        </div>
      ))}
      {isOpen && <Measured edge={edge} figure={figure} path={path} onDone={() => onOpen(false)} />}
    </div>
  );
}

const draftOf = (edge: PlanEdge, figure: BuiltFigure) => `as-built ${edge.key} ${figure}`;

/** What the rule says, why it is not as planned, and on which day. What is typed stays across a reload. */
function Measured({ edge, figure, path, onDone }: Pick<OneProps, 'edge' | 'figure' | 'path'> & { onDone: () => void }) {
  const { state, save } = useBuilding();
  const id = useId();
  const said = (key: string) => (path === null ? '' : textAt(state.document, `${path}.${key}`));
  const [draft, setDraft] = useState<Draft>(
    () =>
      kept(readDraft(state.id, draftOf(edge, figure))) ?? {
        measured: said('measured'),
        reason: said('reason'),
        date: today(),
      },
  );
  const [isAsked, setAsked] = useState(false);
  const form = useRef<HTMLFormElement>(null);
  const [isPressed] = useState(() => readDraft(state.id, draftOf(edge, figure)) === null);
  // The button that opened it is gone; after a reload nobody has pressed one.
  useEffect(() => {
    if (isPressed) form.current?.querySelector('input')?.focus();
  }, [isPressed]);
  const asked = useRested(draft.measured.trim(), 250);
  const reading = useQuery({ ...lengthOptions(measureOf(state.document), asked, 'model'), enabled: asked !== '' });
  const put = (change: Partial<Draft>) => {
    const next = { ...draft, ...change };
    setDraft(next);
    keepDraft(state.id, draftOf(edge, figure), JSON.stringify(next));
  };
  const close = () => {
    keepDraft(state.id, draftOf(edge, figure), null);
    onDone();
  };
  const fault = asked === draft.measured.trim() ? (reading.data?.fault ?? undefined) : undefined;
  const isWhole = draft.measured.trim() !== '' && draft.reason.trim() !== '' && draft.date !== '';
  const missing = (text: string, words: string) => (isAsked && text.trim() === '' ? words : undefined);
  return (
    <form
      ref={form}
      aria-labelledby={id}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        setAsked(true);
        if (!isWhole || fault !== undefined) return;
        save([{ op: 'as-built', block: edge.block, edge: edge.name, figure, ...trimmed(draft) }]);
        close();
      }}
    >
      <p id={id} className="quiet mb-1">
        Measure it on the model. From then on everything that is still to be made goes by what you measured.
      </p>
      <FormField
        label="measured on the model"
        value={draft.measured}
        onChange={(measured) => put({ measured })}
        problem={fault ?? missing(draft.measured, 'please give what you measured, for example 71.4mm')}
      />
      {asked === draft.measured.trim() && (
        <Offers
          asks={reading.data?.asks ?? null}
          offers={reading.data?.offers ?? []}
          onTake={(measured) => put({ measured })}
        />
      )}
      <FormField
        label="why"
        value={draft.reason}
        onChange={(reason) => put({ reason })}
        problem={missing(draft.reason, 'please say in a word or two why it is not as planned')}
      />
      <FormField
        label="on"
        type="date"
        value={draft.date}
        onChange={(date) => put({ date })}
        problem={missing(draft.date, 'please give the day')}
      />
      <Button type="submit" size="sm">
        Take it as the truth
      </Button>{' '}
      <Button variant="outline-secondary" size="sm" onClick={close}>
        Leave it
      </Button>
    </form>
  );
}

interface Draft {
  measured: string;
  reason: string;
  date: string;
}

const trimmed = (draft: Draft) => ({ measured: draft.measured.trim(), reason: draft.reason.trim(), date: draft.date });

function kept(text: string | null): Draft | null {
  return text === null ? null : (JSON.parse(text) as Draft);
}
