import type { FormField } from '../api/types';
import { SelectField } from '../ui/SelectField';
import { textAt, useBuilding, valueAt } from './context';
import { DocumentForm } from './form/DocumentForm';

/** What can stand in an opening, one at a time. */
const FILLINGS = [
  ['frame', 'a frame with glass'],
  ['leaf', 'a leaf'],
  ['blind', 'nothing: it is filled up'],
  ['bought', 'something bought'],
] as const;

type With = (typeof FILLINGS)[number][0];

/** All that is said of a kind of opening. Every opening of the kind follows. */
export function KindFields({ id, name }: { id: string; name: string }) {
  const { state, save } = useBuilding();
  const path = `styles.${id}`;
  const kind = textAt(state.document, `${path}.kind`) || 'window';
  const isSaid = (key: string) => valueAt(state.document, `${path}.${key}`) !== undefined;
  const usual: With = kind === 'door' ? 'leaf' : 'frame';
  const now = (['bought', 'blind', 'frame', 'leaf'] as const).find(isSaid) ?? usual;
  const fill = (chosen: string) => {
    const found = FILLINGS.find(([one]) => one === chosen);
    if (found !== undefined) save([{ op: 'fill-kind', style: id, with: found[0] }]);
  };
  // What does not stand in it is asked for nowhere.
  const hasGlass = now === 'frame' || now === 'leaf';
  const show = ({ key }: FormField) =>
    (FILLINGS.every(([one]) => one !== key) || key === now || isSaid(key)) &&
    (key !== 'glass' || hasGlass || isSaid(key));
  return (
    <>
      {kind !== 'open' && (
        <SelectField label="in it stands" path={path} value={now} choices={FILLINGS} onChange={fill} />
      )}
      <DocumentForm form="style" path={path} usual={{ name }} show={show} />
    </>
  );
}
