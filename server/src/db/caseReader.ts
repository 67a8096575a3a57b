import { and, asc, count, desc, eq, ilike, inArray, lte, ne, or, sql, type SQL } from 'drizzle-orm';
import type { CaseList, CaseListQuery, CaseSummary, CaseView, QuestionView } from '@sounding/contract/api.ts';
import { ApiError } from '../problems.ts';
import type { Queryable } from './connect.ts';
import { advice, callers, caseQuestions, cases, differentialSnapshots, gardens, outcomes, people, pictures, readings, statements } from './schema.ts';

/** The refusal for a row the desk does not have: a foreign id is as good as none. */
export const notFound = (what: string) => new ApiError('not-found', `This desk has no such ${what}.`);

/** People on the line or at the table come before letters. */
const inPerson = sql`(${cases.channel} = 'email')`;

async function summaries(
  db: Queryable,
  where: SQL | undefined,
  page: { limit: number; offset: number },
  waitingFirst = false,
): Promise<CaseSummary[]> {
  const rows = await db
    .select({ case: cases, caller: callers, garden: gardens })
    .from(cases)
    .innerJoin(callers, eq(callers.id, cases.callerId))
    .innerJoin(gardens, eq(gardens.id, cases.gardenId))
    .where(where)
    .orderBy(...(waitingFirst ? [asc(inPerson), asc(cases.number)] : [desc(cases.number)]))
    .limit(page.limit)
    .offset(page.offset);
  if (rows.length === 0) return [];
  const found = await db
    .select({ caseId: caseQuestions.caseId, host: caseQuestions.hostId, cause: advice.causeId })
    .from(caseQuestions)
    .leftJoin(advice, eq(advice.questionId, caseQuestions.id))
    .where(
      inArray(
        caseQuestions.caseId,
        rows.map((row) => row.case.id),
      ),
    )
    .orderBy(asc(caseQuestions.position));
  return rows.map(({ case: c, caller, garden }) => {
    const own = found.filter((f) => f.caseId === c.id);
    return {
      id: c.id,
      number: c.number,
      status: c.status,
      channel: c.channel,
      caller: { name: caller.name, phone: caller.phone, email: caller.email, place: garden.place },
      opening: c.opening,
      receivedAt: c.receivedAt.toISOString(),
      followUpOn: c.followUpOn,
      hosts: own.flatMap((f) => f.host ?? []),
      causes: own.flatMap((f) => f.cause ?? []),
    };
  });
}

/** Words looked for in caller, place, opening, statements, replies, plants, causes and the number. */
function matching(search: string, causeIds: readonly string[], plantIds: readonly string[]): SQL | undefined {
  const like = `%${search.replace(/[\\%_]/g, '\\$&')}%`;
  const inQuestions = sql`exists (select 1 from ${caseQuestions} q left join ${statements} s on s.question_id = q.id left join ${advice} a on a.question_id = q.id
    where q.case_id = ${cases.id} and (s.said ilike ${like} or a.body ilike ${like} or q.title ilike ${like}
      or q.host_id = any(${sql.param(plantIds.length ? [...plantIds] : ['-'])}::text[]) or a.cause_id = any(${sql.param(causeIds.length ? [...causeIds] : ['-'])}::text[])))`;
  const number = /^#?\d+$/.test(search) ? eq(cases.number, Number(search.replace('#', ''))) : undefined;
  return or(ilike(callers.name, like), ilike(gardens.place, like), ilike(cases.opening, like), inQuestions, ...(number ? [number] : []));
}

export async function listCases(
  db: Queryable,
  deskId: string,
  query: CaseListQuery,
  known: { causes: string[]; plants: string[] },
): Promise<CaseList> {
  const where = and(
    eq(cases.deskId, deskId),
    query.status ? eq(cases.status, query.status) : undefined,
    query.search ? matching(query.search, known.causes, known.plants) : undefined,
  );
  const [total] = await db
    .select({ n: count() })
    .from(cases)
    .innerJoin(callers, eq(callers.id, cases.callerId))
    .innerJoin(gardens, eq(gardens.id, cases.gardenId))
    .where(where);
  return { cases: await summaries(db, where, query, query.status === 'waiting'), total: total?.n ?? 0 };
}

