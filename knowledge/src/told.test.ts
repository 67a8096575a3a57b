import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { smallEdition } from '@sounding/core/testing/smallEdition.ts';
import type { Complaint } from './read.ts';
import { keepTold, tellingBy, toldByCause } from './told.ts';

const [mildew, beetle] = smallEdition.causes;
let folder = '';
beforeAll(() => void (folder = mkdtempSync(join(tmpdir(), 'told-'))));
afterAll(() => rmSync(folder, { recursive: true }));

function told(lines: unknown[], complaints: Complaint[] = []): ReadonlyMap<string, string> {
  const calls = join(folder, 'calls');
  mkdirSync(calls, { recursive: true });
  writeFileSync(join(calls, '1.jsonl'), lines.map((line) => `${typeof line === 'string' ? line : JSON.stringify(line)}\n`).join(''));
  const edition = { ...smallEdition, causes: smallEdition.causes.map((cause) => (cause === mildew ? { ...cause, heard: 'spilt talcum' } : cause)) };
  return toldByCause(calls, edition, complaints);
}

describe('the words of phrases that tell something', () => {
  const telling = tellingBy({ ...smallEdition.lexicon, stopWords: ['it', 'is', 'on', 'the', 'like'] }, [{ name: 'Oak', also: ['oranges!'] }]);
  const words = telling('Spilt talcum; it is like talcum on the leaf');
  it('leaves out names of plants, but not what is one in another form only', () => expect(telling('orange oaks')).toBe('orange'));
  it('leaves out what could be said of anything', () => expect(words.split(' ')).not.toContain('the'));
  it('keeps a word as often as it was used, in the order of the alphabet', () => expect(words).toBe('leaf spilt talcum talcum'));
});

describe('what practice calls teach of the words for a cause', () => {
  const call = { opening: 'Talcum all over, talcum and custard', facts: [{ ask: 'Does it rub off?', say: 'custard smears' }], cause: mildew!.name };
  it('takes what was said, opening and answers, without what is known already', () => {
    const words = told([call, call]).get(mildew!.id)!.split(' ');
    expect(words).toEqual(expect.arrayContaining(['custard', 'smears']));
    expect(words).not.toContain('talcum');
    expect(words).not.toContain('rub');
  });
  it.each([
    [1, 0],
    [2, 1],
    [3, 1],
    [4, 2],
    [9, 3],
  ])('counts a word of %p calls %p times', (calls, times) => {
    const words = (told(Array.from({ length: calls }, () => call)).get(mildew!.id) ?? '').split(' ');
    expect(words.filter((word) => word === 'custard')).toHaveLength(times);
  });
  it.each([
    [98, true],
    [99, false],
  ])('counts a word of two calls beside %p that do not have it: %p', (others, counts) => {
    const other = { opening: 'a zorble', cause: mildew!.name };
    const words = told([call, call, ...Array.from({ length: others }, () => other)])
      .get(mildew!.id)!
      .split(' ');
    expect(words).toContain('zorble');
    expect(words.includes('custard')).toBe(counts);
  });
  it('teaches nothing by a call whose cause is not known, or has none', () =>
    expect(told([{ opening: 'zorble everywhere', cause: 'no such thing' }, { opening: 'when do I prune' }]).size).toBe(0));
  it('teaches the cause that befalls the plant spoken of', () => {
    const [plant] = smallEdition.plants;
    const names = { opening: 'zorble', host: plant!.id, cause: mildew!.name, also: [beetle!.name] };
    expect([...told([names, names]).keys()]).toEqual([mildew!.id]);
  });
  it('teaches the cause that is named first where a call may mean several', () => {
    const names = { opening: 'zorble', cause: beetle!.name, also: [mildew!.name] };
    expect([...told([names, names]).keys()]).toEqual([beetle!.id]);
  });
  it('names the line of a call it cannot read', () => {
    const complaints: Complaint[] = [];
    told([{ opening: 'zorble', cause: mildew!.name }, { cause: mildew!.name }, 'not JSON'], complaints);
    expect(complaints.map(({ line }) => line)).toEqual([2, 3]);
  });
  it('is empty where a folder has no calls', () => expect(toldByCause(join(folder, 'none'), smallEdition, []).size).toBe(0));
});

describe('what calls taught, kept', () => {
  const call = { opening: 'talcum and custard', facts: [], cause: mildew!.name };
  const inFolder = (...path: string[]) => join(folder, 'kept', ...path);
  const folderOfCalls = () => inFolder('callers', 'practice');
  const lines = (calls: unknown[]) => writeFileSync(join(folderOfCalls(), '1.jsonl'), calls.map((one) => `${JSON.stringify(one)}\n`).join(''));
  beforeAll(() => ['callers/practice', 'dist'].forEach((name) => mkdirSync(inFolder(name), { recursive: true })));

  it('lies beside the edition', () => {
    lines([call, call]);
    const told = toldByCause(folderOfCalls(), smallEdition, []);
    keepTold(folderOfCalls());
    expect(JSON.parse(readFileSync(inFolder('dist', 'told.json'), 'utf8'))).toMatchObject({ told: Object.fromEntries(told) });
  });
  it('is found out anew once something else is heard of a cause', () => {
    lines([call, call]);
    const heard = { ...smallEdition, causes: smallEdition.causes.map((cause) => (cause === mildew ? { ...cause, heard: 'custard' } : cause)) };
    const wordsIn = (edition: typeof smallEdition) => toldByCause(folderOfCalls(), edition, []).get(mildew!.id)?.split(' ');
    expect(wordsIn(smallEdition)).toContain('custard');
    expect(wordsIn(heard)).not.toContain('custard');
    expect(wordsIn(smallEdition)).toContain('custard');
  });
  it('is not kept of calls with complaints, and complains each time', () => {
    rmSync(inFolder('dist', 'told.json'), { force: true });
    lines(['no call']);
    const [first, second]: Complaint[][] = [[], []];
    toldByCause(folderOfCalls(), smallEdition, first!);
    toldByCause(folderOfCalls(), smallEdition, second!);
    keepTold(folderOfCalls());
    expect([first!.length, second!.length]).toEqual([1, 1]);
    expect(existsSync(inFolder('dist', 'told.json'))).toBe(false);
  });
});
