import { useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import type { SumResult } from '@sounding/core/measure/sum.ts';
import { useCaseQuery } from '../../store/api.ts';
import { queued } from '../../store/outbox.ts';
import { useAppDispatch, useAppSelector, type RootState } from '../../store/store.ts';
import { opened } from '../../store/work.ts';
import { EMPTY_PLAN } from '../plan/usePlanWork.ts';

/** Puts a sum into the plan of the case the bench was opened from; nothing happens without one. */
export function useDropIntoCase(caseId: string | null, questionId: string | null) {
  const { data } = useCaseQuery(caseId ?? '', { skip: caseId === null });
  const dispatch = useAppDispatch();
  const store = useStore<RootState>();
  useEffect(() => {
    if (data && !store.getState().work.cases[data.id]) dispatch(opened({ view: data, unsent: store.getState().outbox.pending }));
  }, [data, dispatch, store]);
  const view = useAppSelector((state) => (caseId === null ? undefined : state.work.cases[caseId]));
  const question = view?.questions.find(({ id }) => id === questionId);
  const [said, setSaid] = useState<string | null>(null);
  const put = (sum: string, result: SumResult) => {
    if (!view || !question) return;
    const plan = question.plan ?? EMPTY_PLAN;
    const one = { id: crypto.randomUUID(), sum, line: result.lines[0] ?? '', reply: result.reply };
    dispatch(
      queued({
        id: crypto.randomUUID(),
        caseId: view.id,
        at: new Date().toISOString(),
        kind: 'question',
        questionId: question.id,
        body: { plan: { ...plan, sums: [...plan.sums, one] } },
      }),
    );
    setSaid(`It is in the plan, and will stand in the letter: ${result.reply}`);
  };
  return { caller: view && question ? view.caller.name : null, back: `/case/${caseId ?? ''}/plan/${questionId ?? ''}`, said, put };
}
