import type { Units } from '../api/types';

/** Writes a reading of the double rule; the figures it is given were worked out by the server. */
export function realWords(real: number, units: Units): string {
  if (units === 'metric') return `${real.toFixed(2)} m`;
  const inches = Math.round(real * 12);
  const sign = inches < 0 ? '-' : '';
  const feet = Math.floor(Math.abs(inches) / 12);
  const rest = Math.abs(inches) % 12;
  return `${sign}${feet}ft ${rest}in`;
}
