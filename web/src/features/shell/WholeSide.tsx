import { useQuery } from '@tanstack/react-query';
import { wholeOptions } from '../../api/options';
import type { Units, Whole } from '../../api/types';
import { useBuilding } from '../../document/context';
import { Canvas } from '../../drawing/Canvas';
import { Dimension } from '../../drawing/Dimension';
import { boundsOf, pathOf } from '../../drawing/geometry';
import { Failed, Loading } from '../../ui/States';

export const SIDES = ['front', 'right', 'back', 'left'] as const;

const FILLS = {
  wall: 'var(--edge-wash)',
  roof: 'var(--roof)',
  window: 'var(--sheet)',
  door: 'var(--door)',
  open: 'var(--slate)',
  pane: 'var(--pane)',
} as const;

/** A figure that is wider than its stretch is left to the list beside the drawing. */
const PX_A_LETTER = 7;

interface Props {
  side: string;
  onChoose: (wall: string, opening: string | null) => void;
}

/** A whole side of the building, all blocks in their places, with chains of dimensions through. */
export function WholeSide({ side, onChoose }: Props) {
  const { state, drawn } = useBuilding();
  const whole = useQuery({
    ...wholeOptions(state.id, side, state.derived_from ?? 0),
    enabled: state.derived_from !== null,
  });
  if (whole.isError) return <Failed error={whole.error} again={() => void whole.refetch()} />;
  if (whole.isPending || drawn === null) return <Loading what="the whole side" />;
  return <Side whole={whole.data} side={side} onChoose={onChoose} />;
}

function Side({ whole, side, onChoose }: Props & { whole: Whole }) {
  const { state, drawn, units } = useBuilding();
  const bounds = boundsOf(whole.shapes.map((shape) => shape.ring));
  const size = bounds.x1 - bounds.x0;
  if (drawn === null) return null;
  return (
    <>
      {state.faults.length > 0 && <p className="quiet">As it was in revision {whole.revision}, the last sound one.</p>}
      <Canvas
        bounds={bounds}
        room={[size * 0.03, size * 0.03, size * 0.04]}
        above={24 + 30 * whole.chains.length}
        rule={drawn.rule}
        units={units}
        title={`The whole ${side}, all blocks in their places`}
      >
        {({ perPx }) => (
          <>
            {whole.shapes.map((shape, i) => (
              <path
                key={i}
                className={shape.wall === null ? undefined : 'opening'}
                d={[shape.ring, ...shape.holes].map((ring) => pathOf(ring)).join(' ')}
                fillRule="evenodd"
                fill={FILLS[shape.kind]}
                stroke="var(--ink)"
                strokeWidth={(shape.kind === 'pane' ? 0.6 : 1.2) * perPx}
                onClick={() => shape.wall !== null && onChoose(shape.wall, shape.opening)}
                {...(shape.colour === null
                  ? {}
                  : { style: { fill: `color-mix(in srgb, ${shape.colour} 78%, white)` } })}
              />
            ))}
            <line
              x1={bounds.x0 - size * 0.02}
              x2={bounds.x1 + size * 0.02}
              y1={0}
              y2={0}
              stroke="var(--ink)"
              strokeWidth={2 * perPx}
            />
            {whole.chains.map((links, level) =>
              links
                .map((link) => ({ ...link, text: textOf(link, level, whole.chains.length, units) }))
                .map((link) => (
                  <Dimension
                    key={`${level}-${link.from}`}
                    from={link.from}
                    to={link.to}
                    y={bounds.y1 + (22 + level * 30) * perPx}
                    perPx={perPx}
                    text={(link.to - link.from) / perPx > link.text.length * PX_A_LETTER ? link.text : ''}
                  />
                )),
            )}
          </>
        )}
      </Canvas>
    </>
  );
}

function textOf({ size }: Whole['chains'][number][number], level: number, levels: number, units: Units): string {
  const model = size.model_mm.toFixed(1);
  return level === 0 && levels > 1 ? model : `${size[units]} · ${model}`;
}

/** What is said of a whole side beside it: heights, and how its stretches run. */
export function WholeFigures({ side }: { side: string }) {
  const { state, show } = useBuilding();
  const whole = useQuery({
    ...wholeOptions(state.id, side, state.derived_from ?? 0),
    enabled: state.derived_from !== null,
  }).data;
  return (
    <>
      <h2>The whole {side}</h2>
      <p className="quiet">Press a wall or an opening to go to it.</p>
      <section className="workings">
        <h3>Heights above the datum</h3>
        <table>
          <tbody>
            {whole?.heights.map((height) => (
              <tr key={height.words}>
                <td>{height.words}</td>
                <td className="mm">{show(height.size)}</td>
                <td className="mm">{height.size.model}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section className="workings">
        <h3>From left to right</h3>
        <table>
          <tbody>
            {whole?.chains[0]?.map((link) => (
              <tr key={link.from}>
                <td>{show(link.size)}</td>
                <td>{link.bricks}</td>
                <td className="mm">{link.size.model}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </>
  );
}
