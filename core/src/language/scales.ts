import type { Edition, Finding, Scale } from '../edition/edition.ts';
import { NUMBER, numberSaid } from './numbers.ts';
import { compilePhrase, PhraseBook } from './phrases.ts';
import { coldestSaid, hottestSaid, temperatureAnswered, type SaidExtreme } from './temperatures.ts';
import type { Token } from './tokens.ts';

const DAYS: Readonly<Record<string, number>> = {
  hour: 1 / 24,
  day: 1,
  night: 1,
  morning: 1,
  evening: 1,
  week: 7,
  fortnight: 14,
  month: 30.4,
  year: 365,
  season: 365,
  summer: 365,
  spring: 365,
  autumn: 365,
  winter: 365,
  decade: 3652,
};
const UNIT = `(${Object.keys(DAYS).join('|')})s?`;
/** Counts that are no numbers; what people mean by them, roughly. */
const LOOSE_COUNTS: Readonly<Record<string, number>> = {
  'half an': 0.5,
  'half a': 0.5,
  'a couple of': 2,
  'couple of': 2,
  'a few': 3,
  several: 5,
  'a good few': 5,
  'a dozen': 12,
};
const COUNT = `(${Object.keys(LOOSE_COUNTS).join('|')}|${NUMBER})`;
const LENGTH = new RegExp(String.raw`\b${COUNT}[\s-]+(?:or (?:two|three|so) )?(?:good |whole |long |solid )?${UNIT}\b`, 'i');
const EVERY = new RegExp(String.raw`\b(?:every|each)\s+(?:(other|second|third)\s+)?(?:${COUNT}[\s-]+(?:or \w+ )?)?${UNIT}\b`, 'i');
const TIMES = new RegExp(String.raw`\b(once|twice|thrice|${NUMBER} times)\s+(?:a|an|per|each|every|in a)\s+${UNIT}\b`, 'i');
const ADVERBS: Readonly<Record<string, number>> = { daily: 1, nightly: 1, weekly: 7, fortnightly: 14, monthly: 30.4 };
const DECIMAL = String.raw`${NUMBER}(?:\s+point\s+${NUMBER}|\s+and a (half))?`;
const PH = new RegExp(String.raw`\bp\.?h\b\D{0,24}?${DECIMAL}`, 'i');
const BARE = new RegExp(DECIMAL, 'i');

const countSaid = (text: string): number => LOOSE_COUNTS[text.toLowerCase()] ?? numberSaid(text);
const daysIn = (unit: string): number => DAYS[unit.toLowerCase()] ?? NaN;

/** A stretch of time in days: "two summers", "a couple of weeks"; null where none is said. */
export function daysSaid(say: string): number | null {
  const [, count, , unit] = LENGTH.exec(say) ?? [];
  return count === undefined || unit === undefined ? null : countSaid(count) * daysIn(unit);
}

const ORDINALS: Readonly<Record<string, number>> = { other: 2, second: 2, third: 3 };
const TIMES_SAID: Readonly<Record<string, number>> = { once: 1, twice: 2, thrice: 3 };

/** Days between one time and the next: "every other day", "twice a week", "weekly"; null where none is said. */
export function everyDaysSaid(say: string): number | null {
  const [, times, number, per] = TIMES.exec(say) ?? [];
  if (times !== undefined && per !== undefined) return daysIn(per) / (TIMES_SAID[times.toLowerCase()] ?? numberSaid(number ?? ''));
  const [, ordinal, count, , unit] = EVERY.exec(say) ?? [];
  if (unit !== undefined) return daysIn(unit) * (ORDINALS[ordinal?.toLowerCase() ?? ''] ?? (count === undefined ? 1 : countSaid(count)));
  const adverb = Object.keys(ADVERBS).find((word) => new RegExp(`\\b${word}\\b`, 'i').test(say));
  return adverb === undefined ? null : ADVERBS[adverb]!;
}

