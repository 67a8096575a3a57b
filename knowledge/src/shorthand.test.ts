import { describe, expect, it } from '@jest/globals';
import { overForm, windowsUsed, type WholeCause } from './forms.ts';
import { causeRow, formRow } from './schema.ts';
import { excludedShorthand, hostShorthand, likeShorthand, rateShorthand } from './shorthand.ts';

const first = (result: { error?: { issues: { message: string }[] } }) => result.error?.issues[0]?.message ?? 'no fault';

describe('the short ways of writing', () => {
  it('rates', () => expect(rateShorthand.parse('holes often, none seldom')).toEqual({ holes: 'often', none: 'seldom' }));
  it('hosts with and without weights', () =>
    expect(hostShorthand.parse('genus Pyrus 2, any .2, plant quince')).toEqual([
      { genus: 'Pyrus', weight: 2 },
      { any: true, weight: 0.2 },
      { plant: 'quince', weight: 1 },
    ]));
  it('plants that are no hosts', () => expect(excludedShorthand.parse('group turf, genus Rosa')).toEqual([{ group: 'turf' }, { genus: 'Rosa' }]));
  it('look-alikes', () =>
    expect(likeShorthand.parse('slugs-snails by insects-seen, droppings: Slugs leave slime.')).toEqual({
      cause: 'slugs-snails',
      by: ['insects-seen', 'droppings'],
      say: 'Slugs leave slime.',
    }));
  it.each([
    [rateShorthand, 'holes perhaps', 'wants "answer rate" pairs'],
    [rateShorthand, '', 'a finding without an answer'],
    [rateShorthand, 'holes', 'wants "answer rate" pairs'],
    [hostShorthand, 'species pear 1', 'wants any, family, genus, group or plant'],
    [hostShorthand, 'genus Pyrus 9', 'a weight above 0 up to 3'],
    [likeShorthand, 'slugs-snails: no finding', 'wants "cause by finding, finding: what to say"'],
  ])('says what is wrong with %#', (schema, text, message) => expect(first(schema.safeParse(text))).toContain(message));
});

const form = formRow.parse({
  id: 'rust',
  also: ['rust'],
  kind: 'fungus',
  mark: 'memory',
  findings: { 'leaf-spots': 'raised-rusty usually', webbing: 'none always' },
  options: ['pick-off'],
  prefer: 'pick-off',
  'leave-when': 'Late.',
  worth: 'Little.',
});
const row = causeRow.parse({
  id: 'x-rust',
  form: 'rust',
  name: 'X rust',
  common: 'common',
  story: 'It lives on x and nowhere else, as far as anybody knows.',
  hosts: 'genus X',
  findings: { 'leaf-spots': 'orange-bright always' },
  reply: 'It is rust.',
});

describe('a cause over its form', () => {
  const complaints: string[] = [];
  const whole = overForm(row, new Map([['rust', form]]), (text) => void complaints.push(text))!;
  it('takes what it leaves open and keeps what is its own', () => {
    expect(complaints).toEqual([]);
    expect(whole).toMatchObject({ kind: 'fungus', mark: 'memory', worth: 'Little.', prefer: 'pick-off', also: ['rust'] });
    expect(whole.findings).toEqual({ 'leaf-spots': { 'orange-bright': 'always' }, webbing: { none: 'always' } });
  });
  it('says which form is missing, and what it then lacks', () => {
    const said: string[] = [];
    expect(overForm(row, new Map(), (text) => void said.push(text))).toBeNull();
    expect(said).toEqual(['there is no form "rust"', 'wants kind, mark, options, leave-when, worth, its own or from a form']);
  });
  it('gets the shared windows its options name, but not those it defines itself', () => {
    const windows = new Map([['dormant', { id: 'dormant', name: 'dormant', mark: 'memory' as const }]]);
    const using = { ...whole, options: [{ use: 'oil', window: 'dormant' }] } as WholeCause;
    expect(windowsUsed(using, new Map(), windows).map(([id]) => id)).toEqual(['dormant']);
    expect(windowsUsed({ ...using, windows: { dormant: { name: 'mine' } } }, new Map(), windows)).toEqual([]);
  });
});
