import { describe, expect, it } from '@jest/globals';
import type { CauseRate } from '@sounding/core/edition/causes.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { readingsAgainst } from './against.ts';

const mildew = smallEdition.causes.find(({ id }) => id === 'mildew')!;
const call = {
  id: 'one',
  host: 'bean',
  date: null,
  climate: null,
  hemisphere: 'N' as const,
  opening: 'white powder on the leaves',
  facts: [],
  cause: mildew.name,
  also: [],
  action: null,
};
const withRates = (coating: CauseRate['answers']) => ({
  ...smallEdition,
  causes: [{ ...mildew, rates: [{ ...mildew.rates[0]!, finding: 'coating', answers: coating }] }],
});

describe('what is said against the cause it was said of', () => {
  it('is what the cause shows seldom, never, or leaves out beside what it shows', () => {
    const each: CauseRate['answers'][] = [{ white: 'seldom' }, { white: 'never' }, { none: 'usually' }];
    for (const answers of each)
      expect(readingsAgainst(withRates(answers), [call])).toEqual({
        readings: 1,
        against: 1,
        pairs: [{ cause: 'mildew', reading: 'coating: white', calls: 1, said: 'white powder on the leaves' }],
      });
  });
  it('is not what it shows now and then, nor what it says nothing of', () => {
    expect(readingsAgainst(withRates({ white: 'sometimes', none: 'usually' }), [call])).toMatchObject({ readings: 1, against: 0, pairs: [] });
    const silent = { ...smallEdition, causes: [{ ...mildew, rates: [] }] };
    expect(readingsAgainst(silent, [call])).toMatchObject({ readings: 1, against: 0 });
  });
  it('counts the calls of a pair, and those of answers with their question', () => {
    const asked = { ...call, id: 'two', opening: 'it is ill', facts: [{ ask: 'Powder?', say: 'white powder' }] };
    const { pairs } = readingsAgainst(withRates({ none: 'always' }), [asked, call]);
    expect(pairs).toEqual([{ cause: 'mildew', reading: 'coating: white', calls: 2, said: 'Powder? – white powder' }]);
  });
  it('leaves out what was asked of care, and causes the edition does not know', () =>
    expect(
      readingsAgainst(withRates({ none: 'always' }), [
        { ...call, cause: null },
        { ...call, cause: 'zorble rot' },
      ]).readings,
    ).toBe(0));
});
