import { ACTS, TRUTHS, type Act, type Channel } from '../edition/edition.ts';
import { shareOfItsOwn } from './families.ts';
import type { DiagnosticModel, ModelFinding } from './model.ts';
import { entropyBits, reliabilityOf } from './posterior.ts';
import { bestAdvice, riskOf, type Stakes } from './stakes.ts';

export interface RankedQuestion {
  finding: string;
  /** Expected drop in uncertainty about the cause, in bits. */
  bits: number;
  /** Expected drop in the loss of the advice given afterwards, in points of the loss table; 0 without stakes. */
  worth: number;
  seconds: number;
  /** What it is ranked by: worth for the second, or bits where nothing is at stake. */
  perSecond: number;
  /** P(answer) as things stand, in the finding's own order. */
  answerProbabilities: number[];
}

/** What any question costs besides its own seconds: the turn of talk, the walk to the plant. Keeps trivialities from beating real questions. */
const OVERHEAD_SECONDS = 20;
/** Causes less likely than this do not move the worth of a question. */
const NEGLIGIBLE = 1e-7;
/** Points a bit counts for besides: the tie-break, and what keeps a talk going whose advice is settled but whose name is not. */
const POINTS_A_BIT = 0.05;

/** Causes that still matter, packed together so that the inner loops run over them alone. */
interface Live {
  index: Int32Array;
  p: Float64Array;
}

function liveCauses(standing: Float64Array): Live {
  const index: number[] = [];
  for (let c = 0; c < standing.length; c++) if ((standing[c] ?? 0) > NEGLIGIBLE) index.push(c);
  return { index: Int32Array.from(index), p: Float64Array.from(index, (c) => standing[c] ?? 0) };
}

/** −q·log2 q from a table fine enough for ranking (error below 1e-5 bit); exact logarithms cost most of the time otherwise. */
const STEPS = 4096;
const PLOGP = Float64Array.from({ length: STEPS + 2 }, (_, i) => (i === 0 ? 0 : -(i / STEPS) * Math.log2(i / STEPS)));
function surprise(q: number): number {
  if (q < 8 / STEPS) return q > 0 ? -q * Math.log2(q) : 0;
  const at = q * STEPS;
  const low = Math.floor(at);
  return PLOGP[low]! + (at - low) * (PLOGP[low + 1]! - PLOGP[low]!);
}

/** One question against the standing: mutual information, expected loss afterwards, chance of each answer. */
class Weigher {
  private readonly byTruth = new Float64Array(TRUTHS.length);
  private readonly conditional: Float64Array;
  private readonly q: Float64Array;

  constructor(
    private readonly live: Live,
    private readonly causes: number,
    private readonly stakes: Stakes | null,
  ) {
    this.conditional = new Float64Array(live.index.length);
    this.q = new Float64Array(live.index.length);
  }

  /** @param own exponent on the likelihood ratio when kin of the finding have been answered */
  weigh(finding: ModelFinding, reliability: number, own: number): { bits: number; after: number; marginal: number[] } {
    const { index, p } = this.live;
    const n = index.length;
    const answers = finding.answers.length;
    const { conditional, q, byTruth, stakes } = this;
    conditional.fill(0);
    const marginal = new Array<number>(answers).fill(0);
    let after = 0;
    for (let a = 0; a < answers; a++) {
      const noise = finding.background[a] ?? 0;
      const row = a * this.causes;
      let sum = 0;
      let most = 0;
      byTruth.fill(0);
      for (let i = 0; i < n; i++) {
        const c = index[i]!;
        let chance = reliability * finding.likelihood[row + c]! + (1 - reliability) * noise;
        if (own < 1 && noise > 0) chance = noise * (chance / noise) ** own;
        q[i] = chance;
        conditional[i]! += surprise(Math.min(1, chance));
        const w = p[i]! * chance;
        sum += w;
        if (stakes) {
          byTruth[stakes.truthOf[c]!]! += w;
          if (w > most) most = w;
        }
      }
      marginal[a] = sum;
      if (stakes) after += bestAdvice(stakes, byTruth).loss + stakes.wrongName * (sum - most);
    }
    let inner = 0;
    for (let i = 0; i < n; i++) inner += p[i]! * conditional[i]!;
    const outer = marginal.reduce((h, m) => h + surprise(Math.min(1, m)), 0);
    return { bits: Math.max(0, outer - inner), after, marginal };
  }
}

