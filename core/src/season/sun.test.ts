import { describe, expect, it } from '@jest/globals';
import * as suncalc from 'suncalc';
import { addDays, dayNumber, dayOfYear, isoOfDay, yearsEarlier } from './calendar.ts';
import { daylightHours, extraterrestrialRadiationMJ, sunTimes } from './sun.ts';

describe('FAO-56 (Allen et al. 1998)', () => {
  it('example 8: 32.2 MJ a square metre and day at 20° S on 3 September', () => expect(extraterrestrialRadiationMJ(-20, 246)).toBeCloseTo(32.2, 1));
  it('example 9: 11.7 hours of daylight there', () => expect(daylightHours(-20, 246)).toBeCloseTo(11.7, 1));
  it('has polar nights and polar days', () => {
    expect(daylightHours(80, 355)).toBe(0);
    expect(daylightHours(80, 172)).toBe(24);
    expect(extraterrestrialRadiationMJ(85, 355)).toBe(0);
  });
});

describe('sunrise and sunset, against suncalc (npm)', () => {
  it('agree within two minutes from 60° S to 65° N through the year', () => {
    for (const lat of [-60, -34, 0, 21, 47.1, 65])
      for (let on = '2026-01-05'; on < '2027-01-01'; on = addDays(on, 11)) {
        const theirs = suncalc.getTimes(new Date(`${on}T12:00:00Z`), lat, 8.7);
        const ours = sunTimes(on, lat, 8.7);
        if (!ours || !theirs.sunrise || !theirs.sunset) continue;
        const minutes = (at: Date) => (at.getTime() - Date.parse(`${on}T00:00:00Z`)) / 60_000;
        expect(Math.abs(ours.riseMin - minutes(theirs.sunrise))).toBeLessThan(2);
        expect(Math.abs(ours.setMin - minutes(theirs.sunset))).toBeLessThan(2);
      }
  });
  it('are nothing where the sun does not rise', () => expect(sunTimes('2026-12-21', 75, 0)).toBeNull());
});

describe('day numbers', () => {
  it('count from 1970, and back', () => {
    expect(dayNumber('1970-01-02')).toBe(1);
    expect(isoOfDay(dayNumber('2024-02-29'))).toBe('2024-02-29');
    expect(dayOfYear('2024-12-31')).toBe(366);
    for (let day = -800_000; day <= 800_000; day += 97) {
      const date = isoOfDay(day);
      if (/^\d{4}-/.test(date)) expect(dayNumber(date)).toBe(day);
    }
    expect(() => dayNumber('2025-02-29')).toThrow('does not exist');
    expect(() => dayNumber('soon')).toThrow('YYYY-MM-DD');
  });
  it('find the same day in an earlier year', () => {
    expect(yearsEarlier('2024-02-29', 1)).toBe('2023-02-28');
    expect(yearsEarlier('2024-02-29', 4)).toBe('2020-02-29');
  });
});
