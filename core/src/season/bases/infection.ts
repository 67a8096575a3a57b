import type { Window } from '../../edition/windows.ts';
import { addDays, longDate, type IsoDate } from '../calendar.ts';
import { DISEASE_INDICES } from '../indices/all.ts';
import { OUTLOOK_DAYS, outlooks } from '../indices/outlook.ts';
import { byCalendar } from './calendar.ts';
import { stateOn, undated, type SeasonContext, type WindowStanding } from './standing.ts';

/** Leaves that were sound on the day of infection are protected, or watched, for so long after it (common practice: a spray's usual interval). */
const AFTER_DAYS = 10;

/**
 * By the weather in which a disease infects, within the span its calendar gives: open after such a day, otherwise expected as the
 * station's earlier years went on from here.
 */
export function byInfection(window: Window, context: SeasonContext, date: IsoDate): WindowStanding | null {
  const { weather, hemisphere } = context;
  if (!window.infection || weather?.latDegrees === undefined) return null;
  const season = byCalendar(window, context, date);
  if (!season?.from || !season.to || season.state === 'not-yet' || season.state === 'closed') return null;
  const { lately, next } = outlooks(weather, date, hemisphere, weather.latDegrees)[window.infection];
  const rule = `${DISEASE_INDICES[window.infection].name}, weather rule, at ${weather.station}`;
  const end = (from: IsoDate) => (addDays(from, AFTER_DAYS) < season.to! ? addDays(from, AFTER_DAYS) : season.to);
  if (lately && date <= addDays(lately, AFTER_DAYS)) {
    const to = end(lately)!;
    return {
      ...undated(window, 'unknown', ''),
      state: stateOn(date, lately, to),
      from: lately,
      to,
      basis: `infection weather on ${longDate(lately)}: ${rule}`,
    };
  }
  if (!next || next.on > season.to)
    return {
      ...undated(window, 'unknown', ''),
      state: 'not-yet',
      basis: `no infection weather of late, and in most years none within ${OUTLOOK_DAYS} days: ${rule}`,
    };
  return {
    ...undated(window, 'unknown', ''),
    state: 'not-yet',
    from: next.on,
    to: end(next.on),
    fromBand: [next.early, next.late],
    basis: `no infection weather of late; next expected from ${next.years} earlier years: ${rule}`,
  };
}
