import { addDays, yearOf, yearsEarlier, type IsoDate } from './calendar.ts';
import type { WeatherDay, WeatherSeries } from './weather.ts';

/** When something lies ahead: the median of the station's own years, and the middle eight of ten. */
export interface Expected {
  on: IsoDate;
  early: IsoDate;
  late: IsoDate;
  years: number;
}

const quantile = (sorted: readonly number[], q: number): number => sorted[Math.round(q * (sorted.length - 1))] ?? 0;

/**
 * Plays earlier years of a station on from today and asks of each on which day several things happen.
 * @param days how far ahead is looked
 * @param mostYears how many of the youngest years are played at most
 * @param happens for each thing the index of the day on which it happens, or null when it does not within these days
 * @returns for each thing its date, or null when it happens in fewer than half of the years
 */
export function playedOnEach(
  series: WeatherSeries,
  today: IsoDate,
  days: number,
  mostYears: number,
  happens: (ahead: readonly WeatherDay[]) => (number | null)[],
): (Expected | null)[] {
  const first = yearOf(series.days[0]?.on ?? today);
  const years: (number | null)[][] = [];
  for (let back = 1; yearOf(today) - back >= first && years.length < mostYears; back++) {
    const from = yearsEarlier(addDays(today, 1), back);
    const to = addDays(from, days - 1);
    // a stretch that runs into what has not happened yet, or has holes, says nothing
    const ahead = to > today ? [] : series.days.filter(({ on }) => on >= from && on <= to);
    if (ahead.length === days) years.push(happens(ahead));
  }
  return (years[0] ?? []).map((_, thing) => {
    const steps = years.flatMap((year) => year[thing] ?? []).sort((a, b) => a - b);
    if (steps.length * 2 < years.length) return null;
    const at = (q: number) => addDays(today, 1 + quantile(steps, q));
    return { on: at(0.5), early: at(0.1), late: at(0.9), years: years.length };
  });
}

/** The same for one thing, over all the years there are. */
export const playedOn = (
  series: WeatherSeries,
  today: IsoDate,
  days: number,
  happens: (ahead: readonly WeatherDay[]) => number | null,
): Expected | null => playedOnEach(series, today, days, Infinity, (ahead) => [happens(ahead)])[0] ?? null;
