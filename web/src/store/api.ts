import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type {
  CaseList,
  CaseListQuery,
  CaseView,
  EntryKind,
  EntryView,
  ImportView,
  LearningView,
  LibraryChange,
  NewCase,
  OutcomeBody,
  SessionView,
} from '@sounding/contract/api.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { WeatherSeries } from '@sounding/core/season/weather.ts';

/** Reads, and the few writes that wait for an answer. Everything taken during a call goes through the outbox. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: new URL('/api', location.href).href }),
  tagTypes: ['Session', 'Cases', 'Case', 'Entry', 'Learning'],
  endpoints: (build) => ({
    session: build.query<SessionView, void>({ query: () => '/session', providesTags: ['Session'] }),
    edition: build.query<Edition, string>({ query: (version) => `/editions/${version}`, keepUnusedDataFor: 86_400 }),
    cases: build.query<CaseList, Partial<CaseListQuery>>({
      query: (params) => ({ url: '/cases', params }),
      providesTags: ['Cases'],
      keepUnusedDataFor: 0,
    }),
    case: build.query<CaseView, string>({ query: (id) => `/cases/${id}`, providesTags: ['Case'], keepUnusedDataFor: 0 }),
    weather: build.query<WeatherSeries, { stationId: string; until: string }>({
      query: ({ stationId, until }) => ({ url: `/stations/${stationId}/weather`, params: { until } }),
    }),
    createCase: build.mutation<CaseView, NewCase>({ query: (body) => ({ url: '/cases', method: 'POST', body }), invalidatesTags: ['Cases'] }),
    addQuestion: build.mutation<CaseView, { caseId: string; id: string }>({
      query: ({ caseId, id }) => ({ url: `/cases/${caseId}/questions`, method: 'POST', body: { id } }),
    }),
    libraryEntry: build.query<EntryView, { kind: EntryKind; id: string }>({
      query: ({ kind, id }) => `/library/entries/${kind}/${id}`,
      providesTags: ['Entry'],
      keepUnusedDataFor: 0,
    }),
    writeEntry: build.mutation<LibraryChange, { kind: EntryKind; id: string; text: string; note: string }>({
      query: ({ kind, id, text, note }) => ({ url: `/library/entries/${kind}/${id}`, method: 'PUT', body: { text, note } }),
      invalidatesTags: (done) => (done ? ['Entry', 'Session'] : []),
    }),
    undoEntry: build.mutation<LibraryChange, { kind: EntryKind; id: string }>({
      query: ({ kind, id }) => ({ url: `/library/entries/${kind}/${id}/undo`, method: 'POST' }),
      invalidatesTags: (done) => (done ? ['Entry', 'Session'] : []),
    }),
    importLibrary: build.mutation<ImportView, { text: string; apply: boolean }>({
      query: (body) => ({ url: '/library/import', method: 'POST', body }),
      invalidatesTags: (done) => (done?.applied ? ['Entry', 'Session'] : []),
    }),
    confirmOutcome: build.mutation<null, { questionId: string; body: OutcomeBody }>({
      query: ({ questionId, body }) => ({ url: `/questions/${questionId}/outcome`, method: 'PUT', body }),
      invalidatesTags: ['Case', 'Learning'],
    }),
    dropOutcome: build.mutation<null, string>({
      query: (questionId) => ({ url: `/questions/${questionId}/outcome`, method: 'DELETE' }),
      invalidatesTags: ['Case', 'Learning'],
    }),
    learning: build.query<LearningView, void>({ query: () => '/learning', providesTags: ['Learning'], keepUnusedDataFor: 0 }),
    takeOverLearning: build.mutation<null, void>({ query: () => ({ url: '/learning', method: 'POST' }), invalidatesTags: ['Learning', 'Session'] }),
    setBackLearning: build.mutation<null, void>({ query: () => ({ url: '/learning', method: 'DELETE' }), invalidatesTags: ['Learning', 'Session'] }),
    takeSeat: build.mutation<null, string>({
      query: (personId) => ({ url: '/session/seat', method: 'PUT', body: { personId } }),
      invalidatesTags: ['Session'],
    }),
    setDay: build.mutation<null, string>({ query: (today) => ({ url: '/desk', method: 'PATCH', body: { today } }), invalidatesTags: ['Session'] }),
  }),
});

export const {
  useSessionQuery,
  useEditionQuery,
  useCasesQuery,
  useCaseQuery,
  useWeatherQuery,
  useCreateCaseMutation,
  useAddQuestionMutation,
  useSetDayMutation,
  useLibraryEntryQuery,
  useWriteEntryMutation,
  useUndoEntryMutation,
  useImportLibraryMutation,
  useTakeSeatMutation,
  useConfirmOutcomeMutation,
  useDropOutcomeMutation,
  useLearningQuery,
  useTakeOverLearningMutation,
  useSetBackLearningMutation,
} = api;

export const usePrefetchEdition = () => api.usePrefetch('edition');

/** What a failed request says to a person. */
export function problemText(error: unknown): string {
  const data = (error as { data?: { detail?: string; title?: string } } | undefined)?.data;
  return data?.detail ?? data?.title ?? 'The server cannot be reached. It is tried again by itself.';
}
