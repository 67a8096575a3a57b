import { CUT_BACK, EAT, OF_THE_CAUSE, OUTLOOK, POISON, REMEDY, type CareTopic } from '../edition/care.ts';
import type { Plant } from '../edition/plants.ts';
import { asksToDo, tellsTrouble, type Asking } from './asking.ts';
import type { PhraseMatch } from './phrases.ts';
import { stemOf, type Token } from './tokens.ts';

export interface CareQuestion {
  topic: string;
  /** The caller's words it was read from. */
  from: string;
  /** Spoken of, or asked without saying what: worth showing, not worth a line in a letter once something wrong is seen. */
  guessed?: true;
  /** The plant itself is to be cut, not its flowers or leaves: "when do I cut my lavender". */
  itself?: true;
  /** Somebody or an animal ate of it: that comes before anything else. */
  eaten?: true;
  /** It may be meant for the trouble as well, and then what is advised against that answers it: "should I pick those off". */
  orCause?: true;
  /** Of which plants it asks whether they are poisonous or eaten, by id, where it names any; on every other topic the call's own plant is meant. */
  of?: string[];
}

/** What else of a plant is cut: its dead heads, its yellow leaves. */
const PART_CUT =
  /^(dead|deadhead\w*|head|heads|flower\w*|bloom\w*|blossom\w*|stalk|stalks|spike|spikes|leaf|leaves|foliage|frond|fronds|seed\w*|tip|tips|runner|runners)$/;

/** Topics on which the card of another plant would be dangerous. */
const OF_THE_PLANT_NAMED: ReadonlySet<string> = new Set([POISON, EAT]);

/** The topic of a question that asks to do something to a plant, nobody knows what: its whole card may answer it. */
export const WHOLE_CARD = 'card';

export interface CareHeard {
  questions: CareQuestion[];
  /** Topics spoken of without a question: "our roses are due a prune". Where no trouble is told, the last of them is what the call is about. */
  mentioned: CareQuestion[];
  /** What asks how, when or whether to do something and does not say what: the whole card may answer it. */
  unplaced: CareQuestion[];
  /** Indexes of the words by which it was asked: no word on what is seen. */
  at: ReadonlySet<number>;
  /** Indexes of the words that tell of somebody who ate of it: no trouble of the plant. */
  eatenAt: ReadonlySet<number>;
  /**
   * True for words that are asked, not told: "how much water", "can I prune it in winter". What is seen may still be told in asking ("shall I cut
   * the brown tips off"), so of a question's breath only circumstances go; words of its opening or of what it asks for go either way.
   */
  asks(at: readonly number[], circumstance: boolean): boolean;
}

/** A topic's phrase met in the talk; one that was `told` needs no question. */
export type CarePhrase = PhraseMatch<{ topic: string; told: boolean }>;

/** One question of care, which of its words say for what, and the stretch that asks it; none where it is told. */
interface Told extends CareQuestion {
  cue: readonly number[];
  asking?: Asking;
}
interface Found extends Told {
  asking: Asking;
}

/** After these a verb's form may be a thing: "will it harm my plants" asks for no planting, "the pruning" is still about pruning. */
const DETERMINERS = new Set(
  'my our your his her their the this that these those a an any another same single each every whole house of other from off on with between among'.split(
    ' ',
  ),
);
const THINGS = /^(plant|store|water|support|string|prop|tie|cut|move|space|pick|lift|drink)s?$/;

/** What is split asks for no dividing: "they are woody and split". */
const TELLS_TOO = /^splits?$/;

/** "Just this one plant"; whoever asks "when does one plant garlic" means anybody. */
const ONE_OF = new Set('this that the just only'.split(' '));

/** "My plants", "the spider plant", "grass clippings": a verb's form that names a thing. */
const isNoun = (tokens: readonly Token[], i: number, named: ReadonlyMap<number, Plant>): boolean => {
  const { word } = tokens[i]!;
  if (/ings$/.test(word)) return true;
  const before = tokens[i - 1]?.word ?? '';
  const determined = DETERMINERS.has(before) || (before === 'one' && ONE_OF.has(tokens[i - 2]?.word ?? ''));
  return (THINGS.test(word) && determined) || (named.has(i - 1) && /^plants?$/.test(word));
};

/** "The goats ate": who, and that they did. */
const FED_AND_ATE = 2;

/** How far behind "what about" a plant's name stands: "the big old lily". */
const NAME_REACH = 4;

const within = (asking: Asking, i: number): boolean => i >= asking.about && i < asking.to;

/** Reads questions of care, by the verb of what asks ("there is a flower stalk, do I leave it?") or by a topic's phrases about it. */
export class CareQuestions {
  private readonly topicOf = new Map<string, string>();

