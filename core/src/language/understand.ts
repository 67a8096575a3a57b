import type { Channel, Edition, Finding, Organ, Plant } from '../edition/edition.ts';
import { canShow } from '../diagnosis/hosts.ts';
import { answerIn, asBeginning, beyondYesOrNo, channelOf, choiceTaken, deniedAsk, isAnswerWord, presupposes, settledBy } from './answers.ts';
import { askingIn, tellsTrouble } from './asking.ts';
import { Bindings } from './binding.ts';
import { CareQuestions, type CarePhrase, type CareQuestion } from './careQuestions.ts';
import { utterancesIn, type Utterance } from './dialogue.ts';
import { aboutWhere, circumstantial, type Match } from './meaning.ts';
import { measurementsIn, type Measurement } from './measures.ts';
import { scopesOf } from './negation.ts';
import { Organs, type NamedWords } from './organs.ts';
import { closest, PlantNames, withoutHostWords, type PlantMention } from './plants.ts';
import { Scales } from './scales.ts';
import { ShortForms } from './shortForms.ts';
import { Taking, type Claim, type UnderstoodReading } from './taking.ts';
import type { Token } from './tokens.ts';
import { Vocabulary } from './vocabulary.ts';

export type { Utterance } from './dialogue.ts';
export type { UnderstoodReading } from './taking.ts';

export interface Understanding {
  plants: PlantMention[];
  host: Plant | null;
  readings: UnderstoodReading[];
  /** Causes the caller names themselves; kept as a claim, never as evidence. */
  claims: Claim[];
  care: CareQuestion[];
  /** What may be a question of care where no trouble is told: topics spoken of, and what asks to do something unsaid. */
  maybeCare: { mentioned: CareQuestion[]; unplaced: CareQuestion[]; trouble: boolean };
  /** True where care is asked for and no word tells of trouble: then nothing is to be found out. */
  onlyCare: boolean;
  /** Lengths that were said; one the plant cannot have carries the question to put at once. */
  measurements: Measurement[];
  notUnderstood: string[];
  /** The words that were affirmed, without names of plants and causes: weighed by their likeness to each cause, see likeness.ts. */
  wording: string;
}

const NOTHING: Understanding = {
  plants: [],
  host: null,
  readings: [],
  claims: [],
  care: [],
  maybeCare: { mentioned: [], unplaced: [], trouble: false },
  onlyCare: false,
  measurements: [],
  notUnderstood: [],
  wording: '',
};

/** "Is it dying?" is a worry, not something seen. */
const WONDERS =
  /^(is|are|was) (it|this|that|they|these|the|my|our)\b|^(could|will|would|can|might) (it|this|that|they)\b|^(should|do|does|shall) (i|we)\b/;
/** "Is it near a heater?" – "no" does not put it out of doors. */
const ASKS_NEAR = /\b(?:near|beside|next to|close to|by (?:a|the|any))\b/i;
/** Topics asked of what was seen: "green things like tomatoes on my potatoes, are they poisonous". */
const ON_SEEING = new Set(['poison']);

const ofCare = ({ value, ...match }: Match): CarePhrase[] => (value.kind === 'care' ? [{ ...match, value }] : []);

/** True for a phrase in a clause that only wonders whether it is so. */
function isWondered(tokens: readonly Token[], { value, at }: Match): boolean {
  const here = tokens[at[0]!]!;
  const opening = tokens.filter((token) => token.clause === here.clause).slice(0, 2);
  return value.kind === 'finding' && here.asking && WONDERS.test(opening.map((token) => token.word).join(' '));
}

/** Readings with those of numbers, which go first: "how long have you had it?" – "two months" is no word on how fast it came. */
function onScale(
  measured: readonly { finding: string; answer: string }[],
  readings: readonly UnderstoodReading[],
  from: string,
  channel: Channel,
): UnderstoodReading[] {
  const others = readings.filter(({ finding }) => !measured.some((one) => one.finding === finding));
  return [...measured.map((one) => ({ ...one, channel, from, choices: [] })), ...others];
}

