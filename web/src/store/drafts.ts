import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Words typed and not taken in yet. */
export interface Draft {
  text: string;
  /** How many characters of it Enter was pressed behind while the case was still on its way: they are taken in when it is there. */
  entered: number;
}
/** By the call they belong to: they outlive a look into the library, another question, a reload. */
export type DraftsState = Record<string, Draft>;

export const NO_DRAFT: Draft = { text: '', entered: 0 };
const STORAGE_KEY = 'sounding.drafts';

export function storedDrafts(): DraftsState {
  try {
    return (JSON.parse(localStorage.getItem(STORAGE_KEY) ?? '{}') as DraftsState | null) ?? {};
  } catch {
    return {};
  }
}

function put(state: DraftsState, caseId: string, draft: Draft): void {
  if (draft.text) state[caseId] = draft;
  else delete state[caseId];
}

const drafts = createSlice({
  name: 'drafts',
  initialState: storedDrafts,
  reducers: {
    typed(state, { payload: { caseId, text } }: PayloadAction<{ caseId: string; text: string }>) {
      const { text: before, entered } = state[caseId] ?? NO_DRAFT;
      put(state, caseId, { text, entered: text.startsWith(before.slice(0, entered)) ? entered : 0 });
    },
    entered(state, { payload: caseId }: PayloadAction<string>) {
      const text = state[caseId]?.text ?? '';
      put(state, caseId, { text, entered: text.length });
    },
    /** They wait in the line after all. */
    heldBack(state, { payload: caseId }: PayloadAction<string>) {
      put(state, caseId, { text: state[caseId]?.text ?? '', entered: 0 });
    },
    /** The words have gone into the record; what was typed after them stays. */
    takenIn(state, { payload: { caseId, words } }: PayloadAction<{ caseId: string; words: string }>) {
      const text = state[caseId]?.text ?? '';
      put(state, caseId, { text: text.startsWith(words) ? text.slice(words.length) : text, entered: 0 });
    },
  },
});

export const { typed, entered, heldBack, takenIn } = drafts.actions;
export const draftsReducer = drafts.reducer;

/** Keeps drafts in this browser for as long as the page lives. */
export function keepDrafts(store: { getState: () => { drafts: DraftsState }; subscribe: (listener: () => void) => () => void }): () => void {
  let last = store.getState().drafts;
  return store.subscribe(() => {
    const now = store.getState().drafts;
    if (now === last) return;
    last = now;
    localStorage.setItem(STORAGE_KEY, JSON.stringify(now));
  });
}
