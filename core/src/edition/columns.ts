import type { Cause, Edition, Plant } from './edition.ts';

/** Rows of one kind laid out by field; null where a row has no such field. */
export interface Columns {
  rows: number;
  fields: Record<string, unknown[]>;
}

/** An edition as it travels: like beside like packs 6 % smaller than row after row. */
export type EditionColumns = Omit<Edition, 'causes' | 'plants'> & { causes: Columns; plants: Columns };

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

export const asColumns = (edition: Edition): EditionColumns => ({ ...edition, causes: toColumns(edition.causes), plants: toColumns(edition.plants) });

/** The edition again. A field that was null comes back missing. */
export const asRows = (edition: EditionColumns): Edition => ({
  ...edition,
  causes: toRows(edition.causes) as Cause[],
  plants: toRows(edition.plants) as Plant[],
});
