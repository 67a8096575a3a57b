import { readFileSync } from 'node:fs';
import { z } from 'zod';

/** A message for standard error; the command ends with exit code 2. */
export class UsageError extends Error {}

export function readText(file: string | undefined): string {
  try {
    return readFileSync(file === undefined || file === '-' ? 0 : file, 'utf8');
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code;
    throw new UsageError(`file: cannot read "${file ?? '-'}"${code === 'ENOENT' ? ': no such file' : code ? `: ${code}` : ''}`);
  }
}

export interface Row {
  /** 1-based line for JSON Lines, null for one JSON document. */
  line: number | null;
  value: unknown;
}

/** One JSON document, or JSON Lines. */
export function parseJsonOrLines(text: string): Row[] {
  const trimmed = text.trim();
  if (trimmed === '') throw new UsageError('input: is empty');
  try {
    return [{ line: null, value: JSON.parse(trimmed) as unknown }];
  } catch (error) {
    if (!/^\s*[{[].*[}\]]\s*$/m.test(trimmed) || !trimmed.includes('\n')) throw new UsageError(`input: not JSON: ${(error as Error).message}`);
  }
  return trimmed.split('\n').flatMap((line, i) => {
    if (line.trim() === '') return [];
    try {
      return [{ line: i + 1, value: JSON.parse(line) as unknown }];
    } catch (error) {
      throw new UsageError(`line ${i + 1}: not JSON: ${(error as Error).message}`);
    }
  });
}

export function finiteNumber(name: string, text: string | undefined): number {
  const parsed = z.coerce
    .number()
    .finite()
    .safeParse(text === undefined || text.trim() === '' ? 'none' : text);
  if (!parsed.success) throw new UsageError(`${name}: "${text ?? ''}" is not a number`);
  return parsed.data;
}
