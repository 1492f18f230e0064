import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { useBuilding } from '../../document/context';

/** The simulated printer: what a print with an error looks like, to try the proving rules on. */
export function TrialPrint() {
  const { state } = useBuilding();
  const [across, setAcross] = useState('99.3');
  const [along, setAlong] = useState('100');
  const [shown, setShown] = useState<string | null>(null);
  return (
    <details className="mt-2">
      <summary>Try it on a simulated printer</summary>
      <p className="quiet">
        It prints 100 mm as long as you say here. Lay a rule on the picture, or simply type the same figures above, and
        print again: the rules come out at 100.
      </p>
      <form
        className="tools"
        onSubmit={(event) => {
          event.preventDefault();
          const query = new URLSearchParams({ across, along, at: String(state.revision.number) });
          setShown(`/api/buildings/${state.id}/sheets/1/printed.png?${query.toString()}`);
        }}
      >
        <label>
          across{' '}
          <input className="trial" value={across} inputMode="decimal" onChange={(e) => setAcross(e.target.value)} />
        </label>
        <label>
          along <input className="trial" value={along} inputMode="decimal" onChange={(e) => setAlong(e.target.value)} />
        </label>
        <Button type="submit" size="sm">
          Print sheet 1
        </Button>
      </form>
      {shown !== null && <img className="printed" src={shown} alt="Sheet 1 as the simulated printer prints it" />}
    </details>
  );
}
