import { describe, expect, it } from '@jest/globals';
import type { Edition } from '../edition/edition.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { addDays } from './calendar.ts';
import { frostDates, recentEvents } from './extremes.ts';
import { plantYear, seasonReport, type SeasonInput } from './report.ts';
import { degreeDayTracks } from './tracks.ts';
import type { WeatherDay, WeatherSeries } from './weather.ts';

/** Years of a plain wave: frost until about the end of March, warm in July. */
function years(from: string, to: string): WeatherSeries {
  const days: WeatherDay[] = [];
  for (let on = from, i = 0; on <= to; on = addDays(on, 1), i++) {
    const mean = 9 - 11 * Math.cos((2 * Math.PI * (i - 15)) / 365.25);
    days.push({ on, minC: mean - 5, maxC: mean + 6, rainMm: i % 5 === 0 ? 6 : 0, windMs: 2, humidityPct: 70 });
  }
  return { station: 'Wave', days };
}
const series = years('2022-01-01', '2026-06-14');
const cause = smallEdition.causes.find(({ id }) => id === 'beetle')!;
const edition: Edition = {
  ...smallEdition,
  causes: [
    {
      ...cause,
      climates: [],
      windows: [
        { id: 'hatch', name: 'hatch', mark: 'memory', degreeDays: { baseC: 10, biofix: '01-01', from: 320, to: 600 } },
        { id: 'winter', name: 'winter', mark: 'memory', calendar: { default: { from: '12-01', to: '02-28' } } },
        { id: 'soon', name: 'soon', mark: 'memory', calendar: { default: { from: '06-20', to: '07-20' } } },
      ],
      options: ['hatch', 'winter', 'soon'].map((window) => ({
        id: window,
        act: 'physical' as const,
        title: `Do ${window}`,
        how: '',
        window,
        not: [],
        cautions: [],
        effect: 'good' as const,
        mark: 'memory' as const,
      })),
    },
  ],
};
const input: SeasonInput = {
  series,
  forecast: [1, 2, 3].map((d) => ({ on: addDays('2026-06-14', d), minC: 12, maxC: 24, rainMm: 0, windMs: 2, humidityPct: 80 })),
  today: '2026-06-14',
  climate: 'continental',
  hemisphere: 'N',
  latDegrees: 47,
  altitudeM: 400,
  plants: smallEdition.plants,
};

describe('season at a station', () => {
  const report = seasonReport(edition, input);
  it('says what opens within a fortnight and what ends, and nothing of winter in June', () => {
    expect(report.due.map(({ timing, turn }) => [timing.window, turn])).toEqual(expect.arrayContaining([['soon', 'opens']]));
    expect(report.due.some(({ timing }) => timing.window === 'winter')).toBe(false);
    expect(report.due.find(({ timing }) => timing.window === 'soon')).toMatchObject({ inDays: 6, options: ['Do soon'] });
  });
  it('runs every index over the last two weeks and what is foretold', () => {
    for (const run of report.indices) {
      expect(run.days).toHaveLength(14 + 3);
      expect(run.days.filter(({ foretold }) => foretold).map(({ on }) => on)).toEqual(['2026-06-15', '2026-06-16', '2026-06-17']);
      expect(run.cite).not.toBe('');
    }
    const flowers = report.indices.find(({ id }) => id === 'fire-blight')!;
    expect(flowers.days.every(({ inSeason, level }) => !inSeason && level === 'none')).toBe(true);
  });
  it('takes measured hours where a day has them all', () => {
    const hours = Array.from({ length: 24 }, (_, hour) => ({ on: '2026-06-13', hour, tempC: 12, humidityPct: 95, wet: true, measured: true }));
    const measured = seasonReport(edition, { ...input, hours });
    expect(measured.measuredShare).toBeCloseTo(1 / 60, 2);
    const scab = (r: typeof measured) => r.indices.find(({ id }) => id === 'apple-scab')!.days.find(({ on }) => on === '2026-06-13')!;
    expect(scab(measured).value).toBeGreaterThan(scab(report).value);
    expect(seasonReport(edition, { ...input, hours: hours.slice(1) }).measuredShare).toBe(0);
  });
  it('balances a week of rain against what evaporates', () => {
    expect(report.rainMm).toBeGreaterThan(0);
    expect(report.evapotranspirationMm).toBeGreaterThan(20);
    expect(report.evapotranspirationMm).toBeLessThan(50);
    expect(report.bedMissingMm).toBeGreaterThanOrEqual(0);
    expect(report.bedDue || report.bedDueOn === null || report.bedDueOn.on > '2026-06-14').toBe(true);
    const soaked = { ...series, days: series.days.map((day) => (day.on > '2026-06-09' ? { ...day, rainMm: 30 } : day)) };
    const wet = seasonReport(edition, { ...input, series: soaked });
    expect(wet.bedDue).toBe(false);
    expect(wet.bedDueOn).toMatchObject({ years: 4 });
    expect(wet.bedDueOn!.on > '2026-06-16').toBe(true);
  });
});

