import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { comparisonOptions } from '../../api/options';
import type { ComparedSide } from '../../api/types';
import { Elevation } from '../../drawing/Elevation';
import { GhostList } from '../../drawing/Ghost';
import { WallChooser } from '../../drawing/WallChooser';
import { useBuilding } from '../../document/context';

/** Two revisions side by side on the drawing, and below it how they differ. */
export function Compared({ from, to }: { from: number; to: number }) {
  const { state } = useBuilding();
  const [chosen, setWall] = useState<string | null>(null);
  const compared = useQuery(comparisonOptions(state.id, from, to));
  if (compared.isPending) return <p role="status">Laying both beside each other …</p>;
  if (compared.isError) return <p className="text-danger">{compared.error.message}</p>;
  const { changes, parts } = compared.data;
  const view = compared.data.to.view ?? compared.data.from.view;
  const wall = chosen ?? view?.walls[0]?.key ?? '';
  return (
    <>
      <div className="d-flex flex-wrap justify-content-between gap-2">
        <h2>
          Revision {from} and revision {to}
        </h2>
        {view !== null && <WallChooser view={view} chosen={wall} onChoose={setWall} />}
      </div>
      <div className="side-by-side">
        <Side side={compared.data.from} wall={wall} />
        <Side side={compared.data.to} wall={wall} />
      </div>
      <h3 className="mt-3">What differs</h3>
      {changes.length === 0 ? (
        <p>Nothing: the two describe the same building.</p>
      ) : (
        <ul>
          {changes.map((change) => (
            <li key={change.path}>{change.text}</li>
          ))}
        </ul>
      )}
      <h3>Parts</h3>
      {parts === null ? (
        <p>One of them has faults, so it has no parts to compare.</p>
      ) : parts.length === 0 ? (
        <p>Every part is the same.</p>
      ) : (
        <GhostList changes={parts} />
      )}
    </>
  );
}

function Side({ side, wall }: { side: ComparedSide; wall: string }) {
  const { state, units } = useBuilding();
  const shown = side.view?.walls.find((one) => one.key === wall);
  return (
    <figure>
      <figcaption>
        <strong>{side.revision.name ?? `Revision ${side.revision.number}`}</strong>
        <br />
        <span className="quiet">{side.revision.summary}</span>
        {side.revision.note !== null && <blockquote className="remark">{side.revision.note}</blockquote>}
      </figcaption>
      {side.view === null || shown === undefined ? (
        <ul className="text-danger">
          {side.faults.map((fault) => (
            <li key={fault.path + fault.code}>
              {fault.where}: {fault.says[units]}
            </li>
          ))}
        </ul>
      ) : (
        <Elevation
          wall={shown}
          rule={side.view.rule}
          units={units}
          building={state.id}
          revision={side.revision.number}
          isSmall
        />
      )}
    </figure>
  );
}
