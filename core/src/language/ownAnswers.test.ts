import { describe, expect, it } from '@jest/globals';
import type { Finding } from '../edition/findings.ts';
import { OwnAnswers } from './ownAnswers.ts';
import { tokenise } from './tokens.ts';

const SMALL = /^(?:i|would|say|think|a|an|the|of|it|with|and|or|er|part|day|there|are|have|not)$/;
const finding = (id: string, ask: string, offered: Record<string, string>, absent?: string) =>
  ({
    id,
    ask,
    answers: Object.entries(offered).map(([answer, say]) => ({ id: answer, say, share: 0.1, words: [] })),
    ...(absent ? { absent } : {}),
  }) as unknown as Finding;
const look = finding(
  'look',
  'What do they look like?',
  { none: 'none', hairy: 'hairy', smooth: 'green and smooth', striped: 'striped, green head' },
  'none',
);
const light = finding('light', 'How much sun?', { full: 'full sun', part: 'part of the day', none: 'not much' });
const alike = finding('alike', 'Which part?', { leaf: 'green leaf', stem: 'green stem' });
const own = new OwnAnswers([look, light, alike], (text) => tokenise(text, {}).filter(({ word }) => !SMALL.test(word)));

describe('answers of our own', () => {
  it('are looked for where the question is ours, by its words or its name', () => {
    expect(own.asked('What do they look like?')).toBe(look);
    expect(own.asked('light')).toBe(light);
    expect(own.asked('And what do they look like?')).toBeNull();
  });
  it.each([
    ['hairy', 'hairy'],
    ["hairy, I'd say", 'hairy'],
    ['a smooth one', 'smooth'],
    ['a green striped thing', 'striped'],
  ])('take up "%s"', (say, answer) => expect(own.taken(look, say)?.answer).toBe(answer));
  it('are none where two are meant as much, or little of what was said is theirs', () => {
    expect(own.taken(alike, 'green')).toBeNull();
    expect(own.taken(look, 'brown wings, long legs and a hairy back')).toBeNull();
  });
  it('are looked for in the first breath of a longer answer, and then more was said', () => {
    expect(own.taken(look, 'hairy, they came from next door in swarms')).toEqual({ answer: 'hairy', whole: false });
    expect(own.taken(look, 'green and smooth')).toEqual({ answer: 'smooth', whole: true });
  });
  it('are not what was denied, unless it is offered so', () => {
    expect(own.taken(look, 'not hairy')).toBeNull();
    expect(own.taken(light, 'not much')?.answer).toBe('none');
  });
  it('are taken up by a part of their words where no other has it', () => {
    expect(own.taken(light, 'of the day')?.answer).toBe('part');
  });
  it('are named by the question itself, in a few words that deny nothing', () => {
    const spilt = finding('spilt', 'Did soap, oil or paint get on it?', { yes: 'yes', no: 'no' }, 'no');
    expect(own.names(spilt, 'some soap')).toBe(false);
    expect(own.names(spilt, 'soap')).toBe(true);
    expect(own.names(spilt, 'the soap, not oil')).toBe(false);
    expect(own.names(spilt, 'soap oil paint did')).toBe(false);
  });
  it('are taken up in small words only as they stand', () => {
    expect(own.taken(light, 'part of the day')?.answer).toBe('part');
    expect(own.taken(light, 'a day')).toBeNull();
  });
});