/** What the plural of such a name stands for in a phrase: "guavas full of holes" is said of fruit. */
const FRUIT = { word: 'fruit', stem: 'fruit' };
/** Plants whose name in the plural is their fruit: "my oranges" are not trees. */
const NAMED_FOR_FRUIT = new Set(['fruit-tree', 'citrus', 'nut-tree', 'tropical-fruit']);

/** Words of plants' names, by whether they mean the plant or its fruit. */
function namedWords(tokens: readonly Token[], plants: readonly PlantMention[]): NamedWords {
  const isFruit = ({ groups }: Plant, i: number) => tokens[i]!.word.endsWith('s') && groups.some((group) => NAMED_FOR_FRUIT.has(group));
  const which = (fruit: boolean) => new Set(plants.flatMap(({ plant, nearby, at }) => at.filter((i) => (!nearby && isFruit(plant, i)) === fruit)));
  return { plants: which(false), fruit: which(true) };
}

/** Turns running talk into plant, readings and questions of care. Built once for an edition, then pure. */
export class Understander {
  private readonly vocabulary: Vocabulary;
  private readonly organs: Organs;
  private readonly bindings: Bindings;
  private readonly shortForms: ShortForms;
  private readonly careQuestions: CareQuestions;
  private readonly plantNames: PlantNames;
  private readonly scales: Scales;
  /** The word each negator begins with: "hardly" of "hardly any". */
  private readonly negatorHeads: ReadonlySet<string>;
  private readonly findings: ReadonlyMap<string, Finding>;

  constructor(private readonly edition: Edition) {
    const { lexicon } = edition;
    this.vocabulary = new Vocabulary(edition);
    this.organs = new Organs(lexicon);
    this.bindings = new Bindings(lexicon);
    this.shortForms = new ShortForms(lexicon.shortForms ?? {});
    this.careQuestions = new CareQuestions(edition.careTopics, lexicon.irregular);
    this.plantNames = new PlantNames(edition, (token) => this.vocabulary.isKnown(token));
    this.scales = new Scales(edition, (token) => this.vocabulary.isSmall(token));
    this.negatorHeads = new Set(lexicon.negators.map((negator) => negator.split(' ')[0]!));
    this.findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
  }

  /** The host that a free name means, or null. */
  resolvePlant(name: string): Plant | null {
    return this.plantNames.resolve(name) ?? this.plantNames.resolve(this.shortForms.writtenOut(name));
  }

  /**
   * Phrases met in the talk that say more than a plant's own name: "cottonwood" is no wool, and who has a black locust claims no locusts. Two plants in
   * one phrase say something: clover in the lawn.
   */
  private matchesIn(tokens: readonly Token[], plants: readonly PlantMention[], named: ReadonlySet<number>): Match[] {
    const ownNames = plants.filter(({ nearby }) => !nearby).map(({ at }) => new Set<number>(at));
    const isOwnName = ({ at }: Match) => ownNames.some((name) => at.every((i) => name.has(i)));
    const { fruit } = namedWords(tokens, plants);
    const said = withoutHostWords(tokens, plants).map((token, i) => (fruit.has(i) ? { ...token, standsFor: FRUIT } : token));
    return this.vocabulary.book.matches(said, named).filter((match) => match.value.kind === 'care' || !isOwnName(match));
  }

