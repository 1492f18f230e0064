import type { ReactNode } from 'react';

interface Props {
  from: number;
  to: number;
  y: number;
  perPx: number;
  text: string;
  strong?: boolean;
  upright?: boolean;
}

/** A dimension line with its figure, drawn in pixels so that it reads at any scale. Inside the flipped group. */
export function Dimension({ from, to, y, perPx, text, strong = false, upright = false }: Props) {
  const colour = strong ? 'var(--brick)' : 'var(--ink)';
  const tick = 5 * perPx;
  // A figure that does not fit its own link would run into its neighbours.
  const fits = (to - from) / perPx > text.length * 6.2;
  const line = upright ? (
    <path
      d={`M${y} ${from}V${to}M${y - tick} ${from}h${2 * tick}M${y - tick} ${to}h${2 * tick}`}
      stroke={colour}
      strokeWidth={perPx}
    />
  ) : (
    <path
      d={`M${from} ${y}H${to}M${from} ${y - tick}v${2 * tick}M${to} ${y - tick}v${2 * tick}`}
      stroke={colour}
      strokeWidth={perPx}
    />
  );
  const at: readonly [number, number] = upright ? [y - 7 * perPx, (from + to) / 2] : [(from + to) / 2, y + 6 * perPx];
  return (
    <g>
      {line}
      {fits && (
        <Words x={at[0]} y={at[1]} perPx={perPx} turn={upright} strong={strong}>
          {text}
        </Words>
      )}
    </g>
  );
}

export function Words({
  x,
  y,
  perPx,
  children,
  turn = false,
  strong = false,
  size = 12.5,
}: {
  x: number;
  y: number;
  perPx: number;
  children: ReactNode;
  turn?: boolean;
  strong?: boolean;
  size?: number;
}) {
  return (
    <text
      transform={`translate(${x} ${y}) scale(1 -1)${turn ? ' rotate(-90)' : ''}`}
      fontSize={size * perPx}
      textAnchor="middle"
      style={strong ? { fontWeight: 600, fill: 'var(--brick)' } : undefined}
    >
      {children}
    </text>
  );
}
