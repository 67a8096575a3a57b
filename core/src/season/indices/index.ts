import type { IndexId } from '../../edition/bases.ts';
import type { Mark } from '../../edition/provenance.ts';
import type { IsoDate } from '../calendar.ts';
import type { WeatherHour } from '../hourly.ts';
import type { WeatherDay } from '../weather.ts';

export type RiskLevel = 'none' | 'low' | 'risk' | 'high';

/** What an index says of one day. */
export interface IndexDay {
  on: IsoDate;
  /** Running value where the index has one, else the day's own. */
  value: number;
  level: RiskLevel;
  /** Why, in a few words; empty on quiet days. */
  note: string;
}

/** A published weather rule for one disease. It speaks of the weather only: no rule knows whether spores or flowers are there. */
export interface DiseaseIndex {
  id: IndexId;
  name: string;
  unit: string;
  mark: Mark;
  cite: string;
  /** When it means anything, for people. */
  holds: string;
  /** The same as months 1–12 of the north: outside them nothing is shown. */
  months: readonly number[];
  of(days: readonly WeatherDay[], hours: readonly WeatherHour[]): IndexDay[];
}

export const meanTemperature = (hours: readonly WeatherHour[]): number =>
  hours.reduce((sum, hour) => sum + hour.tempC, 0) / Math.max(1, hours.length);

/** Longest run of hours for which something holds. */
export function longestRun(hours: readonly WeatherHour[], holds: (hour: WeatherHour) => boolean): number {
  let longest = 0;
  let run = 0;
  for (const hour of hours) {
    run = holds(hour) ? run + 1 : 0;
    if (run > longest) longest = run;
  }
  return longest;
}
