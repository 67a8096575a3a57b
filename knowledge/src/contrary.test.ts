import { describe, expect, it } from '@jest/globals';
import type { PracticeCall } from '@sounding/core/consult/practiceCall.ts';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import { ContraryReadings, mostMet } from './contrary.ts';

const contraries = new ContraryReadings(smallEdition);
const call = (opening: string, cause: string | null, host = 'bean'): PracticeCall => ({
  opening,
  host,
  date: '2026-06-14',
  climate: null,
  hemisphere: 'N',
  facts: [],
  cause,
  also: [],
  action: null,
});

describe('readings against the cause of a call', () => {
  it('are those it makes less likely than plants in general do', () => {
    const [contrary, ...others] = contraries.of(call('black soot on the leaf', 'mildew'));
    expect(contrary).toMatchObject({ cause: 'mildew', reading: 'coating=black', from: 'black soot' });
    expect(contrary?.decibans).toBeLessThan(-3);
    expect(others).toEqual([]);
  });
  it('are none where it knows of them', () => {
    expect(contraries.of(call('holes in the leaves', 'beetle'))).toEqual([]);
    expect(contraries.of(call('white powder on the leaf', 'mildew'))).toEqual([]);
  });
  it('are none of a cause that nobody knows, or that the plant rules out', () => {
    expect(contraries.of(call('black soot on the leaf', 'moonshine'))).toEqual([]);
    expect(contraries.of(call('black soot on the leaf', 'beetle', 'oak'))).toEqual([]);
    expect(contraries.of(call('black soot on the leaf', null))).toEqual([]);
  });
});

describe('contrary readings under their headings', () => {
  const one = (cause: string, reading: string) => ({ cause, reading, from: 'words', decibans: -4 });
  const met = [one('rust', 'spots=none'), one('scab', 'spots=none'), one('scab', 'fruit=sound')];
  it('stand with what is met most often first', () =>
    expect(mostMet(met, ({ reading }) => reading)).toEqual([
      ['spots=none', [met[0], met[1]]],
      ['fruit=sound', [met[2]]],
    ]));
  it('are all kept', () => expect(mostMet(met, ({ cause, reading }) => `${cause} ${reading}`).flatMap(([, all]) => all)).toEqual(met));
});
