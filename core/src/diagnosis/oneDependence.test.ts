import { describe, expect, it } from '@jest/globals';
import { generator } from '../numbers/random.ts';
import { atTemperature, calibrationByChance, calibrationError, fitTemperature, reliability } from './calibration.ts';
import type { CaseTable } from './learn.ts';
import { fitOneDependence } from './oneDependence.ts';
import { normalise } from './posterior.ts';

const table: CaseTable = {
  columns: ['x', 'y'],
  levels: [
    ['0', '1'],
    ['0', '1'],
  ],
  labels: ['same', 'differ'],
  rows: [
    ...['00', '11', '00', '11'].map((v) => ({ label: 'same', values: [...v] })),
    ...['01', '10', '01', '10'].map((v) => ({ label: 'differ', values: [...v] })),
  ],
};

describe('averaged one-dependence', () => {
  const model = fitOneDependence(table, { alpha: 0.1, gaps: 'silent' });
  it('tells apart what independent findings cannot: two that are equal, or not', () => {
    const p = normalise(model.joint(model.encode(['1', '1'])));
    expect(p[0]).toBeGreaterThan(0.9);
    expect(normalise(model.joint(model.encode(['1', '0'])))[0]).toBeLessThan(0.1);
  });
  it('averages the estimates of every parent, worked out by hand', () => {
    // parent x=1: P(same, x=1) = (2 + .1/4)/(8 + .1), P(y=1 | same, x=1) = (2 + .1/2)/(2 + .1); y as parent gives the same
    const byHand = Math.log(((2 + 0.025) / 8.1) * ((2 + 0.05) / 2.1));
    expect(model.joint(model.encode(['1', '1']))[0]).toBeCloseTo(byHand, 12);
  });
  it('lets a gap say nothing, or be an answer of its own, but never fills it in', () => {
    expect(model.encode(['1', null])).toEqual([1, -1]);
    const told = fitOneDependence(table, { alpha: 0.1, gaps: 'answer' });
    expect(told.encode(['1', null])).toEqual([1, 2]);
    expect(normalise(model.joint([-1, -1]))[0]).toBeCloseTo(0.5, 12);
  });
  it('refuses a table without rows', () => expect(() => fitOneDependence({ ...table, rows: [] }, { alpha: 1, gaps: 'silent' })).toThrow(/0 rows/));
});

describe('calibration', () => {
  const said = (probability: number, right: number, wrong: number) => [
    ...Array.from({ length: right }, () => ({ probability, right: true })),
    ...Array.from({ length: wrong }, () => ({ probability, right: false })),
  ];
  it('is nothing where seven in ten of what was called 70 % is so', () => expect(calibrationError(said(0.7, 7, 3))).toBeCloseTo(0, 12));
  it('weighs the distance of each bin by its cases', () =>
    expect(calibrationError([...said(0.95, 5, 5), ...said(0.55, 55, 45)])).toBeCloseTo((10 * 0.45 + 100 * 0) / 110, 12));
  it('is not nothing by chance alone: as much as forecasters show whose cases come true as they say', () => {
    const random = generator(3);
    const stated = Array.from({ length: 800 }, () => ({ probability: random(), right: false }));
    const drawn = Array.from({ length: 300 }, () => calibrationError(stated.map((one) => ({ ...one, right: random() < one.probability }))));
    const mean = drawn.reduce((sum, error) => sum + error, 0) / drawn.length;
    expect(calibrationByChance(stated)).toBeGreaterThan(0.95 * mean);
    expect(calibrationByChance(stated)).toBeLessThan(1.05 * mean);
    expect(calibrationByChance([])).toBe(0);
  });
  it('has half-open bins, and the last one takes in certainty', () => {
    expect(reliability([...said(0.1, 1, 0), ...said(1, 1, 0)]).map(({ from }) => from)).toEqual([0.1, 0.9]);
  });
  it('finds the temperature that was put in', () => {
    // log-odds 3 that are right as often as log-odds 1 would be
    const p = 1 / (1 + Math.exp(-1));
    const cases = Array.from({ length: 1000 }, (_, i) => ({ log: Float64Array.from([3, 0]), right: i < 1000 * p ? 0 : 1 }));
    expect(fitTemperature(cases)).toBeCloseTo(3, 1);
    expect(atTemperature(Float64Array.from([3, 0]), 3)[0]).toBeCloseTo(p, 9);
  });
});
