import { useId } from 'react';
import Form from 'react-bootstrap/Form';

interface Props {
  label: string;
  value: string;
  onChange: (value: string) => void;
  type?: string;
  problem?: string | undefined;
  help?: string;
  autoComplete?: string;
}

/** A labelled input whose fault is tied to it. */
export function FormField({ label, value, onChange, type = 'text', problem, help, autoComplete }: Props) {
  const id = useId();
  const described = [problem === undefined ? null : `${id}-fault`, help === undefined ? null : `${id}-help`].filter(
    (part) => part !== null,
  );
  return (
    <div className="mb-2">
      <Form.Label htmlFor={id} className="mb-0">
        {label}
      </Form.Label>
      <Form.Control
        id={id}
        type={type}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        aria-invalid={problem !== undefined}
        aria-describedby={described.length > 0 ? described.join(' ') : undefined}
        {...(autoComplete === undefined ? {} : { autoComplete })}
      />
      {help !== undefined && (
        <div id={`${id}-help`} className="quiet">
          {help}
        </div>
      )}
      {problem !== undefined && (
        <div id={`${id}-fault`} className="text-danger">
          {problem}
        </div>
      )}
    </div>
  );
}
