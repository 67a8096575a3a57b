import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { caseView, learningView } from '@sounding/contract/api.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { openTestDesk, type TestDesk } from './testDesk.ts';

/** Cases of the demo whose cause is confirmed from the start. */
const OF_THE_DEMO = 3;
let desk: TestDesk;
beforeAll(async () => {
  desk = await openTestDesk('learning');
});
afterAll(() => desk.close());

const learning = async () => learningView.parse((await desk.agent.get('/api/learning')).body);
const standing = (): Promise<Edition> => desk.standing();
const outcome = (causeId = 'pear-rust') => ({ id: randomUUID(), causeId, confirmedBy: 'laboratory', note: '' });

/** A question about a pear with one settled answer and one that was not known. */
async function askedAboutPear(): Promise<{ caseId: string; questionId: string }> {
  const [caseId, questionId] = [randomUUID(), randomUUID()];
  await desk.agent.post('/api/cases').send({ id: caseId, questionId, channel: 'telephone', caller: { name: 'Tilda Rook', place: 'Test Lane' } });
  await desk.agent.patch(`/api/questions/${questionId}`).send({ hostId: 'pear' });
  const reading = (finding: string, answer: string) => ({ id: randomUUID(), finding, answer, channel: 'caller' });
  await desk.agent.post(`/api/questions/${questionId}/readings`).send(reading('juniper-nearby', 'no'));
  await desk.agent.post(`/api/questions/${questionId}/readings`).send(reading('honeydew', 'unknown'));
  return { caseId, questionId };
}

describe('outcomes and what is learned from them', () => {
  let asked: { caseId: string; questionId: string };
  it('starts with what the demo has confirmed and the figures as they are written', async () => {
    const { confirmed, standing: taken, history } = await learning();
    expect([confirmed, taken, history]).toEqual([OF_THE_DEMO, null, []]);
    expect(await standing()).not.toHaveProperty('learned');
  });
  it('sets down what a question turned out to be, and takes a second word on it for the first', async () => {
    asked = await askedAboutPear();
    const put = (body: object) => desk.agent.put(`/api/questions/${asked.questionId}/outcome`).send(body);
    expect((await put(outcome('aphids'))).status).toBe(204);
    expect((await put(outcome())).status).toBe(204);
    const view = caseView.parse((await desk.agent.get(`/api/cases/${asked.caseId}`)).body);
    expect(view.questions[0]?.outcome).toMatchObject({ causeId: 'pear-rust', confirmedBy: 'laboratory', on: '2026-06-14' });
    expect((await learning()).confirmed).toBe(OF_THE_DEMO + 1);
  });
  it('names the field of a cause nobody has defined, and knows no question of another desk', async () => {
    const bad = await desk.agent.put(`/api/questions/${asked.questionId}/outcome`).send(outcome('moon-blight'));
    expect([bad.status, (bad.body as { detail: string }).detail]).toEqual([400, expect.stringContaining('causeId: "moon-blight"')]);
    expect((await desk.agent.put(`/api/questions/${randomUUID()}/outcome`).send(outcome())).status).toBe(404);
  });
  it('shows what it would change before anybody takes it over, and leaves the edition alone', async () => {
    const { changes, standing: taken } = await learning();
    expect(taken).toBeNull();
    expect(changes.find((c) => c.cause === 'pear-rust' && c.what === 'odds')!.after).toBeGreaterThan(1);
    expect(changes.some((c) => c.finding === 'juniper-nearby' && c.answer === 'no' && c.after > c.before)).toBe(true);
    expect(changes.some((c) => c.finding === 'honeydew')).toBe(false); // "cannot say" is no answer
    expect(await standing()).not.toHaveProperty('learned');
  });
  it('is taken over by the coordinator only, and makes an edition of its own', async () => {
    await desk.seat('volunteer');
    expect((await desk.agent.post('/api/learning')).status).toBe(403);
    await desk.seat('coordinator');
    const before = (await desk.session()).edition;
    expect((await desk.agent.post('/api/learning')).status).toBe(204);
    const edition = await standing();
    expect(edition.version).toMatch(new RegExp(`^${before}\\+`));
    expect(edition.learned?.outcomes).toContainEqual({
      cause: 'pear-rust',
      host: 'pear',
      on: '2026-06-14',
      findings: [{ finding: 'juniper-nearby', answer: 'no' }],
    });
    expect((await learning()).standing).toMatchObject({ outcomes: OF_THE_DEMO + 1 });
  });
  it('can be set back, and every step is kept', async () => {
    expect((await desk.agent.delete('/api/learning')).status).toBe(204);
    expect((await desk.session()).edition).toBe(desk.edition.version);
    const { standing: taken, history } = await learning();
    expect(taken).toBeNull();
    expect(history.map(({ outcomes }) => outcomes)).toEqual([0, OF_THE_DEMO + 1]);
  });
  it('forgets a confirmation that is taken back', async () => {
    expect((await desk.agent.delete(`/api/questions/${asked.questionId}/outcome`)).status).toBe(204);
    expect((await learning()).confirmed).toBe(OF_THE_DEMO);
  });
});
