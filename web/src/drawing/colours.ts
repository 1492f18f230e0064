/** The names of the theme's colours that a canvas needs; elsewhere they are written as var(--…). */
export type Colour =
  | 'acetate'
  | 'backdrop'
  | 'bench'
  | 'brick'
  | 'card-stock'
  | 'glow'
  | 'greyboard'
  | 'lamp'
  | 'other-stock'
  | 'paper'
  | 'paper-stock'
  | 'shadow'
  | 'styrene';

/** A colour of the theme as its own text, for what does not read style sheets. */
export function colour(name: Colour): string {
  return getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim();
}
