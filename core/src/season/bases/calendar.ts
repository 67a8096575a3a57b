import type { Window } from '../../edition/windows.ts';
import { daysBetween, occurrence, spanFor, yearOf, type IsoDate } from '../calendar.ts';
import { stateOn, undated, type SeasonContext, type WindowStanding } from './standing.ts';

/** By the calendar of the climate. */
export function byCalendar(window: Window, context: SeasonContext, date: IsoDate): WindowStanding | null {
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
