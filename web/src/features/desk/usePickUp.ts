import { useCallback } from 'react';
import { useNavigate } from 'react-router';
import { queued } from '../../store/outbox.ts';
import { useAppDispatch } from '../../store/store.ts';

/** Takes a case, one that waits or the call just begun: it is ours from here on, and its view opens. */
export function usePickUp(): (chosen: { id: string }) => void {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  return useCallback(
    (chosen) => {
      dispatch(queued({ id: crypto.randomUUID(), caseId: chosen.id, at: new Date().toISOString(), kind: 'case', body: { status: 'open' } }));
      void navigate(`/case/${chosen.id}`);
    },
    [dispatch, navigate],
  );
}
