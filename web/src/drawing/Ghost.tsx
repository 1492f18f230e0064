import type { PartChange } from '../api/types';
import { boundsOf, pathOf } from './geometry';

/** A part as it was, dashed in ochre, under the part as it is. */
export function Ghost({ change, width = 180 }: { change: PartChange; width?: number }) {
  const rings = [...(change.before ?? []), ...(change.after ?? [])];
  if (rings.length === 0) return null;
  const bounds = boundsOf(rings);
  const [w, h] = [bounds.x1 - bounds.x0, bounds.y1 - bounds.y0];
  const perPx = Math.max(w, h) / width;
  const room = 4 * perPx;
  return (
    <svg
      className="ghost"
      width={w / perPx + 8}
      height={h / perPx + 8}
      viewBox={`${bounds.x0 - room} ${-(bounds.y1 + room)} ${w + 2 * room} ${h + 2 * room}`}
      role="img"
      aria-label={`${change.label} ${change.name}: ${change.text}`}
    >
      <g transform="scale(1 -1)" fill="none">
        {change.before?.map((ring, i) => (
          <path
            key={`b${i}`}
            d={pathOf(ring)}
            stroke="var(--ochre)"
            strokeWidth={2.5 * perPx}
            strokeDasharray={`${5 * perPx} ${3 * perPx}`}
          />
        ))}
        {change.after?.map((ring, i) => (
          <path key={`a${i}`} d={pathOf(ring)} stroke="var(--ink)" strokeWidth={1.2 * perPx} />
        ))}
      </g>
    </svg>
  );
}

const KINDS = {
  cut: 'cut differs',
  print: 'print differs',
  both: 'cut and print differ',
  added: 'new',
  gone: 'gone',
} as const;

/** What became of parts, each with its figures and its ghost. */
export function GhostList({ changes }: { changes: readonly PartChange[] }) {
  return (
    <ul className="ghosts">
      {changes.map((change) => (
        <li key={change.id}>
          <div>
            <strong>{change.label}</strong> {change.name}
            <br />
            <span className="level level-warn">{KINDS[change.kind]}</span>
            {change.kind === 'added' || change.kind === 'gone' ? '' : `: ${change.text}`}
          </div>
          <Ghost change={change} />
        </li>
      ))}
    </ul>
  );
}
