import type { Token } from './tokens.ts';
import { asksOpinion } from './asking.ts';

/** Words between a denial and what it would deny: "have never in my life had such". */
const NEAR = 6;
const MET = new Set('seen saw had known noticed experienced got found met'.split(' '));
const SO_MUCH = new Set('many much few bad big long ugly strange early late thick'.split(' '));
const LIKE_THIS = new Set('this that these those it them'.split(' '));
const HARDLY = new Set('hardly barely scarcely'.split(' '));
const BE_OR_DO = new Set('is are was were do does did has have'.split(' '));
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
    return ((word === 'so' || word === 'this' || word === 'that') && SO_MUCH.has(next?.word ?? '')) || (word === 'like' && LIKE_THIS.has(next?.word ?? ''));
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
  const { clause } = tokens[at]!;
  for (let i = at - 1; i > 1 && tokens[i]!.clause === clause; i--)
    if (/^(if|whether)$/.test(tokens[i]!.word) && KNOW.has(tokens[i - 1]!.word))
      return tokens.slice(Math.max(0, i - 1 - NEAR), i - 1).some((token) => token.clause === clause && /^(not|no|never|havent|without)$/.test(token.word));
  return false;
}

/** "Did not notice the holes until today", "does not wilt until noon", "not one leaf without holes", "never seen such holes": there, though a "not" stands before. */
export function deniesNothing(tokens: readonly Token[], at: number, denied: boolean): boolean {
  const rest = restOf(tokens, at);
  if (rest[0]!.word === 'without') return denied || tokens.slice(Math.max(0, at - NEAR), at).some(({ word }) => HARDLY.has(word));
  return rest.some(({ word }) => UNTIL.has(word)) || neverSuch(rest) || asksAssent(tokens, at);
}
