import { describe, expect, it } from '@jest/globals';
import type { Edition } from '../edition/edition.ts';
import { untold } from '../testing/untold.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { ACT_OF_ACTION, ACTIONS, PracticeDesk, type PracticeCall } from './practiceCall.ts';
import { Consultant } from './consult.ts';
import { interview } from './interview.ts';

const MOST = 8;
const call = (extra: Partial<PracticeCall>): PracticeCall => ({
  opening: 'white powder on my beans',
  host: 'bean',
  date: '2026-06-14',
  climate: 'temperate-maritime',
  hemisphere: 'N',
  facts: [],
  cause: 'mildew',
  also: [],
  action: null,
  ...extra,
});
const desk = new PracticeDesk(smallEdition, MOST);

describe('a practice call', () => {
  it('is played from the opening to the rank of the right cause', () =>
    expect(desk.play(call({}))).toMatchObject({
      host: 'bean',
      expected: ['mildew'],
      rankAfterOpening: 1,
      rankAfterAll: 1,
      first: { cause: 'mildew' },
    }));
  it('finds its host in the words when none is named', () => expect(desk.play(call({ host: null })).host).toBe('bean'));
  it('finds it in what is told later, too', () => {
    const facts = [{ ask: 'Which plant?', say: 'it is an oak' }];
    expect(desk.play(call({ host: null, opening: 'white powder', facts })).host).toBe('oak');
  });
  it('ranks a cause that cannot befall the plant as none', () =>
    expect(desk.play(call({ host: 'oak', opening: 'white powder on the oak', cause: 'beetle' })).rankAfterAll).toBeNull());
  it('expects nothing of a cause it does not know', () => expect(desk.play(call({ cause: 'moon blight' })).expected).toEqual([]));

  it('answers what the engine asks from the fact that speaks of it, and feeds the rest at the end', () => {
    const told = desk.play(call({ opening: 'something is wrong with my beans', facts: [{ ask: 'Is there a coating?', say: 'white powder' }] }));
    expect(told.answered).toBe(1);
    expect(told.questions).toBeGreaterThanOrEqual(1);
    expect(told.rankAfterQuestions).toBe(1);
    const untold = desk.play(call({ opening: 'something is wrong with my beans' }));
    expect(untold.answered).toBe(0);
  });
  it('asks no more than it may', () =>
    expect(new PracticeDesk(smallEdition, 1).play(call({ opening: 'my beans' })).questions).toBeLessThanOrEqual(1));
  it('lets a caller who says too little be asked, and one who said enough go', () => {
    const asked = (opening: string) => desk.play(call({ opening })).questions;
    expect(asked('my beans')).toBeGreaterThan(asked('white powder on my beans, no holes'));
  });
});

describe('the advice of a practice call', () => {
  it.each(ACTIONS.filter((action) => action !== 'care'))('has a rung for %s', (action) => expect(ACT_OF_ACTION[action]).toBeTruthy());
  it('agrees when the rung is the expected one, and is not judged without one', () => {
    expect(desk.play(call({ action: 'none' })).actionAgrees).toBe(true);
    expect(desk.play(call({ action: 'spray' })).actionAgrees).toBe(false);
    expect(desk.play(call({ action: null })).actionAgrees).toBeNull();
  });
  it('of care is right when the plant’s card answered', () => {
    const care: Edition = { ...smallEdition, careTopics: [{ id: 'prune', name: 'Pruning', verbs: ['prune'], words: ['when prune'] }] };
    const play = (opening: string) => new PracticeDesk(care, MOST).play(call({ opening, cause: null, action: 'care' }));
    expect(play('when do I prune my beans')).toMatchObject({ actionAgrees: true, questions: 0 });
    expect(play('white powder on my beans').actionAgrees).toBe(false);
  });
  it('of care is right, too, when the cause is answered by how the plant is kept', () => {
    const kept: Edition = {
      ...smallEdition,
      causes: smallEdition.causes.map((cause) => ({ ...cause, options: cause.options.map((option) => ({ ...option, act: 'culture' as const })) })),
    };
    const agrees = (edition: Edition) => new PracticeDesk(edition, MOST).play(call({ action: 'care' })).actionAgrees;
    expect([agrees(kept), agrees(smallEdition)]).toEqual([true, false]);
  });
});

describe('an interview', () => {
  const consultant = new Consultant(smallEdition);
  it('never asks the same twice, though nobody can say', () => {
    const { asked } = interview(consultant, untold, { answer: () => null }, 20);
    expect(new Set(asked.map(({ finding }) => finding)).size).toBe(asked.length);
  });
  it('keeps what it could not learn apart from what it learned', () => {
    const { input, asked } = interview(
      consultant,
      untold,
      { answer: (finding) => (finding === 'coating' ? [{ finding, answer: 'white', channel: 'caller-looked' }] : null) },
      20,
    );
    expect(input.readings).toEqual([{ finding: 'coating', answer: 'white', channel: 'caller-looked' }]);
    expect(input.unanswered).toEqual(asked.filter(({ readings }) => readings === null).map(({ finding }) => finding));
  });
  it('asks nothing when it may not', () => expect(interview(consultant, untold, { answer: () => null }, 0).asked).toEqual([]));
});
