import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api } from './client';

const busy = (seconds: string) =>
  new Response('{"message":"Chartula is still busy."}', { status: 429, headers: { 'Retry-After': seconds } });

describe('a server that is still busy with what was asked for before', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });

  it('is asked again when it says, and nobody notices', async () => {
    const answers = [busy('1'), busy('1'), new Response('{"projects":[]}', { status: 200 })];
    const fetched = vi.fn(() => Promise.resolve(answers.shift() ?? new Response(null, { status: 500 })));
    vi.stubGlobal('fetch', fetched);
    const told = api.get('projects');
    await vi.advanceTimersByTimeAsync(900);
    expect(fetched).toHaveBeenCalledTimes(1);
    await vi.advanceTimersByTimeAsync(1200);
    expect(await told).toEqual({ projects: [] });
    expect(fetched).toHaveBeenCalledTimes(3);
  });

  it('is believed where it says to come back later, as after too many passwords', async () => {
    const fetched = vi.fn(() => Promise.resolve(busy('60')));
    vi.stubGlobal('fetch', fetched);
    await expect(api.post('sign-in', {})).rejects.toMatchObject({ status: 429, message: 'Chartula is still busy.' });
    expect(fetched).toHaveBeenCalledTimes(1);
  });

  it('is not asked for ever', async () => {
    const fetched = vi.fn(() => Promise.resolve(busy('1')));
    vi.stubGlobal('fetch', fetched);
    const told = expect(api.get('projects')).rejects.toThrow('Chartula is still busy.');
    await vi.advanceTimersByTimeAsync(20_000);
    await told;
    expect(fetched).toHaveBeenCalledTimes(10);
  });
});
