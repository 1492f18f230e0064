import type { KeyboardEvent } from 'react';
import { pagedTo } from '../../drawing/arrows';
import { Canvas } from '../../drawing/Canvas';
import { boundsOf, pathOf } from '../../drawing/geometry';
import { useBuilding } from '../../document/context';

interface Props {
  edge: string | null;
  line: number | null;
  onEdge: (key: string) => void;
  onLine: (at: number) => void;
}

/** Ridges and hips are folds over, valleys folds under: never by colour alone. */
const DASH: Record<string, readonly number[]> = { valley: [2, 3], verge: [8, 3], break: [10, 3, 2, 3] };

/** All roofs from above: every line, and the edges of the blocks under them. */
export function RoofPlan({ edge, line, onEdge, onLine }: Props) {
  const { drawn, units } = useBuilding();
  if (drawn === null) return null;
  const { plan, roof, rule } = drawn;
  const bounds = boundsOf([
    ...plan.blocks.map((block) => block.ring),
    ...roof.lines.map((line) => [line.from, line.to]),
  ]);
  const room = Math.max(bounds.x1 - bounds.x0, bounds.y1 - bounds.y0) * 0.05;
  const edges = plan.blocks.flatMap((block) => block.edges);

  function onKeyDown(event: KeyboardEvent<SVGSVGElement>) {
    const next = pagedTo(event, edges, (one) => one.key === edge);
    if (next === undefined) return;
    onEdge(next.key);
    event.preventDefault();
  }

  return (
    <Canvas
      bounds={bounds}
      room={[room, room, room]}
      above={16}
      rule={rule}
      units={units}
      title={`Roof plan: ${roof.panels.length} panels, ${roof.lines.length} lines. Page keys go from edge to edge.`}
      focusable
      onKeyDown={onKeyDown}
    >
      {({ perPx }) => (
        <>
          {roof.panels.map((panel) => (
            <path key={panel.part} d={pathOf(panel.plan)} fill="var(--roof)" stroke="none" />
          ))}
          {roof.lines.map((one, i) => (
            <path
              key={i}
              className="opening"
              data-line={one.kind}
              d={pathOf([one.from, one.to], false)}
              stroke={i === line ? 'var(--brick)' : 'var(--ink)'}
              strokeWidth={(i === line ? 3.5 : one.kind === 'ridge' || one.kind === 'hip' ? 2 : 1.2) * perPx}
              strokeDasharray={DASH[one.kind]?.map((part) => part * perPx).join(' ')}
              onClick={() => onLine(i)}
            />
          ))}
          {edges.map((one) => (
            <g key={one.key} className="opening" data-edge={one.key} onClick={() => onEdge(one.key)}>
              <path d={pathOf([one.from, one.to], false)} stroke="transparent" strokeWidth={14 * perPx} />
              <path
                d={pathOf([one.from, one.to], false)}
                stroke={one.clashes ? 'var(--signal)' : one.key === edge ? 'var(--brick)' : 'var(--slate)'}
                strokeWidth={(one.key === edge ? 5 : 2.5) * perPx}
                strokeDasharray={one.roof === 'gable' ? undefined : `${5 * perPx} ${3 * perPx}`}
              />
            </g>
          ))}
        </>
      )}
    </Canvas>
  );
}
