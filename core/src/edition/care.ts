import type { Cause } from './causes.ts';
import type { Window } from './windows.ts';

export interface CareTopic {
  id: string;
  name: string;
  /** What is answered when no plant is named. */
  general?: string;
  /** What a caller asks whether, when or how to do. */
  verbs?: string[];
  /** Phrases that point to the topic where something is asked. */
  words: string[];
  /** Phrases that ask for it without a question. */
  told?: string[];
}

/** What is to be done through the year for a plant that is well: a care topic with its window. */
export interface CareTask {
  id: string;
  topic: string;
  name: string;
  how: string;
  hosts: Cause['hosts'];
  window: Window;
}

/** Stands where a cause is named, for a question that was answered from the plant's card: nothing was wrong. */
export const CARE_ONLY = 'care';

/** Care topic: whether it is poisonous; told without a question where somebody ate of it: "the cat chewed a lily leaf" is no pest's feeding. */
export const POISON = 'poison';

/** Care topic: cutting down and taking spent flowers off. */
export const CUT_BACK = 'cut-back';

/** Care topic: whether what ails a plant passes to others; the cause answers it, not the plant's card. */
export const SPREAD = 'spread';

/** Care topic: what is to be done about what ails a plant. */
export const REMEDY = 'remedy';

/** Care topic: whether it matters and whether the plant pulls through. */
export const OUTLOOK = 'outlook';

/** What is asked about the trouble itself: the cause answers it, no plant's card does. */
export const OF_THE_CAUSE: ReadonlySet<string> = new Set([SPREAD, REMEDY, OUTLOOK]);

/** Care topic: whether a crop that was struck can still be eaten. */
export const EAT = 'eat';
