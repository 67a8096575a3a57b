import Papa from 'papaparse';
import { CUTOFFS, DEGREE_DAY_METHODS } from '@sounding/core/edition/bases.ts';
import { dailyDegreeDays } from '@sounding/core/season/degreeDays.ts';
import { isoDate } from '@sounding/core/season/calendar.ts';
import { finiteNumber, readText, UsageError } from './input.ts';

export interface DegreeDayOptions {
  lower?: string | undefined;
  upper?: string | undefined;
  method?: string | undefined;
  cutoff?: string | undefined;
}

const COLUMNS = {
  date: ['date', 'day', 'on'],
  min: ['minimum', 'min', 'tmin', 'temp_min', 'min_c', 'minc'],
  max: ['maximum', 'max', 'tmax', 'temp_max', 'max_c', 'maxc'],
} as const;

function columnOf(header: readonly string[], names: readonly string[], what: string): string {
  const found = header.find((column) => names.includes(column.trim().toLowerCase()));
  if (found === undefined) throw new UsageError(`header: no column for ${what} (one of ${names.join(', ')})`);
  return found;
}

function oneOf<T extends string>(option: string, allowed: readonly T[], value: string): T {
  const found = allowed.find((one) => one === value);
  if (!found) throw new UsageError(`${option}: "${value}" is not one of ${allowed.join(', ')}`);
  return found;
}

/** The next row's minimum, for the double methods; a row that cannot be read is complained of when its turn comes. */
function nextMinimum(cell: string | undefined): number | undefined {
  const value = cell === undefined || cell.trim() === '' ? NaN : Number(cell);
  return Number.isFinite(value) ? value : undefined;
}

/** Daily and accumulated degree-days as CSV text. @throws UsageError naming line and field */
export function degreeDayTable(csv: string, options: DegreeDayOptions): string {
  const lowerC = finiteNumber('--lower', options.lower);
  const upperC = options.upper === undefined ? undefined : finiteNumber('--upper', options.upper);
  const method = oneOf('--method', DEGREE_DAY_METHODS, options.method ?? 'single-sine');
  const cutoff = oneOf('--cutoff', CUTOFFS, options.cutoff ?? 'horizontal');
  if (upperC !== undefined && upperC <= lowerC) throw new UsageError(`--upper: ${upperC} is not above --lower ${lowerC}`);
  const parsed = Papa.parse<Record<string, string>>(csv.trim(), { header: true, skipEmptyLines: true });
  const header = parsed.meta.fields ?? [];
  const [date, min, max] = [
    columnOf(header, COLUMNS.date, 'date'),
    columnOf(header, COLUMNS.min, 'minimum'),
    columnOf(header, COLUMNS.max, 'maximum'),
  ];
  let sum = 0;
  const rows = parsed.data.map((row, i) => {
    const line = i + 2;
    const at = (column: string) => row[column] ?? '';
    try {
      const on = isoDate(at(date).trim()).toString();
      const gain = dailyDegreeDays(
        finiteNumber('minimum', at(min)),
        finiteNumber('maximum', at(max)),
        upperC === undefined ? { lowerC } : { lowerC, upperC, cutoff },
        method,
        nextMinimum(parsed.data[i + 1]?.[min]),
      );
      sum += gain;
      return { date: on, minimum: at(min), maximum: at(max), degree_days: gain.toFixed(3), accumulated: sum.toFixed(3) };
    } catch (error) {
      throw new UsageError(`line ${line}: ${(error as Error).message}`);
    }
  });
  if (rows.length === 0) throw new UsageError('input: no days below the header');
  return Papa.unparse(rows, { newline: '\n' });
}

export const degreeDaysCommand = (file: string | undefined, options: DegreeDayOptions): string => degreeDayTable(readText(file), options);
