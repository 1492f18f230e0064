import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { DoubleRule, spacing } from './DoubleRule';
import { realWords } from './format';
import { boundsOf, pathOf } from './geometry';

describe('the double rule', () => {
  it('reads both worlds off the pointer', () => {
    render(
      <DoubleRule
        left={-10}
        wide={100}
        width={800}
        pointer={22}
        rule={{ foot_mm: 4, metre_mm: 13.123 }}
        units="imperial"
      />,
    );
    expect(screen.getByText('5ft 6in = 22.0 mm')).toBeInTheDocument();
    expect(screen.getByText('12ft')).toBeInTheDocument();
  });

  it('keeps its figures apart at any scale', () => {
    for (const px of [0.3, 1, 4, 11, 60, 200]) {
      const every = spacing(px, 50);
      expect(every * px).toBeGreaterThanOrEqual(50);
    }
  });

  it('says nothing before the pointer is over the drawing', () => {
    render(
      <DoubleRule
        left={0}
        wide={50}
        width={400}
        pointer={null}
        rule={{ foot_mm: 4, metre_mm: 13.123 }}
        units="metric"
      />,
    );
    expect(screen.queryByText(/=/)).toBeNull();
    expect(screen.getByText('1m')).toBeInTheDocument();
  });
});

describe('readings', () => {
  it.each([
    [5.5, 'imperial', '5ft 6in'],
    [-1.25, 'imperial', '-1ft 3in'],
    [2.999, 'imperial', '3ft 0in'],
    [1.234, 'metric', '1.23 m'],
  ] as const)('%s in %s is %s', (real, units, words) => {
    expect(realWords(real, units)).toBe(words);
  });
});

describe('placing', () => {
  it('bounds rings away from the origin', () => {
    expect(
      boundsOf([
        [
          [12, 7],
          [31, 9],
        ],
        [[15, -4]],
      ]),
    ).toEqual({ x0: 12, y0: -4, x1: 31, y1: 9 });
  });

  it('writes closed and open paths', () => {
    expect(
      pathOf([
        [1, 2],
        [3.5, 4],
      ]),
    ).toBe('M1 2L3.5 4Z');
    expect(
      pathOf(
        [
          [1, 2],
          [3.5, 4],
        ],
        false,
      ),
    ).toBe('M1 2L3.5 4');
  });
});