describe('chill and care', () => {
  it('counts the winter that runs beside earlier ones, and says nothing in June', () => {
    expect(seasonReport(edition, input).chill).toBeNull();
    const winter = seasonReport(edition, { ...input, series: years('2022-01-01', '2026-01-31'), today: '2026-01-31', forecast: [] }).chill!;
    expect(winter).toMatchObject({ since: '2025-10-01', years: 3 });
    expect(winter.hours).toBeGreaterThan(300);
    expect(winter.portions).toBeGreaterThan(20);
    const early = seasonReport(edition, { ...input, series: years('2020-01-01', '2025-12-20'), today: '2025-12-20', forecast: [] }).chill!;
    expect(early.reaches).toMatchObject({ portions: 60 });
    expect(early.reaches!.on > '2025-12-20' && early.reaches!.early <= early.reaches!.on && early.reaches!.on <= early.reaches!.late).toBe(true);
    expect(winter.earlier![0]).toBeLessThanOrEqual(winter.earlier![2]);
  });
  it('has work at its turn for plants the desk is asked about', () => {
    const task = {
      id: 'prune-bean',
      topic: 'prune',
      name: 'Pinch beans',
      how: 'At the top.',
      hosts: { include: [{ plant: 'bean', weight: 1 }], exclude: [] },
      window: { id: 'prune-bean', name: 'June', mark: 'memory' as const, calendar: { default: { from: '06-01', to: '06-20' } } },
    };
    const report = seasonReport({ ...edition, careTasks: [task] }, input);
    expect(report.tasks).toEqual([expect.objectContaining({ task: 'prune-bean', turn: 'ends', inDays: 6 })]);
    const bean = smallEdition.plants.find(({ id }) => id === 'bean')!;
    expect(plantYear({ ...edition, careTasks: [task] }, bean, { date: '2026-06-14', climate: null, hemisphere: 'N', weather: null })[0]!.name).toBe(
      'Pinch beans',
    );
  });
});

describe('frost and events', () => {
  it('find the last frost of spring and the first of autumn, later and earlier in 2 of 10 years', () => {
    const frost = frostDates(series, 2026, 'N')!;
    expect(frost.lastUsual > '2026-03-01' && frost.lastUsual < '2026-04-30').toBe(true);
    expect(frost.lastLate >= frost.lastUsual && frost.firstEarly <= frost.firstUsual).toBe(true);
    expect(frost.firstUsual > '2026-10-01').toBe(true);
    expect(frostDates({ station: 'x', days: [] }, 2026, 'N')).toBeNull();
  });
  it('are what an advisor asks about first', () => {
    const days = [
      { on: '2026-06-10', minC: -1, maxC: 9, rainMm: 0, windMs: 2, humidityPct: 50 },
      { on: '2026-06-12', minC: 18, maxC: 34, rainMm: 40, windMs: 15, humidityPct: 50 },
    ];
    expect(recentEvents({ station: 'x', days }, '2026-06-14', 7).map(({ what }) => what)).toEqual(['frost', 'heat', 'heavy-rain', 'gale']);
    expect(recentEvents({ station: 'x', days }, '2026-06-14', 3).map(({ what }) => what)).toEqual(['heat', 'heavy-rain', 'gale']);
  });
});

describe('tracks and a plant’s year', () => {
  const span = { baseC: 10, biofix: '01-01', from: 100, to: 200 };
  it('lay this season beside earlier ones', () => {
    const tracks = degreeDayTracks(series, span, '2026-06-14', 'N');
    expect(tracks.map(({ year }) => year)).toEqual([2026, 2025, 2024, 2023, 2022]);
    expect(tracks[0]!.sums).toHaveLength(165);
    expect(tracks[1]!.sums).toHaveLength(365);
    for (const { sums } of tracks) sums.forEach((sum, i) => i > 0 && expect(sum).toBeGreaterThanOrEqual(sums[i - 1]!));
  });
  it('leave out a year whose record has a hole', () => {
    const broken = { ...series, days: series.days.filter(({ on }) => on < '2024-05-01' || on > '2024-05-20') };
    expect(degreeDayTracks(broken, span, '2026-06-14', 'N').map(({ year }) => year)).not.toContain(2024);
  });
  it('show a plant’s dated windows', () => {
    const bean = smallEdition.plants.find(({ id }) => id === 'bean')!;
    const rows = plantYear(edition, bean, { date: '2026-06-14', climate: 'continental', hemisphere: 'N', weather: series });
    expect(rows.map(({ timing }) => timing.window)).toEqual(expect.arrayContaining(['hatch', 'winter', 'soon']));
  });
  it('give no bar to what is only left alone', () => {
    const bean = smallEdition.plants.find(({ id }) => id === 'bean')!;
    const left = {
      ...edition,
      causes: edition.causes.map((cause) => ({ ...cause, options: cause.options.map((option) => ({ ...option, act: 'leave' as const })) })),
    };
    const rows = plantYear(left, bean, { date: '2026-06-14', climate: 'continental', hemisphere: 'N', weather: series });
    expect(rows.map(({ timing }) => timing.window)).not.toContain('hatch');
  });
});
