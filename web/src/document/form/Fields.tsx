import type { FormField } from '../../api/types';
import { useBuilding } from '../context';
import { calledNow, isAsked, labelled, type Names } from './asked';
import { ChoiceField } from './ChoiceField';
import {
  ColourChoice,
  CountField,
  FlagField,
  NumberField,
  PairField,
  ReferenceField,
  StockChoice,
  WordsField,
} from './PlainFields';
import { GroupField } from './GroupField';
import { KindList } from './KindList';
import { ItemsField, ListField, MapField } from './ListFields';
import { ValueLength } from './ValueLength';

export type { Names } from './asked';

interface Props {
  fields: readonly FormField[];
  /** The whole set, where some of it stands elsewhere. */
  among?: readonly FormField[];
  path: string;
  names: Names;
}

/** Fields in their order; those of one heading folded under it. */
export function Fields({ fields, among = fields, path, names }: Props) {
  const { state } = useBuilding();
  const asked = fields
    .filter((field) => isAsked(field, among, state.document, path))
    .map((field) => calledNow(field, state.document, path));
  return labelled(asked).map(({ under, some }) => {
    const rows = some.map((field) => (
      <OneField key={field.key} field={field} path={`${path}.${field.key}`} names={names} />
    ));
    if (under === '') return rows;
    const isWrong = state.faults.some((fault) => some.some(({ key }) => fault.path.startsWith(`${path}.${key}`)));
    return (
      <details key={under} open={isWrong || undefined}>
        <summary>{under}</summary>
        {rows}
      </details>
    );
  });
}

export interface OneProps {
  field: FormField;
  path: string;
}

function OneField({ field, path, names }: OneProps & { names: Names }) {
  switch (field.holds.what) {
    case 'length':
      return <ValueLength field={field} path={path} />;
    case 'choice':
      return <ChoiceField field={field} path={path} />;
    case 'number':
      return <NumberField field={field} path={path} />;
    case 'count':
      return <CountField field={field} path={path} />;
    case 'flag':
      return <FlagField field={field} path={path} />;
    case 'text':
      return <WordsField field={field} path={path} />;
    case 'pair':
      return <PairField field={field} path={path} />;
    case 'colour':
      return <ColourChoice field={field} path={path} />;
    case 'stock':
      return <StockChoice field={field} path={path} />;
    case 'reference':
      return <ReferenceField field={field} path={path} />;
    case 'items':
      return <ItemsField field={field} path={path} />;
    case 'map':
      return <MapField field={field} path={path} names={names} />;
    case 'kinds':
      return <KindList field={field} path={path} names={names} />;
    case 'list':
      return <ListField field={field} path={path} names={names} />;
    case 'group':
      return <GroupField field={field} path={path} names={names} />;
    case 'id':
    case 'other':
      return null;
  }
}
