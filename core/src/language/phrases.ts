import type { Lexicon } from '../edition/lexicon.ts';
import { stemOf, type Token } from './tokens.ts';

/**
 * A phrase pattern: terms that must all occur near each other, in any order. A term is a word, `a|b` alternatives,
 * `{class}` from the lexicon, `word*` for a beginning, or `word!` for exactly that form. A leading `=` asks for the
 * words in just that order with nothing between; a leading `~` for that order with at most a small word or two between.
 * A term with `-` before it must not stand there: among the words of the phrase or right beside them. A term with `+` must, and may tell
 * something of its own besides: sticky leaves that are `curl* +sticky`. The word `hostplant` is the name
 * of any plant that is not named for what is eaten of it.
 */
export interface Phrase<T> {
  terms: Term[];
  without: Term[];
  nearness: Nearness;
  value: T;
}

type Nearness = 'adjacent' | 'close' | 'loose';

/** What a place of a phrase takes. */
export interface Term {
  stems: Set<string>;
  exact: Set<string>;
  beginnings: string[];
  /** It must stand there and is left to other phrases. */
  beside: boolean;
}

/** How loosely the terms of a phrase may stand: content words between them, and what a comma or a small word counts. */
const SLACK = 3;
const COMMA = 2;
const SMALL_WORD = 0.35;
/** Tokens looked at to either side for the next term. */
const REACH = 12;

/** @throws RangeError for a word class the lexicon does not have */
export function compileTerm(text: string, lexicon: Pick<Lexicon, 'classes' | 'irregular'>): Term {
  const term: Term = { stems: new Set(), exact: new Set(), beginnings: [], beside: text.startsWith('+') };
  const add = (piece: string): void => {
    const named = /^\{(.+)\}$/.exec(piece)?.[1];
    if (named !== undefined) {
      const members = lexicon.classes[named];
      if (!members) throw new RangeError(`unknown word class {${named}}`);
      members.forEach(add);
    } else if (piece.endsWith('*')) term.beginnings.push(piece.slice(0, -1));
    else if (piece.endsWith('!')) term.exact.add(piece.slice(0, -1));
    else term.stems.add(stemOf(piece, lexicon.irregular));
  };
  text.replace(/^\+/, '').split('|').forEach(add);
  return term;
}

/**
 * "D-shaped" asks for two words, as talk has them.
 * @throws RangeError for a word class the lexicon does not have, and for an alternative with a hyphen, which would be two words of one
 */
