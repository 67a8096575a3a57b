import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type { CaseList, CaseListQuery, CaseView, NewCase, SessionView } from '@sounding/contract/api.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { WeatherSeries } from '@sounding/core/season/weather.ts';

/** Reads, and the few writes that wait for an answer. Everything taken during a call goes through the outbox. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: new URL('/api', location.href).href }),
  tagTypes: ['Session', 'Cases', 'Case'],
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
} = api;

export const usePrefetchEdition = () => api.usePrefetch('edition');

/** What a failed request says to a person. */
export function problemText(error: unknown): string {
  const data = (error as { data?: { detail?: string; title?: string } } | undefined)?.data;
  return data?.detail ?? data?.title ?? 'The server cannot be reached. It is tried again by itself.';
}
