import type { Cause, CauseKind } from '../edition/causes.ts';
import type { Plant } from '../edition/plants.ts';
import type { Reading } from '../edition/reading.ts';
import type { IsoDate } from '../season/calendar.ts';

/** What the caller will have done. */
export const WISHES = ['anything', 'least-toxic', 'no-spray', 'wants-gone'] as const;
export type Wish = (typeof WISHES)[number];

/**
 * What bears on whether and how to act, besides the cause. Everything may be unknown (null): an unknown never rules anything out.
 * Some of it can be read from what was seen; what the advisor sets goes first.
 */
export interface Circumstances {
  /** The living culprit was looked for: found, or not found, or known to have left. */
  culprit: 'present' | 'not-found' | 'gone' | null;
  damage: 'going-on' | 'stopped' | null;
  plantIs: 'strong' | 'weak' | null;
  /** A tree or shrub planted no more than some three years ago. */
  young: boolean | null;
  recurs: 'first-time' | 'every-year' | null;
  /** What is at stake: looks, the crop, or the plant's life. */
  atStake: 'looks' | 'crop' | 'life' | null;
  /** How much of the season the plant still has before it. */
  seasonLeft: 'most' | 'little' | null;
  edible: boolean | null;
  /** In open flower, with bees about. */
  inBloom: boolean | null;
  heightM: number | null;
  /** Nearest water, well or slope down to a stream. */
  nearWater: boolean | null;
  /** In a greenhouse or tunnel, where what is released stays. */
  underGlass: boolean | null;
  children: boolean | null;
  pets: boolean | null;
  /** The day of the next picking. */
  harvestOn: IsoDate | null;
  /** What treating costs a year, and what a new plant costs, in the same money. */
  costAYear: number | null;
  costToReplace: number | null;
  wish: Wish | null;
  /** Dates of happenings that windows wait for, by window id: "petals fell on 3 May". */
  events: Record<string, IsoDate>;
}

export const NOTHING_KNOWN: Circumstances = {
  culprit: null,
  damage: null,
  plantIs: null,
  young: null,
  recurs: null,
  atStake: null,
  seasonLeft: null,
  edible: null,
  inBloom: null,
  heightM: null,
  nearWater: null,
  underGlass: null,
  children: null,
  pets: null,
  harvestOn: null,
  costAYear: null,
  costToReplace: null,
  wish: null,
  events: {},
};

/** Groups of plants that are grown to be eaten. */
const EATEN = new Set(['vegetable', 'herb', 'fruit-tree', 'soft-fruit', 'tropical-fruit', 'citrus', 'nut-tree', 'herbaceous-fruit', 'fruit']);
/** Kin of fruit trees: the flowering cherry is not picked, the serviceberry may be. Only the caller knows. */
const PERHAPS_EATEN = new Set(['stone-fruit', 'pome-fruit']);
/** Groups of plants that take years to establish. */
export const WOODY: ReadonlySet<string> = new Set(['tree', 'shrub', 'hedge', 'fruit-tree', 'conifer', 'climber', 'citrus', 'soft-fruit']);
/** Culprits one can find alive on or at the plant. */
export const CREATURES: ReadonlySet<CauseKind> = new Set<CauseKind>(['insect', 'mite', 'mollusc']);

/** An answer given through any channel, unless denied. */
function answered(readings: readonly Reading[], finding: string): string | null {
  const reading = readings.find((r) => r.finding === finding && !r.answer.startsWith('not:'));
  return reading?.answer ?? null;
}

/** Whether a plant knows no winter where it stands: as was said, or else as its kind is kept. */
export const standsIndoors = (readings: readonly Reading[], plant: Plant | null): boolean => {
  const grown = answered(readings, 'where-grown');
  return grown === null ? (plant?.groups.includes('houseplant') ?? false) : grown === 'indoors';
};

/** What the readings and the plant's card say of the circumstances. */
export function circumstancesRead(readings: readonly Reading[], plant: Plant | null, cause: Cause | null): Partial<Circumstances> {
  const seen = answered(readings, 'insects-seen');
  const vigour = answered(readings, 'vigour');
  const onset = answered(readings, 'onset');
  const grown = answered(readings, 'where-grown');
  const isOf = (groups: ReadonlySet<string>) => plant?.groups.some((group) => groups.has(group)) ?? false;
  const read: Partial<Circumstances> = {};
  if (cause && CREATURES.has(cause.kind) && seen !== null) read.culprit = seen === 'none' ? 'not-found' : 'present';
  if (vigour === 'growing-well') read.plantIs = 'strong';
  if (vigour === 'declining') read.plantIs = 'weak';
  if (onset === 'every-year') read.recurs = 'every-year';
  if (grown !== null && grown !== 'indoors') read.underGlass = grown === 'under-glass';
  const age = answered(readings, 'plant-age');
  if (age !== null && isOf(WOODY)) read.young = age !== 'longer';
  if (plant && (isOf(EATEN) || !isOf(PERHAPS_EATEN))) read.edible = isOf(EATEN);
  return read;
}

/** What was set by hand over what was read, over nothing known. */
export function settled(set: Partial<Circumstances> | null, read: Partial<Circumstances>): Circumstances {
  const known = Object.fromEntries(Object.entries(set ?? {}).filter(([, value]) => value !== null && value !== undefined));
  return { ...NOTHING_KNOWN, ...read, ...known };
}
