import type { z } from 'zod';
import { readFolder, readRows, type Complaint, type Placed } from './read.ts';

/** Kinds of entries a desk may write itself. */
export const ENTRY_KINDS = ['plants', 'findings', 'causes'] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];
/** One entry a desk has written: a YAML row that stands in place of the one with its id, or is new. */
export interface DeskEntry {
  kind: EntryKind;
  id: string;
  text: string;
}

/** Rows of the folder with those of the desk over them; places of the desk's are "desk/kind/id". */
export function withDesk<S extends z.ZodType>(
  root: string,
  kind: EntryKind,
  schema: S,
  desk: readonly DeskEntry[],
  complaints: Complaint[],
): Placed<z.infer<S> & { id: string }>[] {
  const own = desk.filter((entry) => entry.kind === kind);
  const replaced = new Set(own.map((entry) => entry.id));
  const rows = readFolder(root, kind, schema, complaints) as Placed<z.infer<S> & { id: string }>[];
  const written = own.flatMap(({ id, text }) => {
    const place = `desk/${kind}/${id}`;
    const read = readRows(place, text, schema, complaints) as Placed<z.infer<S> & { id: string }>[];
    if (read.length > 1) complaints.push({ file: place, line: 1, level: 'error', text: 'wants one entry, not a list' });
    return read.filter((row) => {
      if (row.id !== id) complaints.push({ file: place, line: 1, level: 'error', text: `the id is "${row.id}", wanted "${id}"` });
      return row.id === id;
    });
  });
  return [...rows.filter((row) => !replaced.has(row.id)), ...written];
}
