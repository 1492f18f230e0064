import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import type { PlanBlock, Point, View } from '../../api/types';
import { arrowOf, pagedTo } from '../../drawing/arrows';
import { Canvas } from '../../drawing/Canvas';
import { Words } from '../../drawing/Dimension';
import { boundsOf, pathOf } from '../../drawing/geometry';
import { useBuilding } from '../../document/context';

interface Props {
  chosen: string;
  onChoose: (id: string) => void;
  /** Moved by so many steps of 3in to the right and to the back. */
  onMove: (id: string, x: number, y: number, snap: boolean) => void;
}

interface Drag {
  id: string;
  x: number;
  y: number;
  byX: number;
  byY: number;
  perPx: number;
}

/** 3in of the prototype: a quarter of the foot that the rule shows. */
const steps = (px: number, perPx: number, foot: number) => Math.round(((px * perPx) / foot) * 4);

/** Blocks in plan, to scale: chosen, dragged, and moved by the arrow keys. */
export function PlanEditor({ chosen, onChoose, onMove }: Props) {
  const { drawn, units } = useBuilding();
  const [drag, setDrag] = useState<Drag | null>(null);
  if (drawn === null) return null;
  const { plan, roof, rule } = drawn;
  const bounds = boundsOf([
    ...plan.blocks.map((block) => block.ring),
    ...roof.lines.map((line) => [line.from, line.to]),
    ...roof.things.flatMap((thing) => thing.rings),
  ]);
  const room = Math.max(bounds.x1 - bounds.x0, bounds.y1 - bounds.y0) * 0.06;

  function onKeyDown(event: KeyboardEvent<SVGSVGElement>) {
    const move = arrowOf(event, 1, 4);
    const next = pagedTo(event, plan.blocks, (block) => block.id === chosen);
    if (move !== null) onMove(chosen, move[0], move[1], false);
    else if (next !== undefined) onChoose(next.id);
    else return;
    event.preventDefault();
  }

  function drop() {
    if (drag === null) return;
    const [x, y] = [steps(drag.byX, drag.perPx, rule.foot_mm), steps(drag.byY, drag.perPx, rule.foot_mm)];
    if (x !== 0 || y !== 0) onMove(drag.id, x, y, true);
    setDrag(null);
  }

  return (
    <Canvas
      bounds={bounds}
      room={[room, room, room]}
      above={24}
      rule={rule}
      units={units}
      title={`Plan of ${plan.blocks.length === 1 ? 'one block' : `${plan.blocks.length} blocks`}. Arrow keys move the chosen one by 3in, with Shift by a foot; page keys choose another.`}
      focusable
      onKeyDown={onKeyDown}
      onPointerMove={(_mm, event) =>
        drag !== null && setDrag({ ...drag, byX: event.clientX - drag.x, byY: drag.y - event.clientY })
      }
      onPointerUp={drop}
    >
      {({ perPx }) => (
        <>
          {plan.blocks.map((block) => {
            const isChosen = block.id === chosen;
            const pulled =
              drag?.id === block.id
                ? [steps(drag.byX, drag.perPx, rule.foot_mm), steps(drag.byY, drag.perPx, rule.foot_mm)]
                : [0, 0];
            return (
              <g
                key={block.id}
                className="opening"
                data-block={block.id}
                transform={`translate(${((pulled[0] ?? 0) * rule.foot_mm) / 4} ${((pulled[1] ?? 0) * rule.foot_mm) / 4})`}
                onPointerDown={(event: PointerEvent<SVGGElement>) => {
                  onChoose(block.id);
                  setDrag({ id: block.id, x: event.clientX, y: event.clientY, byX: 0, byY: 0, perPx });
                }}
              >
                <path
                  d={pathOf(block.ring)}
                  fill={block.clashes ? 'var(--clash-wash)' : isChosen ? 'var(--chosen)' : 'var(--block)'}
                  stroke={block.clashes ? 'var(--signal)' : isChosen ? 'var(--brick)' : 'var(--ink)'}
                  strokeWidth={(isChosen ? 2.5 : 1.5) * perPx}
                />
                <BlockWords block={block} perPx={perPx} />
              </g>
            );
          })}
          <g pointerEvents="none">
            <RoofOver roof={roof} perPx={perPx} />
            {plan.blocks
              .filter((block) => block.id === chosen)
              .flatMap((block) => block.edges)
              .map((edge) => (
                <EdgeWords key={edge.key} from={edge.from} to={edge.to} perPx={perPx} text={edge.length[units]} />
              ))}
            {plan.gaps.map((gap, i) => (
              <g key={i}>
                <path
                  d={pathOf([gap.from, gap.to], false)}
                  stroke="var(--brick)"
                  strokeWidth={perPx}
                  strokeDasharray={`${3 * perPx} ${2 * perPx}`}
                />
                <EdgeWords from={gap.from} to={gap.to} perPx={perPx} text={gap.size[units]} />
              </g>
            ))}
          </g>
        </>
      )}
    </Canvas>
  );
}

/** Lines of the roofs, and what stands on them. */
function RoofOver({ roof, perPx }: { roof: View['roof']; perPx: number }) {
  return (
    <>
      {roof.lines.map((line, i) => (
        <path
          key={i}
          d={pathOf([line.from, line.to], false)}
          fill="none"
          stroke="var(--slate)"
          strokeWidth={perPx}
          strokeDasharray={line.kind === 'eaves' || line.kind === 'verge' ? `${6 * perPx} ${4 * perPx}` : undefined}
          opacity={0.7}
        />
      ))}
      {roof.things.flatMap((thing) =>
        thing.rings.map((ring, i) => (
          <path
            key={`${thing.path} ${i}`}
            d={pathOf(ring)}
            fill="var(--sheet)"
            stroke="var(--slate)"
            strokeWidth={1.5 * perPx}
          />
        )),
      )}
    </>
  );
}

function BlockWords({ block, perPx }: { block: PlanBlock; perPx: number }) {
  const box = boundsOf([block.ring]);
  return (
    <Words x={(box.x0 + box.x1) / 2} y={box.y0 + (box.y1 - box.y0) * 0.7} perPx={perPx} strong>
      {block.name}
    </Words>
  );
}

/** A figure inside an edge, off its middle. */
function EdgeWords({ from, to, perPx, text }: { from: Point; to: Point; perPx: number; text: string }) {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy) || 1;
  if (length / perPx < 26) return null;
  return (
    <Words
      x={(from[0] + to[0]) / 2 - (dy / length) * 14 * perPx - 0.001}
      y={(from[1] + to[1]) / 2 + (dx / length) * 12 * perPx - 4 * perPx}
      perPx={perPx}
    >
      {text}
    </Words>
  );
}
