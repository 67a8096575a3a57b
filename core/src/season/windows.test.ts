import { describe, expect, it } from '@jest/globals';
import type { Window } from '../edition/windows.ts';
import { addDays, isoDate, northernMonth, occurrence, seasonalDate } from './calendar.ts';
import { accumulated, crossingDate } from './crossing.ts';
import { windowStanding, type SeasonContext } from './windows.ts';
import type { WeatherSeries } from './weather.ts';

const context = (date: string | null, extra: Partial<SeasonContext> = {}): SeasonContext => ({
  date,
  climate: 'continental',
  hemisphere: 'N',
  weather: null,
  ...extra,
});
const spring: Window = {
  id: 'spring',
  name: 'spring',
  mark: 'memory',
  calendar: { default: { from: '04-01', to: '04-30' }, mediterranean: { from: '03-01', to: '03-31' } },
};
const winter: Window = { id: 'winter', name: 'winter', mark: 'memory', calendar: { default: { from: '11-15', to: '03-15' } } };

describe('calendar', () => {
  it('turns the year round in the southern hemisphere', () => {
    expect(seasonalDate('04-24', 2026, 'S')).toBe('2026-10-24');
    expect(northernMonth(12, 'S')).toBe(6);
    expect(northernMonth(6, 'S')).toBe(12);
    expect(northernMonth(6, 'N')).toBe(6);
  });
  it('runs over the new year', () => expect(occurrence({ from: '11-15', to: '03-15' }, 2026, 'N')).toEqual({ from: '2026-11-15', to: '2027-03-15' }));
  it('refuses days that do not exist', () => {
    expect(() => isoDate('2026-02-30')).toThrow('does not exist');
    expect(() => isoDate('14.6.2026')).toThrow('YYYY-MM-DD');
  });
});

describe('calendar windows, at every boundary', () => {
  it.each([
    ['2026-03-31', 'not-yet', null],
    ['2026-04-01', 'open', null],
    ['2026-04-24', 'open', null],
    ['2026-04-26', 'closing', null],
    ['2026-04-30', 'closing', null],
    ['2026-05-01', 'closed', '2027-04-01'],
  ])('%s is %s', (date, state, next) => {
    const standing = windowStanding(spring, context(date));
    expect(standing.state).toBe(state);
    expect(standing.nextFrom).toBe(next);
  });
  it('follows the climate', () => expect(windowStanding(spring, context('2026-03-10', { climate: 'mediterranean' })).state).toBe('open'));
  it('is open on both sides of the new year', () => {
    expect(windowStanding(winter, context('2026-12-24')).state).toBe('open');
    expect(windowStanding(winter, context('2027-01-10')).from).toBe('2026-11-15');
  });
  it('belongs to October in the south', () => expect(windowStanding(spring, context('2026-10-10', { hemisphere: 'S' })).state).toBe('open'));
  it('is unknown without a date, a climate it covers, or a dated event', () => {
    expect(windowStanding(spring, context(null)).state).toBe('unknown');
    expect(
      windowStanding({ id: 'x', name: 'x', mark: 'memory', calendar: { arid: { from: '04-01', to: '04-30' } } }, context('2026-04-10')).state,
    ).toBe('unknown');
    expect(windowStanding({ id: 'x', name: 'x', mark: 'memory', event: 'petal fall' }, context('2026-04-10')).basis).toContain('petal fall');
  });
});

/** Every day of `years` at 20/10 °C: above a base of 5 each day gains 10. */
function evenWeather(from: string, to: string): WeatherSeries {
  const days = [];
  for (let on = from; on <= to; on = addDays(on, 1)) days.push({ on, minC: 10, maxC: 20, rainMm: 0, windMs: 1, humidityPct: 70 });
  return { station: 'Even', days };
}
const hatch: Window = {
  id: 'hatch',
  name: 'hatch',
  mark: 'memory',
  degreeDays: { baseC: 5, biofix: '01-01', from: 1000, to: 1200 },
  calendar: { default: { from: '06-01', to: '06-30' } },
};

