import type { Lexicon } from '../edition/lexicon.ts';
import type { PlantMention } from './mentions.ts';
import { sameBreath, wordsOf, type Token } from './tokens.ts';

/** Tokens before and after a name in which a word makes it a neighbour's. */
const REACH_BEFORE = 2;
const REACH_AFTER = 3;
/** Tokens before a name in which a word of likeness makes it only a picture. */
const REACH_LIKENESS = 3;
const UNDER = /^(under|beneath|behind)$/;
const LEAF = /^(lea(f|ves)|foliage|fronds?|needles?)$/;
/** "Ivy growing all the way up my oak": words between two names that make the second one the host. */
const GROWS = /^(grow|climb|twin|wrap|creep)/;
const ONTO = wordsOf('up on onto over in into around round through among');
/** Words that may stand between a likeness and its picture. */
const LINKS = wordsOf('a an the on in from some of little small tiny miniature big baby my our very old large tall huge mature');
const ARTICLES = wordsOf('the my our a an');
const THEIRS = wordsOf('his her their');
export const OWNING = wordsOf('my our');
const RANG = /^(rang|called|phoned|telephoned|wrote|emailed|mailed|spoke|asked|came|helped|answered)$/;
const OF_WHAT = /^(about|with|regarding)$/;
const BEFORE_NOW = /^(last|before|ago|earlier|previously)$/;
const OVERRUN_BY = /\b(?:strangled|smothered|choked|covered|overgrown|swamped|full)(?: up)? (?:by|in|with|of)\b/;
const OVERRUNS = /^(strangl|smother|chok|cover|overgrow|swamp)/;

/** Who reports what ails a plant rings for it: "my neighbour says her hydrangea is yellow". */
const REPORTS =
  /^(say|says|said|tell|tells|told|ask|asks|asked|wonder|wonders|reports|complains|want|wants|wanted|worry|worries|worried|rang|rings)$/;
/** Words from somebody to what is reported: "the neighbour across the road just asked". */
const REACH_OF_REPORT = 5;

/** "The neighbour sprayed his lawn": of somebody else, who is spoken of before and does not ask about it. */
function isTheirs(tokens: readonly Token[], at: number, { nearby }: Lexicon): boolean {
  let i = at - 1;
  while (LINKS.has(tokens[i]?.word ?? '')) i -= 1;
  if (!THEIRS.has(tokens[i]?.word ?? '')) return false;
  const isWhose = ({ word, clause }: Token) => clause === tokens[at]!.clause && nearby.includes(word);
  const reports = (from: number) => tokens.slice(from, Math.min(i, from + REACH_OF_REPORT)).some(({ word }) => REPORTS.test(word));
  return tokens.slice(0, i).some((token, k) => isWhose(token) && !reports(k));
}

/** "The size of a pear", "like a little cabbage": a picture of something else. */
function isLikened(tokens: readonly Token[], at: number, { likened }: Lexicon): boolean {
  const { clause, breath } = tokens[at]!;
  for (let i = at - 1; i >= Math.max(0, at - REACH_LIKENESS); i--) {
    const here = tokens[i]!;
    if (here.clause !== clause || here.breath !== breath) return false;
    if (likened.some((phrase) => phrase.split(' ').every((word, k, words) => tokens[i - words.length + 1 + k]?.word === word)))
      return !/^(would|i|d|id|wed|hed|shed)$/.test(tokens[i - 1]?.word ?? ''); // "I would like a rose" wishes for one
    if (!LINKS.has(here.word)) return false;
  }
  return false;
}

/** "Next to a big old oak": a place is named before it; "under the rose leaves" is a place on the rose itself. */
function standsBy(tokens: readonly Token[], first: number, last: number, { nearby }: Lexicon): boolean {
  const ofItsOwn = LEAF.test(tokens[last + 1]?.word ?? '');
  const isPlace = (token: Token | undefined) =>
    sameBreath(token, tokens[first]!) && nearby.includes(token.word) && !(ofItsOwn && UNDER.test(token.word));
  for (let i = first - 1; i >= first - REACH_BEFORE; i--) if (isPlace(tokens[i])) return true;
  let i = first - 1;
  while (sameBreath(tokens[i], tokens[first]!) && (LINKS.has(tokens[i]!.word) || tokens[i]!.word === 'to')) {
    i -= 1;
    if (isPlace(tokens[i])) return true;
  }
  return false;
}

/** "The rose next door". */
function isPlacedAfter(tokens: readonly Token[], last: number, { nearbyAfter }: Lexicon): boolean {
  for (let i = last + 1; i <= last + REACH_AFTER && sameBreath(tokens[i], tokens[last]!); i++)
    if (nearbyAfter.some((phrase) => spokenAt(tokens, phrase, i))) return true;
  return false;
}

const spokenAt = (tokens: readonly Token[], phrase: string, i: number): boolean => phrase.split(' ').every((word, k) => tokens[i + k]?.word === word);

