import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { packEdition, signed, unpackEdition, written } from './packed.ts';

describe('an edition as it is sent', () => {
  it('comes back as it was', () => {
    expect(unpackEdition(JSON.parse(JSON.stringify(packEdition(smallEdition))) as ReturnType<typeof packEdition>)).toEqual(
      JSON.parse(JSON.stringify(smallEdition)),
    );
  });
  it('writes words that recur as signs, the most frequent first, and leaves the others', () => {
    const [mildew, ...others] = smallEdition.causes;
    const { words, text } = packEdition({
      ...smallEdition,
      causes: [{ ...mildew!, story: 'A Marrow, the Marrow and no Marrow. Quince' }, ...others],
    });
    expect(words.split(',')).toContain(' Marrow');
    expect(text).not.toContain('Marrow');
    expect(text).toContain('Quince');
  });
  it('holds quotes of both kinds, and signs that stand for themselves', () => {
    const story = 'It’s called \'rust\' or "blight", µ-small, ā and \u0080 at 5 °C – Ωmega žluť.';
    const causes = smallEdition.causes.map((cause) => ({ ...cause, story }));
    expect(unpackEdition(packEdition({ ...smallEdition, causes })).causes.map((cause) => cause.story)).toEqual(causes.map(() => story));
  });
  it('gives any text back, whatever the words', () => {
    const words = ['leaf', ' leaf', ' spot-free'];
    for (const text of ['', 'leaf', ' leaf leaf leaflet', 'a spot-free leaf', '\u0100\u0101 leaf \u0080', '\u0080\u0100leaf', '日本']) {
      expect(written(signed(text, words), words)).toBe(text);
    }
  });
});
