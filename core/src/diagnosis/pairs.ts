import { UNLISTED } from '../edition/edition.ts';
import { chanceOf } from './answerTable.ts';
import type { DiagnosticModel, ModelFinding } from './model.ts';
import { logWeights, perTruth, type Term } from './posterior.ts';

/** Two causes at work on one plant. */
export interface Pair {
  causes: [string, string];
  /** Odds of the pair against the likeliest single cause. */
  odds: number;
  /** Findings that the one accounts for and the other does not. */
  explains: [string[], string[]];
}

/** How often a second trouble comes with a first, against chance: 1 = independently. Weak plants catch more, callers tell of one. */
const TOGETHER = 1;
/** A pair is shown only when it is this much likelier than any single cause. */
const EARNS_ITS_PLACE = 3;
/** Causes looked at: the likeliest, and for each finding those that account for it best. */
const LIKELIEST = 8;
const FOR_EACH_FINDING = 3;
/** A cause accounts for a finding when it makes it this much likelier than the other does (natural log; 4 decibans). */
const ACCOUNTS = 0.92;

/**
 * P(answer | both causes): noisy-OR (Pearl 1988) for every answer that means something is there, both silent for the answer that means
 * nothing is; where every answer is a state of its own, either cause may have set it.
 */
export function pairDistribution(finding: ModelFinding, c: number, d: number): Float64Array {
  const n = finding.answers.length;
  const out = new Float64Array(n);
  let sum = 0;
  for (let a = 0; a < n; a++) {
    const [p, q] = [chanceOf(finding.table, a, c), chanceOf(finding.table, a, d)];
    const both = finding.absent === undefined ? (p + q) / 2 : a === finding.absent ? p * q : 1 - (1 - p) * (1 - q);
    out[a] = both;
    sum += both;
  }
  return out.map((x) => x / sum);
}

function pairLog(term: Term, c: number, d: number): number {
  const [x, y] = [term.log[c] ?? 0, term.log[d] ?? 0];
  if (!term.finding) return Math.max(x, y) + Math.log1p(Math.exp(-Math.abs(x - y))) - Math.LN2; // words may be about either
  const truths = perTruth(term.finding, term.reports);
  const both = pairDistribution(term.finding, c, d);
  let sum = 0;
  for (let a = 0; a < both.length; a++) sum += (truths[a] ?? 0) * (both[a] ?? 0);
  return Math.log(Math.max(sum, Number.MIN_VALUE));
}

function worthTrying(model: DiagnosticModel, terms: readonly Term[], weights: Float64Array): number[] {
  const listed = [...model.causes.keys()].filter((c) => model.causes[c] !== UNLISTED);
  const best = (score: (c: number) => number, n: number) => [...listed].sort((a, b) => score(b) - score(a)).slice(0, n);
  const tried = new Set(best((c) => weights[c] ?? 0, LIKELIEST));
  for (const { log } of terms) for (const c of best((k) => (log[k] ?? 0) + (model.logPrior[k] ?? 0), FOR_EACH_FINDING)) tried.add(c);
  return [...tried];
}

/** The two causes that together explain what is seen, if they do so clearly better than any one; else null. */
export function findPair(model: DiagnosticModel, terms: readonly Term[]): Pair | null {
  if (terms.length < 2) return null;
  const weights = logWeights(model, terms);
  // the same sum for single causes, so that pair and single are weighed alike
  const plain = (c: number) => terms.reduce((sum, { log }) => sum + (log[c] ?? 0), model.logPrior[c] ?? 0);
  const singles = Math.max(...[...model.causes.keys()].map(plain));
  const tried = worthTrying(model, terms, weights);
  let found: { c: number; d: number; weight: number } | null = null;
  for (const [i, c] of tried.entries()) {
    for (const d of tried.slice(i + 1)) {
      let weight = (model.logPrior[c] ?? 0) + (model.logPrior[d] ?? 0) + Math.log(TOGETHER);
      for (const term of terms) weight += pairLog(term, c, d);
      if (found === null || weight > found.weight) found = { c, d, weight };
    }
  }
  if (!found) return null;
  const odds = Math.exp(found.weight - singles);
  const explained = (one: number, other: number) =>
    terms.flatMap(({ finding, log }) => (finding && (log[one] ?? 0) - (log[other] ?? 0) >= ACCOUNTS ? [finding.id] : []));
  const explains: Pair['explains'] = [explained(found.c, found.d), explained(found.d, found.c)];
  if (odds < EARNS_ITS_PLACE || explains.some((list) => list.length === 0)) return null;
  return { causes: [model.causes[found.c] ?? '', model.causes[found.d] ?? ''], odds, explains };
}
