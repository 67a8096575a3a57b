import type { Token } from './tokens.ts';
import { asksOpinion } from './asking.ts';

/** Words between a denial and what it would deny: "have never in my life had such". */
const NEAR = 6;
const MET = new Set('seen saw had known noticed experienced got found met'.split(' '));
const SO_MUCH = new Set('many much few bad big long ugly strange early late thick'.split(' '));
const LIKE_THIS = new Set('this that these those it them'.split(' '));
const HARDLY = new Set('hardly barely scarcely'.split(' '));
const BE_OR_DO = new Set('is are was were do does did has have'.split(' '));
const LOOKS = new Set('have look looks go get turn drop curl show'.split(' '));
const UNTIL = new Set('until till til'.split(' '));

const restOf = (tokens: readonly Token[], from: number): Token[] => {
  const end = tokens.findIndex((token, i) => i >= from && token.clause !== tokens[from]!.clause);
  return tokens.slice(from, end < 0 ? tokens.length : end);
};

/** "I have never seen such spots", "never had it before", "never so many": seen now. */
function neverSuch(rest: readonly Token[]): boolean {
  const met = rest.slice(1, 1 + NEAR).findIndex(({ word }) => MET.has(word));
  if (met < 0) return false;
  const behind = rest.slice(met + 2);
  return behind.some(({ word }, i) => {
    const next = behind[i + 1];
    const ends = next === undefined || next.breath !== behind[i]!.breath || next.word === 'and';
    if (word === 'such' || (word === 'before' && ends)) return true;
    return (
      ((word === 'so' || word === 'this' || word === 'that') && SO_MUCH.has(next?.word ?? '')) || (word === 'like' && LIKE_THIS.has(next?.word ?? ''))
    );
  });
}

/** "Is it not strange that they curl", "do you not think it is too yellow": asked for assent. */
function asksAssent(tokens: readonly Token[], at: number): boolean {
  const first = tokens.findIndex(({ clause }) => clause === tokens[at]!.clause);
  if (at - first > 2 || !BE_OR_DO.has(tokens[first]!.word)) return false;
  const rest = restOf(tokens, first);
  return asksOpinion(rest) || rest.slice(1, NEAR).some(({ word }) => /^(think|agree|find)$/.test(word));
}

const KNOW = new Set('know sure tell idea say clue remember check checked see certain recall think'.split(' '));

/** True for the words behind "I do not know whether" or "no idea if": neither told nor denied. */
export function isUnknown(tokens: readonly Token[], at: number): boolean {
  const { clause, breath } = tokens[at]!;
  for (let i = at - 1; i > 1 && tokens[i]!.clause === clause && tokens[i]!.breath === breath && tokens[i]!.word !== 'and'; i--)
    if (/^(if|whether)$/.test(tokens[i]!.word) && KNOW.has(tokens[i - 1]!.word))
      return tokens
        .slice(Math.max(0, i - 1 - NEAR), i - 1)
        .some((token) => token.clause === clause && /^(not|no|never|havent|without)$/.test(token.word));
  return false;
}

const LACK = new Set('lack short shortage want scarcity'.split(' '));
/** "No lack of sun", "not short of water": what is said to lack does not. */
export const deniesLack = (tokens: readonly Token[], at: number): boolean => tokens.slice(at + 1, at + NEAR - 1).some(({ word }) => LACK.has(word));

/** "There should not be holes", "they should not curl": there are, and they do. What "should not be dry" is hoped. */
const isAmiss = (tokens: readonly Token[], at: number): boolean =>
  tokens[at - 1]?.word === 'should' && (tokens[at - 2]?.word === 'there' || LOOKS.has(tokens[at + 1]?.word ?? ''));

/** "Not until noon", "…, until today"; in "it has no flowers, it gets sun until noon" another thing lasts. */
const deniedUntil = (rest: readonly Token[]): boolean =>
  rest.some(({ word, breath }, i) => UNTIL.has(word) && (breath === rest[0]!.breath || breath !== rest[i - 1]!.breath));

/** "Did not notice the holes until today", "does not wilt until noon", "not one leaf without holes", "never seen such holes": there, though a "not" stands before. */
export function deniesNothing(tokens: readonly Token[], at: number, deniedBy: number): boolean {
  const rest = restOf(tokens, at);
  if (tokens[deniedBy + 1]?.word === 'that' && deniedBy >= 0) return true; // "it is not that they do not fruit"
  if (rest[0]!.word === 'without') return deniedBy >= 0 || tokens.slice(Math.max(0, at - NEAR), at).some(({ word }) => HARDLY.has(word));
  return deniedUntil(rest) || neverSuch(rest) || isAmiss(tokens, at) || asksAssent(tokens, at);
}

const HOW_SURE = new Set('so too really quite entirely totally completely absolutely very at whatsoever'.split(' '));
const SURE = new Set('sure certain convinced positive'.split(' '));

/** "I am not so sure, the fruit is brown": the "not" is about the one who speaks. */
export function deniesKnowing(tokens: readonly Token[], at: number): boolean {
  if (tokens[at]!.word !== 'not') return false;
  const behind = tokens.slice(at + 1, at + NEAR).find(({ word }) => !HOW_SURE.has(word));
  return behind?.breath === tokens[at]!.breath && SURE.has(behind.word);
}

/** Words behind a denial that comes last: "insects I could not find", "webs not there". */
const LAST_WORDS = 1;
const GOES_ON = new Set('not no never'.split(' '));
const SIGN = new Set('sign signs trace traces longer idea good'.split(' '));
const OTHERS = new Set('other others rest ones half some'.split(' '));
/** "Slugs not that I noticed", "sticky not at all". */
const STILL_DENIES = new Set('that as at to so really yet any no not'.split(' '));

/**
 * "There are holes, I did not see who makes them", "so many webs you can not see the leaves": the denial behind goes on to something else. "Brown, not black, spots": it ends before.
 * @param at the words of a phrase for absence, in order
 */
export function deniesElsewhere(tokens: readonly Token[], at: readonly number[], negatedBy: readonly number[]): boolean {
  const last = at.at(-1)!;
  const before = at.at(-2);
  const first = at.find((i) => GOES_ON.has(tokens[i]!.word));
  if (first !== undefined && at.some((i) => i > first && negatedBy[i] !== first)) return true;
  if (before === undefined || !GOES_ON.has(tokens[last]!.word)) return false;
  const { clause, breath } = tokens[last]!;
  if (tokens[before]!.clause !== clause) return false; // the answer to a question
  const isHere = (token: Token) => token.clause === clause && token.breath === breath;
  if (!isHere(tokens[before]!) && tokens.some((token) => isHere(token) && OTHERS.has(token.word))) return true; // "some have spots, others do not"
  const rest = tokens.slice(last + 1).filter(isHere);
  if (rest.length === 0 || STILL_DENIES.has(rest[0]!.word)) return false;
  if (tokens[last]!.word === 'no') return !SIGN.has(rest[0]!.word); // "it smells and has no hole"
  return rest.length > LAST_WORDS || tokens[before]!.breath !== breath;
}
