import { normalise } from './posterior.ts';

/** What was said of one case: the probability given to the first choice, and whether it was right. */
export interface Stated {
  probability: number;
  right: boolean;
}

/** One bar of a reliability plot: what was said on average, and how often it was so. */
export interface ReliabilityBin {
  from: number;
  to: number;
  cases: number;
  said: number;
  was: number;
}

/** Cases gathered by what was said, in bins of equal width; empty bins are left out. */
export function reliability(stated: readonly Stated[], bins = 10): ReliabilityBin[] {
  return Array.from({ length: bins }, (_, b) => {
    const [from, to] = [b / bins, (b + 1) / bins];
    const here = stated.filter(({ probability }) => Math.min(bins - 1, Math.floor(probability * bins)) === b);
    const mean = (value: (one: Stated) => number) => here.reduce((sum, one) => sum + value(one), 0) / here.length;
    return { from, to, cases: here.length, said: here.length ? mean((s) => s.probability) : 0, was: here.length ? mean((s) => Number(s.right)) : 0 };
  }).filter(({ cases }) => cases > 0);
}

/** Expected calibration error: the mean distance between said and was, by cases (Naeini, Cooper & Hauskrecht 2015). */
export function calibrationError(stated: readonly Stated[], bins = 10): number {
  return reliability(stated, bins).reduce((sum, bin) => sum + (bin.cases / stated.length) * Math.abs(bin.said - bin.was), 0);
}

/**
 * The error that a forecaster without any would show on as many cases by mere chance: in each bin the mean distance of a normal deviate
 * with the spread of its cases (the thought behind consistency bars: Bröcker & Smith 2007).
 */
export function calibrationByChance(stated: readonly Stated[], bins = 10): number {
  const spread = new Float64Array(bins);
  for (const { probability } of stated) spread[Math.min(bins - 1, Math.floor(probability * bins))]! += probability * (1 - probability);
  return spread.reduce((sum, variance) => sum + Math.sqrt((2 / Math.PI) * variance), 0) / Math.max(1, stated.length);
}

/** Log weights spread or sharpened: above 1 the more cautious. */
export const atTemperature = (log: Float64Array, temperature: number): Float64Array => normalise(log.map((x) => x / temperature));

const GOLDEN = (Math.sqrt(5) - 1) / 2;

/**
 * The temperature under which the right causes were likeliest (temperature scaling: Guo et al. 2017), by golden-section search.
 * @param cases log weights with the index of the right cause, held back from fitting
 */
export function fitTemperature(cases: readonly { log: Float64Array; right: number }[], low = 0.2, high = 8): number {
  const cost = (t: number) => cases.reduce((sum, { log, right }) => sum - Math.log(Math.max(atTemperature(log, t)[right] ?? 0, 1e-12)), 0);
  let [a, b] = [Math.log(low), Math.log(high)];
  for (let i = 0; i < 40; i++) {
    const [c, d] = [b - GOLDEN * (b - a), a + GOLDEN * (b - a)];
    if (cost(Math.exp(c)) < cost(Math.exp(d))) b = d;
    else a = c;
  }
  return Math.exp((a + b) / 2);
}
