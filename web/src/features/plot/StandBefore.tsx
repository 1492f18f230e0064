import { useId, useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { PlotView } from '../../api/types';
import { useBuilding } from '../../document/context';

/** Stands the building so far before a side of its plot, from its finished outside. */
export function StandBefore({ plot }: { plot: PlotView }) {
  const { save } = useBuilding();
  const id = useId();
  const [by, setBy] = useState('');
  const [picked, setEdge] = useState('');
  const usual = plot.edges.find((edge) => edge.backscene) ?? plot.edges[0];
  const edge = plot.edges.some((one) => one.name === picked) ? picked : (usual?.name ?? '');
  return (
    <form
      className="tools mt-2"
      onSubmit={(event) => {
        event.preventDefault();
        save([{ op: 'stand-before', edge, by }]);
      }}
    >
      <label htmlFor={`${id}-by`}>Stand it</label>
      <input
        id={`${id}-by`}
        className="form-control form-control-sm short"
        value={by}
        placeholder="4mm"
        onChange={(event) => setBy(event.target.value)}
      />
      <label htmlFor={`${id}-edge`}>before</label>
      <select
        id={`${id}-edge`}
        className="form-select form-select-sm w-auto"
        value={edge}
        onChange={(event) => setEdge(event.target.value)}
      >
        {plot.edges.map((one) => (
          <option key={one.name} value={one.name}>
            {one.backscene ? `the backscene (${one.name})` : `the ${one.name} side`}
          </option>
        ))}
      </select>
      <Button type="submit" size="sm" variant="outline-primary" disabled={by.trim() === ''}>
        Move it there
      </Button>
    </form>
  );
}
