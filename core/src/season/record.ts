import { dayNumber, type DayNumber } from './calendar.ts';
import type { WeatherSeries } from './weather.ts';

/** A station's temperatures with one place a day, gaps as NaN: what sums run over. */
export interface DayRecord {
  first: DayNumber;
  length: number;
  minC: Float64Array;
  maxC: Float64Array;
}

const records = new WeakMap<WeatherSeries, DayRecord>();

/** The record of a series, made once. Days out of order find their place; a day given twice keeps the later row. */
export function recordOf(series: WeatherSeries): DayRecord {
  const known = records.get(series);
  if (known) return known;
  const numbers = series.days.map((day) => dayNumber(day.on));
  let first = Infinity;
  let last = -Infinity;
  for (const n of numbers) {
    if (n < first) first = n;
    if (n > last) last = n;
  }
  const length = numbers.length === 0 ? 0 : last - first + 1;
  const record: DayRecord = {
    first: length === 0 ? 0 : first,
    length,
    minC: new Float64Array(length).fill(NaN),
    maxC: new Float64Array(length).fill(NaN),
  };
  series.days.forEach((day, i) => {
    record.minC[numbers[i]! - record.first] = day.minC ?? NaN;
    record.maxC[numbers[i]! - record.first] = day.maxC ?? NaN;
  });
  records.set(series, record);
  return record;
}

/** Running sums of a daily gain over a record: what any stretch of days gains is one subtraction. */
export interface RunningSum {
  first: DayNumber;
  length: number;
  /** `sum[i]` is what the first i days gained together. */
  sum: Float64Array;
  /** `holes[i]`: how many of the first i days nothing can be said of. */
  holes: Uint32Array;
}

/** Gaps are carried by the last day known, up to this many days; longer ones are holes. */
const CARRIED_DAYS = 3;

/** @param gain what day i of the record gains; NaN where it is not known */
export function runningSum(first: DayNumber, length: number, gain: (i: number) => number): RunningSum {
  const sum = new Float64Array(length + 1);
  const holes = new Uint32Array(length + 1);
  let carried = NaN;
  let age = 0;
  for (let i = 0; i < length; i++) {
    const g = gain(i);
    if (Number.isNaN(g)) age++;
    else [carried, age] = [g, 0];
    const usable = age <= CARRIED_DAYS && !Number.isNaN(carried);
    sum[i + 1] = sum[i]! + (usable ? carried : 0);
    holes[i + 1] = holes[i]! + (usable ? 0 : 1);
  }
  return { first, length, sum, holes };
}

/** What the days from `from` to and including `to` gained; null when the record does not cover them or has a hole there. */
export function gained(running: RunningSum, from: DayNumber, to: DayNumber): number | null {
  const [a, b] = [from - running.first, to - running.first + 1];
  if (a < 0 || b > running.length || b < a) return b < a && a >= 0 ? 0 : null;
  return running.holes[b] === running.holes[a] ? running.sum[b]! - running.sum[a]! : null;
}

/**
 * The first day, from `from` on, by which `target` more is gained.
 * @returns null when the record ends or breaks before
 */
export function dayReaching(running: RunningSum, from: DayNumber, target: number): DayNumber | null {
  const start = from - running.first;
  if (start < 0 || start >= running.length) return null;
  const goal = running.sum[start]! + target;
  // sums never fall for gains of zero or more, so the day can be searched by halves
  let [low, high] = [start + 1, running.length];
  if (running.sum[high]! < goal) return null;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (running.sum[middle]! >= goal) high = middle;
    else low = middle + 1;
  }
  return running.holes[low] === running.holes[start] ? running.first + low - 1 : null;
}
