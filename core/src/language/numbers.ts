/** Numbers as they are said out loud. */
const ONES = 'zero one two three four five six seven eight nine'.split(' ');
const TEENS = 'ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(' ');
/** From twenty on. */
export const TENS = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');
/** Words that count though they are no numerals. */
const LOOSE: Readonly<Record<string, number>> = { a: 1, an: 1, half: 0.5, nought: 0 };

const ones = [...ONES, 'nought'].join('|');
const UNDER_HUNDRED = `(?:${TENS.join('|')})(?:[ -](?:${ones}))?|${TEENS.join('|')}|${ones}`;
/** Pattern source of a number in words up to 199: "thirty eight", "a hundred and five". */
export const NUMERAL = `(?:(?:a |one )?hundred(?: and (?:${UNDER_HUNDRED}))?|${UNDER_HUNDRED})`;

/** Pattern source of a number in digits or words, as one group. */
export const NUMBER = String.raw`(\d+(?:[.,]\d+)?|\b(?:${NUMERAL}|an?|half)\b)`;

const valueOf = (word: string): number => {
  const [one, teen, ten] = [ONES.indexOf(word), TEENS.indexOf(word), TENS.indexOf(word)];
  return word === 'hundred' ? 100 : ten >= 0 ? 20 + 10 * ten : teen >= 0 ? 10 + teen : one >= 0 ? one : (LOOSE[word] ?? NaN);
};

/** @returns NaN for what is no number */
export function numberSaid(text: string): number {
  const said = text.toLowerCase();
  if (/^\d/.test(said)) return Number(said.replace(',', '.'));
  const words = said.replace(/^(?:a|one) (?=hundred)/, '').split(/[ -]/);
  return words.filter((word) => word !== 'and').reduce((sum, word) => sum + valueOf(word), 0);
}
