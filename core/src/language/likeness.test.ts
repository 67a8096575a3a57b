import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Edition } from '../edition/edition.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { Likeness } from './likeness.ts';

const heard: Record<string, string> = {
  mildew: 'as if somebody spilt talcum on it',
  beetle: 'tiny hoppers pepper the leaf',
  cold: 'icy night',
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
  it('leaves something to what is not on the list, less than to what is put so', () => {
    const { unlisted, mildew } = of('spilt talcum');
    expect(unlisted).toBeGreaterThan(0);
    expect(unlisted).toBeLessThan(mildew!);
  });
  it('knows an inflected word and one of the same class', () => {
    expect(of('peppered').beetle).toBeGreaterThan(0);
    expect(of('flour').mildew).toBeGreaterThan(0); // {powder}, as in the phrases of the answer
  });
  it('learns the words of callers whose cause was known', () => {
    expect(of('scuffed').cold).toBe(0);
    const taught = new Likeness({ ...edition, causes: edition.causes.map((cause) => (cause.id === 'cold' ? { ...cause, told: 'scuffed' } : cause)) });
    expect(taught.logRatios('scuffed', ['cold'])[0]).toBeGreaterThan(0.5);
  });
  it('leaves the odds alone for words no cause uses', () => expect(Object.values(of('zorble quux'))).toEqual([0, 0, 0, 0]));
  it('does not count a word twice, nor care for the order', () => expect(of('talcum spilt talcum')).toEqual(of('spilt talcum')));
  it('never counts for more than three thousand to one', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('spilt', 'talcum', 'tiny', 'hoppers', 'pepper', 'icy', 'night', 'powder')), (words) => {
        for (const x of Object.values(of(words.join(' ')))) expect(Math.abs(x)).toBeLessThanOrEqual(Math.log(3000));
      }),
    );
  });
});
