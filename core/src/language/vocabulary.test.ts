import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { Organs } from './organs.ts';
import { Vocabulary } from './vocabulary.ts';

const vocabulary = new Vocabulary(smallEdition);

describe('vocabulary', () => {
  it('puts a slip of one letter right where a phrase asks for the word, and leaves the spelling as it was written', () => {
    const [token] = vocabulary.mended('pouder');
    expect(token).toMatchObject({ word: 'powder', text: 'pouder', stem: 'powder' });
    expect(vocabulary.asWritten('pouder')[0]!.stem).not.toBe('powder');
  });
  it('leaves words of everyday speech alone, however near they come', () => {
    const everyday = new Vocabulary({ ...smallEdition, lexicon: { ...smallEdition.lexicon, everyday: ['pouder'] } });
    expect(everyday.mended('pouder')[0]!.word).toBe('pouder');
  });
  it('leaves alone what is spared', () => expect(vocabulary.mended('pouder', new Set([0]))[0]!.word).toBe('pouder'));
  it('leaves short words and words of the prose alone', () => {
    const prose = new Vocabulary({ ...smallEdition, causes: smallEdition.causes.map((cause) => ({ ...cause, story: 'A louder noise.' })) });
    expect(prose.mended('louder')[0]!.stem).toBe(prose.asWritten('louder')[0]!.stem);
  });
  it('gives the runs of words nobody placed, without the small ones', () => {
    const tokens = vocabulary.asWritten('my bean is oddly speckled and the pods rattle. Twice');
    expect(vocabulary.leftOver(tokens, new Set([1]))).toEqual(['oddly speckled', 'pods rattle', 'twice']);
  });
  it('knows figures, small words and its own', () => {
    const known = (word: string) => vocabulary.isKnown(vocabulary.asWritten(word)[0]!);
    expect(['12', 'the', 'powder', 'zzyzx'].map(known)).toEqual([true, true, true, false]);
  });
});

describe('organs', () => {
  const organs = new Organs({ ...smallEdition.lexicon, organs: { ...smallEdition.lexicon.organs, leaf: ['leaf', 'leaves'], stem: ['stem'] } });
  it('lets a "they" stand for the organ before it', () => {
    const tokens = organs.resolvePronouns(vocabulary.asWritten('the leaves curl and they drop'));
    expect(tokens.at(-2)!.standsFor?.word).toBe('leaves');
  });
  it('but not for one spoken of long before, nor for none', () => {
    expect(organs.resolvePronouns(vocabulary.asWritten('they drop'))[0]!.standsFor).toBeUndefined();
    const long = organs.resolvePronouns(vocabulary.asWritten(`the leaf ${'really '.repeat(16)}and they drop`));
    expect(long.at(-2)!.standsFor).toBeUndefined();
  });
});
