import type { Match } from './meaning.ts';
import type { Token } from './tokens.ts';

/** What a name for the trouble is worth as something seen: nothing where others say so or it was once thought, little where the caller thinks so. */
export type Opinion = 'hearsay' | 'own';

const HOLDING =
  /^(hope|hoped|hoping|fear|feared|think|thinks|thought|reckon|reckons|reckoned|say|says|said|tell|tells|told|blame|blames|blamed|convinced|swear|swears|swore|suspect|suspects|suspected|diagnosed|assume|assumes|assumed|guess|guessed|believe|believes|believed|suggest|suggests|suggested|insist|insists|insisted|according)$/;
/** What the caller holds now, with an "I" before it: "I would say", "I am convinced". "I thought" is over. */
const NOW = /^(think|reckon|say|blame|convinced|swear|suspect|assume|guess|believe)$/;
const SPEAKER = /^(i|im|id|ive|we|wed|were|weve|you|he|she|it|they|who|people|everyone|everybody|somebody|someone)$/;
const SELF = /^(i|im|id|ive|we|wed|were|weve)$/;
/** Words from the speaker to the verb: "I would still say". */
const SPEAKER_REACH = 3;
/** Between the speaker and what they hold stands what they saw, or that they saw it. */
const SEEING =
  /^(see|sees|saw|seen|find|finds|found|there|covered|crawling|full|look|looks|looked|caught|counted|on|in|leaf|leaves|stem|stems|fruit|fruits|bark|flowers|buds|roots)$/;
const GOES_ON = /^(and|but|because|so|or|as|since|which|that|who|though|although|from)$/;
/** Words from the verb to the name: "he says it has got to be the vine weevil again". */
const REACH = 8;

/** A word behind a name that only says what kind of thing it is. */
const OF_ITS_KIND = /^(grub|grubs|larva|larvae|damage|disease|bug|bugs|attack|infestation|trouble|infection)$/;

/** True where nothing stands behind in the same breath that says where it is or what it is like. */
function endsThere(tokens: readonly Token[], last: number): boolean {
  const next = tokens[OF_ITS_KIND.test(tokens[last + 1]?.word ?? '') ? last + 2 : last + 1];
  const here = tokens[last]!;
  return !next || next.clause !== here.clause || next.breath !== here.breath || GOES_ON.test(next.word);
}

/** True where the nearest speaker before the verb is the caller. */
function isOwn(tokens: readonly Token[], verb: number): boolean {
  const before = tokens.slice(Math.max(0, verb - SPEAKER_REACH), verb).filter(({ clause }) => clause === tokens[verb]!.clause);
  return SELF.test(before.reverse().find(({ word }) => SPEAKER.test(word))?.word ?? '');
}

/** Who holds what these words name; null where they tell what is seen. */
function held(tokens: readonly Token[], at: readonly number[]): Opinion | null {
  const first = at[0]!;
  if (!endsThere(tokens, at.at(-1)!)) return null;
  for (let i = first - 1; i >= 0 && i >= first - REACH && tokens[i]!.clause === tokens[first]!.clause; i--) {
    const { word } = tokens[i]!;
    if (SEEING.test(word)) return null;
    if (HOLDING.test(word)) return NOW.test(word) && isOwn(tokens, i) ? 'own' : 'hearsay';
  }
  return null;
}

/**
 * What is only held of the trouble. "My neighbour says whitefly", "I thought it was slugs": the name is a claim, and its words show nothing of the
 * plant; "he says there are whiteflies all over it" tells what is seen.
 * @returns for a phrase that makes use of such a name, whose opinion it is
 */
export function opinionsIn(tokens: readonly Token[], matches: readonly Match[]): (match: Match) => Opinion | null {
  const names = matches.flatMap(({ value, at }) => {
    const opinion = value.kind === 'claim' ? held(tokens, at) : null;
    return opinion ? [{ opinion, at: new Set(at) }] : [];
  });
  return ({ value, at }) => (value.kind === 'finding' && names.find((name) => at.some((i) => name.at.has(i)))?.opinion) || null;
}
