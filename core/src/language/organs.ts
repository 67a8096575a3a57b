import type { Organ } from '../edition/findings.ts';
import type { Lexicon } from '../edition/lexicon.ts';
import type { Match } from './meaning.ts';
import { wordsOf, type Token } from './tokens.ts';

const PRONOUNS = new Set(['they', 'them', 'these', 'those']);
/** "The young ones" are leaves where leaves were spoken of; "red ones" may be anything. */
const OF_AGE_OR_PLACE = /^(?:young|new|old|fresh)(?:er|est)?$|^(?:lower|lowest|bottom|upper|uppermost|top|inner|outer)$/;
/** "These are brown" stands for what was named before; "these bright red spikes" names them. */
const POINTING = new Set(['these', 'those']);
/** Words back that a "they" looks for what it stands for. */
const PRONOUN_REACH = 14;
/** Tokens to either side in which an organ is taken to be the one spoken of. */
const ORGAN_REACH = 8;
/** All of a plant, where no part of it is told by it: "the tree went silvery", not "brown fruit on the tree". */
const WHOLE_PLANTS = wordsOf('tree bush shrub hedge hostplant');
const PLACING = wordsOf('on in of under over at from off beneath below around near behind round');
/** Words between such a preposition and the plant: "on my old tree". */
const MOST_WORDS_BETWEEN = 2;

/** Words of plants' names, by what they mean: "my courgettes" may be the plants, "the feijoas" are the fruit. */
export interface NamedWords {
  plants: ReadonlySet<number>;
  fruit: ReadonlySet<number>;
}

/** What tells when: "it wilted | just as the fruit were ripening" is said of no fruit. */
const TIME_WORDS = wordsOf('when while after before');
const JUST = wordsOf('just right soon exactly');

const EACH_OTHER = wordsOf('another other');

const tellsWhen = (tokens: readonly Token[], i: number): boolean => {
  if (tokens[i]!.word === 'as') return JUST.has(tokens[i - 1]?.word ?? '');
  // "one branch after the other", "branch after branch"
  const isRound = tokens.slice(i + 1, i + 3).some(({ word }) => EACH_OTHER.has(word)) || tokens[i - 1]?.word === tokens[i + 1]?.word;
  return TIME_WORDS.has(tokens[i]!.word) && !isRound;
};

/** For each word the number of its stretch: a clause, or a breath of one from where it tells when. */
function stretchesOf(tokens: readonly Token[]): number[] {
  let stretch = 0;
  let isWhen = false;
  return tokens.map(({ clause, breath }, i) => {
    const before = tokens[i - 1];
    if (!before) return stretch;
    const begins = tellsWhen(tokens, i);
    if (begins || before.clause !== clause || (isWhen && before.breath !== breath)) {
      stretch += 1;
      isWhen = begins;
    }
    return stretch;
  });
}

/** Which organ of the plant is spoken of, and whether a phrase is about it. */
export class Organs {
  private readonly words: ReadonlySet<string>;
  /** The ends of any part, a leaf's or a shoot's, and the veins that only a leaf has: they say themselves of what they are. */
  private readonly pieces: ReadonlySet<string>;
  private readonly denials: ReadonlySet<string>;
  /** Behind "these" they make a pronoun of it. */
  private readonly verbs: ReadonlySet<string>;

  constructor(private readonly lexicon: Lexicon) {
    this.words = new Set(Object.values(lexicon.organs).flat());
    this.denials = new Set(lexicon.negators.flatMap((negator) => negator.split(' ')));
    this.verbs = new Set([...(lexicon.classes['is'] ?? []), ...(lexicon.classes['turned'] ?? []), 'have', 'had', 'do', 'did']);
    this.pieces = new Set([...(lexicon.classes['tip'] ?? []), ...(lexicon.classes['vein'] ?? []).flatMap((word) => [word, `${word}s`])]);
  }

  /** True for the name of a part: "leaves", "bark". */
  isPart({ word }: Pick<Token, 'word'>): boolean {
    return this.words.has(word);
  }

  /** Organs these words name. */
  namedIn(tokens: readonly Token[]): Set<Organ> {
    return new Set(
      Object.entries(this.lexicon.organs).flatMap(([organ, words]) => (tokens.some(({ word }) => words.includes(word)) ? [organ as Organ] : [])),
    );
  }

  /** True for a plant that is told of as a whole. */
  private isWholePlant(tokens: readonly Token[], at: number): boolean {
    const { word, clause } = tokens[at]!;
    const next = tokens[at + 1];
    const before = tokens.slice(Math.max(0, at - 1 - MOST_WORDS_BETWEEN), at).filter((token) => token.clause === clause);
    return WHOLE_PLANTS.has(word) && !(next && this.isPart(next)) && !before.some((token) => PLACING.has(token.word));
  }

