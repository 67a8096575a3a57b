import { distance } from 'fastest-levenshtein';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import { isPersonsName } from './people.ts';
import { tokenise, type Token } from './tokens.ts';

export interface PlantMention {
  plant: Plant;
  at: number[];
  /** True when the plant is not the one the call is about: a neighbour's, a likeness ("a lump like a cauliflower"), or what grows on it. */
  nearby: boolean;
  /** True for "my pear", "our old pear". */
  owned: boolean;
  /** True where an earlier call was about it: "I rang last year about my tomatoes". */
  earlier: boolean;
  /** True for a bare "vine": it may be the way another plant grows. */
  habit: boolean;
  /** Letters that had to be changed to read the name. */
  distance: number;
}

const VINE = /^vines?$/;
const TRAILING_GROUPS = ['cucurbit', 'climber'];
const TRAILING_GENERA = new Set(['Solanum', 'Ipomoea', 'Dioscorea', 'Phaseolus', 'Pisum', 'Vigna']);
const trails = ({ groups, genus }: Plant): boolean => TRAILING_GENERA.has(genus) || TRAILING_GROUPS.some((group) => groups.includes(group));

/** Mentions of plants without what is only how the host grows: "my melons did well, then all the vines wilted". */
export const withoutHabit = (mentions: readonly PlantMention[], host: Plant | null): PlantMention[] =>
  mentions.filter(({ habit, plant }) => !habit || !host || plant === host || !trails(host));

/** One way of naming a plant, as stems. */
interface NameEntry {
  plant: Plant;
  parts: { stem: string; word: string; exact: string | null }[];
  /** Earlier entries win where two plants share a name. */
  order: number;
}

/** Names of a plant in the ways people say them: common, and scientific where it has one; one that ends in "!" is taken in that form only. */
export function namesOfPlant(plant: Plant): string[] {
  const names = [plant.name, ...plant.also];
  return plant.generic ? names : [plant.id.replace(/-/g, ' '), plant.latin, ...names];
}

/** Tokens before and after a name in which a word makes it a neighbour's. */
const REACH_BEFORE = 2;
const REACH_AFTER = 3;
/** Tokens before a name in which a word of likeness makes it only a picture. */
const REACH_LIKENESS = 3;
/** "I squashed one" names no squash: a verb's ending that the name does not have. */
const isVerbOf = (word: string, name: string): boolean => /(ed|ing)$/.test(word) && !/(ed|ing)$/.test(name);
const UNDER = /^(under|beneath|behind)$/;
const LEAF = /^(lea(f|ves)|foliage|fronds?|needles?)$/;
/** "Ivy growing all the way up my oak": words between two names that make the second one the host. */
const GROWS = /^(grow|climb|twin|wrap|creep)/;
const ONTO = new Set(['up', 'on', 'onto', 'over', 'in', 'into', 'around', 'round', 'through', 'among']);
/** Words that may stand between a likeness and its picture. */
const LINKS = new Set('a an the on in from some of little small tiny miniature big baby my our very old large tall huge mature'.split(' '));
const ARTICLES = new Set(['the', 'my', 'our', 'a', 'an']);
const THEIRS = new Set(['his', 'her', 'their']);
const OWNING = new Set(['my', 'our']);
const RANG = /^(rang|called|phoned|telephoned|wrote|emailed|mailed|spoke|asked|came|helped|answered)$/;
const OF_WHAT = /^(about|with|regarding)$/;
const BEFORE_NOW = /^(last|before|ago|earlier|previously)$/;
const SAID_OF = /^(is|has|keeps|was|looks)$/;
const OVERRUN_BY = /\b(?:strangled|smothered|choked|covered|overgrown|swamped|full)(?: up)? (?:by|in|with|of)\b/;
const OVERRUNS = /^(strangl|smother|chok|cover|overgrow|swamp)/;

/** Letters written twice as once: the "carot" that is a carrot rather than a carob. */
const single = (stem: string): string => stem.replace(/(.)\1/g, '$1');
/** Letters by which the form of a name may differ: cherry, "cherrys". */
const ENDING = 1;
/** How much farther off a name is that needs another letter, in letters. */
const LETTER_EXCHANGED = 0.5;

