import { z } from 'zod';
import { ACTS } from '@sounding/core/edition/options.ts';
import { channel, climate, dateText, hemisphere } from './caseInput.ts';
import { circumstancesBody, overruleBody, planBody } from './plan.ts';

/** Bodies of requests and answers of the HTTP interface. Ids are UUIDs; those of new rows are made by the client,
 * so that a request sent twice is stored once. */
const uuid = z.uuid();
const shortText = z.string().trim().max(200);
const longText = z.string().max(20_000);

/** "Don't know" is kept too: it is no evidence, but the question need not be asked again. */
export const UNKNOWN_ANSWER = 'unknown';

export const newCase = z.object({
  id: uuid,
  questionId: uuid,
  caller: z.object({
    name: shortText.min(1, 'give a name, or "unknown caller"'),
    phone: shortText.default(''),
    email: shortText.default(''),
    place: shortText.default(''),
  }),
  channel: z.enum(['telephone', 'email', 'table']),
  opening: longText.default(''),
});
export const casePatch = z
  .object({ status: z.enum(['waiting', 'open', 'answered', 'closed']), followUpOn: dateText.nullable(), caller: newCase.shape.caller.partial() })
  .partial()
  .strict();
export const questionPatch = z
  .object({
    hostId: z.string().max(80).nullable(),
    title: shortText,
    stationId: uuid.nullable(),
    climate,
    hemisphere,
    setting: z.enum(['phone', 'table']),
    circumstances: circumstancesBody,
    overrule: overruleBody.nullable(),
    plan: planBody.nullable(),
  })
  .partial()
  .strict();
export const newQuestion = z.object({ id: uuid, title: shortText.default('') });

export const readingBody = z.object({
  id: uuid,
  finding: z.string().min(1).max(80),
  /** An answer of the finding, "not:ID", "unknown"; of the wording, the words. */
  answer: z.string().min(1).max(2000),
  channel,
  from: z.string().max(2000).default(''),
  statementId: uuid.nullable().default(null),
});
/** Whose words a statement holds: the caller's, or what came of a test, an instrument or a picture. */
export const STATEMENT_BY = ['caller', 'inspection', 'instrument', 'picture'] as const;
export const statementBody = z.object({
  id: uuid,
  said: longText.min(1, 'there is nothing said'),
  asked: longText.nullable().default(null),
  by: z.enum(STATEMENT_BY).default('caller'),
  readings: z.array(readingBody).max(60).default([]),
});
export const withdrawal = z.object({ withdrawn: z.boolean() });
export const snapshotBody = z.object({
  id: uuid,
  edition: z.string().max(60),
  engine: z.string().max(30),
  standing: z
    .array(z.object({ cause: z.string(), probability: z.number().min(0).max(1) }))
    .min(1)
    .max(2000),
  readings: z.array(uuid).max(500),
});
export const adviceBody = z.object({
  id: uuid,
  body: longText.min(1, 'the reply is empty'),
  act: z.enum(ACTS),
  causeId: z.string().max(80),
  probability: z.number().min(0).max(1),
  edition: z.string().max(60),
  /** The day the advice is reckoned for; reopening uses it again. */
  date: dateText,
  overrule: shortText.default(''),
  followUpOn: dateText.nullable().default(null),
});
export const deskPatch = z.object({ today: dateText });

export const caseListQuery = z.object({
  search: z.string().trim().max(200).default(''),
  status: z.enum(['waiting', 'open', 'answered', 'closed']).optional(),
  limit: z.coerce.number().int().min(1).max(200).default(50),
  offset: z.coerce.number().int().min(0).default(0),
});

const station = z.object({ id: uuid, name: z.string(), altitudeM: z.number(), lat: z.number(), lon: z.number() });
export const sessionView = z.object({
  person: z.object({ id: uuid, name: z.string(), role: z.string() }),
  desk: z.object({ id: uuid, name: z.string(), climate, hemisphere, today: dateText, demo: z.boolean() }),
  edition: z.string(),
  stations: z.array(station),
  /** Who may sit at this desk; a demo visitor may change seats. */
  people: z.array(z.object({ id: uuid, name: z.string(), role: z.string() })),
});
export const COORDINATOR = 'coordinator';
export const seatBody = z.object({ personId: uuid });

