import type { Workings } from '../api/types';

/** A figure's sum, ruled off as on paper. */
export function WorkingsTable({ workings, title }: { workings: Workings; title?: string }) {
  return (
    <section className="workings">
      <h3>{title ?? workings.of}</h3>
      <table>
        <tbody>
          {workings.steps.map((step, i) => (
            <tr key={i}>
              <td className="text">{step.text}</td>
              <td className="mm">{figure(step)}</td>
            </tr>
          ))}
          <tr className="sum">
            <td>{workings.of}</td>
            <td className="mm">{workings.mm.toFixed(2)} mm</td>
          </tr>
        </tbody>
      </table>
    </section>
  );
}

/** What a step takes off or adds, or what a division leaves. */
function figure(step: Workings['steps'][number]): string {
  if (step.op === 'measured') return '';
  return (step.op === '−' || step.op === '+') && step.by !== undefined
    ? `${step.op} ${step.by.toFixed(2)}`
    : step.mm.toFixed(2);
}
