import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { PlanEdge, View } from '../../api/types';
import { Empty } from '../../ui/States';
import { SelectField } from '../../ui/SelectField';
import { WorkingsTable } from '../../ui/WorkingsTable';
import { useBuilding } from '../../document/context';
import { DocumentForm } from '../../document/form/DocumentForm';
import { Layers } from '../../document/Layers';
import { isOfCovering } from '../../document/roofs';
import { ThingsHere } from '../../document/ThingsHere';
import { NeighboursPitch, OwnEdges } from './Neighbours';
import { EdgeFigures } from './EdgeFigures';
import { PanelView } from './PanelView';
import { RoofPlan } from './RoofPlan';
import { RoofThingFigures } from './RoofThingFigures';
import { SectionAt } from './SectionAt';

const VIEWS = ['plan', 'section', 'panels'] as const;

type Chosen =
  | { what: 'edge'; key: string }
  | { what: 'panel'; id: string }
  | { what: 'line'; at: number }
  | { what: 'thing'; path: string };

/** Which panels, supports, ridges and gutters? */
export function RoofStage() {
  const { drawn, save, gather } = useBuilding();
  const [view, setView] = useState<(typeof VIEWS)[number]>('plan');
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [, setSearch] = useSearchParams();
  if (drawn === null) {
    return (
      <Empty title="No roof yet">
        <p>It is worked out as soon as the figures under Prototype are sound.</p>
      </Empty>
    );
  }
  const { plan, roof, section } = drawn;
  const edge =
    chosen?.what === 'edge' ? plan.blocks.flatMap((b) => b.edges).find((e) => e.key === chosen.key) : undefined;
  const panel = roof.panels.find((one) => chosen?.what === 'panel' && one.part === chosen.id) ?? roof.panels[0];
  const line = chosen?.what === 'line' ? roof.lines[chosen.at] : undefined;
  const thing = roof.things.find((one) => chosen?.what === 'thing' && one.path === chosen.path);
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        <div className="d-flex flex-wrap justify-content-between gap-2">
          <h2>{view === 'plan' ? 'Roofs from above' : view === 'section' ? 'Cut through' : 'A panel in true shape'}</h2>
          <div className="walls-nav" role="group" aria-label="View">
            {VIEWS.map((name) => (
              <button key={name} type="button" aria-pressed={view === name} onClick={() => setView(name)}>
                {name}
              </button>
            ))}
          </div>
        </div>
        {view === 'plan' && (
          <>
            <RoofPlan
              edge={edge?.key ?? null}
              line={chosen?.what === 'line' ? chosen.at : null}
              onEdge={(key) => setChosen({ what: 'edge', key })}
              onLine={(at) => setChosen({ what: 'line', at })}
              thing={thing?.path ?? null}
              onThing={(path) => setChosen({ what: 'thing', path })}
              onMove={({ block, id }, bricks, courses) => gather([{ op: 'move-thing', block, id, bricks, courses }])}
              onRemove={({ block, id }) => {
                save([{ op: 'remove-thing', block, id }]);
                setChosen(null);
              }}
            />
            <p className="quiet">
              Choose an edge to say what the roof does over it and what stands there, a line for its length and its sum,
              or a thing on a roof for its figures. {section?.note}
            </p>
          </>
        )}
        {view === 'section' && <SectionAt />}
        {view === 'panels' && panel === undefined && (
          <p>Panels are cut out of sound roofs: they come back as soon as the faults above are put right.</p>
        )}
        {view === 'panels' && panel !== undefined && (
          <PanelView panels={roof.panels} panel={panel} onChoose={(id) => setChosen({ what: 'panel', id })} />
        )}
      </section>
      <aside className="sheet" aria-label="Figures">
        {view === 'panels' && panel !== undefined ? (
          <>
            <h2>{panel.name}</h2>
            {panel.workings.map((workings) => (
              <WorkingsTable key={workings.of} workings={workings} />
            ))}
          </>
        ) : thing !== undefined ? (
          <RoofThingFigures
            key={thing.path}
            thing={thing}
            onAdded={() => setChosen(null)}
            onRemoved={() => setChosen(null)}
          />
        ) : edge !== undefined ? (
          <>
            <EdgeFigures
              key={edge.key}
              edge={edge}
              onDone={() => {
                // The whole roof of the block whose edge it was.
                setSearch({ block: edge.block }, { replace: true });
                setChosen(null);
              }}
            />
            <ThingsHere
              form="things"
              title="On the slope over it"
              block={{ id: edge.block, path: `blocks.${plan.blocks.findIndex((one) => one.id === edge.block)}` }}
              anchors={{ slope: 'on the slope', 'roof-line': 'on its ridge' }}
              on={{ edge: edge.name }}
            />
          </>
        ) : line !== undefined ? (
          <>
            <h2 className="text-capitalize">{line.kind}</h2>
            <p className="quiet">
              {line.length.imperial}, {line.length.metric}; on the model {line.length.model}
              {line.fold === null ? '' : `; folded by ${line.fold}`}
            </p>
            <WorkingsTable workings={line.workings} />
          </>
        ) : (
          <RoofFigures drawn={drawn} onEdge={(key) => setChosen({ what: 'edge', key })} />
        )}
      </aside>
    </>
  );
}

/** The roof of each block as a whole. */
function RoofFigures({ drawn, onEdge }: { drawn: View; onEdge: (key: string) => void }) {
  const { plan, section } = drawn;
  const [search, setSearch] = useSearchParams();
  // Which block is looked at stays while its edges are.
  const at = Math.max(
    0,
    plan.blocks.findIndex((one) => one.id === search.get('block')),
  );
  const block = plan.blocks[at] ?? plan.blocks[0];
  const path = `blocks.${at}.roof`;
  return (
    <>
      <h2>{plan.blocks.length > 1 ? 'Roofs' : 'The roof'}</h2>
      {plan.blocks.length > 1 && (
        <SelectField
          label="of"
          value={String(at)}
          choices={plan.blocks.map((one, i) => [String(i), one.name] as const)}
          onChange={(value) => setSearch({ block: plan.blocks[Number(value)]?.id ?? '' }, { replace: true })}
        />
      )}
      <DocumentForm form="roof" path={path} show={(field) => !isOfCovering(field)} />
      <NeighboursPitch block={at} blocks={plan.blocks} />
      <OwnEdges block={block} onEdge={onEdge} />
      {section !== null && (
        <p className="quiet">
          Finished, the eaves reach {section.reach.model} out: the overhang and the square edge of the card.
        </p>
      )}
      <HowMade />
      <h3 className="mt-3">Edges</h3>
      <ul className="list-unstyled mb-0">
        {block?.edges.map((edge) => (
          <li key={edge.key}>
            <button type="button" className="btn btn-link p-0" onClick={() => onEdge(edge.key)}>
              {edge.name}
            </button>
            : {wordsOf(edge)}
          </li>
        ))}
      </ul>
    </>
  );
}

/** Of all roofs. */
function HowMade() {
  return (
    <>
      <h3 className="mt-3">How they are made</h3>
      <Layers stack="roof" label="Layers" />
      <DocumentForm form="methods" path="methods" />
    </>
  );
}

function wordsOf(edge: PlanEdge): string {
  return edge.roof === 'gable' || edge.roof === 'wall'
    ? edge.roof === 'wall'
      ? 'against another block'
      : 'gable'
    : `${edge.roof === 'hip' ? 'slope' : edge.roof}, ${edge.pitch}`;
}
