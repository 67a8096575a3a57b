import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from '@jest/globals';
import { practiceInput } from '@sounding/contract/practiceInput.ts';
import { CauseNames } from '@sounding/core/consult/causeNames.ts';
import { ACTIONS, ACT_OF_ACTION } from '@sounding/core/consult/practiceCall.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { ACTS } from '@sounding/core/edition/options.ts';
import { callLines, callsBeside } from '@sounding/knowledge/calls.ts';
import { evaluateText } from './evaluateCommand.ts';

const edition = JSON.parse(readFileSync(new URL('../../knowledge/dist/edition.json', import.meta.url), 'utf8')) as Edition;
const call = {
  id: 'flour',
  opening: 'my courgettes look like someone threw flour over the leaves',
  host: 'courgette',
  date: '2026-08-02',
  climate: 'temperate-maritime',
  hemisphere: 'N',
  facts: [
    { ask: 'Does it come off on your thumb?', say: 'yes, it rubs off', kind: 'test' },
    { ask: 'Which leaves?', say: 'mostly the old ones', kind: 'symptom' },
  ],
  cause: 'Powdery mildew',
  also: ['Podosphaera xanthii'],
  action: 'physical',
};
const evaluate = (...calls: object[]) =>
  evaluateText(calls.map((c) => JSON.stringify(c)).join('\n'), edition)
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>);

describe('evaluate', () => {
  it('plays a call: opening, its own questions, the rest of the facts', () => {
    const [played, sum] = evaluate(call);
    expect(played).toMatchObject({
      id: 'flour',
      host: 'courgette',
      expected: expect.arrayContaining(['powdery-mildew']),
      rankAfterOpening: 1,
      rankAfterAll: 1,
      actionAgrees: true,
    });
    expect(played!['questions']).toBeLessThanOrEqual(8);
    expect(sum).toMatchObject({ summary: { calls: 1, withCause: 1, causeNotKnown: [], afterAll: { first: 1, firstThree: 1 }, actionAgrees: 1 } });
  });
  it('judges a call about care by its care answers, and leaves it out of the ranks', () => {
    const [played, sum] = evaluate({ id: 1, opening: 'when do I prune my hydrangea?', cause: '', action: 'care' });
    expect(played).toMatchObject({ actionAgrees: true, rankAfterAll: null });
    expect(sum).toMatchObject({ summary: { withCause: 0, actionJudged: 1 } });
  });
  it('says when the edition does not know the cause', () => {
    const [, sum] = evaluate({ ...call, cause: 'moon blight', also: [] });
    expect(sum).toMatchObject({ summary: { causeNotKnown: ['flour'], afterAll: { first: 0, firstThree: 0 } } });
  });
  it.each([
    [{ ...call, opening: 3 }, 'opening: '],
    [{ ...call, facts: [{ ask: 'x' }] }, 'facts[0].say: '],
    [{ ...call, action: 'pray' }, 'action: '],
  ])('names the field of a bad call %#', (bad, message) => expect(() => evaluate(bad, call)).toThrow(`line 1: ${message}`));
});

it('passes over fields it does not know, and takes climates and hemispheres as people write them', () => {
  const [played] = evaluate({ ...call, colour: 'red', climate: 'Temperate maritime', hemisphere: 'north', also: null });
  expect(played).toMatchObject({ rankAfterAll: 1 });
});

it('takes a field that was left empty for one that is missing', () => {
  const [played] = evaluate({ ...call, host: '', date: '', climate: '', hemisphere: '', action: ' ' });
  expect(played).toMatchObject({ host: 'courgette', rankAfterAll: 1, actionAgrees: null });
});

describe('names of causes', () => {
  const names = new CauseNames(edition);
  it.each([
    ['powdery mildew', 'powdery-mildew'],
    ['Gymnosporangium sabinae', 'pear-rust'],
    ['european pear rust', 'pear-rust'],
    ['PEAR  RUST', 'pear-rust'],
    ['Liriomyza trifolii', 'leafminer-fly'],
    ['Pythium', 'damping-off'],
  ])('%s is %s', (name, id) => expect(names.find([name])).toContain(id));
  it('takes a known name within a longer one where the whole is not known, for practice calls only', () => {
    expect(names.find(['iron chlorosis from lime in the tap water'])).toEqual([]);
    expect(names.forPractice(['iron chlorosis from lime in the tap water'])).toEqual(['iron-chlorosis']);
    expect(names.forPractice(['salt'])).toEqual(names.find(['salt']));
    expect(names.forPractice(['a wholly unknown trouble'])).toEqual([]);
    expect(names.forPractice(['angular leaf spot'])).toContain('cucurbit-angular-spot');
  });
  it('takes a whole name before a genus, and any normal state for what is only called normal', () => {
    expect(names.forPractice(['delphinium black blotch', 'Pseudomonas delphinii'])).toEqual(['delphinium-blotch']);
    expect(names.forPractice(['normal'])).toEqual(expect.arrayContaining(['normal-autumn', 'normal-pepper-streak']));
    expect(names.find(['normal'])).toEqual([]);
  });
  it('lets a genus answer to its species, but no other first word', () =>
    expect(names.find(['natural bark flaking'])).not.toContain('squirrels-mice'));
  it('knows nothing by an unknown name', () => expect(names.find(['moon blight'])).toEqual([]));
});

it('every action but care stands for an act', () => {
  for (const action of ACTIONS) if (action !== 'care') expect(ACTS).toContain(ACT_OF_ACTION[action]);
});

describe('our own practice calls', () => {
  it('are all in the form that is asked of others', () => {
    const lines = callLines(callsBeside(fileURLToPath(new URL('../../knowledge/data', import.meta.url))));
    const faults = lines.flatMap(({ file, line, text }) => {
      const parsed = practiceInput.safeParse(JSON.parse(text));
      return parsed.success ? [] : [`${file}:${line}: ${parsed.error.issues[0]?.path.join('.')}`];
    });
    expect(faults).toEqual([]);
    expect(new Set(lines.map(({ text }) => (JSON.parse(text) as { id: string }).id)).size).toBe(lines.length);
  });
});
