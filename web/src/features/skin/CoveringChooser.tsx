import { useId } from 'react';
import type { View } from '../../api/types';
import { useBuilding } from '../../document/context';
import { useOneAtATime } from '../../drawing/oneAtATime';

type Covering = View['skin']['coverings'][number];

interface Props {
  title: string;
  coverings: readonly Covering[];
  chosen: string;
  onChoose: (key: string) => void;
}

/** What a face may be covered with, by its pictures as they come out on this building. */
export function CoveringChooser({ title, coverings, chosen, onChoose }: Props) {
  const name = useId();
  return (
    <div className="coverings" role="radiogroup" aria-label={title}>
      <h3>{title}</h3>
      {coverings.map((covering) => (
        <label key={covering.key} className="covering">
          <input
            type="radio"
            name={name}
            value={covering.key}
            checked={covering.key === chosen}
            onChange={() => onChoose(covering.key)}
          />
          <Picture covering={covering} />
          <span>{covering.words}</span>
        </label>
      ))}
    </div>
  );
}

function Picture({ covering }: { covering: Covering }) {
  const { state } = useBuilding();
  const { href, onLoad, onError } = useOneAtATime(
    `/api/buildings/${state.id}/coverings/${covering.key}.svg?r=${state.derived_from ?? 0}`,
  );
  return <img className="covering-picture" src={href} alt="" loading="lazy" onLoad={onLoad} onError={onError} />;
}
