import { describe, expect, it } from '@jest/globals';
import { burdenOf } from './burden.ts';

describe('what an option asks', () => {
  it('is as usual on its rung where it says nothing', () => {
    expect(burdenOf({ act: 'leave' })).toEqual({ effort: 'none', cost: 'nothing' });
    expect(burdenOf({ act: 'contact' })).toEqual({ effort: 'some', cost: 'some' });
  });
  it('is what it says itself, each for its own', () => {
    expect(burdenOf({ act: 'physical', effort: 'much', cost: 'much' })).toEqual({ effort: 'much', cost: 'much' });
    expect(burdenOf({ act: 'physical', cost: 'some' })).toEqual({ effort: 'some', cost: 'some' });
  });
});
