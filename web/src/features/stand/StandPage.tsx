import { useQuery } from '@tanstack/react-query';
import { useCallback, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, useSearchParams } from 'react-router';
import { standOptions } from '../../api/options';
import type { Stand, StandPiece } from '../../api/types';
import { useSearched } from '../../ui/searched';
import { Empty } from '../../ui/States';
import { useBuilding, useStockName } from '../../document/context';
import { useSheets } from '../../document/sheets';
import type { StandScene } from './scene';
import { StandCanvas } from './StandCanvas';

/** The kit standing in its own card and paper: turned, pulled apart, cut open. */
export function StandPage() {
  const { state, derived } = useBuilding();
  const stand = useQuery({
    ...standOptions(state.id, state.derived_from ?? 0),
    enabled: derived !== null,
    placeholderData: (before) => before,
  });
  if (derived === null) {
    return (
      <Empty title="Nothing stands yet">
        <p>It stands here as soon as the figures under Prototype are sound.</p>
      </Empty>
    );
  }
  if (stand.isPending) return <p role="status">Standing it up …</p>;
  if (stand.isError) return <p className="text-danger">{stand.error.message}</p>;
  return <Standing stand={stand.data} />;
}

function Standing({ stand }: { stand: Stand }) {
  const { state } = useBuilding();
  const [search, setSearch] = useSearchParams();
  const [apart, setApart] = useState(0);
  const [section, setSection] = useState(0);
  const [eye, setEye] = useState<number | null>(null);
  const [hidden, setHidden] = useState<ReadonlySet<string>>(new Set());
  const [scene, setScene] = useState<StandScene | null>(null);
  const part = search.get('part');
  const chosen = stand.pieces.find((one) => one.key === search.get('piece') || one.part === part) ?? null;
  const choose = (key: string | null) => setSearch(key === null ? {} : { piece: key }, { replace: true });
  const isShown = useCallback(
    (piece: StandPiece) => !hidden.has(`phase ${piece.phase}`) && !hidden.has(`layer ${piece.layer}`),
    [hidden],
  );
  const toggle = (what: string) => {
    const next = new Set(hidden);
    if (!next.delete(what)) next.add(what);
    setHidden(next);
  };
  const download = () =>
    scene?.picture((blob) => {
      if (blob === null) return;
      const link = document.createElement('a');
      link.href = URL.createObjectURL(blob);
      link.download = `${state.name}.png`;
      link.click();
      URL.revokeObjectURL(link.href);
    });
  return (
    <>
      <section className="sheet" aria-label="Standing">
        <div className="d-flex flex-wrap justify-content-between gap-2">
          <h2>Stand it up</h2>
          <div className="tools">
            <Button
              variant="outline-secondary"
              onClick={() => {
                setEye(null);
                scene?.look();
              }}
            >
              From the front left
            </Button>
            {stand.eye !== null && (
              <Button variant="outline-secondary" aria-pressed={eye !== null} onClick={() => setEye(0)}>
                From the operator’s eye
              </Button>
            )}
            <Button variant="outline-secondary" onClick={download} disabled={scene === null}>
              Picture
            </Button>
          </div>
        </div>
        <StandCanvas
          stand={stand}
          building={state.id}
          chosen={chosen?.key ?? null}
          apart={apart}
          section={section}
          eye={eye}
          isShown={isShown}
          onPick={choose}
          onReady={setScene}
        />
        <div className="sliders">
          <Slider label="pull apart" value={apart} onChange={setApart} />
          <Slider label="cut open from the front" value={section} onChange={setSection} />
          {eye !== null && (
            <Slider label="along the layout" value={(eye + 1) / 2} onChange={(at) => setEye(at * 2 - 1)} />
          )}
        </div>
      </section>
      <aside className="sheet" aria-label="Figures">
        {chosen === null ? (
          <p className="quiet">Press a piece, or choose one below, to see where it stands and what it joins.</p>
        ) : (
          <Chosen piece={chosen} stand={stand} />
        )}
        <WhatIsShown stand={stand} hidden={hidden} toggle={toggle} />
        <PieceList pieces={stand.pieces} chosen={chosen} onChoose={choose} />
      </aside>
    </>
  );
}