  /** Stems of the animals that feed on plants as they find them. */
  private readonly stock: ReadonlySet<string>;

  constructor(
    topics: readonly CareTopic[],
    private readonly irregular: Record<string, string>,
    stock: readonly string[] = [],
  ) {
    this.stock = new Set(stock.map((word) => stemOf(word.replace('*', ''), irregular)));
    for (const topic of topics) for (const verb of topic.verbs ?? []) this.topicOf.set(stemOf(verb, irregular), topic.id);
  }

  /** Topics named by a verb in part of the talk, in the order they are spoken. */
  private verbsIn(tokens: readonly Token[], from: number, to: number, named: ReadonlyMap<number, Plant>): { topic: string; at: number }[] {
    return tokens.slice(from, to).flatMap(({ word }, k) => {
      const at = from + k;
      const topic = named.has(at) || isNoun(tokens, at, named) ? undefined : this.topicOf.get(stemOf(word, this.irregular));
      return topic === undefined ? [] : [{ topic, at }];
    });
  }

  private byVerb(tokens: readonly Token[], asking: Asking, named: ReadonlyMap<number, Plant>): Found[] {
    const verbs = this.verbsIn(tokens, asking.body, asking.to, named).slice(0, 1);
    const itself = !tokens.some(({ word }, i) => within(asking, i) && PART_CUT.test(word));
    return verbs.map(({ topic, at }) => ({
      topic,
      from: textOf(tokens, asking.from, at),
      asking,
      cue: [at],
      ...(topic === CUT_BACK && itself && { itself: true as const }),
    }));
  }

  /** "Is the oleander poisonous to horses, and what about the yew?": the same is asked of another plant, in little more than its name. */
  private ofOthersToo(asking: readonly Asking[], named: ReadonlyMap<number, Plant>, found: readonly Found[]): Found[] {
    return asking.flatMap((stretch) => {
      const before = found.filter(({ cue }) => cue[0]! < stretch.from).at(-1);
      const at = [...named.keys()].find((i) => i >= stretch.body && i < Math.min(stretch.to, stretch.body + NAME_REACH));
      const isPlaced = found.some((one) => one.asking === stretch);
      return isPlaced || at === undefined || !before || !OF_THE_PLANT_NAMED.has(before.topic) ? [] : [{ ...before, asking: stretch, cue: [at] }];
    });
  }

  /** A sheep at the roses or in the beans does damage; one at the yew is poisoned. With no plant named it takes more words than that something was eaten. */
  private isOnlyGrazed(tokens: readonly Token[], named: ReadonlyMap<number, Plant>, at: readonly number[]): boolean {
    if (!at.some((i) => this.stock.has(tokens[i]!.stem))) return false;
    const plants = [...named].flatMap(([i, plant]) => (tokens[i]!.clause === tokens[at[0]!]!.clause ? [plant] : []));
    return plants.length > 0 ? plants.every(({ poisonous, groups }) => !poisonous || groups.includes('vegetable')) : at.length <= FED_AND_ATE;
  }

  /** A phrase may begin before what asks: "too tall, when can we top it". */
  private byPhrase(tokens: readonly Token[], asking: Asking, { value, at }: CarePhrase): Found[] {
    if (!at.some((i) => within(asking, i))) return [];
    return [{ topic: value.topic, from: textOf(tokens, at[0]!, at.at(-1)!), asking, cue: at }];
  }

  /** Topics anywhere in the talk, in the order they are spoken; a single word that is no verb is too little. */
  private mentionedIn(tokens: readonly Token[], named: ReadonlyMap<number, Plant>, phrases: readonly CarePhrase[]): CareQuestion[] {
    const spoken = [
      ...this.verbsIn(tokens, 0, tokens.length, named)
        .filter(({ at }) => !TELLS_TOO.test(tokens[at]!.word))
        .map(({ topic, at }) => ({ topic, at: [at] })),
      // "it is spreading to the others" tells
      ...phrases.filter(({ value, at }) => at.length > 1 && !OF_THE_CAUSE.has(value.topic)).map(({ value, at }) => ({ topic: value.topic, at })),
    ].sort((a, b) => a.at.at(-1)! - b.at.at(-1)!);
    return spoken.map(({ topic, at }) => ({ topic, from: textOf(tokens, at[0]!, at.at(-1)!) }));
  }

