import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeAll, beforeEach, vi } from 'vitest';
import type { BuildingState, Derived, Edit, Fault } from '../api/types';
import { formsOptions } from '../api/options';
import { BuildingContext } from '../document/context';
import { FORMS } from './forms';

/** Something that is wrong in the front wall. */
export const faultAt = (path: string, text: string, go: Partial<Fault['go']> = {}): Fault => ({
  path,
  code: 'x',
  text,
  where: 'Front, second window',
  says: { imperial: text, metric: text },
  go: { stage: 'shell', block: 'main', wall: 'main.front', opening: 'w2', ...go },
  cure: null,
});

/** A building as the server gives it, with nothing but what a test says of it. */
export const buildingOf = (more: Partial<BuildingState> = {}): BuildingState => ({
  id: 'b',
  project_id: 'p',
  name: 'Hut',
  revision: {
    number: 1,
    summary: '',
    name: null,
    note: null,
    kind: 'edit',
    parts_changed: null,
    is_sound: true,
    at: '',
  },
  faults: [],
  derived_from: 1,
  history: { undo: null, redo: null },
  made: null,
  document: { scale: '1:76.2' },
  derived: null,
  sketch: null,
  plot_sketch: null,
  ...more,
});

/** Shows a piece of a page of that building, and tells what it saves and gathers. */
export function showIn(state: BuildingState, ui: ReactNode, derived: Derived | null = state.derived) {
  const save = vi.fn<(edits: Edit[]) => void>();
  const gather = vi.fn<(edits: Edit[]) => void>();
  const queries = new QueryClient();
  queries.setQueryData(formsOptions().queryKey, FORMS);
  const { container } = render(
    <QueryClientProvider client={queries}>
      <MemoryRouter>
        <BuildingContext.Provider
          value={{
            state,
            derived,
            drawn: state.sketch ?? derived?.view ?? null,
            units: 'imperial',
            save,
            gather,
            undo: vi.fn(),
            redo: vi.fn(),
            restore: vi.fn(),
            unseen: [],
            show: (size) => size.imperial,
          }}
        >
          {ui}
        </BuildingContext.Provider>
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return { save, gather, container };
}

/** A server that knows answers by the beginning of the path of building b, and refuses the rest; and what it was asked. */
export function standInServer() {
  const server = { answers: {} as Record<string, unknown>, asked: [] as string[] };
  beforeAll(() =>
    vi.stubGlobal(
      'ResizeObserver',
      class {
        observe() {}
        disconnect() {}
      },
    ),
  );
  beforeEach(() => {
    server.asked = [];
    vi.stubGlobal('fetch', (url: string) => {
      server.asked.push(url);
      const key = Object.keys(server.answers).find((one) => url.startsWith(`/api/buildings/b/${one}`));
      return Promise.resolve(
        new Response(JSON.stringify(key === undefined ? { message: 'Not asked for here.' } : server.answers[key]), {
          status: key === undefined ? 422 : 200,
        }),
      );
    });
  });
  afterEach(() => {
    server.answers = {};
  });
  return server;
}
