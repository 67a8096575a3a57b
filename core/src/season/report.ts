import { COMMONNESS_VALUES, type Cause } from '../edition/causes.ts';
import type { Climate, Hemisphere } from '../edition/climates.ts';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import type { Mark } from '../edition/provenance.ts';
import { hostWeight } from '../edition/hosts.ts';
import { addDays, daysBetween, monthOf, northernMonth, yearOf, type IsoDate } from './calendar.ts';
import { frostDates, recentEvents, type FrostDates, type WeatherEvent } from './extremes.ts';
import { chillSoFar, type ChillSoFar } from './chillSeason.ts';
import { hoursWith, type WeatherHour } from './hourly.ts';
import { DISEASE_INDICES } from './indices/all.ts';
import { INDEX_IDS, type IndexId } from '../edition/bases.ts';
import type { IndexDay } from './indices/index.ts';
import { infects } from './indices/outlook.ts';
import { playedOn, type Expected } from './playedOn.ts';
import { waterBalance } from './waterBalance.ts';
import type { WeatherDay, WeatherSeries } from './weather.ts';
import { windowStanding, type SeasonContext, type WindowStanding } from './windows.ts';
import { worksFor } from './works.ts';

/** A window of a cause that stands at a turn: it opens, is open, or ends, within the days looked at. */
export interface DueWindow {
  cause: string;
  causeName: string;
  timing: WindowStanding;
  /** What is done in it, by title. */
  options: string[];
  /** Days until it opens (before), or ends (while open). */
  inDays: number;
  turn: 'opens' | 'open' | 'ends';
}

export interface IndexRun {
  id: IndexId;
  name: string;
  unit: string;
  cite: string;
  mark: Mark;
  holds: string;
  /** Whether it sees infection today or in the days foretold; until then `outlooks` say when to expect it. */
  inSight: boolean;
  /** The last days and those foretold. */
  days: (IndexDay & { foretold: boolean; inSeason: boolean })[];
}

/** Work on plants that are well, at its turn. */
export interface DueTask {
  task: string;
  topic: string;
  name: string;
  how: string;
  timing: WindowStanding;
  inDays: number;
  turn: DueWindow['turn'];
}

export interface SeasonReport {
  due: DueWindow[];
  /** Share of the past days shown whose hours were measured, 0..1. */
  measuredShare: number;
  tasks: DueTask[];
  indices: IndexRun[];
  frost: FrostDates | null;
  /** Chill of the winter that runs; null in summer or without a record. */
  chill: ChillSoFar | null;
  events: WeatherEvent[];
  /** A bed of loam with roots of 30 cm: what it lacks, mm; null without a record. */
  bedMissingMm: number | null;
  bedDue: boolean;
  /** When it will want water, as earlier years went on from here; null when it wants it now or in most years rain comes first. */
  bedDueOn: Expected | null;
  /** Rain and evapotranspiration of the last seven days, mm. */
  rainMm: number;
  evapotranspirationMm: number;
}

export interface SeasonInput {
  series: WeatherSeries;
  forecast: readonly WeatherDay[];
  /** Hours the station has measured itself, as far as it has. */
  hours?: readonly WeatherHour[];
  today: IsoDate;
  climate: Climate;
  hemisphere: Hemisphere;
  latDegrees: number;
  altitudeM: number;
  /** Plants that grow in the gardens of this desk's callers; their causes go first. */
  plants: readonly Plant[];
}

/** How far ahead a turn is worth a line. */
const AHEAD_DAYS = 14;
const EVENT_DAYS = 21;
const INDEX_DAYS = 14;
/** Early blight counts from planting out; indices that run need a run-up. */
const RUN_UP_DAYS = 60;
const BED_AHEAD_DAYS = 45;
const BED = { texture: 'loam', rootM: 0.3, cropFactor: 1, readyShare: 0.5 } as const;

/** At which turn a window stands within the days looked at; null = at none. */
function turnOf(timing: WindowStanding, today: IsoDate): { turn: DueWindow['turn']; inDays: number } | null {
  if (timing.state === 'not-yet' && timing.from !== null) {
    const inDays = daysBetween(today, timing.from);
    return inDays <= AHEAD_DAYS ? { turn: 'opens', inDays } : null;
  }
  if ((timing.state === 'open' || timing.state === 'closing') && timing.to !== null) {
    const inDays = daysBetween(today, timing.to);
    return { turn: inDays <= AHEAD_DAYS ? 'ends' : 'open', inDays };
  }
  return null;
}

function dueOf(cause: Cause, context: SeasonContext, today: IsoDate): DueWindow[] {
  return cause.windows.flatMap((window): DueWindow[] => {
    const options = cause.options.filter((option) => option.window === window.id && option.act !== 'leave').map(({ title }) => title);
    if (options.length === 0 || (!window.degreeDays && !window.calendar && !window.frost)) return [];
    const timing = windowStanding(window, context);
    const turn = turnOf(timing, today);
    return turn ? [{ cause: cause.id, causeName: cause.name, timing, options, ...turn }] : [];
  });
}

