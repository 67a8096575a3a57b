import type { HostSelector } from './plants.ts';
import type { Provenance } from './provenance.ts';

export const ACTS = ['leave', 'culture', 'physical', 'biological', 'contact', 'systemic', 'remove', 'refer'] as const;

/** Rungs of the ladder, gentlest first. */
export type Act = (typeof ACTS)[number];

export const EFFORTS = ['none', 'little', 'some', 'much'] as const;

/** Work for the caller, from none to a day with tools. */
export type Effort = (typeof EFFORTS)[number];

export const COSTS = ['nothing', 'little', 'some', 'much'] as const;

/** Cost class: little = a few coins, some = a product or a net, much = a tradesman. */
export type Cost = (typeof COSTS)[number];

export interface TreatmentOption extends Provenance {
  id: string;
  act: Act;
  title: string;
  how: string;
  /** Window id of the same cause; without one it may be done at any time. */
  window?: string;
  repeat?: string;
  not: string[];
  cautions: string[];
  /** What to mind on certain hosts only: ladders where it is a tree. */
  cautionsOn?: { hosts: HostSelector[]; say: string[] };
  effect: 'good' | 'fair' | 'poor';
  /** Where it is not as usual on its rung, see treatment/burden.ts. */
  effort?: Effort;
  cost?: Cost;
  /** The option this cause is answered with when its window allows. */
  preferred?: boolean;
  /** It holds on these hosts only, and speaks for itself there: preferred, it goes before what is preferred everywhere. */
  hosts?: HostSelector[];
  /** Its creatures stay and live only under glass, and there it goes before what is preferred elsewhere. */
  underGlass?: true;
  /** What a young or newly planted tree or shrub is answered with, which cannot carry what a grown one does. */
  young?: true;
  /** Id of the disputed question this option takes a side in. */
  school?: string;
  /** Active ingredients by ISO common name with their mode-of-action group. */
  actives?: string[];
  /** Set where the desk follows another view of the school: that view. Never in the files. */
  offLine?: string;
  /** Among the least toxic things that can be put on a plant. */
  leastToxic?: true;
}
