import { Canvas } from '../../drawing/Canvas';
import { Words } from '../../drawing/Dimension';
import { boundsOf, pathOf } from '../../drawing/geometry';
import { SelectField } from '../../ui/SelectField';
import { Materials } from '../../document/Materials';
import { textAt, useBuilding } from '../../document/context';

/** How the walls are put together, for the whole building. */
export function Methods() {
  const { state, save } = useBuilding();
  const text = (path: string) => textAt(state.document, path);
  return (
    <>
      <h2>How it is made</h2>
      <SelectField
        label="corners"
        path="methods.corner"
        value={text('methods.corner') || 'butt'}
        choices={[
          ['butt', 'butt jointed'],
          ['mitre', 'mitred'],
        ]}
        onChange={(value) => save([{ op: 'set', path: 'methods.corner', value }])}
      />
      <SelectField
        label="walls that run through"
        path="methods.through"
        value={text('methods.through') || 'front-and-back'}
        choices={[
          ['front-and-back', 'front and back'],
          ['sides', 'the sides'],
        ]}
        onChange={(value) => save([{ op: 'set', path: 'methods.through', value }])}
      />
      <SelectField
        label="floor"
        path="methods.base"
        value={text('methods.base') || 'floor'}
        choices={[
          ['floor', 'a floor that squares it'],
          ['none', 'none'],
        ]}
        onChange={(value) => save([{ op: 'set', path: 'methods.base', value }])}
      />
      <SelectField
        label="corner braces"
        path="methods.braces"
        value={text('methods.braces') || 'auto'}
        choices={[
          ['auto', 'where there is room'],
          ['none', 'none'],
        ]}
        onChange={(value) => save([{ op: 'set', path: 'methods.braces', value }])}
      />
      <SelectField
        label="template goes on"
        path="methods.template.side"
        value={text('methods.template.side') || 'back'}
        choices={[
          ['back', 'the back, mirrored'],
          ['front', 'the front'],
        ]}
        onChange={(value) => save([{ op: 'set', path: 'methods.template.side', value }])}
      />
      <p className="quiet">
        {text('methods.corner') === 'mitre'
          ? 'Mitred corners hide every cut edge, and want each wall bevelled at half the turn.'
          : 'Butt jointed, the stopped walls are shorter by the thickness of the others; corners far from square are mitred.'}{' '}
        Choose a wall to see its sum, or to make its corners otherwise.
      </p>
      <Materials />
    </>
  );
}

/** The building cut through its walls, with the roof over it. */
export function Plan({ onChoose }: { onChoose: (key: string) => void }) {
  const { drawn, units } = useBuilding();
  if (drawn === null) return null;
  const { plan, roof, rule } = drawn;
  const bounds = boundsOf([
    ...plan.blocks.map((block) => block.ring),
    ...roof.lines.map((line) => [line.from, line.to]),
  ]);
  const room = (bounds.x1 - bounds.x0) * 0.08;
  return (
    <Canvas
      bounds={bounds}
      room={[room, room, room]}
      above={30}
      rule={rule}
      units={units}
      title="Plan: walls, braces, and the roof over them"
    >
      {({ perPx }) => (
        <>
          {roof.lines.map((line, i) => (
            <path
              key={i}
              d={pathOf([line.from, line.to], false)}
              stroke="var(--slate)"
              strokeWidth={perPx}
              strokeDasharray={line.kind === 'ridge' ? `${12 * perPx} ${4 * perPx}` : `${6 * perPx} ${4 * perPx}`}
            />
          ))}
          {plan.walls.map((wall, i) => (
            <g key={`${wall.key}-${i}`} className="opening" onClick={() => onChoose(wall.key)}>
              <path d={pathOf(wall.ring)} fill="var(--card-edge)" stroke="var(--ink)" strokeWidth={1.2 * perPx} />
              {wall.openings.map((ring, k) => (
                <path key={k} d={pathOf(ring)} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={perPx} />
              ))}
            </g>
          ))}
          {plan.braces.map((ring, i) => (
            <path key={i} d={pathOf(ring)} fill="var(--card)" stroke="var(--ink)" strokeWidth={perPx} />
          ))}
          {plan.blocks.flatMap((block) =>
            block.edges.map((edge) => {
              const [dx, dy] = [edge.to[0] - edge.from[0], edge.to[1] - edge.from[1]];
              const length = Math.hypot(dx, dy);
              if (length / perPx < 60) return null;
              return (
                <Words
                  key={edge.key}
                  x={(edge.from[0] + edge.to[0]) / 2 - (dy / length) * 24 * perPx}
                  y={(edge.from[1] + edge.to[1]) / 2 + (dx / length) * 18 * perPx - 4 * perPx}
                  perPx={perPx}
                >
                  {edge.name}
                </Words>
              );
            }),
          )}
        </>
      )}
    </Canvas>
  );
}
