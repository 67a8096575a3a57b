import { describe, expect, it } from '@jest/globals';
import { label, use } from '@sounding/core/testing/labels.ts';
import type { z } from 'zod';
import { casePatch, entryBody, entryParams, questionPatch, readingBody, statementBody } from './api.ts';
import { caseInput, firstFault } from './caseInput.ts';
import { amountBody, labelBody, ruleBody } from './labels.ts';
import { practiceInput } from './practiceInput.ts';
import { houseLinesBody, lossTableBody, placeBody } from './settings.ts';
import { newStation, stationLayout } from './stations.ts';

const ID = '4f9d1c1e-3f0a-4a53-9a35-6f1f0a1b2c3d';
/** Faults of a value as "path: message", or none. */
const faults = (schema: z.ZodType, value: unknown): string[] => {
  const parsed = schema.safeParse(value);
  return parsed.success ? [] : parsed.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`);
};

describe('a case for the command line', () => {
  it('takes climate and hemisphere as practice calls write them, in anybody’s spelling', () =>
    expect(caseInput.parse({ words: [], climate: 'Highland Tropical', hemisphere: 'southern' })).toMatchObject({
      climate: 'tropical-highland',
      hemisphere: 'S',
    }));
  it.each([
    ['tropical', 'subtropical'],
    ['humid continental', 'continental'],
    ['Oceanic', 'temperate-maritime'],
    ['desert', 'arid'],
  ])('takes a %s climate for %s', (called, climate) => expect(caseInput.parse({ words: [], climate: called })).toMatchObject({ climate }));
  it('refuses a climate nobody knows', () => expect(faults(caseInput, { words: [], climate: 'lunar' })[0]).toMatch(/^climate: /));
  it('refuses what it does not know instead of passing over it', () => {
    const parsed = caseInput.safeParse({ words: [], wrods: [] });
    expect(parsed.success).toBe(false);
    expect(parsed.error && firstFault(parsed.error)).toBe('wrods: unknown field');
  });
  it('names a day that is none', () => expect(faults(caseInput, { words: [], date: '2026-02-30' })[0]).toMatch(/^date: /));
});

describe('a practice call', () => {
  it('needs an id and an opening only, and passes over what it does not know', () =>
    expect(practiceInput.parse({ id: 7, opening: 'white powder', mood: 'cross', facts: null, also: null })).toEqual({
      id: 7,
      opening: 'white powder',
      facts: [],
      also: [],
    }));
  it('knows the actions of the trade', () =>
    expect(faults(practiceInput, { id: 'a', opening: '', action: 'prayer' })[0]).toMatch(/^action: .*remove-plant/));
});

describe('what is written of a case', () => {
  it('is refused where a key is misspelt: a patch that changes nothing is no success', () => {
    expect(faults(casePatch, { followUp: '2026-06-14' })).toHaveLength(1);
    expect(faults(questionPatch, { host: 'rose' })).toHaveLength(1);
  });
  it('takes back a call-back day with null', () => expect(casePatch.parse({ followUpOn: null })).toEqual({ followUpOn: null }));
  it('holds the caller’s words unless it says whose', () => {
    expect(statementBody.parse({ id: ID, said: 'sticky leaves' })).toMatchObject({ by: 'caller', asked: null, readings: [] });
    expect(faults(statementBody, { id: ID, said: '' })).toEqual(['said: there is nothing said']);
  });
  it('keeps a reading with its channel', () =>
    expect(faults(readingBody, { id: ID, finding: 'coating', answer: 'white', channel: 'hearsay' })[0]).toMatch(/^channel: /));
});

describe('an entry of the library', () => {
  it.each(['Pear rust', 'pear_rust', '-pear', '../plants'])('has no id like %p', (id) =>
    expect(faults(entryParams, { kind: 'causes', id })).toEqual(['id: ids are lower-case words joined by hyphens']),
  );
  it('is not written empty', () => expect(faults(entryBody, { text: '' })).toEqual(['text: nothing was written']));
});

describe('a label', () => {
  it('that is whole is taken as it is', () => expect(labelBody.parse(label())).toEqual(label()));
  it.each<[string, Parameters<typeof label>[0], string]>([
    ['a signal word of another scheme', { signalWord: { scheme: 'EPA', word: 'Danger, bees' } }, 'signalWord: EPA knows '],
    ['an end before its beginning', { validUntil: '2020-01-01' }, 'validUntil: ends before it begins on 2024-01-01'],
    ['the same line twice', { uses: [use(), use()] }, 'uses.1.id: "ornamentals" stands there twice'],
    ['no line of use', { uses: [] }, 'uses: has no line of use'],
    ['no place', { jurisdictions: [] }, 'jurisdictions: names no place; * is everywhere'],
    ['no active ingredient', { actives: [] }, 'actives: names no active ingredient'],
    ['a use on nothing', { uses: [use({ crops: [] })] }, 'uses.0.crops: names no plant'],
    ['a rate of nought', { uses: [use({ rate: { value: '0', unit: 'ml' } })] }, 'uses.0.rate.value: must be a number above 0'],
    ['a rate in metres', { uses: [use({ rate: { value: '2', unit: 'm' } })] }, 'uses.0.rate: must be a volume or mass'],
    ['a rate by area for a volume', { uses: [use({ per: 'area' })] }, 'uses.0.of: the rate is by area: say for how much area'],
    ['a rate by plant for a volume', { uses: [use({ per: 'plant' })] }, 'uses.0.of: a rate by plant has no second amount'],
  ])('with %s is refused at its place', (_, extra, fault) => expect(faults(labelBody, label(extra)).some((f) => f.startsWith(fault))).toBe(true));
  it.each(['1e3', 'a cup', '-2', ''])('measures no %p', (value) => expect(faults(amountBody, { value, unit: 'ml' })).toHaveLength(1));
  it('is forbidden by a rule that says by whom and why', () =>
    expect(faults(ruleBody, { id: 'no-drench', jurisdiction: 'Lindwater', forbids: '', method: null, reason: '', asOf: '2026-01-01' })).toEqual([
      'forbids: is missing',
      'reason: is missing',
    ]));
});

describe('what the coordinator sets', () => {
  it('is a whole table of losses, each from 0 to 100', () => {
    expect(faults(lossTableBody, { wrongName: 101, advice: {} }).some((fault) => fault === 'wrongName: at most 100')).toBe(true);
    expect(faults(lossTableBody, { wrongName: -1, advice: {} }).some((fault) => fault === 'wrongName: at least 0')).toBe(true);
  });
  it('is one view of a school', () => expect(faults(houseLinesBody, { dust: 1.5 })).toHaveLength(1));
  it('is a desk with a name, somewhere', () => {
    expect(placeBody.parse({ name: ' Lindwater ', climate: 'arid', hemisphere: 'south' })).toEqual({
      name: 'Lindwater',
      climate: 'arid',
      hemisphere: 'S',
    });
    expect(faults(placeBody, { name: ' ', climate: 'arid', hemisphere: 'N' })).toEqual(['name: a desk needs a name']);
  });
});

describe('a station', () => {
  const station = { id: ID, name: 'Harbour', lat: 54.1, lon: 9.2, altitudeM: 3 };
  it('stands on this earth', () => {
    expect(faults(newStation, station)).toEqual([]);
    expect(faults(newStation, { ...station, lat: 91 })[0]).toMatch(/^lat: /);
    expect(faults(newStation, { ...station, altitudeM: 9000 })[0]).toMatch(/^altitudeM: /);
    expect(faults(newStation, { ...station, name: ' ' })).toEqual(['name: give the station a name']);
  });
  it('has a column of dates in its file', () =>
    expect(
      faults(stationLayout, {
        date: '',
        dateOrder: 'ymd',
        min: 'a',
        max: 'b',
        rain: '',
        wind: '',
        humidity: '',
        temperatureUnit: 'C',
        rainUnit: 'mm',
        windUnit: 'm/s',
      }),
    ).toContain('date: say which column is the date'));
});
