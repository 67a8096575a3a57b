import { randomUUID } from 'node:crypto';
import { and, desc, eq } from 'drizzle-orm';
import type { InstrumentReadingView } from '@sounding/contract/instruments.ts';
import type { InstrumentKind, Measured } from '@sounding/core/instruments/line.ts';
import type { Queryable } from './connect.ts';
import { notFound } from './caseReader.ts';
import { requireQuestion } from './caseWriter.ts';
import { instrumentReadings } from './schema.ts';

/** As many as anyone looks back over at the table. */
const SHOWN = 30;

export interface NewInstrumentReading {
  serial: string;
  seq: number;
  instrument: InstrumentKind;
  measured: Measured;
}

/** Stores a reading; one that an instrument sends again is stored once. */
export async function keepReading(db: Queryable, deskId: string, reading: NewInstrumentReading, now: Date): Promise<void> {
  await db
    .insert(instrumentReadings)
    .values({ ...reading, id: randomUUID(), deskId, takenAt: now })
    .onConflictDoNothing();
}

/** Newest first. */
export async function lastReadings(db: Queryable, deskId: string): Promise<InstrumentReadingView[]> {
  const rows = await db
    .select()
    .from(instrumentReadings)
    .where(eq(instrumentReadings.deskId, deskId))
    .orderBy(desc(instrumentReadings.takenAt), desc(instrumentReadings.seq))
    .limit(SHOWN);
  return rows.map(({ id, serial, seq, instrument, measured, takenAt, questionId }) => ({
    id,
    serial,
    seq,
    instrument,
    measured,
    takenAt: takenAt.toISOString(),
    questionId,
  }));
}

/** Notes which question a reading was taken in to. */
export async function assignReading(db: Queryable, deskId: string, id: string, questionId: string | null): Promise<void> {
  if (questionId !== null) await requireQuestion(db, deskId, questionId);
  const rows = await db
    .update(instrumentReadings)
    .set({ questionId })
    .where(and(eq(instrumentReadings.id, id), eq(instrumentReadings.deskId, deskId)))
    .returning({ id: instrumentReadings.id });
  if (rows.length === 0) throw notFound('reading of an instrument');
}
