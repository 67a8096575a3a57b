import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { isMap, isScalar, isSeq, LineCounter, parseDocument, type Node } from 'yaml';
import type { z } from 'zod';

export interface Place {
  file: string;
  line: number;
}
/** Something a horticulturist should look at, with the line it stands on. */
export interface Complaint extends Place {
  level: 'error' | 'warning';
  text: string;
}
export type Placed<T> = T & { place: Place };

function lineOf(node: unknown, lines: LineCounter): number {
  const range = (node as Node | null)?.range;
  return range ? lines.linePos(range[0]).line : 1;
}

/** The line of a key path inside a row, or of the nearest part of it that exists. */
function lineAt(row: unknown, path: readonly PropertyKey[], lines: LineCounter, fallback: number): number {
  let node: unknown = row;
  let line = fallback;
  for (const key of path) {
    if (isMap(node)) {
      const pair = node.items.find((item) => isScalar(item.key) && item.key.value === key);
      if (!pair) return line;
      line = lineOf(pair.key, lines);
      node = pair.value;
    } else if (isSeq(node)) {
      node = node.items[Number(key)];
      if (!node) return line;
      line = lineOf(node, lines);
    } else return line;
  }
  return line;
}

/** Reads the rows of one YAML text, checking each against `schema`; faults are collected, sound rows returned. */
export function readRows<S extends z.ZodType>(file: string, text: string, schema: S, complaints: Complaint[]): Placed<z.infer<S> & object>[] {
  const lines = new LineCounter();
  const document = parseDocument(text, { lineCounter: lines });
  for (const error of document.errors)
    complaints.push({ file, line: lines.linePos(error.pos[0]).line, level: 'error', text: error.message.split('\n')[0] ?? 'not YAML' });
  if (document.errors.length > 0) return [];
  const rows = isSeq(document.contents) ? document.contents.items : [document.contents];
  return rows.flatMap((row) => {
    const place = { file, line: lineOf(row, lines) };
    const parsed = schema.safeParse((row as Node | null)?.toJS(document));
    if (parsed.success) return [{ ...(parsed.data as z.infer<S> & object), place }];
    for (const issue of parsed.error.issues) {
      complaints.push({
        file,
        line: lineAt(row, issue.path, lines, place.line),
        level: 'error',
        text: `${issue.path.join('.') || 'row'}: ${issue.message}`,
      });
    }
    return [];
  });
}

interface Read {
  text: string;
  rows: Placed<object>[];
  complaints: Complaint[];
}

/** Files as they were last read, by schema: a desk that changes one entry must not wait for all the others to be parsed again. Rows are never changed. */
const lastRead = new WeakMap<z.ZodType, Map<string, Read>>();

function readFile<S extends z.ZodType>(root: string, file: string, schema: S, complaints: Complaint[]): Placed<z.infer<S> & object>[] {
  const path = join(root, file);
  const text = readFileSync(path, 'utf8');
  const files = lastRead.get(schema) ?? new Map<string, Read>();
  lastRead.set(schema, files);
  let read = files.get(path);
  if (read?.text !== text) {
    const found: Complaint[] = [];
    read = { text, rows: readRows(file, text, schema, found), complaints: found };
    files.set(path, read);
  }
  complaints.push(...read.complaints);
  return read.rows as Placed<z.infer<S> & object>[];
}

/** Every YAML file of a folder, or one file. */
export function readFolder<S extends z.ZodType>(root: string, name: string, schema: S, complaints: Complaint[]): Placed<z.infer<S> & object>[] {
  const files = name.endsWith('.yaml')
    ? [name]
    : readdirSync(join(root, name))
        .filter((f) => f.endsWith('.yaml'))
        .sort()
        .map((f) => join(name, f));
  return files.flatMap((file) => readFile(root, file, schema, complaints));
}
