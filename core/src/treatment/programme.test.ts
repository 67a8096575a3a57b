import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { addDays, daysBetween } from '../season/calendar.ts';
import type { WeatherDay } from '../season/weather.ts';
import { label, use } from '../testing/labels.ts';
import { harvestsEvery, planProgramme, type Candidate, type ProgrammeInput } from './programme.ts';
import { repeatsOf } from './repeats.ts';

const TODAY = '2026-06-14';
const fair = (on: string, extra: Partial<WeatherDay> = {}): WeatherDay => ({
  on,
  minC: 12,
  maxC: 24,
  rainMm: 0,
  windMs: 2,
  humidityPct: 60,
  ...extra,
});
const candidate = (extra: Parameters<typeof label>[0] = {}, line: Parameters<typeof use>[0] = {}): Candidate => ({
  label: label(extra),
  use: use(line),
  timesUsed: 0,
  lastOn: null,
});
const input = (extra: Partial<ProgrammeInput> = {}): ProgrammeInput => ({
  candidates: [candidate()],
  window: { from: '2026-06-01', to: '2026-08-31' },
  today: TODAY,
  wanted: 3,
  intervalDays: 10,
  forecast: [0, 1, 2, 3, 4, 5, 6].map((d) => fair(addDays(TODAY, d))),
  latDegrees: 47,
  hemisphere: 'N',
  harvests: [],
  inBloom: false,
  fixed: [],
  ...extra,
});
const days = (programme: ReturnType<typeof planProgramme>) => programme.applications.map(({ on }) => on);

describe('programme', () => {
  it('begins today and keeps the interval: four soap sprays 10 days apart (practice.md: 10–12)', () => {
    const programme = planProgramme(input({ wanted: 4 }));
    expect(days(programme)).toEqual(['2026-06-14', '2026-06-24', '2026-07-04', '2026-07-14']);
    expect(programme.applications[0]!.hours).toMatch(/^\d+–\d+$/);
    expect(programme.applications[1]!.hours).toBeNull();
    expect(programme.short).toBeNull();
  });
  it('passes over wind, rain and heat, and says why', () => {
    const forecast = [
      fair(TODAY, { windMs: 7 }),
      fair('2026-06-15', { rainMm: 9 }),
      fair('2026-06-16', { minC: 32.5, maxC: 38 }),
      fair('2026-06-17'),
    ];
    const programme = planProgramme(input({ forecast, wanted: 1 }));
    expect(days(programme)).toEqual(['2026-06-17']);
    expect(programme.blocked.map(({ why }) => why)).toEqual([
      'wind of 7 m/s, the label allows 5',
      'rain of 9 mm; 6 dry hours are needed',
      expect.stringContaining('the label wants 5 to under 32 °C'),
    ]);
  });
  it('no oil at 32 °C or above: on a hot day only the cool hours are left', () => {
    const programme = planProgramme(input({ forecast: [fair(TODAY, { minC: 18, maxC: 35, humidityPct: 40 })], wanted: 1 }));
    expect(programme.applications[0]!.hours).toMatch(/^[5-9]–/);
  });
  it('harvest every three weeks stays possible: no spray within the wait before any picking', () => {
    const harvests = harvestsEvery('2026-06-20', 21, '2026-09-01');
    const programme = planProgramme(
      input({ candidates: [candidate({}, { preHarvestDays: 14, intervalDays: 7 })], harvests, intervalDays: 7, wanted: 4 }),
    );
    expect(programme.applications.length).toBeGreaterThanOrEqual(3);
    for (const { on } of programme.applications) {
      const next = harvests.find((harvest) => harvest >= on);
      if (next) expect(daysBetween(on, next)).toBeGreaterThanOrEqual(14);
    }
    expect(programme.blocked[0]!.why).toContain('picking on 2026-06-20');
  });
  it('changes the mode of action from one application to the next', () => {
    const other = candidate({ id: 'oil', name: 'Fellside Oil', actives: [{ name: 'oil', concentration: '80 %', group: 'IRAC X' }] });
    expect(planProgramme(input({ candidates: [candidate(), other], wanted: 4 })).applications.map(({ labelId }) => labelId)).toEqual([
      'soap',
      'oil',
      'soap',
      'oil',
    ]);
  });
  it('stops at the label’s number and says so', () => {
    const programme = planProgramme(input({ candidates: [candidate({}, { mostUses: 2 })], wanted: 3 }));
    expect(programme.applications).toHaveLength(2);
    expect(programme.short).toContain('may be used 2 times a year');
  });
  it('waits for the season of the line: dormant wood only', () => {
    const dormant = candidate({}, { season: { from: '11-01', to: '03-15' } });
    const programme = planProgramme(input({ candidates: [dormant], window: { from: '2026-10-20', to: '2026-12-31' }, wanted: 1 }));
    expect(days(programme)).toEqual(['2026-11-01']);
    expect(programme.blocked[0]!.why).toContain('only from 2026-11-01 on');
  });
  it('keeps what is fixed, stays clear of it, and leaves flowers to the bees', () => {
    const programme = planProgramme(input({ fixed: [{ on: '2026-06-20', labelId: 'soap' }], wanted: 2 }));
    expect(days(programme)).toEqual(['2026-06-20', '2026-06-30']);
    const bees = candidate({ limits: { ...label().limits, bees: true } });
    expect(planProgramme(input({ candidates: [bees], inBloom: true })).short).toContain('in flower');
  });
  it('says so when no product is labelled for it, and plans nothing in a window that is over', () => {
    expect(planProgramme(input({ candidates: [] })).short).toContain('No product');
    expect(planProgramme(input({ window: { from: '2026-04-01', to: '2026-05-01' } })).applications).toEqual([]);
  });
  it('never breaks an interval, a number or the window, whatever the weather', () => {
    const weather = fc.array(
      fc.record({
        minC: fc.integer({ min: 0, max: 24 }),
        rise: fc.integer({ min: 2, max: 16 }),
        rainMm: fc.integer({ min: 0, max: 9 }),
        windMs: fc.integer({ min: 0, max: 9 }),
      }),
      { minLength: 10, maxLength: 30 },
    );
    fc.assert(
      fc.property(weather, fc.integer({ min: 1, max: 6 }), (drawn, wanted) => {
        const forecast = drawn.map(({ minC, rise, rainMm, windMs }, i) => fair(addDays(TODAY, i), { minC, maxC: minC + rise, rainMm, windMs }));
        const { applications } = planProgramme(input({ forecast, wanted }));
        expect(applications.length).toBeLessThanOrEqual(Math.min(wanted, 4));
        applications.forEach(({ on }, i) => {
          expect(on >= TODAY && on <= '2026-08-31').toBe(true);
          if (i > 0) expect(daysBetween(applications[i - 1]!.on, on)).toBeGreaterThanOrEqual(10);
          const day = forecast.find((f) => f.on === on);
          if (day) expect((day.windMs ?? 0) <= 5 && (day.rainMm ?? 0) < 0.5).toBe(true);
        });
      }),
      { numRuns: 60 },
    );
  });
});

describe('repeats, read from the words of an option', () => {
  it.each([
    ['four times every 10–12 days', 4, 10],
    ['every 3 days, 3 times', 3, 3],
    ['7–10 days, up to 3', 3, 7],
    ['weekly, on spots missed', 2, 7],
    ['again 3–4 weeks later, every year', 2, 21],
    [undefined, 1, 14],
  ])('%s', (text, times, intervalDays) => expect(repeatsOf(text)).toEqual({ times, intervalDays }));
});
