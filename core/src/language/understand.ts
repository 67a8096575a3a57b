import { EAT, POISON } from '../edition/care.ts';
import type { Edition } from '../edition/edition.ts';
import type { Channel, Finding, Organ } from '../edition/findings.ts';
import type { Plant } from '../edition/plants.ts';
import { canShow } from '../edition/hosts.ts';
import { Answering } from './answering.ts';
import { askingIn, asksOpinion, isVerdict, takesForGranted, tellsTrouble } from './asking.ts';
import { Bindings } from './binding.ts';
import { CareQuestions, type CarePhrase, type CareQuestion } from './careQuestions.ts';
import { answersQuestion, utterancesIn, type Utterance } from './dialogue.ts';
import { deniesElsewhere, deniesKnowing, isUnknown } from './granted.ts';
import { aboutWhere, circumstantial, type Match } from './meaning.ts';
import { measurementsIn } from './measures.ts';
import { scopesOf } from './negation.ts';
import { toldBehind } from './ofWhatKind.ts';
import { opinionsIn } from './opinions.ts';
import { ofTheHost } from './ofTheHost.ts';
import { Organs, type NamedWords } from './organs.ts';
import { closest, PlantNames, withoutHostWords, type PlantMention } from './plants.ts';
import { Scales } from './scales.ts';
import { ShortForms } from './shortForms.ts';
import { formerIn, liesIn, supposedIn } from './supposed.ts';
import { smallTalkIn } from './smallTalk.ts';
import { Taking } from './taking.ts';
import { withStraightQuotes, wordsOf, type Token } from './tokens.ts';
import { onScale, togetherOf, type Understanding } from './understanding.ts';
import { Vocabulary } from './vocabulary.ts';
import { answerIn } from './yesOrNo.ts';

export type { Utterance } from './dialogue.ts';
export type { UnderstoodReading } from './taking.ts';
export type { Understanding } from './understanding.ts';

/** "Is it dying?" is a worry, not something seen. */
const WONDERS =
  /^(is|are|was) (it|this|that|they|these|the|my|our)\b|^(could|will|would|can|might) (it|this|that|they)\b|^(should|do|does|shall) (i|we)\b/;
/** Topics asked of what was seen, where something was: "green things like tomatoes on my potatoes, are they poisonous". */
const ON_SEEING = new Set([POISON, EAT]);

const ofCare = ({ value, ...match }: Match): CarePhrase[] => (value.kind === 'care' ? [{ ...match, value }] : []);

/** "Can it be saved if the bark is gone": it is gone. What the asker may do is left open: "will it die if I overwater". */
const isCondition = (tokens: readonly Token[], at: readonly number[]): boolean =>
  tokens.some(
    ({ word, clause }, i) =>
      /^(if|when|because)$/.test(word) &&
      clause === tokens[at[0]!]!.clause &&
      !/^(i|we|you)$/.test(tokens[i + 1]?.word ?? '') &&
      at.every((k) => k > i),
  );

/** A breath too short to tell anything of its own. */
const SHORT_BREATH = 2;
/** "Is it mites, or thrips?" wonders on; "is it the frost, the leaves are brown?" tells. */
const goesOn = (breath: readonly Token[]): boolean => breath.length <= SHORT_BREATH || /^(or|and|maybe|perhaps)$/.test(breath[0]!.word);

/** True for a phrase in a clause that only wonders whether it is so. */
function isWondered(tokens: readonly Token[], { value, at }: Match): boolean {
  const here = tokens[at[0]!]!;
  const clause = tokens.filter((token) => token.clause === here.clause);
  if (at.some((i) => isUnknown(tokens, i))) return value.kind === 'finding';
  const breath = clause.filter((token) => token.breath === here.breath);
  const wonders = (words: readonly Token[]) =>
    WONDERS.test(
      words
        .slice(0, 2)
        .map((token) => token.word)
        .join(' '),
    );
  // "it has silvery bits, is that the mildew" asks though nobody wrote its mark
  const asks = here.asking || clause.some((token) => token.breath < here.breath);
  if (value.kind !== 'finding' || !((asks && wonders(breath)) || (here.asking && wonders(clause) && goesOn(breath)))) return false;
  if (at.some((i) => isVerdict(tokens[i]!))) return true;
  const before = tokens.slice(0, at[0]).filter((token) => token.clause === here.clause && token.breath === here.breath);
  return !asksOpinion(clause) && !isCondition(tokens, at) && !takesForGranted(before);
}

