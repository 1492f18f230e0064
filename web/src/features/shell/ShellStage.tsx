import Button from 'react-bootstrap/Button';
import { useSearchParams } from 'react-router';
import type { Edit, Opening, Thing, Wall } from '../../api/types';
import { useEffect, useRef } from 'react';
import ButtonGroup from 'react-bootstrap/ButtonGroup';
import Dropdown from 'react-bootstrap/Dropdown';
import { Elevation, isThing, keyOfThing } from '../../drawing/Elevation';
import { WallChooser } from '../../drawing/WallChooser';
import { Empty } from '../../ui/States';
import { textAt, useBuilding } from '../../document/context';
import { movesIn, thingMovesIn } from '../../document/pending';
import { AddThing } from './AddThing';
import { OpeningFigures } from './OpeningFigures';
import { RowFigures } from './RowFigures';
import { ThingFigures } from './ThingFigures';
import { kindsOf } from '../../document/kinds';
import { Methods, Plan } from './Plan';
import { WallFigures } from './WallFigures';
import { SIDES, WholeFigures, WholeSide } from './WholeSide';

/** Which walls, floors, braces and layers make it? */
export function ShellStage() {
  const { drawn, save } = useBuilding();
  const [search, setSearch] = useSearchParams();
  const asked = search.get('wall');
  const part = search.get('part');
  const chosen = search.get('opening');
  const walls = drawn?.walls ?? [];
  const view = asked ?? walls[0]?.key ?? 'plan';
  const side = SIDES.find((one) => `whole ${one}` === view);
  const wall = walls.find((one) => one.key === view || one.edge === view);
  // Of a row any may be meant.
  const opening =
    wall?.openings.find((one) => one.key === chosen) ??
    wall?.openings.find((one) => chosen !== null && one.row === chosen) ??
    null;
  const thing = wall?.things.find((one) => keyOfThing(one.id) === chosen) ?? null;
  const choose = (next: string) => setSearch({ wall: next }, { replace: true });
  const setChosen = (key: string | null) =>
    setSearch({ wall: wall?.key ?? view, ...(key === null ? {} : { opening: key }) }, { replace: true });
  const expect = useFresh(wall, setChosen);
  const add = (edits: Edit[]) => {
    expect();
    save(edits);
  };
  useClipboard(wall, opening, add);
  if (drawn === null) {
    return (
      <Empty title="Nothing to draw yet">
        <p>Put the figures right under Prototype, and the walls stand here.</p>
      </Empty>
    );
  }
  return (
    <>
      <section className="sheet" aria-label="Drawing">
        <div className="d-flex flex-wrap justify-content-between gap-2">
          <h2>{wall?.title ?? (side === undefined ? 'Plan, cut through the walls' : `The whole ${side}`)}</h2>
          <WallChooser
            view={drawn}
            chosen={wall?.key ?? view}
            onChoose={choose}
            also={['plan', side === undefined ? 'whole front' : view]}
          />
        </div>
        {side !== undefined ? (
          <>
            <div className="tools mb-2" role="group" aria-label="Whole sides">
              {SIDES.map((one) => (
                <Button
                  key={one}
                  size="sm"
                  variant={one === side ? 'secondary' : 'outline-secondary'}
                  aria-pressed={one === side}
                  onClick={() => choose(`whole ${one}`)}
                >
                  {one}
                </Button>
              ))}
            </div>
            <WholeSide
              side={side}
              onChoose={(next, opening) =>
                setSearch({ wall: next, ...(opening === null ? {} : { opening }) }, { replace: true })
              }
            />
          </>
        ) : wall === undefined ? (
          <Plan onChoose={choose} />
        ) : (
          <WallDrawing wall={wall} opening={opening} thing={thing} onAdd={add} onChosen={setChosen} />
        )}
      </section>
      <aside className="sheet" aria-label="Figures">
        {side !== undefined ? (
          <WholeFigures side={side} />
        ) : wall === undefined ? (
          <Methods />
        ) : thing !== null ? (
          <ThingFigures
            key={thing.path}
            wall={wall}
            walls={walls}
            thing={thing}
            onAdd={add}
            onRemoved={() => setChosen(null)}
          />
        ) : opening === null ? (
          <WallFigures wall={wall} part={part} />
        ) : opening.row !== null ? (
          <RowFigures key={opening.path} wall={wall} opening={opening} row={opening.row} />
        ) : (
          <OpeningFigures key={opening.path} wall={wall} opening={opening} />
        )}
      </aside>
    </>
  );
}

/** A wall with what is offered for it, on which openings and things are chosen, pulled and moved. */
function WallDrawing({
  wall,
  opening,
  thing,
  onAdd,
  onChosen,
}: {
  wall: Wall;
  opening: Opening | null;
  thing: Thing | null;
  onAdd: (edits: Edit[]) => void;
  onChosen: (key: string | null) => void;
}) {
  const { state, drawn, save, gather, units, unseen } = useBuilding();
  if (drawn === null) return null;
  return (
    <>
      <OpeningTools wall={wall} walls={drawn.walls} opening={opening} onAdd={onAdd} onChosen={onChosen} />
      <Elevation
        wall={wall}
        rule={drawn.rule}
        units={units}
        building={state.id}
        revision={state.derived_from ?? 0}
        chosen={opening?.key ?? (thing === null ? null : keyOfThing(thing.id))}
        onChoose={onChosen}
        moved={{ ...movesIn(unseen, wall.key), ...thingMoves(unseen, wall.block) }}
        onMove={(moved, bricks, courses) =>
          gather([
            isThing(moved)
              ? { op: 'move-thing', block: wall.block, id: moved.id, bricks, courses }
              : { op: 'move-opening', wall: wall.key, id: moved.row ?? moved.id, bricks, courses },
          ])
        }
        onRemove={(gone) => {
          save([
            isThing(gone)
              ? { op: 'remove-thing', block: wall.block, id: gone.id }
              : { op: 'remove-opening', wall: wall.key, id: gone.row ?? gone.id },
          ]);
          onChosen(null);
        }}
      />
    </>
  );
}

