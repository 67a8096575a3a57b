import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import type { Edition } from './edition.ts';
import { editionIn, monthsTurned } from './editionIn.ts';

describe('months in a text', () => {
  it.each([
    ['Wait until June, trim in early May.', 'Wait until December, trim in early November.'],
    ['From November until the middle of May', 'From May until the middle of November'],
    ['December, January', 'June, July'],
    ['the June drop, and May bugs', 'the June drop, and May bugs'],
    ['May be left alone.', 'May be left alone.'],
    ['it may rain in march', 'it may rain in march'],
  ])('%s', (north, south) => expect(monthsTurned(north)).toBe(south));
  it('come back when turned twice', () => {
    const all = 'January February March April May June July August September October November December';
    expect(monthsTurned(monthsTurned(all))).toBe(all);
  });
});

describe('an edition read in a hemisphere', () => {
  const [mildew, ...others] = smallEdition.causes;
  const edition: Edition = {
    ...smallEdition,
    plants: smallEdition.plants.map((plant, i) => (i === 0 ? { ...plant, care: { prune: 'In August.' } } : plant)),
    causes: [
      {
        ...mildew!,
        name: 'June mildew',
        replyLine: 'Pick it off in May.',
        windows: [
          { id: 'late', name: 'late April', calendar: { default: { from: '04-20', to: '04-30' } }, mark: 'memory', note: 'counted from 1 January' },
        ],
      },
      ...others,
    ],
  };

  it('is itself in the north', () => expect(editionIn(edition, 'N')).toBe(edition));
  it('names the months of the same season in the south, and turns no name, figure or source', () => {
    const south = editionIn(edition, 'S');
    expect(south.causes[0]).toMatchObject({
      name: 'June mildew',
      replyLine: 'Pick it off in November.',
      windows: [{ name: 'late October', calendar: { default: { from: '04-20', to: '04-30' } }, note: 'counted from 1 January' }],
    });
    expect(south.plants[0]!.care.prune).toBe('In February.');
    expect(south.version).toBe(edition.version);
  });
  it('is turned once, and back where it was', () => {
    const south = editionIn(edition, 'S');
    expect(editionIn(edition, 'S')).toBe(south);
    expect(editionIn(south, 'S')).toBe(south);
    expect(editionIn(south, 'N').causes).toEqual(edition.causes);
  });
});