/** Shorter words are too near each other to guess a plant from a slip: "limey" is no lime. */
const LEAST_TO_FORGIVE = 6;

/**
 * The plant a call is about, among those named closely: what is come back to ("beans up the corn, and the corn has boils"), else the caller's own ("a walnut,
 * and my tomatoes wilt"), else the first, else the first "house plant" or the like.
 */
export function closest(mentions: readonly PlantMention[]): Plant | null {
  const all = mentions.filter(({ nearby }) => !nearby);
  const close = all.some(({ earlier }) => !earlier) ? all.filter(({ earlier }) => !earlier) : all;
  const named = close.filter(({ plant }) => !plant.generic);
  const timesNamed = (plant: Plant) => mentions.filter((mention) => mention.plant === plant).length;
  const most = Math.max(1, ...named.map(({ plant }) => timesNamed(plant)));
  const comesBack = most > 1 ? named.filter(({ plant }) => timesNamed(plant) === most) : named;
  return (comesBack.find(({ owned }) => owned) ?? comesBack[0] ?? close[0])?.plant ?? null;
}

/** Reads plant names out of talk, forgiving a slip or two of spelling in longer names. */
export class PlantNames {
  private readonly byFirstStem = new Map<string, NameEntry[]>();
  /** Names of one word by their stem, with the word. */
  private readonly single = new Map<string, { plant: Plant; word: string }>();

  constructor(
    private readonly edition: Edition,
    private readonly knownWord: (token: Token) => boolean,
  ) {
    const named = new Set<string>();
    const add = (name: string, plant: Plant): void => {
      // a name that ends in "!" is taken in exactly that form: "oranges" is a plant, "orange" a colour
      const exact = name.endsWith('!');
      const tokens = tokenise(name, edition.lexicon.irregular);
      const first = tokens[0];
      if (!first) return;
      named.add(name.toLowerCase());
      const entry = { plant, parts: tokens.map(({ stem, word }) => ({ stem, word, exact: exact ? word : null })), order: named.size };
      this.byFirstStem.set(first.stem, [...(this.byFirstStem.get(first.stem) ?? []), entry]);
      if (tokens.length === 1 && !exact && !this.single.has(first.stem)) this.single.set(first.stem, { plant, word: first.word });
    };
    for (const plant of edition.plants) for (const name of namesOfPlant(plant)) add(name, plant);
    // a bare genus means the plant whose own name it is, else the first of its kind
    for (const plant of edition.plants) if (!plant.generic && !named.has(plant.genus.toLowerCase())) add(plant.genus, plant);
  }

  private near(token: Token): { plant: Plant; distance: number } | null {
    if (token.word.length < LEAST_TO_FORGIVE || this.knownWord(token)) return null;
    const allowed = token.word.length >= 9 ? 2 : 1;
    let best: { plant: Plant; distance: number } | null = null;
    let least = Infinity;
    for (const [stem, { plant, word }] of this.single) {
      if (stem[0] !== token.stem[0] || Math.abs(stem.length - token.stem.length) > allowed) continue;
      if (Math.abs(word.length - token.word.length) > allowed + ENDING) continue; // "grateful" is no grape
      const d = distance(stem, token.stem);
      // the same stem and yet no name is a verb
      const exchanged = d + (single(stem) === single(token.stem) ? 0 : LETTER_EXCHANGED);
      if (d > 0 && d <= allowed && exchanged < least) {
        best = { plant, distance: d };
        least = exchanged;
      }
    }
    return best;
  }

