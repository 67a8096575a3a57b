import { fileURLToPath } from 'node:url';
import { beforeAll, describe, expect, it } from '@jest/globals';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { compile, type Compiled } from './compile.ts';
import { readRows, type Complaint } from './read.ts';
import { workRow } from './schema.ts';
import { MOST_WORKS, worksByCause } from './works.ts';

const read = (text: string) => {
  const complaints: Complaint[] = [];
  return { works: readRows('works.yaml', text, workRow, complaints), complaints };
};
const [mildew, beetle] = smallEdition.causes;
const written = [
  { cause: { ...mildew!, kind: 'fungus' as const }, form: 'mildew' },
  { cause: { ...beetle!, kind: 'insect' as const }, form: undefined },
];
const shown = (text: string) => {
  const { works, complaints } = read(text);
  const byCause = worksByCause(works, written, smallEdition.plants, complaints);
  return { byCause, complaints: complaints.map((complaint) => complaint.text) };
};

describe('works an entry can be checked against', () => {
  it('stand on what they name, on their form and on their kind, the closest first', () => {
    const { byCause, complaints } = shown(`
- { id: fungi, cite: "All of them (1990).", kinds: [fungus] }
- { id: forms, cite: "Their forms (1991).", forms: [mildew] }
- { id: one, cite: "This one (1992).", causes: [mildew] }`);
    expect(byCause.get('mildew')).toEqual(['This one (1992).', 'All of them (1990).', 'Their forms (1991).']);
    expect(byCause.has('beetle')).toBe(false);
    expect(complaints).toEqual([]);
  });
  it('about certain plants stand on what lives mostly on these', () => {
    const text = (host: string) => `- { id: w, cite: "Of one host (1990).", kinds: [insect], hosts: "${host}" }`;
    expect(shown(text('any')).byCause.get('beetle')).toEqual(['Of one host (1990).']);
    expect(shown(text('plant oak')).byCause.has('beetle')).toBe(false);
  });
  it('are never more than a few', () => {
    const many = Array.from({ length: 9 }, (_, i) => `- { id: w${i}, cite: "Work (199${i}).", kinds: [fungus] }`).join('\n');
    expect(shown(many).byCause.get('mildew')).toHaveLength(MOST_WORKS);
  });
  it.each([
    ['- { id: w, cite: "Nobody knows it (1990).", causes: [phantom] }', 'w: there is no cause "phantom"'],
    ['- { id: w, cite: "Of no use (1990).", kinds: [virus] }', 'w: is shown for no cause'],
    ['- { id: w, cite: "Without a year.", kinds: [virus] }', 'cite: a work is cited with its year in brackets'],
  ])('are complained of: %s', (text, complaint) => expect(shown(text).complaints).toContain(complaint));
});

describe('the works of this edition', () => {
  let compiled: Compiled;
  beforeAll(() => {
    compiled = compile(fileURLToPath(new URL('../data', import.meta.url)));
  });
  it('reach every cause that a pathogen or a pest is', () => {
    const living = new Set(['fungus', 'oomycete', 'bacterium', 'virus', 'nematode', 'insect', 'mite', 'mollusc', 'nutrient']);
    const without = compiled.edition.causes.filter(({ id, kind }) => living.has(kind) && !compiled.works.has(id)).map(({ id }) => id);
    expect(without).toEqual([]);
  });
  it('put the monograph before the handbook', () => {
    expect(compiled.works.get('clubroot')?.[0]).toMatch(/^Dixon, G\. R\. \(2009\)/);
    expect(compiled.works.get('vine-weevil')?.[0]).toMatch(/^Moorhouse/);
  });
});
