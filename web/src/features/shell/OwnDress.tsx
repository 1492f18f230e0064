import { useQuery } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import { formsOptions } from '../../api/options';
import type { Json, Opening } from '../../api/types';
import { useBuilding, valueAt } from '../../document/context';
import { Fields } from '../../document/form/Fields';

/** What stands round this opening alone, or what is said of its kind. */
export function OwnDress({ opening }: { opening: Opening }) {
  const { state, save } = useBuilding();
  const forms = useQuery(formsOptions());
  const field = forms.data?.style?.find(({ key }) => key === 'dress');
  const path = `${opening.path}.dress`;
  const own = valueAt(state.document, path);
  const ofItsKind = valueAt(state.document, `${opening.style_path}.dress`);
  if (field === undefined) return null;
  if (own === undefined) {
    return (
      <Button
        size="sm"
        variant="outline-secondary"
        onClick={() => save([{ op: 'set', path, value: Array.isArray(ofItsKind) ? (ofItsKind as Json[]) : [] }])}
      >
        Dress it otherwise than its kind
      </Button>
    );
  }
  return (
    <>
      <Fields fields={[{ ...field, label: 'Round this one alone' }]} path={opening.path} names={{}} />
      <Button size="sm" variant="outline-secondary" onClick={() => save([{ op: 'set', path, value: null }])}>
        Dress it as its kind again
      </Button>
    </>
  );
}
