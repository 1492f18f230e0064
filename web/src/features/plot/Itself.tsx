import { useId } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Compromises } from '../../api/types';
import { useBuilding } from '../../document/context';

/** What makes it this building: asked first, and never given up. */
export function Itself({ features }: { features: Compromises['features'] }) {
  const { state, save } = useBuilding();
  const id = useId();
  const kept = features.filter((one) => one.kept);
  const set = (keys: string[]) =>
    save([{ op: 'set', path: 'compression.keep', value: keys.length === 0 ? null : keys }]);
  const keys = kept.map((one) => one.key);
  return (
    <section className="tools mb-2" aria-label="What makes it this building">
      <Form.Label htmlFor={id} className="mb-0">
        what makes it this building stays as it is
      </Form.Label>
      {kept.map((one) => (
        <Button
          key={one.key}
          size="sm"
          variant="outline-secondary"
          aria-label={`Let go of ${one.name}`}
          onClick={() => set(keys.filter((key) => key !== one.key))}
        >
          {one.name} <span aria-hidden>×</span>
        </Button>
      ))}
      <Form.Select
        id={id}
        className="w-auto"
        size="sm"
        value=""
        key={state.revision.number}
        onChange={(event) => event.target.value !== '' && set([...keys, event.target.value])}
      >
        <option value="">{kept.length === 0 ? 'choose what to keep' : 'and also'}</option>
        {features
          .filter((one) => !one.kept)
          .map((one) => (
            <option key={one.key} value={one.key}>
              {one.name}
            </option>
          ))}
      </Form.Select>
    </section>
  );
}
