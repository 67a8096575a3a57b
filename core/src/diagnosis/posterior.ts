import { CHANNEL_RELIABILITY, WORDING, type Channel } from '../edition/findings.ts';
import type { Reading } from '../edition/reading.ts';
import { familyLogRatio } from './families.ts';
import type { DiagnosticModel, ModelFinding } from './model.ts';

export const NOT = 'not:';

/** True for the answers that a reading allows, in the finding's own order. */
export function allowedAnswers(finding: Pick<ModelFinding, 'answers'>, answer: string): boolean[] {
  const negated = answer.startsWith(NOT);
  const id = negated ? answer.slice(NOT.length) : answer;
  if (!finding.answers.includes(id)) throw new RangeError(`answer "${answer}" is not one of: ${finding.answers.join(', ')}`);
  return finding.answers.map((a) => (a === id) !== negated);
}

export function reliabilityOf(finding: ModelFinding, channel: Channel): number {
  return finding.reliability?.[channel] ?? CHANNEL_RELIABILITY[channel];
}

/** P(reports | truth is answer t), for every answer of a finding. */
export function perTruth(finding: ModelFinding, reports: readonly Reading[]): Float64Array {
  const answers = finding.answers.length;
  const out = new Float64Array(answers).fill(1);
  for (const report of reports) {
    const r = reliabilityOf(finding, report.channel);
    const allowed = allowedAnswers(finding, report.answer);
    let noise = 0;
    for (let t = 0; t < answers; t++) if (allowed[t]) noise += finding.background[t] ?? 0;
    for (let t = 0; t < answers; t++) out[t] = (out[t] ?? 0) * ((allowed[t] ? r : 0) + (1 - r) * noise);
  }
  return out;
}

const safeLog = (x: number): number => Math.log(Math.max(x, Number.MIN_VALUE));

/**
 * log P(reports on one finding | cause), for every cause.
 *
 * A report through a channel of reliability r is a true look with chance r and otherwise noise drawn from the
 * background: P(report S | truth t) = r·[t ∈ S] + (1 − r)·background(S). Several reports on the same finding are
 * judged together by summing over the one truth behind them, so saying a thing twice does not count as two things.
 */
export function findingLogLikelihood(model: DiagnosticModel, finding: ModelFinding, reports: readonly Reading[]): Float64Array {
  const { speakers, own, silent } = finding.table;
  const truths = perTruth(finding, reports);
  const spoken = new Float64Array(speakers.length);
  let unspoken = 0;
  for (let t = 0; t < truths.length; t++) {
    const weight = truths[t] ?? 0;
    const row = t * speakers.length;
    unspoken += weight * (silent[t] ?? 0);
    for (let s = 0; s < spoken.length; s++) spoken[s] = (spoken[s] ?? 0) + weight * (own[row + s] ?? 0);
  }
  const out = new Float64Array(model.causes.length).fill(safeLog(unspoken));
  speakers.forEach((c, s) => (out[c] = safeLog(spoken[s] ?? 0)));
  return out;
}

/** The same for plants in general. */
function generalLogLikelihood(finding: ModelFinding, reports: readonly Reading[]): number {
  return safeLog(perTruth(finding, reports).reduce((sum, weight, t) => sum + weight * (finding.background[t] ?? 0), 0));
}

/** Readings gathered by finding, in order of first mention. Unknown findings throw RangeError. */
export function byFinding(model: DiagnosticModel, readings: readonly Reading[]): Map<ModelFinding, Reading[]> {
  const groups = new Map<ModelFinding, Reading[]>();
  for (const reading of readings) {
    if (reading.finding === WORDING) continue;
    const finding = model.findings[model.findingIndex.get(reading.finding) ?? -1];
    if (!finding) throw new RangeError(`finding "${reading.finding}" is not in this edition`);
    const group = groups.get(finding);
    if (group) group.push(reading);
    else groups.set(finding, [reading]);
  }
  return groups;
}

/** What one finding, or the wording, says of every cause: natural log-likelihoods up to a constant. */
export interface Term {
  finding: ModelFinding | null;
  reports: Reading[];
  log: Float64Array;
  /** The same for plants in general. */
  general: number;
}

/** The terms of the posterior: one for each finding read, one for the wording as a whole. */
export function termsOf(model: DiagnosticModel, readings: readonly Reading[]): Term[] {
  const terms = [...byFinding(model, readings)].map(([finding, reports]): Term => ({
    finding,
    reports,
    log: findingLogLikelihood(model, finding, reports),
    general: generalLogLikelihood(finding, reports),
  }));
  const worded = readings.filter((reading) => reading.finding === WORDING);
  if (worded.length > 0 && model.wording)
    terms.push({ finding: null, reports: worded, log: model.wording(worded.map((reading) => reading.answer).join(' . ')), general: 0 });
  return terms;
}

/** Turns log weights into probabilities that sum to one (log-sum-exp). */
export function normalise(logWeights: Float64Array): Float64Array {
  let max = -Infinity;
  for (const w of logWeights) if (w > max) max = w;
  const out = logWeights.map((w) => Math.exp(w - max));
  let sum = 0;
  for (const p of out) sum += p;
  return out.map((p) => p / sum);
}

/** Log weights of all causes: the prior, and what the terms say, those of one family together. */
export function logWeights(model: DiagnosticModel, terms: readonly Term[]): Float64Array {
  const log = Float64Array.from(model.logPrior);
  const families = new Map<string, Term[]>();
  const add = (more: Float64Array): void => {
    for (let c = 0; c < log.length; c++) log[c] = (log[c] ?? 0) + (more[c] ?? 0);
  };
  for (const term of terms) {
    const family = term.finding?.family;
    if (family === undefined) add(term.log);
    else families.set(family, [...(families.get(family) ?? []), term]);
  }
  for (const kin of families.values()) add(kin.length === 1 ? kin[0]!.log : familyLogRatio(kin));
  return log;
}

/** Posterior from terms that have been worked out already. */
export const posteriorOf = (model: DiagnosticModel, terms: readonly Term[]): Float64Array => normalise(logWeights(model, terms));

/**
 * Exact posterior over the single causes of a model, *unlisted* among them.
 * @returns probabilities in the order of `model.causes`
 * @throws RangeError for a finding or answer the model does not know
 */
export const posterior = (model: DiagnosticModel, readings: readonly Reading[]): Float64Array => posteriorOf(model, termsOf(model, readings));

/** The posterior if the way a thing was put counted for only part of its weight: how sure one would be of what was seen. */
export const posteriorTrustingWords = (model: DiagnosticModel, terms: readonly Term[], share: number): Float64Array =>
  posteriorOf(
    model,
    terms.map((term) => (term.finding === null ? { ...term, log: term.log.map((x) => x * share) } : term)),
  );

/** Shannon entropy in bits. */
export function entropyBits(probabilities: ArrayLike<number>): number {
  let h = 0;
  for (let i = 0; i < probabilities.length; i++) {
    const p = probabilities[i] ?? 0;
    if (p > 0) h -= p * Math.log2(p);
  }
  return h;
}
