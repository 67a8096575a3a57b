/** Before a word in one form, small and behind a blank: it begins with a capital; with a capital and no blank; with no blank. */
const CAPITAL = '`';
const CAPITAL_FIRST = '#';
const FIRST = '@';
/** Before one of these signs where it stands for itself. */
const ITSELF = '\u0081';

const SMALL = / [a-z]{3,}(?:-[a-z]+)*(?![A-Za-z-])/g;
const WORD_OR_SIGN = /( |(?<![A-Za-z-]))([A-Za-z])([a-z]{2,}(?:-[a-z]+)*)(?![A-Za-z-])|[`#@\u0081]/g;
const FORMED = /\u0081([`#@\u0081])|([`#@]) ([a-z])/g;

/**
 * A text in which words have one form, small and behind a blank, wherever they stand so somewhere in it, with a sign before those that do not:
 * words at the head of a sentence or a field are then the same as in the midst of one. {@link inOwnForms} gives the text back.
 */
export function inOneForm(text: string): string {
  const small = new Set(text.match(SMALL));
  return text.replace(WORD_OR_SIGN, (found, blank: string | undefined, first: string, rest: string) => {
    if (blank === undefined) return ITSELF + found;
    const word = ` ${first.toLowerCase()}${rest}`;
    if (found === word || !small.has(word)) return found;
    return (first === word[1] ? FIRST : blank ? CAPITAL : CAPITAL_FIRST) + word;
  });
}

export const inOwnForms = (text: string): string =>
  text.replace(FORMED, (_, itself: string | undefined, sign: string, letter: string) => {
    if (itself !== undefined) return itself;
    if (sign === FIRST) return letter;
    return (sign === CAPITAL ? ' ' : '') + letter.toUpperCase();
  });
