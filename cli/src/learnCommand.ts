import Papa from 'papaparse';
import { CauseNames } from '@sounding/core/consult/causeNames.ts';
import { atTemperature, calibrationError, fitTemperature, reliability, type Stated } from '@sounding/core/diagnosis/calibration.ts';
import type { CaseTable } from '@sounding/core/diagnosis/learn.ts';
import { learnFrom, type LearnedChange } from '@sounding/core/diagnosis/learning.ts';
import { fitOneDependence, type OneDependenceModel } from '@sounding/core/diagnosis/oneDependence.ts';
import type { Edition, Outcome } from '@sounding/core/edition/edition.ts';
import { likeliest } from '@sounding/core/language/claims.ts';
import { PlantNames } from '@sounding/core/language/plants.ts';
import { generator, shuffled } from '@sounding/core/numbers/random.ts';
import { isoDate } from '@sounding/core/season/calendar.ts';
import { UsageError } from './input.ts';

export interface LearnOptions {
  /** Column that holds the settled cause. */
  label?: string | undefined;
  host?: string | undefined;
  date?: string | undefined;
  /** The day from which older cases count for less, YYYY-MM-DD; the newest case when left out. */
  today?: string | undefined;
}

const FOLDS = 10;
const SEED = 1980;
/** Weight of the uniform prior in each estimate, see docs/diagnosis.md. */
const SETTINGS = { alpha: 0.1, gaps: 'answer' } as const;
const CHANGES_SHOWN = 60;

interface Sheet {
  header: string[];
  rows: Record<string, string>[];
}

function sheetOf(csv: string): Sheet {
  const { data, meta, errors } = Papa.parse<Record<string, string>>(csv.trim(), { header: true, skipEmptyLines: true });
  const fault = errors.find((error) => error.type !== 'Delimiter');
  if (fault) throw new UsageError(`line ${(fault.row ?? 0) + 2}: ${fault.message}`);
  if (data.length === 0) throw new UsageError('input: no cases below the header');
  return { header: meta.fields ?? [], rows: data };
}

function requireColumn(header: readonly string[], option: string, name: string | undefined): string {
  if (name === undefined) throw new UsageError(`--${option}: names the column; the file has ${header.join(', ')}`);
  if (!header.includes(name)) throw new UsageError(`--${option}: there is no column "${name}"; the file has ${header.join(', ')}`);
  return name;
}

const mostLikely = (p: Float64Array): number => p.reduce((best, x, c) => (x > p[best]! ? c : best), 0);

/** First choice and calibration on folds that the fit has not seen. */
function crossValidated(table: CaseTable) {
  const random = generator(SEED);
  const order = shuffled([...table.rows.keys()], random);
  const fold = new Map(order.map((row, i) => [row, i % FOLDS]));
  const judge = (model: OneDependenceModel, row: CaseTable['rows'][number]) => model.joint(model.encode(row.values));
  const logs = table.rows.map((): Float64Array | null => null);
  for (let k = 0; k < FOLDS; k++) {
    const training = table.rows.filter((_, i) => fold.get(i) !== k);
    if (training.length === 0) continue;
    const model = fitOneDependence({ ...table, rows: training }, SETTINGS);
    table.rows.forEach((row, i) => {
      if (fold.get(i) === k) logs[i] = judge(model, row);
    });
  }
  const cases = table.rows.flatMap((row, i) => (logs[i] ? [{ log: logs[i], right: table.labels.indexOf(row.label) }] : []));
  // the temperature of each half is fitted on the other
  const half = Math.floor(cases.length / 2);
  const stated = [
    [cases.slice(0, half), cases.slice(half)],
    [cases.slice(half), cases.slice(0, half)],
  ].flatMap(([fit = [], judged = []]): Stated[] => {
    const temperature = fit.length === 0 ? 1 : fitTemperature(fit);
    return judged.map(({ log, right }) => {
      const p = atTemperature(log, temperature);
      const first = mostLikely(p);
      return { probability: p[first] ?? 0, right: first === right };
    });
  });
  return {
    folds: FOLDS,
    firstChoice: share(stated.filter((one) => one.right).length, stated.length),
    calibrationError: Number(calibrationError(stated).toFixed(4)),
    reliability: reliability(stated).map(({ from, to, cases: n, said, was }) => ({ from, to, cases: n, said: round(said), was: round(was) })),
  };
}

