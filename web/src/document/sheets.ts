import { useQuery } from '@tanstack/react-query';
import { sheetsOptions } from '../api/options';
import type { LaidSheets } from '../api/types';
import { useBuilding } from './context';

/** How the kit lies on its sheets: as the edit left it until the server says how well they can be packed. */
export function useSheets(): LaidSheets | null {
  const { state, derived } = useBuilding();
  const found = useQuery({ ...sheetsOptions(state.id, state.derived_from ?? 0), enabled: derived !== null });
  if (derived === null) return null;
  if (found.data !== undefined && found.data.revision === state.derived_from) return found.data;
  const { sheets, totals } = derived.kit;
  const docket = derived.docket.find((entry) => entry.key === 'sheets');
  if (docket === undefined) return null;
  return {
    revision: state.derived_from ?? 0,
    packing: 'quick',
    looking: false,
    missing: [],
    bound: totals.sheets_bound,
    percent: 100 * totals.sheets_yield,
    docket,
    stage: derived.stages.sheets ?? '',
    sheets,
  };
}
