import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { CaseView } from '@sounding/contract/api.ts';
import { queued } from './outbox.ts';
import { applyWrite, type CaseWrite } from './writes.ts';

/** The cases on the table: what the server had when they were opened, and every write since. */
export interface WorkState {
  cases: Record<string, CaseView>;
}

const work = createSlice({
  name: 'work',
  initialState: (): WorkState => ({ cases: {} }),
  reducers: {
    /** Takes the server's copy and lays over it what it may lack: what was not sent yet, or arrived after the copy was asked for. */
    opened(state, { payload }: PayloadAction<{ view: CaseView; unsent: CaseWrite[] }>) {
      const own = payload.unsent.filter((write) => write.caseId === payload.view.id);
      state.cases[payload.view.id] = own.reduce(applyWrite, payload.view);
    },
  },
  extraReducers: (builder) => {
    builder.addCase(queued, (state, { payload }) => {
      const view = state.cases[payload.caseId];
      if (view) state.cases[payload.caseId] = applyWrite(view, payload);
    });
  },
});

export const { opened } = work.actions;
export const workReducer = work.reducer;
