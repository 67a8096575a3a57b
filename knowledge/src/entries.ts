import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse, stringify } from 'yaml';
import { ENTRY_KINDS, type DeskEntry, type EntryKind } from './desk.ts';

type Row = Record<string, unknown> & { id: string };
/** A whole library as plain rows, the way it is written: what is taken out and brought in. */
export type Library = Record<EntryKind, Row[]>;

const isRow = (value: unknown): value is Row => typeof value === 'object' && value !== null && typeof (value as { id?: unknown }).id === 'string';

/** The rows of the folder as they are written, short forms and all, with those of a desk over them. */
export function writtenLibrary(root: string, desk: readonly DeskEntry[] = []): Library {
  const rowsOf = (kind: EntryKind): Row[] => {
    const own = new Map(desk.filter((entry) => entry.kind === kind).map((entry) => [entry.id, parse(entry.text) as Row]));
    const base = readdirSync(join(root, kind))
      .filter((file) => file.endsWith('.yaml'))
      .sort()
      .flatMap((file) => parse(readFileSync(join(root, kind, file), 'utf8')) as Row[]);
    const known = new Set(base.map((row) => row.id));
    return [...base.map((row) => own.get(row.id) ?? row), ...[...own.values()].filter((row) => !known.has(row.id))];
  };
  return { plants: rowsOf('plants'), findings: rowsOf('findings'), causes: rowsOf('causes') };
}

/** One entry as YAML text a person can edit. */
export const entryText = (row: Row): string => stringify(row, { lineWidth: 0 });

/** A library as text; both forms are read back by `readLibrary`. */
export const libraryText = (library: Library, format: 'yaml' | 'json'): string =>
  format === 'json' ? `${JSON.stringify(library, null, 1)}\n` : stringify(library, { lineWidth: 150 });

/** Reads a library that was taken out. JSON is YAML too. @throws Error saying what is wrong with the text */
export function readLibrary(text: string): Library {
  const value: unknown = parse(text);
  if (typeof value !== 'object' || value === null || Array.isArray(value)) throw new Error('wants an object with plants, findings and causes');
  const unknown = Object.keys(value).find((key) => !(ENTRY_KINDS as readonly string[]).includes(key));
  if (unknown !== undefined) throw new Error(`"${unknown}" is not one of ${ENTRY_KINDS.join(', ')}`);
  const rowsOf = (kind: EntryKind): Row[] => {
    const rows = (value as Record<string, unknown>)[kind] ?? [];
    if (!Array.isArray(rows)) throw new Error(`${kind}: wants a list`);
    rows.forEach((row, i) => {
      if (!isRow(row)) throw new Error(`${kind}[${i}]: has no id`);
    });
    return rows as Row[];
  };
  return { plants: rowsOf('plants'), findings: rowsOf('findings'), causes: rowsOf('causes') };
}

export type Difference = DeskEntry & { what: 'new' | 'changed' };

/** The entries of a library that are new or differ from those of another. */
export function differing(next: Library, now: Library): Difference[] {
  return ENTRY_KINDS.flatMap((kind) => {
    const known = new Map(now[kind].map((row) => [row.id, JSON.stringify(row)]));
    return next[kind].flatMap((row) => {
      const before = known.get(row.id);
      return before === JSON.stringify(row)
        ? []
        : [{ kind, id: row.id, text: entryText(row), what: before === undefined ? ('new' as const) : ('changed' as const) }];
    });
  });
}
