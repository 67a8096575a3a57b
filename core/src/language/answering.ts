import type { Channel, Finding, Organ } from '../edition/findings.ts';
import { asBeginning, asksWhether, channelOf, choiceTaken, deniesAsAsked, meansAllAsked, presupposes, tellsOf, withoutChoices } from './answers.ts';
import type { Organs } from './organs.ts';
import { OwnAnswers } from './ownAnswers.ts';
import { isSeen, PlainAnswers } from './plainAnswers.ts';
import type { Measured, Scales } from './scales.ts';
import type { UnderstoodReading } from './taking.ts';
import { NOTHING, onScale, type Understanding } from './understanding.ts';
import type { Vocabulary } from './vocabulary.ts';
import { answerIn, ASKS_WHICH, beyondYesOrNo, isAnswerWord, saysSound } from './yesOrNo.ts';

/** The word in which the knowledge knows what is sound, for all that people say. */
const SOUND = 'fine';
/** Words of a yes without the word that says no more: "quite a lot". */
const MOST_BARE_WORDS = 3;

/** What answers are read with: reading a text by itself, and what is known of its words. */
interface Means {
  /** @param saidFrom readings must rest on a word at or after this index that was not there before it */
  reading: (text: string, channel: Channel, saidFrom?: number) => Understanding;
  /** What the caller says of what a label names, which may keep words from meaning anything else: "grubs" of "yellow with black spots". */
  readingBehind: (label: string, text: string) => Understanding;
  /** What the words of a question say as a statement; the advisor asks for no advice with them. */
  stated: (text: string) => Understanding;
  findings: ReadonlyMap<string, Finding>;
  organs: Organs;
  vocabulary: Vocabulary;
  scales: Scales;
}

/** Most words of a question in note form: "new leaves", "cut open". */
const LONGEST_LABEL = 3;
const isLabel = (ask: string): boolean => ask.trim().split(/\s+/).length <= LONGEST_LABEL;

/** What befalls a plant or surrounds it. */
const BEFALLS: ReadonlySet<Finding['kind'] | undefined> = new Set<Finding['kind']>(['history', 'site']);
const ASKS_WHEN = /\b(when|how (long|soon|fast|quick\w*)|since|start\w*|began|beg[iu]n|first|notic\w*|sudden\w*|(each|every) \w+|years?)\b/i;

/** Reads answers in the light of their questions. */
export class Answering {
  private readonly reading: Means['reading'];
  private readonly readingBehind: Means['readingBehind'];
  private readonly findings: Means['findings'];
  private readonly organs: Organs;
  private readonly vocabulary: Vocabulary;
  private readonly scales: Scales;
  private readonly ownAnswers: OwnAnswers;
  private readonly plain: PlainAnswers;

  constructor({ reading, readingBehind, stated, findings, organs, vocabulary, scales }: Means) {
    this.reading = reading;
    this.readingBehind = readingBehind;
    this.findings = findings;
    this.organs = organs;
    this.vocabulary = vocabulary;
    this.scales = scales;
    this.plain = new PlainAnswers(stated, findings, vocabulary, (word) => organs.isPart({ word }));
    this.ownAnswers = new OwnAnswers([...findings.values()], (text) => vocabulary.mended(text).filter((token) => !vocabulary.isSmall(token)));
  }

  /** "What colour are the spots?" – "orange": the words of the question give those of the answer their sense. */
  private inTheLightOf(ask: string, say: string, own: Understanding): Understanding {
    const asked = asBeginning(ask);
    const inFull = meansAllAsked(say) ? asked : withoutChoices(asked, (word) => this.organs.isPart({ word }));
    const question = inFull.replaceAll(',', ' '); // "if you cut it, what colour is the wood?" – "brown"
    const together = this.reading(`${question} ${say}`, 'caller', this.vocabulary.asWritten(question).length);
    return together.readings.length === 0
      ? own
      : { ...own, readings: together.readings, notUnderstood: together.notUnderstood, wording: together.wording };
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
    // "what do the webs look like?" – "dusty"
    const asksLike = ASKS_WHICH.test(ask) && this.plain.asksOfWhatIsThere(ask) && tellsOf(say);
    if (seen || (!presupposes(ask, say) && !asksLike)) return [];
    return this.plain
      .bySense(ask, true)
      .filter(({ finding }) => this.findings.get(finding)?.kind !== 'pattern')
      .map(({ finding, answer }): UnderstoodReading => ({ finding, answer, channel: channelOf(say), from: `${ask} – ${say}`, choices: [] }));
  }

