import { UNLISTED } from '../edition/causes.ts';
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
 * P(answer a | both causes) up to a factor common to all answers: noisy-OR (Pearl 1988) for every answer that means something is there,
 * both silent for the answer that means nothing is; where every answer is a state of its own, either cause may have set it.
 * @param p,q P(answer a | cause) of the one and the other
 * @param absent index of the answer that means nothing is there
 */
export const together = (p: number, q: number, a: number, absent: number | undefined): number =>
  absent === undefined ? (p + q) / 2 : a === absent ? p * q : 1 - (1 - p) * (1 - q);

/** What P(reports | two causes) of one term is worked out from, made ready once for all pairs tried. */
interface ReadyTerm {
  log: Float64Array;
  finding: ModelFinding | null;
  /** P(reports | truth is answer a). */
  truths: Float64Array;
  /** Chances of each answer, by cause tried. */
  chances: Map<number, Float64Array>;
}

function ready({ finding, reports, log }: Term, tried: readonly number[]): ReadyTerm {
  const column = (c: number) => (finding ? Float64Array.from(finding.answers, (_, a) => chanceOf(finding.table, a, c)) : new Float64Array());
  return { log, finding, truths: finding ? perTruth(finding, reports) : new Float64Array(), chances: new Map(tried.map((c) => [c, column(c)])) };
}

function pairLog({ log, finding, truths, chances }: ReadyTerm, c: number, d: number): number {
  const [x, y] = [log[c] ?? 0, log[d] ?? 0];
  if (!finding) return Math.max(x, y) + Math.log1p(Math.exp(-Math.abs(x - y))) - Math.LN2; // words may be about either
  const [one, other] = [chances.get(c)!, chances.get(d)!];
  let all = 0;
  let reported = 0;
  for (let a = 0; a < truths.length; a++) {
    const both = together(one[a]!, other[a]!, a, finding.absent);
    all += both;
    reported += truths[a]! * both;
  }
  return Math.log(Math.max(reported / all, Number.MIN_VALUE));
}

/** The places of the n greatest scores, the greatest first, one place left out. */
function best(scores: Float64Array, n: number, without: number): number[] {
  const top: number[] = [];
  for (let c = 0; c < scores.length; c++) {
    if (c === without || (top.length === n && scores[c]! <= scores[top[n - 1]!]!)) continue;
    let at = Math.min(top.length, n - 1);
    while (at > 0 && scores[top[at - 1]!]! < scores[c]!) {
      top[at] = top[at - 1]!;
      at--;
    }
    top[at] = c;
  }
  return top;
}

function worthTrying(model: DiagnosticModel, terms: readonly Term[], weights: Float64Array): number[] {
  const unlisted = model.causes.indexOf(UNLISTED);
  const tried = new Set(best(weights, LIKELIEST, unlisted));
  for (const { log } of terms)
    for (const c of best(
      log.map((x, k) => x + model.logPrior[k]!),
      FOR_EACH_FINDING,
      unlisted,
    ))
      tried.add(c);
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
  const prepared = terms.map((term) => ready(term, tried));
  let found: { c: number; d: number; weight: number } | null = null;
  for (const [i, c] of tried.entries()) {
    for (let j = i + 1; j < tried.length; j++) {
      const d = tried[j]!;
      let weight = (model.logPrior[c] ?? 0) + (model.logPrior[d] ?? 0) + Math.log(TOGETHER);
      for (const term of prepared) weight += pairLog(term, c, d);
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
