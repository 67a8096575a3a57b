import { CHANNEL_RELIABILITY, WORDING, type Channel } from '../edition/edition.ts';
import type { DiagnosticModel, ModelFinding } from './model.ts';

/** One report about one finding. `answer` is an answer id, or "not:ID" when all that is known is what it is not. */
export interface Reading {
  finding: string;
  answer: string;
  channel: Channel;
}

const NOT = 'not:';

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

/**
 * log P(reports on one finding | cause), for every cause.
 *
 * A report through a channel of reliability r is a true look with chance r and otherwise noise drawn from the
 * background: P(report S | truth t) = r·[t ∈ S] + (1 − r)·background(S). Several reports on the same finding are
 * judged together by summing over the one truth behind them, so saying a thing twice does not count as two things.
 */
export function findingLogLikelihood(model: DiagnosticModel, finding: ModelFinding, reports: readonly Reading[]): Float64Array {
  const answers = finding.answers.length;
  const causes = model.causes.length;
  const perTruth = new Float64Array(answers).fill(1);
  for (const report of reports) {
    const r = reliabilityOf(finding, report.channel);
    const allowed = allowedAnswers(finding, report.answer);
    let noise = 0;
    for (let t = 0; t < answers; t++) if (allowed[t]) noise += finding.background[t] ?? 0;
    for (let t = 0; t < answers; t++) perTruth[t] = (perTruth[t] ?? 0) * ((allowed[t] ? r : 0) + (1 - r) * noise);
  }
  const out = new Float64Array(causes);
  for (let t = 0; t < answers; t++) {
    const weight = perTruth[t] ?? 0;
    const row = t * causes;
    for (let c = 0; c < causes; c++) out[c] = (out[c] ?? 0) + weight * (finding.likelihood[row + c] ?? 0);
  }
  for (let c = 0; c < causes; c++) out[c] = Math.log(Math.max(out[c] ?? 0, Number.MIN_VALUE));
  return out;
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
}

/** The terms of the posterior: one for each finding read, one for the wording as a whole. */
export function termsOf(model: DiagnosticModel, readings: readonly Reading[]): Term[] {
  const terms = [...byFinding(model, readings)].map(
    ([finding, reports]): Term => ({ finding, reports, log: findingLogLikelihood(model, finding, reports) }),
  );
  const worded = readings.filter((reading) => reading.finding === WORDING);
  if (worded.length > 0 && model.wording)
    terms.push({ finding: null, reports: worded, log: model.wording(worded.map((reading) => reading.answer).join(' . ')) });
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

/**
 * Exact posterior over the single causes of a model, *unlisted* among them.
 * @returns probabilities in the order of `model.causes`
 * @throws RangeError for a finding or answer the model does not know
 */
export function posterior(model: DiagnosticModel, readings: readonly Reading[]): Float64Array {
  const log = Float64Array.from(model.logPrior);
  for (const { log: add } of termsOf(model, readings)) for (let c = 0; c < log.length; c++) log[c] = (log[c] ?? 0) + (add[c] ?? 0);
  return normalise(log);
}

/** Shannon entropy in bits. */
export function entropyBits(probabilities: ArrayLike<number>): number {
  let h = 0;
  for (let i = 0; i < probabilities.length; i++) {
    const p = probabilities[i] ?? 0;
    if (p > 0) h -= p * Math.log2(p);
  }
  return h;
}
