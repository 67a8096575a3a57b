import { BE_OR_HAVE } from './denialEnds.ts';
import { sameBreath, wordsOf, type Token } from './tokens.ts';

/** Where words that speak of what is not, or not yet, seen on the plant come to what they speak of: the index of that, for words that open so. */
type Opening = (tokens: readonly Token[], at: number) => number | null;

const SEEK = wordsOf('look looking looked check checking checked search searching searched hunt hunting watch watching watched test');
/** "They look for all the world like wool", "looked for years". */
const NO_AIM = wordsOf('all a the most now months weeks years days ages example some');
const FOUND = wordsOf('found find finds there saw see seen got yes and');
const SUBJUNCTIVE = wordsOf('was were had');
const WOULD = wordsOf('would could');
const THING_OR_IT = wordsOf('there it they i we you');
const EXPECTED = wordsOf('expecting expected');
const NOT_BEFORE_EXPECTED = wordsOf('than as not never');
const WRITTEN = wordsOf('book books leaflet internet website article packet google magazine guide video app forum label');
const SAYING = wordsOf('says say said shows show showed mentions mentioned talks describes described tells told');
const READ_OF = wordsOf('that about of');
/** People whose plants and opinions callers speak of. */
export const FOLK = wordsOf(
  'neighbour neighbours neighbor neighbors nextdoor sister brother friend mum mother dad father aunt uncle cousin colleague daughter son',
);
const HERS = wordsOf('hers his theirs');
const OWN_ANIMALS = wordsOf('bees hens chickens ducks geese rabbits');
const SO_ON = wordsOf('and so too ourselves here');
const SPARED = wordsOf('fine good well ok okay healthy lovely perfect beautiful thriving untouched great');
const LIKEWISE = wordsOf('too also same both likewise');
const COMPARED = wordsOf('more rather instead');

const wordAt = (tokens: readonly Token[], i: number): string => tokens[i]?.word ?? '';
const clauseFrom = (tokens: readonly Token[], at: number): Token[] => tokens.slice(at).filter(({ clause }) => clause === tokens[at]!.clause);

/** "I would have to check for webs", "let me see if there are webs"; not where it was found. */
const sought: Opening = (tokens, at) => {
  const seeks = SEEK.has(wordAt(tokens, at));
  const next = wordAt(tokens, at + 1);
  if (seeks && next === 'for' && !NO_AIM.has(wordAt(tokens, at + 2)))
    return clauseFrom(tokens, at).some(({ word }) => FOUND.has(word)) ? null : at + 2;
  return (seeks || wordAt(tokens, at) === 'see') && /^(if|whether)$/.test(next) ? at + 2 : null;
};

/** "If there were webs I would have seen them", "would there be webs", "would mites leave webs". */
const conditional: Opening = (tokens, at) => {
  const [here, next, after] = [wordAt(tokens, at), wordAt(tokens, at + 1), wordAt(tokens, at + 2)];
  if (here === 'if' && THING_OR_IT.has(next) && SUBJUNCTIVE.has(after))
    return tokens.some(({ word, clause }) => WOULD.has(word) && clause === tokens[at]!.clause) ? at + 3 : null;
  if (!/^(would|will)$/.test(here)) return null;
  return (next === 'there' && after === 'be') || (next === 'be' && wordAt(tokens, at - 1) === 'there') ? at + 2 : null;
};

/** "I was half expecting webs". */
const expected: Opening = (tokens, at) =>
  EXPECTED.has(wordAt(tokens, at)) && ![at - 1, at - 2].some((i) => NOT_BEFORE_EXPECTED.has(wordAt(tokens, i))) ? at + 1 : null;

/** "The leaflet says to look for webs", "I read that black spots come with rain". */
const written: Opening = (tokens, at) => {
  if (WRITTEN.has(wordAt(tokens, at))) {
    const verb = [at + 1, at + 2].find((i) => SAYING.has(wordAt(tokens, i)));
    return verb === undefined ? null : verb + 1;
  }
  const reads = /^(read|heard)$/.test(wordAt(tokens, at)) && READ_OF.has(wordAt(tokens, at + 1));
  return reads && /^(i|have|ive|we|weve)$/.test(wordAt(tokens, at - 1)) ? at + 2 : null;
};

/** "Rather than holes", "more a rust than black spots". */
const comparedWith: Opening = (tokens, at) => {
  const here = wordAt(tokens, at);
  if (here === 'instead' && wordAt(tokens, at + 1) === 'of') return at + 2;
  if (here !== 'than') return null;
  const before = tokens.slice(0, at).filter(({ clause, breath }) => clause === tokens[at]!.clause && breath === tokens[at]!.breath);
  return before.some(({ word }) => COMPARED.has(word)) ? at + 1 : null;
};

const isOwn = (tokens: readonly Token[], i: number): boolean =>
  wordAt(tokens, i) === 'ours' || (wordAt(tokens, i) === 'own' && wordAt(tokens, i - 1) === 'my');

