import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { buildingOptions } from '../../api/options';
import { useSaving } from './useSaving';

interface Sent {
  client_id: string;
  base: number;
  edits?: { value: string; bricks?: number }[];
  undo?: boolean;
  document?: string;
  even_fixed?: boolean;
  isPreview: boolean;
}

function state(number: number, name = 'Hut') {
  return {
    id: 'b',
    revision: { number, summary: '', is_sound: true, at: '' },
    history: { undo: null, redo: null },
    document: { name },
  };
}

const conflict = {
  code: 'conflict',
  message: 'changed',
  base: 1,
  theirs: state(7).revision,
  mine: { summary: 'mine', document: { name: 'Mine' } },
  differences: { theirs: [], mine: [{ path: 'name', text: 'name', before: 'Hut', after: 'Mine', clashes: true }] },
};

/** A server that answers as told, in order; then saves. */
function serve(answers: (number | 'gone' | 'fixed')[], code = 'c') {
  const sent: Sent[] = [];
  vi.stubGlobal('fetch', (url: string, init: RequestInit) => {
    if (init.method === 'GET') return Promise.resolve(new Response(JSON.stringify(state(7)), { status: 200 }));
    const isPreview = url.endsWith('/preview');
    const body = { ...(JSON.parse(typeof init.body === 'string' ? init.body : '{}') as Sent), isPreview };
    sent.push(body);
    if (isPreview) return Promise.resolve(new Response(JSON.stringify(state(body.base, 'previewed')), { status: 200 }));
    const answer = answers.shift() ?? 201;
    if (answer === 'gone') return Promise.reject(new TypeError('gone'));
    const content =
      answer === 409
        ? conflict
        : answer === 'fixed'
          ? { code: 'fixed', message: 'fixed', parts: [] }
          : answer === 422
            ? { message: 'no', problems: [{ path: 'p', code, text: 'cannot be' }] }
            : state(body.base + 1);
    return Promise.resolve(new Response(JSON.stringify(content), { status: answer === 'fixed' ? 409 : answer }));
  });
  return sent;
}

function begin() {
  const queries = new QueryClient();
  queries.setQueryData(buildingOptions('b').queryKey, state(1) as never);
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={queries}>{children}</QueryClientProvider>
  );
  return renderHook(() => useSaving('b', 5), { wrapper });
}

