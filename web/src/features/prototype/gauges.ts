/** Usual bricks with a joint: how long, how high a course, and the joint; as a person writes them. */
export const GAUGES = [
  { name: 'imperial', brick: '9in', course: '3in', joint: '3/8in' },
  { name: 'imperial, thick courses', brick: '9in', course: '3 1/4in', joint: '3/8in' },
  { name: 'metric', brick: '225mm', course: '75mm', joint: '10mm' },
  { name: 'modular, on an inch grid', brick: '8in', course: '2 2/3in', joint: '3/8in' },
  { name: 'octametric', brick: '250mm', course: '83.3mm', joint: '12mm' },
  { name: 'octametric, thin', brick: '250mm', course: '62.5mm', joint: '10mm' },
] as const;
