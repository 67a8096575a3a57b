import { useCallback } from 'react';
import { useSearchParams } from 'react-router';
import type { CaseView, QuestionView, SessionView } from '@sounding/contract/api.ts';
import type { Heard } from '../../engine/engine.worker.ts';
import { statementOf } from './useTakeDown.ts';
import type { NewWrite } from './useCaseWork.ts';

/** Begins another question of the same call, from the same place; with words, they are the first thing said in it. */
export function useOwnQuestion(view: CaseView, question: QuestionView, session: SessionView, write: (write: NewWrite) => void) {
  const [, setSearch] = useSearchParams();
  const { stationId, setting } = question;
  const { edition, desk } = session;
  return useCallback(
    (words?: { said: string; heard: Heard }) => {
      const questionId = crypto.randomUUID();
      write({ kind: 'new-question', body: { id: questionId, title: '' }, openedOn: desk.today, edition });
      write({ kind: 'question', questionId, body: { stationId, setting, ...(words?.heard.host ? { hostId: words.heard.host.id } : {}) } });
      if (words) write({ kind: 'statement', questionId, body: statementOf(words.said, words.heard) });
      setSearch({ q: questionId });
    },
    [write, setSearch, stationId, setting, desk.today, edition],
  );
}