async function readQuestions(db: Queryable, caseId: string): Promise<QuestionView[]> {
  const questions = await db.select().from(caseQuestions).where(eq(caseQuestions.caseId, caseId)).orderBy(asc(caseQuestions.position));
  const ids = questions.map((q) => q.id);
  if (ids.length === 0) return [];
  const said = await db.select().from(statements).where(inArray(statements.questionId, ids)).orderBy(asc(statements.saidAt));
  const taken = await db.select().from(readings).where(inArray(readings.questionId, ids)).orderBy(asc(readings.position));
  const shown = await db
    .select({
      id: pictures.id,
      questionId: pictures.questionId,
      statementId: pictures.statementId,
      width: pictures.width,
      height: pictures.height,
      takenAt: pictures.takenAt,
    })
    .from(pictures)
    .where(inArray(pictures.questionId, ids))
    .orderBy(asc(pictures.takenAt));
  const snapshots = await db
    .select()
    .from(differentialSnapshots)
    .where(inArray(differentialSnapshots.questionId, ids))
    .orderBy(desc(differentialSnapshots.takenAt));
  const replies = await db
    .select({ advice, by: people.name })
    .from(advice)
    .innerJoin(people, eq(people.id, advice.byPerson))
    .where(inArray(advice.questionId, ids));
  const settled = await db
    .select({ outcome: outcomes, by: people.name })
    .from(outcomes)
    .innerJoin(people, eq(people.id, outcomes.byPerson))
    .where(inArray(outcomes.questionId, ids));
  return questions.map((q): QuestionView => {
    const snapshot = snapshots.find((s) => s.questionId === q.id);
    const reply = replies.find((r) => r.advice.questionId === q.id);
    const known = settled.find((s) => s.outcome.questionId === q.id);
    return {
      id: q.id,
      position: q.position,
      title: q.title,
      hostId: q.hostId,
      stationId: q.stationId,
      climate: q.climate,
      hemisphere: q.hemisphere,
      setting: q.setting,
      edition: q.edition,
      openedOn: q.openedOn,
      circumstances: q.circumstances,
      overrule: q.overrule,
      plan: q.plan,
      statements: said
        .filter((s) => s.questionId === q.id)
        .map((s) => ({ id: s.id, said: s.said, asked: s.asked, by: s.by, saidAt: s.saidAt.toISOString() })),
      pictures: shown
        .filter((p) => p.questionId === q.id)
        .map(({ id, statementId, width, height, takenAt }) => ({ id, statementId, width, height, takenAt: takenAt.toISOString() })),
      readings: taken
        .filter((r) => r.questionId === q.id)
        .map((r) => ({
          id: r.id,
          finding: r.finding,
          answer: r.answer,
          channel: r.channel,
          from: r.fromWords,
          statementId: r.statementId,
          takenAt: r.takenAt.toISOString(),
          withdrawnAt: r.withdrawnAt?.toISOString() ?? null,
        })),
      snapshot: snapshot
        ? {
            id: snapshot.id,
            edition: snapshot.edition,
            engine: snapshot.engine,
            standing: snapshot.standing,
            readings: snapshot.readings,
            takenAt: snapshot.takenAt.toISOString(),
          }
        : null,
      advice: reply
        ? {
            id: reply.advice.id,
            body: reply.advice.body,
            act: reply.advice.act,
            causeId: reply.advice.causeId,
            probability: reply.advice.probability,
            edition: reply.advice.edition,
            date: q.openedOn,
            overrule: reply.advice.overrule,
            followUpOn: null,
            updatedAt: reply.advice.updatedAt.toISOString(),
            by: reply.by,
          }
        : null,
      outcome: known
        ? {
            id: known.outcome.id,
            causeId: known.outcome.causeId,
            confirmedBy: known.outcome.confirmedBy,
            note: known.outcome.note,
            by: known.by,
            on: known.outcome.on,
          }
        : null,
    };
  });
}

export async function readCase(db: Queryable, deskId: string, caseId: string): Promise<CaseView> {
  const [summary] = await summaries(db, and(eq(cases.id, caseId), eq(cases.deskId, deskId)), { limit: 1, offset: 0 });
  if (!summary) throw notFound('case');
  return { ...summary, questions: await readQuestions(db, caseId) };
}

/** A question with the case it belongs to. @throws ApiError not-found */
export async function readCaseOfQuestion(db: Queryable, deskId: string, questionId: string): Promise<{ view: CaseView; question: QuestionView }> {
  const [row] = await db
    .select({ caseId: caseQuestions.caseId })
    .from(caseQuestions)
    .where(and(eq(caseQuestions.id, questionId), eq(caseQuestions.deskId, deskId)));
  if (!row) throw notFound('question');
  const view = await readCase(db, deskId, row.caseId);
  const question = view.questions.find((q) => q.id === questionId);
  if (!question) throw notFound('question');
  return { view, question };
}

/** Cases somebody has promised to come back to by a day, soonest first; closed ones are done with. */
export async function followUpsUntil(db: Queryable, deskId: string, until: string): Promise<CaseSummary[]> {
  const due = await summaries(db, and(eq(cases.deskId, deskId), lte(cases.followUpOn, until), ne(cases.status, 'closed')), { limit: 100, offset: 0 });
  return due.sort((a, b) => (a.followUpOn ?? '').localeCompare(b.followUpOn ?? ''));
}
