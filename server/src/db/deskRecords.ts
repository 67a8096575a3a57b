import { randomUUID } from 'node:crypto';
import { and, asc, desc, eq, sql } from 'drizzle-orm';
import type { RecordHistory } from '@sounding/contract/labels.ts';
import { ApiError } from '../problems.ts';
import type { Database, Queryable } from './connect.ts';
import { oneWriterAt, type Who } from './desk.ts';
import { deskRecords, people, type RecordKind } from './schema.ts';

export interface StandingRecord<T> {
  recordId: string;
  body: T;
  revision: number;
  at: string;
  by: string;
}

/** What stands of a kind at a desk, in the order of ids. The caller knows the shape: it was checked on the way in. */
export async function standingRecords<T>(db: Queryable, deskId: string, kind: RecordKind): Promise<StandingRecord<T>[]> {
  const rows = await db
    .selectDistinctOn([deskRecords.recordId], {
      recordId: deskRecords.recordId,
      body: deskRecords.body,
      revision: deskRecords.revision,
      at: deskRecords.writtenAt,
      by: people.name,
    })
    .from(deskRecords)
    .innerJoin(people, eq(people.id, deskRecords.byPerson))
    .where(and(eq(deskRecords.deskId, deskId), eq(deskRecords.kind, kind)))
    .orderBy(asc(deskRecords.recordId), desc(deskRecords.revision));
  return rows.filter((row) => row.body !== null).map((row) => ({ ...row, body: row.body as T, at: row.at.toISOString() }));
}

/** The one record of a kind that stands alone; null when there is none. */
export async function standingRecord<T>(db: Queryable, deskId: string, kind: RecordKind): Promise<StandingRecord<T> | null> {
  return (await standingRecords<T>(db, deskId, kind))[0] ?? null;
}

/** Everything ever written of one record, newest first. @throws ApiError not-found */
export async function recordHistoryOf(db: Queryable, deskId: string, kind: RecordKind, recordId: string): Promise<RecordHistory> {
  const rows = await db
    .select({ revision: deskRecords.revision, at: deskRecords.writtenAt, by: people.name, note: deskRecords.note, body: deskRecords.body })
    .from(deskRecords)
    .innerJoin(people, eq(people.id, deskRecords.byPerson))
    .where(and(eq(deskRecords.deskId, deskId), eq(deskRecords.kind, kind), eq(deskRecords.recordId, recordId)))
    .orderBy(desc(deskRecords.revision));
  if (rows.length === 0) throw new ApiError('not-found', `This desk has no ${kind} "${recordId}".`);
  return rows.map(({ at, ...row }) => ({ ...row, at: at.toISOString(), removed: row.body === null }));
}

export interface RecordWrite {
  kind: RecordKind;
  recordId: string;
  /** null takes the record away; its history stays. */
  body: unknown;
  note: string;
}

/** Writes records all together, each a new row. @param beside what is to be written with them or not at all */
export async function writeRecords(
  db: Database,
  who: Who,
  writes: readonly RecordWrite[],
  at: Date,
  beside?: (tx: Queryable) => Promise<unknown>,
): Promise<void> {
  if (writes.length === 0) return;
  await db.transaction(async (tx) => {
    // revisions count up without gaps
    await oneWriterAt(tx, who.deskId);
    const [row] = await tx
      .select({ newest: sql<number>`coalesce(max(${deskRecords.revision}), 0)`.mapWith(Number) })
      .from(deskRecords)
      .where(eq(deskRecords.deskId, who.deskId));
    const first = (row?.newest ?? 0) + 1;
    await tx
      .insert(deskRecords)
      .values(
        writes.map((write, i) => ({ id: randomUUID(), deskId: who.deskId, ...write, byPerson: who.personId, revision: first + i, writtenAt: at })),
      );
    await beside?.(tx);
  });
}