/** How much a cause matters to this desk: common ones first, and first of all those of plants it is asked about. */
function weightFor(cause: Cause, plants: readonly Plant[]): number {
  const here = Math.max(0, ...plants.map((plant) => hostWeight(cause, plant)));
  return COMMONNESS_VALUES[cause.commonness] * (here > 0 ? 3 * here : 1);
}

/** What this week and the next ask for at one station. */
export function seasonReport(edition: Edition, input: SeasonInput): SeasonReport {
  const { series, forecast, today, climate, hemisphere, latDegrees, altitudeM, plants } = input;
  const context: SeasonContext = { date: today, climate, hemisphere, weather: series };
  const belongs = (cause: Cause) => cause.climates.length === 0 || cause.climates.includes(climate);
  const due = edition.causes
    .filter(belongs)
    .map((cause) => ({ rows: dueOf(cause, context, today), weight: weightFor(cause, plants) }))
    .sort((a, b) => b.weight - a.weight)
    .flatMap(({ rows }) => rows);
  const tasks = (edition.careTasks ?? [])
    .filter((task) => plants.length === 0 || plants.some((plant) => hostWeight(task, plant) > 0))
    .flatMap(({ id, topic, name, how, window }): DueTask[] => {
      const timing = windowStanding(window, context);
      const turn = turnOf(timing, today);
      return turn ? [{ task: id, topic, name, how, timing, ...turn }] : [];
    });
  const since = addDays(today, -RUN_UP_DAYS);
  const shownSince = addDays(today, -INDEX_DAYS);
  const runUp = series.days.filter(({ on }) => on > since && on <= today);
  const ahead = forecast.filter(({ on }) => on > today);
  const days = [...runUp, ...ahead];
  const hours = hoursWith(input.hours ?? [], days, latDegrees);
  const week = runUp.slice(-7);
  const balance = waterBalance(runUp, BED, latDegrees, altitudeM);
  const lastWeek = balance.slice(-7);
  const missing = balance[balance.length - 1]?.missingMm ?? 0;
  const bedDueOn = balance[balance.length - 1]?.due
    ? null
    : playedOn(series, today, BED_AHEAD_DAYS, (ahead) => {
        const at = waterBalance(ahead, BED, latDegrees, altitudeM, missing).findIndex(({ due: wants }) => wants);
        return at < 0 ? null : at;
      });
  return {
    due,
    measuredShare: runUp.length === 0 ? 0 : new Set(hours.filter((hour) => hour.measured).map(({ on }) => on)).size / runUp.length,
    tasks,
    chill: chillSoFar(series, today, hemisphere, latDegrees),
    indices: INDEX_IDS.map((id) => {
      const index = DISEASE_INDICES[id];
      const { name, unit, cite, mark, holds } = index;
      const shown = index.of(days, hours).filter(({ on }) => on > shownSince);
      return {
        id,
        name,
        unit,
        cite,
        mark,
        holds,
        inSight: shown.some((day) => day.on >= today && infects(index, day, hemisphere)),
        days: shown.map((day) => {
          const inSeason = index.months.includes(northernMonth(monthOf(day.on), hemisphere));
          return { ...day, ...(inSeason ? {} : { level: 'none' as const, note: '' }), foretold: day.on > today, inSeason };
        }),
      };
    }),
    frost: frostDates(series, yearOf(today), hemisphere),
    events: recentEvents(series, today, EVENT_DAYS),
    bedMissingMm: balance[balance.length - 1]?.missingMm ?? null,
    bedDue: balance[balance.length - 1]?.due ?? false,
    bedDueOn,
    rainMm: week.reduce((sum, { rainMm }) => sum + (rainMm ?? 0), 0),
    evapotranspirationMm: lastWeek.reduce((sum, { evapotranspirationMm }) => sum + evapotranspirationMm, 0),
  };
}

/** Every dated window of what is done for a plant and against what can strike it, for the strip of its year. */
export function plantYear(edition: Edition, plant: Plant, context: SeasonContext): { cause: string; name: string; timing: WindowStanding }[] {
  const { climate } = context;
  const isDated = ({ timing }: { timing: WindowStanding }) => timing.from !== null && timing.to !== null;
  const care = worksFor(edition, plant).map((task) => ({ cause: task.id, name: task.name, timing: windowStanding(task.window, context) }));
  const weight = (cause: Cause) => hostWeight(cause, plant) * COMMONNESS_VALUES[cause.commonness];
  const against = edition.causes
    .filter((cause) => hostWeight(cause, plant) > 0 && (climate === null || cause.climates.length === 0 || cause.climates.includes(climate)))
    .sort((a, b) => weight(b) - weight(a))
    .flatMap((cause) =>
      cause.windows
        .filter(
          (window) => (window.degreeDays || window.calendar) && cause.options.some((option) => option.window === window.id && option.act !== 'leave'),
        )
        .map((window) => ({ cause: cause.id, name: `${cause.name}: ${window.name}`, timing: windowStanding(window, context) })),
    );
  return [...care, ...against].filter(isDated);
}