export function compilePhrase<T>(pattern: string, value: T, lexicon: Lexicon): Phrase<T> {
  const nearness: Nearness = pattern.startsWith('=') ? 'adjacent' : pattern.startsWith('~') ? 'close' : 'loose';
  const words = pattern.replace(/^[=~]/, '').toLowerCase().replace(/'/g, '').split(/\s+/).filter(Boolean);
  const parted = words.find((word) => !word.startsWith('-') && word.includes('-') && word.includes('|'));
  if (parted !== undefined) throw new RangeError(`"${parted}" has a hyphen within an alternative: talk has two words there`);
  const asked = words.filter((word) => !word.startsWith('-')).flatMap((word) => word.split('-').filter(Boolean));
  const terms = asked.map((term) => compileTerm(term, lexicon));
  const without = words.filter((word) => word.startsWith('-')).map((word) => compileTerm(word.slice(1), lexicon));
  return { terms, without, nearness, value };
}

export interface PhraseMatch<T> {
  value: T;
  /** Indexes of the tokens used, ascending. */
  at: number[];
  /** Those of them that are left to other phrases. */
  beside: number[];
  score: number;
  /** A fixed saying, word for word: it carries its own sense. */
  saying: boolean;
}

const fitsWord = (term: Term, { word, stem }: { word: string; stem: string }): boolean =>
  term.stems.has(stem) || term.exact.has(word) || term.beginnings.some((start) => word.startsWith(start));

const fits = (term: Term, token: Token): boolean => fitsWord(term, token) || (token.standsFor !== undefined && fitsWord(term, token.standsFor));

function adjacentMatch(phrase: Phrase<unknown>, tokens: readonly Token[], start: number): number[] | null {
  const at = phrase.terms.map((_, i) => start + i);
  const ok = at.every((index, i) => {
    const token = tokens[index];
    return token !== undefined && token.clause === tokens[start]?.clause && fits(phrase.terms[i]!, token);
  });
  return ok ? at : null;
}

/** Small words that may stand between two terms of a close phrase. */
const MOST_BETWEEN = 3;

function closeMatch(phrase: Phrase<unknown>, tokens: readonly Token[], isSmall: (index: number) => boolean, start: number): number[] | null {
  const { clause, breath } = tokens[start]!;
  const at = [start];
  for (const term of phrase.terms.slice(1)) {
    let index = at[at.length - 1]! + 1;
    for (let between = 0; between < MOST_BETWEEN && tokens[index] && !fits(term, tokens[index]!) && isSmall(index); between++) index += 1;
    const token = tokens[index];
    if (!token || token.clause !== clause || token.breath !== breath || !fits(term, token)) return null;
    at.push(index);
  }
  return at;
}

/** Where each token stands when small words count for little. */
function positions(tokens: readonly Token[], isSmall: (token: Token, index: number) => boolean): number[] {
  let at = 0;
  return tokens.map((token, index) => (at += isSmall(token, index) ? SMALL_WORD : 1));
}

/** Grows a match from one token by taking, for every other term, the nearest free token of the clause; in the order of the terms. */
function looseMatch(phrase: Phrase<unknown>, tokens: readonly Token[], where: readonly number[], start: number): number[] | null {
  const clause = tokens[start]!.clause;
  const at = [start];
  for (const term of phrase.terms.slice(1)) {
    let best = -1;
    for (let reach = 1; reach <= REACH && best < 0; reach++) {
      for (const index of [start + reach, start - reach]) {
        const token = tokens[index];
        if (token && token.clause === clause && !at.includes(index) && fits(term, token)) {
          best = index;
          break;
        }
      }
    }
    if (best < 0) return null;
    at.push(best);
  }
  const [first, last] = [Math.min(...at), Math.max(...at)];
  const span = where[last]! - where[first]! + COMMA * (tokens[last]!.breath - tokens[first]!.breath);
  return span <= phrase.terms.length - 1 + SLACK ? at : null;
}

/** Letters of a word that its phrases are looked up by when they ask only for a beginning. */
const PREFIX = 3;

/** A word known by fewer letters than these could be any word. */
const LEAST_BEGINNING = 4;

/** How a word may end that is known by its beginning. */
const ENDINGS = ['', 's', 'es', 'd', 'ed', 'ing', 'er', 'ers', 'ly'];

/** Tokens to either side of a match in which a word that must not stand there is looked for. */
const BESIDE = 4;

function isSpoilt(phrase: Phrase<unknown>, tokens: readonly Token[], at: readonly number[], before: readonly Token[]): boolean {
  if (phrase.without.length === 0) return false;
  const { clause } = tokens[at[0]!]!;
  const isBarred = (token: Token | undefined): boolean => token !== undefined && phrase.without.some((term) => fits(term, token));
  const goesOn = clause === tokens[0]!.clause;
  for (let i = at[0]! - BESIDE; i <= at[at.length - 1]! + BESIDE; i++) {
    const token = tokens[i];
    if (token?.clause === clause && !at.includes(i) && isBarred(token)) return true;
    if (i < 0 && goesOn && isBarred(before[before.length + i])) return true;
  }
  return false;
}

/** Phrases kept by what their first term can begin with, so that a sentence looks only at those it may hold. */
export class PhraseBook<T> {
  private readonly byKey = new Map<string, Set<Phrase<T>>>();
  /** How many phrases know a stem; a rare one says more. */
  private readonly uses = new Map<string, number>();
  private readonly beginnings = new Set<string>();

  constructor(
    private readonly phrases: readonly Phrase<T>[],
    private readonly isSmall: (token: Token) => boolean,
  ) {
    for (const phrase of phrases) {
      const first = phrase.terms[0];
      if (!first) continue;
      for (const stem of new Set(phrase.terms.flatMap((term) => [...term.stems]))) this.uses.set(stem, (this.uses.get(stem) ?? 0) + 1);
      for (const { beginnings } of phrase.terms) for (const start of beginnings) if (start.length >= LEAST_BEGINNING) this.beginnings.add(start);
      const keys = [
        ...[...first.stems].map((stem) => `stem ${stem}`),
        ...[...first.exact].map((word) => `word ${word}`),
        ...first.beginnings.map((start) => `start ${start.slice(0, PREFIX)}`),
      ];
      for (const key of keys) {
        const known = this.byKey.get(key);
        if (known) known.add(phrase);
        else this.byKey.set(key, new Set([phrase]));
      }
    }
  }

  /** True for a word that any phrase asks for: its stem, or the beginning of it with a common ending. "leavse" is a slip, for all that "leav*" is asked for. */
  knows({ word, stem }: Pick<Token, 'word' | 'stem'>): boolean {
    return this.uses.has(stem) || ENDINGS.some((ending) => word.endsWith(ending) && this.beginnings.has(word.slice(0, word.length - ending.length)));
  }

  private startingAt(token: Token): Set<Phrase<T>> {
    const found = new Set<Phrase<T>>();
    for (const { word, stem } of token.standsFor ? [token, token.standsFor] : [token]) {
      const keys = [`stem ${stem}`, `word ${word}`, ...[1, 2, PREFIX].map((length) => `start ${word.slice(0, length)}`)];
      for (const key of keys) for (const phrase of this.byKey.get(key) ?? []) found.add(phrase);
    }
    return found;
  }

  /** How much a word of a match says, 0.1 to 1.1: the rarer among the phrases, the more. */
  private telling(token: Token): number {
    const all = this.phrases.length;
    return 0.1 + Math.log(1 + all / (this.uses.get(token.stem) ?? 2)) / Math.log(1 + all);
  }

  /**
   * @param passedOver indexes that count for as little as small words: names of plants between the words of a phrase
   * @param before words that stood right before these and are no part of any phrase, but may spoil one
   */
  matches(tokens: readonly Token[], passedOver: ReadonlySet<number> = new Set(), before: readonly Token[] = []): PhraseMatch<T>[] {
    const found: PhraseMatch<T>[] = [];
    const small = tokens.map((token, index) => this.isSmall(token) || passedOver.has(index));
    const where = positions(tokens, (_, index) => small[index] ?? false);
    tokens.forEach((token, start) => {
      for (const phrase of this.startingAt(token)) {
        if (!fits(phrase.terms[0]!, token)) continue;
        const placed =
          phrase.nearness === 'adjacent'
            ? adjacentMatch(phrase, tokens, start)
            : phrase.nearness === 'close'
              ? closeMatch(phrase, tokens, (i) => small[i] ?? false, start)
              : looseMatch(phrase, tokens, where, start);
        const at = placed && [...placed].sort((a, b) => a - b);
        if (!at || isSpoilt(phrase, tokens, at, before)) continue;
        const spread = where[at[at.length - 1]!]! - where[at[0]!]! + 1 - at.length;
        const said = at.reduce((sum, index) => sum + this.telling(tokens[index]!), 0);
        found.push({
          value: phrase.value,
          at,
          beside: placed.filter((_, i) => phrase.terms[i]!.beside),
          score: said + (phrase.nearness === 'loose' ? 0 : 0.25) - 0.05 * Math.max(0, spread),
          saying: phrase.nearness === 'adjacent' && at.length > 2,
        });
      }
    });
    return found;
  }
}
