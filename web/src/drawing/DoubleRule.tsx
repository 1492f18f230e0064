import type { Units } from '../api/types';
import { realWords } from './format';

interface Props {
  left: number;
  wide: number;
  /** Of the rule on the screen, pixels. */
  width: number;
  pointer: number | null;
  rule: { foot_mm: number; metre_mm: number };
  units: Units;
}

const HEIGHT = 64;
const TOP = 18;

/** Prototype feet or metres above, model millimetres below, reading off the pointer. */
export function DoubleRule({ left, wide, width, pointer, rule, units }: Props) {
  const px = (mm: number) => ((mm - left) / wide) * width;
  const unit = units === 'imperial' ? rule.foot_mm : rule.metre_mm;
  const word = units === 'imperial' ? 'ft' : 'm';
  const every = spacing((unit / wide) * width, 52);
  const model = spacing(width / wide, 44);
  const reading = pointer === null ? null : `${realWords(pointer / unit, units)} = ${pointer.toFixed(1)} mm`;
  return (
    <svg
      className="rule"
      viewBox={`0 0 ${width} ${HEIGHT}`}
      height={HEIGHT}
      role="img"
      aria-label={`Double rule: ${word} of the prototype above, millimetres of the model below`}
    >
      <rect x={0.5} y={TOP + 0.5} width={width - 1} height={HEIGHT - TOP - 1} fill="var(--wash)" stroke="var(--rule)" />
      <line x1={0} x2={width} y1={TOP + 23} y2={TOP + 23} stroke="var(--rule)" />
      {ticks(left, wide, unit, every).map((n) => (
        <g key={`r${n}`} transform={`translate(${px(n * unit)} 0)`}>
          <line y1={TOP} y2={TOP + (n % every === 0 ? 9 : 5)} stroke="var(--ink)" />
          {n % every === 0 && (
            <text x={3} y={TOP + 19} fontSize={11}>
              {n}
              {word}
            </text>
          )}
        </g>
      ))}
      {ticks(left, wide, 1, model).map((n) => (
        <g key={`m${n}`} transform={`translate(${px(n)} 0)`}>
          <line
            y1={HEIGHT - (n % model === 0 ? 10 : n % 5 === 0 ? 7 : 4)}
            y2={HEIGHT}
            stroke="var(--ink)"
            strokeWidth={n % model === 0 ? 1 : 0.6}
          />
          {n % model === 0 && (
            <text x={3} y={HEIGHT - 12} fontSize={11}>
              {n}
            </text>
          )}
        </g>
      ))}
      {pointer !== null && reading !== null && (
        <g>
          <line x1={px(pointer)} x2={px(pointer)} y1={TOP - 2} y2={HEIGHT} stroke="var(--brick)" strokeWidth={1.5} />
          <g transform={`translate(${Math.max(70, Math.min(width - 70, px(pointer)))} 0)`}>
            <rect x={-68} y={0} width={136} height={17} fill="var(--brick)" />
            <text y={12.5} textAnchor="middle" fontSize={12} fill="var(--paper)">
              {reading}
            </text>
          </g>
        </g>
      )}
    </svg>
  );
}

/** Every how many units a figure stands, so that figures are so many pixels apart. */
export function spacing(unitPx: number, leastPx: number): number {
  return [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000].find((n) => n * unitPx >= leastPx) ?? 2000;
}

function ticks(left: number, wide: number, unit: number, every: number): number[] {
  const step = every >= 50 ? every / 10 : 1;
  const first = Math.ceil(left / unit / step) * step;
  const marks: number[] = [];
  for (let n = first; n * unit <= left + wide && marks.length < 2000; n += step) marks.push(n);
  return marks;
}
