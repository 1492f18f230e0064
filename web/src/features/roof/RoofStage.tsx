import { Canvas } from '../../drawing/Canvas';
import { Dimension } from '../../drawing/Dimension';
import { boundsOf, pathOf } from '../../drawing/geometry';
import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { Empty } from '../../ui/States';
import { TextField } from '../../ui/TextField';
import { WorkingsTable } from '../../ui/WorkingsTable';
import { textAt, useBuilding } from '../building/context';

const FILL: Record<string, string> = { wall: '#c9b9a5', roof: '#8f9aa1', floor: '#e6e0d0', strip: '#9c4a32' };

/** Which panels, supports, ridges and gutters? */
export function RoofStage() {
  const { state, derived, save, units } = useBuilding();
  if (derived === null) {
    return (
      <Empty title="No roof yet">
        <p>It is worked out as soon as the figures under Prototype are sound.</p>
      </Empty>
    );
  }
  const { section, rule } = derived.view;
  const bounds = boundsOf(section.rings.map((part) => part.ring));
  const text = (path: string) => textAt(state.document, path);
  const room = (bounds.x1 - bounds.x0) * 0.14;
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        <h2>Section across the ridge</h2>
        <Canvas
          bounds={bounds}
          room={[room, room * 0.6, room * 0.5]}
          above={20}
          rule={rule}
          units={units}
          title={`Section: pitch ${section.pitch}, slope ${section.slope.model}`}
        >
          {({ perPx }) => (
            <>
              <line
                x1={bounds.x0 - room / 2}
                x2={bounds.x1 + room / 3}
                y1={0}
                y2={0}
                stroke="#1f2a2e"
                strokeWidth={2 * perPx}
              />
              {section.rings.map((part, i) => (
                <path
                  key={i}
                  d={pathOf(part.ring)}
                  fill={FILL[part.name] ?? 'none'}
                  stroke="#1f2a2e"
                  strokeWidth={perPx}
                />
              ))}
              <Dimension
                from={0}
                to={section.span.model_mm}
                y={-26 * perPx}
                perPx={perPx}
                text={`span ${section.span[units]} · ${section.span.model_mm.toFixed(1)}`}
              />
              <Dimension
                upright
                from={0}
                to={section.eaves.model_mm}
                y={bounds.x0 - 14 * perPx}
                perPx={perPx}
                text={`${section.eaves[units]} · ${section.eaves.model_mm.toFixed(1)}`}
              />
              <Dimension
                upright
                from={section.eaves.model_mm}
                to={section.ridge.model_mm}
                y={bounds.x0 - 14 * perPx}
                perPx={perPx}
                text={`rise ${section.rise.model_mm.toFixed(1)}`}
              />
            </>
          )}
        </Canvas>
        <p className="quiet">{section.note}</p>
      </section>
      <aside className="sheet" aria-label="Figures">
        <h2>Gable roof</h2>
        <TextField
          label="pitch"
          path="blocks.0.roof.pitch"
          value={text('blocks.0.roof.pitch')}
          read={degrees}
          after="degrees"
        />
        <SelectField
          label="ridge runs"
          value={text('blocks.0.roof.ridge') || 'x'}
          choices={[
            ['x', 'along the front'],
            ['y', 'front to back'],
          ]}
          onChange={(value) => save([{ op: 'set', path: 'blocks.0.roof.ridge', value }])}
        />
        <LengthField
          label="overhang at the eaves"
          path="blocks.0.roof.overhang.eaves"
          value={text('blocks.0.roof.overhang.eaves')}
          optional
        />
        <LengthField
          label="overhang at the verges"
          path="blocks.0.roof.overhang.verge"
          value={text('blocks.0.roof.overhang.verge')}
          optional
        />
        <p className="quiet mb-0">
          Finished, the eaves reach {section.reach.model} out: the overhang and the square edge of the card.
        </p>
        {section.workings.map((workings) => (
          <WorkingsTable key={workings.of} workings={workings} />
        ))}
      </aside>
    </>
  );
}

function degrees(text: string): number | null {
  return /^\d+(\.\d+)?$/.test(text) ? Number(text) : null;
}
