import { describe, expect, it } from '@jest/globals';
import type { Cause } from '../edition/causes.ts';
import type { Edition } from '../edition/edition.ts';
import type { Act } from '../edition/options.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import type { CareAnswer } from './careAnswers.ts';
import { causeNamed, isInTheAdvice, withTheCause } from './causeAnswers.ts';
import type { Standing } from './consult.ts';
import { spreadLine } from './spread.ts';

const rose = smallEdition.plants[0]!;
const cause: Cause = { ...smallEdition.causes[0]!, id: 'spots', name: 'Spots', kind: 'fungus', worth: 'It mends by itself.' };
const edition: Edition = { ...smallEdition, causes: [cause] };
const option = { ...cause.options[0]!, id: 'pick', title: 'Pick it off', how: 'Every leaf, into the bin.' };

const standing = (firm: boolean, chosen: string | null, act: Act = 'physical'): Standing =>
  ({
    candidates: [{ cause: 'spots' }],
    decision: { act: 'leave', why: 'Leave it.', option: chosen, noteFor: null, firm },
    options: [{ option: { ...option, act }, timing: { state: 'open', to: '2026-09-30' } }],
  }) as unknown as Standing;

const card: CareAnswer = { topic: 'prune', plant: 'Rose', answer: 'Late winter.' };
const inGeneral: CareAnswer = { topic: 'spread', plant: 'plants in general', answer: 'What lives can.' };
const asked = (...topics: string[]) => topics.map((topic) => ({ topic, from: topic }));
const told = (answers: CareAnswer[], topics: string[], at: Standing | null = standing(true, 'pick')) =>
  withTheCause(answers, asked(...topics), edition, at, rose).map(({ plant, answer }) => `${plant}: ${answer}`);

describe('what is asked about the trouble itself', () => {
  it('waits for a cause the advice can stand on; what holds in general does not', () => {
    expect(causeNamed(edition, standing(false, null))).toBeNull();
    for (const at of [null, standing(false, null)])
      expect(withTheCause([card, inGeneral], asked('prune', 'spread', 'remedy', 'outlook'), edition, at, rose)).toEqual([card, inGeneral]);
  });
  it('is answered by the cause: how it spreads, in place of what holds in general', () =>
    expect(told([card, inGeneral], ['prune', 'spread'])).toEqual([`Spots: ${spreadLine(edition, cause, rose)}`, 'Rose: Late winter.']));
  it('is answered by what is advised and when: the option chosen, or why nothing is done', () => {
    expect(told([], ['remedy'])).toEqual(['Spots: Pick it off (now, until about 30 September 2026): Every leaf, into the bin.']);
    expect(told([], ['remedy'], standing(true, null))).toEqual(['Spots: Leave it.']);
  });
  it('has no time where it is left alone', () =>
    expect(told([], ['remedy'], standing(true, 'pick', 'leave'))).toEqual(['Spots: Pick it off: Every leaf, into the bin.']));
  it('is answered once, however often it is asked', () => expect(told([], ['outlook', 'outlook'])).toEqual(['Spots: It mends by itself.']));
  it('puts what may as well be meant for the trouble behind the advice on it', () => {
    const harvest: CareAnswer = { topic: 'harvest', plant: 'Rose', answer: 'Hips in autumn.', orCause: true };
    expect(told([harvest, card], ['harvest', 'remedy', 'prune'])).toEqual([
      'Spots: Pick it off (now, until about 30 September 2026): Every leaf, into the bin.',
      'Rose: Late winter.',
    ]);
    expect(told([harvest], ['harvest', 'remedy'], standing(false, null))).toEqual(['Rose: Hips in autumn.']);
  });
  it('comes after what cannot wait', () => {
    const eaten: CareAnswer = { topic: 'poison', plant: 'Rose', answer: 'Ring the poison centre.', urgent: true };
    expect(told([card, eaten], ['outlook'])).toEqual(['Rose: Ring the poison centre.', 'Spots: It mends by itself.', 'Rose: Late winter.']);
  });
  it('is left out of a letter that gives the advice, but for whether it spreads', () =>
    expect(['outlook', 'remedy', 'spread', 'prune'].map((topic) => isInTheAdvice({ topic, plant: '', answer: '' }))).toEqual([
      true,
      true,
      false,
      false,
    ]));
});
