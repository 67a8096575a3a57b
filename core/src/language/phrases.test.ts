import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { scopesOf } from './negation.ts';
import { compilePhrase, PhraseBook } from './phrases.ts';
import { tokenise } from './tokens.ts';

const { lexicon } = smallEdition;
const tokens = (text: string) => tokenise(text, lexicon.irregular);
const small = new Set(lexicon.stopWords);
const book = (...patterns: string[]) =>
  new PhraseBook(
    patterns.map((p) => compilePhrase(p, p, lexicon)),
    (token) => small.has(token.word),
  );
const found = (patterns: string[], text: string) =>
  book(...patterns)
    .matches(tokens(text))
    .map((m) => m.value);

describe('a book of phrases', () => {
  const knows = (pattern: string, text: string) => book(pattern).knows(tokens(text)[0]!);
  it('knows the words its phrases ask for, by stem or by a beginning with a common ending', () => {
    expect(knows('orange|rust spot', 'rusts')).toBe(true);
    expect(knows('badger* lawn', 'badgers')).toBe(true);
    expect(knows('badger* lawn', 'badgersr')).toBe(false);
  });
  it('knows no word by three letters only', () => expect(knows('nip*', 'nipple')).toBe(false));
});

describe('phrase patterns', () => {
  it.each([
    ['terms in any order', '{leaf} spot', 'a spot on the leaves', true],
    ['alternatives', 'orange|rust spot', 'rust on a spot', true],
    ['beginnings', 'skeleton*', 'skeletonised', true],
    ['exactly that form', 'apples! rot', 'rot on the apple', false],
    ['exactly that form, present', 'apples! rot', 'rot on the apples', true],
    ['other forms of a word', 'curl leaf', 'curling leaves', true],
    ['words too far apart', 'white spot', 'white paint blue green violet indigo spot', false],
    ['small words between', 'white spot', 'white it is there on a spot', true],
    ['another clause', 'white spot', 'white. spot', false],
    ['words in just this order', '=tip burn', 'tip burn', true],
    ['the other order', '=tip burn', 'burn tip', false],
    ['a word between', '=tip burn', 'tip blue burn', false],
    ['a word that must not stand beside it', 'dust leaf -rust|orange', 'orange dust on the leaf', false],
    ['none of them there', 'dust leaf -rust|orange', 'dust on the leaf', true],
    ['one of them far off', 'dust leaf -rust|orange', 'dust lies thick on the leaf of my big potted orange', true],
  ])('%s', (_name, pattern, text, matches) => expect(found([pattern], text).length > 0).toBe(matches));
  it('leaves to others what must only stand there', () => {
    const [match] = book('leaf +white|black curl').matches(tokens('curled black on the leaf'));
    expect(match).toMatchObject({ at: [0, 1, 4], beside: [1] });
    expect(book('leaf +white curl').matches(tokens('curled leaf'))).toEqual([]);
  });
  it('may be spoilt by a word right before the talk, as far as its first clause', () => {
    const behind = (label: string, text: string) => book('dust leaf -grub').matches(tokens(text), new Set(), tokens(label)).length;
    expect(behind('grubs', 'dust on the leaf')).toBe(0);
    expect(behind('soil', 'dust on the leaf')).toBe(1);
    expect(behind('grubs', 'none. dust on the leaf')).toBe(1);
  });
  it('scores a rarer word above a common one', () => {
    const b = book('leaf ring', 'leaf spot', 'spot brown', 'spot black', 'spot white');
    const scores = Object.fromEntries(b.matches(tokens('leaf ring spot')).map((m) => [m.value, m.score]));
    expect(scores['leaf ring']).toBeGreaterThan(scores['leaf spot']!);
  });
  it('names an unknown word class', () => expect(() => compilePhrase('{moon} spot', null, lexicon)).toThrow('unknown word class {moon}'));
  it('takes a word with a hyphen for two, and none among alternatives', () => {
    expect(compilePhrase('d-shaped hole', null, lexicon).terms).toHaveLength(3);
    expect(() => compilePhrase('clear|see-through skin', null, lexicon)).toThrow('"clear|see-through" has a hyphen');
  });
});

describe('scopes', () => {
  const denied = (text: string) => {
    const list = tokens(text);
    return list.filter((_, i) => scopesOf(list, lexicon).negatedBy[i]! >= 0).map((t) => t.word);
  };
  it('reach from the "no" to the next turn, stop, comma or "and"', () => {
    expect(denied('no webs')).toEqual(['webs']);
    expect(denied('no webs and holes')).toEqual(['webs']);
    expect(denied('no webs, holes')).toEqual(['webs']);
    expect(denied('no webs, or holes')).toEqual(['webs', 'or', 'holes']);
    expect(denied('no webs but holes')).toEqual(['webs']);
    expect(denied('not only webs')).toEqual([]);
  });
  it('reach back from a denial that comes last', () => {
    expect(denied('webs and holes are not a problem')).toEqual(['holes', 'are', 'a', 'problem']);
    expect(denied('holes and webs, there are none')).toEqual(['webs']);
  });
  it('hold what was sought and not found, and what is kept away', () => {
    expect(denied('i looked for webs but nothing')).toEqual(['webs']);
    expect(denied('i looked for webs and found holes')).toEqual([]);
    expect(denied('the net keeps webs off')).toEqual(['webs']);
    expect(denied('webs keep falling off')).toEqual([]);
  });
  it('hold doubt as well', () => {
    const list = tokens('i think webs. holes');
    expect(list.filter((_, i) => scopesOf(list, lexicon).doubted[i]).map((t) => t.word)).toEqual(['i', 'think', 'webs']);
  });
});
