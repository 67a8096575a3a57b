import { dayNumber, isoOfDay, seasonalDate, yearOf, type DayNumber, type IsoDate } from './calendar.ts';
import type { Hemisphere } from '../edition/climates.ts';
import { recordOf, type DayRecord } from './record.ts';
import type { WeatherSeries } from './weather.ts';

/** When the last frost of spring and the first of autumn fell, over a station's own years; 2 in 10 years are later, or earlier. */
export interface FrostDates {
  lastUsual: IsoDate;
  lastLate: IsoDate;
  firstUsual: IsoDate;
  firstEarly: IsoDate;
  firstLate: IsoDate;
  years: number;
}

const HALF_YEAR = 182;
const quantile = (sorted: readonly number[], q: number) => sorted[Math.round(q * (sorted.length - 1))] ?? 0;

/** Midsummer of a year: its frosts before it are those of spring, those after it those of autumn. */
const midsummerOf = (year: number, hemisphere: Hemisphere) => dayNumber(seasonalDate('07-01', year, hemisphere));

/** Days from midsummer to the last frost before it (negative) and the first after it; null = none on record. */
function frostsAround({ first, length, minC }: DayRecord, midsummer: DayNumber, belowC: number): { last: number | null; next: number | null } {
  const frostAt = (offset: number) => {
    const i = midsummer + offset - first;
    return i >= 0 && i < length && (minC[i] ?? NaN) < belowC;
  };
  const nearest = (step: 1 | -1) => {
    for (let n = 0; n < HALF_YEAR; n++) if (frostAt(step * n)) return step * n;
    return null;
  };
  return { last: nearest(-1), next: nearest(1) };
}

/** The first frost of the autumn of `year`, as far as the record goes until `until`. */
export function firstFrostSeen(series: WeatherSeries, year: number, hemisphere: Hemisphere, until: IsoDate, belowC: number): IsoDate | null {
  const midsummer = midsummerOf(year, hemisphere);
  const { next } = frostsAround(recordOf(series), midsummer, belowC);
  return next === null || midsummer + next > dayNumber(until) ? null : isoOfDay(midsummer + next);
}

interface FrostYears {
  seasons: number;
  lasts: number[];
  firsts: number[];
}
const yearly = new WeakMap<WeatherSeries, Map<string, FrostYears>>();

/** Last and first frosts of every whole season on record, as days from midsummer, sorted; made once. */
function frostYears(series: WeatherSeries, hemisphere: Hemisphere, belowC: number): FrostYears {
  const known = yearly.get(series) ?? new Map<string, FrostYears>();
  yearly.set(series, known);
  const key = `${hemisphere}|${belowC}`;
  const found = known.get(key);
  if (found) return found;
  const record = recordOf(series);
  const end = record.first + record.length;
  const years: FrostYears = { seasons: 0, lasts: [], firsts: [] };
  for (let year = yearOf(isoOfDay(record.first)); midsummerOf(year, hemisphere) + HALF_YEAR <= end; year++) {
    const midsummer = midsummerOf(year, hemisphere);
    if (midsummer - HALF_YEAR < record.first) continue;
    const { last, next } = frostsAround(record, midsummer, belowC);
    years.seasons++;
    if (last !== null) years.lasts.push(last);
    if (next !== null) years.firsts.push(next);
  }
  years.lasts.sort((a, b) => a - b);
  years.firsts.sort((a, b) => a - b);
  known.set(key, years);
  return years;
}

/**
 * @param year the season whose dates are wanted: earlier years are laid upon it
 * @param belowC what counts as frost in the screen
 * @returns null when no whole season is on record, or it freezes in fewer than half of them
 */
export function frostDates(series: WeatherSeries, year: number, hemisphere: Hemisphere, belowC = 0): FrostDates | null {
  const { seasons, lasts, firsts } = frostYears(series, hemisphere, belowC);
  const least = Math.max(1, seasons / 2);
  if (lasts.length < least || firsts.length < least) return null;
  const middle = midsummerOf(year, hemisphere);
  const on = (offsets: readonly number[], q: number) => isoOfDay(middle + quantile(offsets, q));
  return {
    lastUsual: on(lasts, 0.5),
    lastLate: on(lasts, 0.8),
    firstUsual: on(firsts, 0.5),
    firstEarly: on(firsts, 0.2),
    firstLate: on(firsts, 0.8),
    years: seasons,
  };
}

export interface WeatherEvent {
  on: IsoDate;
  what: 'frost' | 'heat' | 'heavy-rain' | 'gale';
  /** °C, mm or m/s, as it fits. */
  value: number;
}
/** Frost in the screen; leaves scorch and oils burn at 32 °C (practice, common-practice); a cloudburst; wind that breaks shoots. */
const EVENTS = { frostC: 0, heatC: 32, rainMm: 30, windMs: 14 } as const;

/** What happened lately that plants show: an advisor's first question. */
export function recentEvents(series: WeatherSeries, until: IsoDate, days: number): WeatherEvent[] {
  const from = isoOfDay(dayNumber(until) - days + 1);
  return series.days.flatMap((day): WeatherEvent[] => {
    if (day.on < from || day.on > until) return [];
    const found: WeatherEvent[] = [];
    if (day.minC !== null && day.minC < EVENTS.frostC) found.push({ on: day.on, what: 'frost', value: day.minC });
    if (day.maxC !== null && day.maxC >= EVENTS.heatC) found.push({ on: day.on, what: 'heat', value: day.maxC });
    if (day.rainMm !== null && day.rainMm >= EVENTS.rainMm) found.push({ on: day.on, what: 'heavy-rain', value: day.rainMm });
    if (day.windMs !== null && day.windMs >= EVENTS.windMs) found.push({ on: day.on, what: 'gale', value: day.windMs });
    return found;
  });
}