describe('degree-day windows', () => {
  it('adds from biofix to today, both days counted', () => {
    expect(accumulated(evenWeather('2024-01-01', '2026-02-01'), hatch.degreeDays!, '2026-01-01', '2026-01-10')).toBeCloseTo(100, 9);
  });
  it('plays earlier years on to date what lies ahead', () => {
    const crossing = crossingDate(evenWeather('2023-01-01', '2026-02-01'), hatch.degreeDays!, 1000, '2026-01-01', '2026-02-01');
    expect(crossing).toMatchObject({ on: '2026-04-10', reached: false });
    expect(crossing!.years).toBeGreaterThanOrEqual(2);
  });
  it('knows the day when it is past, and next year’s after it has closed', () => {
    const standing = windowStanding(hatch, context('2026-07-01', { weather: evenWeather('2022-01-01', '2026-07-01') }));
    expect(standing).toMatchObject({ state: 'closed', from: '2026-04-10', to: '2026-04-30', nextFrom: '2027-04-10' });
    expect(standing.basis).toContain('degree-days above 5 °C since 1 January 2026 at Even');
  });
  it('falls back to the calendar when the record has a hole of more than three days', () => {
    const broken = evenWeather('2022-01-01', '2026-07-01');
    broken.days = broken.days.filter((d) => d.on < '2026-03-01' || d.on > '2026-03-10');
    expect(windowStanding(hatch, context('2026-06-10', { weather: broken })).basis).toContain('calendar');
  });
  it('names the generation that comes next, and none that no earlier year was warm enough for', () => {
    const twice: Window = { ...hatch, degreeDays: { ...hatch.degreeDays!, generations: { every: 1500, most: 4 } } };
    const standing = windowStanding(twice, context('2026-07-01', { weather: evenWeather('2022-01-01', '2026-07-01') }));
    expect(standing).toMatchObject({ state: 'not-yet', from: '2026-09-07' });
    expect(standing.basis).toMatch(/^second generation, .*window 2500–2700/);
    expect(windowStanding(twice, context('2026-12-30', { weather: evenWeather('2022-01-01', '2026-12-30') })).state).toBe('closed');
  });
  it('bridges a gap of three days', () => {
    const gappy = evenWeather('2022-01-01', '2026-07-01');
    gappy.days = gappy.days.filter((d) => d.on < '2026-03-01' || d.on > '2026-03-03');
    expect(windowStanding(hatch, context('2026-07-01', { weather: gappy })).from).toBe('2026-04-10');
  });
});

/** Six winters in which it last freezes on 20 April plus the year's last digit, and first on 10 October plus the same. */
function frostySeries(until = '2026-12-31'): WeatherSeries {
  const days = [];
  for (let on = '2020-01-01'; on <= until; on = addDays(on, 1)) {
    const year = on.slice(0, 4);
    const late = `${year}-04-${20 + Number(year[3])}`;
    const early = `${year}-10-${10 + Number(year[3])}`;
    const minC = on === late || on === early ? 1 : on < `${year}-04-01` || on > `${year}-11-15` ? -2 : 9;
    days.push({ on, minC, maxC: minC + 8, rainMm: 0, windMs: 2, humidityPct: 60 });
  }
  return { station: 'Hollow', latDegrees: 47, days };
}

