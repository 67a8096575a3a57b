import type { FrostSpan, Window } from '../../edition/windows.ts';
import { addDays, daysBetween, yearOf, type IsoDate } from '../calendar.ts';
import { firstFrostSeen, frostDates, type FrostDates } from '../extremes.ts';
import { stateOn, undated, type SeasonContext, type WindowStanding } from './standing.ts';

const SAYS: Record<FrostSpan['at'], string> = {
  'last-over': 'after the day by which the last frost is over in 8 of 10 years',
  'first-comes': 'by the day before which the first frost comes in only 2 of 10 years',
  'first-came': 'by the first frost of autumn',
};

/** The day of the year's frosts that a span counts from: seen, or what the station's years lead one to expect. */
function anchorOf(at: FrostSpan['at'], dates: FrostDates, firstSeen: IsoDate | null): { on: IsoDate; band: [IsoDate, IsoDate] | null } {
  if (at === 'last-over') return { on: dates.lastLate, band: null };
  if (at === 'first-comes') return { on: dates.firstEarly, band: null };
  return firstSeen ? { on: firstSeen, band: null } : { on: dates.firstUsual, band: [dates.firstEarly, dates.firstLate] };
}

/** Leaves near the ground freeze while the screen still reads this much (common practice). */
const GROUND_FROST_C = 2;
/** "Eight years of ten" means nothing of fewer. */
const LEAST_YEARS = 5;

/** By the frosts of the station's own years; null where it hardly ever freezes or the record is too short. Frost is ground frost. */
export function byFrost(window: Window, context: SeasonContext, date: IsoDate): WindowStanding | null {
  const { frost } = window;
  const { weather, hemisphere } = context;
  if (!frost || !weather) return null;
  const spanIn = (year: number) => {
    const dates = frostDates(weather, year, hemisphere, GROUND_FROST_C);
    if (!dates || dates.years < LEAST_YEARS) return null;
    const anchor = anchorOf(frost.at, dates, firstFrostSeen(weather, year, hemisphere, date, GROUND_FROST_C));
    return { from: addDays(anchor.on, frost.from), to: addDays(anchor.on, frost.to), band: anchor.band, years: dates.years };
  };
  // a season's frosts belong to the year of its midsummer
  const year = yearOf(date);
  const runs = [year - 1, year, year + 1, year + 2].flatMap((y) => spanIn(y) ?? []);
  const at = runs.findIndex(({ to }) => date <= to);
  const coming = runs[at];
  if (!coming) return null;
  const over = runs[at - 1];
  const justOver = over !== undefined && date < coming.from && daysBetween(over.to, date) < daysBetween(date, coming.from);
  const run = justOver ? over : coming;
  const state = stateOn(date, run.from, run.to);
  const band = run.band && state === 'not-yet' ? run.band : null;
  return {
    ...undated(window, 'unknown', ''),
    state,
    from: run.from,
    to: run.to,
    fromBand: band && [addDays(band[0], frost.from), addDays(band[1], frost.from)],
    nextFrom: state === 'closed' ? coming.from : null,
    basis: `${SAYS[frost.at]}, from ${run.years} years at ${weather.station}`,
  };
}
