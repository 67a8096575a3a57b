import { CalendarDate, parseDate } from '@internationalized/date';
import type { Climate, Hemisphere } from '../edition/climates.ts';
import type { CalendarSpan } from '../edition/windows.ts';

/** A calendar date as YYYY-MM-DD, without a time or a zone. */
export type IsoDate = string;

/** @throws RangeError for anything but an existing day written YYYY-MM-DD */
export function isoDate(text: string): CalendarDate {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) throw new RangeError(`date "${text}" is not written as YYYY-MM-DD`);
  try {
    const date = parseDate(text);
    if (date.toString() === text) return date;
  } catch {
    // fall through to the one message
  }
  throw new RangeError(`date "${text}" does not exist`);
}

// all of these go by day numbers: reports ask them many thousand times
export const addDays = (date: IsoDate, days: number): IsoDate => isoOfDay(dayNumber(date) + days);
export const daysBetween = (from: IsoDate, to: IsoDate): number => dayNumber(to) - dayNumber(from);
export const monthOf = (date: IsoDate): number => partOf(date, 5, 2);
export const yearOf = (date: IsoDate): number => partOf(date, 0, 4);

/** @throws RangeError as `isoDate` does */
function partOf(date: IsoDate, from: number, count: number): number {
  dayNumber(date);
  return digits(date, from, count);
}

const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

/** "24 April 2027", as it is written in a reply. */
export function longDate(date: IsoDate): string {
  const { day, month, year } = isoDate(date);
  return `${day} ${MONTHS[month - 1] ?? ''} ${year}`;
}

/** The month (1–12) with the same season in the northern hemisphere. */
export function northernMonth(month: number, hemisphere: Hemisphere): number {
  return hemisphere === 'N' ? month : ((month + 5) % 12) + 1;
}

/** A northern MM-DD as a date in `year`, moved six months on in the southern hemisphere. */
export function seasonalDate(monthDay: string, year: number, hemisphere: Hemisphere): IsoDate {
  const [month, day] = monthDay.split('-').map(Number);
  if (!month || !day || month > 12 || day > 31) throw new RangeError(`"${monthDay}" is not written as MM-DD`);
  if (hemisphere === 'N') return new CalendarDate(year, month, day).toString();
  return new CalendarDate(year, ((month + 5) % 12) + 1, day).toString();
}

/** The span of a climate, falling back to `default`; null when the knowledge gives none. */
export function spanFor(calendar: Partial<Record<Climate | 'default', CalendarSpan>>, climate: Climate | null): CalendarSpan | null {
  return (climate === null ? undefined : calendar[climate]) ?? calendar.default ?? null;
}

export interface DatedSpan {
  from: IsoDate;
  to: IsoDate;
}

/** The occurrence of a yearly span that starts in `year`; it may end in the year after. */
export function occurrence(span: CalendarSpan, year: number, hemisphere: Hemisphere): DatedSpan {
  const from = seasonalDate(span.from, year, hemisphere);
  const sameYear = seasonalDate(span.to, year, hemisphere);
  return { from, to: sameYear >= from ? sameYear : seasonalDate(span.to, year + 1, hemisphere) };
}

/** Days since 1 January 1970: what records are indexed by. */
export type DayNumber = number;

const DAYS_IN_MONTH = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

/** The number that two or four digits of a date spell; NaN for anything else. */
function digits(date: IsoDate, from: number, count: number): number {
  let value = 0;
  for (let i = from; i < from + count; i++) {
    const digit = date.charCodeAt(i) - 48;
    if (!(digit >= 0 && digit <= 9)) return NaN;
    value = value * 10 + digit;
  }
  return value;
}

/**
 * Days of the civil calendar by integers alone: records of thirty years are numbered without making a date object a day.
 * @throws RangeError for anything but an existing day written YYYY-MM-DD
 */
export function dayNumber(date: IsoDate): DayNumber {
  const [year, month, day] = [digits(date, 0, 4), digits(date, 5, 2), digits(date, 8, 2)];
  const longest = month === 2 && isLeap(year) ? 29 : (DAYS_IN_MONTH[month - 1] ?? 0);
  if (date.length !== 10 || date[4] !== '-' || date[7] !== '-' || !(year >= 0) || !(day >= 1 && day <= longest)) isoDate(date); // says what is wrong
  // years are counted from March, so that the leap day comes last
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yearOfEra = y - era * 400;
  const dayOfEra =
    yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + Math.floor((153 * ((month + 9) % 12) + 2) / 5) + day - 1;
  return era * 146_097 + dayOfEra - 719_468;
}

export const isoOfDay = (day: DayNumber): IsoDate => new Date(day * 86_400_000).toISOString().slice(0, 10);

/** The same day of the year `years` earlier; 29 February becomes the 28th. */
export function yearsEarlier(date: IsoDate, years: number): IsoDate {
  const year = String(yearOf(date) - years).padStart(4, '0');
  const day = date.slice(4);
  return day === '-02-29' && !isLeap(Number(year)) ? `${year}-02-28` : `${year}${day}`;
}
const isLeap = (year: number): boolean => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;

/** 1 to 366. */
export const dayOfYear = (date: IsoDate): number => dayNumber(date) - dayNumber(`${date.slice(0, 4)}-01-01`) + 1;
