import { describe, expect, it } from '@jest/globals';
import { ShortForms } from './shortForms.ts';

const shortForms = new ShortForms({
  lvs: 'leaves',
  'b/w': 'between',
  w: 'with',
  'w/o': 'without',
  'w side': 'west side',
  sm: 'small',
  '&': 'and',
  mar: 'March',
});
const out = (text: string) => shortForms.writtenOut(text);

describe('short forms', () => {
  it.each([
    ['Lvs yellow b/w veins', 'leaves yellow between veins'],
    ['spots w halo w/o fur', 'spots with halo without fur'],
    ['brown on the w side', 'brown on the west side'],
    ['sm. white flies & webs', 'small white flies and webs'],
    ['pruned in mar. Leaves fell', 'pruned in March. Leaves fell'],
    ['marsh, swab, solvs', 'marsh, swab, solvs'],
    ["it's w’s", "it's w’s"],
  ])('%s', (short, long) => expect(out(short)).toBe(long));
  it('write out answers of a letter', () => {
    expect(out('webs? n, ants: y; slime y/n? n')).toBe('webs? no, ants: yes; slime? no');
    expect(out('spots n holes')).toBe('spots n holes');
  });
  it('are written out without what is said while a word is looked for', () => {
    expect(out('the leaves, um, are, you know, sticky')).toBe('the leaves are sticky');
    expect(out('spots, like, brown ones, on the leaf')).toBe('spots brown ones, on the leaf');
    expect(out('no, um, white powder')).toBe('no, um, white powder');
    expect(out('leaves are brown, you know, the roots are fine')).toBe('leaves are brown, you know, the roots are fine');
    expect(out('they look like flies, well, like gnats')).toBe('they look like flies like gnats');
  });
  it('leave everything alone where there are none', () => expect(new ShortForms({}).writtenOut('lvs b/w')).toBe('lvs b/w'));
});
