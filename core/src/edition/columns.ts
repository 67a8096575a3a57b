import type { Cause, CauseRate, Edition, Plant } from './edition.ts';
import { packHosts, unpackHosts } from './hostLines.ts';
import { packRates, unpackRates } from './rateLines.ts';
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
  lookAlikes: NestedColumns;
  /** The list callers' words are packed by. */
  words: string;
};

/** A field of lists of rows, laid out by field once more: how many rows each list has, null where there is no list. */
interface NestedColumns extends Columns {
  counts: (number | null)[];
}

/** A field of a cause that packs better so; others, of rows that are more alike than their fields, do not. */
const NESTED = 'lookAlikes';

/** Asked for with the columns, which browsers keep for ever: another number where they are laid out in another way. */
export const COLUMNS_FORM = 6;

/** Fields of a cause that pack better when they stand in this order, like beside like; the others follow. */
const FIRST = ['heard', 'told', 'rates', 'hosts', 'id', 'name', 'also', 'latin', 'worth', 'replyLine', 'story', 'options'];

const inOrder = (fields: Record<string, unknown[]>): Record<string, unknown[]> => ({
  ...Object.fromEntries(FIRST.flatMap((field) => (fields[field] ? [[field, fields[field]]] : []))),
  ...fields,
});

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

function toNested(lists: readonly (readonly object[] | null)[]): NestedColumns {
  return { ...toColumns(lists.flatMap((list) => list ?? [])), counts: lists.map((list) => list?.length ?? null) };
}

function fromNested(nested: NestedColumns): (object[] | null)[] {
  const rows = toRows(nested);
  let from = 0;
  return nested.counts.map((count) => (count === null ? null : rows.slice(from, (from += count))));
}

export function asColumns(edition: Edition): EditionColumns {
  const causes = toColumns(edition.causes);
  const fields = BAGS.filter((field) => causes.fields[field]);
  const { words, bags } = packBags(fields.flatMap((field) => causes.fields[field] as (string | null)[]));
  fields.forEach((field, i) => (causes.fields[field] = bags.slice(i * causes.rows, (i + 1) * causes.rows)));
  const { [NESTED]: lists = [], ...others } = causes.fields;
  if (others.rates) others.rates = (others.rates as CauseRate[][]).map(packRates);
  if (others.hosts) others.hosts = (others.hosts as Cause['hosts'][]).map(packHosts);
  return {
    ...edition,
    causes: { ...causes, fields: inOrder(others) },
    [NESTED]: toNested(lists as (object[] | null)[]),
    plants: toColumns(edition.plants),
    words,
  };
}

/** The edition again. A field that was null comes back missing. */
export function asRows({ words, causes, plants, [NESTED]: nested, ...rest }: EditionColumns): Edition {
  const unpacked = BAGS.flatMap((field) => {
    const bags = causes.fields[field] as (string | null)[] | undefined;
    return bags ? [[field, unpackBags({ words, bags })] as const] : [];
  });
  const rates = (causes.fields.rates as (string | CauseRate[])[] | undefined)?.map(unpackRates);
  const hosts = (causes.fields.hosts as (string | Cause['hosts'])[] | undefined)?.map(unpackHosts);
  const whole = {
    rows: causes.rows,
    fields: {
      ...causes.fields,
      ...(rates ? { rates } : {}),
      ...(hosts ? { hosts } : {}),
      ...Object.fromEntries(unpacked),
      [NESTED]: fromNested(nested),
    },
  };
  return { ...rest, causes: toRows(whole) as Cause[], plants: toRows(plants) as Plant[] };
}
