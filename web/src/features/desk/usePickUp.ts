import { useCallback } from 'react';
import { useNavigate } from 'react-router';
import { queued } from '../../store/outbox.ts';
import { useAppDispatch, useAppStore } from '../../store/store.ts';
import { keepTypedAhead } from './typedAhead.ts';

/** Takes a case, one that waits or the call just begun: it is ours from here on, its view opens, and what is typed goes to its line. */
export function usePickUp(): (chosen: { id: string }) => void {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const navigate = useNavigate();
  return useCallback(
    (chosen) => {
      dispatch(queued({ id: crypto.randomUUID(), caseId: chosen.id, at: new Date().toISOString(), kind: 'case', body: { status: 'open' } }));
      keepTypedAhead(store, chosen.id);
      void navigate(`/case/${chosen.id}`);
    },
    [dispatch, navigate, store],
  );
}
