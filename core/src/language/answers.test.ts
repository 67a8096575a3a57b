import { describe, expect, it } from '@jest/globals';
import type { Finding } from '../edition/findings.ts';
import {
  asBeginning,
  channelOf,
  choiceTaken,
  deniedAsk,
  deniesAsAsked,
  meansAllAsked,
  presupposes,
  repliedTo,
  settledBy,
  withoutChoices,
} from './answers.ts';
import { answerIn, beyondYesOrNo, isAnswerWord, saysSound, saysYesOrNo } from './yesOrNo.ts';

const finding = (ids: string[], absent?: string): Finding => ({
  id: 'f',
  name: 'f',
  organ: 'leaf',
  kind: 'symptom',
  ask: 'f?',
  ...(absent === undefined ? {} : { absent }),
  answers: ids.map((id) => ({ id, say: id, background: 1 / ids.length, words: [] })),
  phoneSeconds: 5,
  tableSeconds: 5,
});

describe('what a question lets choose between', () => {
  const isPart = (word: string) => word === 'leaves';
  it.each([
    ['it in sun or shade', 'it in'],
    ['it old leaves or new', 'it old leaves'],
    ['the soil wet or dry', 'the soil'],
    ['the leaf curled', 'the leaf curled'],
    ['it dry or', 'it dry or'],
  ])('lends no words to an answer that takes up neither: %s', (ask, left) => expect(withoutChoices(ask, isPart)).toBe(left));
  it.each([
    ['both of them', true],
    ['the lower ones', false],
  ])('is meant as a whole by %s', (say, all) => expect(meansAllAsked(say)).toBe(all));
});

describe('where and with whom', () => {
  it.each([
    ['only at the tips', 'Any webs?', 'yes'],
    ['on the one next to it', 'Any webs?', 'other'],
    ['on the stems', 'Is it on the leaves?', 'other'],
    ['the neighbours have it too', 'Is it just this one?', 'no'],
    ["the neighbours' are fine too", 'Is it just this one?', 'other'],
    ['not a bud', 'Has it flowered?', 'no'],
    ['not a lot', 'Has it flowered?', 'other'],
  ])('%s', (say, ask, kind) => expect(answerIn(say, ask)).toBe(kind));
});

describe('what a plain yes or no says to a question of ours', () => {
  const came = { ...finding(['fine', 'not-up', 'eaten'], 'fine'), ask: 'Did they come up?', plain: { yes: 'fine', no: 'not-up' } };
  const back = { ...finding(['clean', 'down'], 'clean'), ask: 'Could you turn a leaf over?', plain: { yes: null, no: null } };
  const look = { ...finding(['sound', 'soft'], 'sound'), ask: 'What does the stem look like?' };
  it.each([
    [came, true, 'yes', 'fine'],
    [came, false, 'none', 'not-up'],
    [back, true, 'yes', null],
    [back, false, 'no', null],
    [back, false, 'nothing that I can see', 'clean'],
    [look, true, 'yes', null],
    [look, false, 'nothing', 'sound'],
  ])('%#', (asked, affirmed, say, answer) => expect(repliedTo(asked, affirmed, say)).toBe(answer));
});

describe('what is said of sound things', () => {
  it.each([
    'fine',
    "they're alright",
    'nothing wrong with them',
    'well, they look perfectly normal to me',
    'no problem there',
    "I can't see anything wrong",
  ])('%s', (say) => expect(saysSound(say)).toBe(true));
  it.each(['fine webs', 'good and wet', 'no', 'nothing', 'they look healthy but small', 'no problem spots', 'normal for a week'])(
    'is more than that: %s',
    (say) => expect(saysSound(say)).toBe(false),
  );
});

describe('what a question takes for granted', () => {
  it.each([
    ['Teeth marks?', 'small', true],
    ['Any webs?', 'fine ones, in the corners', true],
    ['the honeydew?', 'all over the car', true],
    ['Webs?', 'not yet', false],
    ['Webs?', 'more like dust', false],
    ['Webs?', 'used to have some', false],
    ['Webs?', ' ', false],
    ['What colour?', 'grey', false],
    ['Wet or dry?', 'soaking', false],
    ['Are they sticky?', 'the lower ones', false],
    ['Do you see fine webs between the leaves?', 'in the corners', false],
  ])('"%s" – "%s" is there: %s', (ask, say, there) => expect(presupposes(ask, say)).toBe(there));
});

