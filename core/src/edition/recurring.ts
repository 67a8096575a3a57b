/** A row, or in its stead its place among those that recur. */
type Placed = object | number;
type Field<Row> = (Row | Row[] | null)[];

const rowsOf = (value: unknown): unknown[] => (Array.isArray(value) ? value : value === null ? [] : [value]);

const eachRow = <From, To>(field: Field<From>, of: (row: From) => To): Field<To> =>
  field.map((value) => (Array.isArray(value) ? value.map(of) : value === null ? null : of(value)));

/** Rows that stand more than once in a field of rows, or of lists of rows, most frequent first. */
export function recurringIn(field: readonly unknown[]): object[] {
  const found = new Map<string, { row: object; times: number }>();
  for (const row of field.flatMap(rowsOf)) {
    const key = JSON.stringify(row);
    const known = found.get(key);
    if (known) known.times += 1;
    else found.set(key, { row: row as object, times: 1 });
  }
  return [...found.values()]
    .filter(({ times }) => times > 1)
    .sort((a, b) => b.times - a.times)
    .map(({ row }) => row);
}

/** A field with the places of rows that recur in their stead. */
export function withPlaces(field: readonly unknown[], recurring: readonly object[]): Field<Placed> {
  const places = new Map(recurring.map((row, place) => [JSON.stringify(row), place]));
  return eachRow(field as Field<object>, (row) => places.get(JSON.stringify(row)) ?? row);
}

/** The field again; rows that recur are one object in many places, and an edition is never changed in place. */
export const fromPlaces = (field: readonly unknown[], recurring: readonly object[]): Field<object> =>
  eachRow(field as Field<Placed>, (row) => (typeof row === 'number' ? recurring[row]! : row));
