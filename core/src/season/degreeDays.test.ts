import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { CUTOFFS, DEGREE_DAY_METHODS, type Cutoff } from '../edition/bases.ts';
import { dailyDegreeDays, type Thresholds } from './degreeDays.ts';

/** What one moment at `t` degrees gives, by the wording of Zalom et al. (1983): the reference that is summed minute by minute. */
function rateAt(t: number, { lowerC, upperC = Infinity, cutoff = 'horizontal' }: Thresholds): number {
  if (t <= lowerC) return 0;
  if (t <= upperC) return t - lowerC;
  const atThreshold = upperC - lowerC;
  if (cutoff === 'horizontal') return atThreshold;
  return cutoff === 'vertical' ? 0 : atThreshold - (t - upperC);
}
const MINUTES = 1440;
const sine = (min: number, max: number) => (share: number) => (min + max) / 2 - ((max - min) / 2) * Math.cos(2 * Math.PI * share);
const triangle = (min: number, max: number) => (share: number) => min + (max - min) * (1 - Math.abs(2 * share - 1));
function byIntegration(curve: (share: number) => number, thresholds: Thresholds): number {
  let sum = 0;
  for (let minute = 0; minute < MINUTES; minute++) sum += rateAt(curve((minute + 0.5) / MINUTES), thresholds) / MINUTES;
  return Math.max(0, sum);
}

const day = fc
  .tuple(fc.double({ min: -20, max: 40, noNaN: true }), fc.double({ min: 0, max: 25, noNaN: true }))
  .map(([min, range]) => [min, min + range] as const);
/** The minute steps themselves miss a jump at the vertical cut-off by at most the rate at the threshold over two minutes. */
const tolerance = (cutoff: Cutoff) => (cutoff === 'vertical' ? 0.045 : 0.01);

describe.each(CUTOFFS)('sine and triangle with %s cut-off (Zalom et al. 1983), against integration of the same curve at 1-minute steps', (cutoff) => {
  it('agree for any day', () => {
    fc.assert(
      fc.property(day, fc.double({ min: 0, max: 15, noNaN: true }), ([min, max], lowerC) => {
        const thresholds = { lowerC, upperC: lowerC + 15, cutoff };
        const sum = dailyDegreeDays(min, max, thresholds, 'single-sine');
        expect(Math.abs(sum - byIntegration(sine(min, max), thresholds))).toBeLessThan(tolerance(cutoff));
        const straight = dailyDegreeDays(min, max, thresholds, 'single-triangle');
        expect(Math.abs(straight - byIntegration(triangle(min, max), thresholds))).toBeLessThan(tolerance(cutoff));
      }),
      { numRuns: 60 },
    );
  });
});

describe('single sine (Baskerville & Emin 1969)', () => {
  it('without an upper threshold is the integral too', () => {
    fc.assert(
      fc.property(day, fc.double({ min: 0, max: 15, noNaN: true }), ([min, max], lowerC) => {
        expect(Math.abs(dailyDegreeDays(min, max, { lowerC }, 'single-sine') - byIntegration(sine(min, max), { lowerC }))).toBeLessThan(0.01);
      }),
      { numRuns: 40 },
    );
  });
  it.each([
    ['all above', 12, 20, 10, 6],
    ['all below', 2, 9, 10, 0],
    ['touching the threshold from below', 0, 10, 10, 0],
    ['touching it from above', 10, 20, 10, 5],
  ])('%s', (_name, min, max, lower, expected) => expect(dailyDegreeDays(min, max, { lowerC: lower }, 'single-sine')).toBeCloseTo(expected, 12));
});

describe('double methods', () => {
  it('average the two halves of the day, the second towards the next night', () => {
    const thresholds = { lowerC: 10, upperC: 30 };
    for (const kind of ['sine', 'triangle'] as const) {
      const halves = [6, 14].map((min) => dailyDegreeDays(min, 25, thresholds, `single-${kind}`));
      expect(dailyDegreeDays(6, 25, thresholds, `double-${kind}`, 14)).toBeCloseTo((halves[0]! + halves[1]!) / 2, 12);
    }
  });
  it('fall back on the single method when the next night is not known', () =>
    expect(dailyDegreeDays(6, 25, { lowerC: 10 }, 'double-sine')).toBe(dailyDegreeDays(6, 25, { lowerC: 10 }, 'single-sine')));
});

describe('averages', () => {
  it('differ in what a cold night takes away', () => {
    expect(dailyDegreeDays(4, 20, { lowerC: 10 }, 'average')).toBe(2);
    expect(dailyDegreeDays(4, 20, { lowerC: 10 }, 'modified-average')).toBe(5);
    expect(dailyDegreeDays(15, 40, { lowerC: 10, upperC: 30 }, 'average')).toBe(12.5);
  });
});

describe('all methods', () => {
  it('a warmer day below the upper threshold never gains fewer degree-days', () => {
    fc.assert(
      fc.property(day, fc.double({ min: 0, max: 5, noNaN: true }), fc.constantFrom(...DEGREE_DAY_METHODS), ([min, max], more, method) => {
        const limits = { lowerC: 10, upperC: 30 };
        expect(dailyDegreeDays(min + more, max + more, limits, method)).toBeGreaterThanOrEqual(dailyDegreeDays(min, max, limits, method) - 1e-9);
      }),
    );
  });
  it('refuse a minimum above the maximum, thresholds the wrong way round, and what is no number', () => {
    expect(() => dailyDegreeDays(20, 10, { lowerC: 10 }, 'average')).toThrow('daily minimum 20 °C is above the maximum 10 °C');
    expect(() => dailyDegreeDays(1, 2, { lowerC: 10, upperC: 10 }, 'single-sine')).toThrow(/upper threshold/);
    expect(() => dailyDegreeDays(NaN, 2, { lowerC: 10 }, 'average')).toThrow(/must be numbers/);
  });
});
