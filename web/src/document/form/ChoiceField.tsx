import { SelectField } from '../../ui/SelectField';
import { asText, textAt, useBuilding } from '../context';
import { PictureChoice } from '../PictureChoice';
import type { OneProps } from './Fields';

/** One of a few: by its picture where every one of them has one, else from a list. What hangs on it is the server's to know. */
export function ChoiceField({ field, path }: OneProps) {
  const { state, save } = useBuilding();
  const offered = field.holds.choices ?? [];
  const said = textAt(state.document, path);
  const value = said || asText(field.usual);
  const choose = (next: string) => save([{ op: 'choose', path, value: next === '' ? null : next }]);
  if (offered.every((one) => one.picture !== undefined)) {
    return <ByPicture field={field} path={path} value={value} onChoose={choose} />;
  }
  const isKnown = value === '' || offered.some((one) => one.value === value);
  const choices = [
    ...(field.unsaid === undefined && value !== '' ? [] : [['', field.unsaid ?? ''] as const]),
    ...offered.map((one) => [one.value, one.words] as const),
    ...(isKnown ? [] : [[value, value] as const]),
  ];
  return <SelectField label={field.label} path={path} value={value} choices={choices} onChange={choose} />;
}

function ByPicture({ field, path, value, onChoose }: OneProps & { value: string; onChoose: (value: string) => void }) {
  const choices = (field.holds.choices ?? []).map((one) => ({
    ...one,
    picture: (
      <svg viewBox="0 0 24 24" width="34" height="34" aria-hidden="true">
        <path d={one.picture} />
      </svg>
    ),
  }));
  return <PictureChoice label={field.label} path={path} choices={choices} value={value} onChoose={onChoose} />;
}
