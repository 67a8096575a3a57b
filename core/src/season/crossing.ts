import type { DegreeDaySpan, Hemisphere } from '../edition/edition.ts';
import { addDays, seasonalDate, yearOf, type IsoDate } from './calendar.ts';
import { dailyDegreeDays } from './degreeDays.ts';
import type { WeatherDay, WeatherSeries } from './weather.ts';

/** When a degree-day sum is reached: on a known day, or expected within a band. */
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

type ByDate = ReadonlyMap<IsoDate, WeatherDay>;
const dated = new WeakMap<WeatherSeries, ByDate>();
/** The days of a series by date; remembered, since every window asks for it. */
function byDate(series: WeatherSeries): ByDate {
  const known = dated.get(series) ?? new Map(series.days.map((day) => [day.on, day]));
  dated.set(series, known);
  return known;
}

/** Degree-days of a day; gaps in the record are carried by the last day known, up to three days. */
function gainOn(days: ByDate, on: IsoDate, span: DegreeDaySpan): number | null {
  for (let back = 0; back <= 3; back++) {
    const day = days.get(addDays(on, -back));
    if (day?.minC == null || day.maxC == null) continue;
    const limits = span.upperC === undefined ? { lowerC: span.baseC } : { lowerC: span.baseC, upperC: span.upperC };
    return dailyDegreeDays(day.minC, day.maxC, limits, span.method ?? 'single-sine');
  }
  return null;
}

/** The biofix that begins the season in which `date` lies. */
export function biofixBefore(span: DegreeDaySpan, date: IsoDate, hemisphere: Hemisphere): IsoDate {
  const thisYear = seasonalDate(span.biofix, yearOf(date), hemisphere);
  return thisYear <= date ? thisYear : seasonalDate(span.biofix, yearOf(date) - 1, hemisphere);
}

/** Degree-days from biofix up to and including `date`; null when the record has a hole of more than three days. */
export function accumulated(series: WeatherSeries, span: DegreeDaySpan, date: IsoDate, hemisphere: Hemisphere): number | null {
  const days = byDate(series);
  let sum = 0;
  for (let on = biofixBefore(span, date, hemisphere); on <= date; on = addDays(on, 1)) {
    const gain = gainOn(days, on, span);
    if (gain === null) return null;
    sum += gain;
  }
  return sum;
}

/** Walks from the day after `start` with `offsetYears` older weather until `target` is reached; null when it is not within a year. */
function walk(days: ByDate, span: DegreeDaySpan, start: IsoDate, sum: number, target: number, offsetYears: number): number | null {
  let total = sum;
  for (let step = 1; step <= 366; step++) {
    const on = addDays(start, step);
    const shifted = offsetYears === 0 ? on : `${yearOf(on) - offsetYears}${on.slice(4)}`.replace(/-02-29$/, '-02-28');
    const gain = gainOn(days, shifted, span);
    if (gain === null) return null;
    total += gain;
    if (total >= target) return step;
  }
  return null;
}

const quantile = (sorted: readonly number[], q: number): number => sorted[Math.round(q * (sorted.length - 1))] ?? 0;

/**
 * The date on which `target` degree-days are reached in the season that began at `biofix`. Known weather is used up to
 * `today`; from there each earlier year of the station is played on, and the dates it gives make the band.
 * @returns null when the station's record is too short or broken to say
 */
export function crossingDate(series: WeatherSeries, span: DegreeDaySpan, target: number, biofix: IsoDate, today: IsoDate): Crossing | null {
  const days = byDate(series);
  let sum = 0;
  for (let on = biofix; on <= today; on = addDays(on, 1)) {
    const gain = gainOn(days, on, span);
    if (gain === null) return null;
    sum += gain;
    if (sum >= target) return { on, early: on, late: on, reached: true, years: 0 };
  }
  const start = biofix > today ? addDays(biofix, -1) : today;
  const steps: number[] = [];
  const firstYear = yearOf(series.days[0]?.on ?? start);
  // a year that has not happened yet cannot be played: begin one further back when the biofix still lies ahead
  for (let offset = 1; yearOf(start) - offset >= firstYear; offset++) {
    const step = walk(days, span, start, sum, target, offset);
    if (step !== null) steps.push(step);
  }
  if (steps.length === 0) return null;
  steps.sort((a, b) => a - b);
  const at = (q: number) => addDays(start, quantile(steps, q));
  return { on: at(0.5), early: at(0.1), late: at(0.9), reached: false, years: steps.length };
}
