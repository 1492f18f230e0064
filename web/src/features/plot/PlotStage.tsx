import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { Edit, Point } from '../../api/types';
import { Empty } from '../../ui/States';
import { useBuilding } from '../../document/context';
import { Clearances } from './Clearances';
import { ComingOff } from './ComingOff';
import { Deeper } from './Deeper';
import { DeeperFigures } from './DeeperFigures';
import { FromTheEye } from './FromTheEye';
import { GiveUp } from './GiveUp';
import { LowRelief } from './LowRelief';
import { PlotFigures } from './PlotFigures';
import { PlotPlan } from './PlotPlan';
import { ReliefFigures } from './ReliefFigures';
import { Scales } from './Scales';
import { StandBefore } from './StandBefore';

const VIEWS = ['plan', 'scales', 'give up', 'low relief', 'from the eye', 'depth'] as const;
const TITLES = {
  plan: 'On the layout',
  scales: 'At other scales',
  'give up': 'What to give up',
  'low relief': 'Cut before the backscene',
  'from the eye': 'What shows',
  depth: 'Shallower than it looks',
};

function MoveIt({ by, save }: { by: Point; save: (edits: Edit[]) => void }) {
  return (
    <p className="mt-2 mb-0">
      There is room for it, only not where it stands.{' '}
      <Button size="sm" variant="outline-primary" onClick={() => save([{ op: 'move-on-plot', x: by[0], y: by[1] }])}>
        Move it to where it fits
      </Button>
    </p>
  );
}

/** Where does it stand on the layout, does it fit, and what is given up if not? */
export function PlotStage() {
  const { derived, drawn, state, save, gather } = useBuilding();
  const [view, setView] = useState<(typeof VIEWS)[number]>('plan');
  const [chosen, setChosen] = useState<string | null>(null);
  // While something is wrong it is drawn as it is described; how it fits is what the last sound revision says.
  const plot = state.plot_sketch ?? derived?.plot ?? null;
  if (drawn === null || (derived === null && plot === null)) {
    return (
      <Empty title="Nothing to place yet">
        <p>Put the figures right under Prototype; then it can be tried in its place.</p>
      </Empty>
    );
  }
  const hasPlot = state.document.plot !== undefined;
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        <div className="d-flex flex-wrap justify-content-between gap-2">
          <h2>{TITLES[view]}</h2>
          <div className="walls-nav" role="group" aria-label="View">
            {VIEWS.map((name) => (
              <button key={name} type="button" aria-pressed={view === name} onClick={() => setView(name)}>
                {name}
              </button>
            ))}
          </div>
        </div>
        {view === 'scales' && <Scales />}
        {view === 'low relief' && <LowRelief />}
        {view === 'from the eye' && <FromTheEye />}
        {view === 'depth' && <Deeper />}
        {view === 'give up' && <GiveUp />}
        {view === 'plan' &&
          (plot === null ? (
            <>
              <p>
                Say what place it has, and what stands and runs round it: every edit then says what is left on each
                side, card, papers, sills and roofs counted.
              </p>
              {!hasPlot && <Button onClick={() => save([{ op: 'add-plot' }])}>Give it a place</Button>}
            </>
          ) : (
            <>
              <PlotPlan
                plot={plot}
                chosen={chosen}
                onMove={(x, y) => gather([{ op: 'move-on-plot', x, y }])}
                onChoose={setChosen}
              />
              {state.plot_sketch !== null && (
                <p className="quiet">
                  Outlines as they are described. What is left on each side is worked out as soon as the building is
                  sound again.
                </p>
              )}
              <StandBefore plot={plot} />
              {plot.move !== null && <MoveIt by={plot.move} save={save} />}
              <Clearances plot={plot} chosen={chosen} onChoose={setChosen} />
              {plot.split !== null && <ComingOff off={plot.off} split={plot.split} />}
            </>
          ))}
      </section>
      <aside className="sheet" aria-label="Figures">
        {view === 'low relief' ? (
          <ReliefFigures />
        ) : view === 'depth' ? (
          <DeeperFigures />
        ) : hasPlot ? (
          <PlotFigures />
        ) : (
          <>
            <h2>Figures</h2>
            <p className="quiet mb-0">It has no place on the layout yet.</p>
          </>
        )}
      </aside>
    </>
  );
}
