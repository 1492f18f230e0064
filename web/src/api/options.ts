import { type QueryClient, queryOptions } from '@tanstack/react-query';
import { api } from './client';
import type {
  Account,
  AsNeighbour,
  BuildingCard,
  BuildingState,
  Comparison,
  Compromises,
  Cut,
  Direction,
  DryFit,
  Forms,
  Found,
  Kinds,
  LaidSheets,
  Made,
  Mockup,
  ProjectSummary,
  ReliefTable,
  ScaleTable,
  Shapes,
  SectionAt,
  Sight,
  Stand,
  Whole,
} from './types';

export const accountOptions = () => queryOptions({ queryKey: ['account'], queryFn: () => api.get<Account>('me') });

export const projectsOptions = () =>
  queryOptions({
    queryKey: ['projects'],
    queryFn: async () => (await api.get<{ projects: ProjectSummary[] }>('projects')).projects,
  });

export const formsOptions = () =>
  queryOptions({
    queryKey: ['forms'],
    queryFn: async () => (await api.get<Forms>('forms')).forms,
    staleTime: Infinity,
  });

export const shapesOptions = () =>
  queryOptions({
    queryKey: ['shapes'],
    queryFn: async () => (await api.get<Shapes>('shapes')).shapes,
    staleTime: Infinity,
  });

export const cardOptions = (id: string, revision: number) =>
  queryOptions({
    queryKey: ['building', id, 'card', revision],
    queryFn: () => api.get<BuildingCard>(`buildings/${id}/card`),
    staleTime: Infinity,
  });

export const wholeOptions = (id: string, side: string, revision: number) =>
  queryOptions({
    queryKey: ['building', id, 'whole', side, revision],
    queryFn: () => api.get<Whole>(`buildings/${id}/whole/${side}`),
    staleTime: Infinity,
  });

export const asNeighbourOptions = (id: string, revision: number) =>
  queryOptions({
    queryKey: ['building', id, 'as neighbour', revision],
    queryFn: () => api.get<AsNeighbour>(`buildings/${id}/as-neighbour`),
  });

export const kindsOptions = (id: string, revision: number) =>
  queryOptions({
    queryKey: ['building', id, 'kinds', revision],
    queryFn: () => api.get<Kinds>(`buildings/${id}/kinds`),
  });

export const buildingOptions = (id: string) =>
  queryOptions({ queryKey: ['building', id], queryFn: () => api.get<BuildingState>(`buildings/${id}`) });

export const comparisonOptions = (id: string, from: number, to: number) =>
  queryOptions({
    queryKey: ['building', id, 'compare', from, to],
    queryFn: () => api.get<Comparison>(`buildings/${id}/revisions/${from}/compare/${to}`),
  });

export const madeOptions = (id: string) =>
  queryOptions({ queryKey: ['building', id, 'made'], queryFn: () => api.get<Made>(`buildings/${id}/made`) });

export const dryFitOptions = (id: string, revision: number) =>
  queryOptions({
    queryKey: ['building', id, 'fit', revision],
    queryFn: () => api.get<DryFit>(`buildings/${id}/fit`),
  });

export const standOptions = (id: string, revision: number) =>
  queryOptions({
    queryKey: ['building', id, 'stand', revision],
    queryFn: () => api.get<Stand>(`buildings/${id}/stand`),
  });

export const sectionOptions = (id: string, across: 'x' | 'y', at: string, revision: number) =>
  queryOptions({
    queryKey: ['building', id, 'section', across, at, revision],
    queryFn: () => api.get<SectionAt>(`buildings/${id}/section?across=${across}&at=${at}`),
  });

export const scalesOptions = (id: string, revision: number, also: string) =>
  queryOptions({
    queryKey: ['building', id, 'scales', revision, also],
    queryFn: () => api.get<ScaleTable>(`buildings/${id}/scales${also === '' ? '' : `?also=${also}`}`),
  });

export const reliefOptions = (id: string, revision: number, depth: string) =>
  queryOptions({
    queryKey: ['building', id, 'relief', revision, depth],
    queryFn: () => api.get<ReliefTable>(`buildings/${id}/relief?${new URLSearchParams({ depth }).toString()}`),
    retry: false,
  });

/** What is said of a query, without what is not. */
function said(asked: Record<string, string | undefined>): [string, string][] {
  return Object.entries(asked).flatMap(([key, value]) => (value === undefined ? [] : [[key, value]]));
}

export const compromisesOptions = (
  id: string,
  revision: number,
  asked: Partial<Record<Direction | 'wall' | 'alike' | 'bricks', string | undefined>>,
) =>
  queryOptions({
    queryKey: ['building', id, 'compromises', revision, asked],
    queryFn: () => api.get<Compromises>(`buildings/${id}/compromises?${new URLSearchParams(said(asked)).toString()}`),
    retry: false,
  });

export const sightOptions = (id: string, revision: number) =>
  queryOptions({
    queryKey: ['building', id, 'sight', revision],
    queryFn: () => api.get<Sight>(`buildings/${id}/sight`),
  });

export const materialOptions = (id: string, revision: number, world: 'model' | 'real', text: string) =>
  queryOptions({
    queryKey: ['building', id, 'material', revision, world, text],
    queryFn: () =>
      api.get<{ text: string }>(`buildings/${id}/material?${new URLSearchParams({ world, text }).toString()}`),
    retry: false,
  });

export const mockupOptions = (id: string, revision: number, size: string) =>
  queryOptions({
    queryKey: ['building', id, 'mockup', revision, size],
    queryFn: () => api.get<Mockup>(`buildings/${id}/mockup?r=${revision}&size=${size}`),
  });

/** Asked again while the server still looks for fewer sheets. */
export const sheetsOptions = (id: string, revision: number) =>
  queryOptions({
    queryKey: ['building', id, 'sheets', revision],
    queryFn: () => api.get<LaidSheets>(`buildings/${id}/sheets`),
    refetchInterval: (query) => (query.state.data?.looking === true ? 2000 : false),
  });

export const cutOptions = (id: string, sheet: string, packing: string, revision: number) =>
  queryOptions({
    queryKey: ['building', id, 'cut', sheet, packing, revision],
    queryFn: () => api.get<Cut>(`buildings/${id}/sheets/${sheet}/cut?packing=${packing}`),
  });

/** With a building at its scale, without one at the scale that is said. */
export const foundOptions = (id: string | null, text: string, scale: string) =>
  queryOptions({
    queryKey: ['found', id, text, scale],
    queryFn: () => {
      const query = new URLSearchParams(id === null ? { text, scale } : { text });
      return api.get<Found>(`${id === null ? '' : `buildings/${id}/`}find?${query.toString()}`);
    },
  });

/** Another person, or nobody, sits here now: nothing of what the one before saw stays. */
export function enterAs(queries: QueryClient, account: Account): void {
  queries.removeQueries({ predicate: (query) => query.queryKey[0] !== 'account' });
  queries.setQueryData(accountOptions().queryKey, account);
}
