import { describe, expect, it } from '@jest/globals';
import type { CareTopic } from '../edition/care.ts';
import type { Lexicon } from '../edition/lexicon.ts';
import type { Plant } from '../edition/plants.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { askingIn, asksToDo, asksUs, tellsTrouble } from './asking.ts';
import { CareQuestions, WHOLE_CARD, type CarePhrase } from './careQuestions.ts';
import { compilePhrase, PhraseBook } from './phrases.ts';
import { tokenise } from './tokens.ts';

const lexicon: Lexicon = { ...smallEdition.lexicon, irregular: {}, classes: {} };
const topics: CareTopic[] = [
  { id: 'cut-back', name: 'Cutting down', verbs: ['cut', 'leave', 'deadhead'], words: ['flower* stick'] },
  { id: 'sow', name: 'Sowing', verbs: ['plant', 'sow'], words: ['depth'] },
  { id: 'water', name: 'Watering', verbs: ['water'], words: ['rain water'] },
  { id: 'prune', name: 'Pruning', verbs: ['prune'], words: ['whips'], told: ['too tall'] },
  { id: 'poison', name: 'Poisonous', words: ['toxic'], told: ['cat chewed leaf', 'sheep ate', 'sheep ate some'] },
  { id: 'remedy', name: 'What to do about it', words: ['cut off'] },
];
const questions = new CareQuestions(topics, {}, ['sheep']);
const book = new PhraseBook(
  topics.flatMap(({ id, words, told }) => [
    ...words.map((w) => compilePhrase(w, { topic: id, told: false }, lexicon)),
    ...(told ?? []).map((w) => compilePhrase(w, { topic: id, told: true }, lexicon)),
  ]),
  ({ word }) => ['a', 'the', 'it', 'of', 'with', 'i', 'do', 'is'].includes(word),
);
const plant = (id: string): Plant => ({ ...smallEdition.plants[0]!, id, ...(id === 'yew' && { poisonous: 'All of it.' }) });
/** @param named words that are a plant's name; the plant goes by the word */
function hear(text: string, named: number[] = []) {
  const tokens = tokenise(text, {});
  const phrases: CarePhrase[] = book.matches(tokens, new Set());
  const plants = new Map(named.map((i) => [i, plant(tokens[i]!.word)] as const));
  return { tokens, heard: questions.heard(tokens, plants, askingIn(tokens), phrases) };
}
const topicsOf = (text: string, named: number[] = []) => hear(text, named).heard.questions.map(({ topic }) => topic);
const stretches = (text: string) => {
  const tokens = tokenise(text, {});
  return askingIn(tokens).map(({ from, body, to }) => [from, body, to].map((i) => tokens[i]?.text ?? '$').join(' '));
};

describe('what asks', () => {
  it.each([
    ['there is a flower stalk, do I leave it', ['do leave $']],
    ['how often should I water and when do I feed', ['how should should', 'should water when', 'when i $']],
    ['what sort of compost does it like', ['what sort does', 'does like $']],
    ['the best time for roses', ['best for $']],
    ['when I cut it, sap ran out', []],
    ['why does my rose drop its leaves', []],
    ['how come it drops its leaves', []],
    ['it is dry no matter how much I water', []],
    ['never mind the matter, should I prune it', ['should prune $']],
    ["when's best to plant it", ['when best $']],
    ["I'd like to move a peony", ['like move $']],
    ['we are thinking of pruning it', ['thinking pruning $']],
    ["I don't want to prune it", []],
    ['I want to get rid of the caterpillars', []],
    ['slugs like to feed on it', []],
    ['she also asks are the seeds toxic', ['are the $']],
    ['basil in the kitchen, sun or shade', ['sun sun $']],
    ['the leaves are brown, black or both I cannot say', []],
    ['which fertiliser for a lemon in a small pot', ['which fertiliser $']],
    ['its roots climb out of the pot, now what', ['now $ $']],
    ['why do I need a male one', ['do need $']],
    ['who can cut it', ['who cut $']],
    ['the man who can cut it came', []],
    ['did I kill it', ['did kill $']],
  ])('"%s" asks in %p', (text, expected) => {
    expect(stretches(text)).toEqual(expected);
  });
  it.each([
    ['and can she eat them', true],
    ['he asks if it spreads', true],
    ['how often must she spray', true],
    ['could be mites', false],
    ['when it rains', false],
    ['she says it is dry', false],
  ])('"%s" asks us: %p', (said, expected) => expect(asksUs(said)).toBe(expected));
  it('hears a note with “yes or no” as asking', () => expect(topicsOf('deadhead roses, yes or no')).toEqual(['cut-back']));
  it('takes in the breath before where it only refers back', () => {
    const tokens = tokenise('it sends out whips everywhere, what do I do with them', {});
    expect(askingIn(tokens).at(-1)).toMatchObject({ about: 0 });
  });
  it.each([
    ['can I straighten it', true],
    ['should I do anything to save it', false],
    ['how do I get rid of it', false],
    ['what is wrong with it', false],
  ])('"%s" asks to do something to a plant that may be well: %p', (text, expected) => {
    const tokens = tokenise(text, {});
    expect(askingIn(tokens).some((stretch) => asksToDo(tokens, stretch))).toBe(expected);
  });
});

describe('flowers that are over', () => {
  it.each([
    ['orchid, flowers gone', false],
    ['the blooms have all died', false],
    ['the flowers have gone brown', true],
    ['the leaves have gone', true],
  ])('are no trouble: %s', (text, trouble) => expect(tellsTrouble(tokenise(text, {}))).toBe(trouble));
});

