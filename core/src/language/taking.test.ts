import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import type { Finding } from '../edition/findings.ts';
import type { Match } from './meaning.ts';
import { deniedOf, Taking, type Heard } from './taking.ts';
import { tokenise } from './tokens.ts';

const coating = smallEdition.findings.find(({ id }) => id === 'coating')!;
const hear = (text: string, change: Partial<Heard> = {}, aside: number[] = []) => {
  const tokens = tokenise(text, {});
  const heard: Heard = {
    tokens,
    named: new Map(),
    host: null,
    channel: 'caller',
    negatedBy: tokens.map(() => -1),
    doubted: tokens.map(() => false),
    former: tokens.map(() => false),
    negatorHeads: new Set(['no', 'never']),
    isPart: ({ word }) => word === 'leaves',
    colours: new Set(['white']),
    ...change,
  };
  return new Taking(heard, new Set(aside));
};
const seen = (finding: Finding, answer: string, at: number[], score = 1): Match => ({
  value: { kind: 'finding', finding, answer },
  at,
  beside: [],
  score,
  saying: false,
});
const named = (at: number[]): Match => ({ value: { kind: 'claim', causes: [smallEdition.causes[0]!] }, at, beside: [], score: 1, saying: false });

describe('taking', () => {
  it('keeps the words a reading was read from', () => {
    const taking = hear('some white powder there');
    taking.take(seen(coating, 'white', [1, 2]));
    expect(taking.readings).toEqual([{ finding: 'coating', answer: 'white', channel: 'caller', from: 'white powder', choices: [] }]);
    expect([...taking.covered]).toEqual([1, 2]);
  });
  it('reads a denied phrase as the absent answer, from the word that denies it', () => {
    const taking = hear('no white powder', { negatedBy: [-1, 0, 0] });
    taking.take(seen(coating, 'white', [1, 2]));
    expect(taking.readings).toMatchObject([{ answer: 'none', from: 'no white powder' }]);
  });
  it('reads a denied phrase as "not this" where a finding lists many unlike things', () => {
    const creatures: Finding = { ...coating, answers: 'none white b c d e f g'.split(' ').map((id) => ({ ...coating.answers[0]!, id })) };
    const taking = hear('no white powder but b', { negatedBy: [-1, 0, 0, -1, -1] });
    taking.take(seen(creatures, 'white', [1, 2]));
    expect(taking.readings).toMatchObject([{ answer: 'not:white' }]);
    taking.take(seen(creatures, 'none', [3], 0.6));
    expect(taking.readings).toMatchObject([{ answer: 'none', choices: [] }]);
    const other = hear('no white powder but b', { negatedBy: [-1, 0, 0, -1, -1] });
    other.take(seen(creatures, 'white', [1, 2]));
    other.take(seen(creatures, 'b', [4], 0.5));
    expect(other.readings).toMatchObject([{ answer: 'b', choices: [] }]);
    expect(deniedOf(creatures, 'not:none')).toBe('none');
  });
  it('takes what lies within a longer phrase only where that leaves it to others', () => {
    const other: Finding = { ...coating, id: 'other' };
    const within = (beside: number[]) => {
      const taking = hear('white sticky powder');
      taking.take({ ...seen(coating, 'white', [0, 1, 2]), beside });
      taking.take(seen(other, 'white', [1], 0.5));
      return taking.readings.map(({ finding }) => finding);
    };
    expect(within([])).toEqual(['coating']);
    expect(within([1])).toEqual(['coating', 'other']);
    expect(within([2])).toEqual(['coating']);
  });
  it('hears what is there within a phrase that says only that something is', () => {
    const taking = hear('white powder there');
    taking.take(seen(coating, 'not:none', [0, 1, 2]));
    taking.take(seen(coating, 'white', [0, 1], 0.5));
    expect(taking.readings).toMatchObject([{ answer: 'white', choices: [] }]);
  });
  it('gives up "there, of what kind is not said" for the kind, whichever comes first', () => {
    const vague = seen(coating, 'not:none', [1]);
    const kind = seen(coating, 'white', [2, 3]);
    for (const matches of [
      [vague, kind],
      [kind, vague],
    ]) {
      const taking = hear('a coating, white powder');
      matches.forEach((match) => taking.take(match));
      expect(taking.readings).toMatchObject([{ answer: 'white', from: 'white powder', choices: [] }]);
    }
  });
  it('keeps "nothing there" beside "something there" as a choice', () => {
    const taking = hear('nothing, a coating');
    taking.take(seen(coating, 'none', [0]));
    taking.take(seen(coating, 'not:none', [2]));
    expect(taking.readings).toMatchObject([{ answer: 'none', choices: ['not:none'] }]);
  });
  it('reads "no coating" as none there', () => {
    const taking = hear('no coating', { negatedBy: [-1, 0] });
    taking.take(seen(coating, 'not:none', [1]));
    expect(taking.readings).toMatchObject([{ answer: 'none' }]);
  });
  it('does not deny again what says no itself', () => {
    const taking = hear('never powder', { negatedBy: [-1, 0] });
    taking.take(seen(coating, 'white', [0, 1]));
    expect(taking.readings).toMatchObject([{ answer: 'white' }]);
  });
  it('makes no leaves brown where there are none, but what stops leaves from opening is there', () => {
    const none = hear('white no leaves', { negatedBy: [-1, -1, 1] });
    none.take(seen(coating, 'white', [0, 2]));
    expect(none.readings).toEqual([]);
    const there = hear('white not leaves', { negatedBy: [-1, -1, 1], negatorHeads: new Set() });
    there.take(seen(coating, 'white', [0, 2]));
    expect(there.readings).toMatchObject([{ answer: 'white' }]);
  });
  it('tells by which plant it says that there is nothing, of fruit alone', () => {
    const fruit: Finding = { ...coating, organ: 'fruit' };
    const [, bean] = smallEdition.plants;
    const taking = hear('beans fine', { named: new Map([[0, bean!]]) });
    taking.take(seen(fruit, 'none', [0, 1]));
    expect(taking.readings[0]!.sparing).toBe(bean);
    const leaf = hear('beans fine', { named: new Map([[0, bean!]]) });
    leaf.take(seen(coating, 'none', [0, 1]));
    expect(leaf.readings[0]!.sparing).toBeUndefined();
  });
  it('takes a doubted phrase as not sure', () => {
    const taking = hear('maybe powder', { doubted: [false, true] });
    taking.take(seen(coating, 'white', [1]));
    expect(taking.readings[0]!.channel).toBe('caller-unsure');
  });
  it('leaves a phrase whose words a longer one has used', () => {
    const taking = hear('white powder');
    taking.take(seen(coating, 'white', [0, 1], 2));
    taking.take(
      seen(
        smallEdition.findings.find(({ id }) => id === 'holes')!,
        'some',
        [0],
        1,
      ),
    );
    expect(taking.readings.map(({ finding }) => finding)).toEqual(['coating']);
  });
  it('means the more particular of two things said, and keeps the other as a choice', () => {
    const common: Finding = { ...coating, answers: coating.answers.map((a) => ({ ...a, background: a.id === 'none' ? 0.9 : 0.05 })) };
    const taking = hear('clean but white');
    taking.take(seen(common, 'none', [0]));
    taking.take(seen(common, 'white', [2]));
    expect(taking.readings).toMatchObject([{ answer: 'white', choices: ['none'], from: 'white' }]);
  });
  it('puts readings in the order they were spoken', () => {
    const taking = hear('holes and powder');
    taking.take(seen(coating, 'white', [2]));
    taking.take(
      seen(
        smallEdition.findings.find(({ id }) => id === 'holes')!,
        'some',
        [0],
      ),
    );
    expect(taking.readings.map(({ finding }) => finding)).toEqual(['holes', 'coating']);
  });
  it('keeps a name for the trouble once, never as a reading, and not when it is denied', () => {
    const taking = hear('mildew mildew');
    taking.take(named([0]));
    taking.take(named([1]));
    expect(taking.claims).toHaveLength(1);
    expect(taking.readings).toEqual([]);
    expect([...taking.aside]).toEqual([0, 1]);
    const denied = hear('no mildew', { negatedBy: [-1, 0] });
    denied.take(named([1]));
    expect(denied.claims).toEqual([]);
  });
});
