import { describe, expect, it } from '@jest/globals';
import type { Finding } from '../edition/findings.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import type { Match } from './meaning.ts';
import { opinionsIn } from './opinions.ts';
import { tokenise } from './tokens.ts';

const [finding] = smallEdition.findings as [Finding];
const causes = smallEdition.causes;

/** What is held of "thrips" in a sentence, where the word is a name and a sign at once. */
function opinionOn(sentence: string) {
  const tokens = tokenise(sentence, smallEdition.lexicon.irregular);
  const at = [tokens.findIndex(({ word }) => word === 'thrips')];
  const name: Match = { value: { kind: 'claim', causes }, at, beside: [], saying: false, score: 1 };
  const sign: Match = { value: { kind: 'finding', finding, answer: finding.answers[1]!.id }, at, beside: [], saying: false, score: 1 };
  return opinionsIn(tokens, [name, sign])(sign);
}

describe('what is only held of the trouble', () => {
  it.each([
    'My neighbour says it is thrips.',
    'The man at the shop blamed thrips.',
    'I thought it was thrips, but there is no slime.',
    'According to him it has got to be thrips',
    'He is convinced it is thrips damage and sprayed.',
    'I know they say thrips.',
    'I suspected thrips.',
    'I was told thrips because the leaves are silver.',
  ])('is hearsay where others say it or it was once thought: "%s"', (sentence) => {
    expect(opinionOn(sentence)).toBe('hearsay');
  });
  it.each([
    'I think it is thrips.',
    'We suspect thrips but cannot tell',
    'I reckon thrips',
    'I would say thrips',
    "I'm convinced it is thrips.",
    'I still blame thrips',
  ])('is the caller’s own where they think so now: "%s"', (sentence) => {
    expect(opinionOn(sentence)).toBe('own');
  });
  it.each([
    'There are thrips.',
    'He says there are thrips in the flowers.',
    'She thinks she saw thrips.',
    'I was told to look and found thrips.',
    'They say thrips crawl on it.',
    'My neighbour says so. Thrips.',
  ])('is nothing of the kind where it is seen: "%s"', (sentence) => {
    expect(opinionOn(sentence)).toBeNull();
  });
  it('is no sign either where other words go with it: "I thought it was mildew as it is white"', () => {
    const tokens = tokenise('i thought thrips as it is silver', smallEdition.lexicon.irregular);
    const name: Match = { value: { kind: 'claim', causes }, at: [2], beside: [], saying: false, score: 1 };
    const sign = (at: number[]): Match => ({
      value: { kind: 'finding', finding, answer: finding.answers[1]!.id },
      at,
      beside: [],
      saying: false,
      score: 1,
    });
    const opinionOf = opinionsIn(tokens, [name]);
    expect([opinionOf(sign([2, 6])), opinionOf(sign([6]))]).toEqual(['hearsay', null]);
  });
});