/** True where the caller's own plant is spoken of apart from these words: behind a comma, or behind an "and" that a statement stands before. */
function standsApart(tokens: readonly Token[], at: number, own: number): boolean {
  if (!sameBreath(tokens[at], tokens[own]!)) return true;
  const and = tokens.findIndex(({ word }, i) => i > at && i < own && word === 'and');
  return and > 0 && tokens.slice(at, and).some(({ word }) => BE_OR_HAVE.has(word));
}

/** "My neighbour's roses have spots, mine have yellow leaves": another's plant, where the caller's own is set against it. */
const anothers: Opening = (tokens, at) => {
  if (!FOLK.has(wordAt(tokens, at)) && !(wordAt(tokens, at) === 'next' && wordAt(tokens, at + 1) === 'door')) return null;
  const own = tokens.findIndex((_, i) => isOwn(tokens, i) && standsApart(tokens, at, i));
  if (own < 0 || tokens.some((token) => sameBreath(token, tokens[own]!) && LIKEWISE.has(token.word))) return null;
  return at + 1;
};

/** "My friend has the same plant and hers is fine": another's is spared. */
const hersSpared: Opening = (tokens, at) =>
  HERS.has(wordAt(tokens, at)) &&
  /^(is|are|was|were|look|looks)$/.test(wordAt(tokens, at + 1)) &&
  clauseFrom(tokens, at).some(({ word }) => SPARED.has(word))
    ? at + 1
    : null;

/** "We have bees", "I keep hens": their own, not on the plant; "we have bees in the wall" tells where they are. */
const ownAnimals: Opening = (tokens, at) => {
  if (!/^(have|keep)$/.test(wordAt(tokens, at)) || !/^(i|we|they)$/.test(wordAt(tokens, at - 1))) return null;
  const animals = [at + 1, at + 2, at + 3].find((i) => OWN_ANIMALS.has(wordAt(tokens, i)));
  if (animals === undefined) return null;
  const next = tokens[animals + 1];
  return !next || !sameBreath(next, tokens[animals]!) || SO_ON.has(next.word) ? at + 1 : null;
};

const OPENINGS: readonly Opening[] = [sought, conditional, expected, written, comparedWith, anothers, hersSpared, ownAnimals];
const ENDING = wordsOf('and so then until');
const GOING = wordsOf('go going went come try');
/** "Rather than holes | there are notches". */
const tellsFrom = (tokens: readonly Token[], i: number): boolean => THING_OR_IT.has(tokens[i]!.word) && BE_OR_HAVE.has(wordAt(tokens, i + 1));

/**
 * Words that tell nothing of the plant as it is: what is sought, supposed, expected, written of or seen on another's. Each stretch ends with its breath, or
 * where a new statement begins.
 * @param negatedBy for each word the index of what denies it, -1 = nothing: "I looked for webs but found none" tells that there are none
 */
export function supposedIn(tokens: readonly Token[], negatedBy: readonly number[]): boolean[] {
  const supposed = tokens.map(() => false);
  tokens.forEach((_, at) => {
    for (const opening of OPENINGS) {
      const from = opening(tokens, at);
      const first = from === null ? undefined : tokens[from];
      if (from === null || first === undefined) continue;
      const end = tokens.findIndex(
        (token, i) => i >= from && (!sameBreath(token, first) || ENDING.has(token.word) || (i > from && tellsFrom(tokens, i))),
      );
      const opensStatement = end >= 0 && tellsFrom(tokens, end); // no phrase reaches over a "there are"
      const begins = wordAt(tokens, at - 1) === 'and' && GOING.has(wordAt(tokens, at - 2)) ? at - 2 : at; // "go and look for"
      supposed.fill(true, begins, end < 0 ? tokens.length : end + (opensStatement ? 2 : 0));
    }
  });
  return supposed.map((is, i) => is && negatedBy[i] === -1);
}

/** True for words that are all supposed, or made one phrase across a comma with others that are. */
export function liesIn(supposed: readonly boolean[], tokens: readonly Token[], at: readonly number[]): boolean {
  const within = at.filter((i) => supposed[i]);
  return within.length > 0 && at.every((i) => supposed[i] || within.some((k) => !sameBreath(tokens[i], tokens[k]!)));
}

const SEASON = wordsOf('year years summer season spring autumn winter month');

/** Words of what was so at another time: "last year it had webs, this year there are none". */
export function formerIn(tokens: readonly Token[]): boolean[] {
  const former = tokens.map(() => false);
  tokens.forEach(({ word }, at) => {
    const next = wordAt(tokens, at + 1);
    if (!(word === 'last' && SEASON.has(next)) && !(word === 'used' && next === 'to')) return;
    const joins = (i: number) => !sameBreath(tokens[i], tokens[at]!) || wordAt(tokens, i) === 'and';
    for (let i = at; i >= 0 && !joins(i); i--) former[i] = true;
    for (let i = at; i < tokens.length && !joins(i); i++) former[i] = true;
  });
  return former;
}
