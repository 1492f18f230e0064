import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { dryFitOptions } from '../../api/options';
import type { DryFit, FreeEdge, JointMeasure, Part } from '../../api/types';
import { boundsOf, pathOf } from '../../drawing/geometry';
import { useSearched } from '../../ui/searched';
import { Empty } from '../../ui/States';
import { useBuilding } from '../../document/context';
import { Thoughts } from '../../document/Thoughts';

/** Every joint as it was measured, every edge that is free, and every check: worst first. */
export function DryFitPage() {
  const { state, derived, save } = useBuilding();
  const fit = useQuery({ ...dryFitOptions(state.id, state.revision.number), enabled: state.faults.length === 0 });
  const [chosen, setChosen] = useState<string | null>(null);
  if (state.faults.length > 0 || derived === null) {
    return (
      <Empty title="Nothing to measure yet">
        <p>The kit is stood up as soon as the faults above are put right.</p>
      </Empty>
    );
  }
  if (fit.isPending) return <p role="status">Measuring every joint …</p>;
  if (fit.isError) return <p className="text-danger">{fit.error.message}</p>;
  const parts = new Map(derived.kit.parts.map((part) => [part.id, part]));
  const measure = fit.data.measures.find((one) => one.id === chosen) ?? fit.data.measures[0];
  const free = fit.data.free.find((edge) => keyOf(edge) === chosen);
  return (
    <>
      <section className="sheet" aria-label="Joints">
        <h2>{fit.data.ok ? `All ${fit.data.joints} joints close` : 'It does not go together yet'}</h2>
        {fit.data.findings.length > 0 && (
          <div className="remark remark-stop">
            <ul className="mb-1">
              {fit.data.findings.map((finding, i) => (
                <li key={i}>{finding.text}</li>
              ))}
            </ul>
            <p className="mb-0">{fit.data.advice}</p>
          </div>
        )}
        <Joints
          fit={fit.data}
          parts={parts}
          chosen={free === undefined ? (measure?.id ?? null) : null}
          onChoose={setChosen}
        />
        <FreeEdges fit={fit.data} parts={parts} chosen={chosen} onChoose={setChosen} />
      </section>
      <aside className="sheet" aria-label="Figures">
        {free !== undefined ? (
          <EdgeFigure edge={free} parts={parts} />
        ) : (
          measure !== undefined && <JointFigure measure={measure} parts={parts} />
        )}
        <h2 className="mt-3">Checks</h2>
        <Thoughts state={state} thoughts={derived.thoughts} onSave={save} />
      </aside>
    </>
  );
}

const nameOf = (parts: Map<string, Part>, id: string) => {
  const part = parts.get(id);
  return part === undefined ? id : `${part.label} ${part.name}`;
};

interface JointsProps {
  fit: DryFit;
  parts: Map<string, Part>;
  chosen: string | null;
  onChoose: (id: string) => void;
}

