import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useOneAtATime } from './oneAtATime';

describe('one picture at a time', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => vi.useRealTimers());

  const begin = () => renderHook(({ wanted }) => useOneAtATime(wanted), { initialProps: { wanted: '/1?r=1' } });

  it('asks for the newest once the one on its way is there, and for none between', () => {
    const { result, rerender } = begin();
    rerender({ wanted: '/1?r=2' });
    rerender({ wanted: '/1?r=3' });
    expect(result.current.href).toBe('/1?r=1');
    act(() => result.current.onLoad());
    expect(result.current.href).toBe('/1?r=3');
    act(() => result.current.onLoad());
    rerender({ wanted: '/1?r=4' });
    expect(result.current.href).toBe('/1?r=4');
  });

  it('asks again for one that was put off, and not for ever', () => {
    const { result } = begin();
    for (let again = 1; again <= 5; again++) {
      act(() => result.current.onError());
      act(() => void vi.advanceTimersByTime(1000));
      expect(result.current.href).toBe(`/1?r=1&again=${again}`);
    }
    act(() => result.current.onError());
    act(() => void vi.advanceTimersByTime(9000));
    expect(result.current.href).toBe('/1?r=1&again=5');
  });

  it('leaves one that was put off for a newer one', () => {
    const { result, rerender } = begin();
    act(() => result.current.onError());
    rerender({ wanted: '/1?r=2' });
    expect(result.current.href).toBe('/1?r=2');
    act(() => void vi.advanceTimersByTime(5000));
    expect(result.current.href).toBe('/1?r=2');
  });
});
