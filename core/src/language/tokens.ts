import { stemmer } from 'stemmer';

export interface Token {
  /** As it was written. */
  text: string;
  /** Lower case, apostrophes folded away. */
  word: string;
  stem: string;
  /** Number of the clause it stands in; a full stop or "but" begins a new one. */
  clause: number;
  /** True in a clause that ends in a question mark. */
  asking: boolean;
  /** Commas passed so far; they loosen a match and end a negation. */
  breath: number;
  /** What a "they" or "it" stands for: the organ last spoken of. */
  standsFor?: { word: string; stem: string };
}

const CONTRACTIONS: [RegExp, string][] = [
  [/\b(?:can't|cannot|cant)\b/g, 'can not'],
  [/\bwon'?t\b/g, 'will not'],
  [/\b(do|does|did|is|are|was|were|has|have|had|could|should|would)n'?t\b/g, '$1 not'],
  [/\b(it|that|there|she|he|what|when|where|how)'s\b/g, '$1 is'],
  [/\b(they|we|you)'re\b/g, '$1 are'],
  [/\b(i|they|we|you)'ve\b/g, '$1 have'],
  [/\b(i|you|he|she|we|they|it|there)'ll\b/g, '$1 will'],
  [/\b(i|you|he|she|we|they|it|there)'d(?= (?:been|had|gone|got|bought|grown|seen|left|(?!need)\w+ed)\b)/g, '$1 had'],
  [/\b(i|you|he|she|we|they|it|there)'d\b/g, '$1 would'],
  [/\bi'm\b/g, 'i am'],
  [/\bnothing (left )?but\b/g, 'only $1'], // "but" would end the clause
  [/([\p{L}]+)-like\b/gu, 'like $1'], // "hosta-like leaves" are no hosta's
];

/** True for two words of one breath: with no comma and no end of a clause between. */
export const sameBreath = (a: Token | undefined, b: Token): a is Token => a?.clause === b.clause && a.breath === b.breath;

/** Words that turn the sentence: what was denied or said before them does not reach past. */
const TURNS = new Set(['but', 'although', 'though', 'however', 'except', 'whereas', 'otherwise', 'because']);

/** "Webs: none" is one statement. */
const ANSWER_IN_NOTE = /^: *(no|none|yes)\b/;

/** The words of a list with blanks between. */
export const wordsOf = (list: string): ReadonlySet<string> => new Set(list.split(' '));

/** Words that are another word behind some, or without them: "in the fall" is a season, "in the shed" a place, "mine has roots" no mine in a leaf, and "no leaves at all" are not all of them. */
const HOMOGRAPHS: Record<string, { means: string; after?: ReadonlySet<string>; notAfter?: ReadonlySet<string> }> = {
  fall: { means: 'autumn', after: wordsOf('the this last next every each late early mid since') },
  shed: { means: 'hut', after: wordsOf('the a my our your his her their garden potting tool bike old') },
  all: { means: 'whatsoever', after: wordsOf('at') },
  mine: { means: 'ours', notAfter: wordsOf('a the each every this that one leaf blotch blotchy serpentine winding white brown pale') },
};

/** What a word means behind another. */
function meantBehind(word: string, before: string): string {
  const homograph = HOMOGRAPHS[word];
  if (homograph === undefined) return word;
  const is = homograph.after?.has(before) ?? !homograph.notAfter?.has(before);
  return is ? homograph.means : word;
}

/** Stems found before: an edition asks for the same few thousand words again and again while it is made ready. */
const stems = new Map<string, string>();
/** Enough for every word of an edition; talk beyond that is stemmed anew. */
const MOST_STEMS = 20_000;

export function stemOf(word: string, irregular: Record<string, string>): string {
  const known = irregular[word] ?? word;
  // the stemmer would make "on" of "one" and "di" of "die"
  if (known.length <= 3) return known;
  const found = stems.get(known) ?? stemmer(known);
  if (stems.size < MOST_STEMS) stems.set(known, found);
  return found;
}

/** "Don’t know" as it is pasted from elsewhere, with the apostrophe that answers are read by. */
export const withStraightQuotes = (text: string): string => text.replace(/[’‘`´]/g, "'");

/** Splits running talk into words with their clause. Hyphens separate; digits stay whole. */
export function tokenise(text: string, irregular: Record<string, string>): Token[] {
  let folded = withStraightQuotes(text.toLowerCase()).replace(/ -+ /g, ' – ');
  for (const [pattern, replacement] of CONTRACTIONS) folded = folded.replace(pattern, replacement);
  const tokens: Token[] = [];
  let clause = 0;
  let breath = 0;
  for (const match of folded.matchAll(/\d+(?:[.,]\d+)?|[\p{L}]+(?:'[\p{L}]+)?|[.;!?:\n,–—()]/gu)) {
    const piece = match[0];
    if (/^[.;!?:\n]$/.test(piece) && !ANSWER_IN_NOTE.test(folded.slice(match.index))) {
      if (piece === '?') for (const token of tokens) if (token.clause === clause) token.asking = true;
      clause += 1;
      continue;
    }
    if (/^[,:–—()]$/.test(piece)) {
      breath += 1;
      continue;
    }
    if (TURNS.has(piece)) clause += 1;
    const plain = piece.replace(/'s?$/, '').replace(/'/g, '');
    const word = meantBehind(plain, tokens.at(-1)?.word ?? '');
    tokens.push({ text: piece, word, stem: stemOf(word, irregular), clause, asking: false, breath });
  }
  return tokens;
}
