import { describe, expect, it } from '@jest/globals';
import type { Plant } from '../edition/plants.ts';
import { measurementsIn } from './measures.ts';

const asparagus: Plant = {
  id: 'asparagus',
  name: 'Asparagus',
  latin: 'Asparagus officinalis',
  also: [],
  genus: 'Asparagus',
  family: 'Asparagaceae',
  groups: [],
  normal: [],
  care: {},
  mark: 'memory',
  sizes: [
    { what: 'grown to fern', words: ['fern'], metres: [0.9, 1.8] },
    { what: 'at harvest', words: ['spear', 'harvest'], metres: [0.12, 0.35] },
  ],
};
const doubts = (text: string) => measurementsIn(text, asparagus).map((m) => m.doubt);

describe('lengths in talk', () => {
  // NIST SP 811: the inch is 25.4 mm, the foot 0.3048 m, the yard 0.9144 m, exactly
  it.each([
    ['5 inches', 0.127],
    ['two feet', 0.6096],
    ['1 yard', 0.9144],
    ['30 cm', 0.3],
    ['1,5 m', 1.5],
    ['8 millimetres', 0.008],
  ])('%s', (text, metres) => expect(measurementsIn(`it is ${text} tall`, null)[0]?.metres).toBeCloseTo(metres, 9));
  it('finds none in talk without units', () => expect(measurementsIn('two of my three plants in May', null)).toEqual([]));
});

// practice.md: implausible ones must be questioned on the spot
describe('lengths the plant cannot have', () => {
  it('a five-inch fern of asparagus', () =>
    expect(doubts('my asparagus fern is five inches tall')).toEqual([
      '5 inches? Asparagus, grown to fern, is usually 90 cm to 1.8 m. Did they mean 5 feet?',
    ]));
  it('a harvest-stage asparagus five feet tall', () =>
    expect(doubts('the spears are five feet tall')).toEqual(['5 feet? Asparagus, at harvest, is usually 12 cm to 35 cm. Did they mean 5 inches?']));
  it('leaves sizes alone that can be', () => expect(doubts('the ferns are 5 feet high')).toEqual([null]));
  it('asks nothing about a length that is not the plant’s height', () => expect(doubts('the spots are 2 mm wide')).toEqual([null]));
});
