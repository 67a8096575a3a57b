import type { Climate, Hemisphere } from '../../edition/climates.ts';
import type { Provenance } from '../../edition/provenance.ts';
import type { Window } from '../../edition/windows.ts';
import { daysBetween, type IsoDate } from '../calendar.ts';
import type { WeatherSeries } from '../weather.ts';

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
  /** The plant is one of the house: windows for plants out of doors are not for it. */
  indoors?: boolean;
}

/** A window counts as closing in its last fifth, and always in its last five days. */
export function stateOn(date: IsoDate, from: IsoDate, to: IsoDate): 'not-yet' | 'open' | 'closing' | 'closed' {
  if (date < from) return 'not-yet';
  if (date > to) return 'closed';
  const left = daysBetween(date, to);
  return left < Math.max(5, 0.2 * daysBetween(from, to)) ? 'closing' : 'open';
}

export function undated(window: Window, state: 'any-time' | 'unknown', basis: string): WindowStanding {
  const provenance = { mark: window.mark, ...(window.source ? { source: window.source } : {}), ...(window.note ? { note: window.note } : {}) };
  return { window: window.id, name: window.name, state, from: null, to: null, fromBand: null, nextFrom: null, basis, ...provenance };
}
