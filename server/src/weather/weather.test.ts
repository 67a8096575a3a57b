import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { stationImportView, stationState, type StationImportView } from '@sounding/contract/stations.ts';
import { z } from 'zod';
import { DEMO_STATIONS } from '../demo/lindwater.ts';
import { simulateForecast, simulateWeather } from '../standins/weather.ts';
import { createWeatherService, type Behaviour } from '../standins/weatherService.ts';
import { listenOnLoopback, openTestDesk, type Listening, type TestDesk } from '../testDesk.ts';
import { weatherClient } from './client.ts';
import { readDays } from './dayFiles.ts';
import { fetchDesk } from './fetch.ts';

let service: Listening;
let desk: TestDesk;
const NOW = new Date('2026-06-14T09:00:00Z');
/** Long enough for a busy machine; short only while slowness itself is tried. */
const PATIENCE_MS = 5000;
const IMPATIENT_MS = 400;
let patienceMs = PATIENCE_MS;
beforeAll(async () => {
  service = await listenOnLoopback(createWeatherService(DEMO_STATIONS));
  desk = await openTestDesk('weather', {
    fetchWeather: async (db, deskId, until) => void (await fetchDesk(db, weatherClient(service.url, patienceMs), deskId, until, NOW)),
  });
});
afterAll(async () => {
  service.close();
  await desk.close();
});
const behave = (mode: Behaviour) =>
  fetch(`${service.url}/behaviour`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ mode }) });
const states = async () => z.array(stationState).parse((await desk.agent.post('/api/stations/fetch')).body);

describe('the simulated service (Richardson 1981)', () => {
  it('foretells the next days closely and the far ones badly, the same each time it is asked', () => {
    const { climate } = DEMO_STATIONS[0]!;
    const errors = [0, 1, 2, 3, 4, 5, 6].map(() => 0);
    for (let month = 1; month <= 12; month++) {
      const issued = `2025-${String(month).padStart(2, '0')}-10`;
      const foretold = simulateForecast(climate, issued, 7);
      expect(simulateForecast(climate, issued, 7)).toEqual(foretold);
      simulateWeather(climate, issued, `2025-${String(month).padStart(2, '0')}-16`).forEach(
        (day, i) => (errors[i]! += Math.abs(day.maxC - foretold[i]!.maxC)),
      );
    }
    expect(errors[0]).toBe(0);
    expect(errors[6]!).toBeGreaterThan(errors[1]!);
  });
  it('has days that hang together: a warm day is followed by a warm one more often than not', () => {
    const days = simulateWeather(DEMO_STATIONS[0]!.climate, '2020-01-01', '2025-12-31').filter(({ on }) => on.slice(5, 7) === '07');
    const mean = days.reduce((sum, { maxC }) => sum + maxC, 0) / days.length;
    const pairs = days.slice(1).map((day, i) => [days[i]!.maxC - mean, day.maxC - mean] as const);
    const correlation = pairs.reduce((s, [a, b]) => s + a * b, 0) / pairs.reduce((s, [a]) => s + a * a, 0);
    expect(correlation).toBeGreaterThan(0.35);
    expect(correlation).toBeLessThan(0.8);
  });
});

describe('fetching', () => {
  it('brings stations up to the desk’s day, with a week ahead', async () => {
    await desk.agent.patch('/api/desk').send({ today: '2026-06-18' });
    const [harbour] = await states();
    expect(harbour).toMatchObject({
      name: 'Harbour',
      lastDay: '2026-06-18',
      forecastUntil: '2026-06-24',
      trouble: null,
      fetchedAt: NOW.toISOString(),
    });
    const hours = (await desk.agent.get(`/api/stations/${harbour!.id}/hours`)).body as { on: string; hour: number }[];
    expect(hours).toHaveLength(61 * 24);
    expect(hours.at(-1)).toMatchObject({ on: '2026-06-18', hour: 23 });
    const forecast = (await desk.agent.get(`/api/stations/${harbour!.id}/forecast`)).body as { on: string }[];
    expect(forecast.map(({ on }) => on).slice(0, 2)).toEqual(['2026-06-18', '2026-06-19']);
  });
  it.each<[Behaviour, RegExp]>([
    ['absent', /cannot be reached/],
    ['slow', /did not answer within/],
    ['wrong', /impossible figures.*cannot be °C/],
  ])('when the service is %s it says so, keeps what there is, and goes on when it is well again', async (mode, words) => {
    const before = await states();
    await behave(mode);
    patienceMs = mode === 'slow' ? IMPATIENT_MS : PATIENCE_MS;
    const during = await states();
    patienceMs = PATIENCE_MS;
    expect(during[0]!.trouble).toMatch(words);
    expect(during.map(({ days, forecastUntil }) => [days, forecastUntil])).toEqual(before.map(({ days, forecastUntil }) => [days, forecastUntil]));
    if (mode === 'absent') {
      // it cannot be told to behave while it does not answer: another takes its place on the same stations
      service.close();
      service = await listenOnLoopback(createWeatherService(DEMO_STATIONS));
    } else await behave('ok');
    expect((await states())[0]!.trouble).toBeNull();
  });
  it('answers hours, and refuses what it does not know', async () => {
    const hours = (await (await fetch(`${service.url}/stations/castle-hill/hourly?from=2026-06-01&to=2026-06-02`)).json()) as { hours: unknown[] };
    expect(hours.hours).toHaveLength(48);
    for (const path of [
      '/stations/nowhere/daily?from=2026-01-01&to=2026-01-02',
      '/stations/harbour/daily?from=soon&to=later',
      '/stations/harbour/forecast',
    ])
      expect((await fetch(service.url + path)).status).toBeGreaterThanOrEqual(400);
  });
});

