import { describe, expect, it } from '@jest/globals';
import type { Window } from '../edition/edition.ts';
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
    expect(standing.basis).toContain('degree-days above 5 °C since 2026-01-01 at Even');
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