/** How an answer affirms that names a thing before its yes. */
const OTHER_PARTS: ReadonlySet<Organ> = new Set(['stem', 'root', 'flower', 'fruit']);
/** Words of an answer that can mean something only behind its question. */
const MOST_WORDS_OF_A_REPLY = 6;
const YES = /^(?:yes|yep|yeah)\b/i;

/** What the plural of such a name stands for in a phrase: "guavas full of holes" is said of fruit. */
const FRUIT = { word: 'fruit', stem: 'fruit' };
/** Plants whose name in the plural is their fruit: "my oranges" are not trees. */
const NAMED_FOR_FRUIT = new Set(['fruit-tree', 'citrus', 'nut-tree', 'tropical-fruit']);
/** Such a name ends in the plant itself: "coffee trees" drop leaves, not fruit. */
const PLANTS = wordsOf('trees bushes shrubs plants vines seedlings saplings palms');
/** What the name of a plant stands for that is not named for what is eaten: who says "my box is brown" means all of it. */
const WHOLE = { word: 'hostplant', stem: 'hostplant' };
const EATEN = ['vegetable', 'soft-fruit', ...NAMED_FOR_FRUIT];

/** Words of plants' names, by whether they mean the plant or its fruit. */
function namedWords(tokens: readonly Token[], plants: readonly PlantMention[]): NamedWords {
  const isFruit = ({ groups }: Plant, i: number) =>
    tokens[i]!.word.endsWith('s') && !PLANTS.has(tokens[i]!.word) && groups.some((group) => NAMED_FOR_FRUIT.has(group));
  const which = (fruit: boolean) => new Set(plants.flatMap(({ plant, nearby, at }) => at.filter((i) => (!nearby && isFruit(plant, i)) === fruit)));
  return { plants: which(false), fruit: which(true) };
}

