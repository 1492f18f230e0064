import { SelectField } from '../../ui/SelectField';
import { LengthField } from '../../ui/LengthField';
import { TextField } from '../../ui/TextField';
import { Elevation } from '../../drawing/Elevation';
import { textAt, useBuilding } from '../building/context';

const SCALES = ['1:43.5', '1:64', '1:76.2', '1:87.1', '1:120', '1:148', '1:160'] as const;
const EDGES = ['front', 'right', 'back', 'left'] as const;

/** What is the real thing, and how big is it? */
export function PrototypeStage() {
  const { state, derived, save, units } = useBuilding();
  const text = (path: string) => textAt(state.document, path);
  const scale = text('scale');
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        <h2>The real building</h2>
        {derived === null ? (
          <p>Give its figures; the drawing follows as soon as they are sound.</p>
        ) : (
          <>
            <p className="quiet">
              {derived.view.walls[0]?.length[units]} wide, {derived.view.walls[1]?.length[units]} deep,{' '}
              {derived.view.section.eaves[units]} to the eaves, {derived.view.section.ridge[units]} to the underside of
              the ridge. The front, with its figures:
            </p>
            {derived.view.walls[0] !== undefined && (
              <Elevation
                wall={derived.view.walls[0]}
                rule={derived.view.rule}
                units={units}
                building={state.id}
                revision={state.derived_from ?? 0}
              />
            )}
          </>
        )}
      </section>
      <aside className="sheet" aria-label="Figures">
        <h2>Figures</h2>
        <TextField label="name" path="name" value={text('name')} isWide />
        <div className="quiet mb-2">Write sizes as you took them: 18&apos; 6&quot;, 5.64m, 38br, 52co.</div>
        <LengthField label="width" path="blocks.0.footprint.rect.0" value={text('blocks.0.footprint.rect.0')} />
        <LengthField label="depth" path="blocks.0.footprint.rect.1" value={text('blocks.0.footprint.rect.1')} />
        <LengthField label="eaves above datum" path="blocks.0.eaves" value={text('blocks.0.eaves')} />
        <h3 className="mt-3">Brickwork, joint included</h3>
        <LengthField label="brick" path="gauge.brick" value={text('gauge.brick') || '9in'} />
        <LengthField label="course" path="gauge.course" value={text('gauge.course') || '3in'} />
        <LengthField label="joint" path="gauge.joint" value={text('gauge.joint') || '3/8in'} />
        <h3 className="mt-3">Modelled at</h3>
        <SelectField
          label="usual scales"
          value={SCALES.some((known) => known === scale) ? scale : ''}
          choices={[...SCALES.map((known) => [known, known] as const), ['', 'another']]}
          onChange={(next) => next !== '' && save([{ op: 'set', path: 'scale', value: next }])}
        />
        <TextField label="scale" path="scale" value={scale} />
        <h3 className="mt-3">Openings are of these kinds</h3>
        {stylesOf(state.document.styles).map((style) => (
          <fieldset key={style}>
            <legend className="fs-6 fw-semibold mb-1">{style}</legend>
            <LengthField label="width" path={`styles.${style}.w`} value={text(`styles.${style}.w`)} />
            <LengthField label="height to the crown" path={`styles.${style}.h`} value={text(`styles.${style}.h`)} />
            {text(`styles.${style}.head.shape`) === 'segmental' && (
              <LengthField
                label="rise of the head"
                path={`styles.${style}.head.rise`}
                value={text(`styles.${style}.head.rise`)}
              />
            )}
          </fieldset>
        ))}
        <p className="quiet mt-2 mb-0">Walls: {EDGES.join(', ')}. Each is described as it looks from outside.</p>
      </aside>
    </>
  );
}

function stylesOf(styles: unknown): string[] {
  return styles !== null && typeof styles === 'object' ? Object.keys(styles) : [];
}