/** A pH between 3 and 10; @param named true where the answer need not say "pH" itself. */
export function phSaid(say: string, named: boolean): number | null {
  const [, whole, tenths, half] = PH.exec(say) ?? (named ? (BARE.exec(say) ?? []) : []);
  if (whole === undefined) return null;
  const value = numberSaid(whole) + (half ? 0.5 : tenths === undefined ? 0 : numberSaid(tenths) / 10);
  return value >= 3 && value <= 10 ? value : null;
}

/** What a number in an answer says on each scale. */
const ANSWERED: Readonly<Record<Scale, (say: string) => number | null>> = {
  ph: (say) => phSaid(say, true),
  days: daysSaid,
  'every-days': everyDaysSaid,
  coldest: (say) => temperatureAnswered(say, 'low')?.celsius ?? null,
  hottest: (say) => temperatureAnswered(say, 'high')?.celsius ?? null,
};

const asTold = (said: SaidExtreme | number | null): { value: number; from?: string } | null =>
  said === null ? null : typeof said === 'number' ? { value: said } : { value: said.celsius, from: said.from };

/** What is said on a scale though nobody asked, and in which words; times are said of too many things. */
const TOLD: Partial<Readonly<Record<Scale, (text: string) => { value: number; from?: string } | null>>> = {
  ph: (text) => asTold(phSaid(text, false)),
  coldest: (text) => asTold(coldestSaid(text)),
  hottest: (text) => asTold(hottestSaid(text)),
};

/** A reading by a number; `from` where the words are known. */
export interface Measured {
  finding: string;
  answer: string;
  from?: string;
}

/** Findings whose answers are stretches of a scale – age, pace, pH, watering, cold and heat: a number said of them falls into one. */
export class Scales {
  private readonly questions: PhraseBook<Finding>;
  private readonly scaled: readonly Finding[];
  private readonly timed: ReadonlySet<string>;

  constructor({ findings, lexicon }: Edition, isSmall: (token: Token) => boolean) {
    const scaled = findings.filter(({ scale }) => scale);
    this.questions = new PhraseBook(
      scaled.flatMap((finding) => finding.scale!.asked.map((pattern) => compilePhrase(pattern, finding, lexicon))),
      isSmall,
    );
    this.timed = new Set(scaled.filter(({ scale }) => scale!.of === 'days').map(({ id }) => id));
    this.scaled = scaled;
  }

  /** True for a finding that stretches of time are said of. */
  isTimed(finding: string): boolean {
    return this.timed.has(finding);
  }

  /** What a number says in answer to a question about its scale. */
  answered(question: readonly Token[], say: string): Measured[] {
    const asked = new Set(this.questions.matches(question).map(({ value }) => value));
    return [...asked].flatMap((finding) => this.answeredOf(finding, say));
  }

  /** What a number says in answer to the question of a finding of ours; nothing where it has no scale. */
  answeredOf(asked: Finding, say: string): Measured[] {
    return asked.scale ? this.placed(asked, ANSWERED[asked.scale.of](say)) : [];
  }

  /** What numbers tell unasked: a pH, a frost, a heat. */
  told(text: string): Measured[] {
    return this.scaled.flatMap((finding) => {
      const said = TOLD[finding.scale!.of]?.(text);
      return said ? this.placed(finding, said.value).map((one) => ({ ...one, ...(said.from ? { from: said.from } : {}) })) : [];
    });
  }

  /** The answer whose stretch a number falls into. A temperature neither cold nor hot says nothing: rooms and soils have one as well. */
  private placed({ id, answers, absent, scale }: Finding, value: number | null): Measured[] {
    const reaching = answers.filter(({ upTo }) => value !== null && upTo !== undefined && value <= upTo);
    const answer = reaching.reduce<Finding['answers'][number] | null>((least, one) => (least && least.upTo! <= one.upTo! ? least : one), null);
    const isNoNews = answer?.id === absent && (scale?.of === 'coldest' || scale?.of === 'hottest');
    return answer && !isNoNews ? [{ finding: id, answer: answer.id }] : [];
  }
}
