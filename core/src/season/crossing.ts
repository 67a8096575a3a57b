import type { Hemisphere } from '../edition/climates.ts';
import type { DegreeDaySpan } from '../edition/windows.ts';
import { dayNumber, isoOfDay, seasonalDate, yearOf, yearsEarlier, type IsoDate } from './calendar.ts';
import { dailyDegreeDays } from './degreeDays.ts';
import { dayReaching, gained, recordOf, runningSum, type RunningSum } from './record.ts';
import type { WeatherSeries } from './weather.ts';

/** When a sum is reached: on a known day, or expected within a band. */
export interface Crossing {
  /** Median date, or the day itself when it has passed. */
  on: IsoDate;
  /** 8 in 10 of the station's own years fall between these. */
  early: IsoDate;
  late: IsoDate;
  reached: boolean;
  /** How many of the station's years stand behind the band. */
  years: number;
}

/** What of a span decides the daily gain. */
export type Reckoning = Pick<DegreeDaySpan, 'baseC' | 'upperC' | 'method' | 'cutoff'>;

const sums = new WeakMap<WeatherSeries, Map<string, RunningSum>>();

/** Running degree-days of a series, made once for each way of reckoning. */
export function degreeDaySums(series: WeatherSeries, { baseC, upperC, method = 'single-sine', cutoff = 'horizontal' }: Reckoning): RunningSum {
  const known = sums.get(series) ?? new Map<string, RunningSum>();
  sums.set(series, known);
  const key = `${baseC}|${upperC ?? ''}|${method}|${cutoff}`;
  const found = known.get(key);
  if (found) return found;
  const { first, length, minC, maxC } = recordOf(series);
  const thresholds = upperC === undefined ? { lowerC: baseC } : { lowerC: baseC, upperC, cutoff };
  const running = runningSum(first, length, (i) => {
    const [min, max, next] = [minC[i]!, maxC[i]!, minC[i + 1]];
    if (Number.isNaN(min) || Number.isNaN(max)) return NaN;
    return dailyDegreeDays(min, max, thresholds, method, next === undefined || Number.isNaN(next) ? min : next);
  });
  known.set(key, running);
  return running;
}

/** The biofix that begins the season in which `date` lies. */
export function biofixBefore(span: Pick<DegreeDaySpan, 'biofix'>, date: IsoDate, hemisphere: Hemisphere): IsoDate {
  const thisYear = seasonalDate(span.biofix, yearOf(date), hemisphere);
  return thisYear <= date ? thisYear : seasonalDate(span.biofix, yearOf(date) - 1, hemisphere);
}

/** Degree-days from `biofix` up to and including `date`; null when the record has a hole of more than three days. */
export const accumulated = (series: WeatherSeries, reckoning: Reckoning, biofix: IsoDate, date: IsoDate): number | null =>
  gained(degreeDaySums(series, reckoning), dayNumber(biofix), dayNumber(date));

const quantile = (sorted: readonly number[], q: number): number => sorted[Math.round(q * (sorted.length - 1))] ?? 0;

/** No sum is waited for longer than this. */
const LONGEST_WAIT = 366;

/**
 * The date on which a running sum that starts at `biofix` reaches `target`. Known weather is used up to `today`; from there each
 * earlier year of the station is played on, and the dates it gives make the band.
 * @returns null when the station's record is too short or broken to say
 */
export function reaching(running: RunningSum, target: number, biofix: IsoDate, today: IsoDate): Crossing | null {
  const [from, now] = [dayNumber(biofix), dayNumber(today)];
  const sofar = from > now ? 0 : gained(running, from, now);
  if (sofar === null) return null;
  if (sofar >= target) {
    const day = dayReaching(running, from, target);
    if (day === null) return null;
    const on = isoOfDay(day);
    return { on, early: on, late: on, reached: true, years: 0 };
  }
  const start = Math.max(from, now + 1);
  const startDate = isoOfDay(start);
  const steps: number[] = [];
  for (let offset = 1; ; offset++) {
    const begin = dayNumber(yearsEarlier(startDate, offset));
    if (begin < running.first) break;
    const day = dayReaching(running, begin, target - sofar);
    // what lies after today has not happened: only whole stretches of known weather are played
    if (day !== null && day <= now && day - begin < LONGEST_WAIT) steps.push(day - begin);
  }
  if (steps.length === 0) return null;
  steps.sort((a, b) => a - b);
  const at = (q: number) => isoOfDay(start + quantile(steps, q));
  return { on: at(0.5), early: at(0.1), late: at(0.9), reached: false, years: steps.length };
}

/** The date on which `target` degree-days are reached in the season that began at `biofix`; see `reaching`. */
export const crossingDate = (series: WeatherSeries, reckoning: Reckoning, target: number, biofix: IsoDate, today: IsoDate): Crossing | null =>
  reaching(degreeDaySums(series, reckoning), target, biofix, today);
