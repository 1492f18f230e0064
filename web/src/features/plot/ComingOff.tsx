import type { PlotView } from '../../api/types';

/** In which order things come off the layout, and into which pieces a long building is divided for that. */
export function ComingOff({ off, split }: { off: PlotView['off']; split: NonNullable<PlotView['split']> }) {
  return (
    <section className="mt-3" aria-label="Coming off the layout">
      <h3>Coming off the layout</h3>
      <ol>
        {off.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      <ul className="quiet">
        {split.texts.map((text) => (
          <li key={text}>{text}</li>
        ))}
      </ul>
    </section>
  );
}
