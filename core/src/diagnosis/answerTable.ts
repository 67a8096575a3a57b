/**
 * P(answer | cause) for one finding. Causes that speak of the finding have a column of their own; the many that do not share one,
 * so that memory and time grow with what is known, not with causes times findings.
 */
export interface AnswerTable {
  answers: number;
  /** Causes with a column of their own, ascending. */
  speakers: Int32Array;
  /** Their columns, answer by answer: index a · speakers + place. */
  own: Float64Array;
  /** The shared column, by answer. */
  silent: Float64Array;
  /** Place among the speakers by cause, -1 for the silent. */
  placeOf: Int32Array;
}

/** @param columnOf the column of a cause, or null when it says nothing of the finding */
export function answerTable(
  answers: number,
  causes: number,
  silent: ArrayLike<number>,
  columnOf: (cause: number) => ArrayLike<number> | null,
): AnswerTable {
  const columns: ArrayLike<number>[] = [];
  const speakers: number[] = [];
  const placeOf = new Int32Array(causes).fill(-1);
  for (let c = 0; c < causes; c++) {
    const column = columnOf(c);
    if (!column) continue;
    placeOf[c] = speakers.length;
    speakers.push(c);
    columns.push(column);
  }
  const own = new Float64Array(answers * speakers.length);
  columns.forEach((column, s) => {
    for (let a = 0; a < answers; a++) own[a * speakers.length + s] = column[a] ?? 0;
  });
  return { answers, speakers: Int32Array.from(speakers), own, silent: Float64Array.from(silent), placeOf };
}

/** P(answer a | cause c). */
export function chanceOf(table: AnswerTable, a: number, c: number): number {
  const place = table.placeOf[c] ?? -1;
  return (place < 0 ? table.silent[a] : table.own[a * table.speakers.length + place]) ?? 0;
}

/** Every column put through `change`, which gets and returns the chances of all answers. */
export function mapColumns(table: AnswerTable, change: (column: Float64Array) => Float64Array): AnswerTable {
  const n = table.speakers.length;
  const columnAt = (s: number) => Float64Array.from({ length: table.answers }, (_, a) => table.own[a * n + s] ?? 0);
  return answerTable(table.answers, table.placeOf.length, change(table.silent), (c) => {
    const place = table.placeOf[c] ?? -1;
    return place < 0 ? null : change(columnAt(place));
  });
}
