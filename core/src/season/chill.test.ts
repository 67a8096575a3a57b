import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { chillHours, chillPortions, DYNAMIC, utahUnits, utahUnitsOfHour } from './chill.ts';
import { hourlyTemperatures } from './hourly.ts';

describe('chill hours (Weinberger 1950) and Utah units (Richardson et al. 1974)', () => {
  it('count hours at or under 7.2 °C, frozen ones not', () => expect(chillHours([-1, 0.1, 7.2, 7.3, 5])).toBe(3));
  it.each([
    [1.4, 0],
    [2, 0.5],
    [6, 1],
    [9.1, 1],
    [11, 0.5],
    [14, 0],
    [17, -0.5],
    [20, -1],
  ])('at %s °C an hour is worth %s', (tempC, units) => expect(utahUnitsOfHour(tempC)).toBe(units));
  it('add up, warm hours taking away', () => expect(utahUnits([6, 6, 6, 20])).toBe(2));
});

/** The same model written as its differential equation and walked in fine steps: d(intermediate)/dt = make − undo · intermediate. */
function portionsBySteps(hoursC: readonly number[]): number {
  let [x, portions] = [0, 0];
  const STEPS = 4000;
  for (const c of hoursC) {
    const kelvin = c + 273;
    const [make, undo] = [DYNAMIC.a0 * Math.exp(-DYNAMIC.e0 / kelvin), DYNAMIC.a1 * Math.exp(-DYNAMIC.e1 / kelvin)];
    for (let i = 0; i < STEPS; i++) x += (make - undo * x) / STEPS;
    if (x >= 1) {
      const fixed = 1 / (1 + Math.exp((-DYNAMIC.slope * DYNAMIC.tf * (kelvin - DYNAMIC.tf)) / kelvin));
      portions += x * fixed;
      x -= x * fixed;
    }
  }
  return portions;
}

describe('dynamic model (Fishman et al. 1987), against its equation walked in fine steps', () => {
  it('agrees on winters of many kinds', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -5, max: 22, noNaN: true }), { minLength: 24, maxLength: 240 }), (hours) => {
        expect(Math.abs(chillPortions(hours) - portionsBySteps(hours))).toBeLessThan(0.03);
      }),
      { numRuns: 20 },
    );
  });
  it('gives about 30 portions for five weeks at 6 °C, and none in summer', () => {
    const portions = chillPortions(new Array<number>(24 * 35).fill(6));
    expect(portions).toBeGreaterThan(25);
    expect(portions).toBeLessThan(35);
    expect(chillPortions(new Array<number>(24 * 35).fill(24))).toBe(0);
  });
});

describe('hourly temperatures (Linvill 1990)', () => {
  it('run between the minimum and the maximum, coldest at dawn, warmest after noon', () => {
    const hours = hourlyTemperatures({ minC: 4, maxC: 18 }, 12);
    expect(Math.min(...hours)).toBeGreaterThanOrEqual(3.99);
    expect(Math.max(...hours)).toBeGreaterThan(17.5);
    expect(hours.indexOf(Math.min(...hours))).toBe(6);
    expect(hours.indexOf(Math.max(...hours))).toBe(14);
  });
  it('stay finite through polar day and night', () => {
    for (const daylight of [0, 24]) expect(hourlyTemperatures({ minC: -3, maxC: 6 }, daylight).every(Number.isFinite)).toBe(true);
  });
});
