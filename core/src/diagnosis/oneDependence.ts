import type { CaseTable } from './learn.ts';

/**
 * Averaged one-dependence estimators (Webb, Boughton & Wang 2005, Machine Learning 58:5–24): every finding in turn is let depend on
 * one other, and the estimates are averaged, so that findings which go together are not counted as if they did not.
 */
export interface OneDependenceModel {
  causes: string[];
  /** Number of values of each finding, a gap counted as one where gaps tell. */
  sizes: number[];
  joint: (values: readonly number[]) => Float64Array;
  encode: (values: readonly (string | null)[]) => number[];
}

export interface OneDependenceSettings {
  /** Total weight of the uniform prior in each estimate. */
  alpha: number;
  /** 'answer': that something was not recorded is itself an answer; 'silent': it says nothing. Nothing is ever filled in. */
  gaps: 'answer' | 'silent';
}

const UNKNOWN = -1;

/**
 * Fits the tables by counting.
 * @throws RangeError when there are no rows
 */
export function fitOneDependence(table: CaseTable, { alpha, gaps }: OneDependenceSettings): OneDependenceModel {
  if (table.rows.length === 0) throw new RangeError('cannot fit a model to a table with 0 rows');
  const causes = table.labels;
  const of = new Map(causes.map((label, c) => [label, c]));
  const levels = table.levels.map((answers) => new Map(answers.map((answer, i) => [answer, i])));
  const sizes = table.levels.map((answers) => answers.length + (gaps === 'answer' ? 1 : 0));
  const first = sizes.map((_, f) => sizes.slice(0, f).reduce((a, b) => a + b, 0));
  const values = sizes.reduce((a, b) => a + b, 0);
  const [C, F] = [causes.length, sizes.length];
  const encode = (row: readonly (string | null)[]): number[] =>
    row.map((answer, f) => (answer === null ? undefined : levels[f]?.get(answer)) ?? (gaps === 'answer' ? sizes[f]! - 1 : UNKNOWN));
  /** Rows with cause and value; the same with another finding known; the same with another value. */
  const single = new Float64Array(C * values);
  const known = new Float64Array(C * values * F);
  const pair = new Float64Array(C * values * values);
  const rowsKnown = new Float64Array(F);
  for (const row of table.rows) {
    const c = of.get(row.label) ?? 0;
    const x = encode(row.values);
    x.forEach((a, f) => {
      if (a === UNKNOWN) return;
      const v = c * values + first[f]! + a;
      rowsKnown[f]! += 1;
      single[v]! += 1;
      x.forEach((b, g) => {
        if (b === UNKNOWN) return;
        known[v * F + g]! += 1;
        pair[v * values + first[g]! + b]! += 1;
      });
    });
  }
  const prior = new Float64Array(C);
  for (const row of table.rows) prior[of.get(row.label) ?? 0]! += 1;

  /** Natural log of P(cause, values), up to a constant. */
  function joint(x: readonly number[]): Float64Array {
    const told = x.flatMap((a, f) => (a === UNKNOWN ? [] : [f]));
    const parents = told.filter((f) => causes.some((_, c) => single[c * values + first[f]! + x[f]!]! > 0));
    if (parents.length === 0) return prior.map((n) => Math.log(n + alpha / C));
    const logs = parents.map((f) =>
      Float64Array.from({ length: C }, (_, c) => {
        const v = c * values + first[f]! + x[f]!;
        let log = Math.log((single[v]! + alpha / (C * sizes[f]!)) / (rowsKnown[f]! + alpha));
        for (const g of told) if (g !== f) log += Math.log((pair[v * values + first[g]! + x[g]!]! + alpha / sizes[g]!) / (known[v * F + g]! + alpha));
        return log;
      }),
    );
    const top = Math.max(...logs.map((log) => Math.max(...log)));
    return Float64Array.from({ length: C }, (_, c) => Math.log(logs.reduce((sum, log) => sum + Math.exp(log[c]! - top), 0) / logs.length) + top);
  }
  return { causes, sizes, joint, encode };
}
