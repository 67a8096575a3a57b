import type { Cutoff, DegreeDayMethod } from '../edition/bases.ts';

export interface Thresholds {
  /** The organism's lower developmental threshold, °C. */
  lowerC: number;
  /** Upper threshold, °C. */
  upperC?: number;
  /** Default horizontal. */
  cutoff?: Cutoff;
}

function requireOrder(minC: number, maxC: number): void {
  if (!Number.isFinite(minC) || !Number.isFinite(maxC)) throw new RangeError(`daily minimum and maximum must be numbers, got ${minC} and ${maxC}`);
  if (minC > maxC) throw new RangeError(`daily minimum ${minC} °C is above the maximum ${maxC} °C`);
}

/**
 * The warmth of one day's curve above a threshold: `area` in °C·day and the `share` of the day spent above it.
 * Every cut-off is made of these two, at the lower and at the upper threshold.
 */
interface Curve {
  area: (minC: number, maxC: number, thresholdC: number) => number;
  share: (minC: number, maxC: number, thresholdC: number) => number;
}

/** When, in radians, the sine through minimum and maximum rises through the threshold. */
const crossing = (minC: number, maxC: number, thresholdC: number): number => Math.asin((2 * thresholdC - minC - maxC) / (maxC - minC));

/** Source: Baskerville & Emin (1969), Ecology 50:514–517. */
const SINE: Curve = {
  area(minC, maxC, thresholdC) {
    if (maxC <= thresholdC) return 0;
    const aboveC = (minC + maxC) / 2 - thresholdC;
    if (minC >= thresholdC) return aboveC;
    const rises = crossing(minC, maxC, thresholdC);
    return (aboveC * (Math.PI / 2 - rises) + ((maxC - minC) / 2) * Math.cos(rises)) / Math.PI;
  },
  share(minC, maxC, thresholdC) {
    if (maxC <= thresholdC) return 0;
    return minC >= thresholdC ? 1 : (Math.PI / 2 - crossing(minC, maxC, thresholdC)) / Math.PI;
  },
};

/** Straight lines up to the maximum and down again. Source: Lindsey & Newman (1956), Ecology 37:812–823; Zalom et al. (1983). */
const TRIANGLE: Curve = {
  area(minC, maxC, thresholdC) {
    if (maxC <= thresholdC) return 0;
    return minC >= thresholdC ? (minC + maxC) / 2 - thresholdC : (maxC - thresholdC) ** 2 / (2 * (maxC - minC));
  },
  share(minC, maxC, thresholdC) {
    if (maxC <= thresholdC) return 0;
    return minC >= thresholdC ? 1 : (maxC - thresholdC) / (maxC - minC);
  },
};

function underCurve({ area, share }: Curve, minC: number, maxC: number, { lowerC, upperC, cutoff = 'horizontal' }: Thresholds): number {
  const low = area(minC, maxC, lowerC);
  if (upperC === undefined || maxC <= upperC) return low;
  const high = area(minC, maxC, upperC);
  switch (cutoff) {
    case 'horizontal':
      return low - high;
    case 'intermediate':
      return Math.max(0, low - 2 * high);
    case 'vertical':
      // nothing at all counts while it is hotter than the upper threshold
      return Math.max(0, low - high - share(minC, maxC, upperC) * (upperC - lowerC));
  }
}

/** The plain mean of minimum and maximum above the threshold, the maximum held to the upper one (Arnold 1960). */
function average(minC: number, maxC: number, { lowerC, upperC = Infinity }: Thresholds): number {
  return Math.max(0, (Math.min(minC, upperC) + Math.min(maxC, upperC)) / 2 - lowerC);
}

/** The same with both held between the thresholds before averaging (McMaster & Wilhelm 1997, method 2). */
function modifiedAverage(minC: number, maxC: number, { lowerC, upperC = Infinity }: Thresholds): number {
  const hold = (t: number) => Math.min(Math.max(t, lowerC), upperC);
  return (hold(minC) + hold(maxC)) / 2 - lowerC;
}

/** The morning from this night, the evening towards the next; a warmer night than the day's maximum leaves the second half flat. */
const inHalves = (curve: Curve, minC: number, maxC: number, nextMinC: number, thresholds: Thresholds): number =>
  (underCurve(curve, minC, maxC, thresholds) + underCurve(curve, Math.min(nextMinC, maxC), maxC, thresholds)) / 2;

/**
 * Degree-days gained in one day.
 * @param minC,maxC screen air temperature of one day, °C
 * @param nextMinC the next day's minimum; the double methods fall back on this day's where it is not known
 * @returns °C·day, zero or more
 * @throws RangeError when the minimum is above the maximum, or the lower threshold not below the upper
 */
export function dailyDegreeDays(minC: number, maxC: number, thresholds: Thresholds, method: DegreeDayMethod, nextMinC = minC): number {
  requireOrder(minC, maxC);
  const { lowerC, upperC } = thresholds;
  if (upperC !== undefined && upperC <= lowerC) throw new RangeError(`upper threshold ${upperC} °C is not above the lower ${lowerC} °C`);
  switch (method) {
    case 'average':
      return average(minC, maxC, thresholds);
    case 'modified-average':
      return modifiedAverage(minC, maxC, thresholds);
    case 'single-sine':
      return underCurve(SINE, minC, maxC, thresholds);
    case 'double-sine':
      return inHalves(SINE, minC, maxC, nextMinC, thresholds);
    case 'single-triangle':
      return underCurve(TRIANGLE, minC, maxC, thresholds);
    case 'double-triangle':
      return inHalves(TRIANGLE, minC, maxC, nextMinC, thresholds);
  }
}
