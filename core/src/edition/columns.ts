import type { Cause, Edition, Plant } from './edition.ts';
import { packBags, unpackBags } from './wordBags.ts';

/** Rows of one kind laid out by field; null where a row has no such field. */
export interface Columns {
  rows: number;
  fields: Record<string, unknown[]>;
}

/** An edition as it travels: like beside like packs 6 % smaller than row after row, and callers' words by a list of their own. */
export type EditionColumns = Omit<Edition, 'causes' | 'plants'> & {
  causes: Columns;
  plants: Columns;
  /** The list callers' words are packed by. */
  words: string;
};

/** Asked for with the columns, which browsers keep for ever: another number where they are laid out in another way. */
export const COLUMNS_FORM = 3;

/** Fields of a cause that are only words and how often callers say them. */
const BAGS = ['heard', 'told'] as const;

function toColumns(rows: readonly object[]): Columns {
  const fields: Record<string, unknown[]> = {};
  rows.forEach((row, at) => {
    for (const [field, value] of Object.entries(row)) (fields[field] ??= Array.from({ length: rows.length }, () => null))[at] = value ?? null;
  });
  return { rows: rows.length, fields };
}

function toRows(columns: Columns): object[] {
  const fields = Object.entries(columns.fields);
  return Array.from({ length: columns.rows }, (_, at) =>
    Object.fromEntries(fields.filter(([, values]) => values[at] !== null).map(([field, values]) => [field, values[at]])),
  );
}

export function asColumns(edition: Edition): EditionColumns {
  const causes = toColumns(edition.causes);
  const fields = BAGS.filter((field) => causes.fields[field]);
  const { words, bags } = packBags(fields.flatMap((field) => causes.fields[field] as (string | null)[]));
  fields.forEach((field, i) => (causes.fields[field] = bags.slice(i * causes.rows, (i + 1) * causes.rows)));
  return { ...edition, causes, plants: toColumns(edition.plants), words };
}

/** The edition again. A field that was null comes back missing. */
export function asRows({ words, causes, plants, ...rest }: EditionColumns): Edition {
  const unpacked = BAGS.flatMap((field) => {
    const bags = causes.fields[field] as (string | null)[] | undefined;
    return bags ? [[field, unpackBags({ words, bags })] as const] : [];
  });
  const whole = { rows: causes.rows, fields: { ...causes.fields, ...Object.fromEntries(unpacked) } };
  return { ...rest, causes: toRows(whole) as Cause[], plants: toRows(plants) as Plant[] };
}