const round = (x: number): number => Number(x.toFixed(4));
const share = (part: number, all: number): number => (all === 0 ? 0 : round(part / all));

/** Cases told in the edition's own terms: what they would change in its odds and rates. */
function changesOf(sheet: Sheet, label: string, options: LearnOptions, edition: Edition): { matched: number; changes: LearnedChange[] } | null {
  const names = new CauseNames(edition);
  const plants = new PlantNames(edition, () => false);
  const findings = sheet.header.flatMap((column) => edition.findings.find((finding) => finding.id === column) ?? []);
  const newest = options.date ? sheet.rows.map((row) => row[options.date!] ?? '').sort()[sheet.rows.length - 1] : undefined;
  const today = options.today ?? newest;
  const outcomes = sheet.rows.flatMap((row): Outcome[] => {
    const plant = options.host ? plants.resolve(row[options.host] ?? '') : null;
    const named = new Set(names.find([row[label] ?? ''], plant));
    const cause = likeliest(
      edition.causes.filter(({ id }) => named.has(id)),
      plant,
    );
    if (!cause) return [];
    const on = (options.date ? row[options.date] : undefined) ?? today ?? '';
    return [
      {
        cause: cause.id,
        host: plant?.id ?? null,
        on,
        findings: findings.flatMap(({ id }) => (row[id] ? [{ finding: id, answer: row[id] }] : [])),
      },
    ];
  });
  if (outcomes.length === 0 || today === undefined) return null;
  outcomes.forEach(({ on }, i) => dateAt(on, `case ${i + 1}: ${options.date ?? 'date'}`));
  return { matched: outcomes.length, changes: learnFrom(edition, outcomes, dateAt(today, '--today')).changes.slice(0, CHANGES_SHOWN) };
}

function dateAt(text: string, where: string): string {
  try {
    return isoDate(text).toString();
  } catch (error) {
    throw new UsageError(`${where}: ${(error as Error).message}`);
  }
}

/**
 * Fits a table of settled cases: how well it names cases it has not seen, and, where its labels are causes of the edition, what those
 * cases would change in the edition's odds and rates. Gaps stay gaps.
 * @throws UsageError naming option, line or column
 */
export function learnText(csv: string, options: LearnOptions, edition: Edition): string {
  const sheet = sheetOf(csv);
  const label = requireColumn(sheet.header, 'label', options.label);
  for (const name of ['host', 'date'] as const) if (options[name] !== undefined) requireColumn(sheet.header, name, options[name]);
  const aside = new Set([label, options.host, options.date]);
  const columns = sheet.header.filter((column) => !aside.has(column));
  if (columns.length === 0) throw new UsageError('header: there is no finding beside the label');
  sheet.rows.forEach((row, i) => {
    if (!row[label]?.trim()) throw new UsageError(`line ${i + 2}: ${label} is empty; a case without a settled cause teaches nothing`);
  });
  const rows = sheet.rows.map((row) => ({ label: row[label]!.trim(), values: columns.map((column) => row[column]?.trim() || null) }));
  const table: CaseTable = {
    columns,
    levels: columns.map((_, f) => [...new Set(rows.flatMap(({ values }) => values[f] ?? []))].sort()),
    labels: [...new Set(rows.map((row) => row.label))].sort(),
    rows,
  };
  const gaps = rows.reduce((sum, { values }) => sum + values.filter((value) => value === null).length, 0);
  const own = changesOf(sheet, label, options, edition);
  return JSON.stringify(
    {
      cases: rows.length,
      labels: table.labels.length,
      findings: columns.length,
      gaps,
      ...crossValidated(table),
      ...(own ? { edition: edition.version, casesOfTheEdition: own.matched, changes: own.changes } : {}),
    },
    null,
    2,
  );
}
