import { createHash, randomUUID } from 'node:crypto';
import { and, asc, desc, eq, sql } from 'drizzle-orm';
import type { EntryView } from '@sounding/contract/api.ts';
import type { Edition, Outcome } from '@sounding/core/edition/edition.ts';
import type { LossTable } from '@sounding/core/edition/losses.ts';
import type { DeskEntry, EntryKind } from '@sounding/knowledge/desk.ts';
import type { Difference } from '@sounding/knowledge/entries.ts';
import type { Complaint } from '@sounding/knowledge/read.ts';
import type { Database, Queryable } from '../db/connect.ts';
import { keepEdition, oneWriterAt, type Who } from '../db/desk.ts';
import { standingRecord } from '../db/deskRecords.ts';
import { standingLearning } from '../db/outcomes.ts';
import { libraryEntries, people } from '../db/schema.ts';
import { ApiError } from '../problems.ts';
import type { Tried, Workshop } from './workshop.ts';

interface Standing {
  revision: number;
  /** Id of what stands as learned, or null. */
  learning: string | null;
  /** Newest revision of the settings. */
  settings: number;
  /** The entries alone, without what was learned. */
  unlearned: Edition;
  edition: Edition;
  entries: DeskEntry[];
}
export interface Change {
  edition: string;
  complaints: Complaint[];
}

/** What a desk has set over its edition: house lines where the trade disagrees, and what wrong advice costs. */
interface Settings {
  revision: number;
  houseLines: Record<string, number> | null;
  losses: LossTable | null;
}

async function settingsOf(db: Queryable, deskId: string): Promise<Settings> {
  const lines = await standingRecord<Record<string, number>>(db, deskId, 'house-lines');
  const losses = await standingRecord<LossTable>(db, deskId, 'losses');
  return { revision: Math.max(lines?.revision ?? 0, losses?.revision ?? 0), houseLines: lines?.body ?? null, losses: losses?.body ?? null };
}

const digestOf = (value: unknown): string => createHash('sha256').update(JSON.stringify(value)).digest('hex').slice(0, 6);

/** An edition with the desk's settings laid in; its version tells them. */
function withSettings(edition: Edition, { houseLines, losses }: Settings): Edition {
  if (!houseLines && !losses) return edition;
  const version = `${edition.version}~${digestOf([houseLines, losses])}`;
  return { ...edition, version, ...(houseLines ? { houseLines } : {}), ...(losses ? { losses } : {}) };
}

/** An edition with confirmed outcomes laid in; its version tells them. */
function withLearning(edition: Edition, learned: { asOf: string; outcomes: Outcome[] } | null): Edition {
  if (!learned) return edition;
  const { asOf, outcomes } = learned;
  return { ...edition, version: `${edition.version}+${digestOf([asOf, outcomes])}`, learned: { asOf, outcomes } };
}

/** The library as each desk has it: the shipped edition with the desk's own entries over it, compiled once a revision. */
export class DeskLibrary {
  private readonly standing = new Map<string, Standing>();
  /** What was compiled last or is being compiled, by desk: everybody who asks for it waits for the one compilation. */
  private readonly compiled = new Map<string, { revision: number; edition: Promise<Edition> }>();

  /**
   * @param workshop where libraries are compiled
   * @param shipped the shipped edition, used as it is by desks that have written nothing
   */
  constructor(
    private readonly db: Database,
    private readonly workshop: Workshop,
    readonly shipped: Edition,
  ) {}

  private async entriesOf(db: Queryable, deskId: string): Promise<{ revision: number; entries: DeskEntry[] }> {
    const rows = await db
      .selectDistinctOn([libraryEntries.kind, libraryEntries.entryId], {
        kind: libraryEntries.kind,
        id: libraryEntries.entryId,
        text: libraryEntries.body,
        revision: libraryEntries.revision,
      })
      .from(libraryEntries)
      .where(eq(libraryEntries.deskId, deskId))
      .orderBy(asc(libraryEntries.kind), asc(libraryEntries.entryId), desc(libraryEntries.revision));
    return {
      revision: rows.reduce((newest, row) => Math.max(newest, row.revision), 0),
      entries: rows.filter((row) => row.text !== '').map(({ kind, id, text }) => ({ kind, id, text })),
    };
  }

