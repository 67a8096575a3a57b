import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import { deniesKnowing } from './granted.ts';
import { tokenise } from './tokens.ts';
import { Understander } from './understand.ts';

const reader = new Understander(smallEdition);
const pairs = (text: string) => reader.understand([text]).readings.map((r) => `${r.finding}=${r.answer}`);

describe('what is taken for granted', () => {
  it.each([
    ['I do not understand why it has powder', ['coating=white']],
    ['I cannot get rid of the powder', ['coating=white']],
    ['I have never seen such holes', ['holes=some']],
    ['never had so many holes', ['holes=some']],
    ['we never had holes like these', ['holes=some']],
    ['we have never had holes before', ['holes=some']],
    ['there is not one leaf without holes', ['holes=some']],
    ['hardly a leaf without holes', ['holes=some']],
    ['I did not notice the holes until today', ['holes=some']],
    ['I did not notice the holes, until today', ['holes=some']],
    ['is it not strange that it has holes?', ['holes=some']],
    ["don't you think that is powder?", ['coating=white']],
    ['is it normal that there is powder on the leaf?', ['coating=white']],
    ['my name is not important I have on my bean powder', ['coating=white']],
    ['are the holes harmful?', ['holes=some']],
    ['is it a problem if it has holes?', ['holes=some']],
    ['how do I keep the powder off my bean?', ['coating=white']],
  ])('is there: %s', (text, told) => expect(pairs(text)).toEqual(told));

  it.each([
    ['I have not seen any holes', ['holes=none']],
    ['I have not seen holes so far', ['holes=none']],
    ['I do not understand of any frost', ['frost=no']],
    ['without any powder', ['coating=none']],
    ['I do not think I have the powder', ['coating=none']],
    ['no holes, it gets sun until noon', ['holes=none']],
    ['the fence keeps powder off', ['coating=none']],
  ])('is still denied: %s', (text, told) => expect(pairs(text)).toEqual(told));

  it.each(['I do not know whether it has holes', 'no idea if that is powder', 'I cannot tell if there was frost'])('says nothing: %s', (text) =>
    expect(pairs(text)).toEqual([]),
  );
});

describe('what is not known', () => {
  it('ends with its breath', () => expect(pairs('I do not know whether there was frost, and there is powder')).toEqual(['coating=white']));
});

describe('where a denial goes on to something else', () => {
  it.each([
    ['there are holes, I did not see who made them', ['holes=some']],
    ['there was no frost the leaf has holes', ['frost=no', 'holes=some']],
    ['if I do not water the leaf has holes', ['holes=some']],
  ])('%s', (text, told) => expect(pairs(text)).toEqual(told));
});

describe('a "not" that is about the one who speaks', () => {
  it.each([
    ['I am not so sure, the fruit is brown', true],
    ['not at all convinced it is blight', true],
    ['it has not set, sure', false],
    ['not one fruit', false],
  ])('in "%s": %s', (text, is) => {
    const tokens = tokenise(text, {});
    expect(
      deniesKnowing(
        tokens,
        tokens.findIndex(({ word }) => word === 'not'),
      ),
    ).toBe(is);
  });
});
