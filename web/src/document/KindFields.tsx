import type { Edit, FormField, Json } from '../api/types';
import { SelectField } from '../ui/SelectField';
import { textAt, useBuilding, valueAt } from './context';
import { DocumentForm } from './form/DocumentForm';

/** What can stand in an opening, one at a time, and as what each begins. */
const FILLINGS: { key: string; words: string; begins: (kind: string) => Json }[] = [
  { key: 'frame', words: 'a frame with glass', begins: () => ({ panes: [2, 2], stile: '3in', bar: '3in' }) },
  {
    key: 'leaf',
    words: 'a leaf',
    begins: (kind) => (kind === 'door' ? {} : { kind: 'louvred', rail: '3in', board: '4in' }),
  },
  { key: 'blind', words: 'nothing: it is filled up', begins: () => ({}) },
  // The server works out what fits.
  { key: 'bought', words: 'something bought', begins: () => null },
];

/** All that is said of a kind of opening. Every opening of the kind follows. */
export function KindFields({ id, name }: { id: string; name: string }) {
  const { state, save } = useBuilding();
  const path = `styles.${id}`;
  const kind = textAt(state.document, `${path}.kind`) || 'window';
  const isSaid = (key: string) => valueAt(state.document, `${path}.${key}`) !== undefined;
  const now = ['bought', 'blind', 'frame', 'leaf'].find(isSaid) ?? (kind === 'door' ? 'leaf' : 'frame');
  const fill = (key: string) => {
    const others = FILLINGS.filter((one) => one.key !== key && isSaid(one.key));
    const edits: Edit[] = others.map((one) => ({ op: 'set', path: `${path}.${one.key}`, value: null }));
    const begins = FILLINGS.find((one) => one.key === key)?.begins(kind) ?? {};
    save([
      ...edits,
      key === 'bought' ? { op: 'fit-kind', style: id } : { op: 'set', path: `${path}.${key}`, value: begins },
    ]);
  };
  // What does not stand in it is asked for nowhere.
  const hasGlass = now === 'frame' || now === 'leaf';
  const show = ({ key }: FormField) =>
    (FILLINGS.every((one) => one.key !== key) || key === now || isSaid(key)) &&
    (key !== 'glass' || hasGlass || isSaid(key));
  return (
    <>
      {kind !== 'open' && (
        <SelectField
          label="in it stands"
          path={path}
          value={now}
          choices={FILLINGS.map((one) => [one.key, one.words] as const)}
          onChange={fill}
        />
      )}
      <DocumentForm form="style" path={path} usual={{ name }} show={show} />
    </>
  );
}
