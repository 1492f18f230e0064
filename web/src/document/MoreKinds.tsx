import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { kindsOptions, projectsOptions } from '../api/options';
import type { Edit } from '../api/types';
import { SelectField } from '../ui/SelectField';
import { useBuilding } from './context';
import { KindPicture } from './KindPicture';

/** Kinds of openings to begin with: those that are shipped, and those of one’s other buildings. One press, and it is this building’s own. */
export function MoreKinds() {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <details className="kind" onToggle={(event) => setIsOpen(event.currentTarget.open)}>
      <summary>Begin with one that is there already</summary>
      {isOpen && <Choice />}
    </details>
  );
}

function Choice() {
  const { state } = useBuilding();
  const [from, setFrom] = useState('');
  const projects = useQuery(projectsOptions());
  const others = (projects.data ?? []).flatMap((one) => one.buildings).filter((one) => one.id !== state.id);
  return (
    <>
      {others.length > 0 && (
        <SelectField
          label="those of"
          path="styles"
          value={from}
          choices={[['', 'usual buildings'] as const, ...others.map((one) => [one.id, one.name] as const)]}
          onChange={setFrom}
        />
      )}
      <Offered key={from} from={from} />
    </>
  );
}

function Offered({ from }: { from: string }) {
  const { state, save } = useBuilding();
  const of = from === '' ? state.id : from;
  // What is offered is another building's or nobody's: it stays as it is while this one changes.
  const [revision] = useState(state.revision.number);
  const found = useQuery(kindsOptions(of, revision));
  if (found.isPending) {
    return (
      <p className="quiet" role="status">
        Fetching them …
      </p>
    );
  }
  if (found.data === undefined) {
    return (
      <div role="alert">
        <p className="mb-1">They could not be fetched. {found.error.message}</p>
        <Button size="sm" variant="outline-secondary" onClick={() => void found.refetch()}>
          Try again
        </Button>
      </div>
    );
  }
  const offered: { key: string; name: string; edit: Edit }[] =
    from === ''
      ? found.data.shipped.map((one) => ({
          key: `shipped/${one.key}`,
          name: one.name,
          edit: { op: 'add-kind', like: one.key },
        }))
      : found.data.kinds.map((one) => ({ key: one.id, name: one.name, edit: { op: 'add-kind', as: one.said } }));
  if (offered.length === 0) return <p className="quiet">It has none.</p>;
  return (
    <div className="kinds-offered" role="group" aria-label="Kinds to begin with">
      {offered.map((one) => (
        <button key={one.key} type="button" onClick={() => save([one.edit])}>
          <KindPicture kind={one.key} of={of} revision={revision} alt="" />
          <span>{one.name}</span>
        </button>
      ))}
    </div>
  );
}
