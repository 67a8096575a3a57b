import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { smallTalkIn } from './smallTalk.ts';
import { tokenise } from './tokens.ts';
import { Understander } from './understand.ts';

/** What is left of a text when small talk is taken out, where leaves and holes tell of the plant. */
function rest(text: string): string {
  const tokens = tokenise(text, {});
  const is = smallTalkIn(
    tokens,
    (i) => tokens[i]!.word === 'holes',
    ({ word }) => /^(leaves|twig)$/.test(word),
  );
  return tokens
    .filter((_, i) => !is[i])
    .map(({ word }) => word)
    .join(' ');
}

describe('small talk', () => {
  it.each([
    ['my wife does the garden, the leaves curl', 'the leaves curl'],
    ['a neighbour gave me your number. It droops.', 'it droops'],
    ['we only moved in lately, it droops', 'it droops'],
    ['a bag with a twig, it droops', 'it droops'],
    ['a bag with holes, it droops', 'a bag with holes it droops'],
    ['will it spread? it droops', 'it droops'],
    ['my wife saw holes, thank you', 'my wife saw holes'],
    ['it droops and is limp', 'it droops and is limp'],
    ['when you pull it comes away', 'when you pull it comes away'],
    ['I moved it to the living room', 'i moved it to the living room'],
  ])('of "%s" leaves "%s"', (text, left) => expect(rest(text)).toBe(left));
});

describe('the wording of a call', () => {
  const wording = (text: string) => new Understander(smallEdition).understand([text]).wording.split(' ');
  it('leaves small talk out, and what was read in it only tells where', () => {
    expect(wording('My husband drives a lorry. The leaf has holes.')).toEqual(expect.not.arrayContaining(['lorry']));
    expect(wording('My husband drives a lorry. The leaf has holes.')).toContain('holes');
  });
  it('keeps what is told in the same breath', () => expect(wording('my husband found jelly and holes')).toContain('jelly'));
  it('is empty where no word of it is known', () => expect(wording('asdf qwer')).toEqual(['']));
});