  /** Number of the last thing written at a desk. */
  private async newestOf(db: Queryable, deskId: string): Promise<number> {
    const [row] = await db
      .select({ revision: sql<number>`coalesce(max(${libraryEntries.revision}), 0)`.mapWith(Number) })
      .from(libraryEntries)
      .where(eq(libraryEntries.deskId, deskId));
    return row?.revision ?? 0;
  }

  private async of(deskId: string): Promise<Standing> {
    const known = this.standing.get(deskId);
    const newest = await this.newestOf(this.db, deskId);
    const learned = await standingLearning(this.db, deskId);
    const learning = learned?.id ?? null;
    const settings = await settingsOf(this.db, deskId);
    if (known?.revision === newest && known.learning === learning && known.settings === settings.revision) return known;
    const { revision, entries } = await this.entriesOf(this.db, deskId);
    const unlearned =
      known?.revision === revision ? known.unlearned : entries.length === 0 ? this.shipped : await this.compiledAt(deskId, revision, entries);
    const edition = withLearning(withSettings(unlearned, settings), learned);
    const standing = { revision, learning, settings: settings.revision, entries, unlearned, edition };
    this.standing.set(deskId, standing);
    return standing;
  }

  private compiledAt(deskId: string, revision: number, entries: readonly DeskEntry[]): Promise<Edition> {
    const known = this.compiled.get(deskId);
    if (known?.revision === revision) return known.edition;
    const edition = this.workshop.compile(entries);
    const begun = { revision, edition };
    this.compiled.set(deskId, begun);
    // one that failed is tried again; what was begun since is not its affair
    edition.catch(() => this.compiled.get(deskId) === begun && this.compiled.delete(deskId));
    return edition;
  }

  async edition(deskId: string): Promise<Edition> {
    return (await this.of(deskId)).edition;
  }

  /** The edition as it is written, without what cases have taught. */
  async unlearned(deskId: string): Promise<Edition> {
    return (await this.of(deskId)).unlearned;
  }

  /** Keeps the edition that has come of a change in settings or in what was learned. */
  async renew(deskId: string): Promise<void> {
    await keepEdition(this.db, deskId, await this.edition(deskId));
  }

  /** The whole library of a desk as a file. */
  async text(deskId: string, format: 'yaml' | 'json'): Promise<string> {
    return this.workshop.text({ entries: (await this.of(deskId)).entries, format });
  }

  /** What a library file has that this desk's library has not, or has otherwise. @throws ApiError invalid-request when it cannot be read */
  async differing(deskId: string, file: string): Promise<Difference[]> {
    const { entries } = await this.of(deskId);
    const found = await this.workshop.differing({ file, entries });
    if ('unreadable' in found) throw new ApiError('invalid-request', `The library cannot be read: ${found.unreadable}`);
    return found;
  }

  /** One entry with everything that was ever written of it here, newest first. @throws ApiError not-found */
  async entry(deskId: string, kind: EntryKind, id: string): Promise<EntryView> {
    const { entries } = await this.of(deskId);
    const own = entries.find((entry) => entry.kind === kind && entry.id === id);
    const shipped = own ? null : await this.workshop.shippedEntry({ kind, id });
    const rows = await this.db
      .select({
        revision: libraryEntries.revision,
        at: libraryEntries.writtenAt,
        by: people.name,
        note: libraryEntries.note,
        body: libraryEntries.body,
      })
      .from(libraryEntries)
      .innerJoin(people, eq(people.id, libraryEntries.byPerson))
      .where(and(eq(libraryEntries.deskId, deskId), eq(libraryEntries.kind, kind), eq(libraryEntries.entryId, id)))
      .orderBy(desc(libraryEntries.revision));
    if (!own && shipped === null && rows.length === 0) throw new ApiError('not-found', `The library has no entry "${id}" among its ${kind}.`);
    return {
      kind,
      id,
      text: own?.text ?? shipped ?? '',
      from: own ? 'desk' : 'shipped',
      history: rows.map(({ revision, at, by, note, body }) => ({ revision, at: at.toISOString(), by, note, back: body === '' })),
    };
  }

