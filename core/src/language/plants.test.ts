import { describe, expect, it } from '@jest/globals';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { closest, meantBeside, meantOn, withoutHostWords } from './mentions.ts';
import { PlantNames } from './plants.ts';
import { tokenise } from './tokens.ts';

const plant = (id: string, name: string, latin: string, also: string[], more: Partial<Plant> = {}): Plant => ({
  ...smallEdition.plants.find(({ generic }) => !generic)!,
  id,
  name,
  latin,
  genus: latin.split(' ')[0]!,
  also,
  ...more,
});

const edition: Edition = {
  ...smallEdition,
  plants: [
    plant('oak', 'Oak', 'Quercus robur', ['oaks', 'oak tree']),
    plant('ivy', 'Ivy', 'Hedera helix', []),
    plant('squash', 'Squash', 'Cucurbita pepo', ['courgette', 'zucchini', 'marrow']),
    plant('orange', 'Orange', 'Citrus sinensis', ['oranges!', 'orange tree']),
    plant('dianthus', 'Carnation', 'Dianthus caryophyllus', ['pinks!']),
    plant('peace-lily', 'Peace lily', 'Spathiphyllum wallisii', []),
    plant('lily', 'Lily', 'Lilium candidum', ['lilies']),
    plant('grapevine', 'Grape', 'Vitis vinifera', []),
    plant('bay', 'Bay', 'Laurus nobilis', ['bay tree']),
    plant('rhododendron', 'Rhododendron', 'Rhododendron ponticum', []),
    plant('houseplant', 'House plant', 'Planta domestica', ['pot plant'], { generic: true }),
  ],
  lexicon: {
    ...smallEdition.lexicon,
    nearby: [...smallEdition.lexicon.nearby, 'under'],
    noPlant: ['view of the bay'],
    goods: ['juice'],
    likened: ['like', 'size of'],
  },
};
const names = new PlantNames(edition, ({ word }) => ['holes', 'leaves', 'rotten'].includes(word));
const find = (text: string) => names.find(tokenise(text, edition.lexicon.irregular));
const ids = (text: string) => find(text).map(({ plant: { id }, nearby }) => (nearby ? `(${id})` : id));

describe('names of plants', () => {
  it.each([
    ['my oak has holes', ['oak']],
    ['the Quercus', ['oak']],
    ['a spathiphyllum', ['peace-lily']],
    ['my courgettes and the marrow', ['squash', 'squash']],
    ['my peace lily', ['peace-lily']],
    ['my rhododendrun', ['rhododendron']],
    ['my rodedendron', ['rhododendron']],
    ['nothing of ours', []],
  ])('in "%s" are %p', (text, expected) => expect(ids(text)).toEqual(expected));
  it("are the caller's where something is under their leaves", () => {
    expect(ids('dust under the oak leaves')).toEqual(['oak']);
    expect(ids('mushrooms under the oak')).toEqual(['(oak)']);
  });
  it('are no likeness: "squash-like"', () => expect(ids('squash-like leaves on my oak')).toEqual(['(squash)', 'oak']));
  it.each([
    ['ivy all the way up my oak', 'oak'],
    ['a bay, and my old oak wilts under it', 'oak'],
    ['a big oak covered by ivy', 'oak'],
    ['our oak and my bay', 'oak'],
    ['the oak and the bay', 'oak'],
    ['I rang last year about my oak. The bay has holes', 'bay'],
    ['I rang last week about my oak, it is worse', 'oak'],
    ['you helped with the oak last year. The bay has holes', 'bay'],
    ['the neighbour says her oak has holes', 'oak'],
    ['the neighbour sprayed her oak and the bay has holes', 'bay'],
  ])('the call is about: %s', (text, host) => expect(closest(find(text).filter(({ nearby }) => !nearby))?.id).toBe(host));
  it('are not read from words with another ending', () => expect(ids('I would be grateful')).toEqual([]));
  it('are not read from verbs', () => expect(ids('I squashed one')).toEqual([]));
  it('are not guessed from words that are known', () => expect(ids('rotten leaves')).toEqual([]));
  it('that are colours are taken only in their own form', () => {
    expect(ids('my oranges fall')).toEqual(['orange']);
    expect(ids('our pinks rot')).toEqual(['dianthus']);
    expect(ids('my pink has holes')).toEqual(['dianthus']);
    expect(ids('my pink flowers have pink spots')).toEqual([]);
    expect(find('orange spots')[0]?.plant.id).toBe('orange'); // its own name; the real card marks it
  });
});

describe('a plant that is not the one the call is about', () => {
  it.each([
    ['a lump like an oak', ['(oak)']],
    ['the size of a squash', ['(squash)']],
    ['next to an oak', ['(oak)']],
    ['it is next to a big old oak', ['(oak)']],
    ['next year my oak', ['oak']],
    ['there is an oak next door', ['(oak)']],
    ['I gave it squash juice', ['(squash)']],
    ['a house with a view of the bay', ['(bay)']],
    ['ivy climbing up my oak', ['(ivy)', 'oak']],
    ['ivy smothering the oak', ['(ivy)', 'oak']],
    ['I would like an oak', ['oak']],
    ["I'd like an oak", ['oak']],
    ["the squash's juice", ['squash']],
  ])('in "%s" is %p', (text, expected) => expect(ids(text)).toEqual(expected));
});

describe('the host', () => {
  it('is the first named closely, before a house plant in general', () => {
    expect(closest(find('my pot plant, an ivy'))?.id).toBe('ivy');
    expect(closest(find('my pot plant'))?.id).toBe('houseplant');
    expect(closest([])).toBeNull();
  });
  it('may be given as an id, a name, a scientific name or a colour', () => {
    expect(['oak', 'Oak tree', 'Hedera helix', 'orange', 'gorse'].map((name) => names.resolve(name)?.id ?? null)).toEqual([
      'oak',
      'oak',
      'ivy',
      'orange',
      null,
    ]);
  });
});