describe('an answer', () => {
  it.each([
    ['yes, and the floor under it', 'yes'],
    ['Yeah', 'yes'],
    ['a bit, in the evening', 'yes'],
    ['now you mention it, yes', 'yes'],
    ['let me see – no', 'no'],
    ['it is wet, no rain though', 'other'],
    ['no', 'no'],
    ['No, they are dry', 'no'],
    ['not that I can see', 'no'],
    ['no webs', 'other'],
    ['orange', 'other'],
    ["I don't know, maybe", 'unknown'],
    ['cannot see', 'unknown'],
    ['too small to tell', 'unknown'],
    ["haven't looked", 'unknown'],
    ["can't remember", 'unknown'],
    ['yes and no', 'unknown'],
    ["I'd have to look", 'unknown'],
    ['definitely not', 'no'],
    ['oh, certainly not', 'no'],
    ['not as far as I know', 'no'],
    ['nothing of the sort', 'no'],
    ['oh yes', 'yes'],
    ['well, yes', 'yes'],
    ['of course', 'yes'],
    ['of course it has been dry', 'other'],
    ['definitely no black spots', 'other'],
    ['absolutely nothing', 'no'],
    ['I hope not', 'unknown'],
  ])('"%s" is %s', (say, kind) => expect(answerIn(say)).toBe(kind));
  it.each([
    ['does it wilt?', 'every day', 'yes'],
    ['Are there webs?', 'quite a lot', 'yes'],
    ['Is it sticky?', 'it is', 'yes'],
    ['any ants', "I don't think so", 'no'],
    ['black streaks on the stems?', 'not that I see', 'no'],
    ['any holes?', 'not that we notice', 'no'],
    ['Do you see insects?', "can't see any", 'no'],
    ['Has it been moved?', "it hasn't.", 'no'],
    ['Any frost?', 'last Tuesday', 'yes'],
    ['Hail?', 'Tuesday, like golf balls', 'yes'],
    ['Is the road salted?', 'all winter', 'yes'],
    ['How long?', 'all winter', 'other'],
    ['Does it flower?', 'never has', 'no'],
    ['Weedkiller used?', 'never touch it', 'no'],
    ['Do the leaves wilt?', 'only at midday', 'yes'],
    ['Are they sticky?', "I'd say so", 'yes'],
    ['Are they sticky?', 'most of them', 'yes'],
    ['Are there webs?', "haven't seen any", 'no'],
    ['Was there a frost?', "there wasn't", 'no'],
    ['Was there a frost?', 'I doubt it', 'no'],
    ['Has it been sprayed?', 'a few weeks ago', 'yes'],
    ['When was it sprayed?', 'a few weeks ago', 'other'],
    ['Any insects?', 'last year, but not now', 'other'],
    ['Is it sticky?', 'since I washed it with soap it has been dry', 'other'],
    ['How often do you water?', 'every day', 'other'],
    ['Is it wet or dry?', 'very', 'other'],
    ['Is it sticky?', 'some brown bumps', 'other'],
    ['any frost?', 'not this spring', 'no'],
    ['did you have a frost?', 'we did, the second week of May', 'yes'],
    ['do you see snails?', 'dozens after rain', 'yes'],
    ['have you seen whitefly?', 'a puff of them when I shake it', 'yes'],
    ['do you see aphids?', 'lots of ants', 'other'],
    ['is it worse?', 'a lot better', 'other'],
    ['have you fed it?', 'not for ages', 'no'],
    ['are the spots at the edge?', 'not in the middle', 'other'],
    ['how many snails?', 'dozens after rain', 'other'],
    ['did it flower?', 'it did not', 'no'],
    ['is it on one side only?', 'no the whole leaf', 'no'],
    ['any marks?', 'nope just tired', 'no'],
    ['any marks?', 'no marks', 'other'],
  ])('to "%s", "%s" is %s', (ask, say, kind) => expect(answerIn(say, ask)).toBe(kind));
  it('answers the question before it only with yes or no', () => {
    expect(saysYesOrNo('yes')).toBe(true);
    expect(saysYesOrNo('brown all over')).toBe(false);
  });
  it('may be doubted', () => {
    expect(channelOf('yes, I think')).toBe('caller-unsure');
    expect(channelOf('yes')).toBe('caller');
  });
  it('is told from the words that carry it', () => {
    expect(isAnswerWord('Nope')).toBe(true);
    expect(isAnswerWord('nodes')).toBe(false);
  });
  it('may say more than yes or no', () => {
    expect(beyondYesOrNo('no, brown and mushy')).toBe('brown and mushy');
    expect(beyondYesOrNo('Yes')).toBe('');
    expect(beyondYesOrNo('nodding heads')).toBe('nodding heads');
  });
  it.each([
    ['Any holes in the trunk?', 'no holes at all', true],
    ['Any holes in the trunk?', 'no hole', true],
    ['Are there webs?', 'there are no webs that I can see', true],
    ['Any holes in the trunk?', 'no galleries', false],
    ['Any holes in the trunk?', 'no holes in the leaves', false],
    ['Spots, webs, bugs?', 'no webs', false],
    ['Holes in the leaf or the stem?', 'no holes', false],
  ])('is denied in its own words: %s – %s', (ask, say, denied) => expect(deniesAsAsked(ask, say)).toBe(denied));
  it('ends what its question begins', () => {
    expect(asBeginning('When was it pruned?').trim()).toBe('it pruned');
    expect(asBeginning('What colour are the spots?').trim()).toBe('colour are the spots');
    expect(asBeginning('Are the roots white?').trim()).toBe('the roots white');
  });
  it.each([
    ['Are there any insects?', 'no insects'],
    ['Is there a ring round it?', 'no ring round it?'],
    ['Does it smell?', 'not it smell?'],
    ['Is the fruit small?', 'the fruit not small?'],
    ['Is the bottom of the fruit black?', 'the bottom of the fruit not black?'],
    ['Fruit notched?', 'Fruit not notched'],
    ['Do your apples split?', 'your apples not split?'],
  ])('denies what was asked for: %s', (ask, denied) =>
    expect(
      deniedAsk(ask, (word) => word === 'fruit')
        .trim()
        .replace(/ \?*$/, ''),
    ).toBe(denied.replace(/\?$/, '')),
  );
});

