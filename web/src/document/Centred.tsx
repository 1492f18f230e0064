import { textAt, useBuilding } from './context';
import { SelectField } from '../ui/SelectField';

/** On what a thing at one place of a wall, or of the roof over it, is centred: that wall, an opening of it, or nothing. */
export function Centred({ path, block, edge }: { path: string; block: string; edge: string }) {
  const { state, drawn, save } = useBuilding();
  const wall = drawn?.walls.find((one) => one.block === block && one.edge === edge);
  const at = `${path}.on.over`;
  return (
    <SelectField
      label="centred on"
      value={textAt(state.document, at)}
      choices={[
        ['', 'nothing'],
        ['middle', 'the wall'],
        ...[...(wall?.openings ?? [])]
          .sort((a, b) => a.left.model_mm - b.left.model_mm)
          .map(({ key, called }) => [key, `the ${called}`] as const),
      ]}
      onChange={(value) => save([{ op: 'set', path: at, value: value === '' ? null : value }])}
    />
  );
}
