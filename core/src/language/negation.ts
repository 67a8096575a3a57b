import type { Lexicon } from '../edition/lexicon.ts';
import { statementBegins, tellsWhereOrHowLong } from './denialEnds.ts';
import { deniesLack, deniesNothing } from './granted.ts';
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
  /** Index of the negator before a token that does not reach it: what is not understood is there. -1 without one. */
  spared: number[];
  doubted: boolean[];
}

interface Marks {
  deny: (index: number) => void;
  spare?: (index: number) => void;
}

/** @param granted phrases that end it, what is behind them being taken for granted: "I do not understand | why it has mildew" */
function reach(tokens: readonly Token[], start: number, { deny, spare }: Marks, granted: readonly string[] = []): void {
  const from = tokens[start]!;
  let breath = from.breath;
  let mark = deny;
  for (let i = start + 1; i < tokens.length && i <= start + REACH; i++) {
    const token = tokens[i]!;
    // "I do not know of any frost" denies it
    if (spare && startsAt(granted, tokens, i) && !tokens.slice(i + 1, i + 3).some(({ word }) => word === 'any')) mark = spare;
    if (statementBegins(tokens, start, i) || tellsWhereOrHowLong(tokens, start, i)) return;
    if (token.clause !== from.clause || ENDING.has(token.word) || (TELLING_WHEN.has(token.word) && i > start + 1)) return;
    // a comma ends it, unless an "or" takes it up again
    if (token.breath !== breath && !JOINING.has(token.word)) return;
    breath = token.breath;
    mark(i);
  }
}

/** How far back a denial that comes last reaches: to the start of the breath before it, or to an "and" within: "slugs, there are none". */
function reachBack(tokens: readonly Token[], start: number, mark: (index: number) => void): void {
  let i = start - 1;
  while (i >= 0 && tokens[i]!.clause === tokens[start]!.clause && ENDING.has(tokens[i]!.word)) i -= 1;
  const breath = tokens[i]?.breath;
  for (; i >= 0 && tokens[i]!.clause === tokens[start]!.clause && tokens[i]!.breath === breath && !ENDING.has(tokens[i]!.word); i--) mark(i);
}

const ALONE = new Set(['no', 'none']);
/** What may follow a "none" that answers what stands before it: "webs, none that I can see". */
const AFTER_NONE = new Set(['that', 'as', 'at', 'so', 'whatsoever', 'i']);

/** "Sticky, no", "webs – none that I can see": a breath of its own that answers the one before. */
function answersBefore(tokens: readonly Token[], index: number): boolean {
  const here = tokens[index]!;
  const before = tokens[index - 1];
  if (!ALONE.has(here.word) || before?.clause !== here.clause || before.breath === here.breath) return false;
  const next = tokens[index + 1];
  const ends = next?.clause !== here.clause; // "cocoons, no, like grains" puts it otherwise
  return ends || (here.word === 'none' && AFTER_NONE.has(next.word));
}

const MET = /^(seen|found|noticed|spotted|see|find|notice|spot|got|had|have)$/;
const ANY = /^(one|any|them|those|either)$/;
/** Longest name of a thing put first, such as "as for the greenfly". */
const LONGEST_NAME = 4;

/** "Greenfly, I have not seen one": where the thing put first begins, or null. */
function metNone(tokens: readonly Token[], index: number): number | null {
  const here = tokens[index]!;
  const isHere = (token: Token | undefined) => token?.clause === here.clause && token.breath === here.breath;
  if (!/^(not|never)$/.test(here.word) || !MET.test(tokens[index + 1]?.word ?? '') || !ANY.test(tokens[index + 2]?.word ?? '')) return null;
  const begins = tokens.findIndex(isHere);
  const before = tokens[begins - 1];
  if (isHere(tokens[index + 3]) || index - begins > 2 || before?.clause !== here.clause) return null;
  const first = tokens.findIndex(({ clause, breath }) => clause === here.clause && breath === before.breath);
  return begins - first <= LONGEST_NAME ? first : null;
}

function startsAt(words: readonly string[], tokens: readonly Token[], index: number): boolean {
  return words.some((phrase) => phrase.split(' ').every((word, i) => tokens[index + i]?.word === word));
}

