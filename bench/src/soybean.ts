import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { fitModel, type CaseTable } from '@sounding/core/diagnosis/learn.ts';
import type { DiagnosticModel } from '@sounding/core/diagnosis/model.ts';
import { posterior, type Reading } from '@sounding/core/diagnosis/posterior.ts';
import { rankQuestions } from '@sounding/core/diagnosis/questions.ts';
import { generator, shuffled } from '@sounding/core/numbers/random.ts';

/** Michalski & Chilausky 1980; see data/README.md. Gaps stay gaps. */
export function loadSoybean(): CaseTable {
  const text = readFileSync(new URL('../data/soybean.csv', import.meta.url), 'utf8');
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), { header: true });
  const columns = (meta.fields ?? []).filter((field) => field !== 'Class');
  const rows = data.map((row) => ({ label: row['Class'] ?? '', values: columns.map((c) => (row[c] === '' ? null : (row[c] ?? null))) }));
  const levels = columns.map((_, i) => [...new Set(rows.flatMap((row) => row.values[i] ?? []))].sort());
  return { columns, levels, labels: [...new Set(rows.map((row) => row.label))].sort(), rows };
}

/** Fold of each row, 0 to 9: shuffled within each disease, so that every fold has its share. */
export function tenFolds(table: CaseTable, seed: number): number[] {
  const random = generator(seed);
  const fold = new Array<number>(table.rows.length).fill(0);
  let next = 0;
  for (const label of table.labels) {
    const own = table.rows.flatMap((row, i) => (row.label === label ? [i] : []));
    for (const i of shuffled(own, random)) fold[i] = next++ % 10;
  }
  return fold;
}

/** A settled case is seen through no channel at all: what stands in the table is what was there. */
const EXACT = { laboratory: 1 } as const;
const exact = (model: DiagnosticModel): DiagnosticModel => ({ ...model, findings: model.findings.map((f) => ({ ...f, reliability: EXACT })) });

export function readingsOf(table: CaseTable, row: CaseTable['rows'][number], only?: ReadonlySet<string>): Reading[] {
  return table.columns.flatMap((finding, i) => {
    const answer = row.values[i];
    return answer == null || (only && !only.has(finding)) ? [] : [{ finding, answer, channel: 'laboratory' as const }];
  });
}

export function firstChoice(model: DiagnosticModel, readings: Reading[]): string {
  const p = posterior(model, readings);
  let best = 0;
  for (let c = 1; c < p.length; c++) if (p[c]! > p[best]!) best = c;
  return model.causes[best]!;
}

/** Asks the question worth most, reads its answer from the row, and says after each whether the first choice is right. */
export function askStepwise(model: DiagnosticModel, table: CaseTable, row: CaseTable['rows'][number], steps: number): boolean[] {
  const readings: Reading[] = [];
  const asked = new Set<string>();
  const right: boolean[] = [];
  for (let step = 0; step < steps; step++) {
    const question = rankQuestions(model, posterior(model, readings), asked, 'laboratory')[0];
    if (question) {
      asked.add(question.finding);
      readings.push(...readingsOf(table, row, new Set([question.finding])));
    }
    right.push(firstChoice(model, readings) === row.label);
  }
  return right;
}

export interface SoybeanResult {
  firstChoice: number;
  afterQuestions: number[];
  microsecondsACase: number;
  cases: number;
}

export function crossValidate(table: CaseTable, folds: readonly number[], steps: number): SoybeanResult {
  let right = 0;
  let nanoseconds = 0;
  const stepwise = new Array<number>(steps).fill(0);
  for (let fold = 0; fold < 10; fold++) {
    const model = exact(fitModel({ ...table, rows: table.rows.filter((_, i) => folds[i] !== fold) }));
    const judged = table.rows.filter((_, i) => folds[i] === fold);
    const all = judged.map((row) => readingsOf(table, row));
    const start = process.hrtime.bigint();
    const named = all.map((readings) => firstChoice(model, readings));
    nanoseconds += Number(process.hrtime.bigint() - start);
    right += named.filter((label, i) => label === judged[i]!.label).length;
    for (const row of judged) askStepwise(model, table, row, steps).forEach((ok, i) => (stepwise[i]! += ok ? 1 : 0));
  }
  const n = table.rows.length;
  return { firstChoice: right / n, afterQuestions: stepwise.map((x) => x / n), microsecondsACase: nanoseconds / 1000 / n, cases: n };
}

/** The data's own order: the first 307 are fitted, the other 376 judged. */
export function ownOrder(table: CaseTable): number {
  const model = exact(fitModel({ ...table, rows: table.rows.slice(0, 307) }));
  const judged = table.rows.slice(307);
  return judged.filter((row) => firstChoice(model, readingsOf(table, row)) === row.label).length / judged.length;
}
