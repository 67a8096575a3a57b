import { describe, expect, it } from '@jest/globals';
import type { Cause } from '../edition/causes.ts';
import type { Edition } from '../edition/edition.ts';
import type { HostWeight, Plant } from '../edition/plants.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { howItSpreads, spreadLine } from './spread.ts';

const plants: Plant[] = ['Rose', 'Quince', 'Apple', 'Pear', 'Medlar', 'Plum', 'Shrub'].map((name) => ({
  ...smallEdition.plants[0]!,
  id: name.toLowerCase(),
  name,
  ...(name === 'Shrub' && { generic: true }),
}));
const rose = plants[0]!;
const edition: Edition = { ...smallEdition, plants };
const on = (...hosts: [string, number][]): Cause['hosts'] => ({
  include: hosts.map(([plant, weight]): HostWeight => ({ plant, weight })),
  exclude: [],
});
const cause = (extra: Partial<Cause>): Cause => ({ ...smallEdition.causes[0]!, name: 'Spots', kind: 'fungus', hosts: on(['rose', 1]), ...extra });

describe('whether it spreads', () => {
  it('says how what lives gets about, and that nothing else is known to get it', () =>
    expect(spreadLine(edition, cause({}), rose)).toMatch(/^Yes, by spores in splash.* We know of no other kind of plant that gets it\.$/));
  it('names the other hosts, what it likes best first, and no card that stands for many plants', () => {
    const hosts = on(['rose', 1], ['quince', 0.4], ['apple', 1.2], ['shrub', 1]);
    expect(spreadLine(edition, cause({ kind: 'insect', hosts }), rose)).toMatch(
      /^Yes, as the insects fly.* It also takes apple and quince, and no other kind we know of\.$/,
    );
  });
  it('counts those it does not name', () => {
    const hosts = on(['rose', 1], ['quince', 0.5], ['apple', 0.9], ['pear', 0.8], ['medlar', 0.7], ['plum', 0.6]);
    expect(spreadLine(edition, cause({ hosts }), rose)).toContain('It also takes apple, pear, medlar, plum and 1 more we know of');
    expect(spreadLine(edition, cause({ hosts }), null)).toContain('It takes rose, apple, pear, medlar and 2 more we know of');
  });
  it('gives no list of what takes nearly everything', () => {
    const many = Array.from({ length: 50 }, (_, i) => ({ ...rose, id: `p${i}`, name: `P${i}` }));
    const any = { include: [{ any: true as const, weight: 1 }], exclude: [] };
    expect(spreadLine({ ...edition, plants: many }, cause({ hosts: any }), null)).toContain('It takes many kinds of plants.');
  });
  it.each([
    ['normal', 'No: there is nothing to catch.'],
    ['water', 'No: nothing passes from plant to plant.'],
    ['chemical', 'No: nothing passes from plant to plant.'],
    ['animal', 'It is no sickness.'],
    ['plant', 'It is a plant of its own'],
  ] as const)('of %s it says that nothing is caught', (kind, said) => expect(spreadLine(edition, cause({ kind }), rose).startsWith(said)).toBe(true));
  it('is told by an entry that knows better than its kind', () => {
    const known = cause({ kind: 'cultural', spreads: 'Where they touch.' });
    expect([howItSpreads(known), spreadLine(edition, known, rose)]).toEqual(['Where they touch.', 'Where they touch.']);
  });
});
