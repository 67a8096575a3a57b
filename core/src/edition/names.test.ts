import { describe, expect, it } from '@jest/globals';
import { inSentence } from './names.ts';

describe('a name within a sentence', () => {
  it.each([
    ['Rose of Sharon', 'rose of Sharon'],
    ['Black spot of rose', 'black spot of rose'],
    ['Japanese knotweed', 'Japanese knotweed'],
    ['New Zealand flax', 'New Zealand flax'],
    ['New leaves from the middle', 'new leaves from the middle'],
    ['Strawberry', 'strawberry'],
    ['', ''],
  ])('"%s" is "%s"', (name, expected) => expect(inSentence(name)).toBe(expected));
});
