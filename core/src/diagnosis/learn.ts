import { answerTable } from './answerTable.ts';
import type { DiagnosticModel, ModelFinding } from './model.ts';

/** A table of settled cases: one label and one value (or null for a gap) a column. */
export interface CaseTable {
  columns: string[];
  /** Every value that occurs, by column. */
  levels: string[][];
  labels: string[];
  rows: { label: string; values: (string | null)[] }[];
}

/**
 * Fits a diagnostic model to settled cases by counting, with `alpha` added to every cell (Laplace 1814 for 1).
 * Gaps are left out of the counts, never filled in.
 * @throws RangeError when there are no rows
 */
export function fitModel(table: CaseTable, alpha = 1): DiagnosticModel {
  if (table.rows.length === 0) throw new RangeError('cannot fit a model to a table with 0 rows');
  const causes = table.labels;
  const of = new Map(causes.map((label, i) => [label, i]));
  const counts = new Float64Array(causes.length);
  for (const row of table.rows) counts[of.get(row.label) ?? -1]! += 1;
  const findings = table.columns.map((id, column): ModelFinding => {
    const answers = table.levels[column] ?? [];
    const index = new Map(answers.map((answer, i) => [answer, i]));
    const cells = new Float64Array(answers.length * causes.length).fill(alpha);
    const background = new Float64Array(answers.length).fill(alpha);
    for (const row of table.rows) {
      const a = index.get(row.values[column] ?? '');
      if (a === undefined) continue;
      cells[a * causes.length + (of.get(row.label) ?? 0)]! += 1;
      background[a]! += 1;
    }
    for (let c = 0; c < causes.length; c++) {
      let sum = 0;
      for (let a = 0; a < answers.length; a++) sum += cells[a * causes.length + c] ?? 0;
      for (let a = 0; a < answers.length; a++) cells[a * causes.length + c]! /= sum;
    }
    const total = background.reduce((s, x) => s + x, 0);
    const shares = background.map((x) => x / total);
    const columnOf = (c: number) => answers.map((_, a) => cells[a * causes.length + c] ?? 0);
    return { id, answers, table: answerTable(answers.length, causes.length, shares, columnOf), background: shares, seconds: 1 };
  });
  const total = table.rows.length + alpha * causes.length;
  return {
    causes,
    logPrior: counts.map((n) => Math.log((n + alpha) / total)),
    findings,
    findingIndex: new Map(findings.map((f, i) => [f.id, i])),
  };
}