  private overlaid(entries: readonly DeskEntry[], next: readonly DeskEntry[]): DeskEntry[] {
    const kept = entries.filter((entry) => !next.some((n) => n.kind === entry.kind && n.id === entry.id));
    return [...kept, ...next.filter((n) => n.text !== '')];
  }

  /** What entries come to when others are written over them. */
  private tried(entries: readonly DeskEntry[], next: readonly DeskEntry[]): Promise<Tried> {
    const causes = next.filter(({ kind }) => kind === 'causes').map(({ id }) => id);
    return this.workshop.tryOut({ entries: this.overlaid(entries, next), causes });
  }

  /** What writing these entries would come to, without writing them. */
  async tryOut(deskId: string, next: readonly DeskEntry[]): Promise<Change> {
    const { entries } = await this.of(deskId);
    const { edition, complaints } = await this.tried(entries, next);
    return { edition: edition.version, complaints };
  }

  /**
   * Writes entries of a desk; an empty text gives the shipped entry back. Nothing is written when the lint finds an error.
   * @throws ApiError invalid-request with the lint's words, line by line
   */
  async write(who: Who, next: readonly DeskEntry[], note: string, at: Date): Promise<Change> {
    const { revision, tried } = await this.laidDown(who, next, note, at);
    this.compiled.set(who.deskId, { revision, edition: Promise.resolve(tried.edition) });
    this.standing.delete(who.deskId);
    await this.renew(who.deskId);
    return { complaints: tried.complaints, edition: (await this.edition(who.deskId)).version };
  }

  /**
   * Tries entries over what stands and writes them. The trying takes seconds and holds no lock, for calls are taken meanwhile; when somebody
   * else has written by then, it is tried again over theirs: the lint must see what is written beside it.
   */
  private async laidDown(who: Who, next: readonly DeskEntry[], note: string, at: Date): Promise<{ revision: number; tried: Tried }> {
    const { deskId, personId } = who;
    for (;;) {
      const { revision, entries } = await this.entriesOf(this.db, deskId);
      const tried = await this.tried(entries, next);
      const errors = tried.complaints.filter((complaint) => complaint.level === 'error');
      if (errors.length > 0)
        throw new ApiError(
          'invalid-request',
          'The lint does not let this pass; nothing was written.',
          errors.map(({ file, line, text }) => ({ pointer: `${file}:${line}`, detail: text })),
        );
      const isWritten = await this.db.transaction(async (tx) => {
        await oneWriterAt(tx, deskId);
        if ((await this.newestOf(tx, deskId)) !== revision) return false;
        await tx.insert(libraryEntries).values(
          next.map(({ kind, id, text }, i) => ({
            id: randomUUID(),
            deskId,
            kind,
            entryId: id,
            body: text,
            note,
            byPerson: personId,
            revision: revision + 1 + i,
            writtenAt: at,
          })),
        );
        await keepEdition(tx, deskId, tried.edition);
        return true;
      });
      if (isWritten) return { revision: revision + next.length, tried };
    }
  }

  /** Takes back the last thing written of an entry: what stood before it stands again. @throws ApiError conflict when nothing was written */
  async undo(who: Who, kind: EntryKind, id: string, at: Date): Promise<Change> {
    const rows = await this.db
      .select({ body: libraryEntries.body, revision: libraryEntries.revision })
      .from(libraryEntries)
      .where(and(eq(libraryEntries.deskId, who.deskId), eq(libraryEntries.kind, kind), eq(libraryEntries.entryId, id)))
      .orderBy(desc(libraryEntries.revision))
      .limit(2);
    if (rows.length === 0) throw new ApiError('conflict', 'This desk has written nothing of this entry yet.');
    return this.write(who, [{ kind, id, text: rows[1]?.body ?? '' }], `taken back: revision ${rows[0]!.revision}`, at);
  }
}
