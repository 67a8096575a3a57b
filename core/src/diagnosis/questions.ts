import type { Channel } from '../edition/edition.ts';
import type { DiagnosticModel, ModelFinding } from './model.ts';
import { entropyBits, reliabilityOf } from './posterior.ts';

export interface RankedQuestion {
  finding: string;
  /** Expected drop in uncertainty about the cause, in bits. */
  bits: number;
  seconds: number;
  bitsPerSecond: number;
  /** P(answer) as things stand, in the finding's own order. */
  answerProbabilities: number[];
}

/** What any question costs besides its own seconds: the turn of talk, the walk to the plant. Keeps trivialities from beating real questions. */
const OVERHEAD_SECONDS = 20;

/** Mutual information between the cause and the report on one finding, in bits: H(report) − Σ p(c)·H(report | c). */
export function expectedBits(finding: ModelFinding, standing: Float64Array, channel: Channel): { bits: number; answerProbabilities: number[] } {
  const r = reliabilityOf(finding, channel);
  const causes = standing.length;
  const marginal = new Float64Array(finding.answers.length);
  let conditional = 0;
  for (let c = 0; c < causes; c++) {
    const p = standing[c] ?? 0;
    if (p < 1e-9) continue;
    let h = 0;
    for (let a = 0; a < marginal.length; a++) {
      const q = r * (finding.likelihood[a * causes + c] ?? 0) + (1 - r) * (finding.background[a] ?? 0);
      marginal[a] = (marginal[a] ?? 0) + p * q;
      if (q > 0) h -= q * Math.log2(q);
    }
    conditional += p * h;
  }
  return { bits: Math.max(0, entropyBits(marginal) - conditional), answerProbabilities: [...marginal] };
}

/**
 * All questions still open, best first: most expected bits per second of the caller's time.
 * @param answered findings that have a reading, or were asked and could not be answered
 */
export function rankQuestions(
  model: DiagnosticModel,
  standing: Float64Array,
  answered: ReadonlySet<string>,
  channel: Channel = 'caller-looked',
): RankedQuestion[] {
  const ranked: RankedQuestion[] = [];
  for (const finding of model.findings) {
    if (finding.seconds === null || answered.has(finding.id)) continue;
    const { bits, answerProbabilities } = expectedBits(finding, standing, channel);
    const seconds = finding.seconds;
    ranked.push({ finding: finding.id, bits, seconds, bitsPerSecond: bits / (seconds + OVERHEAD_SECONDS), answerProbabilities });
  }
  return ranked.sort((a, b) => b.bitsPerSecond - a.bitsPerSecond || a.finding.localeCompare(b.finding));
}
