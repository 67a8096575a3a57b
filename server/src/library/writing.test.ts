import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { entryView } from '@sounding/contract/api.ts';
import { openTestDesk, type TestDesk } from '../testDesk.ts';

/** Trials of a library that have begun, each waiting to be let go on. */
const begun: (() => void)[] = [];
const wanted: ((letGo: () => void) => void)[] = [];
const waitToBegin = () => new Promise<() => void>((resolve) => void (begun.length > 0 ? resolve(begun.shift()!) : wanted.push(resolve)));
async function held(): Promise<void> {
  await new Promise<void>((letGo) => {
    const waiting = wanted.shift();
    if (waiting) waiting(letGo);
    else begun.push(letGo);
  });
}

let desk: TestDesk;
beforeAll(async () => {
  desk = await openTestDesk('writing', {
    workshop: (usual) => ({
      ...usual,
      tryOut: async (job) => held().then(() => usual.tryOut(job)),
      differing: (job) => (job.file === '{}' ? Promise.reject(new Error('the thread died')) : usual.differing(job)),
    }),
  });
  await desk.seat('coordinator');
});
afterAll(() => desk.close());

const entry = async (id: string) => entryView.parse((await desk.agent.get(`/api/library/entries/causes/${id}`)).body);
const worthOf = async (id: string) => (await desk.standing()).causes.find((cause) => cause.id === id)?.worth;
/** Begins to write what an entry says it is worth doing; supertest sends with the first `then`. */
async function beginToWrite(id: string, worth: string): Promise<{ answer: Promise<{ status: number }> }> {
  const text = (await entry(id)).text.replace(/^worth: .*$/m, `worth: ${worth}`);
  const request = desk.agent.put(`/api/library/entries/causes/${id}`).send({ text, note: 'house line' });
  return { answer: request.then(({ status }) => ({ status })) };
}

describe('while a coordinator’s words are tried', () => {
  it('the desk is answered and calls are taken', async () => {
    const { answer } = await beginToWrite('pear-rust', 'Our desk leaves it alone.');
    const letGo = await waitToBegin();
    expect((await desk.session()).person.role).toBe('coordinator');
    await desk.agent
      .post('/api/cases')
      .send({ id: randomUUID(), questionId: randomUUID(), channel: 'telephone', caller: { name: 'Tilda Rook', place: 'Test Lane' } })
      .expect(201);
    expect(await worthOf('pear-rust')).not.toBe('Our desk leaves it alone.');
    letGo();
    expect((await answer).status).toBe(200);
    expect(await worthOf('pear-rust')).toBe('Our desk leaves it alone.');
  });
  it('what another has written meanwhile stands beside them', async () => {
    const first = await beginToWrite('apple-scab', 'Our desk sprays no scab.');
    const letFirstGo = await waitToBegin();
    const second = await beginToWrite('clubroot', 'Our desk limes.');
    (await waitToBegin())();
    expect((await second.answer).status).toBe(200);
    letFirstGo();
    (await waitToBegin())(); // tried again over the words that came between
    expect((await first.answer).status).toBe(200);
    expect(await worthOf('apple-scab')).toBe('Our desk sprays no scab.');
    expect(await worthOf('clubroot')).toBe('Our desk limes.');
    expect([...(await entry('apple-scab')).history, ...(await entry('clubroot')).history].map(({ revision }) => revision)).toEqual([3, 2]);
  });
});

it('a file is not blamed for what befell the workshop', async () => {
  const bring = async (text: string) => (await desk.agent.post('/api/library/import').send({ text })).status;
  expect([await bring('{}'), await bring('[1]')]).toEqual([500, 400]);
});
