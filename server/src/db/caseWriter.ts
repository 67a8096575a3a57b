import { randomUUID } from 'node:crypto';
import { and, asc, eq, max, sql } from 'drizzle-orm';
import type { AdviceBody, CasePatch, NewCase, QuestionPatch, ReadingBody, SnapshotBody, StatementBody } from '@sounding/contract/api.ts';
import { ApiError } from '../problems.ts';
import type { Database, Queryable } from './connect.ts';
import type { Who } from './desk.ts';
import { notFound } from './caseReader.ts';
import { advice, callers, caseQuestions, cases, desks, differentialSnapshots, gardens, plants, readings, statements, stations } from './schema.ts';

/** Fails unless the row belongs to the desk: a foreign id is as good as none. */
export async function requireQuestion(db: Queryable, deskId: string, questionId: string): Promise<typeof caseQuestions.$inferSelect> {
  const [row] = await db
    .select()
    .from(caseQuestions)
    .where(and(eq(caseQuestions.id, questionId), eq(caseQuestions.deskId, deskId)));
  if (!row) throw notFound('question');
  return row;
}

async function addQuestion(
  db: Queryable,
  deskId: string,
  caseId: string,
  question: { id: string; title: string },
  at: { today: string; edition: string },
): Promise<void> {
  const [desk] = await db.select().from(desks).where(eq(desks.id, deskId));
  const [garden] = await db
    .select({ stationId: gardens.stationId })
    .from(gardens)
    .innerJoin(cases, eq(cases.gardenId, gardens.id))
    .where(eq(cases.id, caseId));
  const [last] = await db
    .select({ position: max(caseQuestions.position) })
    .from(caseQuestions)
    .where(eq(caseQuestions.caseId, caseId));
  if (!desk) throw notFound('desk');
  await db
    .insert(caseQuestions)
    .values({
      id: question.id,
      deskId,
      caseId,
      position: (last?.position ?? 0) + 1,
      title: question.title,
      stationId: garden?.stationId ?? null,
      climate: desk.climate,
      hemisphere: desk.hemisphere,
      edition: at.edition,
      openedOn: at.today,
    })
    .onConflictDoNothing();
}

/** The desk's own day at this time of day: a demo desk lives on another. */
const receivedOn = ({ now, today }: { now: Date; today: string }): Date => new Date(`${today}${now.toISOString().slice(10)}`);

/** Stores a new call with its first question. Sent twice, it is stored once. */
export async function createCase(db: Database, deskId: string, body: NewCase, at: { now: Date; today: string; edition: string }): Promise<void> {
  await db.transaction(async (tx) => {
    const [known] = await tx.select({ id: cases.id }).from(cases).where(eq(cases.id, body.id));
    if (known) return;
    const [desk] = await tx
      .update(desks)
      .set({ nextCaseNumber: sql`${desks.nextCaseNumber} + 1` })
      .where(eq(desks.id, deskId))
      .returning({ next: desks.nextCaseNumber });
    const [station] = await tx
      .select({ id: stations.id })
      .from(stations)
      .where(eq(stations.deskId, deskId))
      .orderBy(asc(stations.altitudeM))
      .limit(1);
    const callerId = randomUUID();
    const gardenId = randomUUID();
    const { place, ...caller } = body.caller;
    await tx.insert(callers).values({ id: callerId, deskId, ...caller });
    await tx.insert(gardens).values({ id: gardenId, deskId, callerId, place, stationId: station?.id ?? null });
    await tx.insert(cases).values({
      id: body.id,
      deskId,
      number: (desk?.next ?? 2) - 1,
      status: 'waiting',
      channel: body.channel,
      callerId,
      gardenId,
      opening: body.opening,
      receivedAt: receivedOn(at),
    });
    await addQuestion(tx, deskId, body.id, { id: body.questionId, title: '' }, at);
  });
}

export async function createQuestion(
  db: Database,
  deskId: string,
  caseId: string,
  question: { id: string; title: string },
  at: { today: string; edition: string },
): Promise<void> {
  const [row] = await db
    .select({ id: cases.id })
    .from(cases)
    .where(and(eq(cases.id, caseId), eq(cases.deskId, deskId)));
  if (!row) throw notFound('case');
  await addQuestion(db, deskId, caseId, question, at);
}

export async function patchCase(db: Database, who: Who, caseId: string, patch: CasePatch): Promise<void> {
  await db.transaction(async (tx) => {
    const [row] = await tx
      .select()
      .from(cases)
      .where(and(eq(cases.id, caseId), eq(cases.deskId, who.deskId)));
    if (!row) throw notFound('case');
    const changes: Partial<typeof cases.$inferInsert> = {};
    if (patch.status) changes.status = patch.status;
    if (patch.status === 'open') changes.takenBy = who.personId;
    if (patch.followUpOn !== undefined) changes.followUpOn = patch.followUpOn;
    if (Object.keys(changes).length > 0) await tx.update(cases).set(changes).where(eq(cases.id, caseId));
    if (patch.caller) {
      const { place, ...caller } = patch.caller;
      if (Object.keys(caller).length > 0) await tx.update(callers).set(caller).where(eq(callers.id, row.callerId));
      if (place !== undefined) await tx.update(gardens).set({ place }).where(eq(gardens.id, row.gardenId));
    }
  });
}

