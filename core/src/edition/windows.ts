import type { Cutoff, DegreeDayMethod, IndexId } from './bases.ts';
import type { Climate } from './climates.ts';
import type { Provenance } from './provenance.ts';

/** Degree-days in °C·day above `baseC` from the biofix; single sine with horizontal cut-off unless it says otherwise. */
export interface DegreeDaySpan {
  baseC: number;
  upperC?: number;
  method?: DegreeDayMethod;
  cutoff?: Cutoff;
  /** MM-DD, northern hemisphere. */
  biofix: string;
  from: number;
  to: number;
  /** The same stage comes again `every` so many degree-days, `most` times in all. */
  generations?: { every: number; most: number };
}

/** Days counted from a frost of the station's own years: `from` and `to` may be negative. */
export interface FrostSpan {
  at: FrostTurn;
  from: number;
  to: number;
}

/** The last frost of spring over in 8 years of 10; the first of autumn to be reckoned with in 2 of 10; that frost when it has come. */
export const FROST_TURNS = ['last-over', 'first-comes', 'first-came'] as const;

export type FrostTurn = (typeof FROST_TURNS)[number];

/** MM-DD to MM-DD, northern hemisphere; may run over the turn of the year. */
export interface CalendarSpan {
  from: string;
  to: string;
}

export interface Window extends Provenance {
  id: string;
  name: string;
  degreeDays?: DegreeDaySpan;
  frost?: FrostSpan;
  /** Open for some days after weather in which this rule sees infection, within the calendar's span. */
  infection?: IndexId;
  calendar?: Partial<Record<Climate | 'default', CalendarSpan>>;
  /** A happening that nobody but the caller can date, such as petal fall; once dated the window is open for `eventDays` (14). */
  event?: string;
  eventDays?: number;
  anyTime?: boolean;
  /** Only for plants out of doors: the season ends for them alone. */
  outdoors?: boolean;
}
