import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { boundTo } from './binding.ts';
import { tokenise } from './tokens.ts';

const lexicon = { ...smallEdition.lexicon, classes: { colour: ['brown', 'yellow', 'orange'], thing: ['spots', 'beetles'] } };
const bound = (text: string) => {
  const tokens = tokenise(text, {});
  return boundTo(tokens, lexicon).map((i) => (i < 0 ? null : tokens[i]!.word));
};

describe('what a colour belongs to', () => {
  it('is the noun behind it', () => expect(bound('small brown spots')).toEqual([null, 'spots', null]));
  it('reaches over another colour, and over "and"', () => {
    expect(bound('yellow orange spots')).toEqual(['spots', 'spots', null]);
    expect(bound('brown and yellow beetles')).toEqual(['beetles', null, 'beetles', null]);
  });
  it('is nothing when no such noun follows', () => expect(bound('leaves are brown')).toEqual([null, null, null]));
  it('stays within its clause', () => expect(bound('they are brown. spots too')).toEqual([null, null, null, null, null]));
});