const edit = (value: string) => [{ op: 'set' as const, path: 'name', value }];

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('saving', () => {
  it('sends one after the other, each on the revision before, later edits together', async () => {
    const sent = serve([]);
    const { result } = begin();
    act(() => {
      result.current.save(edit('A'));
      result.current.save(edit('B'));
      result.current.save(edit('C'));
    });
    await waitFor(() => expect(result.current.status.kind).toBe('saved'));
    expect(sent.map((one) => [one.base, one.edits?.map((e) => e.value)])).toEqual([
      [1, ['A']],
      [2, ['B', 'C']],
    ]);
    expect(sessionStorage.length).toBe(0);
  });

  it('keeps what could not be sent in the tab and sends it again under the same id', async () => {
    vi.useFakeTimers({ shouldAdvanceTime: true });
    const sent = serve(['gone', 503]);
    const { result } = begin();
    act(() => result.current.save(edit('A')));
    await waitFor(() => expect(result.current.status.kind).toBe('waiting'));
    expect(sessionStorage.getItem('unsent:5:b')).toContain('"A"');
    await act(() => vi.advanceTimersByTimeAsync(7000));
    await waitFor(() => expect(result.current.status.kind).toBe('saved'));
    expect(new Set(sent.map((one) => one.client_id)).size).toBe(1);
    expect(sent).toHaveLength(3);
  });

  it('sends a change on which the server breaks three times and no more, and goes on without it', async () => {
    vi.useFakeTimers();
    const pass = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));
    const sent = serve([500, 500, 500, 201]);
    const { result } = begin();
    act(() => result.current.save(edit('A')));
    for (let i = 0; i < 6; i++) await pass(3000);
    expect(result.current.status.kind).toBe('broken');
    act(() => result.current.save(edit('B')));
    await pass(3000);
    expect(sent.map((one) => one.edits?.[0]?.value)).toEqual(['A', 'A', 'A']);
    act(() => result.current.takeBack());
    await pass(10);
    expect(result.current.status.kind).toBe('saved');
    expect(sent.map((one) => one.edits?.[0]?.value)).toEqual(['A', 'A', 'A', 'B']);
    vi.useRealTimers();
  });

  it('stops at a conflict and drops what is refused', async () => {
    serve([409]);
    const first = begin();
    act(() => first.result.current.save(edit('A')));
    await waitFor(() => expect(first.result.current.status).toEqual({ kind: 'conflict', conflict }));
    sessionStorage.clear();
    serve([422]);
    const second = begin();
    act(() => second.result.current.save(edit('A')));
    await waitFor(() =>
      expect(second.result.current.status).toEqual({ kind: 'refused', why: 'cannot be', instead: null }),
    );
    expect(sessionStorage.length).toBe(0);
  });

  it('offers to change a shape whose openings would go all the same', async () => {
    const sent = serve([422, 201], 'edit.wall-goes');
    const { result } = begin();
    act(() => result.current.save([{ op: 'shape-block', block: 'main', shape: 'rect' }]));
    await waitFor(() => expect(result.current.status.kind).toBe('refused'));
    const { status } = result.current;
    act(() => result.current.save(status.kind === 'refused' ? (status.instead ?? []) : []));
    await waitFor(() => expect(result.current.status.kind).toBe('saved'));
    expect(sent[1]?.edits).toEqual([{ op: 'shape-block', block: 'main', shape: 'rect', even_openings: true }]);
  });

  it.each([
    ['mine', { document: '{"name":"Mine"}' }],
    ['again', { edits: [{ op: 'set', path: 'name', value: 'A' }] }],
    ['some', { edits: [{ op: 'set', path: 'name', value: 'Mine' }] }],
  ] as const)('settles a conflict by keeping %s on their revision', async (how, change) => {
    const sent = serve([409]);
    const { result } = begin();
    act(() => result.current.save(edit('A')));
    await waitFor(() => expect(result.current.status.kind).toBe('conflict'));
    await act(() => result.current.settle(how === 'some' ? conflict.differences.mine : how));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]).toMatchObject({ base: 7, ...change });
    await waitFor(() => expect(sessionStorage.length).toBe(0));
  });

  it('puts what waits together before a conflict is shown', async () => {
    const sent = serve([409, 409]);
    const { result } = begin();
    act(() => {
      result.current.save(edit('A'));
      result.current.save(edit('B'));
    });
    await waitFor(() => expect(result.current.status.kind).toBe('conflict'));
    expect(sent.map((one) => one.edits?.map((e) => e.value))).toEqual([['A'], ['A', 'B']]);
  });

  it('gathers presses that follow each other into one revision, showing each at once', async () => {
    vi.useFakeTimers({ shouldAdvanceTime: true });
    const sent = serve([]);
    const { result } = begin();
    const press = [{ op: 'move-opening' as const, wall: 'front', id: 'w1', bricks: 1 }];
    act(() => result.current.gather(press));
    await waitFor(() => expect(sent).toHaveLength(1));
    await act(() => vi.advanceTimersByTimeAsync(400));
    act(() => result.current.gather(press));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(result.current.status.kind).toBe('gathering');
    expect(result.current.unseen).toEqual([]);
    await act(() => vi.advanceTimersByTimeAsync(1500));
    await waitFor(() => expect(result.current.status.kind).toBe('saved'));
    expect(sent.map((one) => [one.isPreview, one.edits?.length])).toEqual([
      [true, 1],
      [true, 2],
      [false, 2],
    ]);
  });

  it('takes back what is not sent yet, and asks the server for the rest', async () => {
    vi.useFakeTimers({ shouldAdvanceTime: true });
    const sent = serve(['gone']);
    const { result } = begin();
    act(() => result.current.save(edit('A')));
    await waitFor(() => expect(result.current.status.kind).toBe('waiting'));
    act(() => result.current.undo());
    expect(sessionStorage.length).toBe(0);
    await act(() => vi.advanceTimersByTimeAsync(4000));
    expect(sent).toHaveLength(1);
    act(() => result.current.undo());
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]).toMatchObject({ undo: true });
  });

  it('keeps everything when the session has ended, and goes on when told', async () => {
    const sent = serve([401]);
    const { result } = begin();
    act(() => result.current.save(edit('A')));
    await waitFor(() => expect(result.current.status.kind).toBe('signed-out'));
    expect(sessionStorage.getItem('unsent:5:b')).toContain('"A"');
    act(() => result.current.retry());
    await waitFor(() => expect(result.current.status.kind).toBe('saved'));
    expect(sent).toHaveLength(2);
  });

  it('asks before a fixed part changes, and does what it is told', async () => {
    const sent = serve(['fixed', 201, 'fixed']);
    const { result } = begin();
    act(() => result.current.save(edit('A')));
    await waitFor(() => expect(result.current.status).toEqual({ kind: 'fixed', message: 'fixed', parts: [] }));
    act(() => result.current.settleFixed(true));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]).toMatchObject({ even_fixed: true, edits: [{ value: 'A' }] });
    await waitFor(() => expect(result.current.status.kind).toBe('saved'));
    act(() => result.current.save(edit('B')));
    await waitFor(() => expect(result.current.status.kind).toBe('fixed'));
    act(() => result.current.settleFixed(false));
    await waitFor(() => expect(sessionStorage.length).toBe(0));
    expect(sent).toHaveLength(3);
  });
});
