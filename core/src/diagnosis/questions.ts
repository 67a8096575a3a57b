import type { Channel } from '../edition/findings.ts';
import { TRUTHS } from '../edition/losses.ts';
import { ACTS, type Act } from '../edition/options.ts';
import { chanceOf, type AnswerTable } from './answerTable.ts';
import type { DiagnosticModel, ModelFinding } from './model.ts';
import type { OpenFinding } from './openFindings.ts';
import { entropyBits, reliabilityOf } from './posterior.ts';
import { bestAdvice, leastLoss, riskOf, type Stakes } from './stakes.ts';

export interface RankedQuestion {
  finding: string;
  /** Expected drop in uncertainty about the cause, in bits. */
  bits: number;
  /** Expected drop in the loss of the advice given afterwards, in points of the loss table; 0 without stakes. */
  worth: number;
  seconds: number;
  /** It has been told unasked or unsurely; this asks for a closer look. */
  again: boolean;
  /** What it is ranked by: worth for the second, or bits where nothing is at stake. */
  perSecond: number;
  /** P(answer) as things stand, in the finding's own order. */
  answerProbabilities: number[];
}

/** What any question costs besides its own seconds: the turn of talk, the walk to the plant. Keeps trivialities from beating real questions. */
const OVERHEAD_SECONDS = 20;
/** What it costs besides to ask people for what they have said already. Elicited. */
const PATIENCE_SECONDS = 10;
/** Causes less likely than this are not named as a reason to ask. */
const NEGLIGIBLE = 1e-4;
/** Points a bit counts for besides: the tie-break, and what keeps a talk going whose advice is settled but whose name is not. */
const POINTS_A_BIT = 0.05;

/** The standing, looked at once for all questions: what each kind of truth weighs, and the causes from the likeliest down. */
interface Outlook {
  p: Float64Array;
  truthOf: Uint8Array;
  byTruth: Float64Array;
  total: number;
  /** Causes by falling probability. */
  order: Int32Array;
}

function outlookOf(standing: Float64Array, stakes: Stakes | null): Outlook {
  const truthOf = stakes?.truthOf ?? new Uint8Array(standing.length);
  const byTruth = new Float64Array(TRUTHS.length);
  let total = 0;
  standing.forEach((p, c) => {
    byTruth[truthOf[c] ?? 0]! += p;
    total += p;
  });
  const order = Int32Array.from(standing.keys()).sort((a, b) => (standing[b] ?? 0) - (standing[a] ?? 0));
  return { p: standing, truthOf, byTruth, total, order };
}

const plogp = (q: number): number => (q > 0 ? -q * Math.log2(q) : 0);

/** H(report | cause) in bits: of each speaker, and of the silent. */
interface Entropies {
  own: Float64Array;
  silent: number;
}
/** Kept for each table and reliability: logarithms would cost most of the time. */
const entropies = new WeakMap<AnswerTable, Map<number, Entropies>>();

function entropiesOf(finding: ModelFinding, r: number): Entropies {
  const { table, background } = finding;
  const kept = entropies.get(table) ?? new Map<number, Entropies>();
  entropies.set(table, kept);
  const known = kept.get(r);
  if (known) return known;
  const n = table.speakers.length;
  const own = new Float64Array(n);
  let silent = 0;
  for (let a = 0; a < table.answers; a++) {
    const noise = (1 - r) * (background[a] ?? 0);
    silent += plogp(r * (table.silent[a] ?? 0) + noise);
    for (let s = 0; s < n; s++) own[s] = (own[s] ?? 0) + plogp(r * (table.own[a * n + s] ?? 0) + noise);
  }
  kept.set(r, { own, silent });
  return { own, silent };
}

interface Weighed {
  bits: number;
  /** Expected loss of the best advice once the answer is known. */
  after: number;
  marginal: number[];
}

