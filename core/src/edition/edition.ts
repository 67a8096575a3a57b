/**
 * The compiled body of knowledge, as plain data. `knowledge` writes it, everything else reads it.
 * Months and calendar dates are those of the northern hemisphere; `season/calendar.ts` turns them round.
 */

import type { Cutoff, DegreeDayMethod, IndexId } from './bases.ts';

/** Where a figure comes from. `published` needs a source id; `common-practice` is a working rule of the trade. */
export type Mark = 'published' | 'common-practice' | 'memory';
export interface Provenance {
  mark: Mark;
  source?: string;
  note?: string;
}

export const CLIMATES = ['temperate-maritime', 'continental', 'mediterranean', 'arid', 'subtropical', 'tropical-highland'] as const;
export type Climate = (typeof CLIMATES)[number];
export type Hemisphere = 'N' | 'S';

export const ORGANS = ['leaf', 'stem', 'root', 'flower', 'fruit', 'whole-plant', 'surroundings'] as const;
export type Organ = (typeof ORGANS)[number];

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
  /** What a number said of it is read on – a pH, days, or days from one time to the next – and the questions that ask for it. */
  scale?: { of: Scale; asked: string[] };
}

export type HostSelector = { any: true } | { family: string } | { genus: string } | { group: string } | { plant: string };
export type HostWeight = HostSelector & { weight: number; note?: string };

export interface CauseRate extends Provenance {
  finding: string;
  answers: Record<string, RateWord>;
}

export interface LookAlike {
  cause: string;
  separate: string[];
  say: string;
}

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
  /** The weather rule that says when it infects; see season/indices. */
  index?: IndexId;
}

/** How tall a plant usually is, at one stage: `words` tell the stage in talk, the first size stands when none is said. */
export interface PlantSize {
  what?: string;
  words: string[];
  /** Least and greatest, metres. */
  metres: [number, number];
}

export interface Plant {
  id: string;
  name: string;
  latin: string;
  also: string[];
  genus: string;
  family: string;
  groups: string[];
  /** Not named closely, such as "house plant": a closer name goes first. */
  generic?: true;
  /** Lowest winter temperature it usually stands in open ground, °C. */
  hardyC?: number;
  sizes?: PlantSize[];
  /** Needles in a bundle. */
  needles?: number;
  normal: { what: string; when?: string; varieties?: string }[];
  poisonous?: string;
  care: Record<string, string>;
  mark: Mark;
}

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

/** A test an advisor walks a caller through, step by step, or does at the table. */
export interface Inspection extends Provenance {
  id: string;
  name: string;
  /** The question it answers. */
  settles: string;
  where: InspectionPlace[];
  needs: string;
  cautions: string[];
  /** `seconds` is how long to watch or wait; `figure` names a drawing. */
  steps: { say: string; figure?: InspectionFigureId; seconds?: number }[];
  /** What may come of it: readings for the case, and when to look again, in days from and to. */
  results: { say: string; means: string; readings: { finding: string; answer: string }[]; again?: [number, number] }[];
  /** The sum of the bench its figures go to. */
  sum?: string;
}
export const INSPECTION_PLACES = ['phone', 'table', 'site'] as const;
/** The drawings there are for steps of tests. */
export const INSPECTION_FIGURES = [
  'paper',
  'smear',
  'three-leaves',
  'lens',
  'rub',
  'light',
  'webs',
  'sticky',
  'scratch',
  'probe',
  'finger',
  'knock-out',
  'root-ball',
  'lift',
  'flare',
  'collar',
  'trunk-look',
  'hole-shapes',
  'egg-pits',
  'needles',
  'torch',
  'dig-size',
  'ridges',
  'wound',
  'girth',
  'depth',
  'pace',
  'cores',
  'margin',
  'lab-bag',
  'sun-hours',
  'squeeze',
  'cut-shoot',
] as const;
export type InspectionFigureId = (typeof INSPECTION_FIGURES)[number];
export type InspectionPlace = (typeof INSPECTION_PLACES)[number];

