import type { Lexicon } from '../edition/edition.ts';
import type { Token } from './tokens.ts';

/** How far a "no" or a "maybe" reaches, in words, when nothing ends it sooner. */
const REACH = 7;
const JOINING = new Set(['or', 'nor', 'any', 'either']);
const ENDING = new Set(['and', 'just', 'only', 'so', 'then', 'which', 'while']);
/** What begins to tell when or why: "no flowers after a cold winter" denies no winter. Right behind the denial it is what is denied: "not after rain". */
const TELLING_WHEN = new Set(['after', 'although', 'because', 'despite', 'since', 'though', 'when']);

export interface Scopes {
  /** Index of the negator that governs a token, or -1. */
  negatedBy: number[];
  doubted: boolean[];
}

function reach(tokens: readonly Token[], start: number, mark: (index: number) => void): void {
  const from = tokens[start]!;
  let breath = from.breath;
  for (let i = start + 1; i < tokens.length && i <= start + REACH; i++) {
    const token = tokens[i]!;
    if (token.clause !== from.clause || ENDING.has(token.word) || (TELLING_WHEN.has(token.word) && i > start + 1)) return;
    // a comma ends it, unless an "or" takes it up again
    if (token.breath !== breath && !JOINING.has(token.word)) return;
    breath = token.breath;
    mark(i);
  }
}

function startsAt(words: readonly string[], tokens: readonly Token[], index: number): boolean {
  return words.some((phrase) => phrase.split(' ').every((word, i) => tokens[index + i]?.word === word));
}

/** Which words of a sentence are denied, and which are only supposed. */
export function scopesOf(tokens: readonly Token[], lexicon: Lexicon): Scopes {
  const negatedBy = tokens.map(() => -1);
  const doubted = tokens.map(() => false);
  tokens.forEach((_, index) => {
    if (startsAt(lexicon.notNegating, tokens, index)) return;
    if (index > 0 && startsAt(lexicon.notNegating, tokens, index - 1)) return;
    if (startsAt(lexicon.negators, tokens, index)) reach(tokens, index, (i) => (negatedBy[i] = index));
    if (startsAt(lexicon.doubts, tokens, index)) {
      doubted[index] = true;
      reach(tokens, index, (i) => (doubted[i] = true));
    }
  });
  return { negatedBy, doubted };
}
