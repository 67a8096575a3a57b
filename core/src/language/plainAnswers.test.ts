import { describe, expect, it } from '@jest/globals';
import type { Edition } from '../edition/edition.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { Understander } from './understand.ts';

const edition: Edition = {
  ...smallEdition,
  findings: smallEdition.findings.map((finding) =>
    finding.id === 'holes'
      ? { ...finding, answers: finding.answers.map((answer) => (answer.id === 'none' ? { ...answer, words: ['not bitten'] } : answer)) }
      : finding.id === 'frost'
        ? { ...finding, kind: 'site' }
        : finding,
  ),
  careTopics: [...smallEdition.careTopics, { id: 'light', name: 'Light', words: ['frost hollow'] }],
};
const reader = new Understander(edition);
const told = (ask: string, say: string) => reader.understand([{ ask, say }]).readings.map((r) => `${r.finding}=${r.answer}`);

describe('a plain yes or no', () => {
  it.each([
    ['Is there white powder?', 'yes', ['coating=white']],
    ['Is there white powder?', 'no', ['coating=none']],
    ['Are there holes?', 'no', ['holes=none']],
  ])('affirms or denies what was asked for: %s – %s', (ask, say, readings) => expect(told(ask, say)).toEqual(readings));

  it('answers an advisor who asks for no advice', () => expect(told('Is it in a frost hollow?', 'yes')).toEqual(['frost=yes']));

  it('turns round what a no would have said', () => {
    expect(told('Is it bitten?', 'no')).toEqual(['holes=none']);
    expect(told('Is it bitten?', 'yes')).toEqual(['holes=some']);
  });

  it('denies a sound state that was asked for', () => expect(told('Is there nothing on the leaf?', 'no')).toEqual(['coating=not:none']));

  it('is usual where nothing befell it', () => {
    expect(told('Frost?', 'normal')).toEqual(['frost=no']);
    expect(told('Frost?', 'a hard one')).toEqual(['frost=yes']);
  });

  it('leaves a thing there of which more is asked', () => expect(told('Are the holes round?', 'no')).not.toContain('holes=none'));

  it('says nothing of a thing that only tells where', () => expect(told('Is there powder round the holes?', 'no')).toEqual(['coating=none']));
});
