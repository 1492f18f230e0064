import { useQuery } from '@tanstack/react-query';
import { Suspense, useEffect, useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, NavLink, Outlet, useLocation, useParams } from 'react-router';
import { buildingOptions, sheetsOptions } from '../../api/options';
import type { BuildingState, DocketEntry, Size, User } from '../../api/types';
import { FindButton } from '../../ui/FindButton';
import { Failed, Loading } from '../../ui/States';
import { useHeadingFocus } from '../../ui/headings';
import { onVerb } from '../../ui/verbs';
import { BuildingContext, drawnOf } from '../../document/context';
import { DocketDetail } from './DocketDetail';
import { Faults, SaveWords } from './Notices';
import { withTyped } from '../../document/pending';
import { SavePanels } from './SavePanels';
import { useSaving } from './useSaving';

const STAGES = [
  ['prototype', 'Prototype'],
  ['plot', 'Plot'],
  ['shell', 'Shell'],
  ['roof', 'Roof'],
  ['skin', 'Skin'],
  ['sheets', 'Sheets'],
  ['bench', 'Bench'],
] as const;

/** What stands round every stage: the docket of sentences, the labels of the stages, and the saving. */
export function BuildingFrame({ user }: { user: User }) {
  const id = useParams().id ?? '';
  const building = useQuery(buildingOptions(id));
  if (building.isPending) return <Loading what="the building" />;
  if (building.isError && building.data === undefined)
    return <Failed error={building.error} again={() => void building.refetch()} />;
  return <Opened key={id} state={building.data} user={user} />;
}

/** Undo and redo by key or by the finder, and the building's name over the tab. */
function useShortcuts(name: string, undo: () => void, redo: () => void) {
  useEffect(() => {
    document.title = `${name}, Chartula`;
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.target instanceof HTMLInputElement) return;
      const key = event.key.toLowerCase();
      if (key === 'z' && !event.shiftKey) undo();
      else if (key === 'y' || (key === 'z' && event.shiftKey)) redo();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    const stop = onVerb((verb) => (verb === 'undo' ? undo() : verb === 'redo' && redo()));
    return () => {
      window.removeEventListener('keydown', onKey);
      stop();
    };
  }, [name, undo, redo]);
}

function Opened({ state: answered, user }: { state: BuildingState; user: User }) {
  const saving = useSaving(answered.id, user.id);
  const { status, save, gather, undo, redo, restore, unseen } = saving;
  const [open, setOpen] = useState<string | null>(null);
  const value = useMemo(() => {
    const state = { ...answered, document: withTyped(answered.document, unseen) };
    const show = (size: Size) => (user.units === 'imperial' ? size.imperial : size.metric);
    const drawn = drawnOf(state);
    return { state, derived: state.derived, drawn, units: user.units, save, gather, undo, redo, restore, unseen, show };
  }, [answered, unseen, user.units, save, gather, undo, redo, restore]);
  const { state, derived, drawn } = value;
  // As packed tighter, once that is known: it is only looked for where sheets are looked at.
  const laid = useQuery({ ...sheetsOptions(state.id, state.derived_from ?? 0), enabled: false }).data;
  const packed = laid?.revision === state.derived_from ? laid : undefined;
  const docket: DocketEntry[] = [
    ...(derived?.docket ?? []).map((entry) => (entry.key === 'sheets' ? (packed?.docket ?? entry) : entry)),
    ...(state.made === null ? [] : [state.made]),
  ];
  const stages: Record<string, string | undefined> = {
    ...derived?.stages,
    ...(packed === undefined ? {} : { sheets: packed.stage }),
  };

  useShortcuts(state.name, undo, redo);
  useHeadingFocus(useLocation().pathname);

  const isWaiting = status.kind !== 'saved' && status.kind !== 'saving' && status.kind !== 'gathering';
  return (
    <BuildingContext.Provider value={value}>
      <a className="skip" href="#stage">
        Skip to the drawing
      </a>
      <div className="desk">
        <header className="docket">
          <div className="docket-head">
            <h1>{state.name}</h1>
            <span className="quiet">
              <Link to="/">Projects</Link> · {drawn?.scale ?? 'no scale yet'} ·{' '}
              <SaveWords status={status} revision={state.revision.number} /> ·{' '}
              <Link to={`/buildings/${state.id}/history`}>History</Link>
            </span>
          </div>
          <div className="docket-entries">
            {docket.map((entry) => (
              <button
                key={entry.key}
                type="button"
                className={`docket-entry state-${entry.state}`}
                aria-expanded={open === entry.key}
                onClick={() => setOpen(open === entry.key ? null : entry.key)}
              >
                <span className="over">{entry.over}</span>
                <strong title={entry.text}>{entry.text}</strong>
              </button>
            ))}
          </div>
          <div className="tools ms-auto p-2">
            <FindButton />
            <Button
              variant="outline-secondary"
              onClick={undo}
              disabled={state.history.undo === null && unseen.length === 0}
              title={state.history.undo === null ? undefined : `Undo: ${state.history.undo}`}
            >
              Undo
            </Button>
            <Button
              variant="outline-secondary"
              onClick={redo}
              disabled={state.history.redo === null}
              title={state.history.redo === null ? undefined : `Redo: ${state.history.redo}`}
            >
              Redo
            </Button>
          </div>
        </header>
        {open !== null && derived !== null && (
          <DocketDetail entry={open} state={state} derived={derived} onSave={save} />
        )}
        {isWaiting && <SavePanels saving={saving} user={user} />}
        {state.faults.length > 0 && (
          <Faults
            state={state}
            units={user.units}
            onUndo={undo}
            onCure={(fault) => fault.cure !== null && save([fault.cure.edit])}
          />
        )}
        <nav className="stages" aria-label="Stages">
          {STAGES.map(([key, words]) => (
            <NavLink key={key} to={`/buildings/${state.id}/${key}`}>
              <span className="name">{words}</span>
              <span className="state">
                {key === 'bench' ? (state.made?.text ?? 'nothing made yet') : (stages[key] ?? 'not yet')}
              </span>
            </NavLink>
          ))}
          <NavLink className="aside-view" to={`/buildings/${state.id}/stand`}>
            Stand it up
          </NavLink>
        </nav>
        <main className="stage-body" id="stage" tabIndex={-1}>
          <Suspense fallback={<Loading what="this stage" />}>
            <Outlet />
          </Suspense>
        </main>
      </div>
    </BuildingContext.Provider>
  );
}