describe('questions of care', () => {
  it.each([
    ['there is a flower stalk in my rhubarb, do I leave it', ['cut-back']],
    ['should I be deadheading my geraniums', ['cut-back']],
    ['what time of year do you plant garlic', ['sow']],
    ['how to sow carrots', ['sow']],
    ['what depth for garlic', ['sow']],
    ['I was told you never prune it, is that right', ['prune']],
    ['my shrub is too tall', ['prune']],
    ['I planted it last year and cut it down', []],
    ['when I cut the stem it oozes', []],
    ['the leaves leave marks', []],
    ['will it harm my plants', []],
    ['rain water runs off the roof', []],
  ])('"%s" asks for %p', (text, expected) => expect(topicsOf(text)).toEqual(expected));
  it('a word of the plant’s own name asks for nothing', () => expect(topicsOf('does a spider plant like sun', [2, 3])).toEqual([]));
  it('does not look past the end of the sentence', () => expect(topicsOf('Do you know? I cut it down.')).toEqual([]));
  it('one topic is answered once', () => expect(topicsOf('do I cut it, and when do I cut it')).toEqual(['cut-back']));

  it('hears what is spoken of without a question', () =>
    expect(hear('It was never pruned. Where do I begin?').heard.mentioned).toEqual([{ topic: 'prune', from: 'pruned' }]));
  it('says what may be meant for the trouble as well', () => {
    const asked = (text: string) => hear(text).heard.questions.map(({ topic, orCause }) => [topic, orCause]);
    expect(asked('should I cut them off')).toEqual([
      ['cut-back', true],
      ['remedy', undefined],
    ]);
    expect(asked('do I cut it')).toEqual([['cut-back', undefined]]);
  });
  it('offers the whole card where nothing was said', () => expect(hear('can I straighten it').heard.unplaced[0]?.topic).toBe(WHOLE_CARD));

  it('takes what is asked for no word on how it is', () => {
    const { heard } = hear('how much water in a hot summer, the tips are brown');
    expect(heard.asks([2], false)).toBe(true); // water
    expect(heard.asks([5], true)).toBe(true); // a hot summer, in the same breath
    expect(heard.asks([8, 10], false)).toBe(false); // tips, brown
  });
});

describe('somebody who ate of it', () => {
  it('counts however it is asked besides, and its words tell no trouble of the plant', () => {
    const { heard, tokens } = hear('is it toxic, my cat chewed a leaf, the rest is fine');
    expect(heard.questions).toEqual([expect.objectContaining({ topic: 'poison', eaten: true })]);
    expect([...heard.eatenAt].map((i) => tokens[i]!.word)).toEqual(['my', 'cat', 'chewed', 'a', 'leaf']);
  });
  it.each([
    ['the sheep ate a yew', [4], ['poison']],
    ['the sheep ate a rose', [4], []],
    ['the sheep ate everything', [], []],
    ['the sheep ate some', [], ['poison']],
  ])('may be an animal of the field, where what it found is poisonous: %s', (text, named, topics) => expect(topicsOf(text, named)).toEqual(topics));
  it('is nobody where it is only asked', () => expect(hear('is it toxic').heard.questions[0]).not.toHaveProperty('eaten'));
});

describe('somebody ate of it', () => {
  it('is a question of poison, and no sign of a pest', () => {
    const { tokens, heard } = hear('my cat chewed a leaf of it, holes in the others');
    expect(heard.questions.map(({ topic }) => topic)).toEqual(['poison']);
    const at = (word: string) => tokens.findIndex((token) => token.word === word);
    expect(heard.asks([at('chewed'), at('leaf')], false)).toBe(true);
    expect(heard.asks([at('holes')], false)).toBe(false);
  });
  it('is told from what only makes one think of work to do', () => {
    const { tokens, heard } = hear('it is too tall');
    expect(heard.questions.map(({ topic }) => topic)).toEqual(['prune']);
    expect(heard.asks([tokens.length - 1], false)).toBe(false);
  });
  const of = (text: string, ...named: number[]) => hear(text, named).heard.questions.map(({ topic, of }) => [topic, of]);
  it('ask of the plants they name whether these are poisonous', () => {
    expect(of('when do i prune the rose, and is the lily toxic', 5, 9)).toEqual([
      ['prune', undefined],
      ['poison', ['lily']],
    ]);
    expect(of('are lily and clivia toxic', 1, 3)).toEqual([['poison', ['lily', 'clivia']]]);
    expect(of('the cat chewed a leaf')).toEqual([['poison', undefined]]);
    expect(of('is the lily toxic? is the clivia toxic?', 2, 6)).toEqual([
      ['poison', ['lily']],
      ['poison', ['clivia']],
    ]);
  });
  it('ask the same of a plant named in little more than its name', () => {
    expect(of('is the lily toxic to cats, and what about the old clivia next to it', 2, 11)).toEqual([
      ['poison', ['lily']],
      ['poison', ['clivia']],
    ]);
    expect(of('is the lily toxic? and the clivia?', 2, 6)).toEqual([
      ['poison', ['lily']],
      ['poison', ['clivia']],
    ]);
    // nothing was asked of poison before, and no plant is named soon
    expect(of('when do i prune the rose, what about the lily', 5, 9)).toEqual([['prune', undefined]]);
    expect(of('is the lily toxic, what about spots and holes on the clivia', 2, 11)).toEqual([['poison', ['lily']]]);
  });
  it('tell the plant that is cut from its flowers', () => {
    const itself = (text: string) => hear(text).heard.questions.map((one) => one.itself);
    expect(itself('when do i cut my lavender')).toEqual([true]);
    expect(itself('do i cut the dead heads off')).toEqual([undefined]);
  });
});
