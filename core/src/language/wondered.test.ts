import { describe, expect, it } from '@jest/globals';
import type { Finding } from '../edition/findings.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import type { Match } from './meaning.ts';
import { tokenise } from './tokens.ts';
import { isWondered } from './wondered.ts';

const [finding] = smallEdition.findings as [Finding];

/** Whether "mildew" in a sentence is only wondered about. */
function wonders(sentence: string): boolean {
  const tokens = tokenise(sentence, smallEdition.lexicon.irregular);
  const at = [tokens.findIndex(({ word }) => word === 'mildew')];
  const sign: Match = { value: { kind: 'finding', finding, answer: finding.answers[1]!.id }, at, beside: [], saying: false, score: 1 };
  return isWondered(tokens, sign);
}

describe('what a question wonders about', () => {
  it.each([
    'is it mildew?',
    'it has silvery bits, is that the mildew',
    'will it get mildew',
    'are the leaves going to get mildew this year',
    'when will it get mildew next year',
    'and should I dust for mildew',
    'I do not know if there is mildew',
    'how often must she dust for mildew',
    'he asks if they will get mildew',
    'she asks will it get mildew',
  ])('is not seen: "%s"', (sentence) => expect(wonders(sentence)).toBe(true));
  it.each([
    'there is mildew',
    'should I cut off the mildew',
    'will it survive the mildew',
    'it is going to seed and has mildew',
    'when I look there is mildew',
    'will it live when it has mildew',
    'is it normal to have mildew?',
  ])('is seen where it is told or taken for granted: "%s"', (sentence) => expect(wonders(sentence)).toBe(false));
});
