import { useId } from 'react';
import Form from 'react-bootstrap/Form';

interface Props {
  label: string;
  value: string;
  choices: readonly (readonly [string, string])[];
  onChange: (value: string) => void;
}

export function SelectField({ label, value, choices, onChange }: Props) {
  const id = useId();
  return (
    <div className="field-row">
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Select id={id} value={value} onChange={(event) => onChange(event.target.value)}>
        {choices.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </Form.Select>
    </div>
  );
}
