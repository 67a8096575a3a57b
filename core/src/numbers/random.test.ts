import { describe, expect, it } from '@jest/globals';
import { generator, shuffled } from './random.ts';

describe('seeded generator', () => {
  it('gives the same numbers for the same seed, all in [0, 1), and evenly', () => {
    const [a, b] = [generator(7), generator(7)];
    const numbers = Array.from({ length: 20_000 }, () => a());
    expect(numbers.slice(0, 50)).toEqual(Array.from({ length: 50 }, () => b()));
    expect(Math.min(...numbers)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...numbers)).toBeLessThan(1);
    for (let tenth = 0; tenth < 10; tenth++) expect(Math.abs(numbers.filter((x) => Math.floor(x * 10) === tenth).length - 2000)).toBeLessThan(200);
  });
  it('shuffles without losing any', () => expect(shuffled([1, 2, 3, 4, 5], generator(1)).sort()).toEqual([1, 2, 3, 4, 5]));
});
