import { countWords, type WordCode } from './wordList.ts';

/** One place of a phrase: any of the words, none of them after a hyphen; the first place may say how near the others stand. */
interface Place {
  sign: string;
  words: string[];
}

/** Signs before a place, and what is written for them: a hyphen and a plus are digits of the word code. */
const WRITTEN: Record<string, string> = { '': '', '=': '=', '~': '~', '-': '^', '+': '<' };
const READ = Object.fromEntries(Object.entries(WRITTEN).map(([sign, written]) => [written, sign]));

const placesOf = (phrase: string): Place[] =>
  phrase.split(' ').map((place) => {
    const [, sign = '', words = ''] = /^([=~+-]?)(.*)$/.exec(place)!;
    return { sign, words: words.split('|') };
  });

const asPhrase = (places: readonly Place[]): string => places.map(({ sign, words }) => sign + words.join('|')).join(' ');

/** A phrase with the words of each place in alphabetical order, each once: how it travels shortest, and the same to whoever matches it. */
export const inWordOrder = (phrase: string): string =>
  asPhrase(placesOf(phrase).map(({ sign, words }) => ({ sign, words: [...new Set(words)].sort() })));

const fits = (phrases: readonly string[]): boolean => phrases.every((phrase) => phrase === inWordOrder(phrase));

/** The words of phrases that can be written by a word list. */
export const phraseWords = (phrases: readonly string[]): string[] =>
  fits(phrases) ? phrases.flatMap((phrase) => placesOf(phrase).flatMap(({ words }) => words)) : [];

/** The phrases of an answer in one line by the word list, or as they are where one is not in order. */
export function packPhrases(phrases: readonly string[], code: WordCode): string | readonly string[] {
  if (phrases.length === 0 || !fits(phrases)) return phrases;
  const line = (phrase: string) => placesOf(phrase).map(({ sign, words }) => WRITTEN[sign]! + code.write(countWords(words)));
  return phrases.map((phrase) => line(phrase).join(' ')).join(',');
}

export function unpackPhrases(packed: string | string[], code: WordCode): string[] {
  if (typeof packed !== 'string') return packed;
  return packed.split(',').map((line) =>
    asPhrase(
      line.split(' ').map((place) => {
        const [, written = '', words = ''] = /^([=~<^]?)(.*)$/.exec(place)!;
        return { sign: READ[written]!, words: code.read(words) };
      }),
    ),
  );
}
