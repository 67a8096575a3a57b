import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { Understander } from './understand.ts';

const reader = new Understander(smallEdition);
const pairs = (text: string) => reader.understand([text]).readings.map((r) => `${r.finding}=${r.answer}`);

describe('what is only supposed', () => {
  it.each([
    'I would have to check for holes',
    'I will go and look for holes tonight',
    'let me see if there are holes',
    'and look for holes',
    'I was half expecting powder',
    'if there were holes I would have seen them',
    'would there be holes?',
    'the leaflet says to look for powder',
    'I read that powder comes with rain',
    'it is more a shine than a powder',
  ])('is not told: %s', (text) => expect(pairs(text)).toEqual([]));

  it.each([
    ['I looked for holes and found dozens of holes', ['holes=some']],
    ['I looked for holes but found none', ['holes=none']],
    ['I looked closely: holes', ['holes=some']],
    ['they look for all the world like flour', ['coating=white']],
    ['rather than powder there are holes', ['holes=some']],
    ['the leaf has holes and would there be powder?', ['holes=some']],
    ['there are holes and I checked for powder', ['holes=some']],
    ['it has holes and check for powder', ['holes=some']],
    ['the book says to water it, I do and it has holes', ['holes=some']],
    ['there are more holes than last year', ['holes=some']],
  ])('ends where something is told: %s', (text, told) => expect(pairs(text)).toEqual(told));
});

describe('what is said of another’s plant', () => {
  it.each([
    ["my neighbour's bean has powder, mine has holes", ['holes=some']],
    ["my sister's bean had powder and now mine has holes", ['holes=some']],
    ["mine has holes, next door's has powder", ['holes=some']],
    ["my neighbour's bean has powder, mine too", ['coating=white']],
    ["my neighbour's bean has powder", ['coating=white']],
    ['my sister has one and hers is fine for all its powder', []],
    ['hers has powder', ['coating=white']],
  ])('counts unless their own is set against it: %s', (text, told) => expect(pairs(text)).toEqual(told));
});

describe('animals of the caller’s own', () => {
  const { findings } = smallEdition;
  const withBees = {
    ...smallEdition,
    findings: findings.map((f) =>
      f.id === 'holes' ? { ...f, answers: f.answers.map((a) => (a.id === 'some' ? { ...a, words: [...a.words, 'bees'] } : a)) } : f,
    ),
  };
  const read = (text: string) => new Understander(withBees).understand([text]).readings.map((r) => `${r.finding}=${r.answer}`);
  it.each(['I would not spray, we have bees', 'we keep a few bees and hens', 'I keep bees'])('are not on the plant: %s', (text) =>
    expect(read(text)).toEqual([]),
  );
  it.each(['we have bees in the leaves', 'the leaves have bees'])('unlike: %s', (text) => expect(read(text)).toEqual(['holes=some']));
});

describe('what was so at another time', () => {
  it.each([
    ['last year the leaf had holes, this year no holes', ['holes=none']],
    ['no holes now, last year the leaf had holes', ['holes=none']],
    ['last year the leaf had holes', ['holes=some']],
  ])('gives way to what is so now: %s', (text, told) => expect(pairs(text)).toEqual(told));
});
