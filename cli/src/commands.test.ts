import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from '@jest/globals';
import { caseOutput, publishedSchemas } from '@sounding/contract/caseOutput.ts';
import { compile } from '@sounding/knowledge/compile.ts';
import { degreeDayTable } from './degreeDaysCommand.ts';
import { diagnoseText, vocabulary } from './diagnoseCommand.ts';
import { parseJsonOrLines } from './input.ts';

const { edition } = compile(fileURLToPath(new URL('../../knowledge/data', import.meta.url)));
const diagnose = (value: unknown) => JSON.parse(diagnoseText(JSON.stringify(value), edition)) as Record<string, unknown>;

describe('published schemas', () => {
  it('are those the program checks with', () => {
    for (const [name, schema] of Object.entries(publishedSchemas())) {
      expect(JSON.parse(readFileSync(new URL(`../../docs/schema/${name}`, import.meta.url), 'utf8'))).toEqual(JSON.parse(JSON.stringify(schema)));
    }
  });
  it('hold for what is printed', () => {
    for (const words of [[], ['orange spots on my pear'], ['when do I prune my hydrangea?', 'the zorble is sticky']])
      caseOutput.parse(diagnose({ id: 7, date: '2026-06-14', words }));
  });
  it('hold where somebody ate of a plant, which comes first, and where it is asked whether it spreads, which the cause answers', () => {
    const words = [
      'black spots with fringed edges on my rose leaves, yellow round them',
      'will it spread?',
      'should she worry?',
      'what can she spray?',
      'my grandson chewed a laburnum pod',
    ];
    const { care } = caseOutput.parse(diagnose({ date: '2026-06-14', host: 'rose', words }));
    expect(care.filter(({ urgent }) => urgent).map(({ plant, topic }) => [plant, topic])).toContainEqual(['Laburnum', 'poison']);
    for (const topic of ['outlook', 'remedy']) expect(care.find((one) => one.topic === topic)?.plant).toBe('Black spot of rose');
    expect(care.find(({ topic }) => topic === 'spread')).toMatchObject({
      plant: 'Black spot of rose',
      answer: expect.stringMatching(/^Yes, by spores/),
    });
  });
});

describe('diagnose', () => {
  it('answers the documented example with every documented field', () => {
    const out = diagnose({
      date: '2026-06-14',
      place: { lat: 47.1, hemisphere: 'N', climate: 'continental' },
      host: 'pear',
      words: ['orange spots on the young leaves', 'juniper hedge next door'],
      readings: [{ finding: 'leaf-underside', answer: 'clean', channel: 'caller' }],
    });
    expect(Object.keys(out)).toEqual([
      'edition',
      'host',
      'understood',
      'notUnderstood',
      'claims',
      'differential',
      'openly',
      'next',
      'enough',
      'decision',
      'care',
      'timing',
      'unexplained',
      'measurements',
    ]);
    expect(out).toMatchObject({ host: { id: 'pear' }, differential: { 0: { cause: 'pear-rust' } }, enough: true, decision: { act: 'leave' } });
    expect((out['differential'] as { probability: number }[]).reduce((s, d) => s + d.probability, 0)).toBeCloseTo(1, 9);
    expect(out['timing']).toContainEqual(expect.objectContaining({ option: 'juniper', state: 'closed', nextFrom: '2027-04-01' }));
  });
  it('asks openly first while nothing wrong has been told', () => {
    expect(diagnose({ words: ['my rose looks sick'] })['openly']).toMatch(/^What do you see/);
    expect(diagnose({ words: ['black spots on my rose leaves'] })['openly']).toBeNull();
  });
  it('needs nothing but words', () => expect(diagnose({ words: ['webs'] })).toMatchObject({ host: null }));
  it('sees no reason to act where nothing was seen', () =>
    expect(diagnose({ words: ['when should I prune my hydrangea?'] })).toMatchObject({
      decision: { act: 'leave' },
      care: [{ topic: 'prune' }, { topic: 'flowers-on' }],
    }));
  it('answers a question of care that names no plant for plants in general', () => {
    const { care } = diagnose({ words: ['what time of day should I water the garden?'] }) as { care: { plant: string; answer: string }[] };
    expect(care).toHaveLength(1);
    expect(care[0]).toMatchObject({ plant: 'plants in general', topic: 'water' });
    expect(care[0]!.answer).toContain('early in the morning');
  });
  it.each([
    ['stinging nettles are taking over the raspberries', 'raspberry', 'invasive-weeds'],
    ['I mowed after the holiday and now the lawn is brown stubble', 'lawn', 'lawn-scalped'],
    ['pansies leggy and no more flowers in this heat', 'pansy', 'normal-cool-annual'],
  ])('knows "%s"', (words, host, cause) =>
    expect(diagnose({ words: [words], host, date: '2026-06-28' })).toMatchObject({ differential: { 0: { cause } } }),
  );
  it('takes questions with answers among the words', () =>
    expect(diagnose({ host: 'ficus', words: [{ ask: 'is it sticky?', say: 'yes, and the floor under it' }] })).toMatchObject({
      understood: [{ finding: 'honeydew', answer: 'sticky' }],
    }));
  it('keeps an unknown plant in sight', () =>
    expect(diagnose({ host: 'umbrella thing', words: [] })).toMatchObject({ host: null, notUnderstood: ['umbrella thing'] }));
  it('names the months of the south in the south, and is no surer or less sure of anything for it', () => {
    const at = (date: string, lat: number) =>
      diagnose({
        date,
        place: { lat, climate: 'temperate-maritime' },
        host: 'thuja',
        words: ['brown on the windy side after a dry windy winter with frozen ground'],
      });
    const [north, south] = [at('2026-03-10', 52), at('2026-09-10', -42)] as {
      decision: { why: string };
      differential: { cause: string; probability: number }[];
    }[];
    expect(south!.differential).toEqual(north!.differential);
    expect(north!.decision.why).toContain('Wait until May');
    expect(south!.decision.why).toContain('Wait until November');
  });
  it('takes the hemisphere from the latitude', () => {
    const south = diagnose({ date: '2026-12-14', place: { lat: -38 }, host: 'pear', words: ['orange spots on the leaves'] });
    expect((south['timing'] as { option: string; nextFrom: string }[]).find((t) => t.option === 'juniper')?.nextFrom).toBe('2027-10-01');
  });
  it('answers JSON Lines with JSON Lines and keeps ids', () => {
    const out = diagnoseText('{"id":1,"words":["webs"]}\n\n{"id":"b","words":[]}\n', edition).split('\n');
    expect(out.map((line) => (JSON.parse(line) as { id: unknown }).id)).toEqual([1, 'b']);
  });
  it.each([
    [{ words: 'webs' }, 'words: words must be a list of texts or {ask, say} objects'],
    [{}, 'words: '],
    [{ words: [], date: '2026-13-01' }, 'date: date "2026-13-01" does not exist'],
    [{ words: [], place: { climate: 'lunar' } }, 'place.climate: '],
    [{ words: [], colour: 1 }, 'colour: unknown field'],
    [{ words: [], readings: [{ finding: 'nope', answer: 'x' }] }, 'readings[0].finding: "nope" is not a finding'],
    [
      { words: [], readings: [{ finding: 'webbing', answer: 'pink' }] },
      'readings[0].answer: "pink" is not an answer to webbing; it has none, fine-silk',
    ],
  ])('names field and reason for %j', (value, message) => expect(() => diagnose(value)).toThrow(message));
  it('names the line of a bad row', () => expect(() => diagnoseText('{"words":[]}\n{"words":3}', edition)).toThrow('line 2: words: '));
  it('says what is wrong with text that is no JSON', () => expect(() => parseJsonOrLines('pear')).toThrow('input: not JSON'));
  it('lists the vocabulary', () =>
    expect((JSON.parse(vocabulary(edition)) as { causes: { id: string }[] }).causes.map((c) => c.id)).toContain('pear-rust'));
});

