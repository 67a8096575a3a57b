import type { Hemisphere } from '../edition/climates.ts';
import { addDays, seasonalDate, yearOf, type IsoDate } from './calendar.ts';
import { chillHours, chillPortions, chillPortionsByHour, utahUnits } from './chill.ts';
import { estimatedHours } from './hourly.ts';
import { playedOn, type Expected } from './playedOn.ts';
import type { WeatherSeries } from './weather.ts';

/** Chill of one winter, in the three ways it is counted, beside the same day of earlier winters. */
export interface ChillSoFar {
  since: IsoDate;
  hours: number;
  utah: number;
  portions: number;
  /** Portions by this day in the station's earlier winters: least, median, most; null without any. */
  earlier: [number, number, number] | null;
  years: number;
  /** When so many portions are reached, as earlier winters went on; null when they are, or are not in most winters. */
  reaches: (Expected & { portions: number }) | null;
}

/** Portions that most apples and pears ask for (memory: 50 to 70 by kind). */
const WANTED_PORTIONS = 60;
const AHEAD_DAYS = 150;

const BEGINS = '10-01';
const ENDS = '04-30';
/** A winter whose record lacks more days than this says nothing. */
const MOST_MISSING = 5;

function hoursOf(series: WeatherSeries, from: IsoDate, to: IsoDate, latDegrees: number): number[] | null {
  const days = series.days.filter(({ on }) => on >= from && on <= to);
  const hours = estimatedHours(days, latDegrees).map(({ tempC }) => tempC);
  let wanted = 0;
  for (let on = from; on <= to; on = addDays(on, 1)) wanted++;
  return hours.length / 24 < wanted - MOST_MISSING ? null : hours;
}

/** Between the beginning of October and the end of April (half a year later in the south): how much chill there has been. */
export function chillSoFar(series: WeatherSeries, today: IsoDate, hemisphere: Hemisphere, latDegrees: number): ChillSoFar | null {
  const year = yearOf(today);
  const since = [seasonalDate(BEGINS, year, hemisphere), seasonalDate(BEGINS, year - 1, hemisphere)].find((on) => on <= today);
  if (!since) return null;
  const ends = [year, year + 1].map((y) => seasonalDate(ENDS, y, hemisphere)).find((on) => on > since);
  if (!ends || today > ends) return null;
  const hours = hoursOf(series, since, today, latDegrees);
  if (!hours) return null;
  const earlier: number[] = [];
  const first = yearOf(series.days[0]?.on ?? since);
  const shift = (on: IsoDate, back: number) => `${yearOf(on) - back}${on.slice(4)}`.replace(/-02-29$/, '-02-28');
  for (let back = 1; yearOf(since) - back >= first; back++) {
    const then = hoursOf(series, shift(since, back), shift(today, back), latDegrees);
    if (then) earlier.push(chillPortions(then));
  }
  earlier.sort((a, b) => a - b);
  const sofar = chillPortions(hours);
  const ahead =
    sofar >= WANTED_PORTIONS
      ? null
      : playedOn(series, today, AHEAD_DAYS, (days) => {
          const temps = estimatedHours(days, latDegrees).map(({ tempC }) => tempC);
          const hour = chillPortionsByHour(temps).findIndex((more) => sofar + more >= WANTED_PORTIONS);
          return hour < 0 ? null : Math.floor(hour / 24);
        });
  return {
    since,
    hours: chillHours(hours),
    utah: utahUnits(hours),
    portions: sofar,
    reaches: ahead && { ...ahead, portions: WANTED_PORTIONS },
    earlier: earlier.length === 0 ? null : [earlier[0]!, earlier[Math.floor(earlier.length / 2)]!, earlier[earlier.length - 1]!],
    years: earlier.length,
  };
}