export interface Lexicon {
  /** Named word classes used as {name} in phrase patterns. */
  classes: Record<string, string[]>;
  irregular: Record<string, string>;
  negators: string[];
  notNegating: string[];
  /** What denies the words before it: "the deer never come". Editions from before 2026.12 have none. */
  deniedBefore?: string[];
  /** Behind these words a denial ends, for what follows is taken for granted: "not understand", "get rid of". Editions from before 2026.12 have none. */
  granting?: string[];
  /** What advisors write for short, and what it stands for: "lvs" leaves, "b/w" between. Editions from before 2026.12 have none. */
  shortForms?: Record<string, string>;
  doubts: string[];
  stopWords: string[];
  /** Words of everyday speech that no slip of another word is meant by: "river" is not "riper". Editions from before 2026.12 have none. */
  everyday?: string[];
  /** Words before a plant name that make it a neighbour, not the host: "next to the juniper". */
  nearby: string[];
  /** The same, after the name: "a juniper next door". */
  nearbyAfter: string[];
  /** Words before a plant's name that make it a picture only: "a lump like a cauliflower". */
  likened: string[];
  /** Words after a plant's name that make it something else: "tomato food". */
  goods?: string[];
  /** What is put on plants: what was tried is no word on what is wrong, save where a finding asks for it. */
  remedies?: string[];
  /** Phrases that hold a plant's name and name none: "wood ash". */
  noPlant?: string[];
  organs: Partial<Record<Organ, string[]>>;
  /** Names of causes that anybody uses for what is seen: "bronzing", "light". Said alone they claim nothing. Editions from before 2026.12 have none. */
  seenNotNamed?: string[];
  /** Words that name a creature, a disease or a disorder: "moth", "*worm", "phytophthora*", "silver leaf". Editions from before 2026.12 have none: there every listed name is one. */
  naming?: string[];
}

export interface Source {
  id: string;
  cite: string;
}

/** A question on which the trade disagrees: the views with their reasons, and what we say unless the desk says otherwise. */
export interface School {
  id: string;
  question: string;
  /** `options` are the treatments that follow the view. */
  views: { say: string; because: string; options?: string[] }[];
  ours: string;
  mark: Mark;
}

/** Columns of the loss table: the right advice, with a notifiable cause and an unlisted one apart. */
export const TRUTHS = [...ACTS, 'notifiable', 'unlisted'] as const;
export type Truth = (typeof TRUTHS)[number];

/** Harm in points, 0 to 100: `advice[given][right]`, and what a wrong name costs by itself. Elicited; a desk may set its own. */
export interface LossTable {
  wrongName: number;
  advice: Record<Act, Record<Truth, number>>;
}

/** A case whose cause somebody has confirmed. Guesses, however likely, are none. */
export interface Outcome {
  cause: string;
  /** Plant id, or null when it was never named. */
  host: string | null;
  /** YYYY-MM-DD. */
  on: string;
  /** Settled answers, one a finding. */
  findings: { finding: string; answer: string }[];
}

export interface Edition {
  /** Name of the edition and a digest of its contents, such as "2026.11-3fa9c2". */
  version: string;
  /** The hemisphere whose months its texts name; the north where it does not say. See editionIn.ts. */
  readIn?: Hemisphere;
  plants: Plant[];
  findings: Finding[];
  causes: Cause[];
  careTopics: CareTopic[];
  /** Editions from before 2026.12 have none. */
  careTasks?: CareTask[];
  lexicon: Lexicon;
  sources: Source[];
  schools: School[];
  /** What it costs to advise one thing where another was right. */
  losses?: LossTable;
  /** The view a desk follows where the trade disagrees, as an index into the school's views, by school id. */
  houseLines?: Record<string, number>;
  /** Confirmed outcomes the desk has taken over, as they weigh on that day: local odds and rates rest on them. */
  learned?: { asOf: string; outcomes: Outcome[] };
}

/** Stands where a cause is named, for a question that was answered from the plant's card: nothing was wrong. */
export const CARE_ONLY = 'care';
/** Care topic: whether it is poisonous; told without a question where somebody ate of it: "the cat chewed a lily leaf" is no pest's feeding. */
export const POISON = 'poison';
/** Care topic: cutting down and taking spent flowers off. */
export const CUT_BACK = 'cut-back';
/** Care topic: whether a crop that was struck can still be eaten. */
export const EAT = 'eat';
export const UNLISTED = 'unlisted';

/** Stands where a finding's id would, for the way a thing was put: the reading's answer is the caller's words themselves. */
export const WORDING = 'wording';