describe('a plant’s own name', () => {
  const stems = (text: string) => withoutHostWords(tokenise(text, {}), find(text)).map(({ word }) => word);
  it('says nothing of what is seen, save its last word, which may be the fruit', () =>
    expect(stems('my peace lily has holes')).toEqual(['my', '', 'lily', 'has', 'holes']));
  it('nor does its last word before "tree" or "leaves"', () => expect(stems('oak leaves')).toEqual(['', 'leaves']));
  it('does when it grows next door', () => expect(stems('a peace lily next door')).toEqual(['a', 'peace', 'lily', 'next', 'door']));
});

describe('a plant taken back', () => {
  const plants = [plant('plum', 'Plum', 'Prunus domestica', []), plant('cherry', 'Cherry', 'Prunus avium', [])];
  const bulb = { ...plant('bulb', 'Bulb', 'Bulbus', []), generic: true as const };
  const names = new PlantNames({ ...smallEdition, plants: [...plants, bulb] }, () => false);
  it.each([
    ['the plum, no sorry, the cherry has holes', 'cherry'],
    ['it is a plum no sorry I mean my cherry', 'cherry'],
    ['the plum I mean the one by the cherry', 'plum'],
    ['the plum, I mean the bulb under it', 'plum'],
    ['the plum has holes, no wait, spots', 'plum'],
  ])('"%s" is a call about the %s', (text, id) => expect(closest(names.find(tokenise(text, {})))?.id).toBe(id));
});

describe('a plant by a short name', () => {
  const lily = plant('lily', 'Lily', 'Lilium', []);
  const peaceLily = plant('peace-lily', 'Peace lily', 'Spathiphyllum', []);
  const fern = plant('fern', 'Fern', 'Dryopteris', []);
  const asparagus = plant('asparagus', 'Asparagus', 'Asparagus officinalis', [], { sizes: [{ words: ['fern'], metres: [1, 2] }] });
  const apple = plant('apple', 'Apple', 'Malus domestica', []);
  const crab = plant('crab', 'Crab apple', 'Malus sylvestris', []);
  const rose = plant('rose', 'Rose', 'Rosa', []);
  const sharon = plant('sharon', 'Rose of Sharon', 'Hibiscus syriacus', []);
  const names = new PlantNames({ ...smallEdition, plants: [lily, peaceLily, fern, asparagus, apple, crab, rose, sharon] }, () => false);
  const named = (text: string, host: Plant | null = null) => {
    const mentions = names.find(tokenise(text, {}));
    return (host ? meantOn(mentions, host) : mentions).map((mention) => mention.plant.id);
  };
  it.each([
    ['the lily droops', peaceLily],
    ['my lily droops', peaceLily],
    ['the ferns went yellow', asparagus],
    ['ferns, all yellow', asparagus],
    ['that rose drops its buds', sharon],
    ['these apples have scab', crab],
  ])('"%s" is the one on the table', (text, host) => expect(named(text, host)).toEqual([host.id]));
  it.each([
    ['the lily droops', null, 'lily'],
    ['the lily droops', sharon, 'lily'],
    ['apples have scab', crab, 'apple'],
    ['my fern went yellow', asparagus, 'fern'],
    ['the rose of Sharon droops', rose, 'sharon'],
  ])('"%s" is not with %p', (text, host, id) => expect(named(text, host)).toEqual([id]));
  it('is told by its whole name beside it', () => {
    expect(named('a peace lily, the lily is brown')).toEqual(['peace-lily']);
    expect(named('my lily is brown, it is a peace lily')).toEqual(['peace-lily']);
  });
});

describe('a bare "vine"', () => {
  const grape = plant('grapevine', 'Grapevine', 'Vitis vinifera', ['vine']);
  const melon = plant('melon', 'Melon', 'Cucumis melo', [], { groups: ['cucurbit'] });
  const oak = plant('oak', 'Oak', 'Quercus robur', []);
  const names = new PlantNames({ ...smallEdition, plants: [grape, melon, oak] }, () => false);
  const named = (text: string) => names.find(tokenise(text, {})).map((mention) => mention.plant.id);
  it('is how another plant grows that trails', () => expect(named('my melons did well, then all the vines wilted')).toEqual(['melon']));
  it('is a plant of its own beside one that does not, and where it is owned', () => {
    expect(named('the vine is white')).toEqual(['grapevine']);
    expect(named('the oak is fine, the vine is white')).toEqual(['oak', 'grapevine']);
    expect(named('the melon is fine, my vine is white')).toEqual(['melon', 'grapevine']);
  });
  it('is no other plant where the host is known to trail', () => {
    const mentions = names.find(tokenise('the vines wilted', {}));
    expect(meantBeside(mentions, melon)).toEqual([]);
    expect(meantBeside(mentions, oak)).toEqual(mentions);
    expect(meantBeside(mentions, grape)).toEqual(mentions);
  });
});

describe('a plant that names a shade', () => {
  const plants = [plant('rose', 'Rose', 'Rosa canina', []), plant('oak', 'Oak', 'Quercus robur', [])];
  const names = new PlantNames({ ...smallEdition, plants }, () => false);
  it.each([
    ['rose pink blotches on the oak', ['oak']],
    ['rose pink blotches', ['rose']],
    ['a rose and an oak with pink blotches', ['rose', 'oak']],
  ])('"%s" names %p', (said, named) => expect(names.find(tokenise(said, {})).map((mention) => mention.plant.id)).toEqual(named));
});