function Joints({ fit, parts, chosen, onChoose }: JointsProps) {
  const { shown, search, more } = useSearched(
    fit.measures,
    (one) => `${nameOf(parts, one.a)} ${nameOf(parts, one.b)} ${one.kind}`,
    'joints',
  );
  return (
    <div className="table-responsive">
      {search}
      <table className="table table-sm joints">
        <thead>
          <tr>
            <th scope="col">part</th>
            <th scope="col">meets</th>
            <th scope="col">kind</th>
            <th scope="col">found</th>
            <th scope="col" className="text-end">
              off by
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map((one) => (
            <tr key={one.id} className={one.id === chosen ? 'chosen' : undefined}>
              <td>
                <button type="button" className="btn btn-link p-0 text-start" onClick={() => onChoose(one.id)}>
                  {nameOf(parts, one.a)}
                </button>
              </td>
              <td>{nameOf(parts, one.b)}</td>
              <td>{one.kind}</td>
              <td>
                {one.found}
                {one.why !== '' && <div className="quiet">{one.why}</div>}
              </td>
              <td className={`text-end text-nowrap ${one.closes ? '' : 'level level-stop'}`}>
                {one.off_mm.toFixed(3)} mm{one.closes ? '' : ', open'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {more}
    </div>
  );
}

/** The face that is met, where the other stands on it, and the line in which they touch. */
function JointFigure({ measure, parts }: { measure: JointMeasure; parts: Map<string, Part> }) {
  const drawing = measure.drawing;
  const bounds = drawing === null ? null : boundsOf([...drawing.met, ...drawing.stands]);
  return (
    <>
      <h2>{nameOf(parts, measure.a)}</h2>
      <p className="quiet">
        {measure.kind} with {nameOf(parts, measure.b)}
      </p>
      {drawing !== null && bounds !== null && (
        <svg
          className="drawing"
          role="img"
          aria-label={`${nameOf(parts, measure.b)}, with ${nameOf(parts, measure.a)} standing on it`}
          viewBox={`${bounds.x0 - 2} ${-(bounds.y1 + 2)} ${bounds.x1 - bounds.x0 + 4} ${bounds.y1 - bounds.y0 + 4}`}
        >
          <g transform="scale(1 -1)" strokeWidth={0.25}>
            {drawing.met.map((ring, i) => (
              <path
                key={`m${i}`}
                d={pathOf(ring)}
                fill={i === 0 ? 'var(--edge-wash)' : 'var(--sheet)'}
                stroke="var(--ink)"
              />
            ))}
            {drawing.stands.map((ring, i) => (
              <path key={`s${i}`} d={pathOf(ring)} fill="var(--brick)" fillOpacity={0.33} stroke="var(--brick)" />
            ))}
            {drawing.contact.length > 1 && (
              <path d={pathOf(drawing.contact, false)} fill="none" stroke="var(--brick)" strokeWidth={0.8} />
            )}
          </g>
        </svg>
      )}
      <p className="mb-0">{measure.found === '' ? 'It could not be measured.' : measure.found}</p>
    </>
  );
}

const keyOf = (edge: FreeEdge) => `${edge.part}/${edge.edge}`;

/** A part with the edge that nothing meets. */
function EdgeFigure({ edge, parts }: { edge: FreeEdge; parts: Map<string, Part> }) {
  const outline = parts.get(edge.part)?.outline ?? [];
  const bounds = boundsOf([outline]);
  const line = [outline[edge.edge], outline[(edge.edge + 1) % outline.length]].filter((p) => p !== undefined);
  return (
    <>
      <h2>{nameOf(parts, edge.part)}</h2>
      <p className="quiet">the edge “{edge.name}”</p>
      {outline.length > 0 && (
        <svg
          className="drawing"
          role="img"
          aria-label={`${nameOf(parts, edge.part)}, with its edge ${edge.name}`}
          viewBox={`${bounds.x0 - 2} ${-(bounds.y1 + 2)} ${bounds.x1 - bounds.x0 + 4} ${bounds.y1 - bounds.y0 + 4}`}
        >
          <g transform="scale(1 -1)" strokeWidth={0.25}>
            <path d={pathOf(outline)} fill="var(--edge-wash)" stroke="var(--ink)" />
            <path d={pathOf(line, false)} fill="none" stroke="var(--brick)" strokeWidth={1.2} />
          </g>
        </svg>
      )}
      <p className="mb-0">
        {edge.mm.toFixed(2)} mm, free: {edge.why ?? 'nothing says why'}.
      </p>
    </>
  );
}

interface FreeEdgesProps {
  fit: DryFit;
  parts: Map<string, Part>;
  chosen: string | null;
  onChoose: (key: string) => void;
}

function FreeEdges({ fit, parts, chosen, onChoose }: FreeEdgesProps) {
  const { shown, search, more } = useSearched(
    fit.free,
    (edge) => `${nameOf(parts, edge.part)} ${edge.name} ${edge.why ?? ''}`,
    'edges',
  );
  return (
    <>
      <h3 className="mt-3">Edges that nothing meets</h3>
      {search}
      <table className="table table-sm joints">
        <thead>
          <tr>
            <th scope="col">part</th>
            <th scope="col">edge</th>
            <th scope="col">free because</th>
            <th scope="col" className="text-end">
              length
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map((edge) => (
            <tr key={keyOf(edge)} className={keyOf(edge) === chosen ? 'chosen' : undefined}>
              <td>
                <button type="button" className="btn btn-link p-0 text-start" onClick={() => onChoose(keyOf(edge))}>
                  {nameOf(parts, edge.part)}
                </button>
              </td>
              <td>{edge.name}</td>
              <td>{edge.why ?? <span className="level level-stop">nothing says why</span>}</td>
              <td className="text-end text-nowrap">{edge.mm.toFixed(2)} mm</td>
            </tr>
          ))}
        </tbody>
      </table>
      {more}
    </>
  );
}