describe('degree-days on real weather (Seattle and New York 2012–2015, vega-datasets)', () => {
  const weather = readFileSync(new URL('../../node_modules/vega-datasets/data/weather.csv', import.meta.url), 'utf8')
    .trim()
    .split('\n');
  const city = (name: string) =>
    [weather[0]!.replace('location,', ''), ...weather.filter((row) => row.startsWith(`${name},`)).map((row) => row.slice(name.length + 1))].join(
      '\n',
    );
  /** The daily sine summed at 1-minute steps, independent of the closed form. */
  const integrated = (min: number, max: number, lower: number, upper: number) => {
    let sum = 0;
    for (let m = 0; m < 1440; m++)
      sum += Math.max(0, Math.min((min + max) / 2 + ((max - min) / 2) * Math.sin((2 * Math.PI * (m + 0.5)) / 1440), upper) - lower);
    return sum / 1440;
  };
  it.each(['Seattle', 'New York'])('every day of %s equals numerical integration to 0.01', (name) => {
    const rows = degreeDayTable(city(name), { lower: '10', upper: '30' })
      .split('\n')
      .slice(1)
      .map((row) => row.split(','));
    expect(rows.length).toBe(1461);
    let sum = 0;
    for (const [, min, max, gain, total] of rows) {
      const exact = integrated(Number(min), Number(max), 10, 30);
      expect(Math.abs(Number(gain) - exact)).toBeLessThan(0.01);
      sum += exact;
      expect(Math.abs(Number(total) - sum)).toBeLessThan(0.01 * rows.length);
    }
  });
  it.each([
    ['date,min\n2026-01-01,2', { lower: '10' }, 'header: no column for maximum'],
    ['date,min,max\n2026-01-01,12,2', { lower: '10' }, 'line 2: daily minimum 12 °C is above the maximum 2 °C'],
    ['date,min,max\n2026-02-30,1,2', { lower: '10' }, 'line 2: date "2026-02-30" does not exist'],
    ['date,min,max\n2026-01-01,,2', { lower: '10' }, 'line 2: minimum: "" is not a number'],
    ['date,min,max\n2026-01-01,1,2', {}, '--lower: "" is not a number'],
    ['date,min,max\n2026-01-01,1,2', { lower: '10', upper: '5' }, '--upper: 5 is not above --lower 10'],
    ['date,min,max\n2026-01-01,1,2', { lower: '10', method: 'guess' }, '--method: "guess" is not one of'],
  ])('names line and field for %j', (csv, options, message) => expect(() => degreeDayTable(csv, options)).toThrow(message));
});