  /** Of the question's own words a yes or no to one of ours means none besides what it asks for. */
  private onlyOf(asked: Finding | null, read: Understanding): Understanding {
    return asked ? { ...read, readings: read.readings.filter(({ finding }) => finding === asked.id) } : read;
  }

  /** Which answer of our own question was given: in its own words, by naming what it lists, or as nothing at all to be seen. */
  private offeredAnswer(asked: Finding, say: string): { answer: string; whole: boolean } | null {
    if (saysSound(say)) {
      const sound = asked.plain?.fine ?? (isSeen(asked) ? asked.absent : undefined);
      return sound === undefined ? null : { answer: sound, whole: true };
    }
    const isListed = () => asked.answers.some(({ id }) => id === 'yes') && this.ownAnswers.names(asked, say);
    return this.ownAnswers.taken(asked, say) ?? (isListed() ? { answer: 'yes', whole: true } : null);
  }

  /** With what a number says of what was asked for; a time said of that is said of nothing else. */
  private withMeasured(read: Understanding, measured: readonly Measured[], say: string): Understanding {
    const others = read.readings.filter(({ finding }) => measured.length === 0 || !this.scales.isTimed(finding));
    return { ...read, readings: onScale(measured, others, say, channelOf(say)) };
  }

  /** "Was it moved?" – "six weeks ago": the time of what befell the plant is not that of its trouble. */
  private inItsOwnTime(ask: string, read: Understanding): Understanding {
    const kindOf = ({ finding }: UnderstoodReading) => this.findings.get(finding)?.kind;
    const befell = read.readings.some((reading) => BEFALLS.has(kindOf(reading)));
    if (!befell || ASKS_WHEN.test(ask)) return read;
    return { ...read, readings: read.readings.filter((reading) => kindOf(reading) !== 'pattern' || !this.scales.isTimed(reading.finding)) };
  }

  /** "Old leaves?" – "yellow": what is told behind a label ails the leaves it names. */
  private onTheNamedPart(ask: string, say: string, read: Understanding): Understanding {
    const findingOf = ({ finding }: UnderstoodReading) => this.findings.get(finding);
    const ails = ({ answer }: UnderstoodReading, finding: Finding | undefined) =>
      finding?.kind === 'symptom' && finding.organ === 'leaf' && answer !== finding.absent && !answer.startsWith('not:');
    if (!isLabel(ask) || !read.readings.some((reading) => ails(reading, findingOf(reading)))) return read;
    const which = this.reading(ask, 'caller').readings.filter(
      (reading) => findingOf(reading)?.kind === 'pattern' && findingOf(reading)?.organ === 'leaf',
    );
    const told = which.filter(({ finding }) => !read.readings.some((reading) => reading.finding === finding));
    return { ...read, readings: [...told.map((reading) => ({ ...reading, from: `${ask} – ${say}` })), ...read.readings] };
  }

  /** "Roots?" – "nothing wrong with them": what the knowledge reads of fine roots, and in the words that were said. */
  private readSound(ask: string, say: string, asked: Finding | null): Understanding {
    const read = this.onlyOf(asked, this.readFreely(ask, SOUND, null));
    if (read.readings.length === 0) return this.reading(say, 'caller'); // "is it dying?" – "it looks fine"
    return {
      ...read,
      readings: read.readings.map((reading) => ({ ...reading, answer: this.asUsual(reading), from: `${ask} – ${say}` })),
      notUnderstood: read.notUnderstood.map((run) => (run === SOUND ? say : run)),
      wording: '',
    };
  }

  /** "Heat?" – "normal": of what befalls a plant that is none of it, of the plant what is sound. */
  private asUsual({ finding: id, answer }: UnderstoodReading): string {
    const finding = this.findings.get(id);
    return finding?.absent !== undefined && !isSeen(finding) ? finding.absent : answer;
  }

