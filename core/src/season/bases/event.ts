import type { Window } from '../../edition/windows.ts';
import { addDays, longDate, type IsoDate } from '../calendar.ts';
import { stateOn, undated, type SeasonContext, type WindowStanding } from './standing.ts';

/** Days a window that waits for a happening stays open once it is dated (common practice: two weeks). */
const EVENT_DAYS = 14;

/** By a happening somebody has dated. */
export function byEvent(window: Window, context: SeasonContext, date: IsoDate): WindowStanding | null {
  const from = context.events?.[window.id];
  if (!window.event || from === undefined) return null;
  const to = addDays(from, window.eventDays ?? EVENT_DAYS);
  return { ...undated(window, 'unknown', `${window.event}: ${longDate(from)}, as told`), state: stateOn(date, from, to), from, to };
}