  /** True where a part of the plant is named among these words. */
  private namesPart(tokens: readonly Token[], at: readonly number[]): boolean {
    return tokens.slice(Math.min(...at), Math.max(...at)).some((token) => this.isPart(token));
  }

  /** Lets every "they", a "these" before a verb and "the young ones" stand for the organ spoken of before it. */
  resolvePronouns(tokens: readonly Token[]): Token[] {
    let last = -1;
    return tokens.map((token, index) => {
      if (this.words.has(token.word)) last = index;
      const antecedent = last >= 0 && index - last <= PRONOUN_REACH ? tokens[last] : undefined;
      const names = POINTING.has(token.word) && !this.verbs.has(tokens[index + 1]?.word ?? 'are');
      const means = PRONOUNS.has(token.word) ? !names : token.word === 'ones' && OF_AGE_OR_PLACE.test(tokens[index - 1]?.word ?? '');
      return antecedent && means ? { ...token, standsFor: { word: antecedent.word, stem: antecedent.stem } } : token;
    });
  }

  /** Organs spoken of, stretch by stretch; one that names none goes on with the last. */
  private byStretch(tokens: readonly Token[], stretches: readonly number[], named: NamedWords): Set<Organ>[] {
    const byStretch: Set<Organ>[] = [];
    let last = new Set<Organ>();
    for (let stretch = 0; stretch <= (stretches.at(-1) ?? 0); stretch++) {
      const here = new Set<Organ>();
      for (const [index, token] of tokens.entries()) {
        if (stretches[index] !== stretch || named.plants.has(index)) continue;
        if (named.fruit.has(index)) here.add('fruit');
        for (const [organ, words] of Object.entries(this.lexicon.organs)) if (words.includes(token.word)) here.add(organ as Organ);
      }
      if (here.size > 0) last = here;
      byStretch.push(last);
    }
    return byStretch;
  }

  /** Whether a phrase can be about the organ spoken of around it. @param all every phrase met */
  fitting(tokens: readonly Token[], named: NamedWords, all: readonly Match[]): (match: Match) => boolean {
    const stretches = stretchesOf(tokens);
    const spokenOf = this.byStretch(tokens, stretches, named);
    const spokenAround = ({ at }: Match): ReadonlySet<Organ> => new Set(at.flatMap((i) => [...(spokenOf[stretches[i]!] ?? [])]));
    /** True where the same words say it of the organ spoken of: grey fur on the peaches is none on the leaf. A "hardly" says nothing of anything, nor does the part a sign is on; which part it is makes a pattern. */
    const isSaidOfAnother = (match: Match): boolean => {
      const isPattern = match.value.kind === 'finding' && match.value.finding.kind === 'pattern';
      const telling = match.at.filter((i) => (isPattern || !this.isPart(tokens[i]!)) && !this.denials.has(tokens[i]!.word));
      return all.some(
        ({ value, at }) => value.kind === 'finding' && spokenAround(match).has(value.finding.organ) && at.some((i) => telling.includes(i)),
      );
    };
    /** True when the clause speaks of an organ, but too far from these words to be theirs: "it wilted, and there is sawdust at the stem". */
    const isFar = ({ at }: Match): boolean => {
      const { clause } = tokens[at[0]!]!;
      const [from, to] = [at[0]! - ORGAN_REACH, at[at.length - 1]! + ORGAN_REACH];
      const isOrgan = (token: Token, i: number) => named.fruit.has(i) || (this.words.has(token.word) && !named.plants.has(i));
      const spokenAt = tokens.flatMap((token, i) => (token.clause === clause && isOrgan(token, i) ? [i] : []));
      return spokenAt.length > 0 && spokenAt.every((i) => i < from || i > to);
    };
    return (match) => {
      if (match.value.kind !== 'finding' || match.saying) return true;
      const { organ, kind } = match.value.finding;
      if (organ === 'whole-plant' || organ === 'surroundings') return true;
      const spoken = spokenAround(match);
      if (spoken.size === 0 || spoken.has(organ)) return true;
      if (kind !== 'symptom') return !isSaidOfAnother(match); // a creature or a fungus may sit anywhere
      if (isFar(match)) return true;
      // "shoots like little cabbages" says itself of what it is, and so does who tells of a whole tree
      const isOwn = (i: number) => this.isPart(tokens[i]!) || this.pieces.has(tokens[i]!.word);
      return match.at.some(isOwn) || (match.at.some((i) => this.isWholePlant(tokens, i)) && !this.namesPart(tokens, match.at));
    };
  }
}
