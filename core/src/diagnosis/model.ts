import { COMMONNESS_VALUES, RATE_VALUES, UNLISTED, type Cause } from '../edition/causes.ts';
import type { Climate, Hemisphere } from '../edition/climates.ts';
import type { Edition } from '../edition/edition.ts';
import type { Channel, Finding } from '../edition/findings.ts';
import type { Plant } from '../edition/plants.ts';
import type { Likeness } from '../language/likeness.ts';
import { northernMonth } from '../season/calendar.ts';
import { answerTable, type AnswerTable } from './answerTable.ts';
import type { Learned } from './learning.ts';
import { canShow, hostWeight, strayWeight } from '../edition/hosts.ts';

export interface ModelFinding {
  id: string;
  answers: string[];
  table: AnswerTable;
  /** P(answer) for plants in general; also what an unlisted cause shows. */
  background: Float64Array;
  /** Cost of asking in seconds; null = not to be had through the present channel. */
  seconds: number | null;
  reliability?: Partial<Record<Channel, number>>;
  family?: string;
  /** Findings of which something must have been told before this one is asked. */
  after?: string[];
  /** Index of the answer that means "nothing there"; left out where every answer is a state of its own. */
  absent?: number;
  /** Where and how the plant is kept or what happened to it: no cause has to account for that. */
  circumstance?: boolean;
}

/** A naive Bayes network over plain numbers: edition and fitted data sets are both turned into one. */
export interface DiagnosticModel {
  causes: string[];
  /** Natural logarithm; the exponentials sum to one. */
  logPrior: Float64Array;
  findings: ModelFinding[];
  findingIndex: Map<string, number>;
  /** Natural log of P(words | cause) ÷ P(words on any call), by cause, for the way a thing was put. */
  wording?: (text: string) => Float64Array;
}

export interface Situation {
  plant: Plant | null;
  /** 1–12 as on the caller's calendar; null = not known. */
  month: number | null;
  climate: Climate | null;
  hemisphere: Hemisphere;
  /** Where the advisor sits: at a telephone, or with the plant on the table. */
  setting: 'phone' | 'table';
}

/** Share of calls whose cause the edition does not know. Elicited; learning will replace it. */
export const UNLISTED_PRIOR = 0.03;
const OUT_OF_CLIMATE = 0.06;
const OUT_OF_SEASON = 0.08;
const NEXT_TO_SEASON = 0.4;
/** A mentioned set of answers never takes quite all of the probability: records and eyes err. */
const LEAST_REMAINDER = 0.02;

function seasonFactor(cause: Cause, situation: Situation): number {
  if (cause.months.length === 0 || situation.month === null || situation.climate === 'tropical-highland') return 1;
  const month = northernMonth(situation.month, situation.hemisphere);
  if (cause.months.includes(month)) return 1;
  const beside = [((month + 10) % 12) + 1, (month % 12) + 1];
  return beside.some((m) => cause.months.includes(m)) ? NEXT_TO_SEASON : OUT_OF_SEASON;
}

function climateFactor(cause: Cause, situation: Situation): number {
  if (cause.climates.length === 0 || situation.climate === null) return 1;
  return cause.climates.includes(situation.climate) ? 1 : OUT_OF_CLIMATE;
}

/**
 * Unnormalised prior weight of a cause; zero when the host rules it out.
 * @param stray its weight on a host it is not written down for
 */
export function priorWeight(cause: Cause, situation: Situation, stray = 0): number {
  const onHost = hostWeight(cause, situation.plant) || stray;
  return onHost * COMMONNESS_VALUES[cause.commonness] * seasonFactor(cause, situation) * climateFactor(cause, situation);
}

/**
 * P(answer | cause) for one finding. Answers the cause mentions get their fixed number; what is left over
 * goes to the others in proportion to the background. Over-full mentions are scaled down together.
 */
export function answerDistribution(finding: Finding, mentioned: Record<string, keyof typeof RATE_VALUES>): number[] {
  const given = finding.answers.map((answer) => {
    const word = mentioned[answer.id];
    return word === undefined ? null : RATE_VALUES[word];
  });
  const sum = given.reduce<number>((total, rate) => total + (rate ?? 0), 0);
  const restBackground = finding.answers.reduce((total, a, i) => total + (given[i] === null ? a.background : 0), 0);
  if (restBackground === 0) return given.map((rate) => (rate ?? 0) / sum);
  const remainder = Math.max(1 - sum, LEAST_REMAINDER);
  const scale = (1 - remainder) / sum;
  return finding.answers.map((answer, i) => {
    const rate = given[i];
    return rate === null || rate === undefined ? (remainder * answer.background) / restBackground : rate * scale;
  });
}

