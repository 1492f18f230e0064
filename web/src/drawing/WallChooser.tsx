import type { View } from '../api/types';

interface Props {
  view: {
    walls: readonly Pick<View['walls'][number], 'key' | 'block' | 'edge'>[];
    plan: { blocks: readonly { id: string; name: string }[] };
  };
  chosen: string;
  onChoose: (key: string) => void;
  /** Views beside the walls, as the plan. */
  also?: readonly string[];
  /** The block that is chosen on the plan, and what is done where another is. */
  block?: string;
  onBlock?: (id: string) => void;
}

/** Which wall is looked at: a block first, where there are several, then its edges. */
export function WallChooser({ view: { walls, plan }, chosen, onChoose, also = [], block: onPlan, onBlock }: Props) {
  const blocks = [...new Set(walls.map((wall) => wall.block))];
  const drawn = walls.find((wall) => wall.key === chosen)?.block;
  const block = drawn ?? (onPlan !== undefined && blocks.includes(onPlan) ? onPlan : blocks[0]);
  return (
    <div className="walls-nav" role="group" aria-label="View">
      {also.map((name) => (
        <button key={name} type="button" aria-pressed={chosen === name} onClick={() => onChoose(name)}>
          {name}
        </button>
      ))}
      {blocks.length > 1 && (
        <select
          className="form-select form-select-sm w-auto"
          aria-label="Block"
          value={block}
          onChange={(event) => {
            const first = walls.find((wall) => wall.block === event.target.value);
            if (drawn === undefined && onBlock !== undefined) onBlock(event.target.value);
            else if (first !== undefined) onChoose(first.key);
          }}
        >
          {blocks.map((id) => (
            <option key={id} value={id}>
              {plan.blocks.find((one) => one.id === id)?.name ?? id}
            </option>
          ))}
        </select>
      )}
      {walls
        .filter((wall) => wall.block === block)
        .map((wall) => (
          <button key={wall.key} type="button" aria-pressed={chosen === wall.key} onClick={() => onChoose(wall.key)}>
            {wall.edge}
          </button>
        ))}
    </div>
  );
}
