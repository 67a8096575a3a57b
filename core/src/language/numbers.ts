/** Numbers as they are said out loud. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twelve: 12,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  half: 0.5,
};

/** Pattern source of a number in digits or words, as one group. */
export const NUMBER = String.raw`(\d+(?:[.,]\d+)?|\b(?:${Object.keys(NUMBER_WORDS).join('|')})\b)`;

/** @returns NaN for what is no number */
export const numberSaid = (text: string): number => NUMBER_WORDS[text.toLowerCase()] ?? Number(text.replace(',', '.'));
