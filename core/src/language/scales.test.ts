import { describe, expect, it } from '@jest/globals';
import type { Edition } from '../edition/edition.ts';
import type { Finding } from '../edition/findings.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { phSaid, Scales } from './scales.ts';
import { tokenise } from './tokens.ts';
import { Understander } from './understand.ts';

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
  const age = scaled('age', { of: 'age', asked: ['how old', 'how long had|have -problem'] }, [
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
  it('takes an age that is told unasked, and not the time of anything else', () => {
    expect(scales.told('I planted it six years ago')).toEqual([{ finding: 'age', answer: 'old', from: 'planted it six years ago' }]);
    expect(scales.told('it has been dying for three years')).toEqual([]);
  });
  const read = (ask: string, say: string) =>
    new Understander(edition).understand([{ ask, say }]).readings.map(({ finding, answer }) => `${finding}=${answer}`);
  it('keeps the time a plant has stood from being how fast its trouble came', () => {
    expect(read('How old is it?', 'about two months')).toEqual(['age=new']);
    expect(read('Since when?', 'about two months')).toEqual(['pace=weeks']);
    expect(read('What is it?', 'I planted it two months ago')).toEqual(['age=new']);
  });
  it('keeps the time of what befell a plant from being that of its trouble, where nobody asks for it', () => {
    expect(read('Was there frost?', 'yes, frost for months')).toEqual(['frost=yes']);
    expect(read('When did you notice?', 'frost, two months ago')).toEqual(expect.arrayContaining(['frost=yes', 'pace=weeks']));
  });
});
