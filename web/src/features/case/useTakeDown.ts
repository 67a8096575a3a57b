import { useCallback } from 'react';
import { UNKNOWN_ANSWER, type QuestionView, type ReadingView, type StatementBody } from '@sounding/contract/api.ts';
import { ENGINE_VERSION, type Standing } from '@sounding/core/consult/consult.ts';
import type { Channel, Finding } from '@sounding/core/edition/findings.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import { evidenceIn } from '@sounding/core/language/evidenceIn.ts';
import { takesBackOn } from '@sounding/core/language/understanding.ts';
import type { Heard } from '../../engine/engine.worker.ts';
import type { NewWrite } from './useCaseWork.ts';

/** What was said as it is set down, with the readings in it. */
export function statementOf(said: string, heard: Heard): StatementBody {
  const statementId = crypto.randomUUID();
  const told = (finding: string, answer: string, channel: Channel, from: string) => ({
    id: crypto.randomUUID(),
    finding,
    answer,
    channel,
    from,
    statementId,
  });
  // how a question of care was put tells nothing of what is wrong: nothing is
  const readings = evidenceIn(heard.onlyCare ? { ...heard, wording: '' } : heard).map((one) => told(one.finding, one.answer, one.channel, one.from));
  const open = heard.leftOpen === null ? [] : [told(heard.leftOpen, UNKNOWN_ANSWER, 'caller', said)];
  return { id: statementId, said, asked: heard.asked, by: 'caller', readings: [...readings, ...open] };
}

const BY_THE_CALLER: ReadonlySet<Channel> = new Set<Channel>(['caller', 'caller-unsure', 'caller-looked']);
/** What callers take back of their own ("no wait, it is the top leaves"), never what was seen in the hand or found by a test. */
const takenBack = (readings: readonly ReadingView[], heard: Heard): ReadingView[] =>
  readings.filter(({ withdrawnAt, channel, finding }) => withdrawnAt === null && BY_THE_CALLER.has(channel) && takesBackOn(heard, finding));

/**
 * Everything an advisor can set down about one question, each as one write.
 * @param host the plant it is about, as far as it is known: a closer name takes the place of a loose one
 * @param noted the plant that was noted when the call came in: it is that one until words name another
 */
export function useTakeDown(question: QuestionView, host: Plant | null, noted: Plant | null, write: (write: NewWrite) => void) {
  const questionId = question.id;
  const { setting } = question;
  const answer = useCallback(
    (finding: Finding, given: string) => {
      const channel = setting === 'table' ? 'in-hand' : 'caller-looked';
      write({
        kind: 'reading',
        questionId,
        body: { id: crypto.randomUUID(), finding: finding.id, answer: given, channel, from: finding.ask, statementId: null },
      });
    },
    [write, questionId, setting],
  );
  const words = useCallback(
    (said: string, heard: Heard) => {
      for (const reading of takenBack(question.readings, heard))
        write({ kind: 'withdrawal', questionId, readingId: reading.id, body: { withdrawn: true } });
      write({ kind: 'statement', questionId, body: statementOf(said, heard) });
      const named = heard.host ?? (host ? null : noted);
      if (named && (!host || (host.generic && !named.generic))) write({ kind: 'question', questionId, body: { hostId: named.id } });
    },
    [write, questionId, question.readings, host, noted],
  );
  const withdraw = useCallback(
    (reading: ReadingView, withdrawn: boolean) => write({ kind: 'withdrawal', questionId, readingId: reading.id, body: { withdrawn } }),
    [write, questionId],
  );
  const change = useCallback(
    (body: { hostId?: string | null; stationId?: string | null; setting?: 'phone' | 'table' }) => write({ kind: 'question', questionId, body }),
    [write, questionId],
  );
  const snapshot = useCallback(
    (edition: string, standing: Standing, taken: readonly ReadingView[]) =>
      write({
        kind: 'snapshot',
        questionId,
        body: {
          id: crypto.randomUUID(),
          edition,
          engine: ENGINE_VERSION,
          standing: standing.candidates.map(({ cause, probability }) => ({ cause, probability })),
          readings: taken.map((r) => r.id),
        },
      }),
    [write, questionId],
  );
  return { answer, words, withdraw, change, snapshot };
}
