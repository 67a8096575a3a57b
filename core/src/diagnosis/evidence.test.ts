import { describe, expect, it } from '@jest/globals';
import { WORDING } from '../edition/findings.ts';
import { asItSpeaks, type Evidence } from './evidence.ts';

const speaks = (finding: string, decibans: number): Evidence => ({ finding, answers: [], decibans });

describe('the order in which evidence is shown', () => {
  it('puts what speaks for a cause first, what was seen before how it was put, and the strongest before the rest', () => {
    const shown = [speaks('holes', -3), speaks(WORDING, 12), speaks('frost', 2), speaks('coating', 7), speaks('drops', -9)].sort(asItSpeaks);
    expect(shown.map(({ finding }) => finding)).toEqual(['coating', 'frost', WORDING, 'holes', 'drops']);
  });
  it('puts how it was put last among what speaks against it too', () => {
    const shown = [speaks(WORDING, -2), speaks('holes', -9)].sort(asItSpeaks);
    expect(shown.map(({ finding }) => finding)).toEqual(['holes', WORDING]);
  });
});
