import { useQuery } from '@tanstack/react-query';
import Button from 'react-bootstrap/Button';
import { formsOptions } from '../../api/options';
import type { FormField } from '../../api/types';
import { Fields, type Names } from './Fields';

interface Props {
  /** The name of what is described. */
  form: string;
  /** Where in the document it stands. */
  path: string;
  /** By what values by names are called here. */
  names?: Names;
  /** By key: what stands in for a field here where nothing is said. */
  usual?: Record<string, string>;
  /** Which of the fields belong here; all where nothing is said. */
  show?: (field: FormField) => boolean;
}

/** The form of something in the document, as the server describes it: its fields, their faults, and what is not saved yet. */
export function DocumentForm({ form, path, names = {}, usual = {}, show = () => true }: Props) {
  const forms = useQuery(formsOptions());
  if (forms.isPending) {
    return (
      <p className="quiet" role="status">
        Opening its figures …
      </p>
    );
  }
  const fields = forms.data?.[form]?.map((one) => (one.key in usual ? { ...one, usual: usual[one.key] ?? '' } : one));
  if (fields === undefined) {
    return (
      <div role="alert">
        <p className="mb-1">Its figures could not be fetched. {forms.error?.message}</p>
        <Button size="sm" variant="outline-secondary" onClick={() => void forms.refetch()}>
          Try again
        </Button>
      </div>
    );
  }
  return <Fields fields={fields.filter(show)} among={fields} path={path} names={names} />;
}