  /**
   * @param named words of plants' names, with the plant: who has a spider plant plants nothing
   * @param asking the stretches of the talk that ask, from askingIn
   * @param phrases where phrases of the topics were met; they count only in a clause that asks
   */
  heard(tokens: readonly Token[], named: ReadonlyMap<number, Plant>, asking: readonly Asking[], phrases: readonly CarePhrase[]): CareHeard {
    const meant = phrases.filter(({ value, at }) => !(value.told && value.topic === POISON && this.isOnlyGrazed(tokens, named, at)));
    const best = meant.toSorted((a, b) => b.score - a.score || a.at[0]! - b.at[0]!);
    const spelled: Found[] = [
      ...asking.flatMap((stretch) => this.byVerb(tokens, stretch, named)),
      ...best.flatMap((match) => asking.flatMap((stretch) => this.byPhrase(tokens, stretch, match)).slice(0, 1)),
    ].sort((a, b) => a.cue[0]! - b.cue[0]!);
    const found = [...spelled, ...this.ofOthersToo(asking, named, spelled)];
    const againstIt = new Set<Asking | undefined>(
      found.filter(({ topic }) => topic === REMEDY || topic === OUTLOOK).map(({ asking: stretch }) => stretch),
    );
    const openings = new Set(found.flatMap(({ asking: { from, body } }) => tokens.flatMap((_, i) => (i >= from && i < body ? [i] : []))));
    const eaten = best.filter(({ value }) => value.told && value.topic === POISON).flatMap(({ at }) => at);
    const cues = new Set([...found.flatMap(({ asking: stretch, cue }) => cue.filter((i) => within(stretch, i))), ...eaten]);
    const inBreath = (i: number): boolean =>
      found.some(({ asking: stretch }) => within(stretch, i) && tokens[i]!.breath === tokens[stretch.from]!.breath);
    const told = best.flatMap(({ value, at }): Told[] =>
      value.told
        ? [{ topic: value.topic, from: textOf(tokens, at[0]!, at.at(-1)!), cue: at, ...(value.topic === POISON && { eaten: true as const }) }]
        : [],
    );
    // "is it poisonous, the cat ate some": eaten counts, however it was asked besides
    const questions = [...told.filter(({ eaten }) => eaten), ...found, ...told.filter(({ eaten }) => !eaten)].map((one: Told): CareQuestion => ({
      topic: one.topic,
      from: one.from,
      ...(one.itself && { itself: one.itself }),
      ...(one.eaten && { eaten: one.eaten }),
      ...(againstIt.has(one.asking) && !OF_THE_CAUSE.has(one.topic) && { orCause: true as const }),
      ...ofWhat(tokens, named, one),
    }));
    const unplaced = asking.filter(
      (stretch) => !found.some((one) => one.asking === stretch && !OF_THE_CAUSE.has(one.topic)) && asksToDo(tokens, stretch),
    );
    return {
      mentioned: asking.length === 0 && tellsTrouble(tokens) ? [] : this.mentionedIn(tokens, named, best),
      unplaced: unplaced.map(({ from, to }) => ({ topic: WHOLE_CARD, from: textOf(tokens, from, to - 1) })),
      questions: questions.filter((one, n) => questions.findIndex((other) => asksTheSame(one, other)) === n),
      at: cues,
      eatenAt: new Set(
        tokens.flatMap((token, i) => (eaten.some((k) => tokens[k]!.clause === token.clause && tokens[k]!.breath === token.breath) ? [i] : [])),
      ),
      asks: (at, circumstance) => at.some((i) => openings.has(i) || cues.has(i)) || (circumstance && at.every(inBreath)),
    };
  }
}

/** Is the lily poisonous, and is the clivia: two questions on one topic. */
const asksTheSame = (one: CareQuestion, other: CareQuestion): boolean => one.topic === other.topic && String(one.of) === String(other.of);

/** The plants that such a question names: in its own stretch of the talk, in its breath, or in its clause. */
function ofWhat(tokens: readonly Token[], named: ReadonlyMap<number, Plant>, { topic, cue, asking }: Told): Pick<CareQuestion, 'of'> {
  if (!OF_THE_PLANT_NAMED.has(topic)) return {};
  const { clause, breath } = tokens[cue.at(-1)!]!;
  const inClause = [...named].filter(([i]) => tokens[i]!.clause === clause);
  const nearer = [inClause.filter(([i]) => asking && within(asking, i)), inClause.filter(([i]) => tokens[i]!.breath === breath)];
  const plants = new Set((nearer.find((some) => some.length > 0) ?? inClause).map(([, { id }]) => id));
  return plants.size > 0 ? { of: [...plants] } : {};
}

const textOf = (tokens: readonly Token[], first: number, last: number): string =>
  tokens
    .slice(first, last + 1)
    .map((t) => t.text)
    .join(' ');
