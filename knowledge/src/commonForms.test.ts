import { describe, expect, it } from '@jest/globals';
import { compilePhrase } from '@sounding/core/language/phrases.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { inCommonForms } from './commonForms.ts';

const [mildew, ...otherCauses] = smallEdition.causes;
const [coating, ...otherFindings] = smallEdition.findings;
const [first, ...otherAnswers] = coating!.answers;
const phrases = ['spot|spots leaf -spotted', '=spots everywhere', '~dusty spotting', 'spots!|dust*|{leaf}', "can't see"];
const contents = {
  lexicon: { ...smallEdition.lexicon, irregular: { leaves: 'leaf' }, classes: { leaf: ['leaf'] } },
  causes: [{ ...mildew!, heard: 'dusty leaf leaves spots', told: 'leaf spot' }, ...otherCauses],
  findings: [{ ...coating!, answers: [{ ...first!, words: phrases }, ...otherAnswers] }, ...otherFindings],
};
const common = inCommonForms(contents);
const written = common.findings[0]!.answers[0]!.words;

describe('an edition in common forms', () => {
  it('writes every form of a stem as the commonest, each place once and in order', () =>
    expect(written.slice(0, 3)).toEqual(['spot leaf -spot', '=spot everywhere', '~dusty spot']));
  it('leaves exact words, beginnings, classes and apostrophes', () => expect(written.slice(3)).toEqual(['dust*|spots!|{leaf}', "can't see"]));
  it('asks for the same as before', () =>
    phrases.forEach((phrase, i) =>
      expect(compilePhrase(written[i]!, null, contents.lexicon)).toEqual(compilePhrase(phrase, null, contents.lexicon)),
    ));
  it('keeps how often a word was said', () => {
    expect(common.causes[0]!.heard).toBe('dusty leaf leaf spot');
    expect(common.causes[0]!.told).toBe('leaf spot');
  });
  it('leaves a cause without callers’ words as it is', () => expect(common.causes[1]).toEqual(contents.causes[1]));
});
