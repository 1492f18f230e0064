import type { ReactNode } from 'react';
import type { Derived } from '../api/types';
import { buildingOf, showIn } from './building';

const document = {
  scale: '1:76.2',
  plot: { size: ['338mm', '190mm'], eye: { distance: '600mm', height: '350mm', travel: '400mm' } },
  blocks: [
    { id: 'sail', name: 'Sail loft' },
    { id: 'cork', name: 'Cork loft' },
  ],
};

const derived = {
  kit: { checks: [] },
  view: {
    rule: { foot_mm: 4, metre_mm: 13.123 },
    plan: { blocks: [{ id: 'sail', name: 'Sail loft' }] },
    walls: [
      {
        key: 'sail.front',
        title: 'Sail loft, front',
        path: 'blocks.0.walls.0',
        openings: [{ key: 'p1', kind: 'open' }],
      },
      { key: 'relief.back', title: 'back', path: 'relief', openings: [] },
    ],
  },
} as unknown as Derived;

/** Shows a piece of the plot's page of two lofts. */
export const showRow = (ui: ReactNode, more: object = {}) =>
  showIn(buildingOf({ name: 'Row', document: { ...document, ...more } }), ui, derived);
