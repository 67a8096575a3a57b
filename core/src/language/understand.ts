import { EAT, OF_THE_CAUSE, POISON } from '../edition/care.ts';
import type { Edition } from '../edition/edition.ts';
import type { Finding, Organ } from '../edition/findings.ts';
import type { Plant } from '../edition/plants.ts';
import { Answering } from './answering.ts';
import { asksUs } from './asking.ts';
import type { CareQuestion } from './careQuestions.ts';
import { answersQuestion, utterancesIn, type Utterance } from './dialogue.ts';
import { aboutWhere } from './meaning.ts';
import { measurementsIn } from './measures.ts';
import { ofTheHost } from './ofTheHost.ts';
import { Organs } from './organs.ts';
import { PlantNames } from './plants.ts';
import { Reader } from './reader.ts';
import { Scales } from './scales.ts';
import { ShortForms } from './shortForms.ts';
import { withStraightQuotes } from './tokens.ts';
import { togetherOf, withCorrections, type Understanding } from './understanding.ts';
import { Vocabulary } from './vocabulary.ts';
import { answerIn } from './yesOrNo.ts';

export type { Utterance } from './dialogue.ts';
export type { UnderstoodReading } from './taking.ts';
export type { Understanding } from './understanding.ts';

/** Topics asked of what was seen, where something was: "green things like tomatoes on my potatoes, are they poisonous". */
const ON_SEEING = new Set([POISON, EAT]);

const OTHER_PARTS: ReadonlySet<Organ> = new Set(['stem', 'root', 'flower', 'fruit']);
/** Words of an answer that can mean something only behind its question. */
const MOST_WORDS_OF_A_REPLY = 6;
const YES = /^(?:yes|yep|yeah)\b/i;

/** "Any creature?" – "yes it comes off": drawn into one with what it says, a yes is no answer to something else. */
const affirmsOther = (said: string, asked: Finding, { readings }: Understanding): boolean =>
  /^\s*(?:yes|yeah|yep|yup|aye)\s+(?:it|they|that)\b/i.test(said) && readings.length > 0 && readings.every(({ finding }) => finding !== asked.id);

/** Turns running talk into plant, readings and questions of care. Built once for an edition, then pure. */
export class Understander {
  private readonly vocabulary: Vocabulary;
  private readonly organs: Organs;
  private readonly shortForms: ShortForms;
  private readonly plantNames: PlantNames;
  private readonly reader: Reader;
  private readonly answering: Answering;
  private readonly findings: ReadonlyMap<string, Finding>;

  constructor(private readonly edition: Edition) {
    const vocabulary = new Vocabulary(edition);
    const organs = new Organs(edition.lexicon);
    const plantNames = new PlantNames(edition, (token) => vocabulary.isKnown(token));
    const scales = new Scales(edition, (token) => vocabulary.isSmall(token));
    const reader = new Reader(edition, { vocabulary, organs, plantNames, scales });
    const findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
    this.answering = new Answering({
      reading: (text, channel, saidFrom) => reader.read(text, channel, { saidFrom }),
      readingBehind: (label, text) => reader.read(text, 'caller', { label: vocabulary.mended(label) }),
      stated: (text) => reader.read(text, 'caller', { isStated: true }),
      findings,
      organs,
      vocabulary,
      scales,
    });
    this.shortForms = new ShortForms(edition.lexicon.shortForms ?? {});
    this.vocabulary = vocabulary;
    this.organs = organs;
    this.plantNames = plantNames;
    this.reader = reader;
    this.findings = findings;
  }

  /** The host that a free name means, or null. */
  resolvePlant(name: string): Plant | null {
    return this.plantNames.resolve(name) ?? this.plantNames.resolve(this.shortForms.writtenOut(name));
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
    if (typeof part === 'string') return this.reader.read(part, 'caller');
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
    const alone = this.understand([said], known);
    if (answersQuestion(said) && !affirmsOther(said, asked, alone)) return { understanding: behind(), answers: true };
    if (!this.canAnswer(asked, said, alone)) return { understanding: alone, answers: false };
    const answer = behind();
    const isTold = answer.readings.some(({ finding, answer }) => finding === asked.id && (alone.readings.length === 0 || answer !== asked.absent));
    return isTold ? { understanding: answer, answers: true } : { understanding: alone, answers: false };
  }

  /** Whether words may be meant for a question: few, of no other plant or part, and saying by themselves neither what was asked for nor another thing. */
  private canAnswer(asked: Finding, said: string, alone: Understanding): boolean {
    const named = [...this.organs.namedIn(this.vocabulary.mended(said))];
    const isShort = said.trim().split(/\s+/).length <= MOST_WORDS_OF_A_REPLY;
    if (!isShort || asksUs(said) || alone.plants.length > 0 || named.some((organ) => organ !== asked.organ)) return false;
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
    const whole = togetherOf(withCorrections(parts.map((part) => ofTheHost(part, host, this.edition))));
    const troubled = this.troubleRead(whole);
    const care = this.careAskedIn(whole, troubled);
    const seen = whole.readings.length > 0 || whole.claims.length > 0;
    return {
      ...whole,
      care,
      tells: whole.claims.length + care.length > 0 || whole.readings.some(({ finding }) => this.findings.get(finding)!.kind !== 'site'),
      onlyCare: whole.care.some(({ topic }) => !OF_THE_CAUSE.has(topic) && (!seen || !ON_SEEING.has(topic))) && !troubled && !whole.maybeCare.trouble,
      measurements: words.flatMap((utterance) => measurementsIn(typeof utterance === 'string' ? utterance : utterance.say, whole.host ?? known)),
    };
  }
}