  /** @param saidFrom readings must rest on a word at or after this index that was not there before it; those before only give it its sense */
  private read(text: string, channel: Channel, saidFrom = 0): Understanding {
    // a slip of the pen put right for a phrase must not make a plant of it, nor a plant's name a phrase: "peace lily" is no peach
    const plants = this.plantNames.find(this.vocabulary.asWritten(text));
    const host = closest(plants.filter((mention) => !mention.nearby));
    const named: ReadonlySet<number> = new Set(plants.flatMap(({ at }) => at));
    const tokens = this.organs.resolvePronouns(this.vocabulary.mended(text, named));
    const { negatedBy, doubted } = scopesOf(tokens, this.edition.lexicon);
    const before = new Set(tokens.slice(0, saidFrom).map(({ stem }) => stem));
    const all = this.matchesIn(tokens, plants, named).filter(({ at }) => at.some((i) => i >= saidFrom && !before.has(tokens[i]!.stem)));
    const care = this.careQuestions.heard(tokens, named, askingIn(tokens), all.flatMap(ofCare));

    const fitsOrgan = this.organs.fitting(tokens, namedWords(tokens, plants), all);
    const keepsTogether = this.bindings.keptIn(tokens);
    const isShownHere = ({ value }: Match) =>
      value.kind !== 'finding' || plants.length === 0 || plants.some(({ plant }) => canShow(value.finding, plant));
    const isAsked = ({ value, at }: Match) => value.kind === 'finding' && care.asks(at, circumstantial(value));
    const taking = new Taking({ tokens, named, host, channel, negatedBy, doubted, negatorHeads: this.negatorHeads }, care.at);
    all
      .filter((match) => fitsOrgan(match) && keepsTogether(match.at) && isShownHere(match) && !isWondered(tokens, match) && !isAsked(match))
      .sort((a, b) => b.score - a.score || a.at[0]! - b.at[0]!)
      .forEach((match) => taking.take(match));

    const worded = (token: Token, i: number) => !named.has(i) && !taking.aside.has(i) && negatedBy[i] === -1 && !this.vocabulary.isSmall(token);
    return {
      plants,
      host,
      readings: onScale(this.scales.told(text), taking.readings, text, channel),
      claims: taking.claims,
      care: care.questions,
      maybeCare: { mentioned: care.mentioned, unplaced: care.unplaced, trouble: tellsTrouble(tokens) },
      onlyCare: false,
      measurements: measurementsIn(text, host),
      notUnderstood: this.vocabulary.leftOver(tokens, taking.covered),
      wording: tokens
        .filter(worded)
        .map(({ word }) => word)
        .join(' '),
    };
  }

  /** What a yes or no says to a question in anybody's words: the question read as a statement, or denied. */
  private bySense(ask: string, affirmed: boolean): { finding: string; answer: string }[] {
    return this.read(ask.replace(/[?]/g, ''), 'caller').readings.flatMap(({ finding: id, answer, choices }) => {
      const finding = this.findings.get(id);
      if (!finding || choices.length > 0) return [];
      if (affirmed) return [{ finding: id, answer }];
      return answer === finding.absent || answer.startsWith('not:') ? [] : [{ finding: id, answer: finding.absent ?? `not:${answer}` }];
    });
  }

  /** What a yes or no means: settled by a finding of ours, or by the sense of anybody's question. */
  private meantBy(ask: string, asked: Finding | null, affirmed: boolean): { finding: string; answer: string }[] {
    if (asked) {
      const settled = settledBy(asked, affirmed);
      return settled === null ? [] : [{ finding: asked.id, answer: settled }];
    }
    const meant = this.bySense(ask, affirmed);
    const said = affirmed || meant.length > 0 ? meant : this.read(deniedAsk(ask), 'caller').readings;
    return affirmed || !ASKS_NEAR.test(ask) ? said : said.filter(({ answer }) => !answer.startsWith('not:'));
  }

  /** "What colour are the spots?" – "orange": the words of the question give those of the answer their sense. */
  private inTheLightOf(ask: string, say: string, own: Understanding): Understanding {
    const question = asBeginning(ask);
    const together = this.read(`${question} ${say}`, 'caller', this.vocabulary.asWritten(question).length);
    return together.readings.length === 0
      ? own
      : { ...own, readings: together.readings, notUnderstood: together.notUnderstood, wording: together.wording };
  }

