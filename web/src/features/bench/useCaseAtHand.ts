import { useCallback, useEffect } from 'react';
import { useStore } from 'react-redux';
import { useSearchParams } from 'react-router';
import type { CaseView, QuestionView } from '@sounding/contract/api.ts';
import type { PlanBody } from '@sounding/contract/plan.ts';
import { useCaseQuery } from '../../store/api.ts';
import { queued } from '../../store/outbox.ts';
import { useAppDispatch, useAppSelector, type RootState } from '../../store/store.ts';
import { opened } from '../../store/work.ts';
import type { NewWrite } from '../case/useCaseWork.ts';
import { EMPTY_PLAN } from '../plan/usePlanWork.ts';

export interface CaseAtHand {
  view: CaseView;
  question: QuestionView;
  /** Sets something down in the case, at once here and in the record. */
  write: (write: NewWrite) => void;
  changePlan: (change: (plan: PlanBody) => Partial<PlanBody>) => void;
}

/** The case the bench was opened from, named in the address as `case` and `question`; null when it was opened by itself. */
export function useCaseAtHand(): CaseAtHand | null {
  const [params] = useSearchParams();
  const caseId = params.get('case');
  const { data } = useCaseQuery(caseId ?? '', { skip: caseId === null });
  const dispatch = useAppDispatch();
  const store = useStore<RootState>();
  useEffect(() => {
    if (data && !store.getState().work.cases[data.id]) dispatch(opened({ view: data, unsent: store.getState().outbox.pending }));
  }, [data, dispatch, store]);
  const view = useAppSelector((state) => (caseId === null ? undefined : state.work.cases[caseId]));
  const question = view?.questions.find(({ id }) => id === params.get('question'));
  const write = useCallback(
    (body: NewWrite) => {
      if (caseId !== null) dispatch(queued({ ...body, id: crypto.randomUUID(), caseId, at: new Date().toISOString() }));
    },
    [dispatch, caseId],
  );
  if (!view || !question) return null;
  const changePlan: CaseAtHand['changePlan'] = (change) => {
    const plan = question.plan ?? EMPTY_PLAN;
    write({ kind: 'question', questionId: question.id, body: { plan: { ...plan, ...change(plan) } } });
  };
  return { view, question, write, changePlan };
}

/** The address of the case, at the question it was left from. */
export const backToCase = ({ view, question }: CaseAtHand): string => `/case/${view.id}?q=${question.id}`;
