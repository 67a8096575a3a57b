export const ORGANS = ['leaf', 'stem', 'root', 'flower', 'fruit', 'whole-plant', 'surroundings'] as const;

export type Organ = (typeof ORGANS)[number];

/** Channels, with the default chance that a report through them is a true look at the plant. */
export const CHANNEL_RELIABILITY = {
  'caller-unsure': 0.5,
  // what is told unasked must be seen rightly by them and read rightly by us
  caller: 0.7,
  'caller-looked': 0.88,
  photo: 0.85,
  'in-hand': 0.95,
  bench: 0.97,
  laboratory: 0.99,
} as const;

export type Channel = keyof typeof CHANNEL_RELIABILITY;

export const CHANNELS = Object.keys(CHANNEL_RELIABILITY) as Channel[];

export interface Answer {
  id: string;
  /** What an advisor reads out, or shows on a chip. */
  say: string;
  /** What is shown where no more is known than that it is not this one: "pruned, not said when". Its `say` behind a "not" where there is none. */
  denied?: string;
  /** Phrase patterns, see language/phrases.ts. */
  words: string[];
  /** Share of plants in general that would give this answer, 0..1; the answers of a finding sum to 1. */
  background: number;
  /** Where its stretch of the finding's scale ends. */
  upTo?: number;
}

/** `age` is how long a plant has stood, `days` any other stretch of time; `coldest` and `hottest` are temperatures in °C. */
export const SCALES = ['ph', 'age', 'days', 'every-days', 'coldest', 'hottest'] as const;

export type Scale = (typeof SCALES)[number];

export interface Finding {
  id: string;
  name: string;
  organ: Organ;
  kind: 'symptom' | 'sign' | 'pattern' | 'history' | 'test' | 'site';
  /** The question as it is read out loud. */
  ask: string;
  /** How to look, when the caller needs telling. */
  check?: string;
  answers: Answer[];
  /** The answer that a plain "no" stands for, if there is one. */
  absent?: string;
  /** What a plain yes, no or "fine" says to its question where that is not that something, or nothing, is there; null = nothing at all. */
  plain?: Partial<Record<'yes' | 'no' | 'fine', string | null>>;
  /** Phrase patterns that say no more than that it is there: "spots on the leaves". Only with `absent`; editions from before 2026.12 have none. */
  some?: string[];
  /** Caller's time in seconds, including the asking; null = cannot be answered on the phone. */
  phoneSeconds: number | null;
  tableSeconds: number;
  reliability?: Partial<Record<Channel, number>>;
  /** Findings of one family see the same thing from several sides and count for less together; see diagnosis/families.ts. */
  family?: string;
  /** Groups of plants it can be seen on at all; left out = any plant. */
  only?: string[];
  /** Asked only once something of one of these findings was told: nobody is asked what the beetles look like while nothing speaks of any. */
  after?: string[];
  /** What a number said of it is read on – a pH, days, or days from one time to the next – and the questions that ask for it. */
  scale?: { of: Scale; asked: string[] };
}

/** Stands where a finding's id would, for the way a thing was put: the reading's answer is the caller's words themselves. */
export const WORDING = 'wording';
