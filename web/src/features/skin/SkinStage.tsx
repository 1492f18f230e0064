import { useState } from 'react';
import { WallChooser } from '../../drawing/WallChooser';
import { ColourField } from '../../ui/ColourField';
import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { Empty } from '../../ui/States';
import { WorkingsTable } from '../../ui/WorkingsTable';
import { textAt, useBuilding } from '../../document/context';

const FINISHES = [
  ['brick-stretcher', 'brick, stretcher bond'],
  ['brick-english', 'brick, English bond'],
  ['brick-flemish', 'brick, Flemish bond'],
  ['bare', 'bare card'],
] as const;

/** Which papers, how cut, how folded, courses lining up where? */
export function SkinStage() {
  const { state, derived, save } = useBuilding();
  const [key, setKey] = useState<string | null>(null);
  if (derived === null) {
    return (
      <Empty title="No papers yet">
        <p>They are drawn as soon as the figures under Prototype are sound.</p>
      </Empty>
    );
  }
  const walls = derived.view.walls;
  const wall = walls.find((one) => one.key === key) ?? walls[0];
  if (wall === undefined) return null;
  const text = (path: string) => textAt(state.document, path);
  const paper = derived.kit.parts.find((part) => wall.parts.includes(part.id) && part.group === 'skin');
  const described = /\.walls\.\d+$/.test(wall.path);
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        <div className="d-flex flex-wrap justify-content-between gap-2">
          <h2>Paper of the {wall.edge} wall</h2>
          <WallChooser view={derived.view} chosen={wall.key} onChoose={setKey} />
        </div>
        {paper === undefined ? (
          <p>This wall stays bare card. Choose a bond beside it, and its paper is drawn here.</p>
        ) : (
          <>
            <img
              className="paper-view"
              src={`/api/buildings/${state.id}/parts/${paper.id}.svg?r=${state.derived_from ?? 0}`}
              alt={`${paper.name}: brickwork, flaps and laps as they are cut`}
            />
            <p className="quiet">
              Solid lines are cut, dashed ones folded. Flaps turn into the openings; laps go round the corner under the
              neighbour’s paper, which stops flush.
            </p>
          </>
        )}
      </section>
      <aside className="sheet" aria-label="Figures">
        <h2>{wall.title}</h2>
        {described ? (
          <SelectField
            label="finish"
            path={`${wall.path}.finish`}
            value={wall.finish}
            choices={
              FINISHES.some(([key]) => key === wall.finish) ? FINISHES : [...FINISHES, [wall.finish, wall.finish]]
            }
            onChange={(value) => save([{ op: 'set', path: `${wall.path}.finish`, value }])}
          />
        ) : (
          <p className="quiet">This wall is not described yet; add an opening to it under Shell first.</p>
        )}
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
          label="joints too fine to print"
          path="methods.skin.joints"
          value={text('methods.skin.joints') || 'tone'}
          choices={[
            ['tone', 'left to tones'],
            ['widened', 'printed wider'],
          ]}
          onChange={(value) => save([{ op: 'set', path: 'methods.skin.joints', value }])}
        />
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
        {paper?.workings.map((workings) => (
          <WorkingsTable key={workings.of} workings={workings} title={`${paper.label}, ${workings.of}`} />
        ))}
        {derived.kit.checks
          .filter((check) => check.at.includes(`.${wall.edge}`) && /^(head|dress|finish|flap)/.test(check.code))
          .map((check) => (
            <div key={check.code + check.at} className="remark">
              {check.text}
            </div>
          ))}
      </aside>
    </>
  );
}
