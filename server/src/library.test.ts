import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { entryView, importView, libraryChange, sessionView, type SessionView } from '@sounding/contract/api.ts';
import type { Inspection } from '@sounding/core/edition/inspections.ts';
import { openTestDesk, type TestDesk } from './testDesk.ts';

let desk: TestDesk;
let agent: TestDesk['agent'];
beforeAll(async () => {
  desk = await openTestDesk('library');
  ({ agent } = desk);
});
afterAll(() => desk.close());

const session = async (): Promise<SessionView> => sessionView.parse((await agent.get('/api/session')).body);
const entry = async (path = 'causes/pear-rust') => entryView.parse((await agent.get(`/api/library/entries/${path}`)).body);
const worthOfRust = async () => (await desk.standing()).causes.find((cause) => cause.id === 'pear-rust')?.worth;
const put = (text: string, path = 'causes/pear-rust') => agent.put(`/api/library/entries/${path}`).send({ text, note: 'house line' });
const ours = async () => (await entry()).text.replace(/^worth: .*$/m, 'worth: Our desk leaves it alone.');
async function seat(role: string): Promise<void> {
  const person = (await session()).people.find((p) => p.role === role)!;
  expect((await agent.put('/api/session/seat').send({ personId: person.id })).status).toBe(204);
  expect((await session()).person.name).toBe(person.name);
}

describe('the library of a desk', () => {
  it('is the shipped one at first, and shows an entry as it is written', async () => {
    expect(await entry()).toMatchObject({ from: 'shipped', history: [] });
    expect((await entry()).text).toMatch(/^id: pear-rust$/m);
    expect((await agent.get('/api/library/entries/causes/moon-blight')).status).toBe(404);
    expect((await agent.get('/api/library/entries/moons/x')).status).toBe(400);
  });
  it('names the works an entry can be checked against, none where nobody knows of any', async () => {
    const works = (await desk.agent.get('/api/library/works/clubroot').expect(200)).body as string[];
    expect(works[0]).toContain('clubroot disease');
    expect((await desk.agent.get('/api/library/works/phantom').expect(200)).body).toEqual([]);
  });
  it('gives the tests that are read out, whose results are readings of the edition', async () => {
    const tests = (await desk.agent.get('/api/library/inspections').expect(200)).body as Inspection[];
    const scratch = tests.find(({ id }) => id.startsWith('scratch'));
    expect(scratch?.steps.length).toBeGreaterThan(1);
    expect(scratch?.results.flatMap(({ readings }) => readings)).not.toHaveLength(0);
  });
  it('is not written by a volunteer', async () => {
    await seat('volunteer');
    const answer = await put(await ours());
    expect([answer.status, (answer.body as { detail: string }).detail]).toEqual([403, 'Only the coordinator of the desk writes in its library.']);
    expect((await entry()).from).toBe('shipped');
  });
  it('takes the coordinator’s words, keeps who and when, and makes an edition of them', async () => {
    await seat('coordinator');
    const before = (await session()).edition;
    const change = libraryChange.parse((await put(await ours())).body);
    expect(change.edition).not.toBe(before);
    expect((await session()).edition).toBe(change.edition);
    expect(await worthOfRust()).toBe('Our desk leaves it alone.');
    const kept = await entry();
    expect(kept.from).toBe('desk');
    expect(kept.history).toEqual([{ revision: 1, at: '2026-06-14T09:00:00.000Z', by: 'Corvin Halloway-Brisk', note: 'house line', back: false }]);
    expect((await agent.get(`/api/editions/${before}/packed`)).status).toBe(200);
  });
  it('refuses what the lint refuses, names the line, and writes nothing', async () => {
    const answer = await put((await entry()).text.replace('orange-bright: always', 'orange-bright: perhaps'));
    expect(answer.status).toBe(400);
    expect((answer.body as { errors: { pointer: string; detail: string }[] }).errors[0]).toMatchObject({
      pointer: expect.stringMatching(/^desk\/causes\/pear-rust:\d+$/) as unknown,
      detail: expect.stringContaining('perhaps') as unknown,
    });
    expect((await entry()).history).toHaveLength(1);
    expect((await put('id: other\n')).status).toBe(400);
    expect((await put('- {')).status).toBe(400);
  });
  it('takes the last words back, again and again', async () => {
    await put((await ours()).replace('leaves it alone', 'shrugs'));
    expect(await worthOfRust()).toBe('Our desk shrugs.');
    expect((await agent.post('/api/library/entries/causes/pear-rust/undo')).status).toBe(200);
    expect(await worthOfRust()).toBe('Our desk leaves it alone.');
    expect((await entry()).history.map((h) => h.note)[0]).toBe('taken back: revision 2');
    expect((await agent.post('/api/library/entries/causes/apple-scab/undo')).status).toBe(409);
  });
  it.each(['yaml', 'json'])(
    'goes out as %s and comes in again as it was',
    async (format) => {
      const out = await agent
        .get(`/api/library/export.${format}`)
        .buffer(true)
        .parse((res, done) => {
          const pieces: Buffer[] = [];
          res.on('data', (piece: Buffer) => void pieces.push(piece));
          res.on('end', () => done(null, Buffer.concat(pieces).toString('utf8')));
        });
      const text = out.body as string;
      const same = importView.parse((await agent.post('/api/library/import').send({ text })).body);
      expect(same).toMatchObject({ applied: false, changes: [], edition: (await session()).edition });
      expect(same.complaints.filter((c) => c.level === 'error')).toEqual([]);
      const changed = text.replaceAll('Our desk leaves it alone.', `Our desk waits (${format}).`);
      const tried = importView.parse((await agent.post('/api/library/import').send({ text: changed })).body);
      expect(tried.changes).toEqual([{ kind: 'causes', id: 'pear-rust', what: 'changed' }]);
      expect(await worthOfRust()).toBe('Our desk leaves it alone.');
      importView.parse((await agent.post('/api/library/import').send({ text: changed, apply: true })).body);
      expect(await worthOfRust()).toBe(`Our desk waits (${format}).`);
      await agent.post('/api/library/entries/causes/pear-rust/undo');
    },
    240_000, // five compilations of the whole library
  );
  it('says what is wrong with a file that is no library', async () => {
    const detail = async (text: string) => ((await agent.post('/api/library/import').send({ text })).body as { detail: string }).detail;
    expect(await detail('[1]')).toMatch(/wants an object with plants, findings and causes/);
    expect(await detail('weeds: []')).toMatch(/"weeds" is not one of/);
    expect(await detail('causes: [{}]')).toMatch(/causes\[0\]: has no id/);
  });
  it('changes seats only to people of the desk', async () =>
    expect((await agent.put('/api/session/seat').send({ personId: '00000000-0000-4000-8000-000000000000' })).status).toBe(409));
});
