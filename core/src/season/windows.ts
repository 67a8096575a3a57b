import type { Climate, DegreeDaySpan, Hemisphere, Provenance, Window } from '../edition/edition.ts';
import { addDays, daysBetween, occurrence, seasonalDate, spanFor, yearOf, type IsoDate } from './calendar.ts';
import { accumulated, biofixBefore, crossingDate, type Crossing } from './crossing.ts';
import type { WeatherSeries } from './weather.ts';

export type WindowState = 'not-yet' | 'open' | 'closing' | 'closed' | 'any-time' | 'unknown';

export interface WindowStanding extends Provenance {
  window: string;
  name: string;
  state: WindowState;
  /** This season's dates; while not reached, the median expected. */
  from: IsoDate | null;
  to: IsoDate | null;
  /** Band for a start that still lies ahead, 8 years in 10. */
  fromBand: [IsoDate, IsoDate] | null;
  /** When it opens next, once it has closed. */
  nextFrom: IsoDate | null;
  /** In words: what the dates rest on. */
  basis: string;
}

export interface SeasonContext {
  date: IsoDate | null;
  climate: Climate | null;
  hemisphere: Hemisphere;
  /** Daily weather of the nearest station, if there is one. */
  weather: WeatherSeries | null;
  /** Happenings somebody has dated, by window id: they come before any reckoning. */
  events?: Record<string, IsoDate>;
}

/** A window counts as closing in its last fifth, and always in its last five days. */
function stateOn(date: IsoDate, from: IsoDate, to: IsoDate): 'not-yet' | 'open' | 'closing' | 'closed' {
  if (date < from) return 'not-yet';
  if (date > to) return 'closed';
  const left = daysBetween(date, to);
  return left < Math.max(5, 0.2 * daysBetween(from, to)) ? 'closing' : 'open';
}

function undated(window: Window, state: 'any-time' | 'unknown', basis: string): WindowStanding {
  const provenance = { mark: window.mark, ...(window.source ? { source: window.source } : {}), ...(window.note ? { note: window.note } : {}) };
  return { window: window.id, name: window.name, state, from: null, to: null, fromBand: null, nextFrom: null, basis, ...provenance };
}

/** The generation whose window is open or comes next before the year's count begins anew at `end`; the last one when all are over. */
function generationOn(
  weather: WeatherSeries,
  span: DegreeDaySpan,
  [biofix, end]: [IsoDate, IsoDate],
  date: IsoDate,
): { number: number; from: Crossing; to: Crossing } | null {
  const { every, most } = span.generations ?? { every: 0, most: 1 };
  let found: { number: number; from: Crossing; to: Crossing } | null = null;
  for (let g = 0; g < most; g++) {
    const from = crossingDate(weather, span, span.from + g * every, biofix, date);
    const to = crossingDate(weather, span, span.to + g * every, biofix, date);
    // a later generation that the warmth of a year does not reach does not happen here
    if (!from || !to || (g > 0 && from.on >= end)) break;
    found = { number: g + 1, from, to };
    if (date <= to.on) break;
  }
  return found;
}

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];

function byDegreeDays(window: Window, context: SeasonContext, date: IsoDate, weather: WeatherSeries): WindowStanding | null {
  const span = window.degreeDays;
  if (!span) return null;
  const biofix = biofixBefore(span, date, context.hemisphere);
  const nextBiofix = seasonalDate(span.biofix, yearOf(biofix) + 1, context.hemisphere);
  const generation = generationOn(weather, span, [biofix, nextBiofix], date);
  const today = accumulated(weather, span, biofix, date);
  if (!generation || today === null) return null;
  const { from, to, number } = generation;
  const state = stateOn(date, from.on, to.on);
  const next = state === 'closed' ? crossingDate(weather, span, span.from, nextBiofix, date) : null;
  const shift = (number - 1) * (span.generations?.every ?? 0);
  const counted = span.generations ? `${ORDINALS[number - 1] ?? `${number}th`} generation, ` : '';
  return {
    ...undated(window, 'unknown', ''),
    state,
    from: from.on,
    to: to.on,
    fromBand: from.reached ? null : [from.early, from.late],
    nextFrom: next?.on ?? null,
    basis:
      `${counted}${Math.round(today)} degree-days above ${span.baseC} °C since ${biofix} at ${weather.station}; ` +
      `window ${span.from + shift}–${span.to + shift}` +
      (from.reached && to.reached ? '' : `; dates ahead from ${to.years} earlier years`),
  };
}

function byCalendar(window: Window, context: SeasonContext, date: IsoDate): WindowStanding | null {
  const span = window.calendar ? spanFor(window.calendar, context.climate) : null;
  if (!span) return null;
  const year = yearOf(date);
  const runs = [year - 1, year, year + 1, year + 2].map((y) => occurrence(span, y, context.hemisphere));
  // the run that holds the date, else the nearer of the one just over and the one to come
  const upcoming = runs.findIndex((run) => date <= run.to);
  const coming = runs[upcoming] ?? runs[1]!;
  const over = runs[upcoming - 1];
  const inside = date >= coming.from;
  const justOver = !inside && over && daysBetween(over.to, date) < daysBetween(date, coming.from);
  const run = justOver ? over : coming;
  const state = stateOn(date, run.from, run.to);
  const usual = window.calendar?.[context.climate ?? 'default'] ? `in a ${context.climate} climate` : 'as a rule';
  return {
    ...undated(window, 'unknown', ''),
    state,
    from: run.from,
    to: run.to,
    nextFrom: state === 'closed' ? coming.from : null,
    basis: `calendar, ${usual}${context.hemisphere === 'S' ? ', moved six months for the southern hemisphere' : ''}`,
  };
}

/** Days a window that waits for a happening stays open once it is dated (common practice: two weeks). */
const EVENT_DAYS = 14;

function byEvent(window: Window, context: SeasonContext, date: IsoDate): WindowStanding | null {
  const from = context.events?.[window.id];
  if (!window.event || from === undefined) return null;
  const to = addDays(from, window.eventDays ?? EVENT_DAYS);
  return { ...undated(window, 'unknown', `${window.event}: ${from}, as told`), state: stateOn(date, from, to), from, to };
}

/**
 * Where a window stands on a date. Degree-days of a station with enough record come before the calendar;
 * a window tied to an event nobody has dated is unknown, never guessed.
 */
export function windowStanding(window: Window, context: SeasonContext): WindowStanding {
  if (window.anyTime) return undated(window, 'any-time', 'no season');
  if (context.date !== null) {
    const standing =
      byEvent(window, context, context.date) ??
      (context.weather ? byDegreeDays(window, context, context.date, context.weather) : null) ??
      byCalendar(window, context, context.date);
    if (standing) return standing;
  }
  if (window.event) return undated(window, 'unknown', `depends on ${window.event}`);
  return undated(window, 'unknown', context.date === null ? 'no date given' : 'no dates known for this climate');
}

/** True on a day when work in the window makes sense. */
export const isWorkable = (state: WindowState): boolean => state === 'open' || state === 'closing' || state === 'any-time';
