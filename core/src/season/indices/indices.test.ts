import { describe, expect, it } from '@jest/globals';
import { addDays } from '../calendar.ts';
import { estimatedHours, type WeatherHour } from '../hourly.ts';
import type { WeatherDay } from '../weather.ts';
import { DISEASE_INDICES } from './all.ts';
import { hoursToInfect, wettings } from './appleScab.ts';
import { severityValue } from './earlyBlight.ts';
import { INDEX_IDS } from '../../edition/bases.ts';

const hour = (on: string, h: number, tempC: number, humidityPct: number, wet = false): WeatherHour => ({
  on,
  hour: h,
  tempC,
  humidityPct,
  wet,
  measured: true,
});
const wholeDay = (on: string, tempC: (h: number) => number, humidityPct: (h: number) => number, wet: (h: number) => boolean = () => false) =>
  Array.from({ length: 24 }, (_, h) => hour(on, h, tempC(h), humidityPct(h), wet(h)));
const weatherDay = (on: string, minC: number, maxC: number, rainMm = 0): WeatherDay => ({ on, minC, maxC, rainMm, windMs: 2, humidityPct: 70 });

describe('early blight (Madden, Pennypacker & MacNab 1978; Pitblado 1988)', () => {
  // mean temperature while wet; then the most hours of wetness that still give 0, 1, 2, 3
  it.each([
    [13, [6, 15, 20]],
    [17, [6, 15, 20]],
    [18, [3, 8, 15, 22]],
    [20, [3, 8, 15, 22]],
    [21, [2, 5, 12, 20]],
    [25, [2, 5, 12, 20]],
    [26, [3, 8, 15, 22]],
    [29, [3, 8, 15, 22]],
  ])('every cell of the row at %s °C', (meanC, mostHours) => {
    mostHours.forEach((most, value) => {
      expect(severityValue(most, meanC)).toBe(value);
      expect(severityValue(most + 1, meanC)).toBe(value + 1);
    });
    expect(severityValue(24, meanC)).toBe(mostHours.length);
  });
  it('is nothing outside 13 to 29 °C', () => {
    expect(severityValue(24, 12)).toBe(0);
    expect(severityValue(24, 30)).toBe(0);
  });
  it('adds up day by day', () => {
    const hours = ['2026-06-01', '2026-06-02'].flatMap((on) =>
      wholeDay(
        on,
        () => 22,
        () => 95,
        (h) => h < 13,
      ),
    );
    expect(DISEASE_INDICES['early-blight'].of([], hours).map(({ value }) => value)).toEqual([3, 6]);
  });
});

describe('apple scab (Mills 1944; MacHardy & Gadoury 1989)', () => {
  it('takes six hours from 16 to 24 °C, longer in the cold, and none beyond 26', () => {
    for (let t = 16; t <= 24; t++) expect(hoursToInfect(t)).toBe(6);
    expect(hoursToInfect(10)).toBe(11);
    expect(hoursToInfect(0)).toBeNull();
    expect(hoursToInfect(30)).toBeNull();
    for (let t = 2; t <= 16; t++) expect(hoursToInfect(t)!).toBeLessThanOrEqual(hoursToInfect(t - 1)!);
  });
  it('joins wet hours over a short dry gap, not over a long one', () => {
    const wet = (from: number, to: number) => (h: number) => h >= from && h < to;
    const day = wholeDay(
      '2026-05-01',
      () => 16,
      () => 80,
      (h) => wet(0, 4)(h) || wet(7, 10)(h) || wet(20, 22)(h),
    );
    expect(wettings(day).map((w) => w.wet)).toEqual([7, 2]);
    const [on] = DISEASE_INDICES['apple-scab'].of([weatherDay('2026-05-01', 16, 16)], day);
    expect(on).toMatchObject({ level: 'risk', note: '7 h wet at 16 °C, 6 h infect' });
  });
});

describe('late blight (Hutton criteria)', () => {
  const humid = (on: string, minC: number, hours: number) =>
    wholeDay(
      on,
      (h) => (h === 4 ? minC : minC + 3),
      (h) => (h < hours ? 92 : 70),
    );
  it('asks two days running of 10 °C and six humid hours each', () => {
    const levels = (...days: WeatherHour[][]) => DISEASE_INDICES['late-blight'].of([], days.flat()).map(({ level }) => level);
    expect(levels(humid('2026-07-01', 11, 6), humid('2026-07-02', 10, 7))).toEqual(['low', 'risk']);
    expect(levels(humid('2026-07-01', 11, 6), humid('2026-07-02', 9.9, 7))).toEqual(['low', 'none']);
    expect(levels(humid('2026-07-01', 11, 6), humid('2026-07-02', 12, 5), humid('2026-07-03', 12, 6))).toEqual(['low', 'none', 'low']);
  });
});

describe('mildews of the vine', () => {
  it('downy: ten millimetres at ten degrees', () => {
    const days = [weatherDay('2026-05-10', 8, 18, 6), weatherDay('2026-05-11', 9, 17, 5), weatherDay('2026-05-12', 2, 9, 20)];
    expect(DISEASE_INDICES['grape-downy-mildew'].of(days, []).map(({ level }) => level)).toEqual(['none', 'risk', 'none']);
  });
  it('powdery: begins after three warm days, rises by 20, falls by 10, and by 10 more in great heat', () => {
    const warm = (on: string) =>
      wholeDay(
        on,
        (h) => (h >= 10 && h < 17 ? 25 : 15),
        () => 60,
      );
    const cool = (on: string) =>
      wholeDay(
        on,
        () => 15,
        () => 60,
      );
    const hot = (on: string) =>
      wholeDay(
        on,
        (h) => (h === 15 ? 36 : 25),
        () => 40,
      );
    const days = [warm('2026-06-01'), warm('2026-06-02'), warm('2026-06-03'), warm('2026-06-04'), cool('2026-06-05'), hot('2026-06-06')];
    expect(DISEASE_INDICES['grape-powdery-mildew'].of([], days.flat()).map(({ value }) => value)).toEqual([20, 40, 60, 80, 70, 80]);
  });
});

describe('fire blight (Steiner 1990)', () => {
  it('needs warmth on the flowers, wetness and a warm day together', () => {
    const days = Array.from({ length: 5 }, (_, i) => addDays('2026-05-01', i));
    const hours = days.flatMap((on) =>
      wholeDay(
        on,
        (h) => (h >= 9 && h < 18 ? 24 : 16),
        () => 70,
      ),
    );
    const dry = DISEASE_INDICES['fire-blight'].of(
      days.map((on) => weatherDay(on, 16, 24)),
      hours,
    );
    expect(dry.at(-1)!.level).toBe('risk');
    const rained = DISEASE_INDICES['fire-blight'].of(
      days.map((on) => weatherDay(on, 16, 24, on === days[4] ? 3 : 0)),
      hours,
    );
    expect(rained.at(-1)!.level).toBe('high');
    expect(dry[0]!.level).toBe('none');
  });
});

describe('all indices', () => {
  it('say something of every day of a station that measures only daily figures', () => {
    const days = Array.from({ length: 60 }, (_, i) => weatherDay(addDays('2026-05-01', i), 9 + (i % 5), 20 + (i % 7), i % 4 === 0 ? 8 : 0));
    const hours = estimatedHours(days, 47);
    expect(hours).toHaveLength(60 * 24);
    for (const id of INDEX_IDS) {
      const out = DISEASE_INDICES[id].of(days, hours);
      expect(out.map(({ on }) => on)).toEqual(days.map(({ on }) => on));
      expect(out.every(({ value }) => Number.isFinite(value))).toBe(true);
    }
  });
});
