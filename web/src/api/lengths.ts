import { queryOptions } from '@tanstack/react-query';
import { api } from './client';
import type { Reading, Readings } from './types';

export type World = 'real' | 'model';

/** How a building reads lengths: its scale, and its bricks and courses as they were entered. */
export interface Measure {
  scale: string;
  gauge: { brick?: string; course?: string };
}

interface Asked {
  text: string;
  world: World;
}

interface Batch {
  asked: Asked[];
  readings: Promise<Reading[]>;
}

/** The server takes as many at once. */
const MOST = 200;

/** What is being collected, by how it is to be read: all lengths that one screen asks for go together. */
const collecting = new Map<string, Batch>();

async function send(key: string, measure: Measure, asked: Asked[]): Promise<Reading[]> {
  await new Promise((resolve) => setTimeout(resolve));
  collecting.delete(key);
  return (await api.post<Readings>('lengths', { ...measure, lengths: asked })).readings;
}

async function readLength(measure: Measure, asked: Asked): Promise<Reading> {
  const key = JSON.stringify(measure);
  let batch = collecting.get(key);
  if (batch === undefined || batch.asked.length === MOST) {
    const together: Asked[] = [];
    batch = { asked: together, readings: send(key, measure, together) };
    collecting.set(key, batch);
  }
  const place = batch.asked.push(asked) - 1;
  return (await batch.readings)[place] ?? { size: null, fault: 'this could not be read', asks: null, offers: [] };
}

/** A length as it is typed. What it says at a scale never changes. */
export const lengthOptions = (measure: Measure, text: string, world: World) =>
  queryOptions({
    queryKey: ['length', measure, world, text],
    queryFn: () => readLength(measure, { text, world }),
    staleTime: Infinity,
    retry: false,
  });

/** How the building of a document reads lengths. */
export function measureOf(document: Record<string, unknown>): Measure {
  const { brick, course } = (document.gauge ?? {}) as Record<string, unknown>;
  return {
    scale: typeof document.scale === 'string' ? document.scale : '1:76.2',
    gauge: {
      ...(typeof brick === 'string' ? { brick } : {}),
      ...(typeof course === 'string' ? { course } : {}),
    },
  };
}
