import type { CaseView, QuestionView } from '@sounding/contract/api.ts';
import type { Channel } from '@sounding/core/edition/findings.ts';
import type { Inspection } from '@sounding/core/edition/inspections.ts';
import { EMPTY_PLAN } from '../plan/usePlanWork.ts';
import type { NewWrite } from '../case/useCaseWork.ts';

/** How the result of a test is known, by where the call is taken. */
export const channelOf = (setting: QuestionView['setting']): Channel => (setting === 'table' ? 'bench' : 'caller-looked');

export interface Found {
  inspection: Inspection;
  result: Inspection['results'][number];
  channel: Channel;
  /** The day to look again; null = not at all. */
  againOn: string | null;
}

/** What a test leaves in a case: its result with the readings, the day to look again, and that somebody rings then. */
export function writesOf({ inspection, result, channel, againOn }: Found, view: CaseView, question: QuestionView, newId: () => string): NewWrite[] {
  const statementId = newId();
  const readings = result.readings.map(({ finding, answer }) => ({ id: newId(), finding, answer, channel, from: inspection.name, statementId }));
  const statement: NewWrite = {
    kind: 'statement',
    questionId: question.id,
    body: { id: statementId, said: result.say, asked: inspection.name, by: 'inspection', readings },
  };
  if (againOn === null) return [statement];
  const plan = question.plan ?? EMPTY_PLAN;
  const check = { id: newId(), on: againOn, what: inspection.name, why: `last time: ${result.say.toLowerCase()}` };
  const checks: NewWrite = { kind: 'question', questionId: question.id, body: { plan: { ...plan, checks: [...(plan.checks ?? []), check] } } };
  const sooner = view.followUpOn !== null && view.followUpOn <= againOn;
  return [statement, checks, ...(sooner ? [] : [{ kind: 'case', body: { followUpOn: againOn } } satisfies NewWrite])];
}
