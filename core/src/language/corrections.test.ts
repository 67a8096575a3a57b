import { describe, expect, it } from '@jest/globals';

import { smallEdition } from '../testing/smallEdition.ts';
import { takesBack } from './corrections.ts';
import { tokenise } from './tokens.ts';
import { Understander } from './understand.ts';

const read = (...said: string[]) => new Understander(smallEdition).understand(said).readings.map(({ finding, answer }) => `${finding}=${answer}`);

describe('what a caller takes back', () => {
  it.each([
    ['no wait, it is black soot', true],
    ['Sorry, I mean black soot', true],
    ['it is black soot, no wait', false],
    ['there is no soot', false],
  ])('"%s" takes back: %p', (said, is) => expect(takesBack(tokenise(said, {}))).toBe(is));

  it('is not read, where another word on the same finding follows', () => {
    expect(read('white powder, no sorry, black soot')).toEqual(['coating=black']);
    expect(read('white powder and holes, I mean black soot')).toEqual(expect.arrayContaining(['coating=black', 'holes=some']));
    expect(read('white powder. I mean it is bad.')).toEqual(['coating=white']);
  });
  it('may have been said earlier in the call', () => {
    expect(read('white powder', 'holes', 'no wait, black soot')).toEqual(['holes=some', 'coating=black']);
    expect(read('white powder', 'black soot').length).toBe(2);
    expect(read('no wait, black soot', 'white powder').length).toBe(2);
  });
});
