import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '../testing/smallEdition.ts';
import type { Edition } from '../edition/edition.ts';
import type { Finding } from '../edition/findings.ts';
import type { Plant } from '../edition/plants.ts';
import { Understander } from './understand.ts';

const pear: Plant = {
  ...smallEdition.plants[0]!,
  id: 'pear',
  name: 'Pear',
  latin: 'Pyrus',
  genus: 'Pyrus',
  also: ['pears', 'pear tree'],
  groups: ['fruit-tree'],
};
const finding = (id: string, organ: Finding['organ'], kind: Finding['kind'], ...words: string[]): Finding => ({
  id,
  name: id,
  organ,
  kind,
  ask: `what about ${id}?`,
  absent: 'none',
  answers: [
    { id: 'none', say: 'none', words: [], background: 0.9 },
    { id: 'some', say: 'some', words, background: 0.1 },
  ],
  phoneSeconds: 10,
  tableSeconds: 5,
});
const edition: Edition = {
  ...smallEdition,
  plants: [pear, ...smallEdition.plants],
  findings: [
    finding('leaf-holes', 'leaf', 'symptom', 'full hole|holes', '{leaf} hole|holes'),
    finding('leaf-sheen', 'leaf', 'symptom', 'tree|{leaf} leaden'),
    finding('leaf-cups', 'leaf', 'symptom', 'like cabbages', 'fruits spoons', 'green ribs', '={leaf} curly', '={leaf} are curly'),
    finding('fruit-holes', 'fruit', 'symptom', '{fruit} hole|holes'),
    finding('leaf-fur', 'leaf', 'sign', 'grey fur'),
    finding('fruit-fur', 'fruit', 'symptom', 'grey fur {fruit}'),
    finding('leaf-wool', 'leaf', 'sign', 'wool {fruit}'),
    finding('leaf-age', 'leaf', 'pattern', 'old {leaf}'),
  ],
  causes: [],
  lexicon: {
    ...smallEdition.lexicon,
    classes: { ...smallEdition.lexicon.classes, fruit: ['fruit', 'fruits'], vein: ['rib'], is: ['are'] },
    organs: { leaf: ['leaf', 'leaves'], fruit: ['fruit', 'fruits'] },
  },
};
const reader = new Understander(edition);
const pairs = (text: string) => reader.understand([text]).readings.map(({ finding: id, answer }) => `${id}=${answer}`);

describe('a label that names which leaves', () => {
  const behind = (ask: string, say: string) => reader.understand([{ ask, say }]).readings.map(({ finding: id, answer }) => `${id}=${answer}`);
  it('says so of what is told behind it', () => {
    expect(behind('Old leaves?', 'full of holes')).toEqual(['leaf-age=some', 'leaf-holes=some']);
    expect(behind('Old leaves?', 'no holes')).toEqual(['leaf-holes=none']);
    expect(behind('Do the old leaves look any different?', 'full of holes')).toEqual(['leaf-holes=some']);
  });
});

describe('the organ spoken of', () => {
  it('decides what a symptom without one is said of', () => {
    expect(pairs('the leaves are full of holes')).toEqual(['leaf-holes=some']);
    expect(pairs('the fruits are full of holes')).toEqual(['fruit-holes=some']);
  });
  it('leaves a sign where only the part it sits on says something else as well', () =>
    expect(pairs('holes in the fruit, wool on it')).toEqual(['fruit-holes=some', 'leaf-wool=some']));
  it('does not take a symptom from the part its own words name', () => {
    expect(pairs('the fruits are like cabbages')).toEqual([]);
    expect(pairs('the fruits are spoons')).toEqual(['leaf-cups=some']);
  });
  it('does not take a symptom from a plant told of as a whole', () => {
    expect(pairs('the fruits fall and the tree is leaden')).toEqual(['leaf-sheen=some']);
    expect(pairs('the fruits on the tree are leaden')).toEqual([]);
    expect(pairs('the tree has fruits that are leaden')).toEqual([]);
  });
  it('is the leaf for its veins, whatever else is spoken of', () => expect(pairs('green ribs, the fruits fall')).toEqual(['leaf-cups=some']));
  it('is not what only tells when', () => {
    expect(pairs('my bean is full of holes just as the fruits swell')).toContain('leaf-holes=some');
    expect(pairs('one after the other the fruits are full of holes')).toEqual(['fruit-holes=some']);
    expect(pairs('when ripe the fruits are full of holes')).toEqual(['fruit-holes=some']);
  });
  it('stands behind "these are", not behind "these spikes"', () => {
    expect(pairs('the leaves: these are curly')).toEqual(['leaf-cups=some']);
    expect(pairs('the leaves have these curly things')).toEqual([]);
  });
  it('is the fruit for the plural of a fruit tree, and the plant for its name', () => {
    expect(pairs('my pears are full of holes')).toEqual(['fruit-holes=some']);
    expect(pairs('my pear is full of holes')).toEqual(['leaf-holes=some']);
    expect(reader.understand(['my pears are full of holes']).host?.id).toBe('pear');
  });
  it('is the tree for such a plural where what is told sits on its leaves', () => {
    expect(pairs('my pears have holes in the leaves')).toEqual(['leaf-holes=some']);
    expect(pairs('holes in my pears, none on the leaves')).toContain('fruit-holes=some');
    expect(pairs('my pears have holes in the fruit and on the leaves')).toContain('fruit-holes=some');
  });
  it('keeps a growth from the leaf where the same words say it of the fruit, and lets it sit anywhere else', () => {
    expect(pairs('grey fur on the fruit')).toEqual(['fruit-fur=some']);
    expect(pairs('grey fur on my bean')).toEqual(['leaf-fur=some']);
  });
});
