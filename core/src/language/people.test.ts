import { describe, expect, it } from '@jest/globals';
import { isPersonsName } from './people.ts';
import { tokenise } from './tokens.ts';

const isPerson = (said: string, name: string): boolean => {
  const tokens = tokenise(said, {});
  const at = tokens.findIndex(({ word }) => word === name);
  expect(at).toBeGreaterThanOrEqual(0);
  return isPersonsName(tokens, [at]);
};

describe("a plant's name is a person's", () => {
  it.each([
    ['My name is Rose Halm and the beans wilt', 'rose'],
    ["my name's Heather", 'heather'],
    ['Mrs Plum here, the beans wilt', 'plum'],
    ['Miss Hazel Birch rang', 'birch'],
    ["Hi, I'm Daisy and the lawn is full of moss", 'daisy'],
    ["It's Rosemary Fink speaking", 'rosemary'],
    ['Holly calling about the beans', 'holly'],
    ['my wife Rose says so', 'rose'],
    ['The beans wilt. Kind regards, Holly', 'holly'],
    ['The beans wilt. Many thanks Ivy Berg', 'ivy'],
  ])('in "%s"', (said, name) => expect(isPerson(said, name)).toBe(true));
  it.each([
    ['this is rosemary and it is going brown', 'rosemary'],
    ['the name is rose of sharon', 'rose'],
    ['I am rose growing for a show', 'rose'],
    ['they miss roses', 'roses'],
    ["my friend's roses have it too", 'roses'],
    ['my friend roses', 'roses'],
    ['thanks for the tip on beans, now the rose is ill and looks awful', 'rose'],
    ['the rose has spots', 'rose'],
  ])('but not in "%s"', (said, name) => expect(isPerson(said, name)).toBe(false));
});
