import { LengthField } from '../../ui/LengthField';
import { asText, textAt, useBuilding } from '../context';
import type { OneProps } from './Fields';

export function ValueLength({ field, path }: OneProps) {
  const { state } = useBuilding();
  return (
    <LengthField
      label={field.label}
      path={path}
      value={textAt(state.document, path)}
      world={field.holds.world ?? 'real'}
      optional={field.optional}
      usual={asText(field.usual) || (field.unsaid ?? '')}
    />
  );
}