interface WhatIsShownProps {
  stand: Stand;
  hidden: ReadonlySet<string>;
  toggle: (what: string) => void;
}

/** Kinds of pieces and layers of walls, each shown or hidden. */
function WhatIsShown({ stand, hidden, toggle }: WhatIsShownProps) {
  const phases = stand.phases.filter((phase) => stand.pieces.some((piece) => piece.phase === phase.key));
  const layers = [...new Set(stand.pieces.filter((piece) => piece.phase === 'wall').map((piece) => piece.layer))];
  return (
    <fieldset>
      <legend className="h3">Shown</legend>
      {phases.map((phase) => (
        <Shown
          key={phase.key}
          label={phase.text}
          isShown={!hidden.has(`phase ${phase.key}`)}
          toggle={() => toggle(`phase ${phase.key}`)}
        />
      ))}
      {layers.length > 1 &&
        layers.map((layer) => (
          <Shown
            key={layer}
            label={`walls, ${layer}`}
            isShown={!hidden.has(`layer ${layer}`)}
            toggle={() => toggle(`layer ${layer}`)}
          />
        ))}
    </fieldset>
  );
}

interface PieceListProps {
  pieces: StandPiece[];
  chosen: StandPiece | null;
  onChoose: (key: string) => void;
}

/** The same as the view in space, in words. */
function PieceList({ pieces, chosen, onChoose }: PieceListProps) {
  const { shown, search, more } = useSearched(pieces, ({ label, name }) => `${label} ${name}`, 'pieces');
  return (
    <>
      <h3 className="mt-2">What stands where</h3>
      {search}
      <ol className="standing-list">
        {shown.map((piece) => (
          <li key={piece.key}>
            <button
              type="button"
              className="btn btn-link p-0 text-start"
              aria-pressed={piece.key === chosen?.key}
              onClick={() => onChoose(piece.key)}
            >
              {piece.label} {piece.name}
            </button>
            <span className="visually-hidden">, {piece.stands}</span>
          </li>
        ))}
      </ol>
      {more}
    </>
  );
}

function Chosen({ piece, stand }: { piece: StandPiece; stand: Stand }) {
  const { state, derived } = useBuilding();
  const stockName = useStockName();
  const part = derived?.kit.parts.find((one) => one.id === piece.part);
  const wall = part === undefined || part.group === 'roof' || part.of.edge === null ? undefined : part.of;
  const sheet = useSheets()?.sheets.find((one) =>
    one.parts.some((placed) => placed.part === piece.part && placed.copy === piece.copy),
  );
  const names = new Map(stand.pieces.map((one) => [one.part, `${one.label} ${one.name}`]));
  const joints = stand.joints.filter(([a, b]) => a === piece.part || b === piece.part);
  return (
    <>
      <h2>
        {piece.label} {piece.name}
      </h2>
      <p>
        {stockName(piece.stock)}, {piece.thickness.toFixed(2)} mm thick as it is stuck. It stands {piece.stands} (mm).
      </p>
      <p className="tools">
        {wall !== undefined && (
          <Link to={`/buildings/${state.id}/shell?wall=${wall.block ?? ''}.${wall.edge ?? ''}&part=${piece.part}`}>
            In the drawing
          </Link>
        )}
        {sheet !== undefined && <Link to={`/buildings/${state.id}/sheets?sheet=${sheet.id}`}>On sheet {sheet.id}</Link>}
      </p>
      <details>
        <summary>{joints.length === 1 ? 'One joint' : `${joints.length} joints`}</summary>
        <ul>
          {joints.map(([a, b, kind], i) => (
            <li key={i}>
              {kind} with {names.get(a === piece.part ? b : a)}
            </li>
          ))}
        </ul>
      </details>
    </>
  );
}

function Shown({ label, isShown, toggle }: { label: string; isShown: boolean; toggle: () => void }) {
  return (
    <label className="d-block">
      <input type="checkbox" checked={isShown} onChange={toggle} /> {label}
    </label>
  );
}

function Slider({ label, value, onChange }: { label: string; value: number; onChange: (value: number) => void }) {
  return (
    <label>
      {label}
      <input
        type="range"
        className="form-range"
        min={0}
        max={1}
        step={0.02}
        value={value}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </label>
  );
}
