import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import ButtonGroup from 'react-bootstrap/ButtonGroup';
import Dropdown from 'react-bootstrap/Dropdown';
import type { Edit, Thing, Wall } from '../../api/types';
import { Centred } from '../../document/Centred';
import { useBuilding } from '../../document/context';
import { Fields } from '../../document/form/Fields';
import { useKindsAt } from '../../document/things';
import { ChecksAt } from '../../document/ChecksAt';

interface Props {
  wall: Wall;
  walls: readonly Wall[];
  thing: Thing;
  /** Another thing comes of it, which is then looked at. */
  onAdd: (edits: Edit[]) => void;
  onRemoved: () => void;
}

/** Figures of the chosen thing, and what is done with it as a whole. */
export function ThingFigures({ wall, walls, thing, onAdd, onRemoved }: Props) {
  const { save } = useBuilding();
  const kinds = useKindsAt('things', [thing.anchor]);
  const kind = kinds.find((one) => one.kind === thing.kind);
  const of = { block: wall.block, id: thing.id };
  const isAtOnePlace = kind?.is_at_one_place === true;
  return (
    <>
      <h2>{thing.called.charAt(0).toUpperCase() + thing.called.slice(1)}</h2>
      <p className="quiet">{kind?.says ?? `${wall.edge} wall`}</p>
      {thing.rings.length === 0 && !thing.clashes && (
        <div className="remark">Nothing of it can be seen on this wall now.</div>
      )}
      <ChecksAt at={[`${wall.key}.${thing.id}`, `${wall.block}.${thing.id}`]} />
      {thing.anchor === 'openings' && <Over wall={wall} thing={thing} />}
      {isAtOnePlace && <Centred path={thing.path} block={wall.block} edge={wall.edge} />}
      <Fields fields={kind?.fields ?? []} path={thing.path} names={{}} />
      <div className="tools my-2" role="toolbar" aria-label={thing.called}>
        <Dropdown as={ButtonGroup}>
          <Button
            size="sm"
            variant="outline-secondary"
            disabled={thing.anchor === 'openings'}
            onClick={() => onAdd([{ op: 'copy-thing', ...of }])}
          >
            Copy it
          </Button>
          <Dropdown.Toggle split size="sm" variant="outline-secondary" aria-label="Copy it to another wall" />
          <Dropdown.Menu>
            {thing.anchor === 'wall' && (
              <Dropdown.Item
                onClick={() =>
                  save(
                    walls
                      .filter((one) => one.block === wall.block && one.key !== wall.key)
                      .map((one) => ({ op: 'copy-thing', ...of, to: one.key })),
                  )
                }
              >
                all round, to every other wall of the block
              </Dropdown.Item>
            )}
            {walls
              .filter((one) => one.key !== wall.key)
              .flatMap((one) => [
                <Dropdown.Item key={one.key} onClick={() => save([{ op: 'copy-thing', ...of, to: one.key }])}>
                  to {shortOf(one)}
                </Dropdown.Item>,
                ...(thing.anchor === 'wall'
                  ? [
                      <Dropdown.Item
                        key={`${one.key} mirrored`}
                        onClick={() => save([{ op: 'copy-thing', ...of, to: one.key, mirrored: true }])}
                      >
                        to {shortOf(one)}, mirrored
                      </Dropdown.Item>,
                    ]
                  : []),
              ])}
          </Dropdown.Menu>
        </Dropdown>
        <Button
          size="sm"
          variant="outline-secondary"
          onClick={() => {
            save([{ op: 'remove-thing', ...of }]);
            onRemoved();
          }}
        >
          Remove it
        </Button>
      </div>
      {thing.anchor === 'wall' && (
        <Repeat
          title={isAtOnePlace ? 'Repeat it along the wall' : 'Repeat it up the wall'}
          usual={isAtOnePlace ? '12ft' : '3ft'}
          onRepeat={(count, every) => save([{ op: 'repeat-thing', ...of, count, every }])}
        />
      )}
      {thing.anchor === 'wall' && (
        <p className="mt-3 mb-0">
          <span className="key">↑</span> <span className="key">↓</span> {wall.shows_courses ? 'a course' : '3in'}{' '}
          <span className="key">←</span> <span className="key">→</span> {wall.shows_courses ? 'a brick' : '3in'}
          {isAtOnePlace ? '' : ', where it does not go from end to end'} <span className="key">Shift</span>{' '}
          {wall.shows_courses ? 'a quarter' : '1in'} <span className="key">Del</span> remove
        </p>
      )}
    </>
  );
}

/** Which openings of the wall it goes over: two at the least. */
function Over({ wall, thing }: { wall: Wall; thing: Thing }) {
  const { save } = useBuilding();
  const all = [...wall.openings].sort((a, b) => a.left.model_mm - b.left.model_mm);
  return (
    <fieldset>
      <legend className="fs-6">over the</legend>
      {all.map((opening) => {
        const isOver = thing.openings.includes(opening.key);
        return (
          <label key={opening.key} className="d-block">
            <input
              type="checkbox"
              checked={isOver}
              disabled={isOver && thing.openings.length <= 2}
              onChange={() =>
                save([
                  {
                    op: 'set',
                    path: `${thing.path}.on.openings`,
                    value: all
                      .map(({ key }) => key)
                      .filter((key) => thing.openings.includes(key) !== (key === opening.key)),
                  },
                ])
              }
            />{' '}
            {opening.called}
          </label>
        );
      })}
    </fieldset>
  );
}

/** So many of it, one over the other or one beside the other. */
function Repeat({
  title,
  usual,
  onRepeat,
}: {
  title: string;
  usual: string;
  onRepeat: (count: number, every: string) => void;
}) {
  const [count, setCount] = useState('2');
  const [every, setEvery] = useState(usual);
  const isSound = /^[1-9]\d?$/.test(count) && Number(count) >= 2 && every.trim() !== '';
  return (
    <details>
      <summary>{title}</summary>
      <form
        className="d-flex flex-wrap gap-2 align-items-end"
        onSubmit={(event) => {
          event.preventDefault();
          if (isSound) onRepeat(Number(count), every);
        }}
      >
        <label>
          in all
          <input
            className="form-control form-control-sm"
            size={3}
            inputMode="numeric"
            value={count}
            onChange={(event) => setCount(event.target.value)}
          />
        </label>
        <label>
          every
          <input
            className="form-control form-control-sm"
            size={8}
            value={every}
            onChange={(event) => setEvery(event.target.value)}
          />
        </label>
        <Button type="submit" size="sm" variant="outline-secondary" disabled={!isSound}>
          Repeat
        </Button>
      </form>
    </details>
  );
}

function shortOf(wall: Wall): string {
  return wall.title.replace(/, from outside$/, '').toLowerCase();
}
