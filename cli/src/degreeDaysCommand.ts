import Papa from 'papaparse';
import { dailyDegreeDays } from '@sounding/core/season/degreeDays.ts';
import { isoDate } from '@sounding/core/season/calendar.ts';
import { finiteNumber, readText, UsageError } from './input.ts';

export interface DegreeDayOptions {
  lower?: string | undefined;
  upper?: string | undefined;
  method?: string | undefined;
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

/** Daily and accumulated degree-days as CSV text. @throws UsageError naming line and field */
export function degreeDayTable(csv: string, options: DegreeDayOptions): string {
  const lowerC = finiteNumber('--lower', options.lower);
  const upperC = options.upper === undefined ? undefined : finiteNumber('--upper', options.upper);
  const method = options.method ?? 'single-sine';
  if (method !== 'average' && method !== 'single-sine') throw new UsageError(`--method: "${method}" is not one of average, single-sine`);
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
        upperC === undefined ? { lowerC } : { lowerC, upperC },
        method,
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