  /** Reads an answer in the light of its question: "is it sticky?" – "yes, and the floor under it". */
  private readAnswer(ask: string, say: string, asked: Finding | null): Understanding {
    const measured = asked ? this.scales.answeredOf(asked, say) : [];
    if (measured.length > 0) return this.withMeasured(this.reading(say, 'caller'), measured, say);
    const offered = asked && this.offeredAnswer(asked, say);
    if (!asked || !offered)
      return saysSound(say) && !this.plain.asksOfWhatIsThere(ask) ? this.readSound(ask, say, asked) : this.readFreely(ask, say, asked);
    const taken: UnderstoodReading = { finding: asked.id, answer: offered.answer, channel: channelOf(say), from: `${ask} – ${say}`, choices: [] };
    if (offered.whole) return { ...this.reading(say, 'caller'), readings: [taken], notUnderstood: [] };
    const read = this.readFreely(ask, say, asked);
    return read.readings.some(({ finding }) => finding === asked.id) ? read : { ...read, readings: [taken, ...read.readings] };
  }

  /** Reads an answer; how one of our own questions is put is not how the caller put it. */
  read(ask: string, say: string): Understanding {
    const asked = this.ownAnswers.asked(ask);
    const read = this.onTheNamedPart(ask, say, this.inItsOwnTime(ask, this.readAnswer(ask, say, asked)));
    return asked && read.wording !== '' ? { ...read, wording: this.reading(say, 'caller').wording } : read;
  }

  /** Reads an answer by the words of its question and its own. @param asked the finding of ours that was asked for, if it was */
  private readFreely(ask: string, answer: string, asked: Finding | null): Understanding {
    const say = deniesAsAsked(ask, answer) ? 'no' : answer;
    // "was there frost or a cold night?" asks for no choice where yes and no are all the answers
    const isYesOrNo = asked?.answers.some(({ id }) => id === 'yes');
    const kind = answerIn(say, isYesOrNo ? ask.replace(/\bor\b/gi, ',') : ask);
    if (kind === 'unknown') return NOTHING;
    // "dry?" – "no we had rain": what stands behind a no is not denied by it
    const words = kind === 'no' ? beyondYesOrNo(say) || say : say;
    const said = isLabel(ask) ? this.readingBehind(ask, words) : this.reading(words, 'caller');
    const canBeMeant = this.canBeMeant(ask, say);
    for (const whole of kind === 'other' ? choiceTaken(ask, say) : []) {
      const { readings } = this.reading(whole, channelOf(say));
      if (readings.length > 0) return this.besides({ ...said, readings }, said, canBeMeant);
    }
    const rest = kind === 'other' ? say : beyondYesOrNo(say);
    const inLight = kind === 'no' ? this.plain.withoutAsked(ask, this.inTheLightOf(ask, rest, said)) : this.inTheLightOf(ask, rest, said);
    // "holes?" – "lots, small round ones": what a yes goes on to say; a bare one says no more than yes
    const isBare = rest === say && (kind === 'no' || rest.trim().split(/\s+/).length <= MOST_BARE_WORDS);
    const own = this.plain.withoutAbsent(ask, rest === '' || (isBare && kind !== 'other') ? said : this.besides(inLight, said, canBeMeant));
    if (kind === 'other') {
      const there = this.thereBySaying(ask, say, own.readings);
      if (there.length > 0) return { ...own, readings: [...there, ...own.readings] };
      return this.withMeasured(own, this.scales.answered(this.vocabulary.asWritten(ask), say), say);
    }
    const fromQuestion = this.plain.meantBy(ask, asked, say, kind === 'yes');
    // "water?" – "every day" is no yes after all
    if (own.readings.length === 0 && fromQuestion.length === 0) {
      const inFull = this.onlyOf(asked, this.inTheLightOf(ask, rest === '' ? say : rest, said));
      const read = kind === 'no' ? this.plain.thereAfterAll(ask, this.plain.withoutAsked(ask, inFull)) : inFull;
      if (read.readings.length > 0) return read;
    }
    const turned = fromQuestion.length > 0 || asked || kind === 'no' || !asksWhether(ask) ? fromQuestion : this.plain.againstDenial(ask);
    const told = turned
      .filter(({ finding }) => !own.readings.some((reading) => reading.finding === finding))
      .map(({ finding, answer }): UnderstoodReading => ({ finding, answer, channel: channelOf(say), from: `${ask} – ${say}`, choices: [] }));
    const host = own.host ?? (asked ? null : this.reading(ask, 'caller').host);
    return { ...own, readings: [...told, ...own.readings], host, notUnderstood: own.notUnderstood.filter((run) => !isAnswerWord(run)) };
  }
}
