import { useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { shapesOptions } from '../../api/options';
import type { StarterShape } from '../../api/types';
import { Shapes } from '../../drawing/Shapes';
import { FormField } from '../../ui/FormField';
import { Failed, Loading } from '../../ui/States';

const FILLS = { roof: 'var(--seen-wall)' };

interface Props {
  pending: boolean;
  /** Why it could not be begun. */
  problem: string | undefined;
  onBegin: (name: string, shape: StarterShape['id']) => void;
  onLeave: () => void;
}

/** A name, and one of the shapes that a building may begin with. */
export function BeginBuilding({ pending, problem, onBegin, onLeave }: Props) {
  const shapes = useQuery(shapesOptions());
  const [name, setName] = useState('New building');
  const [chosen, setChosen] = useState<StarterShape['id']>('single');
  const group = useId();
  const isNamed = name.trim() !== '';
  return (
    <form
      className="begin mt-2"
      aria-label="A new building"
      onSubmit={(event) => {
        event.preventDefault();
        if (isNamed && !pending) onBegin(name.trim(), chosen);
      }}
    >
      <FormField label="Name of the building" value={name} onChange={setName} problem={problem} />
      {shapes.isPending && <Loading what="the shapes" />}
      {shapes.isError && <Failed error={shapes.error} again={() => void shapes.refetch()} />}
      {shapes.isSuccess && (
        <fieldset className="begin-shapes">
          <legend>What it begins as; every figure can be changed</legend>
          {shapes.data.map((shape) => (
            <label key={shape.id} className={shape.id === chosen ? 'chosen' : undefined}>
              <Shapes shapes={shape.plan} fills={FILLS} title={`The roofs of ${shape.title} from above`} />
              <span>
                <input
                  type="radio"
                  name={group}
                  value={shape.id}
                  checked={shape.id === chosen}
                  onChange={() => setChosen(shape.id)}
                />{' '}
                <strong>{shape.title}</strong>
              </span>
              <span className="quiet">{shape.about}</span>
            </label>
          ))}
        </fieldset>
      )}
      <div className="tools">
        <Button type="submit" disabled={!isNamed || pending}>
          Begin the building
        </Button>
        <Button variant="outline-secondary" onClick={onLeave}>
          Leave it
        </Button>
      </div>
    </form>
  );
}
