import { dayNumber, isoOfDay, seasonalDate, yearOf, type IsoDate } from './calendar.ts';
import type { Hemisphere } from '../edition/edition.ts';
import { recordOf } from './record.ts';
import type { WeatherSeries } from './weather.ts';

/** When the last frost of spring and the first of autumn fell, over a station's own years; 2 in 10 years are later, or earlier. */
export interface FrostDates {
  lastUsual: IsoDate;
  lastLate: IsoDate;
  firstUsual: IsoDate;
  firstEarly: IsoDate;
  years: number;
}

const HALF_YEAR = 182;
const quantile = (sorted: readonly number[], q: number) => sorted[Math.round(q * (sorted.length - 1))] ?? 0;

/**
 * @param year the season whose dates are wanted: earlier years are laid upon it
 * @param belowC what counts as frost in the screen
 * @returns null when no whole season is on record
 */
export function frostDates(series: WeatherSeries, year: number, hemisphere: Hemisphere, belowC = 0): FrostDates | null {
  const { first, length, minC } = recordOf(series);
  const lasts: number[] = [];
  const firsts: number[] = [];
  const firstYear = yearOf(isoOfDay(first));
  for (let y = firstYear; y <= firstYear + length / 365 + 1; y++) {
    const midsummer = dayNumber(seasonalDate('07-01', y, hemisphere)) - first;
    if (midsummer - HALF_YEAR < 0 || midsummer + HALF_YEAR > length) continue;
    const frost = (i: number) => (minC[i] ?? NaN) < belowC;
    for (let back = 0; back < HALF_YEAR; back++)
      if (frost(midsummer - back)) {
        lasts.push(-back);
        break;
      }
    for (let ahead = 0; ahead < HALF_YEAR; ahead++)
      if (frost(midsummer + ahead)) {
        firsts.push(ahead);
        break;
      }
  }
  if (lasts.length === 0 || firsts.length === 0) return null;
  lasts.sort((a, b) => a - b);
  firsts.sort((a, b) => a - b);
  const middle = dayNumber(seasonalDate('07-01', year, hemisphere));
  return {
    lastUsual: isoOfDay(middle + quantile(lasts, 0.5)),
    lastLate: isoOfDay(middle + quantile(lasts, 0.8)),
    firstUsual: isoOfDay(middle + quantile(firsts, 0.5)),
    firstEarly: isoOfDay(middle + quantile(firsts, 0.2)),
    years: lasts.length,
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
