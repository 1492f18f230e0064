import { useState } from 'react';
import type { FormField, Part, View } from '../../api/types';
import { WallChooser } from '../../drawing/WallChooser';
import { CoveringChooser } from './CoveringChooser';
import { Compare } from './Compare';
import { OwnPapers } from './OwnPapers';
import { Palettes } from './Palettes';
import { ColourField } from '../../ui/ColourField';
import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { Empty } from '../../ui/States';
import { WorkingsTable } from '../../ui/WorkingsTable';
import { textAt, useBuilding } from '../../document/context';
import { DocumentForm } from '../../document/form/DocumentForm';
import { NumberField } from '../../document/form/PlainFields';
import { isOfCovering } from '../../document/roofs';

/** A wall by its key, the roof of a block, or what belongs to neither. */
type Shown = { wall: string } | { roof: string } | { more: string };

/** Which papers, how cut, how folded, courses lining up where? */
export function SkinStage() {
  const { derived } = useBuilding();
  const [shown, setShown] = useState<Shown | null>(null);
  if (derived === null) {
    return (
      <Empty title="No papers yet">
        <p>They are drawn as soon as the figures under Prototype are sound.</p>
      </Empty>
    );
  }
  const { walls, plan, skin } = derived.view;
  if (shown !== null && 'more' in shown) return <More view={derived.view} shown={shown.more} onShown={setShown} />;
  const asked = shown !== null && 'roof' in shown ? shown.roof : null;
  const roof = skin.roofs.find((one) => one.block === asked);
  const isRoof = roof !== undefined;
  const wall = walls.find((one) => shown !== null && 'wall' in shown && one.key === shown.wall) ?? walls[0];
  if (wall === undefined) return null;
  const block = roof?.block ?? wall.block;
  const papers = derived.kit.parts.filter((part) =>
    isRoof ? roof.papers.includes(part.id) : wall.parts.includes(part.id) && part.group === 'skin',
  );
  const described = /\.walls\.\d+$/.test(wall.path);
  const called = plan.blocks.find((one) => one.id === block)?.name ?? block;
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        <div className="d-flex flex-wrap justify-content-between gap-2">
          <h2>{isRoof ? `Papers of the roof of ${called}` : `Paper of the ${wall.edge} wall`}</h2>
          <WallChooser
            view={derived.view}
            chosen={isRoof ? 'roof' : wall.key}
            onChoose={(chosen) => setShown(shownBy(chosen, block))}
            also={ALSO}
            block={block}
            onBlock={(id) => setShown({ roof: id })}
          />
        </div>
        <Papers papers={isRoof ? papers : papers.slice(0, 1)} isRoof={isRoof} />
        {isRoof && (
          <CoveringChooser
            title={`Roof of ${called}`}
            path={roof.path.replace(/\.finish$/, '')}
            skin={skin}
            of="roofs"
            chosen={roof.finish}
          />
        )}
        {!isRoof && described && (
          <CoveringChooser title="Covered with" path={wall.path} skin={skin} of="walls" chosen={wall.finish} />
        )}
      </section>
      <aside className="sheet" aria-label="Figures">
        <h2>{isRoof ? `Roof of ${called}` : wall.title}</h2>
        {isRoof && roof.rows !== null && <p>{roof.rows}</p>}
        {isRoof && <DocumentForm form="roof" path={roof.path.replace(/\.finish$/, '')} show={isOfCovering} />}
        {!isRoof && !described && (
          <p className="quiet">This wall is not described yet; add an opening to it under Shell first.</p>
        )}
        {!isRoof && <SkinFigures />}
        {(isRoof ? papers : papers.slice(0, 1)).map((paper) =>
          paper.workings.map((workings) => (
            <WorkingsTable key={paper.id + workings.of} workings={workings} title={`${paper.label}, ${workings.of}`} />
          )),
        )}
        {derived.kit.checks
          .filter((check) =>
            isRoof
              ? check.at === block && /^(roof|paper)\./.test(check.code)
              : check.at.includes(`.${wall.edge}`) && /^(head|dress|finish|flap|paper)/.test(check.code),
          )
          .map((check) => (
            <div key={check.code + check.at} className="remark">
              {check.text}
            </div>
          ))}
      </aside>
    </>
  );
}

const MORE = ['your own papers', 'colours', 'compare'];
const ALSO = ['roof', ...MORE];

