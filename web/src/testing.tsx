import type { ReactElement } from 'react';
import { render } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter, Outlet, Route, Routes, useLocation } from 'react-router';
import type { CaseSummary, CaseView, NewCase, QuestionView, SessionView } from '@sounding/contract/api.ts';
import { SchemeProvider } from './app/scheme.tsx';
import { createStore } from './store/store.ts';
import { NOTHING_YET, type CaseWrite } from './store/writes.ts';

/** Renders with colours and a place in the application, as every view expects. */
export const renderInk = (ui: ReactElement) =>
  render(
    <MemoryRouter>
      <SchemeProvider>{ui}</SchemeProvider>
    </MemoryRouter>,
  );

const ID = '00000000-0000-4000-8000-00000000000';
export const SESSION: SessionView = {
  person: { id: `${ID}1`, name: 'Ada Fennlin', role: 'advisor' },
  desk: { id: `${ID}2`, name: 'Test desk', climate: 'continental', hemisphere: 'N', today: '2026-06-14', demo: true },
  edition: 'small-1',
  stations: [],
  people: [],
};

/** The same desk with the coordinator in the seat. */
export const COORDINATING: SessionView = { ...SESSION, person: { ...SESSION.person, name: 'Corvin Brisk', role: 'coordinator' } };

/** A case just begun: nothing said, nothing read. */
export const aQuestion = (extra: Partial<QuestionView> = {}): QuestionView => ({
  id: 'q1',
  position: 1,
  title: '',
  hostId: null,
  stationId: null,
  climate: 'continental',
  hemisphere: 'N',
  setting: 'phone',
  edition: 'small-1',
  openedOn: '2026-06-14',
  ...NOTHING_YET,
  ...extra,
});
export const aCase = (extra: Partial<CaseView> = {}): CaseView => ({ ...aSummary({ status: 'open' }), questions: [aQuestion()], ...extra });

/** A case as lists show it. */
export const aSummary = (extra: Partial<CaseSummary> = {}): CaseSummary => ({
  id: 'c1',
  number: 1,
  status: 'waiting',
  channel: 'telephone',
  caller: { name: 'Tilda', phone: '', email: '', place: '' },
  opening: '',
  receivedAt: '2026-06-14T08:00:00Z',
  followUpOn: null,
  hosts: [],
  causes: [],
  ...extra,
});

/** The write that begins case c1 with its question q1, at the desk of the tests. */
export const aNewCase = (body: Partial<NewCase> = {}, desk: Partial<SessionView> = {}): Extract<CaseWrite, { kind: 'new-case' }> => ({
  id: 'w-new',
  caseId: 'c1',
  at: '2026-06-14T08:00:00Z',
  kind: 'new-case',
  body: { id: 'c1', questionId: 'q1', channel: 'telephone', opening: '', caller: { name: 'Tilda', phone: '', email: '', place: '' }, ...body },
  desk: { ...SESSION, ...desk },
});

function Place() {
  const { pathname, search } = useLocation();
  return <output aria-label="address">{pathname + search}</output>;
}

/** Renders inside a shell: with a store, a session and an address; the address is shown as "address". */
export const renderAtDesk = (ui: ReactElement, { at = '/', path = '*', store = createStore(), session = SESSION } = {}) => ({
  store,
  ...render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[at]}>
        <SchemeProvider>
          <Place />
          <Routes>
            <Route element={<Outlet context={session} />}>
              <Route path={path} element={ui} />
              <Route path="*" element={null} />
            </Route>
          </Routes>
        </SchemeProvider>
      </MemoryRouter>
    </Provider>,
  ),
});
