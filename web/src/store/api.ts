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
  OutcomeBody,
  SessionView,
} from '@sounding/contract/api.ts';
import type { InstrumentsView } from '@sounding/contract/instruments.ts';
import type { LabelImportView, RecordHistory, ShedView } from '@sounding/contract/labels.ts';
import type { MailBody, MailView } from '@sounding/contract/plan.ts';
import type { DeskSeason } from '@sounding/contract/season.ts';
import type { Place, SettingsView } from '@sounding/contract/settings.ts';
import type { StationImportView, StationLayout, StationState } from '@sounding/contract/stations.ts';
import { PACKED_FORM, unpackEdition } from '@sounding/core/edition/packed.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Inspection } from '@sounding/core/edition/inspections.ts';
import type { LossTable } from '@sounding/core/edition/losses.ts';
import type { WeatherHour } from '@sounding/core/season/hourly.ts';
import type { WeatherDay, WeatherSeries } from '@sounding/core/season/weather.ts';
import type { JurisdictionRule, Label } from '@sounding/core/treatment/label.ts';

/** Reads, and the few writes that wait for an answer. Everything taken during a call goes through the outbox. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: new URL('/api', location.href).href }),
  tagTypes: ['Session', 'Cases', 'Case', 'Entry', 'Learning', 'Shed', 'Settings', 'Stations', 'Mails', 'Instruments'],
  endpoints: (build) => ({
    session: build.query<SessionView, void>({ query: () => '/session', providesTags: ['Session'] }),
    edition: build.query<Edition, string>({
      query: (version) => ({ url: `/editions/${version}/packed`, params: { form: PACKED_FORM } }),
      transformResponse: unpackEdition,
      keepUnusedDataFor: 86_400,
    }),
    cases: build.query<CaseList, Partial<CaseListQuery>>({
      query: (params) => ({ url: '/cases', params }),
      providesTags: ['Cases'],
      keepUnusedDataFor: 0,
    }),
    case: build.query<CaseView, string>({ query: (id) => `/cases/${id}`, providesTags: ['Case'], keepUnusedDataFor: 0 }),
    weather: build.query<WeatherSeries, { stationId: string; until: string }>({
      query: ({ stationId, until }) => ({ url: `/stations/${stationId}/weather`, params: { until } }),
      // thousands of days are not compared one by one with those of another query
      structuralSharing: false,
    }),
    instruments: build.query<InstrumentsView, void>({ query: () => '/instruments', providesTags: ['Instruments'], keepUnusedDataFor: 0 }),
    takeReading: build.mutation<void, string>({ query: (serial) => ({ url: `/instruments/${encodeURIComponent(serial)}/take`, method: 'POST' }) }),
    assignReading: build.mutation<void, { id: string; questionId: string | null }>({
      query: ({ id, questionId }) => ({ url: `/instrument-readings/${id}`, method: 'PATCH', body: { questionId } }),
      invalidatesTags: ['Instruments'],
    }),
    libraryEntry: build.query<EntryView, { kind: EntryKind; id: string }>({
      query: ({ kind, id }) => `/library/entries/${kind}/${id}`,
      providesTags: ['Entry'],
      keepUnusedDataFor: 0,
    }),
    works: build.query<string[], string>({ query: (cause) => `/library/works/${cause}` }),
    inspections: build.query<Inspection[], void>({ query: () => '/library/inspections', keepUnusedDataFor: 86_400 }),
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
    shed: build.query<ShedView, void>({ query: () => '/shed', providesTags: ['Shed'] }),
    labelHistory: build.query<RecordHistory, string>({ query: (id) => `/shed/labels/${id}/history`, providesTags: ['Shed'], keepUnusedDataFor: 0 }),
    writeLabel: build.mutation<null, { label: Label; note: string }>({
      query: (body) => ({ url: `/shed/labels/${body.label.id}`, method: 'PUT', body }),
      invalidatesTags: (_done, error) => (error ? [] : ['Shed']),
    }),
    removeLabel: build.mutation<null, string>({ query: (id) => ({ url: `/shed/labels/${id}`, method: 'DELETE' }), invalidatesTags: ['Shed'] }),
    writeRule: build.mutation<null, { rule: JurisdictionRule; note: string }>({
      query: (body) => ({ url: `/shed/rules/${body.rule.id}`, method: 'PUT', body }),
      invalidatesTags: (_done, error) => (error ? [] : ['Shed']),
    }),
    removeRule: build.mutation<null, string>({ query: (id) => ({ url: `/shed/rules/${id}`, method: 'DELETE' }), invalidatesTags: ['Shed'] }),
    importLabels: build.mutation<LabelImportView, { text: string; format: 'csv' | 'json'; apply: boolean }>({
      query: (body) => ({ url: '/shed/import', method: 'POST', body }),
      invalidatesTags: (done) => (done?.applied ? ['Shed'] : []),
    }),
    settings: build.query<SettingsView, void>({ query: () => '/settings', providesTags: ['Settings'], keepUnusedDataFor: 0 }),
    writeHouseLines: build.mutation<null, Record<string, number>>({
      query: (body) => ({ url: '/settings/house-lines', method: 'PUT', body }),
      invalidatesTags: ['Settings', 'Session'],
    }),
    placeDesk: build.mutation<null, Place>({
      query: (body) => ({ url: '/settings/place', method: 'PUT', body }),
      invalidatesTags: (_done, error) => (error ? [] : ['Settings', 'Session']),
    }),
    writeLosses: build.mutation<null, LossTable | null>({
      query: (table) => ({ url: '/settings/losses', method: 'PUT', body: { table } }),
      invalidatesTags: (_done, error) => (error ? [] : ['Settings', 'Session']),
    }),
    forecast: build.query<WeatherDay[], { stationId: string; today: string }>({
      query: ({ stationId }) => `/stations/${stationId}/forecast`,
      providesTags: ['Stations'],
    }),
    hours: build.query<WeatherHour[], { stationId: string; today: string }>({
      query: ({ stationId }) => `/stations/${stationId}/hours`,
      providesTags: ['Stations'],
    }),
    stations: build.query<StationState[], void>({ query: () => '/stations', providesTags: ['Stations'], keepUnusedDataFor: 0 }),
    fetchStations: build.mutation<StationState[], void>({ query: () => ({ url: '/stations/fetch', method: 'POST' }), invalidatesTags: ['Stations'] }),
    importStation: build.mutation<StationImportView, { id: string; text: string; layout?: StationLayout; apply: boolean }>({
      query: ({ id, ...body }) => ({ url: `/stations/${id}/import`, method: 'POST', body }),
      invalidatesTags: (done) => (done?.applied ? ['Stations'] : []),
    }),
    addStation: build.mutation<null, { id: string; name: string; lat: number; lon: number; altitudeM: number }>({
      query: (body) => ({ url: '/stations', method: 'POST', body }),
      invalidatesTags: (_done, error) => (error ? [] : ['Stations', 'Session']),
    }),
    deskSeason: build.query<DeskSeason, void>({ query: () => '/season', providesTags: ['Case', 'Learning'], keepUnusedDataFor: 0 }),
    sendMail: build.mutation<null, { questionId: string; body: MailBody }>({
      query: ({ questionId, body }) => ({ url: `/questions/${questionId}/mail`, method: 'POST', body }),
      invalidatesTags: ['Mails'],
    }),
    mails: build.query<MailView[], void>({ query: () => '/outbox', providesTags: ['Mails'], keepUnusedDataFor: 0 }),
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
  useInstrumentsQuery,
  useTakeReadingMutation,
  useAssignReadingMutation,
  useCasesQuery,
  useCaseQuery,
  useWeatherQuery,
  useSetDayMutation,
  useLibraryEntryQuery,
  useWorksQuery,
  useInspectionsQuery,
  useWriteEntryMutation,
  useUndoEntryMutation,
  useImportLibraryMutation,
  useTakeSeatMutation,
  useConfirmOutcomeMutation,
  useDropOutcomeMutation,
  useLearningQuery,
  useTakeOverLearningMutation,
  useSetBackLearningMutation,
  useShedQuery,
  useLabelHistoryQuery,
  useWriteLabelMutation,
  useRemoveLabelMutation,
  useWriteRuleMutation,
  useRemoveRuleMutation,
  useImportLabelsMutation,
  usePlaceDeskMutation,
  useSettingsQuery,
  useWriteHouseLinesMutation,
  useWriteLossesMutation,
  useForecastQuery,
  useStationsQuery,
  useHoursQuery,
  useFetchStationsMutation,
  useImportStationMutation,
  useAddStationMutation,
  useSendMailMutation,
  useDeskSeasonQuery,
  useMailsQuery,
} = api;

export const usePrefetchEdition = () => api.usePrefetch('edition');

/** What a failed request says to a person. */
export function problemText(error: unknown): string {
  const data = (error as { data?: { detail?: string; title?: string } } | undefined)?.data;
  return data?.detail ?? data?.title ?? 'The server cannot be reached.';
}