const DAILY_SUMMARIES = `STATION,NAME,DATE,PRCP,TMAX,TMIN,AWND
ZZ01,"Fell Farm",2026-05-01,0.20,68,47,6.7
ZZ01,"Fell Farm",2026-05-02,0.00,71,50,4.5
ZZ01,"Fell Farm",2026-05-02,0.00,72,50,4.5
ZZ01,"Fell Farm",2026-05-06,0.01,51,58,3.1
ZZ01,"Fell Farm",2026-05-07,,75,52,
`;

describe('station files', () => {
  it('of daily summaries: guesses columns and units, and tells duplicates, gaps and what cannot be by line', () => {
    const { days, view } = readDays(DAILY_SUMMARIES, null);
    expect(view.layout).toMatchObject({
      date: 'DATE',
      min: 'TMIN',
      max: 'TMAX',
      rain: 'PRCP',
      wind: 'AWND',
      temperatureUnit: 'F',
      rainUnit: 'in',
      windUnit: 'mph',
    });
    expect(days[0]).toEqual({ on: '2026-05-01', minC: 8.33, maxC: 20, rainMm: 5.08, windMs: 3, humidityPct: null });
    expect(view).toMatchObject({ days: 3, duplicates: 1, from: '2026-05-01', to: '2026-05-07', gaps: [{ from: '2026-05-03', to: '2026-05-06' }] });
    expect(view.faults).toEqual([{ line: 5, detail: 'minimum: 14.44 °C is above the maximum of 10.56 °C' }]);
  });
  it('in tenths of a degree, and with days first', () => {
    const tenths = readDays('date,tmin,tmax,rr\n01.05.2026,84,201,52\n13.05.2026,91,188,0\n', null);
    expect(tenths.view.layout).toMatchObject({ dateOrder: 'dmy', temperatureUnit: 'tenths-C', rainUnit: 'tenths-mm' });
    expect(tenths.days[1]).toMatchObject({ on: '2026-05-13', minC: 9.1, maxC: 18.8 });
    expect(tenths.days[0]!.rainMm).toBe(5.2);
  });
  it('of hours: leaf wetness as the sensor says, days made of whole days only, impossible hours told', () => {
    const day = (on: string, hours: number) =>
      Array.from({ length: hours }, (_, h) => `${on}T${String(h).padStart(2, '0')}:00,${10 + h / 2},80,${h < 5 ? 60 : 0},0.2`);
    const text = ['time,temp,humidity,leaf_wetness,rain', ...day('2026-06-01', 24), ...day('2026-06-02', 7), '2026-06-02T25:00,12,80,0,0'].join('\n');
    const { days, hours, view } = readDays(text, null);
    expect(hours).toHaveLength(31);
    expect(hours.filter(({ wet }) => wet)).toHaveLength(10);
    expect(days).toEqual([{ on: '2026-06-01', minC: 10, maxC: 21.5, rainMm: expect.closeTo(4.8, 9), windMs: null, humidityPct: 80 }]);
    expect(view.faults).toEqual([{ line: 33, detail: 'time: "2026-06-02T25:00" has no hour from 0 to 23' }]);
  });
  it('that were cut off, or name no columns, say what is missing', () => {
    expect(readDays('date,min,max\n2026-05-01,8,20\n2026-05-0', null).view.faults).toEqual([{ line: 3, detail: 'the line is cut off' }]);
    expect(readDays('when,low,high\n2026-05-01,8,20', null).view.faults[0]!.detail).toBe('say which column is the minimum, the maximum');
  });
  it('with °F taken for °C are caught', () =>
    expect(
      readDays('date,min,max\n2026-07-01,66,88', { ...readDays('date,min,max\n', null).view.layout, temperatureUnit: 'C' }).view.faults[0]!.detail,
    ).toContain('is the file in °F?'));
  it('are previewed, brought in by the coordinator, and their layout is remembered', async () => {
    await desk.seat('coordinator');
    const id = randomUUID();
    await desk.agent.post('/api/stations').send({ id, name: 'Fell Farm', lat: 47.2, lon: 8.9, altitudeM: 610 });
    const bring = async (body: object): Promise<StationImportView> =>
      stationImportView.parse((await desk.agent.post(`/api/stations/${id}/import`).send(body)).body);
    expect((await bring({ text: DAILY_SUMMARIES })).applied).toBe(false);
    const text = 'DAY_OF,LO,HI\n2026-05-10,9,21\n2026-05-11,10,22\n';
    const layout = {
      ...readDays(DAILY_SUMMARIES, null).view.layout,
      date: 'DAY_OF',
      min: 'LO',
      max: 'HI',
      rain: '',
      wind: '',
      temperatureUnit: 'C' as const,
    };
    expect(await bring({ text, layout, apply: true })).toMatchObject({ applied: true, days: 2 });
    expect((await bring({ text: text.replace('2026-05-10', '2026-05-12') })).layout).toMatchObject({ date: 'DAY_OF', min: 'LO' });
    const own = z.array(stationState).parse((await desk.agent.get('/api/stations')).body);
    expect(own.find((s) => s.id === id)).toMatchObject({ days: 2, lastDay: '2026-05-11', fetched: false });
    await desk.seat('advisor');
    expect((await desk.agent.post(`/api/stations/${id}/import`).send({ text })).status).toBe(403);
  });
});
