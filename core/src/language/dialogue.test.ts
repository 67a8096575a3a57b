import { describe, expect, it } from '@jest/globals';
import { addsNothing, answersQuestion, leavesOpen, utterancesIn } from './dialogue.ts';

const isLabel = (label: string) => label !== 'rose';
const taken = (text: string) => utterancesIn(text, isLabel);

describe('talk taken apart into questions and answers', () => {
  it('pairs a question with the yes or no behind it', () => {
    expect(taken('Is it sticky? No. The soil is wet.')).toEqual([{ ask: 'Is it sticky?', say: 'No.' }, ' The soil is wet.']);
    expect(taken('webs? yes, fine ones')).toEqual([{ ask: 'webs?', say: 'yes, fine ones' }]);
  });

  it('takes no answer to what only an advisor can say, nor from not knowing that goes on to something else', () => {
    expect(taken('Is that normal? Yes, I know, it is old.')).toEqual(['Is that normal? Yes, I know, it is old.']);
    expect(taken('Is it sticky? I do not know whether there are webs.')).toEqual(['Is it sticky? I do not know whether there are webs.']);
    expect(taken('Is it sticky? No idea.')).toEqual([{ ask: 'Is it sticky?', say: 'No idea.' }]);
  });

  it('asks only what stands behind the last comma of a statement', () => {
    expect(taken('holes in the leaves, slime? no')).toEqual(['holes in the leaves,', { ask: 'slime?', say: 'no' }]);
    expect(taken('Is the leaf, the old one, sticky? No.')).toEqual([{ ask: 'Is the leaf, the old one, sticky?', say: 'No.' }]);
  });

  it('pairs a question of a word or two with the few words behind it, and any with what is sound', () => {
    expect(taken('New leaves? Pale green.')).toEqual([{ ask: 'New leaves?', say: 'Pale green.' }]);
    expect(taken('How do the roots look to you now? Nothing wrong.')).toEqual([{ ask: 'How do the roots look to you now?', say: 'Nothing wrong.' }]);
    expect(taken('It has spots. Is that normal? It looks fine.')).toEqual(['It has spots. Is that normal? It looks fine.']);
    expect(taken('Rust? It has orange powder under the leaves.')).toEqual(['Rust? It has orange powder under the leaves.']);
  });

  it('leaves a question alone that nothing answers', () => {
    expect(taken("What's wrong with it? No flowers this year.")).toEqual(["What's wrong with it? No flowers this year."]);
    expect(taken('Is it blight? Is it frost?')).toEqual(['Is it blight? Is it frost?']);
  });

  it('reads notes of a label and what was found', () => {
    expect(taken('soil: wet; roots: white')).toEqual([
      { ask: 'soil', say: 'wet;' },
      { ask: 'roots', say: 'white' },
    ]);
    expect(taken('leaves: yellow between the veins, older ones; holes: nil')).toEqual([
      { ask: 'leaves', say: 'yellow between the veins, older ones;' },
      { ask: 'holes', say: 'none' },
    ]);
  });

  it('needs a bare yes or no behind a label without a colon', () => {
    expect(taken('sticky no, webs - none, ants yes')).toEqual([
      { ask: 'sticky', say: 'no' },
      { ask: 'webs', say: 'none' },
      { ask: 'ants', say: 'yes' },
    ]);
    expect(taken('spots - brown')).toEqual(['spots - brown']);
  });

  it('takes no sentence for a label', () => {
    for (const text of ['there are none', 'I said no', 'problem: leaves go yellow, brown and fall', 'rose: black spots', 'at 12:30 it wilts'])
      expect(taken(text)).toEqual([text]);
  });

  it('loses no word and keeps numbers whole', () => {
    expect(taken('It grew 2.5 cm, spots: brown')).toEqual(['It grew 2.5 cm,', { ask: 'spots', say: 'brown' }]);
    expect(taken('')).toEqual(['']);
  });
});

describe('the question that was put', () => {
  it.each([
    ['dunno', true],
    ["I don't know", true],
    ["haven't looked", true],
    ['could be', true],
    ['what do you mean', false],
    ['no', false],
    ["I don't know about that, but there are holes in it", false],
  ])('is left open by "%s": %s', (say, open) => expect(leavesOpen(say)).toBe(open));
  it.each([
    ['yes', true],
    ['no, not that I can see. ants? yes', true],
    ['webs? none', false],
    ['brown spots; dropping: yes', false],
    ['brown all over', false],
  ])('is answered by "%s": %s', (say, answers) => expect(answersQuestion(say)).toBe(answers));

  it.each([
    ['no', true],
    ['No, nothing else really.', true],
    ["that's all", true],
    ['dunno', true],
    ['no flowers', false],
    ['nothing eats it', false],
  ])('"%s" adds nothing: %p', (say, nothing) => expect(addsNothing(say)).toBe(nothing));
});
