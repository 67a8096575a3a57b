import type { Cause } from '@sounding/core/edition/causes.ts';

/**
 * An edition travels, and like beside like travels shorter: three kilobytes by the order of rows, one by that of names and hosts.
 * Only where no one minds the order is it changed.
 */

/** Rows in the order of what these fields hold; without fields, of all they hold. */
export function likeBesideLike<Row extends object>(rows: readonly Row[], ...fields: (keyof Row)[]): Row[] {
  const key = (row: Row) => JSON.stringify(fields.length === 0 ? row : fields.map((field) => row[field]));
  return rows
    .map((row) => ({ row, key: key(row) }))
    .sort((a, b) => (a.key < b.key ? -1 : Number(a.key > b.key)))
    .map(({ row }) => row);
}

/** Names by the alphabet, first those that several causes go by; hosts by kind and name. */
export function inPackingOrder(causes: readonly Cause[]): Cause[] {
  const bearers = new Map<string, number>();
  for (const name of causes.flatMap(({ also }) => also)) bearers.set(name, (bearers.get(name) ?? 0) + 1);
  const isShared = (name: string) => (bearers.get(name) ?? 0) > 1;
  return causes.map((cause) => ({
    ...cause,
    also: [...cause.also].sort().sort((a, b) => Number(isShared(b)) - Number(isShared(a))),
    hosts: { ...cause.hosts, include: likeBesideLike(cause.hosts.include) },
  }));
}
