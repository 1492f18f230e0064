import { useContext, useId } from 'react';
import Form from 'react-bootstrap/Form';
import { BuildingContext } from '../document/context';

interface Props {
  label: string;
  value: string;
  choices: readonly (readonly [string, string])[];
  onChange: (value: string) => void;
  /** Where in the document it stands, so that what is wrong there is said here. */
  path?: string;
}

export function SelectField({ label, value, choices, onChange, path }: Props) {
  const id = useId();
  const building = useContext(BuildingContext);
  const fault = building?.state.faults.find((one) => one.path === path)?.says[building.units];
  return (
    <div className="field-row">
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Select
        id={id}
        value={value}
        aria-invalid={fault !== undefined}
        aria-describedby={fault === undefined ? undefined : `${id}-fault`}
        onChange={(event) => onChange(event.target.value)}
      >
        {choices.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </Form.Select>
      {fault !== undefined && (
        <span id={`${id}-fault`} className="fault" role="alert">
          {fault}
        </span>
      )}
    </div>
  );
}