/** What is offered for the openings of a wall; a row in bays answers as one. */
function OpeningTools({
  wall,
  walls,
  opening,
  onAdd,
  onChosen,
}: {
  wall: Wall;
  walls: readonly Wall[];
  opening: Opening | null;
  onAdd: (edits: Edit[]) => void;
  onChosen: (key: string | null) => void;
}) {
  const { state, save } = useBuilding();
  const kinds = kindsOf(state.document);
  const edge = wall.key;
  const id = opening?.row ?? opening?.id ?? '';
  const name = opening?.row === null ? `the ${opening.called}` : 'the row';
  const count = opening?.row === null ? opening.count : Number(textAt(state.document, `${opening?.path ?? ''}.count`));
  const repeat = (by: number) => save([{ op: 'repeat-opening', wall: edge, id, count: count + by }]);
  return (
    <div className="tools mb-2" role="toolbar" aria-label="Openings">
      {(kinds.length === 0 ? [['', 'window']] : kinds).map(([style, words]) => (
        <Button
          key={style}
          variant="outline-primary"
          onClick={() => onAdd([{ op: 'add-opening', wall: edge, ...(kinds.length === 0 ? {} : { style }) }])}
        >
          Add {words}
        </Button>
      ))}
      <Button variant="outline-primary" onClick={() => onAdd([{ op: 'add-row', wall: edge }])}>
        Add a row
      </Button>
      <AddThing wall={wall} opening={opening} onAdd={onAdd} />
      {opening !== null && (
        <>
          <Dropdown as={ButtonGroup}>
            <Button variant="outline-secondary" onClick={() => onAdd([{ op: 'copy-opening', wall: edge, id }])}>
              Copy {name}
            </Button>
            <Dropdown.Toggle split variant="outline-secondary" aria-label={`Copy ${name} to another wall`} />
            <Dropdown.Menu>
              {walls
                .filter((one) => one.key !== edge)
                .flatMap((one) => [
                  <Dropdown.Item
                    key={one.key}
                    onClick={() => save([{ op: 'copy-opening', wall: edge, id, to: one.key }])}
                  >
                    to {titleOf(one)}
                  </Dropdown.Item>,
                  <Dropdown.Item
                    key={`${one.key} mirrored`}
                    onClick={() => save([{ op: 'copy-opening', wall: edge, id, to: one.key, mirrored: true }])}
                  >
                    to {titleOf(one)}, mirrored
                  </Dropdown.Item>,
                ])}
            </Dropdown.Menu>
          </Dropdown>
          <Button variant="outline-secondary" onClick={() => repeat(1)}>
            One more in the row
          </Button>
          {count > 1 && (
            <Button variant="outline-secondary" onClick={() => repeat(-1)}>
              One fewer
            </Button>
          )}
          <Button
            variant="outline-secondary"
            onClick={() => {
              save([{ op: 'remove-opening', wall: edge, id }]);
              onChosen(null);
            }}
          >
            Remove {name}
          </Button>
        </>
      )}
    </div>
  );
}

/** “Churn hall, front”; where there is one block, “front”. */
function titleOf(wall: Wall): string {
  const title = wall.title.replace(/, from outside$/, '');
  return title.charAt(0).toLowerCase() === wall.edge.charAt(0) && title.toLowerCase() === wall.edge ? wall.edge : title;
}

/** Chooses what has come to a wall since it was asked for. */
function useFresh(wall: Wall | undefined, choose: (key: string) => void) {
  const known = useRef<ReadonlySet<string> | null>(null);
  useEffect(() => {
    const before = known.current;
    const fresh = before === null ? undefined : keysOf(wall).find((key) => !before.has(key));
    if (fresh !== undefined) {
      known.current = null;
      choose(fresh);
    }
  });
  return () => {
    known.current = new Set(keysOf(wall));
  };
}

/** All that can be chosen on a wall. */
function keysOf(wall: Wall | undefined): string[] {
  return wall === undefined
    ? []
    : [...wall.openings.map((one) => one.key), ...wall.things.map((one) => keyOfThing(one.id))];
}

/** By what is chosen on the drawing. */
function thingMoves(unseen: readonly Edit[], block: string) {
  return Object.fromEntries(Object.entries(thingMovesIn(unseen, block)).map(([id, move]) => [keyOfThing(id), move]));
}

/** Ctrl+C takes the chosen opening or row, Ctrl+V puts it on the wall that is looked at. */
function useClipboard(wall: Wall | undefined, opening: Opening | null, onPaste: (edits: Edit[]) => void) {
  const kept = useRef<{ wall: string; id: string } | null>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || wall === undefined || event.target instanceof HTMLInputElement) return;
      if (event.key === 'c' && opening !== null) kept.current = { wall: wall.key, id: opening.row ?? opening.id };
      if (event.key === 'v' && kept.current !== null) {
        const { wall: from, id } = kept.current;
        onPaste([{ op: 'copy-opening', wall: from, id, ...(from === wall.key ? {} : { to: wall.key }) }]);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
