/** How a day's warmth is reckoned from its minimum and maximum; the double methods also use the next day's minimum. */
export const DEGREE_DAY_METHODS = ['average', 'modified-average', 'single-sine', 'double-sine', 'single-triangle', 'double-triangle'] as const;
export type DegreeDayMethod = (typeof DEGREE_DAY_METHODS)[number];

/**
 * What warmth above the upper threshold does (Zalom et al. 1983): `horizontal` – development goes on at the rate of the threshold;
 * `intermediate` – it slows by as much as the threshold is passed; `vertical` – it stops while it is that hot.
 */
export const CUTOFFS = ['horizontal', 'intermediate', 'vertical'] as const;
export type Cutoff = (typeof CUTOFFS)[number];

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
 * The warmth of one curve above a threshold: `area` in °C·day and the `share` of the day spent above it.
 * Every cut-off is made of these two, at the lower and at the upper threshold.
 */
interface Above {
  area: number;
  share: number;
}

/** Source: Baskerville & Emin (1969), Ecology 50:514–517. */
function sineAbove(minC: number, maxC: number, thresholdC: number): Above {
  const meanC = (minC + maxC) / 2;
  if (maxC <= thresholdC) return { area: 0, share: 0 };
  if (minC >= thresholdC) return { area: meanC - thresholdC, share: 1 };
  const amplitudeC = (maxC - minC) / 2;
  const crossing = Math.asin((thresholdC - meanC) / amplitudeC); // radians: the curve rises through the threshold here
  return {
    area: ((meanC - thresholdC) * (Math.PI / 2 - crossing) + amplitudeC * Math.cos(crossing)) / Math.PI,
    share: (Math.PI / 2 - crossing) / Math.PI,
  };
}

/** Straight lines up to the maximum and down again. Source: Lindsey & Newman (1956), Ecology 37:812–823; Zalom et al. (1983). */
function triangleAbove(minC: number, maxC: number, thresholdC: number): Above {
  if (maxC <= thresholdC) return { area: 0, share: 0 };
  if (minC >= thresholdC) return { area: (minC + maxC) / 2 - thresholdC, share: 1 };
  const share = (maxC - thresholdC) / (maxC - minC);
  return { area: (share * (maxC - thresholdC)) / 2, share };
}

type Curve = (minC: number, maxC: number, thresholdC: number) => Above;

function underCurve(curve: Curve, minC: number, maxC: number, { lowerC, upperC, cutoff = 'horizontal' }: Thresholds): number {
  const low = curve(minC, maxC, lowerC);
  if (upperC === undefined) return low.area;
  const high = curve(minC, maxC, upperC);
  switch (cutoff) {
    case 'horizontal':
      return low.area - high.area;
    case 'intermediate':
      return Math.max(0, low.area - 2 * high.area);
    case 'vertical':
      // nothing at all counts while it is hotter than the upper threshold
      return Math.max(0, low.area - high.area - high.share * (upperC - lowerC));
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
  // a warmer night than the day's maximum leaves the second half flat
  const secondMinC = Math.min(nextMinC, maxC);
  const halves = (curve: Curve) => (underCurve(curve, minC, maxC, thresholds) + underCurve(curve, secondMinC, maxC, thresholds)) / 2;
  switch (method) {
    case 'average':
      return average(minC, maxC, thresholds);
    case 'modified-average':
      return modifiedAverage(minC, maxC, thresholds);
    case 'single-sine':
      return underCurve(sineAbove, minC, maxC, thresholds);
    case 'double-sine':
      return halves(sineAbove);
    case 'single-triangle':
      return underCurve(triangleAbove, minC, maxC, thresholds);
    case 'double-triangle':
      return halves(triangleAbove);
  }
}
