import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useId, useState } from 'react';
import { sectionOptions } from '../../api/options';
import { Canvas } from '../../drawing/Canvas';
import { boundsOf, pathOf } from '../../drawing/geometry';
import { SelectField } from '../../ui/SelectField';
import { useBuilding } from '../../document/context';

const FILL: Record<string, string> = {
  wall: 'var(--card-edge)',
  roof: 'var(--roof-edge)',
  floor: 'var(--card)',
  strip: 'var(--brick)',
};

/** The card cut through where one slides to. */
export function SectionAt() {
  const { state, derived, units } = useBuilding();
  const id = useId();
  const [across, setAcross] = useState<'x' | 'y'>('x');
  const [share, setShare] = useState(46);
  const box = boundsOf(derived?.view.plan.blocks.map((block) => block.ring) ?? []);
  const [low, high] = across === 'x' ? [box.x0, box.x1] : [box.y0, box.y1];
  const at = useDeferredValue(low + ((high - low) * share) / 100);
  const cut = useQuery({
    ...sectionOptions(state.id, across, at.toFixed(2), state.derived_from ?? 0),
    placeholderData: keepPreviousData,
  });
  if (derived === null) return null;
  const bounds = cut.data === undefined ? null : boundsOf(cut.data.rings.map((one) => one.ring));
  return (
    <>
      <div className="d-flex flex-wrap gap-3 align-items-center">
        <SelectField
          label="looking"
          value={across}
          choices={[
            ['x', 'from the right'],
            ['y', 'from the front'],
          ]}
          onChange={(value) => setAcross(value === 'y' ? 'y' : 'x')}
        />
        <label htmlFor={id}>cut at {at.toFixed(1)} mm</label>
        <input
          id={id}
          type="range"
          className="form-range flex-grow-1 w-auto"
          min={0}
          max={100}
          step={0.5}
          value={share}
          onChange={(event) => setShare(Number(event.target.value))}
        />
      </div>
      {cut.isError && <p className="text-danger">{cut.error.message}</p>}
      {cut.isPending && <p role="status">Cutting …</p>}
      {bounds !== null && cut.data !== undefined && cut.data.rings.length === 0 && <p>Nothing is cut there.</p>}
      {bounds !== null && cut.data !== undefined && cut.data.rings.length > 0 && (
        <Canvas
          bounds={bounds}
          room={[6, 3, 6]}
          above={16}
          rule={derived.view.rule}
          units={units}
          title={`Section: ${cut.data.rings.length} pieces of card are cut`}
        >
          {({ perPx }) =>
            cut.data.rings.map((part, i) => (
              <path
                key={i}
                d={pathOf(part.ring)}
                fill={FILL[part.name] ?? 'none'}
                stroke="var(--ink)"
                strokeWidth={perPx}
              >
                <title>{part.part}</title>
              </path>
            ))
          }
        </Canvas>
      )}
    </>
  );
}
