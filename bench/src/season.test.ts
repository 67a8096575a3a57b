import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { generatedStation, seasonTimes } from './season.ts';

describe('season bench', () => {
  it('makes whole stations and counts what it reckoned', () => {
    const { days } = generatedStation(1, 2);
    expect(days).toHaveLength(731);
    expect(days.at(-1)!.on).toBe('2026-06-14');
    expect(days.every(({ minC, maxC }) => minC! < maxC!)).toBe(true);
    expect(seasonTimes(smallEdition, 2)).toMatchObject({ stations: 2, stationDays: 2 * 10958 });
  });
});
