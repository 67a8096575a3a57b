import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { dailyDegreeDays } from './degreeDays.ts';

/** The same sine summed at 1-minute steps: what the closed form must equal. */
function byIntegration(minC: number, maxC: number, lowerC: number, upperC = Infinity): number {
  let sum = 0;
  for (let minute = 0; minute < 1440; minute++) {
    const t = (minC + maxC) / 2 + ((maxC - minC) / 2) * Math.sin((2 * Math.PI * (minute + 0.5)) / 1440);
    sum += Math.max(0, Math.min(t, upperC) - lowerC) / 1440;
  }
  return sum;
}
const day = fc
  .tuple(fc.double({ min: -20, max: 40, noNaN: true }), fc.double({ min: 0, max: 25, noNaN: true }))
  .map(([min, range]) => [min, min + range] as const);

describe('single sine (Baskerville & Emin 1969), against numerical integration of the same curve', () => {
  it('is equal to 0.01 degree-day for any day, with and without an upper threshold', () => {
    fc.assert(
      fc.property(day, fc.double({ min: 0, max: 15, noNaN: true }), ([min, max], lower) => {
        expect(Math.abs(dailyDegreeDays(min, max, { lowerC: lower }, 'single-sine') - byIntegration(min, max, lower))).toBeLessThan(0.01);
        const upper = lower + 15;
        expect(
          Math.abs(dailyDegreeDays(min, max, { lowerC: lower, upperC: upper }, 'single-sine') - byIntegration(min, max, lower, upper)),
        ).toBeLessThan(0.01);
      }),
      { numRuns: 60 },
    );
  });
  it.each([
    ['all above', 12, 20, 10, 6],
    ['all below', 2, 9, 10, 0],
    ['touching the threshold from below', 0, 10, 10, 0],
    ['touching it from above', 10, 20, 10, 5],
  ])('%s', (_name, min, max, lower, expected) => expect(dailyDegreeDays(min, max, { lowerC: lower }, 'single-sine')).toBeCloseTo(expected, 12));
});

describe('average with thresholds', () => {
  it('holds minimum and maximum between the thresholds before averaging', () => {
    expect(dailyDegreeDays(4, 20, { lowerC: 10 }, 'average')).toBe(5);
    expect(dailyDegreeDays(15, 40, { lowerC: 10, upperC: 30 }, 'average')).toBe(12.5);
  });
});

describe('both', () => {
  it('a warmer day never gains fewer degree-days', () => {
    fc.assert(
      fc.property(
        day,
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.constantFrom('average' as const, 'single-sine' as const),
        ([min, max], more, method) => {
          const limits = { lowerC: 10, upperC: 30 };
          expect(dailyDegreeDays(min + more, max + more, limits, method)).toBeGreaterThanOrEqual(dailyDegreeDays(min, max, limits, method) - 1e-9);
        },
      ),
    );
  });
  it('refuses a minimum above the maximum, thresholds the wrong way round, and what is no number', () => {
    expect(() => dailyDegreeDays(20, 10, { lowerC: 10 }, 'average')).toThrow('daily minimum 20 °C is above the maximum 10 °C');
    expect(() => dailyDegreeDays(1, 2, { lowerC: 10, upperC: 10 }, 'single-sine')).toThrow(/upper threshold/);
    expect(() => dailyDegreeDays(NaN, 2, { lowerC: 10 }, 'average')).toThrow(/must be numbers/);
  });
});
