import { longDate } from '@sounding/core/season/calendar.ts';

const shortDay = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });
const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: 'UTC' });

/** "14 June 2026" for YYYY-MM-DD or an instant. */
export const sayDay = (date: string): string => longDate(date.slice(0, 10));
/** "14 Jun" */
export const sayShortDay = (date: string): string => shortDay.format(new Date(`${date.slice(0, 10)}T00:00:00Z`));
export const sayTime = (instant: string): string => clock.format(new Date(instant));
