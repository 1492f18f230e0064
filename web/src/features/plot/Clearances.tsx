import type { PlotView } from '../../api/types';

/** What is left to everything round it, the worst first; each sentence opens its sum. */
export function Clearances({
  plot,
  chosen,
  onChoose,
}: {
  plot: PlotView;
  chosen: string | null;
  onChoose: (key: string | null) => void;
}) {
  return (
    <ul className="clearances" aria-label="What is left">
      {plot.clearances.map((one, i) => {
        const key = `${one.kind} ${one.with}`;
        return (
          <li key={i} className={one.fits ? 'fits' : 'short'}>
            <button
              type="button"
              aria-expanded={chosen === key}
              onClick={() => onChoose(chosen === key ? null : key)}
              disabled={one.sums.length === 0 && one.line === null}
            >
              <span className="mm">{one.left_mm.toFixed(2)} mm</span>
              <span>
                <span className="visually-hidden">{one.fits ? 'fits: ' : 'does not fit: '}</span>
                {one.text}
              </span>
            </button>
            {chosen === key && one.sums.length > 0 && (
              <ul className="sums">
                {one.sums.map((line, k) => (
                  <li key={k}>{line}</li>
                ))}
              </ul>
            )}
          </li>
        );
      })}
    </ul>
  );
}