/** "Tomato feed", "olive green": a thing or a saying; "the poinsettia's coloured leaves" are its own. */
function isNoPlant(tokens: readonly Token[], first: number, last: number, { goods, noPlant }: Lexicon): boolean {
  const next = tokens[last + 1];
  if (sameBreath(next, tokens[first]!) && goods?.includes(next.word) && !/'s$/.test(tokens[last]!.text)) return true;
  return (noPlant ?? []).some((phrase) => phrase.split(' ').some((_, k) => spokenAt(tokens, phrase, first - k)));
}

/** "Not the rose, the hosta". */
const isSetAside = (tokens: readonly Token[], first: number): boolean =>
  sameBreath(tokens[first - 2], tokens[first]!) && tokens[first - 2]!.word === 'not' && ARTICLES.has(tokens[first - 1]!.word);

/** True where the words at these indexes name a plant that is not the one the call is about: a neighbour's, a likeness, a thing made of it. */
export function isNearby(tokens: readonly Token[], at: readonly number[], lexicon: Lexicon): boolean {
  const [first, last] = [at[0]!, at.at(-1)!];
  return (
    standsBy(tokens, first, last, lexicon) ||
    isPlacedAfter(tokens, last, lexicon) ||
    isSetAside(tokens, first) ||
    isLikened(tokens, first, lexicon) ||
    isTheirs(tokens, first, lexicon) ||
    isNoPlant(tokens, first, last, lexicon)
  );
}

/** Plants that name a shade, with what it is said of. */
const SHADES: Record<string, ReadonlySet<string>> = {
  apple: wordsOf('green'),
  banana: wordsOf('yellow'),
  beetroot: wordsOf('red purple'),
  cherry: wordsOf('red'),
  chestnut: wordsOf('brown red'),
  coffee: wordsOf('brown'),
  fern: wordsOf('green'),
  hazel: wordsOf('brown'),
  hazelnut: wordsOf('brown'),
  lavender: wordsOf('blue purple'),
  lemon: wordsOf('yellow'),
  lilac: wordsOf('purple pink blue'),
  lime: wordsOf('yellow'),
  mint: wordsOf('green'),
  olive: wordsOf('brown black grey spots spot patches blotches velvet'),
  pea: wordsOf('green'),
  peach: wordsOf('pink orange'),
  plum: wordsOf('purple red'),
  primrose: wordsOf('yellow'),
  raspberry: wordsOf('red pink'),
  rose: wordsOf('pink'),
  sage: wordsOf('green grey'),
  strawberry: wordsOf('red pink'),
  tomato: wordsOf('red'),
  walnut: wordsOf('brown black'),
};

/** "Lemon yellow": a plant's name that may be a shade. */
export function isShade(tokens: readonly Token[], at: readonly number[]): boolean {
  const last = tokens[at.at(-1)!]!;
  const next = tokens[at.at(-1)! + 1];
  return at.length === 1 && sameBreath(next, last) && (SHADES[last.word]?.has(next.word) ?? false);
}

/** Whether a name stands behind "my" or "our", with nothing but small words between, or before a "mine": "my neighbour's roses are fine, mine have spots". */
export function isOwned(tokens: readonly Token[], at: number): boolean {
  const { clause } = tokens[at]!;
  if (tokens.slice(at + 1).some(({ word }) => word === 'ours')) return true;
  let i = at - 1;
  while (tokens[i]?.clause === clause && LINKS.has(tokens[i]!.word) && !OWNING.has(tokens[i]!.word)) i -= 1;
  return tokens[i]?.clause === clause && OWNING.has(tokens[i]!.word);
}

/** "My neighbour's old pear": named as theirs, which the call may be about for all that. */
export function isOfNextDoor(tokens: readonly Token[], at: number, { nearby }: Lexicon): boolean {
  let i = at - 1;
  while (sameBreath(tokens[i], tokens[at]!) && LINKS.has(tokens[i]!.word)) i -= 1;
  return sameBreath(tokens[i], tokens[at]!) && nearby.includes(tokens[i]!.word) && /'s?$/.test(tokens[i]!.text);
}

/** "I rang last year about my tomatoes": what an earlier call was about. */
export function isOfEarlierCall(tokens: readonly Token[], at: number): boolean {
  const here = tokens[at]!;
  const isHere = ({ clause, breath }: Token) => clause === here.clause && breath === here.breath;
  const before = tokens.slice(0, at).filter(isHere);
  const rang = before.findIndex(({ word }) => RANG.test(word));
  return (
    rang >= 0 && before.slice(rang).some(({ word }) => OF_WHAT.test(word)) && tokens.some((token) => isHere(token) && BEFORE_NOW.test(token.word))
  );
}

/** Of two plants in one breath, the one that grows over the other is not the one the call is about. */
export function withGuests(tokens: readonly Token[], mentions: readonly PlantMention[]): PlantMention[] {
  const between = (one: PlantMention, other: PlantMention) => tokens.slice(one.at[one.at.length - 1]! + 1, other.at[0]).map(({ word }) => word);
  return mentions.map((mention, index) => {
    const [host, next] = [mentions[index - 1], mentions[index + 1]];
    // "a big oak covered by ivy"
    if (host && !host.plant.generic && OVERRUN_BY.test(between(host, mention).join(' '))) return { ...mention, nearby: true };
    const from = mention.at[mention.at.length - 1]!;
    if (!next || next.plant.generic || tokens[next.at[0]!]!.clause !== tokens[from]!.clause) return mention;
    const words = between(mention, next);
    if (OVERRUN_BY.test(words.join(' '))) return mention;
    const grows = words.some((word) => GROWS.test(word)) && words.some((word) => ONTO.has(word));
    return grows || words.some((word) => OVERRUNS.test(word)) ? { ...mention, nearby: true } : mention;
  });
}