/** Notes that the plant grows in the caller's garden; known plants stay as they are. */
async function notePlant(db: Queryable, deskId: string, caseId: string, hostId: string, today: string): Promise<void> {
  const [row] = await db.select({ gardenId: cases.gardenId }).from(cases).where(eq(cases.id, caseId));
  if (row) await db.insert(plants).values({ id: randomUUID(), deskId, gardenId: row.gardenId, hostId, firstNamedOn: today }).onConflictDoNothing();
}

export async function patchQuestion(db: Queryable, deskId: string, questionId: string, patch: QuestionPatch, today: string): Promise<void> {
  const question = await requireQuestion(db, deskId, questionId);
  if (patch.hostId) await notePlant(db, deskId, question.caseId, patch.hostId, today);
  if (patch.stationId) {
    const [station] = await db
      .select({ id: stations.id })
      .from(stations)
      .where(and(eq(stations.id, patch.stationId), eq(stations.deskId, deskId)));
    if (!station)
      throw new ApiError('invalid-request', 'stationId: this desk has no such station', [
        { pointer: '#/stationId', detail: 'this desk has no such station' },
      ]);
  }
  if (Object.keys(patch).length > 0) await db.update(caseQuestions).set(patch).where(eq(caseQuestions.id, questionId));
}

async function insertReadings(db: Queryable, deskId: string, questionId: string, list: readonly ReadingBody[], now: Date): Promise<void> {
  if (list.length === 0) return;
  const [last] = await db
    .select({ position: max(readings.position) })
    .from(readings)
    .where(eq(readings.questionId, questionId));
  const start = (last?.position ?? 0) + 1;
  await db
    .insert(readings)
    .values(
      list.map((r, i) => ({
        id: r.id,
        deskId,
        questionId,
        statementId: r.statementId,
        position: start + i,
        finding: r.finding,
        answer: r.answer,
        channel: r.channel,
        fromWords: r.from,
        takenAt: now,
      })),
    )
    .onConflictDoNothing();
}

/** One reading, stored as it is taken. */
export async function addReading(db: Queryable, deskId: string, questionId: string, reading: ReadingBody, now: Date): Promise<void> {
  await requireQuestion(db, deskId, questionId);
  await insertReadings(db, deskId, questionId, [reading], now);
}

/** A caller's words with what was read from them, all or nothing. */
export async function addStatement(db: Database, deskId: string, questionId: string, body: StatementBody, now: Date): Promise<void> {
  await db.transaction(async (tx) => {
    await requireQuestion(tx, deskId, questionId);
    await tx
      .insert(statements)
      .values({ id: body.id, deskId, questionId, said: body.said, asked: body.asked, by: body.by, saidAt: now })
      .onConflictDoNothing();
    await insertReadings(
      tx,
      deskId,
      questionId,
      body.readings.map((r) => ({ ...r, statementId: body.id })),
      now,
    );
  });
}

/** Withdraws a reading or takes it back in; the row itself stays. */
export async function setWithdrawn(db: Queryable, deskId: string, readingId: string, withdrawn: boolean, now: Date): Promise<void> {
  const rows = await db
    .update(readings)
    .set({ withdrawnAt: withdrawn ? now : null })
    .where(and(eq(readings.id, readingId), eq(readings.deskId, deskId)))
    .returning({ id: readings.id });
  if (rows.length === 0) throw notFound('reading');
}

export async function addSnapshot(db: Queryable, deskId: string, questionId: string, body: SnapshotBody, now: Date): Promise<void> {
  await requireQuestion(db, deskId, questionId);
  await db
    .insert(differentialSnapshots)
    .values({ ...body, deskId, questionId, takenAt: now })
    .onConflictDoNothing();
}

/** Saves the reply to a question; saving again replaces it. */
export async function saveAdvice(db: Database, who: Who, questionId: string, body: AdviceBody, now: Date): Promise<void> {
  await db.transaction(async (tx) => {
    const question = await requireQuestion(tx, who.deskId, questionId);
    const { followUpOn, id, date, ...fields } = body;
    const values = { ...fields, byPerson: who.personId, updatedAt: now };
    await tx
      .insert(advice)
      .values({ id, deskId: who.deskId, questionId, ...values })
      .onConflictDoUpdate({ target: advice.questionId, set: values });
    await tx.update(caseQuestions).set({ openedOn: date, edition: body.edition }).where(eq(caseQuestions.id, questionId));
    await tx.update(cases).set({ status: 'answered', followUpOn }).where(eq(cases.id, question.caseId));
  });
}
