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
 * Plays each earlier year of a station on from today and asks on which day of it something happens.
 * @param days how far ahead is looked
 * @param happens the index of the day on which it happens, or null when it does not within these days
 * @returns null when it happens in fewer than half of the years
 */
export function playedOn(
  series: WeatherSeries,
  today: IsoDate,
  days: number,
  happens: (ahead: readonly WeatherDay[]) => number | null,
): Expected | null {
  const first = yearOf(series.days[0]?.on ?? today);
  const steps: number[] = [];
  let played = 0;
  for (let back = 1; yearOf(today) - back >= first; back++) {
    const from = yearsEarlier(addDays(today, 1), back);
    const to = addDays(from, days - 1);
    // a stretch that runs into what has not happened yet, or has holes, says nothing
    const ahead = to > today ? [] : series.days.filter(({ on }) => on >= from && on <= to);
    if (ahead.length < days) continue;
    played++;
    const at = happens(ahead);
    if (at !== null) steps.push(at);
  }
  if (steps.length === 0 || steps.length * 2 < played) return null;
  steps.sort((a, b) => a - b);
  const at = (q: number) => addDays(today, 1 + quantile(steps, q));
  return { on: at(0.5), early: at(0.1), late: at(0.9), years: played };
}
