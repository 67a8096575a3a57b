import { describe, expect, it } from '@jest/globals';
import type { Edition, Finding } from '../edition/edition.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { NUMBER, numberSaid } from './numbers.ts';
import { daysSaid, everyDaysSaid, phSaid, Scales } from './scales.ts';
import { tokenise } from './tokens.ts';
import { Understander } from './understand.ts';

describe('numbers as they are said', () => {
  it.each([
    ['7', 7],
    ['7.5', 7.5],
    ['7,5', 7.5],
    ['a', 1],
    ['Twenty', 20],
    ['thirty-five', 35],
    ['a hundred and five', 105],
    ['eleven', 11],
    ['half', 0.5],
  ])('takes "%s" for %d', (text, value) => expect(numberSaid(text)).toBe(value));
  it('is not a number for another word, and finds none within a word', () => {
    expect(numberSaid('some')).toBeNaN();
    expect(new RegExp(`^${NUMBER}$`, 'i').test('phone')).toBe(false);
  });
});

describe('stretches of time', () => {
  it.each([
    ['three days ago', 3],
    ['about two weeks', 14],
    ['a fortnight', 14],
    ['a couple of months now', 60.8],
    ['two summers', 730],
    ['must be twenty years', 7300],
    ['twenty five years', 9125],
    ['half a year', 182.5],
    ['half an hour', 1 / 48],
    ['six good weeks', 42],
    ['two or three days', 2],
    ['several weeks', 35],
    ['an hour', 1 / 24],
    ['for ages', null],
  ])('"%s" is %s days', (say, days) => (days === null ? expect(daysSaid(say)).toBeNull() : expect(daysSaid(say)).toBeCloseTo(days, 6)));
  it.each([
    ['every day', 1],
    ['every other day', 2],
    ['every third week', 21],
    ['every ten days', 10],
    ['each morning', 1],
    ['once a week', 7],
    ['twice a week', 3.5],
    ['three times a day', 1 / 3],
    ['once in a fortnight', 14],
    ['fortnightly', 14],
    ['daily', 1],
    ['when I remember', null],
  ])('"%s" is once in %s days', (say, days) =>
    days === null ? expect(everyDaysSaid(say)).toBeNull() : expect(everyDaysSaid(say)).toBeCloseTo(days, 6),
  );
});

describe('a pH', () => {
  it.each([
    ['the pH is 7.8', false, 7.8],
    ['pH of about 6', false, 6],
    ['P.H. five', false, 5],
    ['seven point four', true, 7.4],
    ['six and a half', true, 6.5],
    ['7.2', true, 7.2],
    ['7.2', false, null],
    ['pH 12', false, null],
    ['no idea', true, null],
  ])('of "%s" (asked for: %s) is %s', (say, named, value) => expect(phSaid(say, named)).toBe(value));
});

describe('a finding with a scale', () => {
  const scaled = (id: string, scale: Finding['scale'], answers: [id: string, upTo?: number][]): Finding => ({
    id,
    name: id,
    organ: 'surroundings',
    kind: 'history',
    ask: `what about ${id}?`,
    answers: answers.map(([answer, upTo]) => ({ id: answer, say: answer, words: [], background: 1 / answers.length, ...(upTo ? { upTo } : {}) })),
    phoneSeconds: 5,
    tableSeconds: 5,
    ...(scale ? { scale } : {}),
  });
  const age = scaled('age', { of: 'days', asked: ['how old', 'how long had|have -problem'] }, [
    ['new', 270],
    ['young', 1200],
    ['old', 99_999],
  ]);
  const pace = scaled('pace', { of: 'days', asked: ['when start*|notice*', 'how long problem'] }, [['days', 16], ['weeks', 300], ['every-year']]);
  const lime = scaled('lime', { of: 'ph', asked: ['ph'] }, [
    ['acid', 6.4],
    ['neutral', 7.2],
    ['limy', 10],
  ]);
  const water = scaled('water', { of: 'every-days', asked: ['how often water*'] }, [
    ['often', 1.3],
    ['steady', 8],
    ['hardly', 99_999],
  ]);
  const slow: Finding = { ...pace, kind: 'pattern', answers: pace.answers.map((a) => (a.id === 'weeks' ? { ...a, words: ['months|weeks'] } : a)) };
  const befallen = smallEdition.findings.map((one): Finding => (one.id === 'frost' ? { ...one, kind: 'history' } : one));
  const edition: Edition = { ...smallEdition, findings: [...befallen, age, slow, lime, water] };
  const scales = new Scales(edition, ({ word }) => ['have', 'you', 'had', 'this'].includes(word));
  const answered = (ask: string, say: string) => scales.answered(tokenise(ask, {}), say).map(({ finding, answer }) => `${finding}=${answer}`);
  it.each([
    ['how old is it?', 'two months', 'age=new'],
    ['How long have you had it?', 'two summers', 'age=young'],
    ['how old is the tree', 'thirty years', 'age=old'],
    ['when did it start?', 'ten days ago', 'pace=days'],
    ['how long have you had this problem?', 'two months', 'pace=weeks'],
    ['what is the pH?', 'six point four', 'lime=acid'],
    ['what is the pH?', '8', 'lime=limy'],
    ['how often do you water?', 'every other day', 'water=steady'],
    ['how often do you water?', 'once a month', 'water=hardly'],
  ])('places "%s – %s" at %s', (ask, say, reading) => expect(answered(ask, say)).toEqual([reading]));
  it('says nothing where no number is said, none is asked for, or the number is beyond its stretches', () => {
    expect(answered('how old is it?', 'no idea')).toEqual([]);
    expect(answered('is it sticky?', 'two years')).toEqual([]);
    expect(answered('when did it start?', 'five years ago')).toEqual([]);
  });
  it('takes a pH that is told unasked, and no bare number', () => {
    expect(scales.told('we had it tested: pH 8.1')).toEqual([{ finding: 'lime', answer: 'limy' }]);
    expect(scales.told('8 of them died')).toEqual([]);
  });
  const read = (ask: string, say: string) =>
    new Understander(edition).understand([{ ask, say }]).readings.map(({ finding, answer }) => `${finding}=${answer}`);
  it('keeps the time a plant has stood from being how fast its trouble came', () => {
    expect(read('How old is it?', 'about two months')).toEqual(['age=new']);
    expect(read('Since when?', 'about two months')).toEqual(['pace=weeks']);
  });
  it('keeps the time of what befell a plant from being that of its trouble, where nobody asks for it', () => {
    expect(read('Was there frost?', 'yes, frost for months')).toEqual(['frost=yes']);
    expect(read('When did you notice?', 'frost, two months ago')).toEqual(expect.arrayContaining(['frost=yes', 'pace=weeks']));
  });
});
