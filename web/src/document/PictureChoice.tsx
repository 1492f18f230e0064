import { type ReactNode, useId } from 'react';
import { useBuilding } from './context';

interface Props {
  label: string;
  /** Where the document says it: its fault stands below. */
  path: string;
  choices: readonly { value: string; words: string; picture: ReactNode }[];
  value: string;
  onChoose: (value: string) => void;
  /** Whether the pictures are as large as there is room for. */
  large?: boolean;
}

/** One of a few, by their pictures. */
export function PictureChoice({ label, path, choices, value, onChoose, large = false }: Props) {
  const { state, units } = useBuilding();
  const name = useId();
  const fault = state.faults.find((one) => one.path === path)?.says[units];
  return (
    <fieldset
      className={large ? 'pictures large' : 'pictures'}
      aria-describedby={fault === undefined ? undefined : `${name}-fault`}
    >
      <legend>{label}</legend>
      <div>
        {choices.map((one) => (
          <label key={one.value}>
            <input
              type="radio"
              className="visually-hidden"
              name={name}
              checked={one.value === value}
              onChange={() => onChoose(one.value)}
            />
            {one.picture}
            <span>{one.words}</span>
          </label>
        ))}
      </div>
      {fault !== undefined && (
        <span id={`${name}-fault`} className="fault" role="alert">
          {fault}
        </span>
      )}
    </fieldset>
  );
}
