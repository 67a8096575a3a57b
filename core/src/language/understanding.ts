import type { Channel } from '../edition/findings.ts';
import type { Plant } from '../edition/plants.ts';
import type { CareQuestion } from './careQuestions.ts';
import type { Measurement } from './measures.ts';
import type { PlantMention } from './mentions.ts';
import type { Measured } from './scales.ts';
import type { Claim, UnderstoodReading } from './taking.ts';

/** What was made out of talk. */
export interface Understanding {
  plants: PlantMention[];
  host: Plant | null;
  readings: UnderstoodReading[];
  /** Causes the caller names themselves; kept as a claim, never as evidence. */
  claims: Claim[];
  care: CareQuestion[];
  /** What may be a question of care where no trouble is told: topics spoken of, and what asks to do something unsaid. */
  maybeCare: { mentioned: CareQuestion[]; unplaced: CareQuestion[]; trouble: boolean };
  /** True where care is asked for and no word tells of trouble: then nothing is to be found out. */
  onlyCare: boolean;
  /** True for words that take back what was said of the same finding before: "no wait, it is the top leaves". */
  corrects: boolean;
  /** True where more is told or asked than where a plant stands and what is near it. */
  tells: boolean;
  /** Lengths that were said; one the plant cannot have carries the question to put at once. */
  measurements: Measurement[];
  notUnderstood: string[];
  /** The words that were affirmed, without names of plants and causes: weighed by their likeness to each cause, see likeness.ts. */
  wording: string;
}

/** Nothing was made out. */
export const NOTHING: Understanding = {
  plants: [],
  host: null,
  readings: [],
  claims: [],
  care: [],
  maybeCare: { mentioned: [], unplaced: [], trouble: false },
  onlyCare: false,
  corrects: false,
  tells: false,
  measurements: [],
  notUnderstood: [],
  wording: '',
};

/** Readings with those of numbers, which go first: "how long have you had it?" – "two months" is no word on how fast it came. */
export function onScale(measured: readonly Measured[], readings: readonly UnderstoodReading[], from: string, channel: Channel): UnderstoodReading[] {
  const others = readings.filter(({ finding }) => !measured.some((one) => one.finding === finding));
  return [...measured.map((one) => ({ from, ...one, channel, choices: [] })), ...others];
}

/** Whether what was read takes back what was said of a finding before it; that something or other is amiss takes no answer back. */
export const takesBackOn = ({ corrects, readings }: Pick<Understanding, 'corrects' | 'readings'>, finding: string): boolean =>
  corrects && readings.some((one) => one.finding === finding && !one.answer.startsWith('not:'));

/** Utterances without the readings that a later one takes back. */
export const withCorrections = (parts: readonly Understanding[]): Understanding[] =>
  parts.map((part, at) => ({
    ...part,
    readings: part.readings.filter(({ finding }) => !parts.slice(at + 1).some((later) => takesBackOn(later, finding))),
  }));

/** Several utterances as one; the first plant named closely is the host. */
export function togetherOf(parts: readonly Understanding[]): Understanding {
  const all = <T>(of: (part: Understanding) => readonly T[]): T[] => parts.flatMap(of);
  return {
    plants: all((part) => part.plants),
    host: (parts.find(({ host }) => host && !host.generic) ?? parts.find(({ host }) => host))?.host ?? null,
    readings: all((part) => part.readings),
    claims: all((part) => part.claims),
    care: all((part) => part.care),
    maybeCare: {
      mentioned: all((part) => part.maybeCare.mentioned),
      unplaced: all((part) => part.maybeCare.unplaced),
      trouble: parts.some(({ maybeCare }) => maybeCare.trouble),
    },
    onlyCare: false,
    corrects: parts[0]?.corrects ?? false,
    tells: parts.some(({ tells }) => tells),
    measurements: all((part) => part.measurements),
    notUnderstood: all((part) => part.notUnderstood),
    wording: all((part) => (part.wording === '' ? [] : [part.wording])).join(' '),
  };
}

/** The plant that all the talk speaks of only by the way, with no other: the caller's own ("a bonfire next to my beech hedge"), or a neighbour's that something ails. */
export function lonePlant({ plants, maybeCare }: Understanding): Plant | null {
  const own = plants.filter(({ owned, ofNextDoor }) => owned || (ofNextDoor && maybeCare.trouble));
  const [first] = own;
  return first && plants.every(({ plant }) => plant === first.plant) ? first.plant : null;
}
