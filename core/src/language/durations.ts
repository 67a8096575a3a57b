import { NUMBER, NUMERAL, numberSaid } from './numbers.ts';

/** Days in what a stretch of time is counted in; a summer is a year on. */
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
/** Pattern source of a stretch of time, without groups: "two good years", "a few weeks". */
export const STRETCH = String.raw`(?:${Object.keys(LOOSE_COUNTS).join('|')}|\d+(?:[.,]\d+)?|${NUMERAL}|an?)[\s-]+(?:good |whole |long |solid )?(?:${Object.keys(DAYS).join('|')})s?`;
/** "Less than a year" is some part of one, "more than a year" one and some. */
const SHORT_OF = 0.7;
const BEYOND = 1.3;
const LENGTH = new RegExp(
  String.raw`\b(?:(?:(less than|under|not quite)|(more than|over))\s+)?${COUNT}[\s-]+(?:or (?:two|three|so) )?(?:good |whole |long |solid )?${UNIT}\b`,
  'i',
);
const EVERY = new RegExp(String.raw`\b(?:every|each)\s+(?:(other|second|third)\s+)?(?:${COUNT}[\s-]+(?:or \w+ )?)?${UNIT}\b`, 'i');
const TIMES = new RegExp(String.raw`\b(once|twice|thrice|${NUMBER} times)\s+(?:a|an|per|each|every|in a)\s+${UNIT}\b`, 'i');
const ADVERBS: Readonly<Record<string, number>> = { daily: 1, nightly: 1, weekly: 7, fortnightly: 14, monthly: 30.4 };

const countSaid = (text: string): number => LOOSE_COUNTS[text.toLowerCase()] ?? numberSaid(text);
const daysIn = (unit: string): number => DAYS[unit.toLowerCase()] ?? NaN;

/** A stretch of time in days: "two summers", "a couple of weeks"; null where none is said. */
export function daysSaid(say: string): number | null {
  const [, less, more, count, , unit] = LENGTH.exec(say) ?? [];
  if (count === undefined || unit === undefined) return null;
  return countSaid(count) * daysIn(unit) * (less ? SHORT_OF : more ? BEYOND : 1);
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
