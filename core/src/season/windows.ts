import type { Window } from '../edition/windows.ts';
import { byCalendar } from './bases/calendar.ts';
import { byDegreeDays } from './bases/degreeDays.ts';
import { byEvent } from './bases/event.ts';
import { byFrost } from './bases/frost.ts';
import { byInfection } from './bases/infection.ts';
import { undated, type SeasonContext, type WindowStanding, type WindowState } from './bases/standing.ts';

export type { SeasonContext, WindowStanding, WindowState };

/** What a window may rest on, the surest first. */
const BASES = [byEvent, byDegreeDays, byFrost, byInfection, byCalendar] as const;

/**
 * Where a window stands on a date. What a station has measured comes before the calendar; a window tied to an event nobody has dated is
 * unknown, never guessed.
 */
export function windowStanding(window: Window, context: SeasonContext): WindowStanding {
  if (window.anyTime) return undated(window, 'any-time', 'no season');
  if (window.outdoors && context.indoors) return undated(window, 'unknown', 'for plants out of doors');
  if (context.date !== null) {
    for (const by of BASES) {
      const standing = by(window, context, context.date);
      if (standing) return standing;
    }
  }
  if (window.event) return undated(window, 'unknown', window.event);
  return undated(window, 'unknown', context.date === null ? 'no date given' : 'no dates known for this climate');
}

/** True on a day when work in the window makes sense. */
export const isWorkable = (state: WindowState): boolean => state === 'open' || state === 'closing' || state === 'any-time';
