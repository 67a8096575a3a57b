import { describe, expect, it } from '@jest/globals';
import type { Plant } from '../edition/plants.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { circumstancesRead, standsIndoors } from './circumstances.ts';

const plant = (...groups: string[]): Plant => ({ ...smallEdition.plants[0]!, groups });
const told = (finding: string, answer: string) => [{ finding, answer, channel: 'caller' as const }];

describe('what the readings say of the circumstances', () => {
  it.each([
    ['this-year', true],
    ['one-to-three', true],
    ['longer', false],
  ])('a tree planted %s is young: %p', (answer, young) =>
    expect(circumstancesRead(told('plant-age', answer), plant('tree'), null).young).toBe(young),
  );
  it('no bed plant is young in this sense, and no tree of unknown age', () => {
    expect(circumstancesRead(told('plant-age', 'this-year'), plant('vegetable'), null).young).toBeUndefined();
    expect(circumstancesRead(told('plant-age', 'not:longer'), plant('tree'), null).young).toBeUndefined();
  });
  it('vigour, return and the plant’s card say the rest', () =>
    expect(circumstancesRead([...told('vigour', 'declining'), ...told('onset', 'every-year')], plant('vegetable'), null)).toEqual({
      plantIs: 'weak',
      recurs: 'every-year',
      edible: true,
    }));
  it.each([
    [['stone-fruit', 'fruit-tree'], true],
    [['stone-fruit', 'tree'], undefined],
    [['tree'], false],
  ])('plants of %j are grown to be eaten: %p', (groups, edible) => expect(circumstancesRead([], plant(...groups), null).edible).toBe(edible));
  it('a plant stands where it was said to stand, and else where its kind does', () => {
    expect([standsIndoors([], plant('houseplant')), standsIndoors([], plant('climber'))]).toEqual([true, false]);
    expect(standsIndoors(told('where-grown', 'indoors'), plant('climber'))).toBe(true);
    for (const answer of ['pot-outdoors', 'under-glass']) expect(standsIndoors(told('where-grown', answer), plant('houseplant'))).toBe(false);
    expect(standsIndoors(told('where-grown', 'not:indoors'), plant('climber'))).toBe(false);
  });
});
