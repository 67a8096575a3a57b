import { sameBreath, wordsOf, type Token } from './tokens.ts';

const TITLES = wordsOf('mr mrs ms miss dr uncle aunt auntie dear');
/** "They miss roses" names nobody. */
const WHO_MISSES = wordsOf('i we you they to will would do not really');
const KIN = wordsOf('wife husband daughter son sister brother cousin niece nephew friend colleague girlfriend boyfriend');
const SIGN_OFFS = wordsOf('regards wishes greetings sincerely faithfully yours thanks cheers');
const SPEAKING = wordsOf('speaking calling ringing phoning');
const OWNERS = wordsOf('my her his');
/** How far behind a greeting a name may stand: "kind regards, your Holly", "thanks a lot Ivy Berg". */
const REACH_OF_SIGN_OFF = 3;
/** A first name and a family name. */
const WORDS_OF_A_NAME = 2;

/** "My friend roses" is no friend of that name. */
const isOne = (word: string): boolean => !word.endsWith('s') || word === 'iris';

/** True where the name of a plant is a person's: "my name is Rose", "Mrs Plum", "this is Rosemary Fink speaking", "kind regards, Holly". */
export function isPersonsName(tokens: readonly Token[], at: readonly number[]): boolean {
  const [first, last] = [at[0]!, at.at(-1)!];
  const word = (i: number): string => tokens[i]?.word ?? '';
  const [before, earlier] = [word(first - 1), word(first - 2)];
  if (TITLES.has(before)) return !(before === 'miss' && WHO_MISSES.has(earlier));
  if (before === 'am' && earlier === 'i') return !/^grow/.test(word(last + 1));
  const name = before === 'name' ? first - 1 : before === 'is' && earlier === 'name' ? first - 2 : null;
  if (name !== null) return OWNERS.has(word(name - 1));
  if (!isOne(word(last))) return false;
  if (TITLES.has(earlier) && sameBreath(tokens[first - 2], tokens[first]!)) return true; // "Mrs Heather Plum"
  if (KIN.has(before)) return tokens[first - 1]!.text === before;
  if (SPEAKING.has(word(last + 1)) || SPEAKING.has(word(last + 2))) return first <= 2 || (before === 'is' && /^(this|it|here)$/.test(earlier));
  const greeted = tokens.slice(Math.max(0, first - REACH_OF_SIGN_OFF), first).some((token) => SIGN_OFFS.has(token.word));
  return greeted && last >= tokens.length - WORDS_OF_A_NAME;
}