/** Doubts that may come last; "it droops a bit" only says how much. */
const AFTERTHOUGHTS = ['maybe', 'perhaps', 'possibly', 'probably', 'i think', 'i guess', 'i suppose'];

/** "Slugs maybe", "aphids I think": nothing stands behind in the same breath. */
const endsBreath = (words: readonly string[], tokens: readonly Token[], index: number): boolean =>
  words.some((phrase) => {
    const length = phrase.split(' ').length;
    const next = tokens[index + length];
    const here = tokens[index]!;
    return startsAt([phrase], tokens, index) && (!next || next.clause !== here.clause || next.breath !== here.breath);
  });

const SEARCHING = new Set(['looked', 'checked', 'searched', 'hunted', 'looking', 'watched', 'felt']);
const NOT_FOUND = new Set(['nothing', 'none', 'no', 'not', 'never']);
/** How soon "but nothing" follows on what was looked for. */
const SOON = 4;

/** "I looked for webs but nothing": what was looked for and not found. */
function soughtInVain(tokens: readonly Token[], index: number, mark: (index: number) => void): void {
  if (!SEARCHING.has(tokens[index]!.word) || tokens[index + 1]?.word !== 'for') return;
  const { clause, breath } = tokens[index]!;
  let end = index + 2;
  while (tokens[end]?.clause === clause && tokens[end]!.breath === breath && !ENDING.has(tokens[end]!.word)) end += 1;
  if (tokens.slice(end, end + SOON).some(({ word }) => NOT_FOUND.has(word))) for (let i = index + 2; i < end; i++) mark(i);
}

const KEEPING = new Set(['keep', 'keeps', 'kept', 'keeping']);
const AWAY = new Set(['out', 'away', 'off']);

const WISHING = new Set(['how', 'what', 'to', 'can', 'could', 'would', 'help']);

/** "The fence keeps deer out"; what "keeps falling off" is there, and whoever asks "how do I keep deer off" has them. */
function keptAway(tokens: readonly Token[], index: number, mark: (index: number) => void): void {
  if (tokens.some(({ word, clause }, i) => i < index && clause === tokens[index]!.clause && WISHING.has(word))) return;
  if (!KEEPING.has(tokens[index]!.word) || tokens[index + 1]?.word.endsWith('ing')) return;
  const end = tokens.findIndex((token, i) => i > index && i <= index + SOON && AWAY.has(token.word) && token.clause === tokens[index]!.clause);
  for (let i = index + 1; i < end; i++) mark(i);
}

/** Which words of a sentence are denied, and which are only supposed. */
export function scopesOf(tokens: readonly Token[], lexicon: Lexicon): Scopes {
  const negatedBy = tokens.map(() => -1);
  const spared = tokens.map(() => -1);
  const doubted = tokens.map(() => false);
  tokens.forEach((_, index) => {
    if (startsAt(lexicon.notNegating, tokens, index)) return;
    if (index > 0 && startsAt(lexicon.notNegating, tokens, index - 1)) return;
    const deny = (i: number) => (negatedBy[i] = index);
    if (answersBefore(tokens, index) || startsAt(lexicon.deniedBefore ?? [], tokens, index)) reachBack(tokens, index, deny);
    const putFirst = metNone(tokens, index);
    if (putFirst !== null) for (let i = putFirst; i < index; i++) deny(i);
    soughtInVain(tokens, index, deny);
    keptAway(tokens, index, deny);
    if (startsAt(lexicon.negators, tokens, index)) {
      const before = negatedBy[index]!;
      const spare = (i: number) => (spared[i] = index);
      if (!deniesNothing(tokens, index, before)) reach(tokens, index, { deny, spare }, lexicon.granting);
      else {
        // "not one leaf without holes": the second denial takes back the first
        if (before >= 0) negatedBy.forEach((by, i) => by === before && (negatedBy[i] = -1));
        reach(tokens, index, { deny: spare });
      }
      if (deniesLack(tokens, index)) reach(tokens, index, { deny: spare });
    }
    if (startsAt(lexicon.doubts, tokens, index)) {
      const doubt = (i: number) => (doubted[i] = true);
      doubt(index);
      reach(tokens, index, { deny: doubt });
      if (endsBreath(AFTERTHOUGHTS, tokens, index)) reachBack(tokens, index, doubt);
    }
  });
  return { negatedBy, spared, doubted };
}
