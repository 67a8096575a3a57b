import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { loadSmallTalk, scoreSmallTalk } from './smallTalk.ts';

const call = { host: 'bean', date: null, climate: null, hemisphere: 'N', facts: [], also: [], action: null } as const;
const mildew = {
  ...call,
  facts: [],
  also: [],
  opening: 'white powder on the leaves',
  cause: smallEdition.causes.find(({ id }) => id === 'mildew')!.name,
};

describe('what small talk costs', () => {
  it('is told from the same calls with and without it', () =>
    expect(scoreSmallTalk(smallEdition, [mildew], ['My wife said to ring.'], 1)).toEqual({ calls: 1, plain: 1, chatty: 1 }));
  it('shows where a sentence speaks for something else', () =>
    expect(scoreSmallTalk(smallEdition, [{ ...mildew, opening: 'it is ill' }], ['Holes in the leaves.'], 1)).toMatchObject({ plain: 1, chatty: 0 }));
  it('leaves calls without a cause out', () => expect(scoreSmallTalk(smallEdition, [{ ...mildew, cause: null }], ['Hello.'], 1).calls).toBe(0));
  it('has sentences to try', () => expect(loadSmallTalk().length).toBeGreaterThan(50));
});
