import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useSearchParams } from 'react-router';
import type { Opening, Wall } from '../../api/types';
import { Elevation } from '../../drawing/Elevation';
import { WallChooser } from '../../drawing/WallChooser';
import { Empty } from '../../ui/States';
import { useBuilding } from '../../document/context';
import { movesIn } from '../../document/pending';
import { OpeningFigures } from './OpeningFigures';
import { Methods, Plan } from './Plan';
import { WallFigures } from './WallFigures';

/** Which walls, floors, braces and layers make it? */
export function ShellStage() {
  const { state, derived, save, gather, units, unseen } = useBuilding();
  const [search, setSearch] = useSearchParams();
  const asked = search.get('wall');
  const part = search.get('part');
  const [chosen, setChosen] = useState<string | null>(null);
  if (derived === null) {
    return (
      <Empty title="Nothing to draw yet">
        <p>Put the figures right under Prototype, and the walls stand here.</p>
      </Empty>
    );
  }
  const walls = derived.view.walls;
  const view = asked ?? walls[0]?.key ?? 'plan';
  const wall = walls.find((one) => one.key === view || one.edge === view);
  const opening = wall?.openings.find((one) => one.key === chosen) ?? null;
  const choose = (next: string) => {
    setSearch({ wall: next }, { replace: true });
    setChosen(null);
  };
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        <div className="d-flex flex-wrap justify-content-between gap-2">
          <h2>{wall?.title ?? 'Plan, cut through the walls'}</h2>
          <WallChooser view={derived.view} chosen={wall?.key ?? 'plan'} onChoose={choose} also={['plan']} />
        </div>
        {wall === undefined ? (
          <Plan onChoose={choose} />
        ) : (
          <>
            <OpeningTools wall={wall} opening={opening} onChosen={setChosen} />
            <Elevation
              wall={wall}
              rule={derived.view.rule}
              units={units}
              building={state.id}
              revision={state.derived_from ?? 0}
              chosen={chosen}
              onChoose={setChosen}
              moved={movesIn(unseen, wall.key)}
              onMove={(moved, bricks, courses) =>
                gather([{ op: 'move-opening', wall: wall.key, id: moved.id, bricks, courses }])
              }
              onRemove={(gone) => {
                save([{ op: 'remove-opening', wall: wall.key, id: gone.id }]);
                setChosen(null);
              }}
            />
          </>
        )}
      </section>
      <aside className="sheet" aria-label="Figures">
        {wall === undefined ? (
          <Methods />
        ) : opening === null ? (
          <WallFigures wall={wall} part={part} />
        ) : (
          <OpeningFigures key={opening.path} wall={wall} opening={opening} />
        )}
      </aside>
    </>
  );
}

function OpeningTools({
  wall,
  opening,
  onChosen,
}: {
  wall: Wall;
  opening: Opening | null;
  onChosen: (key: string | null) => void;
}) {
  const { state, save } = useBuilding();
  const styles = Object.keys((state.document.styles ?? {}) as object);
  const edge = wall.key;
  return (
    <div className="tools mb-2" role="toolbar" aria-label="Openings">
      {(styles.length === 0 ? ['window'] : styles).map((style) => (
        <Button
          key={style}
          variant="outline-primary"
          onClick={() => save([{ op: 'add-opening', wall: edge, ...(styles.length === 0 ? {} : { style }) }])}
        >
          Add {style}
        </Button>
      ))}
      {opening !== null && (
        <>
          <Button
            variant="outline-secondary"
            onClick={() => save([{ op: 'copy-opening', wall: edge, id: opening.id }])}
          >
            Copy {opening.id}
          </Button>
          <Button
            variant="outline-secondary"
            onClick={() => save([{ op: 'repeat-opening', wall: edge, id: opening.id, count: opening.count + 1 }])}
          >
            One more in the row
          </Button>
          {opening.count > 1 && (
            <Button
              variant="outline-secondary"
              onClick={() => save([{ op: 'repeat-opening', wall: edge, id: opening.id, count: opening.count - 1 }])}
            >
              One fewer
            </Button>
          )}
          <Button
            variant="outline-secondary"
            onClick={() => {
              save([{ op: 'remove-opening', wall: edge, id: opening.id }]);
              onChosen(null);
            }}
          >
            Remove {opening.id}
          </Button>
        </>
      )}
    </div>
  );
}
