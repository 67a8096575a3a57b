import { countWords, type WordCode } from './wordList.ts';

/** Before a text that is no sorted bag of words and travels as it is. */
const AS_IT_IS = '=';

const wordsOf = (text: string): string[] => (text === '' ? [] : text.split(' '));
const isBag = (text: string): boolean => text === wordsOf(text).sort().join(' ');

/** The words of a text that is only words and how often they occur; none of any other. */
export const bagWords = (text: string | null): string[] => (text !== null && isBag(text) ? wordsOf(text) : []);

/** Such a text by the word list: nearly a quarter smaller under brotli than the words themselves. */
export const packBag = (text: string | null, code: WordCode): string | null =>
  text && (isBag(text) ? code.write(countWords(wordsOf(text))) : AS_IT_IS + text);

export const unpackBag = (bag: string | null, code: WordCode): string | null =>
  bag && (bag.startsWith(AS_IT_IS) ? bag.slice(AS_IT_IS.length) : code.read(bag).join(' '));
