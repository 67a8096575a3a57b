import { useCallback } from 'react';
import { useNavigate } from 'react-router';
import type { CaseSummary } from '@sounding/contract/api.ts';
import { queued } from '../../store/outbox.ts';
import { useAppDispatch } from '../../store/store.ts';

/** Takes a waiting case: it is ours from here on, and its view opens. */
export function usePickUp(): (chosen: CaseSummary) => void {
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
