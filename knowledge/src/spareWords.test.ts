import { describe, expect, it } from '@jest/globals';
import { withoutSpareWords } from './spareWords.ts';

const talk = { classes: { brown: ['brown', 'tan', 'rust*'], fruit: ['apple', 'pears!'] }, irregular: { leaves: 'leaf' } };
const spared = (phrase: string) => withoutSpareWords(phrase, talk);

describe('phrases without spare words', () => {
  it('keeps one of several forms with the same stem', () => {
    expect(spared('spots|spot|spotted leaf|leaves')).toBe('spot leaf');
  });

  it('leaves to a class and to a beginning what they take', () => {
    expect(spared('brown|{brown}|rusty*|tan')).toBe('{brown}');
    expect(spared('fluff*|fluffy*|down!|down')).toBe('down|fluff*');
  });

  it('keeps what a class takes only in one form, and a beginning beside a word', () => {
    expect(spared('pear|{fruit}')).toBe('pear|{fruit}');
    expect(spared('mould|mould*')).toBe('mould|mould*');
  });

  it('leaves a place with a class nobody knows to the lint', () => expect(spared('{green}|leaf|leaves')).toBe('leaf|leaves|{green}'));

  it('keeps signs, and every place', () => {
    expect(spared('=go|going brown -hedge|hedges')).toBe('=go brown -hedge');
    expect(spared('~leaf|leaves leaves')).toBe('~leaf leaves');
  });
});