const entryKind = z.enum(['plants', 'findings', 'causes']);
const entryId = z.string().regex(/^[a-z0-9]+(?:-[a-z0-9]+)*$/, 'ids are lower-case words joined by hyphens');
export const entryParams = z.object({ kind: entryKind, id: entryId });
export const entryBody = z.object({ text: z.string().min(1, 'nothing was written').max(60_000), note: shortText.default('') });
export const complaintView = z.object({ file: z.string(), line: z.number(), level: z.enum(['error', 'warning']), text: z.string() });
export const entryView = z.object({
  kind: entryKind,
  id: z.string(),
  text: z.string(),
  /** Whose words stand: the desk's own, or those that ship. */
  from: z.enum(['desk', 'shipped']),
  history: z.array(z.object({ revision: z.number(), at: z.string(), by: z.string(), note: z.string(), back: z.boolean() })),
});
export const libraryChange = z.object({ edition: z.string(), complaints: z.array(complaintView) });
export const importBody = z.object({ text: z.string().min(1).max(5_000_000), apply: z.boolean().default(false) });
export const importView = libraryChange.extend({
  applied: z.boolean(),
  changes: z.array(z.object({ kind: entryKind, id: z.string(), what: z.enum(['new', 'changed']) })),
});
export const caseSummary = z.object({
  id: uuid,
  number: z.number(),
  status: z.enum(['waiting', 'open', 'answered', 'closed']),
  channel: z.enum(['telephone', 'email', 'table']),
  caller: z.object({ name: z.string(), phone: z.string(), email: z.string(), place: z.string() }),
  opening: z.string(),
  receivedAt: z.string(),
  followUpOn: z.string().nullable(),
  hosts: z.array(z.string()),
  causes: z.array(z.string()),
});
export const readingView = readingBody.extend({ takenAt: z.string(), withdrawnAt: z.string().nullable() });
export const statementView = z.object({ id: uuid, said: z.string(), asked: z.string().nullable(), by: z.enum(STATEMENT_BY), saidAt: z.string() });
/** A picture of a case; the image itself is fetched by its id. */
export const pictureView = z.object({ id: uuid, statementId: uuid.nullable(), width: z.number(), height: z.number(), takenAt: z.string() });
export const adviceView = adviceBody.extend({ updatedAt: z.string(), by: z.string() });
/** How somebody came to know the cause for certain. */
export const CONFIRMED_BY = ['in-hand', 'bench', 'laboratory', 'outcome'] as const;
export const outcomeBody = z.object({
  id: uuid,
  causeId: z.string().min(1).max(80),
  confirmedBy: z.enum(CONFIRMED_BY),
  note: shortText.default(''),
});
export const outcomeView = outcomeBody.extend({ by: z.string(), on: dateText });
export const learnedChangeView = z.object({
  cause: z.string(),
  what: z.enum(['odds', 'rate']),
  finding: z.string().optional(),
  answer: z.string().optional(),
  before: z.number(),
  after: z.number(),
  cases: z.number(),
});
/** What the desk has learned, and what it would learn from the outcomes confirmed by now. */
export const learningView = z.object({
  confirmed: z.number(),
  /** Taken over into the desk's edition; null = nothing, or set back. */
  standing: z.object({ outcomes: z.number(), by: z.string(), on: dateText }).nullable(),
  changes: z.array(learnedChangeView),
  history: z.array(z.object({ on: dateText, by: z.string(), outcomes: z.number() })),
});
export const questionView = z.object({
  id: uuid,
  position: z.number(),
  title: z.string(),
  hostId: z.string().nullable(),
  stationId: uuid.nullable(),
  climate,
  hemisphere,
  setting: z.enum(['phone', 'table']),
  edition: z.string(),
  openedOn: dateText,
  statements: z.array(statementView),
  pictures: z.array(pictureView),
  readings: z.array(readingView),
  snapshot: snapshotBody.extend({ takenAt: z.string() }).nullable(),
  advice: adviceView.nullable(),
  outcome: outcomeView.nullable(),
  circumstances: circumstancesBody,
  overrule: overruleBody.nullable(),
  plan: planBody.nullable(),
});
export const caseView = caseSummary.extend({ questions: z.array(questionView) });
export const caseList = z.object({ cases: z.array(caseSummary), total: z.number() });
export const weatherDayView = z.object({
  on: dateText,
  minC: z.number().nullable(),
  maxC: z.number().nullable(),
  rainMm: z.number().nullable(),
  windMs: z.number().nullable(),
  humidityPct: z.number().nullable(),
});
export const weatherView = z.object({ station: z.string(), days: z.array(weatherDayView) });

export type StatementBy = (typeof STATEMENT_BY)[number];
export type PictureView = z.infer<typeof pictureView>;
export type NewCase = z.infer<typeof newCase>;
export type CasePatch = z.infer<typeof casePatch>;
export type QuestionPatch = z.infer<typeof questionPatch>;
export type NewQuestion = z.infer<typeof newQuestion>;
export type ReadingBody = z.infer<typeof readingBody>;
export type StatementBody = z.infer<typeof statementBody>;
export type SnapshotBody = z.infer<typeof snapshotBody>;
export type AdviceBody = z.infer<typeof adviceBody>;
export type SessionView = z.infer<typeof sessionView>;
export type EntryView = z.infer<typeof entryView>;
export type EntryKind = z.infer<typeof entryKind>;
export type LibraryChange = z.infer<typeof libraryChange>;
export type ImportView = z.infer<typeof importView>;
export type ComplaintView = z.infer<typeof complaintView>;
export type CaseSummary = z.infer<typeof caseSummary>;
export type CaseView = z.infer<typeof caseView>;
export type CaseList = z.infer<typeof caseList>;
export type QuestionView = z.infer<typeof questionView>;
export type ReadingView = z.infer<typeof readingView>;
export type OutcomeBody = z.infer<typeof outcomeBody>;
export type OutcomeView = z.infer<typeof outcomeView>;
export type LearningView = z.infer<typeof learningView>;
export type CaseListQuery = z.infer<typeof caseListQuery>;
