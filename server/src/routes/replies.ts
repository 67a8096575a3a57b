import { desc, eq } from 'drizzle-orm';
import { inSentence } from '@sounding/core/edition/names.ts';
import { Router } from 'express';
import { z } from 'zod';
import { dateText } from '@sounding/contract/caseInput.ts';
import { mailBody, type MailView } from '@sounding/contract/plan.ts';
import type { Label } from '@sounding/core/treatment/label.ts';
import { readCaseOfQuestion } from '../db/caseReader.ts';
import { standingRecords } from '../db/deskRecords.ts';
import { desks, mails, people } from '../db/schema.ts';
import { idParam, whoOf, type Services } from '../http.ts';
import { ApiError } from '../problems.ts';
import { calendarFile } from '../reply/calendarFile.ts';
import { replyPdf } from '../reply/replyPdf.ts';
import { composeMessage } from '../standins/mail.ts';

const LABELS_FIRST = 'Labels and local rules come first.';

/** What leaves the desk: the reply as a PDF, as a letter through the outbox, and the plan as a calendar file. */
export function replyRoutes({ db, library, now, fonts }: Services): Router {
  const router = Router();
  const deskName = async (deskId: string) => (await db.select({ name: desks.name }).from(desks).where(eq(desks.id, deskId)))[0]?.name ?? '';

  /** The saved reply: what the advisor saw, and nothing they did not. */
  const savedReply = async (deskId: string, questionId: string) => {
    const { view, question } = await readCaseOfQuestion(db, deskId, questionId);
    if (!question.advice) throw new ApiError('conflict', 'Save the reply first: only what the advisor has seen goes out.');
    return { view, question, body: question.advice.body };
  };
  const calendarOf = async (deskId: string, questionId: string, noteFor: string | null): Promise<string> => {
    const { view, question } = await readCaseOfQuestion(db, deskId, questionId);
    const edition = await library.edition(deskId);
    const labels = await standingRecords<Label>(db, deskId, 'label');
    const plant = edition.plants.find(({ id }) => id === question.hostId)?.name ?? 'Your plant';
    const cause = edition.causes.find(({ id }) => id === (question.advice?.causeId ?? question.snapshot?.standing[0]?.cause));
    return calendarFile({
      desk: await deskName(deskId),
      about: cause ? `${plant}, ${inSentence(cause.name)}` : plant,
      plan: question.plan,
      products: Object.fromEntries(labels.map(({ body }) => [body.id, body.name])),
      noteFor: noteFor === null ? null : { on: noteFor, why: `The day noted for it: look at it now, and ring if you are not sure. ${LABELS_FIRST}` },
      followUpOn: view.followUpOn,
      caution: LABELS_FIRST,
      stamp: now(),
    });
  };

  router.get('/questions/:id/plan.ics', async (req, res) => {
    // the day to note follows from the standing, which is worked out where it is looked at
    const { note } = z.object({ note: dateText.optional() }).parse(req.query);
    const text = await calendarOf(whoOf(res).deskId, idParam(req, 'id'), note ?? null);
    res.type('text/calendar').set('Content-Disposition', 'attachment; filename="plan.ics"').send(text);
  });
  router.get('/questions/:id/reply.pdf', async (req, res) => {
    const { deskId } = whoOf(res);
    const { body } = await savedReply(deskId, idParam(req, 'id'));
    const file = await replyPdf(await deskName(deskId), body, fonts);
    res.type('application/pdf').set('Content-Disposition', 'inline; filename="reply.pdf"').send(file);
  });
  router.post('/questions/:id/mail', async (req, res) => {
    const letter = mailBody.parse(req.body);
    const { deskId, personId } = whoOf(res);
    const questionId = idParam(req, 'id');
    const { body, question } = await savedReply(deskId, questionId);
    if (body !== letter.body) throw new ApiError('conflict', 'The saved reply is not the one on this screen: save it, then send.');
    const name = await deskName(deskId);
    const attachments = [{ filename: 'reply.pdf', content: await replyPdf(name, body, fonts), contentType: 'application/pdf' }];
    const calendar = question.plan && question.plan.applications.length > 0 ? await calendarOf(deskId, questionId, null) : null;
    const message = await composeMessage(
      {
        from: `${name} <desk@lindwater.example>`,
        to: letter.to,
        subject: letter.subject,
        text: body,
        attachments: calendar ? [...attachments, { filename: 'plan.ics', content: calendar, contentType: 'text/calendar' }] : attachments,
      },
      now(),
    );
    await db
      .insert(mails)
      .values({ id: letter.id, deskId, questionId, to: letter.to, subject: letter.subject, message, byPerson: personId, sentAt: now() })
      .onConflictDoNothing();
    res.status(204).end();
  });
  router.get('/outbox', async (_req, res) => {
    const rows = await db
      .select({
        id: mails.id,
        questionId: mails.questionId,
        to: mails.to,
        subject: mails.subject,
        at: mails.sentAt,
        by: people.name,
        message: mails.message,
      })
      .from(mails)
      .innerJoin(people, eq(people.id, mails.byPerson))
      .where(eq(mails.deskId, whoOf(res).deskId))
      .orderBy(desc(mails.sentAt))
      .limit(200);
    res
      .set('Cache-Control', 'no-store')
      .json(rows.map(({ message, at, ...row }): MailView => ({ ...row, at: at.toISOString(), bytes: Buffer.byteLength(message) })));
  });
  router.get('/outbox/:id.eml', async (req, res) => {
    const [row] = await db
      .select()
      .from(mails)
      .where(eq(mails.id, idParam(req, 'id')));
    if (!row || row.deskId !== whoOf(res).deskId) throw new ApiError('not-found', 'This desk has sent no such letter.');
    res.type('message/rfc822').set('Content-Disposition', 'attachment; filename="letter.eml"').send(row.message);
  });
  return router;
}
