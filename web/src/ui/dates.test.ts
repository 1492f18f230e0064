import { describe, expect, it } from 'vitest';
import { whenOf } from './dates';

const now = new Date(2026, 10, 30, 9, 0);

describe('when something was', () => {
  it.each([
    [new Date(2026, 10, 30, 0, 5), /^today, /],
    [new Date(2026, 10, 29, 23, 55), /^yesterday, /],
    [new Date(2026, 10, 28, 16, 20), /28.*, .*20/],
    [new Date(2025, 1, 3, 16, 20), /2025, /],
  ])('says %s', (at, words) => {
    expect(whenOf(at.toISOString(), now)).toMatch(words);
  });

  it('leaves this year out', () => {
    expect(whenOf(new Date(2026, 2, 3, 8, 1).toISOString(), now)).not.toContain('2026');
  });
});