/** How a text is to be read. */
interface Manner {
  /** Readings must rest on a word at or after this index that was not there before it; those before only give it its sense. */
  saidFrom?: number | undefined;
  /** Words of which the text is told: "grubs" of "yellow with black spots". */
  label?: readonly Token[];
  /** True for an advisor's question put as a statement: "is it in the shade" asks for no advice. */
  isStated?: boolean;
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
  private readonly answering: Answering;
  /** The word each negator begins with: "hardly" of "hardly any". */
  private readonly negatorHeads: ReadonlySet<string>;
  private readonly colours: ReadonlySet<string>;
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
    this.colours = new Set(lexicon.classes['colour']);
    this.findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
    const { findings, organs, vocabulary, scales } = this;
    this.answering = new Answering({
      reading: (text, channel, saidFrom) => this.read(text, channel, { saidFrom }),
      readingBehind: (label, text) => this.read(text, 'caller', { label: this.vocabulary.mended(label) }),
      stated: (text) => this.read(text, 'caller', { isStated: true }),
      findings,
      organs,
      vocabulary,
      scales,
    });
  }

  /** The host that a free name means, or null. */
  resolvePlant(name: string): Plant | null {
    return this.plantNames.resolve(name) ?? this.plantNames.resolve(this.shortForms.writtenOut(name));
  }

  /**
   * Phrases met in the talk that say more than a plant's own name: "cottonwood" is no wool, and who has a black locust claims no locusts. Two plants in
   * one phrase say something: clover in the lawn.
   */
  private matchesIn(tokens: readonly Token[], plants: readonly PlantMention[], named: ReadonlySet<number>, before: readonly Token[]): Match[] {
    const ownNames = plants.filter(({ nearby }) => !nearby).map(({ at }) => new Set<number>(at));
    const isOwnName = ({ at }: Match) => ownNames.some((name) => at.every((i) => name.has(i)));
    const { fruit } = namedWords(tokens, plants);
    const whole = new Set(
      plants.flatMap(({ plant, nearby, at }) => (nearby || EATEN.some((group) => plant.groups.includes(group)) ? [] : at.slice(-1))),
    );
    const meant = (i: number) => (fruit.has(i) ? { standsFor: FRUIT } : whole.has(i) ? { standsFor: WHOLE } : {});
    const said = withoutHostWords(tokens, plants).map((token, i) => ({ ...token, ...(token.word === '' ? {} : meant(i)) }));
    const { book } = this.vocabulary;
    const within = book.matches(said, named, before).filter((match) => match.value.kind === 'care' || !isOwnName(match));
    return [...within, ...toldBehind(book, said, within, (token) => this.organs.isPart(token))];
  }

  private read(text: string, channel: Channel, { saidFrom = 0, label = [], isStated = false }: Manner = {}): Understanding {
    // a slip of the pen put right for a phrase must not make a plant of it, nor a plant's name a phrase: "peace lily" is no peach
    const plants = this.plantNames.find(this.vocabulary.asWritten(text));
    const host = closest(plants);
    const plantAt: ReadonlyMap<number, Plant> = new Map(plants.flatMap(({ plant, at }) => at.map((i) => [i, plant] as const)));
    const named: ReadonlySet<number> = new Set(plantAt.keys());
    const tokens = this.organs.resolvePronouns(this.vocabulary.mended(text, named));
    const { negatedBy, spared, doubted } = scopesOf(tokens, this.edition.lexicon);
    const before = new Set(tokens.slice(0, saidFrom).map(({ stem }) => stem));
    const all = this.matchesIn(tokens, plants, named, label).filter(({ at }) => at.some((i) => i >= saidFrom && !before.has(tokens[i]!.stem)));
    const care = isStated
      ? this.careQuestions.heard(tokens, plantAt, [], [])
      : this.careQuestions.heard(tokens, plantAt, askingIn(tokens), all.flatMap(ofCare));

    const fitsOrgan = this.organs.fitting(tokens, namedWords(tokens, plants), all);
    const keepsTogether = this.bindings.keptIn(tokens);
    const isShownHere = ({ value }: Match) =>
      value.kind !== 'finding' || plants.length === 0 || plants.some(({ plant }) => canShow(value.finding, plant));
    const isAsked = ({ value, at }: Match) => value.kind === 'finding' && care.asks(at, circumstantial(value));
    const opinionOf = channel === 'caller' ? opinionsIn(tokens, all) : () => null;
    for (const match of all) if (opinionOf(match) === 'own') for (const i of match.at) doubted[i] = true;
    // "I do not understand why it droops" does not say that it does not
    const isSpared = ({ at }: Match) => at.some((i) => at.includes(spared[i]!));
    const isElsewhere = ({ value, at }: Match) =>
      value.kind === 'finding' &&
      (at.some((i) => deniesKnowing(tokens, i)) ||
        (value.answer === value.finding.absent &&
          deniesElsewhere(
            tokens,
            [...at].sort((a, b) => a - b),
            negatedBy,
          )));
    const supposed = supposedIn(tokens, negatedBy);
    const isSupposed = ({ value, at }: Match) => {
      const own = at.filter((i) => !this.organs.isPart(tokens[i]!));
      return value.kind === 'finding' && liesIn(supposed, tokens, own.length > 0 ? own : at);
    };
    const isTold = (match: Match) =>
      ![isSpared, isElsewhere, isSupposed, isAsked].some((untold) => untold(match)) && !isWondered(tokens, match) && opinionOf(match) !== 'hearsay';
    const taking = new Taking(
      {
        tokens,
        named: plantAt,
        host,
        channel,
        negatedBy,
        doubted,
        former: formerIn(tokens),
        negatorHeads: this.negatorHeads,
        isPart: (token) => this.organs.isPart(token),
        colours: this.colours,
      },
      care.at,
    );
    const told = all.filter((match) => fitsOrgan(match) && keepsTogether(match.at) && isShownHere(match) && isTold(match));
    for (const match of told.toSorted((a, b) => b.score - a.score || a.at[0]! - b.at[0]!)) taking.take(match);

    const spokenOf = plants.filter(({ nearby }) => !nearby);
    const telling = new Set([...spokenOf, ...told.filter(({ value }) => value.kind !== 'care' && !circumstantial(value))].flatMap(({ at }) => at));
    const smallTalk = smallTalkIn(tokens, (token, i) => telling.has(i) || this.organs.isPart(token));
    const worded = (token: Token, i: number) =>
      !smallTalk[i] &&
      !named.has(i) &&
      !taking.aside.has(i) &&
      negatedBy[i] === -1 &&
      !supposed[i] &&
      !this.vocabulary.isSmall(token) &&
      !this.vocabulary.isRemedy(token);
    const measured = this.scales.told(text);
    return {
      plants,
      host,
      readings: onScale(measured, this.scales.besides(measured, taking.readings), text, channel),
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

  /** @param noted true for a question or label that was written with its answer: what nobody could place of it stays in sight */
  private readPart(part: Utterance, noted: boolean): Understanding {
    if (typeof part === 'string') return this.read(part, 'caller');
    const read = this.answering.read(part.ask, part.say);
    const isPlaced = read.readings.length > 0 || read.claims.length > 0 || read.care.length > 0 || answerIn(part.say, part.ask) === 'unknown';
    return isPlaced || !noted ? read : { ...read, notUnderstood: [...new Set([part.ask.replace(/\s*\?$/, ''), ...read.notUnderstood])] };
  }

  /** Questions and answers within what was said; the first words behind a question that was put still answer it. */
  private takenApart(utterance: Utterance): Utterance[] {
    const said = this.shortForms.writtenOut(withStraightQuotes(typeof utterance === 'string' ? utterance : utterance.say));
    const [first, ...rest] = utterancesIn(said, (label) => this.plantNames.find(this.vocabulary.asWritten(label)).length === 0);
    if (first === undefined) return [utterance];
    if (typeof utterance === 'string') return [first, ...rest];
    const answer = typeof first === 'string' ? first : YES.test(first.say) ? `yes, ${first.ask}` : null; // "trail?" – "shiny yes"
    return answer === null ? [first, ...rest] : [{ ask: this.shortForms.writtenOut(withStraightQuotes(utterance.ask)), say: answer }, ...rest];
  }

  /**
   * Talk while a question of ours is open. A yes, a no and "all fine" answer it; so do a few words that name no other part of the plant and say what was
   * asked for only behind the question: "what do the roots look like?" – "brown and mushy".
   */
  understandReply(said: string, asked: Finding, known: Plant | null = null): { understanding: Understanding; answers: boolean } {
    const behind = () => this.understand([{ ask: asked.ask, say: said }], known);
    if (answersQuestion(said)) return { understanding: behind(), answers: true };
    const alone = this.understand([said], known);
    if (!this.canAnswer(asked, said, alone)) return { understanding: alone, answers: false };
    const answer = behind();
    const isTold = answer.readings.some(({ finding, answer }) => finding === asked.id && (alone.readings.length === 0 || answer !== asked.absent));
    return isTold ? { understanding: answer, answers: true } : { understanding: alone, answers: false };
  }

  /** Whether words may be meant for a question: few, of no other plant or part, and saying by themselves neither what was asked for nor another thing. */
  private canAnswer(asked: Finding, said: string, alone: Understanding): boolean {
    const named = [...this.organs.namedIn(this.vocabulary.mended(said))];
    const isShort = said.trim().split(/\s+/).length <= MOST_WORDS_OF_A_REPLY;
    if (!isShort || alone.plants.length > 0 || named.some((organ) => organ !== asked.organ)) return false;
    const told = alone.readings.map(({ finding }) => this.findings.get(finding)!);
    // what is said of no part is read as of a leaf, where it is not asked of another; "last week" is said of any time that was asked for
    const isOfAnyPart = (OTHER_PARTS.has(asked.organ) || asked.only !== undefined) && told.every(({ organ }) => organ === 'leaf');
    const isOfAnyTime = aboutWhere(asked) && told.every(aboutWhere);
    return !told.includes(asked) && (told.length === 0 || isOfAnyPart || isOfAnyTime);
  }

  /**
   * Understands a list of utterances; later ones add to earlier ones.
   * @param known the host when it is known from elsewhere and the words do not name it
   */
  understand(words: readonly Utterance[], known: Plant | null = null): Understanding {
    const parts = words.flatMap((utterance) =>
      this.takenApart(utterance).map((part, i) => this.readPart(part, i > 0 || typeof utterance === 'string')),
    );
    const host = known ?? togetherOf(parts).host;
    const whole = togetherOf(parts.map((part) => ofTheHost(part, host, this.edition)));
    const troubled = this.troubleRead(whole);
    const seen = whole.readings.length > 0 || whole.claims.length > 0;
    return {
      ...whole,
      care: this.careAskedIn(whole, troubled),
      onlyCare: whole.care.some(({ topic }) => !seen || !ON_SEEING.has(topic)) && !troubled && !whole.maybeCare.trouble,
      measurements: words.flatMap((utterance) => measurementsIn(typeof utterance === 'string' ? utterance : utterance.say, whole.host ?? known)),
    };
  }
}
