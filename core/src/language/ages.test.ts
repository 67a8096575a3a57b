import { describe, expect, it } from '@jest/globals';
import { ageSaid } from './ages.ts';

describe('how long a plant has stood', () => {
  it.each([
    ['planted it five years ago in a lovely hole', 1825],
    ['the hedge was put in about eighteen months back', 547],
    ['New turf laid three weeks ago has shrunk apart', 21],
    ['we planted a row of them, six years old now', 2190],
    ['a 25 year old specimen', 9125],
    ['I have had it about nine years', 3285],
    ['I planted a row of lavender four years ago', 1460],
    ['sowed grass seed a month ago', 30],
    ['I bought three blueberries two years back', 730],
    ["it's been there for twenty years", 7300],
    ['it has been in four years', 1460],
    ['three years in the ground', 1095],
    ['two months ago I planted it out', 61],
    ['planted it more than three years ago', 1424],
    ['in its third summer', 730],
    ["this is the tree's first season", 183],
  ])('in "%s" is %d days', (said, days) => expect(Math.round(ageSaid(said)?.days ?? NaN)).toBe(days));
  it.each([
    'it has been dying for three years',
    'the leaves have been yellow for two weeks',
    'we had hail two years ago',
    'a new driveway was laid two years ago',
    'we put in a drain three years ago',
    'we bought the house three years ago',
    'we moved in here ten years ago',
    'we came two years ago',
    'bought a bag of compost two months ago',
    "it isn't three years old yet",
    'they have been there for three weeks',
    'bought the seed two years ago',
    'the flower is two months old',
    'my two year old son pulled it up',
    'I pruned it a month ago',
    'the trouble came two years ago',
    'we had the caterpillar two years back',
    'nothing on two year old wood',
    'I have had the allotment for thirty years',
  ])('is not said by "%s"', (said) => expect(ageSaid(said)).toBeNull());
});