describe('windows by the frosts of a station', () => {
  const frost = (at: 'last-over' | 'first-comes' | 'first-came', from: number, to: number): Window => ({
    id: 'w',
    name: 'w',
    mark: 'memory',
    frost: { at, from, to },
    calendar: { default: { from: '05-15', to: '06-10' } },
  });
  const on = (window: Window, date: string, until = date) => windowStanding(window, context(date, { weather: frostySeries(until) }));

  it('waits until the last ground frost is over in eight years of ten', () => {
    // the seasons 2020 to 2025 froze last on 20 to 25 April: four fifths of them by the 24th
    const standing = on(frost('last-over', 3, 28), '2026-05-02');
    expect(standing).toMatchObject({ state: 'open', from: '2026-04-27', to: '2026-05-22', fromBand: null });
    expect(standing.basis).toBe('after the day by which the last frost is over in 8 of 10 years, from 6 years at Hollow');
  });
  it('begins before a frost that two years of ten bring', () =>
    expect(on(frost('first-comes', -10, 3), '2026-09-01')).toMatchObject({ state: 'not-yet', from: '2026-10-01', to: '2026-10-14' }));
  it('expects the first frost with a band, and goes by it once it has come', () => {
    const window = frost('first-came', 1, 28);
    expect(on(window, '2026-10-01')).toMatchObject({ state: 'not-yet', from: '2026-10-14', fromBand: ['2026-10-12', '2026-10-15'] });
    expect(on(window, '2026-10-20')).toMatchObject({ state: 'open', from: '2026-10-17', fromBand: null });
  });
  it('says when it comes again once it is closed', () =>
    expect(on(frost('last-over', 3, 28), '2026-06-20')).toMatchObject({ state: 'closed', nextFrom: '2027-04-27' }));
  it('keeps to the calendar where few years are on record, or none freeze', () => {
    const window = frost('last-over', 3, 28);
    const young = { ...frostySeries('2023-05-20'), days: frostySeries('2023-05-20').days.slice(200) };
    expect(windowStanding(window, context('2023-05-20', { weather: young })).basis).toContain('calendar');
    const mild = frostySeries('2026-05-20');
    const warm = { ...mild, days: mild.days.map((day) => ({ ...day, minC: 12 })) };
    expect(windowStanding(window, context('2026-05-20', { weather: warm })).basis).toContain('calendar');
  });
  it('is turned round in the south', () => {
    const north = frostySeries('2026-06-30');
    // the same weather half a year on
    const south = { ...north, days: north.days.map((day) => ({ ...day, on: addDays(day.on, 184) })) };
    const standing = windowStanding(frost('last-over', 3, 28), context('2026-11-10', { weather: south, hemisphere: 'S' }));
    expect(standing.state).toBe('open');
    expect(standing.from?.slice(0, 7)).toBe('2026-10');
  });
});

describe('windows by infection weather', () => {
  const blight: Window = {
    id: 'season',
    name: 'blight weather',
    mark: 'memory',
    infection: 'late-blight',
    calendar: { default: { from: '06-01', to: '09-15' } },
  };
  /** Dry years, but for three muggy days from `muggy` on of each. */
  function years(muggy: string, until: string): WeatherSeries {
    const days = [];
    for (let on = '2020-01-01'; on <= until; on = addDays(on, 1)) {
      const from = `${on.slice(0, 4)}-${muggy}`;
      const wet = on >= from && on < addDays(from, 3);
      days.push({ on, minC: wet ? 14 : 8, maxC: wet ? 18 : 24, rainMm: wet ? 12 : 0, windMs: 2, humidityPct: wet ? 97 : 45 });
    }
    return { station: 'Hollow', latDegrees: 47, days };
  }
  const at = (date: string, extra: Partial<WeatherSeries> = {}) =>
    windowStanding(blight, context(date, { weather: { ...years('07-10', date), ...extra } }));

  it('is expected as earlier years went on from here', () => {
    const standing = at('2026-06-20');
    // two muggy days running make the risk: the second of the three
    expect(standing).toMatchObject({ state: 'not-yet', from: '2026-07-11', fromBand: ['2026-07-11', '2026-07-11'] });
    expect(standing.basis).toContain('from 6 earlier years');
  });
  it('opens after such weather and closes ten days later', () => {
    expect(at('2026-07-12')).toMatchObject({ state: 'open', from: '2026-07-12', to: '2026-07-22' });
    expect(at('2026-07-21')).toMatchObject({ state: 'closing' });
    expect(at('2026-07-26')).toMatchObject({ state: 'not-yet', from: null });
  });
  it('holds within the calendar only, and falls back to it where the place of the station is not known', () => {
    expect(at('2026-10-05').state).toBe('closed');
    expect(at('2026-06-20', { latDegrees: undefined as unknown as number }).basis).toContain('calendar');
  });
});