/** Of the background of an unusual answer, the share that is left to causes which say nothing of the finding; the rest belongs to those that do. */
const LEFT_TO_THE_SILENT = 0.5;

/**
 * P(answer | cause) where the cause says nothing of the finding: the background, with half of every unusual answer given back to the
 * usual one. Elicited: plants that show a thing mostly have a cause that names it.
 */
export function silentDistribution(finding: Finding): number[] {
  if (finding.absent === undefined) return finding.answers.map((answer) => answer.background);
  const unusual = finding.answers.reduce((sum, answer) => sum + (answer.id === finding.absent ? 0 : answer.background), 0);
  return finding.answers.map((answer) => (answer.id === finding.absent ? 1 - LEFT_TO_THE_SILENT * unusual : LEFT_TO_THE_SILENT * answer.background));
}

/** The words of a case are weighed again at every reading; each wording once is enough. */
function remembering(weigh: (text: string) => Float64Array): (text: string) => Float64Array {
  const known = new Map<string, Float64Array>();
  return (text) => {
    const found = known.get(text) ?? weigh(text);
    if (known.size > 200) known.clear();
    known.set(text, found);
    return found;
  };
}

/** What goes into a model besides the written figures. */
export interface Besides {
  /** How callers put things. */
  likeness?: Likeness | null;
  /** What confirmed outcomes have taught. */
  learned?: Learned | null;
}

/** Builds the network for one plant, month and climate from the causes possible there, and *unlisted*. */
export function modelForSituation(edition: Edition, situation: Situation, { likeness = null, learned = null }: Besides = {}): DiagnosticModel {
  const weighted = edition.causes
    .map((cause) => ({
      cause,
      weight: priorWeight(cause, situation, strayWeight(cause, situation.plant, edition)) * (learned?.factor(cause.id, situation.plant) ?? 1),
    }))
    .filter(({ weight }) => weight > 0);
  const total = weighted.reduce((sum, { weight }) => sum + weight, 0);
  const causes = [...weighted.map(({ cause }) => cause.id), UNLISTED];
  const listedShare = total === 0 ? 0 : 1 - UNLISTED_PRIOR;
  const logPrior = Float64Array.from([...weighted.map(({ weight }) => Math.log((weight / total) * listedShare)), Math.log(1 - listedShare)]);
  const rates = weighted.map(({ cause }) => new Map(cause.rates.map((rate) => [rate.finding, rate.answers])));
  const findings = edition.findings.map((finding): ModelFinding => {
    const background = Float64Array.from(finding.answers, (answer) => answer.background);
    const table = answerTable(background.length, causes.length, silentDistribution(finding), (c) => {
      if (causes[c] === UNLISTED) return background;
      const seen = learned?.rate(causes[c] ?? '', finding.id);
      if (seen) return seen;
      const mentioned = rates[c]?.get(finding.id);
      return mentioned ? answerDistribution(finding, mentioned) : null;
    });
    return {
      id: finding.id,
      answers: finding.answers.map((answer) => answer.id),
      table,
      background,
      seconds: !canShow(finding, situation.plant) ? null : situation.setting === 'phone' ? finding.phoneSeconds : finding.tableSeconds,
      ...(finding.reliability ? { reliability: finding.reliability } : {}),
      ...(finding.family ? { family: finding.family } : {}),
      ...(finding.after ? { after: finding.after } : {}),
      ...(finding.kind === 'history' || finding.kind === 'site' ? { circumstance: true } : {}),
      ...(finding.absent ? { absent: finding.answers.findIndex((answer) => answer.id === finding.absent) } : {}),
    };
  });
  return {
    causes,
    logPrior,
    findings,
    findingIndex: new Map(findings.map((f, i) => [f.id, i])),
    ...(likeness ? { wording: remembering((text) => likeness.logRatios(text, causes)) } : {}),
  };
}
