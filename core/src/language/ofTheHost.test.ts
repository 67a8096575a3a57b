import { describe, expect, it } from '@jest/globals';
import type { Edition } from '../edition/edition.ts';
import type { Finding } from '../edition/findings.ts';
import type { Plant } from '../edition/plants.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { ofTheHost } from './ofTheHost.ts';
import type { UnderstoodReading } from './taking.ts';
import { Understander } from './understand.ts';
import { NOTHING } from './understanding.ts';

const [oak, bean] = smallEdition.plants as [Plant, Plant];
const grass: Finding = { ...smallEdition.findings[0]!, id: 'grass', only: ['turf'] };
const edition: Edition = { ...smallEdition, findings: [...smallEdition.findings, grass] };
const reading = (finding: string, answer: string, more: Partial<UnderstoodReading> = {}): UnderstoodReading => ({
  finding,
  answer,
  channel: 'caller',
  from: `${finding} words`,
  choices: [],
  ...more,
});
const kept = (one: UnderstoodReading, host: Plant | null, named: Plant[] = [], of: Edition = edition) =>
  ofTheHost(
    {
      ...NOTHING,
      readings: [one],
      plants: named.map((plant) => ({
        plant,
        at: [0],
        nearby: false,
        owned: false,
        ofNextDoor: false,
        earlier: false,
        mayMean: new Set<Plant>(),
        shade: false,
        distance: 0,
      })),
    },
    host,
    of,
  ).readings.length === 1;

describe('what is said of the plant of the call', () => {
  it('can be shown by it', () => {
    expect(kept(reading('coating', 'white'), oak)).toBe(true);
    expect(kept(reading('grass', 'white'), oak)).toBe(false);
    expect(kept(reading('grass', 'white'), { ...oak, groups: ['turf'] })).toBe(true);
  });

  it('may be what something at home on it is known by', () => {
    const mole = { ...edition.causes[0]!, rates: [{ finding: 'grass', answers: { white: 'always' as const }, mark: 'memory' as const }] };
    const known: Edition = { ...edition, causes: [mole] };
    expect(kept(reading('grass', 'white'), oak, [], known)).toBe(true);
    expect(kept(reading('grass', 'not:white'), oak, [], known)).toBe(true);
    expect(kept(reading('grass', 'black'), oak, [], known)).toBe(false);
  });

  it('is left alone where the words name plants of their own, or no plant is known', () => {
    expect(kept(reading('grass', 'white'), oak, [bean])).toBe(true);
    expect(kept(reading('grass', 'white'), null)).toBe(true);
  });

  it('is not what another plant is spared', () => {
    const spared = reading('holes', 'none', { sparing: bean });
    expect(kept(spared, oak)).toBe(false);
    expect(kept(spared, bean)).toBe(true);
    expect(kept(spared, { ...oak, generic: true })).toBe(true);
  });

  it('keeps the words of what is dropped in sight, once', () => {
    const read = { ...NOTHING, readings: [reading('grass', 'white')], notUnderstood: ['words', 'other'] };
    expect(ofTheHost(read, oak, edition).notUnderstood).toEqual(['other', 'grass words']);
  });

  it('is asked of the plant known from elsewhere', () => {
    const fruit: Finding = {
      ...edition.findings[1]!,
      id: 'pods',
      organ: 'fruit',
      answers: [{ id: 'none', say: 'sound', words: ['beans fine'], background: 1 }],
    };
    const reader = new Understander({ ...edition, findings: [...edition.findings, { ...fruit, absent: 'none' }] });
    expect(reader.understand(['the beans are fine'], oak).readings).toEqual([]);
    expect(reader.understand(['the beans are fine'], bean).readings).toMatchObject([{ finding: 'pods', answer: 'none' }]);
  });
});
