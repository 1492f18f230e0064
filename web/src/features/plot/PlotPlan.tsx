import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import type { Clearance, PlotView, Point } from '../../api/types';
import { arrowOf } from '../../drawing/arrows';
import { Canvas } from '../../drawing/Canvas';
import { Words } from '../../drawing/Dimension';
import { type Bounds, boundsOf, pathOf } from '../../drawing/geometry';
import { useBuilding } from '../../document/context';

interface Props {
  plot: PlotView;
  chosen: string | null;
  /** By so many millimetres to the right and to the back. */
  onMove: (x: number, y: number) => void;
  onChoose: (key: string | null) => void;
}

/** A pull at the building: how far, in pixels, at so many millimetres a pixel. */
interface Drag {
  x: number;
  y: number;
  byX: number;
  byY: number;
  perPx: number;
}

/** Pulled to a tenth of a millimetre. */
const tenths = (px: number, perPx: number) => Math.round(px * perPx * 10) / 10;

/** A road is followed so far beside what is drawn, millimetres. */
const BESIDE_MM = 60;

function beside(point: Point, near: Bounds): Point {
  return [
    Math.min(near.x1 + BESIDE_MM, Math.max(near.x0 - BESIDE_MM, point[0])),
    Math.min(near.y1, Math.max(near.y0, point[1])),
  ];
}

/** The plot in plan with the finished building on it; arrow keys move the building by a millimetre. */
export function PlotPlan({ plot, chosen, onMove, onChoose }: Props) {
  const { drawn, units } = useBuilding();
  const [drag, setDrag] = useState<Drag | null>(null);
  if (drawn === null) return null;
  const near = boundsOf([
    plot.outline,
    ...plot.roofs,
    ...plot.walls,
    ...plot.neighbours.map((one) => one.ring),
    ...plot.tracks.map((one) => one.middle),
  ]);
  // Roads run on for ever: what of them is beside the rest is shown.
  const bounds = boundsOf([
    [
      [near.x0, near.y0],
      [near.x1, near.y1],
    ],
    ...plot.roads.flatMap((one) => one.rings).map((ring) => ring.map((point) => beside(point, near))),
  ]);
  const room = Math.max(bounds.x1 - bounds.x0, bounds.y1 - bounds.y0) * 0.05;

  function onKeyDown(event: KeyboardEvent<SVGSVGElement>) {
    const move = arrowOf(event, 1, 0.1);
    if (move === null) return;
    onMove(move[0], move[1]);
    event.preventDefault();
  }

  function drop() {
    if (drag === null) return;
    const [x, y] = [tenths(drag.byX, drag.perPx), tenths(drag.byY, drag.perPx)];
    if (x !== 0 || y !== 0) onMove(x, y);
    setDrag(null);
  }

  return (
    <Canvas
      bounds={bounds}
      room={[room, room * 1.6, room]}
      above={24}
      rule={drawn.rule}
      units={units}
      title="The plot in plan. Arrow keys move the building by a millimetre, with Shift by a tenth; it can be dragged."
      onPointerMove={(_mm, event) =>
        drag !== null && setDrag({ ...drag, byX: event.clientX - drag.x, byY: drag.y - event.clientY })
      }
      onPointerUp={drop}
      focusable
      onKeyDown={onKeyDown}
    >
      {({ perPx }) => (
        <>
          <path d={pathOf(plot.outline)} fill="var(--plain)" stroke="none" />
          <Ways plot={plot} perPx={perPx} />
          <Round plot={plot} perPx={perPx} />
          <g
            className="opening"
            data-drag="building"
            transform={drag === null ? undefined : `translate(${drag.byX * perPx} ${drag.byY * perPx})`}
            onPointerDown={(event: PointerEvent<SVGGElement>) =>
              setDrag({ x: event.clientX, y: event.clientY, byX: 0, byY: 0, perPx })
            }
          >
            <Finished plot={plot} perPx={perPx} />
          </g>
          <InTheWay plot={plot} perPx={perPx} />
          {plot.clearances.map((one, i) => (
            <Left key={i} clearance={one} chosen={chosen} onChoose={onChoose} perPx={perPx} />
          ))}
        </>
      )}
    </Canvas>
  );
}