/** Mutual information between the cause and the report on one finding, in bits: H(report) − Σ p(c)·H(report | c). Exact. */
export function expectedBits(finding: ModelFinding, standing: Float64Array, channel: Channel): { bits: number; answerProbabilities: number[] } {
  const r = reliabilityOf(finding, channel);
  const causes = standing.length;
  const marginal = new Float64Array(finding.answers.length);
  let conditional = 0;
  for (let c = 0; c < causes; c++) {
    const p = standing[c] ?? 0;
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
 * All questions still open, best first: the greatest expected drop in expected loss for each second of the caller's time (value of
 * information, Howard 1966), bits where nothing is at stake.
 * @param answered findings that have a reading, or were asked and could not be answered
 */
export function rankQuestions(
  model: DiagnosticModel,
  standing: Float64Array,
  answered: ReadonlySet<string>,
  channel: Channel = 'caller-looked',
  stakes: Stakes | null = null,
): RankedQuestion[] {
  const weigher = new Weigher(liveCauses(standing), model.causes.length, stakes);
  const risk = stakes ? riskOf(stakes, standing) : 0;
  const families = new Set(model.findings.flatMap((finding) => (finding.family && answered.has(finding.id) ? [finding.family] : [])));
  const ranked: RankedQuestion[] = [];
  for (const finding of model.findings) {
    if (finding.seconds === null || answered.has(finding.id)) continue;
    const own = shareOfItsOwn(finding.family !== undefined && families.has(finding.family));
    const { bits, after, marginal } = weigher.weigh(finding, reliabilityOf(finding, channel), own);
    const worth = stakes ? Math.max(0, risk - after) : 0;
    const gain = stakes ? worth + POINTS_A_BIT * bits : bits;
    ranked.push({
      finding: finding.id,
      bits,
      worth,
      seconds: finding.seconds,
      perSecond: gain / (finding.seconds + OVERHEAD_SECONDS),
      answerProbabilities: marginal,
    });
  }
  return ranked.sort((a, b) => b.perSecond - a.perSecond || b.bits - a.bits || a.finding.localeCompare(b.finding));
}

/** Why a question is worth asking. */
export interface Reason {
  /** The causes in the lead after different answers, most likely answer first; two at most. */
  splits: string[];
  /** The best advice as things stand, and another that some answer would call for; null when the advice stays. */
  changes: { from: Act; to: Act; answer: string } | null;
}

/** An answer less likely than this is not what a question is asked for. */
const WORTH_NAMING = 0.06;

/** What the answers of one question would do to the leader and to the advice. */
export function whyAsk(model: DiagnosticModel, standing: Float64Array, findingId: string, channel: Channel, stakes: Stakes): Reason {
  const finding = model.findings[model.findingIndex.get(findingId) ?? -1];
  if (!finding) return { splits: [], changes: null };
  const r = reliabilityOf(finding, channel);
  const causes = model.causes.length;
  const adviceAt = (weights: Float64Array): Act => {
    const byTruth = new Float64Array(TRUTHS.length);
    weights.forEach((w, c) => (byTruth[stakes.truthOf[c] ?? 0]! += w));
    return bestAdvice(stakes, byTruth).act;
  };
  const outcomes = finding.answers
    .map((answer, a) => {
      const weights = standing.map((p, c) => p * (r * (finding.likelihood[a * causes + c] ?? 0) + (1 - r) * (finding.background[a] ?? 0)));
      const chance = weights.reduce((sum, w) => sum + w, 0);
      let leader = 0;
      for (let c = 1; c < causes; c++) if ((weights[c] ?? 0) > (weights[leader] ?? 0)) leader = c;
      return { answer, chance, leader: model.causes[leader] ?? '', act: adviceAt(weights) };
    })
    .filter(({ chance }) => chance >= WORTH_NAMING)
    .sort((x, y) => y.chance - x.chance);
  const from = adviceAt(standing);
  const turning = outcomes.find(({ act }) => act !== from);
  return {
    splits: [...new Set(outcomes.map(({ leader }) => leader))].slice(0, 2),
    changes: turning && ACTS.includes(turning.act) ? { from, to: turning.act, answer: turning.answer } : null,
  };
}
