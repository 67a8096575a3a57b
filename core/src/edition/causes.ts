import type { IndexId } from './bases.ts';
import type { Climate } from './climates.ts';
import type { TreatmentOption } from './options.ts';
import type { HostSelector, HostWeight } from './plants.ts';
import type { Provenance } from './provenance.ts';
import type { Window } from './windows.ts';

/** How often an answer goes with a cause; the numbers are fixed in RATE_VALUES. */
export const RATE_VALUES = {
  always: 0.97,
  usually: 0.85,
  often: 0.65,
  sometimes: 0.35,
  seldom: 0.12,
  never: 0.01,
} as const;

export type RateWord = keyof typeof RATE_VALUES;

/** How commonly a cause is met on a host it suits; relative weights, elicited. */
export const COMMONNESS_VALUES = {
  'very-common': 6,
  common: 3,
  occasional: 1.2,
  uncommon: 0.5,
  rare: 0.15,
} as const;

export type Commonness = keyof typeof COMMONNESS_VALUES;

export interface CauseRate extends Provenance {
  finding: string;
  answers: Record<string, RateWord>;
}

export interface LookAlike {
  cause: string;
  separate: string[];
  say: string;
}

export type CauseKind =
  | 'normal'
  | 'fungus'
  | 'oomycete'
  | 'bacterium'
  | 'virus'
  | 'nematode'
  | 'insect'
  | 'mite'
  | 'mollusc'
  | 'animal'
  | 'plant'
  | 'nutrient'
  | 'water'
  | 'temperature'
  | 'light'
  | 'chemical'
  | 'mechanical'
  | 'cultural'
  | 'unlisted';

export interface Cause extends Provenance {
  id: string;
  name: string;
  latin?: string;
  also: string[];
  kind: CauseKind;
  story: string;
  /** Words in which callers put it, as often as their phrases have them; see language/likeness.ts. */
  heard?: string;
  /** Further words of callers whose cause was known, each once. */
  told?: string;
  commonness: Commonness;
  hosts: { include: HostWeight[]; exclude: HostSelector[] };
  /** Climates it belongs to; empty = all. Elsewhere it is unusual, not impossible. */
  climates: Climate[];
  /** Months 1–12 (northern) in which callers notice it; empty = all year. */
  months: number[];
  rates: CauseRate[];
  lookAlikes: LookAlike[];
  windows: Window[];
  options: TreatmentOption[];
  leaveWhen: string;
  /** One line for "is it worth doing anything". */
  worth: string;
  cautions: string[];
  notifiable: boolean;
  replyLine: string;
  /** Whether and how it passes to other plants, where it does so otherwise than its kind as a rule; see consult/spread.ts. */
  spreads?: string;
  /** The weather rule that says when it infects; see season/indices. */
  index?: IndexId;
}

export const UNLISTED = 'unlisted';
