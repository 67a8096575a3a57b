import { afterEach, describe, expect, it } from '@jest/globals';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { StationState } from '@sounding/contract/stations.ts';
import { fakeServer, Refusal, type FakeServer } from '../../testServer.ts';
import { COORDINATING, renderAtDesk } from '../../testing.tsx';
import { StationsPage } from './StationsPage.tsx';

const state = (extra: Partial<StationState> = {}): StationState => ({
  id: '00000000-0000-4000-8000-000000000009',
  name: 'Harbour',
  lastDay: '2026-06-13',
  days: 4000,
  forecastUntil: '2026-06-20',
  fetchedAt: '2026-06-14T05:00:00Z',
  trouble: null,
  fetched: true,
  ...extra,
});
const layout = {
  date: 'day',
  dateOrder: 'ymd' as const,
  min: 'low',
  max: 'high',
  rain: '',
  wind: '',
  humidity: '',
  temperatureUnit: 'C',
  rainUnit: 'mm',
  windUnit: 'm/s',
};
let server: FakeServer;
afterEach(() => server.stop());
const serve = (states: StationState[], answers = {}) => {
  server = fakeServer({ 'GET /api/stations': states, ...answers });
};

describe('stations', () => {
  it('tell how fresh each is, and what went wrong', async () => {
    serve([
      state(),
      state({ id: '00000000-0000-4000-8000-000000000008', name: 'Moor', trouble: 'the service does not answer', lastDay: null, days: 0 }),
    ]);
    renderAtDesk(<StationsPage />);
    expect(await screen.findByRole('row', { name: /Harbour 4000 days, to 13 June 2026 to 20 June 2026 well/ })).toBeTruthy();
    expect(screen.getByRole('row', { name: /Moor 0 days.*the service does not answer/ })).toBeTruthy();
    // an advisor looks, the coordinator brings in
    expect(screen.queryByRole('button', { name: /Bring a record in/ })).toBeNull();
  });
  it('show a file before anything of it is stored: what can be taken, what cannot and why', async () => {
    const view = {
      columns: ['day', 'low', 'high'],
      layout,
      preview: [{ on: '2026-06-01', minC: 9, maxC: 20, rainMm: null, windMs: null, humidityPct: null }],
      days: 12,
      from: '2026-06-01',
      to: '2026-06-12',
      duplicates: 1,
      gaps: [{ from: '2026-06-05', to: '2026-06-05' }],
      faults: [{ line: 4, detail: 'the minimum 31 is above the maximum 20' }],
      faultCount: 1,
      applied: false,
    };
    serve([state()], { 'POST /api/stations/*/import': view });
    renderAtDesk(<StationsPage />, { session: COORDINATING });
    await screen.findByRole('button', { name: 'Bring a record in for Harbour' });
    const input = document.querySelector<HTMLInputElement>('input[type=file]')!;
    const file = new File(['day,low,high\n'], 'harbour.csv', { type: 'text/csv' });
    file.text = () => Promise.resolve('day,low,high\n2026-06-01,9,20\n');
    await userEvent.upload(input, file);
    const shown = await screen.findByRole('region', { name: 'The file' });
    expect(shown.textContent).toContain('12 days can be taken, 1 June 2026 to 12 June 2026; 1 given twice');
    expect(within(shown).getByText('line 4: the minimum 31 is above the maximum 20')).toBeTruthy();
    expect(within(shown).getByText('missing: 2026-06-05 to 2026-06-05')).toBeTruthy();
    // another column is looked at anew, nothing is applied yet
    await userEvent.selectOptions(within(shown).getByLabelText('rain in'), 'in');
    const sent = () =>
      server.sent['POST /api/stations/00000000-0000-4000-8000-000000000009/import'] as { apply: boolean; layout?: { rainUnit: string } }[];
    expect(sent().map(({ apply }) => apply)).toEqual([false, false]);
    expect(sent()[1]?.layout?.rainUnit).toBe('in');
    await userEvent.click(await screen.findByRole('button', { name: 'Take 12 days over' }));
    expect(await screen.findByText('12 days are in the record of Harbour.')).toBeTruthy();
    expect(sent().at(-1)?.apply).toBe(true);
  });
  it('name the field of a new station that cannot be, and send one that can', async () => {
    serve([], { 'POST /api/stations': () => undefined });
    renderAtDesk(<StationsPage />, { session: COORDINATING });
    await userEvent.type(await screen.findByLabelText('Name'), 'Weir');
    await userEvent.type(screen.getByLabelText('Latitude, °'), '147');
    await userEvent.type(screen.getByLabelText('Longitude, °'), '8');
    await userEvent.type(screen.getByLabelText('Altitude, m'), '410');
    await userEvent.click(screen.getByRole('button', { name: 'Add it' }));
    expect((await screen.findByRole('alert')).textContent).toMatch(/^lat: /);
    await userEvent.clear(screen.getByLabelText('Latitude, °'));
    await userEvent.type(screen.getByLabelText('Latitude, °'), '47');
    await userEvent.click(screen.getByRole('button', { name: 'Add it' }));
    expect(server.sent['POST /api/stations']).toEqual([expect.objectContaining({ name: 'Weir', lat: 47, lon: 8, altitudeM: 410 })]);
  });
  it('say when the service is away', async () => {
    serve([state()], {
      'POST /api/stations/fetch': () => {
        throw new Refusal(503, 'the weather service does not answer; it is asked again in a minute');
      },
    });
    renderAtDesk(<StationsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Fetch now' }));
    expect((await screen.findByRole('alert')).textContent).toContain('asked again in a minute');
  });
});
