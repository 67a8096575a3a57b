import type { Edition, Finding } from '../edition/edition.ts';
import { NUMBER, numberSaid } from './numbers.ts';
import { compilePhrase, PhraseBook } from './phrases.ts';
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

const saidOn = ({ of }: NonNullable<Finding['scale']>, say: string): number | null =>
  of === 'ph' ? phSaid(say, true) : of === 'days' ? daysSaid(say) : everyDaysSaid(say);

/** Findings whose answers are stretches of a scale – age, pace, pH, watering: a number said of them falls into one. */
export class Scales {
  private readonly questions: PhraseBook<Finding>;
  private readonly ph: Finding | undefined;
  private readonly timed: ReadonlySet<string>;

  constructor({ findings, lexicon }: Edition, isSmall: (token: Token) => boolean) {
    const scaled = findings.filter(({ scale }) => scale);
    this.questions = new PhraseBook(
      scaled.flatMap((finding) => finding.scale!.asked.map((pattern) => compilePhrase(pattern, finding, lexicon))),
      isSmall,
    );
    this.timed = new Set(scaled.filter(({ scale }) => scale!.of === 'days').map(({ id }) => id));
    this.ph = scaled.find(({ scale }) => scale!.of === 'ph');
  }

  /** True for a finding that stretches of time are said of. */
  isTimed(finding: string): boolean {
    return this.timed.has(finding);
  }

  /** What a number says in answer to a question about its scale. */
  answered(question: readonly Token[], say: string): { finding: string; answer: string }[] {
    const asked = new Set(this.questions.matches(question).map(({ value }) => value));
    return [...asked].flatMap((finding) => this.answeredOf(finding, say));
  }

  /** What a number says in answer to the question of a finding of ours; nothing where it has no scale. */
  answeredOf(asked: Finding, say: string): { finding: string; answer: string }[] {
    return asked.scale ? this.placed(asked, saidOn(asked.scale, say)) : [];
  }

  /** A pH told unasked. */
  told(text: string): { finding: string; answer: string }[] {
    return this.ph ? this.placed(this.ph, phSaid(text, false)) : [];
  }

  private placed({ id, answers }: Finding, value: number | null): { finding: string; answer: string }[] {
    const reaching = answers.filter(({ upTo }) => value !== null && upTo !== undefined && value <= upTo);
    const answer = reaching.reduce<Finding['answers'][number] | null>((least, one) => (least && least.upTo! <= one.upTo! ? least : one), null);
    return answer ? [{ finding: id, answer: answer.id }] : [];
  }
}
