import type {
  AdviceBody,
  CasePatch,
  CaseView,
  NewCase,
  NewQuestion,
  QuestionPatch,
  QuestionView,
  ReadingBody,
  ReadingView,
  SessionView,
  SnapshotBody,
  StatementBody,
} from '@sounding/contract/api.ts';

/** Everything that can be written down during a call. `at` is the moment it was done, as an ISO instant. */
export type CaseWrite = { id: string; caseId: string; at: string } &
  /** A call nobody announced, with the desk as it was: the view is begun from it, and the server has its own. */
  (
    | { kind: 'new-case'; body: NewCase; desk: Pick<SessionView, 'desk' | 'edition' | 'stations'> }
    | { kind: 'case'; body: CasePatch }
    /** The day and the edition it is begun with are the desk's; the server has its own. */
    | { kind: 'new-question'; body: NewQuestion; openedOn: string; edition: string }
    | { kind: 'question'; questionId: string; body: QuestionPatch }
    | { kind: 'statement'; questionId: string; body: StatementBody }
    | { kind: 'reading'; questionId: string; body: ReadingBody }
    | { kind: 'withdrawal'; questionId: string; readingId: string; body: { withdrawn: boolean } }
    | { kind: 'snapshot'; questionId: string; body: SnapshotBody }
    /** The image itself waits in the picture store. */
    | { kind: 'picture'; questionId: string; body: { id: string; statementId: string; width: number; height: number } }
    | { kind: 'advice'; questionId: string; body: AdviceBody; by: string }
  );

/** The request that stores a write; its body carries its own id, so sending it twice stores it once. */
export function requestOf(write: CaseWrite): { method: 'POST' | 'PUT' | 'PATCH'; path: string } {
  switch (write.kind) {
    case 'new-case':
      return { method: 'POST', path: '/cases' };
    case 'case':
      return { method: 'PATCH', path: `/cases/${write.caseId}` };
    case 'new-question':
      return { method: 'POST', path: `/cases/${write.caseId}/questions` };
    case 'question':
      return { method: 'PATCH', path: `/questions/${write.questionId}` };
    case 'statement':
      return { method: 'POST', path: `/questions/${write.questionId}/statements` };
    case 'reading':
      return { method: 'POST', path: `/questions/${write.questionId}/readings` };
    case 'withdrawal':
      return { method: 'PATCH', path: `/readings/${write.readingId}` };
    case 'snapshot':
      return { method: 'POST', path: `/questions/${write.questionId}/snapshots` };
    case 'picture':
      return { method: 'PUT', path: `/questions/${write.questionId}/pictures/${write.body.id}?statementId=${write.body.statementId}` };
    case 'advice':
      return { method: 'PUT', path: `/questions/${write.questionId}/advice` };
  }
}

const viewOf = (reading: ReadingBody, at: string, statementId: string | null): ReadingView => ({
  ...reading,
  statementId,
  takenAt: at,
  withdrawnAt: null,
});

/** Adds rows that are not there yet: a write replayed over what the server already has changes nothing. */
function joined<T extends { id: string }>(known: readonly T[], added: readonly T[]): T[] {
  return [...known, ...added.filter((row) => !known.some((k) => k.id === row.id))];
}

function inQuestion(question: QuestionView, write: CaseWrite): QuestionView {
  switch (write.kind) {
    case 'question':
      return { ...question, ...(write.body as Partial<QuestionView>) };
    case 'statement': {
      const { id, said, asked, by, readings } = write.body;
      return {
        ...question,
        statements: joined(question.statements, [{ id, said, asked, by, saidAt: write.at }]),
        readings: joined(
          question.readings,
          readings.map((reading) => viewOf(reading, write.at, id)),
        ),
      };
    }
    case 'reading':
      return { ...question, readings: joined(question.readings, [viewOf(write.body, write.at, write.body.statementId)]) };
    case 'withdrawal':
      return {
        ...question,
        readings: question.readings.map((r) => (r.id === write.readingId ? { ...r, withdrawnAt: write.body.withdrawn ? write.at : null } : r)),
      };
    case 'picture':
      return { ...question, pictures: joined(question.pictures, [{ ...write.body, takenAt: write.at }]) };
    case 'snapshot':
      return { ...question, snapshot: { ...write.body, takenAt: write.at } };
    case 'advice':
      return { ...question, openedOn: write.body.date, edition: write.body.edition, advice: { ...write.body, updatedAt: write.at, by: write.by } };
    case 'new-case':
    case 'case':
    case 'new-question':
      return question;
  }
}

/** A question about which nothing has been said, seen or advised. */
export const NOTHING_YET = {
  statements: [],
  pictures: [],
  readings: [],
  snapshot: null,
  advice: null,
  outcome: null,
  circumstances: {},
  overrule: null,
  plan: null,
} satisfies Partial<QuestionView>;

/** A question just begun, from the place the others of its call are from. */
function begun({ questions: [first, ...more] }: CaseView, { body, openedOn, edition }: Extract<CaseWrite, { kind: 'new-question' }>): QuestionView[] {
  if (!first) return [];
  const { stationId, climate, hemisphere } = first;
  return [
    {
      ...NOTHING_YET,
      id: body.id,
      title: body.title,
      position: more.length + 2,
      hostId: null,
      stationId,
      climate,
      hemisphere,
      setting: 'phone',
      edition,
      openedOn,
    },
  ];
}

/** The number of a call that the server has not numbered yet. */
export const UNNUMBERED = 0;

/** A new call as the server will have it, but for its number: it is talked about before it is saved. */
export function begunCase({ body, at, desk: { desk, edition, stations } }: Extract<CaseWrite, { kind: 'new-case' }>): CaseView {
  const lowest = [...stations].sort((a, b) => a.altitudeM - b.altitudeM)[0];
  const { id, questionId, channel, opening, caller } = body;
  return {
    id,
    number: UNNUMBERED,
    status: 'waiting',
    channel,
    caller,
    opening,
    receivedAt: `${desk.today}${at.slice(10)}`,
    followUpOn: null,
    hosts: [],
    causes: [],
    questions: [
      {
        ...NOTHING_YET,
        id: questionId,
        title: '',
        position: 1,
        hostId: null,
        stationId: lowest?.id ?? null,
        climate: desk.climate,
        hemisphere: desk.hemisphere,
        setting: 'phone',
        edition,
        openedOn: desk.today,
      },
    ],
  };
}

/** The case as it stands after a write. Used at once when it is made, and again over a fresh copy while it is unsent. */
export function applyWrite(view: CaseView, write: CaseWrite): CaseView {
  if (write.kind === 'case') {
    const { status, followUpOn, caller } = write.body;
    return {
      ...view,
      ...(status ? { status } : {}),
      ...(followUpOn !== undefined ? { followUpOn } : {}),
      caller: { ...view.caller, ...caller },
    };
  }
  if (write.kind === 'new-case') return view;
  if (write.kind === 'new-question') return { ...view, questions: joined(view.questions, begun(view, write)) };
  const questions = view.questions.map((question) => (question.id === write.questionId ? inQuestion(question, write) : question));
  return write.kind === 'advice' ? { ...view, questions, status: 'answered', followUpOn: write.body.followUpOn } : { ...view, questions };
}
