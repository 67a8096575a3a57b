import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Edition } from '../edition/edition.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { Likeness } from './likeness.ts';

const heard: Record<string, string[]> = {
  mildew: ['as if somebody spilt talcum on it'],
  beetle: ['tiny hoppers pepper the leaf'],
  cold: ['icy night'],
};
const edition: Edition = { ...smallEdition, causes: smallEdition.causes.map((cause) => ({ ...cause, heard: heard[cause.id]! })) };
const likeness = new Likeness(edition);
const ids = ['mildew', 'beetle', 'cold', 'unlisted'];
const of = (text: string): Record<string, number> => Object.fromEntries<number>([...likeness.logRatios(text, ids)].map((x, i) => [ids[i]!, x]));

describe('likeness of words to causes', () => {
  it('speaks for the cause that callers put so, and against the others', () => {
    const { mildew, beetle } = of('it is like spilt talcum');
    expect(mildew).toBeGreaterThan(0);
    expect(beetle).toBeLessThan(0);
  });
  it('says nothing of what is not on the list', () => expect(of('spilt talcum').unlisted).toBe(0));
  it('knows an inflected word and one of the same class', () => {
    expect(of('peppered').beetle).toBeGreaterThan(0);
    expect(of('flour').mildew).toBeGreaterThan(0); // {powder}, as in the phrases of the answer
  });
  it('leaves the odds alone for words no cause uses', () => expect(Object.values(of('zorble quux'))).toEqual([0, 0, 0, 0]));
  it('does not count a word twice, nor care for the order', () => expect(of('talcum spilt talcum')).toEqual(of('spilt talcum')));
  it('never counts for more than three hundred to one', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('spilt', 'talcum', 'tiny', 'hoppers', 'pepper', 'icy', 'night', 'powder')), (words) => {
        for (const x of Object.values(of(words.join(' ')))) expect(Math.abs(x)).toBeLessThanOrEqual(Math.log(300));
      }),
    );
  });
});
