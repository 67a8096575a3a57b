import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { Understander } from './understand.ts';

const spots = {
  ...smallEdition.findings.find(({ id }) => id === 'coating')!,
  id: 'spots',
  organ: 'leaf' as const,
  absent: 'none',
  some: ['spots leaves'],
  answers: [
    { id: 'none', say: 'none', background: 0.8, words: [] },
    { id: 'purple', say: 'purple', background: 0.1, words: ['purple spots leaves'] },
    { id: 'tar', say: 'black', background: 0.1, words: ['black shiny spots leaves -pale'] },
    { id: 'pale', say: 'pale', background: 0.1, words: ['pale spots leaves'] },
  ],
};
const reader = new Understander({ ...smallEdition, findings: [...smallEdition.findings, spots] });
const kind = (said: string) => reader.understand([said]).readings.find(({ finding }) => finding === 'spots')?.answer;

describe('of what kind a thing is', () => {
  it('is told in the same breath', () => expect(kind('purple spots on the leaves')).toBe('purple'));
  it('is told behind a comma', () => expect(kind('there are spots all over the leaves of my plant, all over, purple')).toBe('purple'));
  it('is told in the next sentence', () => expect(kind('There are spots on the leaves. They are round and purple.')).toBe('purple'));
  it('is not told of another part', () => expect(kind('There are spots on the leaves. The fruit is purple.')).toBe('not:none'));
  it('is not told two sentences on', () =>
    expect(kind('There are spots on the leaves. It stands in a pot. I water it. Purple jug.')).toBe('not:none'));
  it('is not told behind by a phrase that its own breath keeps out', () => expect(kind('pale spots on the leaves, shiny, black')).toBe('pale'));
  it('stays unknown where nothing more is said', () => expect(kind('There are spots on the leaves.')).toBe('not:none'));
});
