import { type ReactNode, type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react';
import type { Units } from '../api/types';
import { RuleFigures } from '../ui/RuleFigures';
import { DoubleRule } from './DoubleRule';
import type { Bounds } from './geometry';

interface Props {
  /** What the drawing must hold, model millimetres, y up. */
  bounds: Bounds;
  /** Left free round it, model millimetres: left, below, right. */
  room: readonly [number, number, number];
  /** Left free above it, pixels: what stands there is as large at any scale. */
  above: number;
  rule: { foot_mm: number; metre_mm: number };
  units: Units;
  title: string;
  /** How many millimetres a pixel is, and how many are free on each side. */
  children: (scale: { perPx: number; free: number }) => ReactNode;
  onKeyDown?: (event: KeyboardEvent<SVGSVGElement>) => void;
  onPointerMove?: (mm: number, event: PointerEvent<SVGSVGElement>) => void;
  onPointerUp?: (mm: number, event: PointerEvent<SVGSVGElement>) => void;
  focusable?: boolean;
  /** Half as high, where figures stand under it. */
  low?: boolean;
}

/** Height by width: on a desk the rule at the foot stays on the screen; a phone has more height than width. */
const RATIO = { desk: 0.52, low: 0.3, phone: 0.8 };
const PHONE_PX = 600;
const PX_PER_MM = 96 / 25.4;

/** One large drawing, to a stated scale, with the double rule along its foot. y is flipped once, here. */
export function Canvas({
  bounds,
  room,
  above,
  rule,
  units,
  title,
  children,
  onKeyDown,
  onPointerMove,
  onPointerUp,
  focusable = false,
  low = false,
}: Props) {
  const holder = useRef<HTMLDivElement>(null);
  const svg = useRef<SVGSVGElement>(null);
  const [width, setWidth] = useState(820);
  const [pointer, setPointer] = useState<number | null>(null);
  const [marked, setMarked] = useState<number | null>(null);
  useEffect(() => {
    if (holder.current === null) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry !== undefined && entry.contentRect.width > 0) setWidth(entry.contentRect.width);
    });
    observer.observe(holder.current);
    return () => observer.disconnect();
  }, []);

  const tall = bounds.y1 - bounds.y0 + room[1];
  const broad = bounds.x1 - bounds.x0 + room[0] + room[2];
  // A tall, narrow thing is not blown up until it leaves the screen.
  const perPx = Math.max(
    broad / width,
    tall / Math.max(60, (width < PHONE_PX ? RATIO.phone : low ? RATIO.low : RATIO.desk) * width - above),
  );
  const wide = perPx * width;
  const high = tall + above * perPx;
  const left = bounds.x0 - room[0] - (wide - broad) / 2;
  const toMm = (event: PointerEvent<SVGSVGElement>) =>
    left + (event.clientX - event.currentTarget.getBoundingClientRect().left) * perPx;
  return (
    <div ref={holder}>
      <svg
        ref={svg}
        className="drawing"
        viewBox={`${left} ${-(bounds.y1 + above * perPx)} ${wide} ${high}`}
        aria-label={title}
        role={focusable ? 'application' : 'img'}
        aria-roledescription="drawing"
        tabIndex={focusable ? 0 : undefined}
        onKeyDown={onKeyDown}
        onPointerMove={(event) => {
          const mm = toMm(event);
          // A browser says again where a resting pointer is; what was typed stays until it really moves.
          if (marked === null || event.movementX !== 0 || event.movementY !== 0) setPointer(mm);
          onPointerMove?.(mm, event);
        }}
        onPointerUp={(event) => onPointerUp?.(toMm(event), event)}
        onPointerLeave={() => setPointer(null)}
      >
        <g transform="scale(1 -1)">{children({ perPx, free: (wide - broad) / 2 + room[2] })}</g>
      </svg>
      <div className="d-flex flex-wrap justify-content-between align-items-baseline gap-2">
        <RuleFigures
          onMark={(mm) => {
            setMarked(mm);
            setPointer(null);
          }}
        />
        <span className="quiet ms-auto">drawn {(1 / perPx / PX_PER_MM).toFixed(1)} times the model</span>
      </div>
      <DoubleRule left={left} wide={wide} width={width} pointer={pointer ?? marked} rule={rule} units={units} />
    </div>
  );
}