/** Roads and tracks. */
function Ways({ plot, perPx }: { plot: PlotView; perPx: number }) {
  return (
    <>
      {plot.roads.map((road) => (
        <g key={road.id}>
          {road.rings.map((ring, i) => (
            <path key={i} d={pathOf(ring)} fill="var(--road)" stroke="none" />
          ))}
          <Name ring={road.rings[0] ?? []} perPx={perPx}>
            {road.name}
          </Name>
        </g>
      ))}
      {plot.tracks.map((track) => (
        <g key={track.id} data-track={track.id}>
          {[...track.left, ...track.right].map((line, i) => (
            <path
              key={i}
              d={pathOf(line, false)}
              fill="none"
              stroke="var(--slate)"
              strokeWidth={perPx}
              strokeDasharray={`${6 * perPx} ${4 * perPx}`}
            />
          ))}
          <path d={pathOf(track.middle, false)} fill="none" stroke="var(--ink)" strokeWidth={3 * perPx} />
          <Name ring={track.middle} perPx={perPx} below>
            {track.name}
          </Name>
        </g>
      ))}
    </>
  );
}

/** Neighbours, and the sides of the plot. */
function Round({ plot, perPx }: { plot: PlotView; perPx: number }) {
  return (
    <>
      {plot.neighbours.map((one) => (
        <g key={one.id}>
          <path d={pathOf(one.ring)} fill="var(--solid)" stroke="var(--slate)" strokeWidth={perPx} />
          <Name ring={one.ring} perPx={perPx}>
            {one.name}
          </Name>
        </g>
      ))}
      {plot.edges.map((edge) => (
        <g key={edge.name}>
          <path
            d={pathOf(edge.line, false)}
            stroke={edge.backscene ? 'var(--slate)' : 'var(--ink)'}
            strokeWidth={(edge.backscene ? 5 : 1.5) * perPx}
          />
          {edge.backscene && (
            <Words x={edge.middle[0]} y={edge.middle[1] + 8 * perPx} perPx={perPx}>
              backscene
            </Words>
          )}
        </g>
      ))}
    </>
  );
}

/** The finished building: its walls, and its roofs over them. */
function Finished({ plot, perPx }: { plot: PlotView; perPx: number }) {
  return (
    <>
      {plot.walls.map((ring, i) => (
        <path key={i} d={pathOf(ring)} fill="var(--ground)" stroke="var(--ink)" strokeWidth={perPx * 0.8} />
      ))}
      {plot.roofs.map((ring, i) => (
        <path
          key={i}
          d={pathOf(ring)}
          fill="var(--chosen)"
          stroke="var(--track)"
          strokeWidth={perPx * 0.8}
          opacity={0.8}
        />
      ))}
    </>
  );
}

/** Rods, wires, lamps and the like. */
function InTheWay({ plot, perPx }: { plot: PlotView; perPx: number }) {
  return (
    <>
      {plot.obstacles.map((one) => (
        <g key={one.id}>
          {one.rings.map((ring, i) => (
            <path key={i} d={pathOf(ring)} fill="var(--ochre)" stroke="var(--ochre-text)" strokeWidth={perPx} />
          ))}
          <Name ring={one.rings[0] ?? []} perPx={perPx} below>
            {one.name}
          </Name>
        </g>
      ))}
    </>
  );
}

/** What is left between the building and one thing: a line with its millimetres. */
function Left({
  clearance: one,
  chosen,
  onChoose,
  perPx,
}: {
  clearance: Clearance;
  chosen: string | null;
  onChoose: (key: string | null) => void;
  perPx: number;
}) {
  if (one.line === null) return null;
  const [from, to] = one.line;
  const key = `${one.kind} ${one.with}`;
  const colour = one.fits ? 'var(--moss)' : 'var(--signal)';
  return (
    <g className="opening" onClick={() => onChoose(chosen === key ? null : key)}>
      <path d={pathOf([from, to], false)} stroke={colour} strokeWidth={(chosen === key ? 3.5 : 1.5) * perPx} />
      <Words
        x={(from[0] + to[0]) / 2 + (Math.abs(from[0] - to[0]) > Math.abs(from[1] - to[1]) ? 0 : 26 * perPx)}
        y={(from[1] + to[1]) / 2 + (Math.abs(from[0] - to[0]) > Math.abs(from[1] - to[1]) ? 6 * perPx : -4 * perPx)}
        perPx={perPx}
        strong={!one.fits}
      >
        {one.left_mm.toFixed(1)}
      </Words>
    </g>
  );
}

function Name({
  ring,
  perPx,
  children,
  below = false,
}: {
  ring: readonly (readonly [number, number])[];
  perPx: number;
  children: string;
  below?: boolean;
}) {
  if (ring.length === 0) return null;
  const box = boundsOf([ring]);
  return (
    <Words
      x={(box.x0 + box.x1) / 2}
      y={below ? box.y0 - 14 * perPx : (box.y0 + box.y1) / 2 - 4 * perPx}
      perPx={perPx}
      size={11.5}
    >
      {children}
    </Words>
  );
}
