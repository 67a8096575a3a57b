import { describe, expect, it } from '@jest/globals';
import type { Cause } from '../edition/causes.ts';
import type { Plant } from '../edition/plants.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { CauseNames, spareNames } from './causeNames.ts';

const cause = (id: string, extra: Partial<Cause> = {}): Cause => ({ ...smallEdition.causes[0]!, id, name: id, also: [], ...extra });
const names = new CauseNames({
  ...smallEdition,
  causes: [
    cause('angular', { name: 'Angular leaf spot of cucumber', latin: 'Pseudomonas syringae' }),
    cause('rot', { name: 'Soft rot', latin: 'Pythium and Rhizoctonia', also: ['wet rot'] }),
    cause('galls', { name: 'Leaf galls and blisters', also: ['gall mites'] }),
    cause('twin', { name: 'Wet rot' }),
    cause('old', { name: 'Old leaves', kind: 'normal' }),
    cause('chill', { name: 'Too little chill', also: ['insufficient winter chilling'] }),
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
    ['its name the other way round', 'cucumber angular leaf spot', ['angular']],
    ['its words in other forms', 'rotting, soft', ['rot']],
  ])('answers to %s', (_, name, ids) => expect(names.find([name])).toEqual(ids));
  it('does not answer to a single word out of its name, or to nothing', () => {
    expect(names.find(['angular leaf'])).toEqual([]);
    expect(names.find([''])).toEqual([]);
  });
  it('is found on its plant by what the name says besides the plant', () => {
    const [one, other] = smallEdition.plants as [Plant, Plant];
    const found = new CauseNames({
      ...smallEdition,
      causes: [cause('rot', { name: 'Soft rot', hosts: { include: [{ plant: one.id, weight: 1 }], exclude: [] } })],
    });
    expect(found.find([`${one.name} rot`], one)).toEqual(['rot']);
    expect(found.find([`${one.name} rot`])).toEqual([]);
    expect(found.find([`${other.name} rot`], other)).toEqual([]);
  });
  it('is named once by several of its names', () => expect(names.find(['soft rot', 'Pythium'])).toEqual(['rot']));
});

describe('another name of a cause', () => {
  it.each([
    [['rotting of the soft kind', 'mush'], []],
    [
      ['rot, soft', 'Soft rots', 'mush'],
      ['rot, soft', 'Soft rots'],
    ],
    [['dark mush', 'mush of the dark', 'soft'], ['mush of the dark']],
    [['natural mush', 'normal mush'], ['normal mush']],
    [
      ['Pythium', 'pythiums'],
      ['Pythium', 'pythiums'],
    ],
  ])('of %p says no more than one before it: %p', (also, spare) =>
    expect(spareNames({ name: 'Soft rot', latin: 'Pythium', also }, {})).toEqual(spare),
  );
});

describe('on practice calls', () => {
  it('a whole name goes before one inside a longer name', () =>
    expect(names.forPractice(['soft rot after a wet spell', 'gall mites'])).toEqual(['galls']));
  it('a name may have its words in another order', () =>
    expect(names.forPractice(['galls of leaf and blister', 'wet rot'])).toEqual(['galls', 'rot', 'twin']));
  it('a known name is found within a longer one', () => expect(names.forPractice(['soft rot after a wet spell'])).toEqual(['rot']));
  it('a genus comes last', () => expect(names.forPractice(['Rhizoctonia solani'])).toEqual(['rot']));
  it('what is only called normal may be any normal state', () => {
    expect(names.forPractice(['normal for the season'])).toEqual(['old']);
    expect(names.forPractice(['natural ageing'])).toEqual(['old']);
    expect(names.forPractice(['Nothing wrong with it'])).toEqual(['old']);
    expect(names.forPractice(['brown shield, normal'])).toEqual(['old']);
  });
  it('what is called normal and by a name of something else may be either', () =>
    expect(names.forPractice(['normal', 'gall mites on the leaves'])).toEqual(['galls', 'old']));
  it('but not what is something else and only besides called normal', () => expect(names.forPractice(['gall mites', 'normal'])).toEqual(['galls']));
  it('what is called normal and by name is that', () => expect(names.forPractice(['old leaves', 'normal'])).toEqual(['old']));
  it('a name in other forms of the same words is found at last', () => {
    expect(names.forPractice(['insufficient winter chill'])).toEqual(['chill']);
    expect(names.forPractice(['too little chilling'])).toEqual(['chill']);
  });
  it('less likeness is enough for what can befall the plant of the call', () => {
    const [first, second] = smallEdition.plants;
    const of = (plant: typeof first) => ({ include: [{ plant: plant!.id, weight: 1 }], exclude: [] });
    const named = new CauseNames({
      ...smallEdition,
      causes: ['mole run', 'vole', 'woodlice', 'slugs', 'rust'].map((id) => cause(id, { hosts: of(id === 'mole run' ? first : second) })),
    });
    expect(named.forPractice(['mole heaps, run'], first)).toEqual(['mole run']);
    expect(named.forPractice(['mole heaps, run'], second)).toEqual([]);
    expect(named.forPractice(['mole heaps, run'])).toEqual([]);
  });
  it('but not one that shares a word or two', () => {
    expect(names.forPractice(['winter moth'])).toEqual([]);
    expect(names.forPractice(['soft fruit'])).toEqual([]);
  });
  it('a plant in it goes with what that plant has', () => {
    const plants = smallEdition.plants;
    const [first, second] = [plants[0]!, plants.find(({ genus }) => genus !== plants[0]!.genus)!];
    const of = (plant: typeof first) => ({ include: [{ plant: plant.id, weight: 1 }], exclude: [] });
    const edition = {
      ...smallEdition,
      causes: [
        cause('one', { name: 'White spot', hosts: of(first) }),
        cause('other', { name: 'Rough spot', also: ['spots'], hosts: of(second) }),
        cause('borer', { name: 'Spot borer', hosts: of(first) }),
      ],
    };
    const named = new CauseNames(edition);
    expect(named.forPractice([`${first.name} spot`])).toEqual(['one']);
    expect(named.forPractice([`spot of ${second.name}`])).toEqual(['other']);
    expect(named.forPractice(['white spot', 'rough spot'], second)).toEqual(['other']);
    expect(named.forPractice(['white spot'], second)).toEqual(['one']);
    expect(named.forPractice(['spots'], first)).toEqual(['one']);
    expect(named.forPractice(['spots'])).toEqual(['other']);
  });
  it('a name that several share is also what goes by it behind the name of the plant', () => {
    const [oak, bean] = smallEdition.plants;
    const named = new CauseNames({ ...smallEdition, causes: [cause('vine', { also: ['weevil'] }), cause('seed', { name: 'Bean weevil' })] });
    expect(named.forPractice(['weevil'], bean)).toEqual(['vine', 'seed']);
    expect(named.forPractice(['weevil'], oak)).toEqual(['vine']);
  });
  it('a name nobody knows is of the kind it says it is', () => {
    expect(names.forPractice(['twin after planting'])).toEqual(['twin']);
    expect(names.forPractice(['bulb of crocus from a shop'])).toEqual([]);
  });
  it('an unknown name is none', () => expect(names.forPractice(['moon blight'])).toEqual([]));
});
