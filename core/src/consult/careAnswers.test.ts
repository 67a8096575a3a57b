import { describe, expect, it } from '@jest/globals';
import type { CareTask } from '../edition/care.ts';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { WHOLE_CARD } from '../language/careQuestions.ts';
import { careAnswers, careDates } from './careAnswers.ts';

const edition: Edition = {
  ...smallEdition,
  careTopics: [
    { id: 'prune', name: 'Pruning', general: 'By flower.', words: ['x'] },
    { id: 'cut-back', name: 'Cutting down', words: ['x'] },
    { id: 'soil-test', name: 'Soil test', general: 'Order iron by name.', words: ['x'] },
    { id: 'poison', name: 'Poisonous or safe', general: 'Ask by the scientific name.', words: ['x'] },
    { id: 'eat', name: 'Safe to eat', general: 'Cut spots out.', words: ['x'] },
  ],
};
const plant: Plant = { ...smallEdition.plants[0]!, name: 'Rose', care: { prune: 'Late winter.', 'cut-back': 'To a leaf.' } };
const asked = (...topics: string[]) => topics.map((topic) => ({ topic, from: '' }));
const answers = (of: Plant | null, ...topics: string[]) => careAnswers(edition, of, asked(...topics)).map((a) => [a.topic, a.answer]);

describe('answers to questions of care', () => {
  it('come from the plant’s card, with what is kin to them', () =>
    expect(answers(plant, 'cut-back')).toEqual([
      ['cut-back', 'To a leaf.'],
      ['prune', 'Late winter.'],
    ]));
  it('say nothing twice', () => expect(answers(plant, 'cut-back', 'prune').map(([topic]) => topic)).toEqual(['cut-back', 'prune']));
  it('hold for plants in general without a plant, or where its card is silent', () => {
    expect(answers(null, 'prune')).toEqual([['prune', 'By flower.']]);
    expect(answers(plant, 'soil-test')).toEqual([['soil-test', 'Order iron by name.']]);
  });
  it('are none where nobody knows', () => expect(answers(null, 'cut-back')).toEqual([]));
  it('come first and from both plants where somebody ate of one', () => {
    const other: Plant = { ...plant, id: 'other', name: 'Foxglove', poisonous: 'All of it.' };
    const eaten = [{ topic: 'poison', from: '', eaten: true as const, of: [other.id] }];
    const [own, named] = careAnswers({ ...edition, plants: [plant, other] }, plant, eaten);
    expect(own).toMatchObject({ plant: 'Rose', urgent: true, answer: expect.stringMatching(/^Ring the poison centre.*That we know no harm/) });
    expect(named).toMatchObject({ plant: 'Foxglove', urgent: true, answer: expect.stringMatching(/^Ring the poison centre.*All of it\.$/) });
  });
  it('name what is poisonous, and do not call a plant safe that says nothing', () => {
    const [[topic, answer]] = answers({ ...plant, poisonous: 'Sap.' }, 'poison') as [[string, string]];
    expect([topic, answer]).toEqual(['poison', expect.stringMatching(/^Sap\. If any was eaten or chewed, ring the poison centre.*its label/)]);
    expect(answer).not.toContain(plant.latin);
    expect(answers(plant, 'poison')).toEqual([['poison', 'Ask by the scientific name.']]);
  });
  it('name what is poisonous first to whoever asks what can be eaten', () => {
    const eaten = { ...plant, poisonous: 'Berries.' };
    expect(answers(eaten, 'eat')).toEqual([
      ['poison', 'Berries.'],
      ['eat', 'Cut spots out.'],
    ]);
    expect(answers(plant, 'eat')).toEqual([['eat', 'Cut spots out.']]);
  });
  it('are of pruning first where a woody plant itself is cut, and of mowing where a lawn is', () => {
    const keys = (groups: string[], care: Plant['care'], itself: boolean) =>
      careAnswers(edition, { ...plant, groups, care: { ...plant.care, ...care } }, [
        { topic: 'cut-back', from: '', ...(itself && { itself: true }) },
      ]).map(({ topic }) => topic);
    expect(keys(['shrub'], {}, true)).toEqual(['prune', 'cut-back']);
    expect(keys(['shrub'], {}, false)).toEqual(['cut-back', 'prune']);
    expect(keys(['herbaceous'], {}, true)).toEqual(['cut-back', 'prune']);
    expect(keys(['turf'], { mow: 'A third at most.' }, false)[0]).toBe('mow');
  });
  it('come from the card of the plant that a question names', () => {
    const lily: Plant = { ...plant, id: 'lily', name: 'Lily', latin: 'Lilium', poisonous: 'Deadly to cats.' };
    const both = { ...edition, plants: [plant, lily] };
    const told = careAnswers(both, plant, [
      { topic: 'prune', from: '' },
      { topic: 'poison', from: '', of: ['lily'] },
    ]);
    expect(told.map((one) => [one.plant, one.topic])).toEqual([
      ['Rose', 'prune'],
      ['Lily', 'poison'],
    ]);
  });
  it('are the whole card for a question on no topic', () =>
    expect(answers(plant, WHOLE_CARD).map(([topic]) => topic)).toEqual(['prune', 'cut-back']));
});

describe('days of what is to be done', () => {
  const task = (id: string, include: CareTask['hosts']['include'], topic = 'prune'): CareTask => ({
    id,
    topic,
    name: id,
    how: 'So.',
    hosts: { include, exclude: [] },
    window: { id, name: id, mark: 'memory', calendar: { default: { from: '07-15', to: '08-31' } } },
  });
  const context = { date: '2026-06-14', climate: null, hemisphere: 'N' as const, weather: null };
  const shrub: Plant = { ...plant, id: 'rose', genus: 'Rosa', groups: ['shrub'] };
  const sort = task('shrubs', [{ group: 'shrub', weight: 1 }]);
  it('are those of the topics that were answered', () => {
    const tasks = [sort, task('mulch', [{ any: true, weight: 1 }], 'mulch')];
    expect(careDates({ ...edition, careTasks: tasks }, shrub, ['prune'], context)).toEqual([
      expect.objectContaining({ name: 'shrubs', timing: expect.objectContaining({ state: 'not-yet', from: '2026-07-15', to: '2026-08-31' }) }),
    ]);
  });
  it('go by what is written for the plant itself before what is written for its sort', () => {
    const own = task('roses', [{ genus: 'Rosa', weight: 1 }]);
    expect(careDates({ ...edition, careTasks: [sort, own] }, shrub, ['prune'], context).map(({ name }) => name)).toEqual(['roses']);
  });
  it('turn round with the half of the world', () =>
    expect(careDates({ ...edition, careTasks: [sort] }, shrub, ['prune'], { ...context, hemisphere: 'S' })[0]!.timing).toMatchObject({
      state: 'closed',
      nextFrom: '2027-01-15',
    }));
});
