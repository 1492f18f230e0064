import { createContext, useContext } from 'react';
import type { BuildingState, Derived, Edit, Size, Units, View } from '../api/types';

export interface BuildingContextValue {
  /** With what has been typed and is on its way. */
  state: BuildingState;
  /** What the last sound revision gives; null for a building that never was sound. */
  derived: Derived | null;
  /** What is drawn: as it is described while something is wrong with it, as it is made otherwise. */
  drawn: View | null;
  units: Units;
  save: (edits: Edit[]) => void;
  /** Presses that follow each other within a second are one revision. */
  gather: (edits: Edit[]) => void;
  undo: () => void;
  redo: () => void;
  restore: (number: number) => void;
  /** Edits that what is drawn does not show yet. */
  unseen: readonly Edit[];
  show: (size: Size) => string;
}

export const BuildingContext = createContext<BuildingContextValue | null>(null);

export function useBuilding(): BuildingContextValue {
  const value = useContext(BuildingContext);
  if (value === null) throw new Error('Outside a building');
  return value;
}

/** Stocks are called as people call them, with the thickness that they are taken to have. */
export function useStockName(): (id: string) => string {
  const { derived } = useBuilding();
  return (id) => derived?.view.stocks.find((stock) => stock.id === id)?.name ?? id;
}

/** A sentence of a file, which calls stocks by their ids, as people call them. */
export function useStockWords(): (text: string) => string {
  const { derived } = useBuilding();
  // A longer id may begin with a shorter one.
  const stocks = (derived?.view.stocks ?? []).toSorted((a, b) => b.id.length - a.id.length);
  return (text) => stocks.reduce((said, stock) => said.replaceAll(stock.id, stock.name), text);
}

/** A faulty building is drawn as it is described; materials stay those of the last sound revision. */
export function drawnOf(state: BuildingState): View | null {
  const made = state.derived?.view ?? null;
  return state.sketch === null ? made : { ...state.sketch, stocks: made?.stocks ?? [] };
}

/** The value at a dotted path of the document; undefined where there is none. */
export function valueAt(document: unknown, path: string): unknown {
  let value: unknown = document;
  for (const key of path.split('.')) {
    if (value === null || typeof value !== 'object') return undefined;
    value = (value as Record<string, unknown>)[key];
  }
  return value;
}

/** A plain value as text; '' for whatever is none. */
export function asText(value: unknown): string {
  return ['string', 'number', 'boolean'].includes(typeof value) ? String(value) : '';
}

/** The value at a dotted path of the document, as text; '' where there is none. */
export function textAt(document: unknown, path: string): string {
  return asText(valueAt(document, path));
}