function shownBy(chosen: string, block: string): Shown {
  if (MORE.includes(chosen)) return { more: chosen };
  return chosen === 'roof' ? { roof: block } : { wall: chosen };
}

function More({ view, shown, onShown }: { view: View; shown: string; onShown: (shown: Shown) => void }) {
  const first = view.walls[0]?.block ?? '';
  const nav = (
    <WallChooser
      view={view}
      chosen={shown}
      onChoose={(chosen) => onShown(shownBy(chosen, first))}
      also={ALSO}
      block={first}
      onBlock={(id) => onShown({ roof: id })}
    />
  );
  if (shown === 'colours') return <Palettes skin={view.skin}>{nav}</Palettes>;
  if (shown === 'compare') {
    return (
      <Compare skin={view.skin} first={view.walls[0]?.finish ?? 'brick-stretcher'}>
        {nav}
      </Compare>
    );
  }
  return <OwnPapers papers={view.skin.papers}>{nav}</OwnPapers>;
}

/** Papers as they are printed and cut. */
function Papers({ papers, isRoof }: { papers: readonly Part[]; isRoof: boolean }) {
  const { state } = useBuilding();
  if (papers.length === 0) {
    return (
      <p>
        {isRoof ? 'This roof stays bare card.' : 'This wall stays bare card.'} Choose a covering below, and its paper is
        drawn here.
      </p>
    );
  }
  return (
    <>
      <div className="papers">
        {papers.map((paper) => (
          <img
            key={paper.id}
            className={papers.length > 1 ? 'paper-view half' : 'paper-view'}
            src={`/api/buildings/${state.id}/parts/${paper.id}.svg?r=${state.derived_from ?? 0}`}
            alt={`${paper.name}: what is printed, flaps and laps as they are cut`}
          />
        ))}
      </div>
      <p className="quiet">
        {isRoof
          ? 'Solid lines are cut, dashed ones folded. A paper is turned down over the card’s edge at eaves and verges; rows that are cut apart lie each over the one before it. Strips go over ridges and hips.'
          : 'Solid lines are cut, dashed ones folded. Flaps turn into the openings; laps go round the corner under the neighbour’s paper, which stops flush.'}
      </p>
    </>
  );
}

const percent = (key: string, label: string): FormField => ({
  key,
  label,
  optional: true,
  holds: { what: 'number', after: '%' },
  usual: 0,
});
const SOOT = percent('soot', 'soot under the eaves');
const DAMP = percent('damp', 'damp at the foot');

/** The figures of all papers together. */
function SkinFigures() {
  const { state, derived, save } = useBuilding();
  const text = (path: string) => textAt(state.document, path);
  if (derived === null) return null;
  return (
    <>
      <ColourField
        label="brick"
        path="methods.skin.brick"
        value={text('methods.skin.brick') || derived.view.skin.brick}
      />
      <ColourField
        label="mortar"
        path="methods.skin.mortar"
        value={text('methods.skin.mortar') || derived.view.skin.mortar}
      />
      <SelectField
        label="bricks beside openings"
        path="methods.skin.bond"
        value={text('methods.skin.bond') || 'anew'}
        choices={[
          ['anew', 'anew at every jamb'],
          ['broken', 'running through'],
        ]}
        onChange={(value) => save([{ op: 'set', path: 'methods.skin.bond', value }])}
      />
      <SelectField
        label="joints too fine to print"
        path="methods.skin.joints"
        value={text('methods.skin.joints') || 'tone'}
        choices={[
          ['tone', 'left to tones'],
          ['widened', 'printed wider'],
        ]}
        onChange={(value) => save([{ op: 'set', path: 'methods.skin.joints', value }])}
      />
      <NumberField field={SOOT} path="methods.skin.soot" />
      <NumberField field={DAMP} path="methods.skin.damp" />
      <LengthField
        label="lap round the corner"
        path="methods.skin.overlap"
        value={text('methods.skin.overlap') || '1.8mm'}
        world="model"
      />
      <LengthField
        label="flaps into openings"
        path="methods.skin.flap"
        value={text('methods.skin.flap')}
        world="model"
        optional
      />
      {text('methods.skin.flap') === '' && (
        <p className="quiet">Left empty they follow the wall, {derived.view.skin.flap} deep here.</p>
      )}
    </>
  );
}
