import { describe, expect, it } from '@jest/globals';
import type { Cause } from '../edition/causes.ts';
import type { Edition } from '../edition/edition.ts';
import type { Finding } from '../edition/findings.ts';
import type { Inspection } from '../edition/inspections.ts';
import type { Plant } from '../edition/plants.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { testsFor } from './tests.ts';

const test = (id: string, ...readings: [string, string][]): Inspection => ({
  id,
  name: id,
  settles: '',
  where: ['phone'],
  needs: '',
  cautions: [],
  steps: [{ say: 'look' }, { say: 'look again' }],
  results: readings.map(([finding, answer]) => ({ say: answer, means: '', readings: [{ finding, answer }] })),
  mark: 'memory',
});
// mildew shows white powder and a positive test, beetle shows holes, cold follows frost
const tests = [test('rub', ['coating', 'white'], ['coating', 'none']), test('beat', ['holes', 'some']), test('plate', ['test', 'positive'])];
const ids = (leader: string, asked: string | null = null, answered: string[] = []) =>
  testsFor(smallEdition, { tests, plant: null, candidates: [{ cause: leader, probability: 0.9 }], answered: new Set(answered), asked }).map(
    ({ id }) => id,
  );

describe('tests for a case', () => {
  it('are those that would show something of what is likely', () => {
    expect(ids('mildew')).toEqual(['rub', 'plate']);
    expect(ids('beetle')).toContain('beat');
    expect(ids('cold')).not.toContain('beat');
  });
  it('put the one first that settles the question asked', () => expect(ids('mildew', 'test')).toEqual(['plate', 'rub']));
  it('leave out what is known already', () => expect(ids('mildew', null, ['coating'])).toEqual(['plate']));
  it('are none while nothing is likely, or no tests are at hand', () => {
    expect(ids('unlisted')).toEqual([]);
    expect(
      testsFor(smallEdition, { tests: [], plant: null, candidates: [{ cause: 'mildew', probability: 1 }], answered: new Set(), asked: null }),
    ).toEqual([]);
  });
  it('are those for the plant on the table, where it is known', () => {
    const ofConifers = [{ ...tests[0]!, only: ['conifer'] }];
    const [oak] = smallEdition.plants as [Plant];
    const forPlant = (plant: Plant | null) =>
      testsFor(smallEdition, { tests: ofConifers, plant, candidates: [{ cause: 'mildew', probability: 1 }], answered: new Set(), asked: null })
        .length;
    expect(forPlant(oak)).toBe(0);
    expect(forPlant({ ...oak, groups: ['conifer'] })).toBe(1);
    expect(forPlant(null)).toBe(1);
  });
  it('weigh the causes by how likely they are', () => {
    const candidates = [
      { cause: 'beetle', probability: 0.8 },
      { cause: 'mildew', probability: 0.2 },
    ];
    expect(testsFor(smallEdition, { tests, plant: null, candidates, answered: new Set(), asked: null }).map(({ id }) => id)[0]).toBe('beat');
  });
  it('count by their likeliest result: one that shows each cause another thing does not add them up', () => {
    const both = [test('rub', ['coating', 'white']), test('either', ['coating', 'white'], ['holes', 'some'])];
    const candidates = [
      { cause: 'mildew', probability: 0.6 },
      { cause: 'beetle', probability: 0.4 },
    ];
    // both show the first as surely; added up, the second would stand before
    expect(testsFor(smallEdition, { tests: both, plant: null, candidates, answered: new Set(), asked: null }).map(({ id }) => id)).toEqual([
      'rub',
      'either',
    ]);
  });
  it('tell little by what is found under nearly every plant', () => {
    const moist: Finding = { ...smallEdition.findings[3]!, id: 'soil', answers: [{ id: 'moist', say: 'moist', words: [], background: 0.85 }] };
    const mildew = smallEdition.causes[0]!;
    const withSoil: Cause = { ...mildew, rates: [{ finding: 'soil', answers: { moist: 'always' }, mark: 'memory' }, ...mildew.rates] };
    const edition: Edition = { ...smallEdition, findings: [...smallEdition.findings, moist], causes: [withSoil] };
    const probe = test('probe', ['soil', 'moist']);
    const candidates = [{ cause: 'mildew', probability: 0.9 }];
    expect(testsFor(edition, { tests: [probe, ...tests], plant: null, candidates, answered: new Set(), asked: null }).map(({ id }) => id)).toEqual([
      'rub',
      'plate',
    ]);
  });
});
