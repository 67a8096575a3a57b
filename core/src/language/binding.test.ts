import { describe, expect, it } from '@jest/globals';
import { Bindings } from './binding.ts';
import { tokenise } from './tokens.ts';

const bindings = new Bindings({
  classes: { colour: ['brown', 'yellow', 'orange'], thing: ['spots', 'beetles'], is: ['is', 'are'] },
  organs: { leaf: ['leaves'], root: ['roots'], fruit: ['fruit'] },
});
const bound = (text: string) => {
  const tokens = tokenise(text, {});
  return bindings.of(tokens).flatMap((binding, i) => (binding ? [`${tokens[i]!.word} ${tokens[binding.to]!.word}`] : []));
};
const isKept = (text: string, words: string) => {
  const tokens = tokenise(text, {});
  return bindings.keptIn(tokens)(words.split(' ').map((word) => tokens.findIndex((token) => token.word === word)));
};

describe('what a colour or size belongs to', () => {
  it('is the noun behind it', () => expect(bound('small brown spots')).toEqual(['small spots', 'brown spots']));
  it('reaches over another colour, and over "and"', () => {
    expect(bound('yellow orange spots')).toEqual(['yellow spots', 'orange spots']);
    expect(bound('brown and yellow beetles')).toEqual(['brown beetles', 'yellow beetles']);
  });
  it('is what it is said of', () => {
    expect(bound('the roots are brown')).toEqual(['brown roots']);
    expect(bound('the leaves have gone very yellow')).toEqual(['yellow leaves']);
  });
  it('is nothing when something stands upon something', () => expect(bound('the spots on the leaves are brown')).toEqual([]));
  it('reaches over a comma only where nothing was spoken of before it', () => {
    expect(bound('small, brown spots')).toEqual(['small spots', 'brown spots']);
    expect(bound('leaves brown, orange beetles')).toEqual(['orange beetles']);
  });
  it('stays within its clause', () => expect(bound('they are brown. spots too')).toEqual([]));
});

describe('a phrase', () => {
  it('takes no quality from another thing or part', () => {
    expect(isKept('brown spots on the leaves', 'brown leaves')).toBe(false);
    expect(isKept('tiny fruit and the roots are brown', 'tiny roots')).toBe(false);
    expect(isKept('tiny fruit and the roots are brown', 'fruit brown')).toBe(false);
    expect(isKept('tiny fruit and the roots are brown', 'roots brown')).toBe(true);
  });
  it('may hold the quality of a part without naming the part', () => expect(isKept('leaves turn brown from the tip', 'brown tip')).toBe(true));
});