/** One question against the standing. Only causes that speak of the finding are gone through; the silent move together. */
function weigh(finding: ModelFinding, r: number, outlook: Outlook, stakes: Stakes | null, scratch: Float64Array): Weighed {
  const { table, background } = finding;
  const { speakers, own, placeOf } = table;
  const { p, truthOf, order } = outlook;
  const n = speakers.length;
  const { own: conditional, silent: silentEntropy } = entropiesOf(finding, r);
  const quiet = new Float64Array(outlook.byTruth);
  let spoken = 0;
  let inner = 0;
  for (let s = 0; s < n; s++) {
    const c = speakers[s]!;
    const weight = p[c]!;
    spoken += weight;
    inner += weight * conditional[s]!;
    quiet[truthOf[c]!]! -= weight;
  }
  inner += (outlook.total - spoken) * silentEntropy;
  let first = 0; // the likeliest of the silent
  while (first < order.length && placeOf[order[first]!]! >= 0) first += 1;
  const likeliestQuiet = first < order.length ? p[order[first]!]! : 0;
  const marginal: number[] = [];
  let after = 0;
  let outer = 0;
  for (let a = 0; a < table.answers; a++) {
    const noise = (1 - r) * (background[a] ?? 0);
    const quietChance = r * (table.silent[a] ?? 0) + noise;
    const row = a * n;
    let all = (outlook.total - spoken) * quietChance;
    let most = likeliestQuiet * quietChance;
    for (let t = 0; t < scratch.length; t++) scratch[t] = Math.max(0, quiet[t]!) * quietChance;
    for (let s = 0; s < n; s++) {
      const c = speakers[s]!;
      const w = p[c]! * (r * own[row + s]! + noise);
      all += w;
      scratch[truthOf[c]!]! += w;
      if (w > most) most = w;
    }
    marginal.push(all);
    outer += plogp(all);
    if (stakes) after += leastLoss(stakes, scratch) + stakes.wrongName * (all - most);
  }
  return { bits: Math.max(0, outer - inner), after, marginal };
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
      const q = r * chanceOf(finding.table, a, c) + (1 - r) * (finding.background[a] ?? 0);
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
 * @param open the findings that can be asked about through `channel`
 */
export function rankQuestions(
  open: readonly OpenFinding[],
  standing: Float64Array,
  channel: Channel = 'caller-looked',
  stakes: Stakes | null = null,
): RankedQuestion[] {
  const outlook = outlookOf(standing, stakes);
  const scratch = new Float64Array(TRUTHS.length);
  const risk = stakes ? riskOf(stakes, standing) : 0;
  const ranked = open.map(({ finding, again }): RankedQuestion => {
    const { bits, after, marginal } = weigh(finding, reliabilityOf(finding, channel), outlook, stakes, scratch);
    const worth = stakes ? Math.max(0, risk - after) : 0;
    const gain = stakes ? worth + POINTS_A_BIT * bits : bits;
    const seconds = finding.seconds ?? 0;
    const overhead = again ? OVERHEAD_SECONDS + PATIENCE_SECONDS : OVERHEAD_SECONDS;
    return { finding: finding.id, bits, worth, seconds, again, perSecond: gain / (seconds + overhead), answerProbabilities: marginal };
  });
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
export function whyAsk(model: DiagnosticModel, standing: Float64Array, finding: ModelFinding, channel: Channel, stakes: Stakes): Reason {
  const r = reliabilityOf(finding, channel);
  const live = [...standing.keys()].filter((c) => (standing[c] ?? 0) > NEGLIGIBLE);
  const byTruth = new Float64Array(TRUTHS.length);
  /** Leader and best advice when the live causes are weighted by these chances. */
  const outcome = (chance: (c: number) => number) => {
    byTruth.fill(0);
    let all = 0;
    let leader = 0;
    let most = -1;
    for (const c of live) {
      const w = standing[c]! * chance(c);
      all += w;
      byTruth[stakes.truthOf[c]!]! += w;
      if (w > most) [leader, most] = [c, w];
    }
    return { chance: all, leader: model.causes[leader] ?? '', act: bestAdvice(stakes, byTruth).act };
  };
  const outcomes = finding.answers
    .map((answer, a) => ({
      answer,
      ...outcome((c) => r * chanceOf(finding.table, a, c) + (1 - r) * (finding.background[a] ?? 0)),
    }))
    .filter(({ chance }) => chance >= WORTH_NAMING)
    .sort((x, y) => y.chance - x.chance);
  const from = outcome(() => 1).act;
  const turning = outcomes.find(({ act }) => act !== from);
  return {
    splits: [...new Set(outcomes.map(({ leader }) => leader))].slice(0, 2),
    changes: turning && ACTS.includes(turning.act) ? { from, to: turning.act, answer: turning.answer } : null,
  };
}
