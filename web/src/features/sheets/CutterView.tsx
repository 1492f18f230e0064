import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import { cutOptions } from '../../api/options';
import type { Cut } from '../../api/types';
import { pathOf } from '../../drawing/geometry';
import { useBuilding, useStockWords } from '../../document/context';
import { focusWhenShown } from '../../ui/focus';

/** How much faster than the knife it is shown. */
const FASTER = 20;

/** The simulated cutter at work on one sheet: every line in its order, as the plotter file has it. */
export function CutterView({ sheet, packing, close }: { sheet: string; packing: string; close: () => void }) {
  const { state } = useBuilding();
  const cut = useQuery(cutOptions(state.id, sheet, packing, state.derived_from ?? 0));
  return (
    <section className="sheet mb-3" aria-label={`Cutting sheet ${sheet}`}>
      <div className="d-flex justify-content-between gap-2">
        <h2 tabIndex={-1} ref={focusWhenShown}>
          What the knife does on sheet {sheet}
        </h2>
        <Button variant="outline-secondary" size="sm" onClick={close}>
          Close
        </Button>
      </div>
      {cut.isPending && <p role="status">Running the file …</p>}
      {cut.isError && <p className="text-danger">{cut.error.message}</p>}
      {cut.data !== undefined && <Running cut={cut.data} />}
    </section>
  );
}

const minutes = (seconds: number) => `${Math.floor(seconds / 60)} min ${Math.round(seconds % 60)} s`;

function Running({ cut }: { cut: Cut }) {
  const stockWords = useStockWords();
  const [at, setAt] = useState(cut.seconds);
  const [isRunning, setIsRunning] = useState(false);
  useEffect(() => {
    if (!isRunning) return;
    let frame = 0;
    let last = performance.now();
    const tick = (now: number) => {
      const by = ((now - last) / 1000) * FASTER;
      last = now;
      setAt((before) => Math.min(cut.seconds, before + by));
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [isRunning, cut.seconds]);
  const isDone = at >= cut.seconds;
  const [w, h] = cut.size;
  const current = cut.strokes.findIndex((stroke) => stroke.end_s > at);
  return (
    <>
      <p>
        {cut.strokes.length} lines in {minutes(cut.seconds)};{' '}
        {cut.cuts
          .map(({ stock, passes }) => `${passes === 1 ? 'one pass' : `${passes} passes`} in ${stock}`)
          .join(', ')}
        . {cut.findings.length === 0 ? 'Nothing leaves the sheet, and nothing comes loose before its time.' : ''}
      </p>
      <p className="quiet">{stockWords(cut.notes.join('; '))}</p>
      {cut.findings.length > 0 && (
        <ul className="remark remark-stop">
          {cut.findings.map((finding) => (
            <li key={finding}>{finding}</li>
          ))}
        </ul>
      )}
      <div className="tools mb-2">
        <Button
          onClick={() => {
            if (isDone) setAt(0);
            setIsRunning(!isRunning || isDone);
          }}
        >
          {isRunning && !isDone ? 'Hold' : isDone ? 'Run it' : 'Go on'}
        </Button>
        <label className="flex-grow-1">
          <span className="visually-hidden">time</span>
          <input
            type="range"
            className="form-range"
            min={0}
            max={cut.seconds}
            step={0.5}
            value={at}
            onChange={(event) => {
              setIsRunning(false);
              setAt(Number(event.target.value));
            }}
          />
        </label>
        <span>
          {minutes(at)}
          {isDone ? ', done' : current >= 0 ? `, line ${current + 1}` : ''}
        </span>
      </div>
      <svg className="cutting" viewBox={`0 ${-h} ${w} ${h}`} role="img" aria-label="The sheet under the knife">
        <rect x={0} y={-h} width={w} height={h} fill="var(--paper)" stroke="var(--rule)" strokeWidth={0.4} />
        <g transform="scale(1 -1)" fill="none" strokeLinejoin="round">
          {cut.strokes.map((stroke, i) => {
            const share = Math.max(
              0,
              Math.min(1, (at - stroke.start_s) / Math.max(0.01, stroke.end_s - stroke.start_s)),
            );
            return (
              <g key={i}>
                <path d={pathOf(stroke.points, false)} stroke="var(--board)" strokeWidth={0.4} />
                {share > 0 && (
                  <path
                    d={pathOf(stroke.points, false)}
                    stroke={stroke.tool === 'score' ? 'var(--brick)' : 'var(--ink)'}
                    strokeWidth={i === current ? 0.9 : 0.45}
                    pathLength={1}
                    strokeDasharray={`${share} 1`}
                  />
                )}
              </g>
            );
          })}
        </g>
      </svg>
    </>
  );
}