describe('what a bare yes or no settles', () => {
  it('is the answer of that name', () => expect(settledBy(finding(['yes', 'no']), false)).toBe('no'));
  it('is the absent answer for no', () => expect(settledBy(finding(['none', 'white'], 'none'), false)).toBe('none'));
  it('is the only thing there can be for yes, or that there is something', () => {
    expect(settledBy(finding(['none', 'white'], 'none'), true)).toBe('white');
    expect(settledBy(finding(['none', 'white', 'black'], 'none'), true)).toBe('not:none');
  });
  it('is nothing where the question was which of several', () => expect(settledBy(finding(['days', 'weeks']), true)).toBeNull());
});

describe('a choice', () => {
  it.each([
    ['Is the yellow between the veins or all over?', 'between', 'the yellow between the veins'],
    ['Is the yellow between the veins or all over?', 'all over', 'the yellow all over'],
    ['Are the spots on the upper or lower side?', 'the lower', 'the spots lower side'],
    ['Is the soil wet or dry?', 'dry as dust', 'the soil dry'],
    ['Old leaves or new leaves?', 'new', 'Old new leaves'],
    ['Is it the old leaves or the new ones?', 'mainly the old', 'the old leaves'],
    ['Is it the old leaves or the new ones?', 'the latter', 'the new ones'],
    ['Is it the old leaves or the new ones?', 'the first ones', 'the old leaves'],
  ])('"%s" – "%s" is "%s"', (ask, say, whole) => expect(choiceTaken(ask, say)[0]).toBe(whole));
  it.each([
    ['Is the soil wet or dry?', 'both'],
    ['What is on the soil: mould or a crust?', "we're on sand"],
    ['Is the soil wet or dry?', 'wet here and dry there'],
    ['Is it sticky?', 'very'],
    ['Are the spots brown or black?', 'the spots are orange'],
    ['Are the leaves yellow or brown?', 'leaves are black'],
    ['When you look closely, are the leaves yellow?', 'leaves are brown'],
    ['Is it the upper or lower leaves?', 'not the lower ones'],
    ['Is the soil wet or dry?', 'it was dry in spring but we had a lot of rain since then I believe'],
  ])('is not made in "%s" – "%s"', (ask, say) => expect(choiceTaken(ask, say)).toEqual([]));
});
