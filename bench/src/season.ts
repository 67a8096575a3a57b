import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Window } from '@sounding/core/edition/windows.ts';
import { generator } from '@sounding/core/numbers/random.ts';
import { degreeDaySums } from '@sounding/core/season/crossing.ts';
import { dayNumber, isoOfDay } from '@sounding/core/season/calendar.ts';
import { seasonReport } from '@sounding/core/season/report.ts';
import { windowStanding } from '@sounding/core/season/windows.ts';
import type { WeatherDay, WeatherSeries } from '@sounding/core/season/weather.ts';

const YEARS = 30;
const LAST = '2026-06-14';
const LAT = 47;

/** A made-up station of thirty years: a yearly wave with noise. For times only. */
export function generatedStation(seed: number, years = YEARS): WeatherSeries {
  const random = generator(seed);
  const last = dayNumber(LAST);
  const days: WeatherDay[] = [];
  for (let day = last - Math.round(years * 365.25) + 1; day <= last; day++) {
    const mean = 9 - 10 * Math.cos((2 * Math.PI * (day - 15)) / 365.25) + 6 * (random() - 0.5);
    days.push({ on: isoOfDay(day), minC: mean - 4, maxC: mean + 6, rainMm: random() < 0.4 ? 5 * random() : 0, windMs: 2, humidityPct: 70 });
  }
  return { station: `station ${seed}`, latDegrees: LAT, days };
}

export interface SeasonTimes {
  stations: number;
  /** Degree-days of every day, in each way of reckoning the edition asks for. */
  degreeDaysMs: number;
  /** Every dated window of the edition put on the day. */
  windowsMs: number;
  stationDays: number;
}

/** Every window that can be put on a day: by warmth, frosts, infection weather or the calendar. */
export const datedWindows = (edition: Edition): Window[] =>
  edition.causes.flatMap((cause) => cause.windows.filter((window) => window.degreeDays ?? window.frost ?? window.infection ?? window.calendar));

/** Recomputes stations from nothing; each is new, so that nothing remembered helps. */
export function seasonTimes(edition: Edition, stations: number): SeasonTimes {
  const windows = datedWindows(edition);
  const spans = windows.flatMap((window) => (window.degreeDays ? [window.degreeDays] : []));
  // making a station costs more than reckoning it: one record is made and handed on under new names
  const { days } = generatedStation(1);
  let degreeDaysMs = 0;
  let windowsMs = 0;
  for (let s = 0; s < stations; s++) {
    const series: WeatherSeries = { station: `station ${s}`, latDegrees: LAT, days };
    const start = performance.now();
    for (const span of spans) degreeDaySums(series, span);
    const middle = performance.now();
    for (const window of windows) windowStanding(window, { date: LAST, climate: 'continental', hemisphere: 'N', weather: series });
    degreeDaysMs += middle - start;
    windowsMs += performance.now() - middle;
  }
  return { stations, degreeDaysMs, windowsMs, stationDays: stations * days.length };
}

/** One station's whole report anew after its day has changed, as the worker does it. */
export function reportMs(edition: Edition, runs: number): number {
  const { days } = generatedStation(2, 7);
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const series: WeatherSeries = { station: 'one', latDegrees: LAT, days: [...days] };
    const start = performance.now();
    seasonReport(edition, {
      series,
      forecast: [],
      today: LAST,
      climate: 'continental',
      hemisphere: 'N',
      latDegrees: LAT,
      altitudeM: 400,
      plants: [],
    });
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)] ?? 0;
}
