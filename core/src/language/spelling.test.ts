import { describe, expect, it } from '@jest/globals';
import { Spelling } from './spelling.ts';

const spelling = new Spelling(['brown', 'brown', 'crown', 'grown', 'leaves', 'leaf', 'holes', 'poles', 'sticky']);

describe('slips of the pen', () => {
  it.each([
    ['bronw', 'brown'],
    ['laef', 'leaf'],
    ['holse', 'holes'],
    ['leves', 'leaves'],
    ['stickyy', 'sticky'],
    ['brovn', 'brown'],
  ])('%s is %s', (slip, meant) => expect(spelling.mend(slip)).toBe(meant));
  it('are none where no word is near, nor in words of three letters', () => {
    for (const word of ['zebra', 'pon', 'laff', 'stocking']) expect(spelling.mend(word)).toBeNull();
  });
  it('mean the commoner of two words as near', () => expect(new Spelling(['mould', 'moult', 'moult']).mend('moulx')).toBe('moult'));
});
