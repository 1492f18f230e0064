import { textAt, useBuilding } from './context';
import { SelectField } from '../ui/SelectField';
import { Layers } from './Layers';

interface Props {
  /** Of the block or the wall in the document; null for a wall that is not described yet. */
  path: string | null;
  /** What the owner is made of where nothing is said. */
  usual: string;
  /** Which gets a stack of its own. */
  owner: { wall: string } | { block: string };
}

/** Of which stack a block or a wall is made, and its layers where that is one of its own. */
export function StackOf({ path, usual, owner }: Props) {
  const { state, save } = useBuilding();
  const stacks = Object.keys(((state.document.methods ?? {}) as { stacks?: object }).stacks ?? {});
  const own = path === null ? '' : textAt(state.document, `${path}.stack`);
  return (
    <>
      <SelectField
        label="made of"
        {...(path === null ? {} : { path: `${path}.stack` })}
        value={own}
        choices={[['', usual], ...stacks.map((name) => [name, name] as const), [' ', 'layers of its own']]}
        onChange={(next) =>
          save([
            next === ' '
              ? { op: 'own-stack', ...owner }
              : { op: 'set', path: `${path ?? ''}.stack`, value: next === '' ? null : next },
          ])
        }
      />
      {own !== '' && own !== 'wall' && own !== 'roof' && <Layers stack={own} label={own} />}
    </>
  );
}
