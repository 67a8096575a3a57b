import { describe, expect, it } from '@jest/globals';
import { NUMBER, numberSaid } from './numbers.ts';

describe('numbers as they are said', () => {
  it.each([
    ['7', 7],
    ['7.5', 7.5],
    ['7,5', 7.5],
    ['a', 1],
    ['Twenty', 20],
    ['thirty-five', 35],
    ['a hundred and five', 105],
    ['eleven', 11],
    ['half', 0.5],
  ])('takes "%s" for %d', (text, value) => expect(numberSaid(text)).toBe(value));
  it('is not a number for another word, and finds none within a word', () => {
    expect(numberSaid('some')).toBeNaN();
    expect(new RegExp(`^${NUMBER}$`, 'i').test('phone')).toBe(false);
  });
});