  /** Without what the question itself affirms, which a no cannot mean: "does it perk up at night?" – "no, it stays flopped". */
  private withoutAsked(ask: string, inLight: Understanding): Understanding {
    const affirmed = this.bySense(ask, true);
    const isAsked = (reading: UnderstoodReading) => affirmed.some(({ finding, answer }) => finding === reading.finding && answer === reading.answer);
    return { ...inLight, readings: inLight.readings.filter((reading) => !isAsked(reading)) };
  }

  /** Whether what an answer says by itself can be meant: asked for the roots, "brown with black dots" is no leaf spot. */
  private canBeMeant(ask: string, say: string): (reading: UnderstoodReading) => boolean {
    const [asked, named] = [ask, say].map((text) => this.organs.namedIn(this.vocabulary.mended(text))) as [Set<Organ>, Set<Organ>];
    return ({ finding: id }) => {
      const { kind, organ } = this.findings.get(id) ?? {};
      return asked.size === 0 || named.size > 0 || kind !== 'symptom' || organ === 'whole-plant' || organ === 'surroundings' || asked.has(organ!);
    };
  }

  /** What an answer says with its question before it, and what it says by itself of other things. */
  private besides(inLight: Understanding, own: Understanding, canBeMeant: (reading: UnderstoodReading) => boolean): Understanding {
    const meant = own.readings.filter(canBeMeant);
    const bySelf = new Set(meant.map(({ finding }) => finding));
    return {
      ...inLight,
      readings: [...inLight.readings.filter(({ finding }) => !bySelf.has(finding)), ...meant],
      wording: own.readings.length > 0 ? own.wording : inLight.wording,
    };
  }

  /** What is there since the answer says where or what it is like: "webs?" – "fine, in the corners". */
  private thereBySaying(ask: string, say: string, read: readonly UnderstoodReading[]): UnderstoodReading[] {
    const seen = read.some(({ finding }) => this.findings.get(finding)?.kind !== 'pattern');
    if (seen || !presupposes(ask, say)) return [];
    return this.bySense(ask, true)
      .filter(({ finding }) => this.findings.get(finding)?.kind !== 'pattern')
      .map(({ finding, answer }): UnderstoodReading => ({ finding, answer, channel: channelOf(say), from: `${ask} – ${say}`, choices: [] }));
  }

  /** Reads an answer in the light of its question: "is it sticky?" – "yes, and the floor under it". */
  private readAnswer(ask: string, say: string): Understanding {
    const kind = answerIn(say, ask);
    if (kind === 'unknown') return NOTHING;
    const said = this.read(say, 'caller');
    const canBeMeant = this.canBeMeant(ask, say);
    for (const whole of kind === 'other' ? choiceTaken(ask, say) : []) {
      const { readings } = this.read(whole, channelOf(say));
      if (readings.length > 0) return this.besides({ ...said, readings }, said, canBeMeant);
    }
    const rest = kind === 'other' ? say : beyondYesOrNo(say);
    const inLight = kind === 'no' ? this.withoutAsked(ask, this.inTheLightOf(ask, rest, said)) : this.inTheLightOf(ask, rest, said);
    const own = rest === '' || (rest === say && kind !== 'other') ? said : this.besides(inLight, said, canBeMeant);
    if (kind === 'other') {
      const there = this.thereBySaying(ask, say, own.readings);
      if (there.length > 0) return { ...own, readings: [...there, ...own.readings] };
      const measured = this.scales.answered(this.vocabulary.asWritten(ask), say);
      return {
        ...own,
        readings: onScale(
          measured,
          own.readings.filter(({ finding }) => measured.length === 0 || !this.scales.isTimed(finding)),
          say,
          channelOf(say),
        ),
      };
    }
    const asked = this.edition.findings.find((finding) => finding.ask === ask || finding.id === ask) ?? null;
    const fromQuestion = this.meantBy(ask, asked, kind === 'yes')
      .filter(({ finding }) => !own.readings.some((reading) => reading.finding === finding))
      .map(({ finding, answer }): UnderstoodReading => ({ finding, answer, channel: channelOf(say), from: `${ask} – ${say}`, choices: [] }));
    // "water?" – "every day" is no yes after all
    if (fromQuestion.length === 0 && own.readings.length === 0) return this.inTheLightOf(ask, rest === '' ? say : rest, said);
    const host = own.host ?? (asked ? null : this.read(ask, 'caller').host);
    return { ...own, readings: [...fromQuestion, ...own.readings], host, notUnderstood: own.notUnderstood.filter((run) => !isAnswerWord(run)) };
  }

