import { SelectField } from '../../ui/SelectField';
import { useBuilding, valueAt } from '../context';
import { Fields, type Names, type OneProps } from './Fields';

/** Fields that belong together: among the others, folded, or of something that is there or is not. */
export function GroupField({ field, path, names }: OneProps & { names: Names }) {
  const { state, save } = useBuilding();
  const { fields = [], word, folded = false } = field.holds;
  const rows = <Fields fields={fields} path={path} names={names} />;
  if (folded) {
    return (
      <details>
        <summary>{field.label}</summary>
        {rows}
      </details>
    );
  }
  if (word === undefined) return rows;
  const isThere = valueAt(state.document, path) !== undefined;
  return (
    <>
      <SelectField
        label={field.label}
        path={path}
        value={isThere ? 'there' : ''}
        choices={[
          ['', field.unsaid ?? 'none'],
          ['there', word],
        ]}
        onChange={(next) => save([next === '' ? { op: 'set', path, value: null } : { op: 'begin', path }])}
      />
      {isThere && rows}
    </>
  );
}
