/** How a day's warmth is reckoned from its minimum and maximum. */
export type DegreeDayMethod = 'average' | 'single-sine';

export interface Thresholds {
  /** The organism's lower developmental threshold, °C. */
  lowerC: number;
  /** Horizontal cut-off: warmth above this counts as if it were this, °C. */
  upperC?: number;
}

function requireOrder(minC: number, maxC: number): void {
  if (!Number.isFinite(minC) || !Number.isFinite(maxC)) throw new RangeError(`daily minimum and maximum must be numbers, got ${minC} and ${maxC}`);
  if (minC > maxC) throw new RangeError(`daily minimum ${minC} °C is above the maximum ${maxC} °C`);
}

/**
 * Degree-days of one day by the average method, with the minimum and maximum first held between the thresholds
 * (McMaster & Wilhelm 1997, method 2; Zalom et al. 1983 "modified average").
 */
function clampedAverage(minC: number, maxC: number, lowerC: number, upperC: number): number {
  const hold = (t: number) => Math.min(Math.max(t, lowerC), upperC);
  return (hold(minC) + hold(maxC)) / 2 - lowerC;
}

/**
 * Degree-days of one day above `thresholdC` under a sine through the day's minimum and maximum, no upper limit.
 * Source: Baskerville & Emin (1969), Ecology 50:514–517.
 */
function sineAbove(minC: number, maxC: number, thresholdC: number): number {
  const meanC = (minC + maxC) / 2;
  if (maxC <= thresholdC) return 0;
  if (minC >= thresholdC) return meanC - thresholdC;
  const amplitudeC = (maxC - minC) / 2;
  const crossing = Math.asin((thresholdC - meanC) / amplitudeC); // radians: the curve rises through the threshold here
  return ((meanC - thresholdC) * (Math.PI / 2 - crossing) + amplitudeC * Math.cos(crossing)) / Math.PI;
}

/**
 * Degree-days gained in one day.
 * @param minC,maxC screen air temperature of one day, °C
 * @returns °C·day, zero or more
 * @throws RangeError when the minimum is above the maximum, or the lower threshold not below the upper
 */
export function dailyDegreeDays(minC: number, maxC: number, { lowerC, upperC }: Thresholds, method: DegreeDayMethod): number {
  requireOrder(minC, maxC);
  if (upperC !== undefined && upperC <= lowerC) throw new RangeError(`upper threshold ${upperC} °C is not above the lower ${lowerC} °C`);
  switch (method) {
    case 'average':
      return clampedAverage(minC, maxC, lowerC, upperC ?? Infinity);
    case 'single-sine':
      // a horizontal cut-off takes away just what the same curve gains above the upper threshold
      return sineAbove(minC, maxC, lowerC) - (upperC === undefined ? 0 : sineAbove(minC, maxC, upperC));
  }
}
