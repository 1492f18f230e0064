import type { SightDrawing as Picture } from '../../api/types';
import { Canvas } from '../../drawing/Canvas';
import { Words } from '../../drawing/Dimension';
import { boundsOf, pathOf } from '../../drawing/geometry';
import { useBuilding } from '../../document/context';

const FILLS: Record<string, string> = {
  board: 'var(--plain)',
  neighbour: 'var(--solid)',
  wall: 'var(--ground)',
  roof: 'var(--seen-wall)',
};

/** What a closer look holds. */
const NEAR = new Set(['board', 'neighbour', 'wall', 'roof', 'ghost']);

/** Lines of sight in plan or in section; those of the chosen sentence are drawn strong and say what they are. */
export function SightPicture({
  picture,
  chosen,
  title,
  named,
  near = false,
}: {
  picture: Picture;
  chosen: string | null;
  title: string;
  /** Whether every line says what it is, not only the chosen ones. */
  named: boolean;
  /** Only the building and what is round it, the eye left outside. */
  near?: boolean;
}) {
  const { derived, units } = useBuilding();
  if (derived === null) return null;
  // Lines that meet far behind are only begun.
  const bounds = boundsOf([
    ...picture.shapes.filter((shape) => !near || NEAR.has(shape.kind)).map((shape) => shape.ring),
    ...(near
      ? []
      : [
          ...picture.lines.filter((line) => line.key !== 'vanish').map((line) => [line.from, line.to]),
          picture.eyes.map((eye) => eye.at),
        ]),
  ]);
  const room = Math.max(bounds.x1 - bounds.x0, bounds.y1 - bounds.y0) * 0.04;
  return (
    <Canvas
      bounds={bounds}
      room={[room, near ? room : room * 2.2, room]}
      low
      above={22}
      rule={derived.view.rule}
      units={units}
      title={title}
    >
      {({ perPx, free }) => (
        <>
          {picture.shapes.map((shape, i) => (
            <path
              key={i}
              d={pathOf(shape.ring, shape.ring.length > 2)}
              fill={FILLS[shape.kind] ?? 'none'}
              stroke={shape.kind === 'backscene' ? 'var(--slate)' : 'var(--ink)'}
              strokeWidth={(shape.kind === 'backscene' ? 4 : 0.8) * perPx}
              strokeDasharray={shape.kind === 'ghost' ? `${3 * perPx} ${3 * perPx}` : undefined}
            />
          ))}
          {picture.lines.map((line, i) => {
            const isChosen = line.key === chosen;
            return (
              <g key={i} data-line={line.key}>
                <path
                  d={pathOf([line.from, line.to], false)}
                  fill="none"
                  stroke={isChosen ? 'var(--brick)' : 'var(--slate)'}
                  strokeWidth={(isChosen ? 2.6 : 1.1) * perPx}
                  strokeDasharray={line.limit ? `${7 * perPx} ${4 * perPx}` : undefined}
                />
                {line.text !== '' && (named || isChosen) && (
                  <Label line={line} bounds={bounds} perPx={perPx} strong={isChosen} room={free} />
                )}
              </g>
            );
          })}
          {picture.eyes.map((eye, i) => (
            <g key={i}>
              <circle cx={eye.at[0]} cy={eye.at[1]} r={4 * perPx} fill="var(--ink)" />
              <Words x={eye.at[0]} y={eye.at[1] - 17 * perPx} perPx={perPx} size={11.5}>
                {eye.text}
              </Words>
            </g>
          ))}
        </>
      )}
    </Canvas>
  );
}

/** Beside the end of a line that lies within the drawing, kept inside it. */
function Label({
  line,
  bounds,
  perPx,
  strong,
  room,
}: {
  line: Picture['lines'][number];
  bounds: { x0: number; x1: number };
  perPx: number;
  strong: boolean;
  /** Free to the right of the drawing's bounds. */
  room: number;
}) {
  const isIn = line.to[0] >= bounds.x0 && line.to[0] <= bounds.x1;
  const [x, y] = isIn ? line.to : line.from;
  const half = line.text.length * 3.1 * perPx;
  // Beyond the end, where the line does not run through it, as long as there is room.
  const beyond = isIn && line.to[0] > line.from[0] && room > 2 * half ? x + half + 8 * perPx : null;
  return (
    <Words
      x={beyond ?? Math.min(bounds.x1 - half, Math.max(bounds.x0 + half, x))}
      y={beyond === null ? y + 7 * perPx : y - 4 * perPx}
      perPx={perPx}
      size={11.5}
      strong={strong}
    >
      {line.text}
    </Words>
  );
}
