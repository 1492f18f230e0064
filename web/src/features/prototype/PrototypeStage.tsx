import { useEffect, useRef } from 'react';
import Button from 'react-bootstrap/Button';
import { Link, useSearchParams } from 'react-router';
import { Elevation } from '../../drawing/Elevation';
import { WallChooser } from '../../drawing/WallChooser';
import { entriesAt } from '../../document/entries';
import { LengthField } from '../../ui/LengthField';
import { SelectField } from '../../ui/SelectField';
import { GAUGES } from './gauges';
import { TextField } from '../../ui/TextField';
import { Kinds } from '../../document/Kinds';
import { textAt, useBuilding } from '../../document/context';
import { BlockFigures } from './BlockFigures';
import { PlanEditor } from './PlanEditor';

const SCALES = ['1:43.5', '1:64', '1:76.2', '1:87.1', '1:120', '1:148', '1:160'] as const;

const KINDS = [
  ['wing', 'Add a wing'],
  ['lean-to', 'Add a lean-to'],
  ['dormer', 'Add a dormer'],
  ['platform', 'Add a platform'],
] as const;

/** What is the real thing, and how big is it? */
export function PrototypeStage() {
  const { state, drawn, gather, units } = useBuilding();
  const [search, setSearch] = useSearchParams();
  const chosen = search.get('block');
  const setChosen = (id: string | null) => setSearch(id === null ? {} : { block: id }, { replace: true });
  const text = (path: string) => textAt(state.document, path);
  const blocks = drawn?.plan.blocks ?? [];
  const ids = idsOf(state.document.blocks);
  const block = chosen !== null && ids.includes(chosen) ? chosen : (ids[0] ?? '');
  // What was added is chosen as soon as it is there.
  const known = useRef<readonly string[] | null>(null);
  useEffect(() => {
    const fresh = known.current === null ? undefined : ids.find((one) => known.current?.includes(one) === false);
    if (fresh !== undefined) {
      known.current = null;
      setChosen(fresh);
    }
  });
  const walls = drawn?.walls ?? [];
  const view = search.get('view') ?? 'plan';
  const shown = blocks.find((one) => one.id === block);
  const size = shown === undefined ? [] : [`${shown.wide[units]} wide`, `${shown.deep[units]} deep`];
  const section = drawn?.section ?? null;
  const height =
    blocks.length > 1 || section === null
      ? [`${shown?.eaves[units]} to the eaves`]
      : [`${section.eaves[units]} to the eaves`, `${section.ridge[units]} to the underside of the ridge`];
  const summary = `${blocks.length > 1 ? `${shown?.name}: ` : ''}${[...size, ...height].join(', ')}`;
  const wall = walls.find((one) => one.key === view);
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        <div className="d-flex flex-wrap justify-content-between gap-2">
          <h2>The real building</h2>
          {drawn !== null && (
            <WallChooser
              view={drawn}
              chosen={wall?.key ?? 'plan'}
              onChoose={(next) => setSearch({ view: next }, { replace: true })}
              also={['plan']}
              block={block}
              onBlock={setChosen}
            />
          )}
        </div>
        {drawn === null ? (
          <p>Give its figures; the drawing follows as soon as they are sound.</p>
        ) : (
          <>
            <p className="quiet">
              {summary}.{walls.every((one) => one.openings.length === 0) && <Next building={state.id} />}
            </p>
            {drawn.section !== null &&
              (state.document.relief !== undefined || entriesAt(state.document, 'compression.steps').length > 0) && (
                <p className="quiet">
                  Drawn as it is modelled; its figures stay as they were measured. What is given up stands under{' '}
                  <Link to={`/buildings/${state.id}/plot`}>Plot</Link>.
                </p>
              )}
            {wall === undefined ? (
              <>
                <BlockTools
                  block={block}
                  isStack={blocks.find((one) => one.id === block)?.is_stack === true}
                  name={ids.length > 1 ? (blocks.find((one) => one.id === block)?.name ?? block) : null}
                  onAdd={() => {
                    known.current = ids;
                  }}
                  onRemoved={() => setChosen(null)}
                />
                <PlanEditor
                  chosen={block}
                  onChoose={setChosen}
                  onMove={(id, x, y, snap) =>
                    gather([{ op: 'move-block', block: id, x, y, ...(snap ? { snap } : {}) }])
                  }
                />
              </>
            ) : (
              <Elevation
                wall={wall}
                rule={drawn.rule}
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
        {ids.length > 1 && (
          <SelectField
            label="block"
            value={block}
            choices={ids.map((id) => [id, blocks.find((one) => one.id === id)?.name ?? id] as const)}
            onChange={setChosen}
          />
        )}
        <BlockFigures key={block} index={Math.max(0, ids.indexOf(block))} id={block} blocks={blocks} />
        <Prototype />
        <p className="quiet mt-2 mb-0">Each wall is described as it looks from outside.</p>
      </aside>
    </>
  );
}

/** What comes next of a building that has just been begun. */
function Next({ building }: { building: string }) {
  return (
    <>
      {' '}
      It can be printed as it is. Next come its openings, under <Link to={`/buildings/${building}/shell`}>Shell</Link>.
    </>
  );
}

/** What is added beside a block, and its own end; the only one stays. */
function BlockTools({
  block,
  name,
  isStack,
  onAdd,
  onRemoved,
}: {
  block: string;
  name: string | null;
  isStack: boolean;
  onAdd: () => void;
  onRemoved: () => void;
}) {
  const { save } = useBuilding();
  return (
    <div className="tools mb-2" role="toolbar" aria-label="Blocks">
      {KINDS.map(([kind, words]) => (
        <Button
          key={kind}
          variant="outline-primary"
          onClick={() => {
            onAdd();
            save([{ op: 'add-block', kind, beside: block }]);
          }}
        >
          {words}
        </Button>
      ))}
      {isStack && (
        <Button
          variant="outline-primary"
          onClick={() => {
            save([{ op: 'block-to-chimney', block }]);
            onRemoved();
          }}
        >
          Make it a chimney
        </Button>
      )}
      {name !== null && (
        <Button
          variant="outline-secondary"
          onClick={() => {
            save([{ op: 'remove-block', block }]);
            onRemoved();
          }}
        >
          Remove {name}
        </Button>
      )}
    </div>
  );
}

/** Brickwork, scale, and the kinds of openings. */
function Prototype() {
  const { state, save } = useBuilding();
  const text = (path: string) => textAt(state.document, path);
  const scale = text('scale');
  const said = (key: 'brick' | 'course' | 'joint') => text(`gauge.${key}`) || GAUGES[0][key];
  const gauge = GAUGES.findIndex(
    (one) => one.brick === said('brick') && one.course === said('course') && one.joint === said('joint'),
  );
  const set = (key: string, value: string) => ({ op: 'set' as const, path: `gauge.${key}`, value });
  return (
    <>
      <h3 className="mt-3">Brickwork, joint included</h3>
      <SelectField
        label="usual bricks"
        value={String(gauge)}
        choices={[...GAUGES.map((one, i) => [String(i), one.name] as const), ['-1', 'others'] as const]}
        onChange={(next) => {
          const one = GAUGES[Number(next)];
          if (one !== undefined) save(['brick', 'course', 'joint'].map((key) => set(key, one[key as 'brick'])));
        }}
      />
      <LengthField label="brick" path="gauge.brick" value={text('gauge.brick') || '9in'} />
      <LengthField label="course" path="gauge.course" value={text('gauge.course') || '3in'} />
      <LengthField label="joint" path="gauge.joint" value={text('gauge.joint') || '3/8in'} />
      <h3 className="mt-3">Modelled at</h3>
      <SelectField
        label="usual scales"
        path="scale"
        value={SCALES.some((known) => known === scale) ? scale : ''}
        choices={[...SCALES.map((known) => [known, known] as const), ['', 'another']]}
        onChange={(next) => next !== '' && save([{ op: 'set', path: 'scale', value: next }])}
      />
      <TextField label="scale" path="scale" value={scale} />
      <Kinds />
    </>
  );
}

/** As the server calls blocks that have no id of their own. */
function idsOf(blocks: unknown): string[] {
  if (!Array.isArray(blocks)) return [];
  return blocks.map((block: unknown, i) => {
    const id = block !== null && typeof block === 'object' ? (block as { id?: unknown }).id : undefined;
    return typeof id === 'string' ? id : `block-${i + 1}`;
  });
}