  /** True where anything seen was read or a cause named. */
  private troubleRead({ readings, claims }: Understanding): boolean {
    return claims.length > 0 || readings.some(({ finding }) => !aboutWhere(this.findings.get(finding)!));
  }

  /** Questions of care. Where none was put and no trouble told, what was last spoken of; else the whole card for what asks to do something unsaid. */
  private careAskedIn({ care, maybeCare }: Understanding, troubled: boolean): CareQuestion[] {
    if (care.length > 0 || troubled) return care;
    const mentioned = maybeCare.mentioned.slice(-1);
    const guess = mentioned.length > 0 ? mentioned : maybeCare.unplaced.slice(0, 1);
    return guess.map((question) => ({ ...question, guessed: true }));
  }

  /** Questions and answers within what was said; the first words behind a question that was put still answer it. */
  private takenApart(utterance: Utterance): Utterance[] {
    const said = this.shortForms.writtenOut(typeof utterance === 'string' ? utterance : utterance.say);
    const [first, ...rest] = utterancesIn(said, (label) => this.plantNames.find(this.vocabulary.asWritten(label)).length === 0);
    if (first === undefined) return [utterance];
    if (typeof utterance === 'string') return [first, ...rest];
    return typeof first === 'string' ? [{ ask: this.shortForms.writtenOut(utterance.ask), say: first }, ...rest] : [first, ...rest];
  }

  /**
   * Understands a list of utterances; later ones add to earlier ones.
   * @param known the host when it is known from elsewhere and the words do not name it
   */
  understand(words: readonly Utterance[], known: Plant | null = null): Understanding {
    const parts = words
      .flatMap((utterance) => this.takenApart(utterance))
      .map((utterance) => (typeof utterance === 'string' ? this.read(utterance, 'caller') : this.readAnswer(utterance.ask, utterance.say)));
    const whole = togetherOf(parts);
    const troubled = this.troubleRead(whole);
    return {
      ...whole,
      care: this.careAskedIn(whole, troubled),
      onlyCare: whole.care.some(({ topic }) => !ON_SEEING.has(topic)) && !troubled && !whole.maybeCare.trouble,
      measurements: words.flatMap((utterance) => measurementsIn(typeof utterance === 'string' ? utterance : utterance.say, whole.host ?? known)),
    };
  }
}

/** Several utterances as one; the first plant named closely is the host. */
function togetherOf(parts: readonly Understanding[]): Understanding {
  const all = <T>(of: (part: Understanding) => readonly T[]): T[] => parts.flatMap(of);
  return {
    plants: all((part) => part.plants),
    host: (parts.find(({ host }) => host && !host.generic) ?? parts.find(({ host }) => host))?.host ?? null,
    readings: all((part) => part.readings),
    claims: all((part) => part.claims),
    care: all((part) => part.care),
    maybeCare: {
      mentioned: all((part) => part.maybeCare.mentioned),
      unplaced: all((part) => part.maybeCare.unplaced),
      trouble: parts.some(({ maybeCare }) => maybeCare.trouble),
    },
    onlyCare: false,
    measurements: all((part) => part.measurements),
    notUnderstood: all((part) => part.notUnderstood),
    wording: all((part) => (part.wording === '' ? [] : [part.wording])).join(' '),
  };
}
