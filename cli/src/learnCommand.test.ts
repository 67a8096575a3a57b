import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { learnText, type LearnOptions } from './learnCommand.ts';

const edition = JSON.parse(readFileSync(new URL('../../knowledge/dist/edition.json', import.meta.url), 'utf8')) as Edition;
const learn = (csv: string, options: LearnOptions) => JSON.parse(learnText(csv, options, edition)) as Record<string, unknown>;

describe('learn', () => {
  // Michalski & Chilausky (1980), large soybean disease data: R's naive Bayes names 92.5 % in ten folds, randomForest 94.6 %
  it('fits a published data set with its gaps and says how well it names what it has not seen', () => {
    const soybean = readFileSync(new URL('../../bench/data/soybean.csv', import.meta.url), 'utf8');
    const out = learn(soybean, { label: 'Class' });
    expect(out).toMatchObject({ cases: 683, labels: 19, findings: 35 });
    expect(out['gaps']).toBeGreaterThan(2000);
    expect(out['firstChoice']).toBeGreaterThan(0.925);
    expect(out['calibrationError']).toBeLessThan(0.03);
    expect(out).not.toHaveProperty('changes'); // its diseases are no causes of this edition by those names
  });
  it('says what cases of the edition itself would change', () => {
    const csv = `cause,plant,on,leaf-spots,juniper-nearby\n${'pear rust,pear,2026-06-14,orange-bright,no\n'.repeat(8)}aphids,pear,2026-06-01,none,`;
    const out = learn(csv, { label: 'cause', host: 'plant', date: 'on' });
    expect(out).toMatchObject({ casesOfTheEdition: 9, edition: edition.version });
    const changes = out['changes'] as { cause: string; what: string; finding?: string; answer?: string; before: number; after: number }[];
    const far = changes.find((c) => c.cause === 'pear-rust' && c.finding === 'juniper-nearby' && c.answer === 'no')!;
    expect(far.after).toBeGreaterThan(far.before);
    expect(changes.find((c) => c.cause === 'pear-rust' && c.what === 'odds')!.after).toBeGreaterThan(1);
  });
  it.each([
    ['Pyrus communis', 'pear-rust', 'juniper-rust-galls'],
    ['Juniperus communis', 'juniper-rust-galls', 'pear-rust'],
  ])('takes plants by any of their names, and a name of several causes for the one that befalls the plant: %s', (plant, taught, other) => {
    const csv = `cause,plant,on,leaf-spots\n${`pear rust,${plant},2026-06-14,orange-bright\n`.repeat(4)}aphids,pear,2026-06-01,none`;
    const changes = learn(csv, { label: 'cause', host: 'plant', date: 'on' })['changes'] as { cause: string }[];
    expect(changes.map(({ cause }) => cause)).toContain(taught);
    expect(changes.map(({ cause }) => cause)).not.toContain(other);
  });
  it.each<[string, LearnOptions, RegExp]>([
    ['a,b\n1,2', {}, /^--label: names the column; the file has a, b/],
    ['a,b\n1,2', { label: 'c' }, /^--label: there is no column "c"/],
    ['a,b', { label: 'a' }, /^input: no cases/],
    ['a,b\n1,2\n ,3', { label: 'a' }, /^line 3: a is empty/],
    ['a\n1', { label: 'a' }, /^header: there is no finding/],
    ['cause,on,leaf-spots\npear rust,soon,none', { label: 'cause', date: 'on' }, /case 1: on|--today/],
  ])('names what is wrong with %j', (csv, options, message) => expect(() => learn(csv, options)).toThrow(message));
});
