import { QueryStatus } from '@reduxjs/toolkit/query/react';
import { api } from './api.ts';
import type { Store } from './store.ts';

const AGAIN_MS = 3000;

/** True of a failure that may be over in a moment: the server or its record is away. What it refuses, it refuses again. */
export function isAway(error: unknown): boolean {
  const status = (error as { status?: number | string } | undefined)?.status;
  return status === 'FETCH_ERROR' || (typeof status === 'number' && status >= 500);
}

/**
 * Asks again, for as long as the page lives, for what views want and could not have because the server was away.
 * @returns what stops it
 */
export function askAgain(store: Store, everyMs = AGAIN_MS): () => void {
  const timer = setInterval(() => {
    for (const query of Object.values(store.getState().api.queries)) {
      if (query?.status !== QueryStatus.rejected || !isAway(query.error)) continue;
      const { initiate } = api.endpoints[query.endpointName as keyof typeof api.endpoints];
      void store.dispatch((initiate as typeof api.endpoints.case.initiate)(query.originalArgs as string, { subscribe: false, forceRefetch: true }));
    }
  }, everyMs);
  return () => clearInterval(timer);
}