  private isNearby(tokens: readonly Token[], at: readonly number[]): boolean {
    const { nearby, nearbyAfter, goods, noPlant } = this.edition.lexicon;
    const first = tokens[at[0]!]!;
    const last = at[at.length - 1]!;
    const besides = (token: Token | undefined): token is Token =>
      token !== undefined && token.clause === first.clause && token.breath === first.breath;
    const ofItsOwn = LEAF.test(tokens[last + 1]?.word ?? ''); // "orange dust under the rose leaves"
    const placed = (token: Token) => nearby.includes(token.word) && !(ofItsOwn && UNDER.test(token.word));
    for (let i = at[0]! - 1; i >= at[0]! - REACH_BEFORE; i--) if (besides(tokens[i]) && placed(tokens[i]!)) return true;
    for (let i = at[0]! - 1; besides(tokens[i]) && (LINKS.has(tokens[i]!.word) || tokens[i]!.word === 'to'); i--) {
      const before = tokens[i - 1];
      if (besides(before) && placed(before)) return true; // "next to a big old oak"
    }
    if (besides(tokens[at[0]! - 2]) && tokens[at[0]! - 2]!.word === 'not' && ARTICLES.has(tokens[at[0]! - 1]!.word)) return true; // "not the rose, the hosta"
    if (this.isLikened(tokens, at[0]!) || this.isTheirs(tokens, at[0]!)) return true;
    // "the poinsettia's coloured leaves" are its own
    if (besides(tokens[last + 1]) && goods?.includes(tokens[last + 1]!.word) && !/'s$/.test(tokens[last]!.text)) return true;
    const spokenAt = (words: readonly string[], i: number) => words.every((word, k) => tokens[i + k]?.word === word);
    const phrases = (noPlant ?? []).map((phrase) => phrase.split(' '));
    if (phrases.some((words) => words.some((_, k) => spokenAt(words, at[0]! - k)))) return true;
    for (let i = last + 1; i <= last + REACH_AFTER && besides(tokens[i]); i++)
      if (nearbyAfter.some((phrase) => phrase.split(' ').every((word, k) => tokens[i + k]?.word === word))) return true;
    return false;
  }

  /** "The neighbour sprayed his lawn": of somebody else, who is spoken of before. */
  private isTheirs(tokens: readonly Token[], at: number): boolean {
    let i = at - 1;
    while (LINKS.has(tokens[i]?.word ?? '')) i -= 1;
    if (!THEIRS.has(tokens[i]?.word ?? '')) return false;
    return tokens.slice(0, i).some(({ word, clause }) => clause === tokens[at]!.clause && this.edition.lexicon.nearby.includes(word));
  }

  /** "The size of a pear", "like a little cabbage": a picture of something else. */
  private isLikened(tokens: readonly Token[], at: number): boolean {
    const { likened } = this.edition.lexicon;
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

  /** Whether a name stands behind "my" or "our", with nothing but small words between, or before a "mine": "my neighbour's roses are fine, mine have spots". */
  private static isOwned(tokens: readonly Token[], at: number): boolean {
    const { clause } = tokens[at]!;
    if (tokens.slice(at + 1).some(({ word }) => word === 'ours')) return true;
    let i = at - 1;
    while (tokens[i]?.clause === clause && LINKS.has(tokens[i]!.word) && !OWNING.has(tokens[i]!.word)) i -= 1;
    return tokens[i]?.clause === clause && OWNING.has(tokens[i]!.word);
  }

  /** "I rang last year about my tomatoes": what an earlier call was about. */
  private static isOfEarlierCall(tokens: readonly Token[], at: number): boolean {
    const here = tokens[at]!;
    const isHere = ({ clause, breath }: Token) => clause === here.clause && breath === here.breath;
    const before = tokens.slice(0, at).filter(isHere);
    const rang = before.findIndex(({ word }) => RANG.test(word));
    return (
      rang >= 0 && before.slice(rang).some(({ word }) => OF_WHAT.test(word)) && tokens.some((token) => isHere(token) && BEFORE_NOW.test(token.word))
    );
  }

  /** "My orange is sticky": what is owned and does something is the plant, where the bare word is a colour. */
  private static isOneOf(tokens: readonly Token[], at: number): boolean {
    return OWNING.has(tokens[at - 1]?.word ?? '') && SAID_OF.test(tokens[at + 1]?.word ?? '');
  }

  /** Of two plants in one breath, the one that grows over the other is not the one the call is about. */
  private static guests(tokens: readonly Token[], mentions: readonly PlantMention[]): PlantMention[] {
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

  /** Every name of a plant whose words stand in the talk, overlapping ones too. */
  private spokenIn(tokens: readonly Token[]): { entry: NameEntry; at: number[] }[] {
    return tokens.flatMap((token, start) =>
      (this.byFirstStem.get(token.stem) ?? [])
        .filter(({ parts }) =>
          parts.every(({ stem, exact, word }, i) => {
            const here = tokens[start + i];
            if (here === undefined || here.stem !== stem || isVerbOf(here.word, word)) return false;
            return exact === null || here.word === exact || PlantNames.isOneOf(tokens, start + i);
          }),
        )
        .map((entry) => ({ entry, at: entry.parts.map((_, i) => start + i) })),
    );
  }

  /** Words that would name a plant if they were not somebody's name. */
  people(tokens: readonly Token[]): ReadonlySet<number> {
    return new Set(this.spokenIn(tokens).flatMap(({ at }) => (isPersonsName(tokens, at) ? at : [])));
  }

  /** Mentions in the order they are spoken, longest names first where they overlap. */
  find(tokens: readonly Token[]): PlantMention[] {
    const taken = new Set<number>();
    const mentions: PlantMention[] = [];
    const take = (plant: Plant, at: number[], d: number): void => {
      at.forEach((i) => taken.add(i));
      mentions.push({
        plant,
        at,
        nearby: this.isNearby(tokens, at),
        owned: PlantNames.isOwned(tokens, at[0]!),
        earlier: PlantNames.isOfEarlierCall(tokens, at[0]!),
        habit: at.length === 1 && VINE.test(tokens[at[0]!]!.word) && !PlantNames.isOwned(tokens, at[0]!),
        distance: d,
      });
    };
    const spoken = this.spokenIn(tokens).filter(({ at }) => !isPersonsName(tokens, at));
    spoken.sort((a, b) => b.at.length - a.at.length || a.entry.order - b.entry.order || a.at[0]! - b.at[0]!);
    // "melon vine" is no grapevine
    const ends = new Set(spoken.filter(({ entry }) => !entry.plant.generic).map(({ at }) => at.at(-1)!));
    const isItsKind = (at: readonly number[]) => at.length === 1 && AFTER_HOST.has(tokens[at[0]!]!.word) && ends.has(at[0]! - 1);
    for (const { entry, at } of spoken) if (!at.some((i) => taken.has(i)) && !isItsKind(at)) take(entry.plant, at, 0);
    tokens.forEach((token, index) => {
      if (taken.has(index)) return;
      const near = isPersonsName(tokens, [index]) ? null : this.near(token);
      if (near) take(near.plant, [index], near.distance);
    });
    const grower = mentions.find(({ plant, habit, nearby }) => !habit && !nearby && trails(plant))?.plant ?? null;
    return PlantNames.guests(
      tokens,
      withoutHabit(mentions, grower).sort((a, b) => a.at[0]! - b.at[0]!),
    );
  }

  /** The plant that a whole name or id means, or null. */
  resolve(name: string): Plant | null {
    const direct = this.edition.plants.find((plant) => plant.id === name);
    if (direct) return direct;
    const spoken = (words: string) => this.find(tokenise(words, this.edition.lexicon.irregular));
    // asked for as a name, "orange" and "pink" are plants, though in talk only the plural is; no slip is forgiven there: a karee is no kale
    return closest(spoken(name)) ?? closest(spoken(`${name.trim()}s`).filter(({ distance }) => distance === 0));
  }
}

/** What follows a plant's name that is not its fruit: "cherry tree", "apple leaves". */
const AFTER_HOST = new Set(
  'tree trees bush bushes plant plants leaf leaves foliage hedge vine vines cactus shrub shrubs branch branches trunk'.split(' '),
);

/**
 * A plant's name that means the plant as a whole says nothing of what is seen, so no phrase may use it: the "sugar" of a sugar maple is no powder,
 * the "coffee" of a coffee bush no colour. Its last word stays where it may be the fruit that is spoken of.
 */
export function withoutHostWords(tokens: readonly Token[], plants: readonly PlantMention[]): Token[] {
  const hosts = plants.filter(({ nearby }) => !nearby); // a juniper hedge next door is something seen
  const ofName = new Set(hosts.flatMap(({ at }) => at.slice(0, -1)));
  const last = new Set(hosts.flatMap(({ at }) => at.slice(-1)));
  return tokens.map((token, i) =>
    ofName.has(i) || (last.has(i) && AFTER_HOST.has(tokens[i + 1]?.word ?? '')) ? { ...token, word: '', stem: '' } : token,
  );
}
