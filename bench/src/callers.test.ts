import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { Understander } from '@sounding/core/language/understand.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { simulateCallers } from './callers.ts';
import { scoreCare } from './careCorpus.ts';
import { loadCorpus, scoreCorpus } from './corpus.ts';

describe('simulated callers', () => {
  const result = simulateCallers(smallEdition, 20, 3);
  it('are the same for the same seed, and others for another', () => {
    expect(simulateCallers(smallEdition, 20, 3)).toEqual(result);
    expect(simulateCallers(smallEdition, 20, 4).all).not.toEqual(result.all);
  });
  it('are counted by kind and in all', () => {
    expect(result.all.callers).toBe(20 * smallEdition.causes.length);
    expect([...result.byKind.values()].reduce((sum, shares) => sum + shares.callers, 0)).toBe(result.all.callers);
    expect(result.all.firstThree).toBeGreaterThanOrEqual(result.all.first);
  });
  it('are mostly understood, and no normal plant is sprayed', () => {
    expect(result.all.first).toBeGreaterThan(0.6);
    expect(result.normalsSprayed).toBe(0);
  });
});

describe('the corpus', () => {
  const mending = loadCorpus('readings');
  const aside = loadCorpus('readings-aside');
  const lines = [...mending, ...aside];
  const edition = JSON.parse(readFileSync(new URL('../../knowledge/dist/edition.json', import.meta.url), 'utf8')) as Edition;
  it('has at least 400 statements, and a third as many put aside that are none of the others', () => {
    expect(mending.length).toBeGreaterThanOrEqual(400);
    expect(aside.length).toBeGreaterThanOrEqual(400 / 3);
    const said = new Set(mending.map(({ say }) => say));
    expect(aside.filter(({ say }) => said.has(say))).toEqual([]);
  });
  it('asks only for readings the edition has', () => {
    const known = new Set(edition.findings.flatMap((f) => f.answers.map((a) => `${f.id}=${a.id}`)));
    expect(lines.flatMap(({ readings, may }) => [...readings, ...may]).filter((reading) => !known.has(reading.replace('=not:', '=')))).toEqual([]);
  });
  it('scores a reader that reads nothing as reading nothing', () => {
    const mute = { understand: () => ({ readings: [] }) } as unknown as Understander;
    expect(scoreCorpus(mute, lines)).toMatchObject({ precision: 0, recall: 0 });
  });
  it('counts a reading that may be taken neither way', () => {
    const sticky = { understand: () => ({ readings: [{ finding: 'honeydew', answer: 'sticky' }] }) } as unknown as Understander;
    const line = { say: 'sticky', readings: [], may: ['honeydew=sticky'] };
    expect(scoreCorpus(sticky, [line])).toMatchObject({ precision: 0, recall: 0, wrong: [] });
    expect(scoreCorpus(sticky, [{ ...line, may: [] }]).wrong).toHaveLength(1);
  });
  it('is read at least as well as when it was last measured', () => {
    const score = scoreCorpus(new Understander(edition), mending);
    expect(score.recall).toBeGreaterThan(0.93);
    expect(score.precision).toBeGreaterThan(0.9);
  });
});

describe('questions of care', () => {
  const edition = JSON.parse(readFileSync(new URL('../../knowledge/dist/edition.json', import.meta.url), 'utf8')) as Edition;
  it('used for mending are answered on the right topic at least as often as when last measured', () => {
    const score = scoreCare(new Understander(edition), edition, 'care');
    expect(score.topic).toBeGreaterThan(0.9);
    expect(score.host).toBeGreaterThan(0.97);
  });
  it('put aside are answered, by a topic or the whole card', () =>
    expect(scoreCare(new Understander(edition), edition, 'care-aside').answered).toBeGreaterThan(0.85));
  it('are not answered by a reader that hears none', () => {
    const mute = { understand: () => ({ host: null, care: [] }) } as unknown as Understander;
    expect(scoreCare(mute, edition, 'care')).toMatchObject({ answered: 0, topic: 0 });
  });
});
