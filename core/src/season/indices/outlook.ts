import type { Hemisphere } from '../../edition/climates.ts';
import { addDays, monthOf, northernMonth, type IsoDate } from '../calendar.ts';
import { estimatedHours } from '../hourly.ts';
import { playedOnEach, type Expected } from '../playedOn.ts';
import type { WeatherDay, WeatherSeries } from '../weather.ts';
import { DISEASE_INDICES } from './all.ts';
import { INDEX_IDS, type IndexId } from '../../edition/bases.ts';
import type { DiseaseIndex, IndexDay, RiskLevel } from './index.ts';

/** What a rule has seen lately, and when it will see infection next as the station's earlier years went on from here. */
export interface Outlook {
  /** The last day with infection within the run-up; null = none. */
  lately: IsoDate | null;
  /** null = in fewer than half of the years within the days looked at. */
  next: Expected | null;
}

/** How far earlier years are played on, and how many of this year's days go before them so that running rules are under way. */
export const OUTLOOK_DAYS = 60;
const RUN_UP_DAYS = 12;
/** The youngest years are the likest; more of them change the band by little. */
const MOST_YEARS = 10;

const INFECTS: readonly RiskLevel[] = ['risk', 'high'];

/** Whether a day of this rule counts as weather in which the disease infects. */
export const infects = (index: DiseaseIndex, day: IndexDay, hemisphere: Hemisphere): boolean =>
  INFECTS.includes(day.level) && index.months.includes(northernMonth(monthOf(day.on), hemisphere));

export type Outlooks = Record<IndexId, Outlook>;

const known = new WeakMap<WeatherSeries, Map<string, Outlooks>>();

/** The outlook of every rule at a station; made once a day, hours of the years played on shared by all rules. */
export function outlooks(series: WeatherSeries, today: IsoDate, hemisphere: Hemisphere, latDegrees: number): Outlooks {
  const made = known.get(series) ?? new Map<string, Outlooks>();
  known.set(series, made);
  const key = `${today}|${hemisphere}|${latDegrees}`;
  const found = made.get(key);
  if (found) return found;

  const since = addDays(today, -RUN_UP_DAYS);
  const runUp = series.days.filter(({ on }) => on > since && on <= today);
  const firstInfection = (index: DiseaseIndex, days: readonly WeatherDay[], hours: ReturnType<typeof estimatedHours>, skip: number) => {
    const at = index.of(days, hours).findIndex((day, i) => i >= skip && infects(index, day, hemisphere));
    return at < 0 ? null : at - skip;
  };
  const next = playedOnEach(series, today, OUTLOOK_DAYS, MOST_YEARS, (ahead) => {
    const days = [...runUp, ...ahead];
    const hours = estimatedHours(days, latDegrees);
    return INDEX_IDS.map((id) => firstInfection(DISEASE_INDICES[id], days, hours, runUp.length));
  });
  const hours = estimatedHours(runUp, latDegrees);
  const outlook = Object.fromEntries(
    INDEX_IDS.map((id, i): [IndexId, Outlook] => {
      const index = DISEASE_INDICES[id];
      const lately = index.of(runUp, hours).findLast((day) => infects(index, day, hemisphere));
      return [id, { lately: lately?.on ?? null, next: next[i] ?? null }];
    }),
  ) as Outlooks;
  made.set(key, outlook);
  return outlook;
}
