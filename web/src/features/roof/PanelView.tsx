import { Canvas } from '../../drawing/Canvas';
import { Words } from '../../drawing/Dimension';
import { boundsOf, pathOf } from '../../drawing/geometry';
import type { RoofPanel } from '../../api/types';
import { SelectField } from '../../ui/SelectField';
import { useBuilding } from '../../document/context';

interface Props {
  panels: RoofPanel[];
  panel: RoofPanel;
  onChoose: (part: string) => void;
}

/** One panel as it is cut, with the length of each side and the angle at each corner. */
export function PanelView({ panels, panel, onChoose }: Props) {
  const { derived, units } = useBuilding();
  if (derived === null) return null;
  const bounds = boundsOf([panel.outline]);
  const room = Math.max(bounds.x1 - bounds.x0, bounds.y1 - bounds.y0) * 0.1;
  return (
    <>
      <SelectField
        label="panel"
        value={panel.part}
        choices={panels.map((one) => [one.part, `${one.block}: ${one.name}`] as const)}
        onChange={onChoose}
      />
      <Canvas
        bounds={bounds}
        room={[room, room, room]}
        above={26}
        rule={derived.view.rule}
        units={units}
        title={`${panel.name} in true shape, ${panel.edges.length} sides`}
      >
        {({ perPx }) => (
          <>
            <path
              d={[panel.outline, ...panel.holes].map((ring) => pathOf(ring)).join('')}
              fillRule="evenodd"
              fill="var(--panel)"
              stroke="var(--ink)"
              strokeWidth={1.5 * perPx}
            />
            {panel.outline.map((point, i) => {
              const next = panel.outline[(i + 1) % panel.outline.length] ?? point;
              const side = panel.edges[i];
              const [dx, dy] = [next[0] - point[0], next[1] - point[1]];
              const length = Math.hypot(dx, dy) || 1;
              return side === undefined || length / perPx < 46 ? null : (
                <Words
                  key={i}
                  x={(point[0] + next[0]) / 2 - (dy / length) * 26 * perPx}
                  y={(point[1] + next[1]) / 2 + (dx / length) * 14 * perPx - 4 * perPx}
                  perPx={perPx}
                >
                  {side.length.model_mm.toFixed(2)}
                </Words>
              );
            })}
          </>
        )}
      </Canvas>
      <table className="table table-sm">
        <thead>
          <tr>
            <th>side</th>
            <th className="text-end">model</th>
            <th className="text-end">real</th>
            <th className="text-end">angle where it begins</th>
          </tr>
        </thead>
        <tbody>
          {panel.edges.map((edge, i) => (
            <tr key={i}>
              <td>{edge.name}</td>
              <td className="text-end">{edge.length.model}</td>
              <td className="text-end">{edge.length[units]}</td>
              <td className="text-end">{edge.angle}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
