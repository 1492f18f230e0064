import type { Point } from '../api/types';
import { type Bounds, boundsOf, pathOf } from './geometry';

interface Props {
  shapes: readonly { kind: string; ring: Point[] }[];
  /** Drawn dashed over them. */
  ghost?: readonly { ring: Point[] }[];
  fills: Readonly<Record<string, string>>;
  title: string;
  /** What it must hold where several are drawn at one scale. */
  bounds?: Bounds;
  /** Whether the ground is drawn, at no height. */
  ground?: boolean;
}

/** A small picture of shapes that the server worked out, y up. */
export function Shapes({ shapes, ghost = [], fills, title, bounds, ground = false }: Props) {
  const box = bounds ?? boundsOf([...ghost, ...shapes].map((shape) => shape.ring));
  const [wide, high] = [box.x1 - box.x0, box.y1 - box.y0];
  const room = Math.max(wide, high) * 0.04;
  return (
    <svg
      viewBox={`${box.x0 - room} ${-box.y1 - room} ${wide + 2 * room} ${high + 2 * room}`}
      role="img"
      aria-label={title}
    >
      <g transform="scale(1 -1)" strokeLinejoin="round">
        {ground && <path d={`M${box.x0 - room} 0H${box.x1 + room}`} stroke="var(--slate)" strokeWidth={room / 6} />}
        {shapes.map((shape, i) => (
          <path key={i} d={pathOf(shape.ring)} fill={fills[shape.kind]} stroke="var(--ink)" strokeWidth={room / 9} />
        ))}
        {ghost.map((shape, i) => (
          <path
            key={i}
            d={pathOf(shape.ring)}
            fill="none"
            stroke="var(--brick)"
            strokeWidth={room / 9}
            strokeDasharray={`${room / 2} ${room / 3}`}
          />
        ))}
      </g>
    </svg>
  );
}
