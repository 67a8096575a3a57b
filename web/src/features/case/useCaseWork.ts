import { useCallback, useEffect, useState } from 'react';
import { skipToken } from '@reduxjs/toolkit/query/react';
import { useStore } from 'react-redux';
import type { CaseView } from '@sounding/contract/api.ts';
import { useCaseQuery } from '../../store/api.ts';
import { queued, writesSince } from '../../store/outbox.ts';
import { useAppDispatch, useAppSelector, type RootState } from '../../store/store.ts';
import { opened } from '../../store/work.ts';
import { begunCase, type CaseWrite } from '../../store/writes.ts';

type Unmarked<T> = T extends CaseWrite ? Omit<T, 'id' | 'caseId' | 'at'> : never;
export type NewWrite = Unmarked<CaseWrite>;

/** One case on the table: its present state, and `write` to set something down, at once here and in the record. */
export function useCaseWork(caseId: string): { view: CaseView | undefined; error: unknown; write: (write: NewWrite) => void } {
  // a call just begun is here before the server has it; then it comes back with its number
  const begun = useAppSelector(({ outbox }) => outbox.pending.find((write) => write.kind === 'new-case' && write.caseId === caseId));
  const { data, error, startedTimeStamp, fulfilledTimeStamp } = useCaseQuery(begun ? skipToken : caseId, { refetchOnMountOrArgChange: true });
  const store = useStore<RootState>();
  const dispatch = useAppDispatch();
  const view = useAppSelector((state) => state.work.cases[caseId]);
  // a copy from before, kept while the new one is fetched or when it cannot be had, must not go over what was written since
  const [mountedAt] = useState(() => Date.now());
  const fresh = (fulfilledTimeStamp ?? 0) >= mountedAt;
  useEffect(() => {
    const { work, outbox } = store.getState();
    if (data && (fresh || !work.cases[data.id])) dispatch(opened({ view: data, unsent: writesSince(outbox, startedTimeStamp ?? 0) }));
  }, [data, startedTimeStamp, fulfilledTimeStamp, fresh, dispatch, store]);
  useEffect(() => {
    const { work, outbox } = store.getState();
    if (begun?.kind === 'new-case' && !work.cases[begun.caseId]) dispatch(opened({ view: begunCase(begun), unsent: outbox.pending }));
  }, [begun, dispatch, store]);
  const write = useCallback(
    (body: NewWrite) => {
      dispatch(queued({ ...body, id: crypto.randomUUID(), caseId, at: new Date().toISOString() }));
    },
    [dispatch, caseId],
  );
  return { view, error: view ? null : error, write };
}
