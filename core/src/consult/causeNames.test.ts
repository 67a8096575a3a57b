import { describe, expect, it } from '@jest/globals';
import type { Cause } from '../edition/edition.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { CauseNames } from './causeNames.ts';

const cause = (id: string, extra: Partial<Cause> = {}): Cause => ({ ...smallEdition.causes[0]!, id, name: id, also: [], ...extra });
const names = new CauseNames({
  ...smallEdition,
  causes: [
    cause('angular', { name: 'Angular leaf spot of cucumber', latin: 'Pseudomonas syringae' }),
    cause('rot', { name: 'Soft rot', latin: 'Pythium and Rhizoctonia', also: ['wet rot'] }),
    cause('galls', { name: 'Leaf galls and blisters', also: ['gall mites'] }),
    cause('twin', { name: 'Wet rot' }),
    cause('old', { name: 'Old leaves', kind: 'normal' }),
  ],
});

describe('a cause', () => {
  it.each([
    ['its name', 'Soft rot', ['rot']],
    ['its name without case, accents and points', 'SÓFT-rot!', ['rot']],
    ['what comes before its "of"', 'angular leaf spot', ['angular']],
    ['its id', 'angular', ['angular']],
    ['its scientific name', 'Pseudomonas syringae', ['angular']],
    ['either of two organisms', 'Rhizoctonia', ['rot']],
    ['a species of the genus it is listed by', 'Pythium ultimum', ['rot']],
    ['another name, one or many', 'gall mite', ['galls']],
    ['part of a joined name', 'leaf galls', ['galls']],
    ['a name it shares', 'wet rot', ['rot', 'twin']],
  ])('answers to %s', (_, name, ids) => expect(names.find([name])).toEqual(ids));
  it('does not answer to a single word out of its name, or to nothing', () => {
    expect(names.find(['angular leaf'])).toEqual([]);
    expect(names.find([''])).toEqual([]);
  });
  it('is named once by several of its names', () => expect(names.find(['soft rot', 'Pythium'])).toEqual(['rot']));
});

describe('on practice calls', () => {
  it('a whole name goes before one inside a longer name', () =>
    expect(names.forPractice(['soft rot after a wet spell', 'gall mites'])).toEqual(['galls']));
  it('a known name is found within a longer one', () => expect(names.forPractice(['soft rot after a wet spell'])).toEqual(['rot']));
  it('a genus comes last', () => expect(names.forPractice(['Rhizoctonia solani'])).toEqual(['rot']));
  it('what is only called normal may be any normal state', () => {
    expect(names.forPractice(['normal for the season'])).toEqual(['old']);
    expect(names.forPractice(['natural ageing'])).toEqual(['old']);
  });
  it('an unknown name is none', () => expect(names.forPractice(['moon blight'])).toEqual([]));
});
