import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { api } from './api.ts';
import { draftsReducer } from './drafts.ts';
import { outboxReducer } from './outbox.ts';
import { workReducer } from './work.ts';

export function createStore() {
  return configureStore({
    reducer: { [api.reducerPath]: api.reducer, outbox: outboxReducer, work: workReducer, drafts: draftsReducer },
    middleware: (standard) => standard({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
  });
}
export type Store = ReturnType<typeof createStore>;
export type RootState = ReturnType<Store['getState']>;
export const useAppDispatch = useDispatch.withTypes<Store['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
export const useAppStore = useStore.withTypes<Store>();
