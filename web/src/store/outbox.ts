import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { dropPicture, keptPicture, PICTURE_TYPE } from './pictureStore.ts';
import { requestOf, type CaseWrite } from './writes.ts';

export type RefusedWrite = CaseWrite & { reason: string };
export interface OutboxState {
  pending: CaseWrite[];
  refused: RefusedWrite[];
  /** The last writes that arrived and when, in ms: a copy asked for before that may lack them. */
  arrived: { write: CaseWrite; at: number }[];
  /** What kept the last attempt from getting through, in words; null when all is well. */
  trouble: string | null;
}

const STORAGE_KEY = 'sounding.outbox';

/** What was not yet saved when the page went away. */
export function storedOutbox(): OutboxState {
  try {
    const kept = JSON.parse(localStorage.getItem(STORAGE_KEY) ?? 'null') as Pick<OutboxState, 'pending' | 'refused'> | null;
    return { pending: kept?.pending ?? [], refused: kept?.refused ?? [], arrived: [], trouble: null };
  } catch {
    return { pending: [], refused: [], arrived: [], trouble: null };
  }
}

export function keepOutbox({ pending, refused }: Pick<OutboxState, 'pending' | 'refused'>): void {
  localStorage.setItem(STORAGE_KEY, JSON.stringify({ pending, refused }));
}

/** More than can arrive while one case is fetched. */
const KEPT_ARRIVED = 40;

const outbox = createSlice({
  name: 'outbox',
  initialState: storedOutbox,
  reducers: {
    queued(state, { payload }: PayloadAction<CaseWrite>) {
      state.pending.push(payload);
    },
    sent(state, { payload: { id, at } }: PayloadAction<{ id: string; at: number }>) {
      const write = state.pending.find((w) => w.id === id);
      state.pending = state.pending.filter((w) => w.id !== id);
      if (write) state.arrived = [...state.arrived, { write, at }].slice(-KEPT_ARRIVED);
      state.trouble = null;
    },
    refused(state, { payload }: PayloadAction<{ id: string; reason: string }>) {
      const write = state.pending.find((w) => w.id === payload.id);
      state.pending = state.pending.filter((w) => w.id !== payload.id);
      if (write) state.refused.push({ ...write, reason: payload.reason });
    },
    troubled(state, { payload }: PayloadAction<string>) {
      state.trouble = payload;
    },
    refusalsRead(state) {
      state.refused = [];
    },
  },
});

export const { queued, sent, refused, troubled, refusalsRead } = outbox.actions;
export const outboxReducer = outbox.reducer;

/** Writes that a copy of the server's may lack, in the order they were made: those on their way, and those that arrived since it was asked for, in ms. */
export const writesSince = ({ pending, arrived }: OutboxState, askedAt: number): CaseWrite[] => [
  ...arrived.filter(({ at }) => at >= askedAt).map(({ write }) => write),
  ...pending,
];

const RETRY_MS = [500, 1000, 2000, 4000, 8000];

interface OutboxStore {
  getState: () => { outbox: OutboxState };
  dispatch: (action: ReturnType<typeof sent> | ReturnType<typeof refused> | ReturnType<typeof troubled>) => unknown;
  subscribe: (listener: () => void) => () => void;
}

type Outcome = { kind: 'sent' } | { kind: 'refused'; reason: string } | { kind: 'later'; reason: string };

async function send(write: CaseWrite): Promise<Outcome> {
  try {
    const { method, path } = requestOf(write);
    const image = write.kind === 'picture' ? await keptPicture(write.body.id) : null;
    if (image === undefined) return { kind: 'refused', reason: 'the picture is no longer in this browser; put it in again' };
    const body = image ?? JSON.stringify(write.body);
    const response = await fetch(`/api${path}`, { method, headers: { 'content-type': image ? PICTURE_TYPE : 'application/json' }, body });
    if (response.ok) {
      if (write.kind === 'picture') await dropPicture(write.body.id);
      return { kind: 'sent' };
    }
    const problem = (await response.json().catch(() => null)) as { title?: string; detail?: string } | null;
    const reason = problem?.detail ?? problem?.title ?? `answer ${response.status}`;
    return response.status >= 500 || response.status === 401 || response.status === 429 ? { kind: 'later', reason } : { kind: 'refused', reason };
  } catch {
    return { kind: 'later', reason: 'the server cannot be reached' };
  }
}

/** Sends pending writes one after another, in order, for as long as the page lives; keeps what is unsent in the browser. */
export function runOutbox(store: OutboxStore): void {
  let busy = false;
  let failures = 0;
  const drain = async (): Promise<void> => {
    if (busy) return;
    busy = true;
    for (let write = store.getState().outbox.pending[0]; write; write = store.getState().outbox.pending[0]) {
      const outcome = await send(write);
      if (outcome.kind === 'later') {
        store.dispatch(troubled(outcome.reason));
        setTimeout(() => void drain(), RETRY_MS[Math.min(failures++, RETRY_MS.length - 1)]);
        break;
      }
      failures = 0;
      store.dispatch(outcome.kind === 'sent' ? sent({ id: write.id, at: Date.now() }) : refused({ id: write.id, reason: outcome.reason }));
    }
    busy = false;
  };
  let last = store.getState().outbox;
  store.subscribe(() => {
    const now = store.getState().outbox;
    if (now === last) return;
    const grew = now.pending.length > last.pending.length;
    last = now;
    keepOutbox(now);
    if (grew) void drain();
  });
  window.addEventListener('online', () => void drain());
  void drain();
}
