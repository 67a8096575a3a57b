import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { packEdition } from '@sounding/core/edition/packed.ts';
import { addDays } from '@sounding/core/season/calendar.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { fakeServer, Refusal, workersHere, type FakeServer } from '../../testServer.ts';
import { renderAtDesk, SESSION } from '../../testing.tsx';

workersHere();
const { SeasonPage } = await import('./SeasonPage.tsx');

const STATIONS = [
  { id: '00000000-0000-4000-8000-000000000008', name: 'Harbour', lat: 47, lon: 8.5, altitudeM: 401 },
  { id: '00000000-0000-4000-8000-000000000009', name: 'Moor', lat: 47, lon: 8.6, altitudeM: 780 },
];
const session = { ...SESSION, stations: STATIONS };
const edition = {
  ...smallEdition,
  version: SESSION.edition,
  causes: smallEdition.causes.map((cause) =>
    cause.id === 'beetle'
      ? {
          ...cause,
          climates: [],
          windows: [{ id: 'hatch', name: 'hatch', mark: 'memory' as const, degreeDays: { baseC: 10, biofix: '01-01', from: 1, to: 600 } }],
          options: [{ ...cause.options[0]!, act: 'physical' as const, title: 'Pick them off', window: 'hatch' }],
        }
      : cause,
  ),
};
/** Two plain years up to a day: warm enough for degree-days from May on. */
function record(until: string) {
  const days = [];
  for (let on = '2024-06-01'; on <= until; on = addDays(on, 1)) {
    const warm = Number(on.slice(5, 7)) >= 5 && Number(on.slice(5, 7)) <= 9;
    days.push({ on, minC: warm ? 11 : 1, maxC: warm ? 24 : 8, rainMm: 1, windMs: 2, humidityPct: 70 });
  }
  return days;
}
const desk = {
  plants: [],
  stated: [{ said: 0.9, right: true }],
  followUps: [],
};
let server: FakeServer;
const serve = (answers = {}) => {
  server = fakeServer({
    'GET /api/editions/*/packed': packEdition(edition),
    'GET /api/stations': [],
    'GET /api/season': desk,
    'GET /api/stations/*/weather': ({ url }: { url: URL }) => ({
      station: url.pathname.includes(STATIONS[1]!.id) ? 'Moor' : 'Harbour',
      latDegrees: 47,
      days: record(url.searchParams.get('until')!),
    }),
    'GET /api/stations/*/forecast': [],
    'GET /api/stations/*/hours': [],
    ...answers,
  });
};
beforeEach(() => {
  // charts ask for it; jsdom has none
  globalThis.ResizeObserver = class {
    observe(): void {}
    unobserve(): void {}
    disconnect(): void {}
  };
});
afterEach(() => server.stop());

describe('season at a station', () => {
  it('tells what is open, the weather rules, and whom nobody waits for', async () => {
    serve();
    renderAtDesk(<SeasonPage />, { session });
    const windows = await screen.findByRole('region', { name: 'Windows' });
    expect(within(windows).getByText(/Pick them off/).textContent).toMatch(/degree-days above 10 °C since 1 January 2026 at Harbour/);
    expect(screen.getByRole('row', { name: /Late blight/ })).toBeTruthy();
    expect(screen.getByText('Nobody is waiting for a call back.')).toBeTruthy();
    expect(screen.getByText(/1 confirmed outcome:/)).toBeTruthy();
  });
  it('is reckoned for the station that is picked, and never shows the other’s meanwhile', async () => {
    serve();
    renderAtDesk(<SeasonPage />, { session });
    await screen.findByText(/at Harbour/, { selector: 'small' });
    await userEvent.selectOptions(screen.getByLabelText('station'), 'Moor, 780 m');
    expect(screen.queryByText(/at Harbour/, { selector: 'small' })).toBeNull();
    expect(await screen.findByText(/at Moor/, { selector: 'small' })).toBeTruthy();
    expect(screen.getByLabelText('address').textContent).toBe(`/?station=${STATIONS[1]!.id}`);
  });
  it('shows the year of a plant that is picked', async () => {
    serve();
    renderAtDesk(<SeasonPage />, { session });
    const year = await screen.findByRole('region', { name: 'The year of one plant' });
    await userEvent.selectOptions(within(year).getByLabelText('plant'), edition.plants[0]!.name);
    expect(screen.getByLabelText('address').textContent).toContain(`plant=${edition.plants[0]!.id}`);
  });
  it('says why there is nothing when the record cannot be had', async () => {
    serve({
      'GET /api/stations/*/weather': () => {
        throw new Refusal(503, 'the database does not answer');
      },
    });
    renderAtDesk(<SeasonPage />, { session });
    expect((await screen.findByRole('alert')).textContent).toContain('the database does not answer');
  });
});
