import { describe, expect, it } from '@jest/globals';
import { toCause, type Shared } from './causes.ts';
import type { Complaint, Placed } from './read.ts';
import { causeRow, formRow, sharedOptionRow, type CauseRow } from './schema.ts';

const pickOff = sharedOptionRow.parse({
  id: 'pick-off',
  act: 'physical',
  title: 'Pick it off',
  how: 'Take struck leaves off.',
  effect: 'fair',
  mark: 'common-practice',
});
const shared: Shared = {
  actives: new Map(),
  options: new Map([['pick-off', pickOff]]),
  windows: new Map(),
  heard: new Map(),
  telling: (words) => words,
};
const form = formRow.parse({
  id: 'leaf-spot',
  kind: 'fungus',
  mark: 'memory',
  options: ['pick-off'],
  prefer: 'pick-off',
  'leave-when': 'Late in the season.',
  worth: 'Only looks.',
});
const smut = (more: object): Placed<CauseRow> => ({
  ...causeRow.parse({
    id: 'smut',
    form: 'leaf-spot',
    name: 'Smut',
    common: 'common',
    story: 'Silver boils swell on the cob and burst into black dust.',
    hosts: 'plant sweetcorn 1',
    months: '6-9',
    reply: 'It is smut.',
    ...more,
  }),
  place: { file: 'causes/x.yaml', line: 1 },
});
const compiled = (more: object) => {
  const complaints: Complaint[] = [];
  return { cause: toCause(smut(more), new Map([['leaf-spot', form]]), shared, complaints), said: complaints.map(({ text }) => text) };
};

describe('what a cause is answered with', () => {
  it('is what its form says where it says nothing itself', () =>
    expect(compiled({}).cause?.options).toMatchObject([
      { id: 'pick-off', how: 'Take struck leaves off.', preferred: true, mark: 'common-practice' },
    ]));
  it('is carried out its own way where it says how, on its own ground', () => {
    const { cause, said } = compiled({ how: { 'pick-off': 'Cut the boils off before they burst.' } });
    expect(cause?.options).toMatchObject([
      { id: 'pick-off', title: 'Pick it off', how: 'Cut the boils off before they burst.', preferred: true, mark: 'memory' },
    ]);
    expect(said).toEqual([]);
  });
  it('wants the option it says how to carry out', () =>
    expect(compiled({ how: { 'water-jet': 'A hard jet from below, three mornings.' } }).said).toEqual(['smut: how: it has no option "water-jet"']));
});
