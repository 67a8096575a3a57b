import { randomUUID } from 'node:crypto';
import { and, desc, eq, isNull } from 'drizzle-orm';
import type { LearningView, OutcomeBody } from '@sounding/contract/api.ts';
import type { Edition, Outcome } from '@sounding/core/edition/edition.ts';
import { WORDING } from '@sounding/core/edition/findings.ts';
import { learnFrom } from '@sounding/core/diagnosis/learning.ts';
import type { IsoDate } from '@sounding/core/season/calendar.ts';
import { ApiError } from '../problems.ts';
import type { Database, Queryable } from './connect.ts';
import type { Who } from './desk.ts';
import { caseQuestions, learnings, outcomes, people, readings } from './schema.ts';

const CHANGES_SHOWN = 40;

/** Sets down what a question turned out to be; a second word on it takes the place of the first. @throws ApiError not-found */
export async function saveOutcome(db: Database, who: Who, questionId: string, body: OutcomeBody, when: { now: Date; today: IsoDate }): Promise<void> {
  const [question] = await db
    .select({ id: caseQuestions.id })
    .from(caseQuestions)
    .where(and(eq(caseQuestions.id, questionId), eq(caseQuestions.deskId, who.deskId)));
  if (!question) throw new ApiError('not-found', 'This desk has no such question.');
  const { causeId, confirmedBy, note } = body;
  const row = { causeId, confirmedBy, note, byPerson: who.personId, on: when.today, recordedAt: when.now };
  await db
    .insert(outcomes)
    .values({ id: body.id, deskId: who.deskId, questionId, ...row })
    .onConflictDoUpdate({ target: outcomes.questionId, set: row });
}

/** Takes a confirmation back. */
export async function dropOutcome(db: Queryable, deskId: string, questionId: string): Promise<void> {
  await db.delete(outcomes).where(and(eq(outcomes.questionId, questionId), eq(outcomes.deskId, deskId)));
}

/** Everything a desk has confirmed, with the settled answers of the question: plain ones, one a finding, the last taken. */
export async function confirmedOutcomes(db: Queryable, deskId: string): Promise<Outcome[]> {
  const rows = await db
    .select({ questionId: outcomes.questionId, cause: outcomes.causeId, on: outcomes.on, host: caseQuestions.hostId })
    .from(outcomes)
    .innerJoin(caseQuestions, eq(caseQuestions.id, outcomes.questionId))
    .where(eq(outcomes.deskId, deskId))
    .orderBy(outcomes.recordedAt, outcomes.id);
  const taken = await db
    .select({ questionId: readings.questionId, finding: readings.finding, answer: readings.answer })
    .from(readings)
    .innerJoin(outcomes, eq(outcomes.questionId, readings.questionId))
    .where(and(eq(outcomes.deskId, deskId), isNull(readings.withdrawnAt)))
    .orderBy(readings.position);
  return rows.map(({ questionId, cause, on, host }) => {
    const settled = new Map<string, string>();
    for (const reading of taken)
      if (reading.questionId === questionId && reading.finding !== WORDING && reading.answer !== 'unknown' && !reading.answer.startsWith('not:'))
        settled.set(reading.finding, reading.answer);
    return { cause, on, host, findings: [...settled].map(([finding, answer]) => ({ finding, answer })) };
  });
}

/** What stands as learned; null when nothing was, or it was set back. */
export async function standingLearning(db: Queryable, deskId: string): Promise<{ id: string; asOf: IsoDate; outcomes: Outcome[] } | null> {
  const [row] = await db
    .select({ id: learnings.id, asOf: learnings.asOf, outcomes: learnings.outcomes })
    .from(learnings)
    .where(eq(learnings.deskId, deskId))
    .orderBy(desc(learnings.takenAt))
    .limit(1);
  return row && row.outcomes.length > 0 ? row : null;
}

/** Takes over what is confirmed by now, or with no outcomes sets everything back to the written figures. */
export async function takeOver(db: Queryable, who: Who, learned: Outcome[], when: { now: Date; today: IsoDate }): Promise<void> {
  await db
    .insert(learnings)
    .values({ id: randomUUID(), deskId: who.deskId, asOf: when.today, outcomes: learned, byPerson: who.personId, takenAt: when.now });
}

/** What has been learned and what would be, largest changes first. */
export async function readLearning(db: Queryable, deskId: string, edition: Edition, today: IsoDate): Promise<LearningView> {
  const confirmed = await confirmedOutcomes(db, deskId);
  const rows = await db
    .select({ asOf: learnings.asOf, outcomes: learnings.outcomes, by: people.name })
    .from(learnings)
    .innerJoin(people, eq(people.id, learnings.byPerson))
    .where(eq(learnings.deskId, deskId))
    .orderBy(desc(learnings.takenAt));
  const history = rows.map(({ asOf, outcomes: taken, by }) => ({ on: asOf, by, outcomes: taken.length }));
  const newest = history[0];
  return {
    confirmed: confirmed.length,
    standing: newest && newest.outcomes > 0 ? newest : null,
    changes: learnFrom(edition, confirmed, today).changes.slice(0, CHANGES_SHOWN),
    history,
  };
}
