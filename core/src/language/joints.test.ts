import { describe, expect, it } from '@jest/globals';
import { joints } from './joints.ts';

/** What would begin at each joint. */
const tails = (text: string) => joints(text).map((at) => text.slice(at));

describe('the joints of a line', () => {
  it.each([
    ['rings on the leaves and I have a fern too', ['and I have a fern too']],
    ['It has rings. The fern is brown! Why?', ['The fern is brown! Why?', 'Why?']],
    ['rings, but the fern is fine', ['but the fern is fine']],
    ['a sandy bed', []],
    ['and', []],
    ['', []],
  ])('of "%s" are before %p', (text, expected) => expect(tails(text)).toEqual(expected));
});
