import type { Edition } from '@sounding/core/edition/edition.ts';
import { compile } from '@sounding/knowledge/compile.ts';
import type { DeskEntry, EntryKind } from '@sounding/knowledge/desk.ts';
import { differing, entryText, libraryText, readLibrary, writtenLibrary, type Difference, type Library } from '@sounding/knowledge/entries.ts';
import { lint } from '@sounding/knowledge/lint.ts';
import type { Complaint } from '@sounding/knowledge/read.ts';

/** What the compiler and the lint say to a set of entries, and the edition it would be. */
export interface Tried {
  edition: Edition;
  complaints: Complaint[];
}

/** Why a library file cannot be read. It is no error: those of another thread come back without their kind. */
export interface Unreadable {
  unreadable: string;
}

/**
 * All that takes seconds with a whole library. Each job takes and gives plain data, so that it can be done in a thread of its own:
 * the server's thread must go on answering a desk while its coordinator writes.
 */
export interface Workshop {
  /** The edition of the shipped library with these entries over it. */
  compile: (entries: readonly DeskEntry[]) => Promise<Edition>;
  /** The same with what compiler and lint say; of the causes only those named are linted. */
  tryOut: (job: { entries: readonly DeskEntry[]; causes: readonly string[] }) => Promise<Tried>;
  /** The library with these entries over it, as a file. */
  text: (job: { entries: readonly DeskEntry[]; format: 'yaml' | 'json' }) => Promise<string>;
  /** A shipped entry as it is written, or null. */
  shippedEntry: (job: { kind: EntryKind; id: string }) => Promise<string | null>;
  /** Entries of a library file that are new to the library with these entries over it, or differ; or what is wrong with the file. */
  differing: (job: { file: string; entries: readonly DeskEntry[] }) => Promise<Difference[] | Unreadable>;
}

/** A job as a promise: what it throws is refused, not thrown. */
const promised =
  <Task, Result>(job: (task: Task) => Result) =>
  (task: Task): Promise<Result> =>
    new Promise((resolve) => resolve(job(task)));

function readOr(file: string): Library | Unreadable {
  try {
    return readLibrary(file);
  } catch (error) {
    return { unreadable: error instanceof Error ? (error.message.split('\n')[0] ?? '') : String(error) };
  }
}

/** The workshop in the thread that calls it. @param root folder of the shipped knowledge */
export function workshopHere(root: string): Workshop {
  return {
    compile: promised((entries) => compile(root, entries).edition),
    tryOut: promised(({ entries, causes }) => {
      const compiled = compile(root, entries);
      return { edition: compiled.edition, complaints: [...compiled.complaints, ...lint(compiled, new Set(causes))] };
    }),
    text: promised(({ entries, format }) => libraryText(writtenLibrary(root, entries), format)),
    shippedEntry: promised(({ kind, id }) => {
      const row = writtenLibrary(root)[kind].find((shipped) => shipped.id === id);
      return row ? entryText(row) : null;
    }),
    differing: promised(({ file, entries }) => {
      const brought = readOr(file);
      return 'unreadable' in brought ? brought : differing(brought, writtenLibrary(root, entries));
    }),
  };
}
