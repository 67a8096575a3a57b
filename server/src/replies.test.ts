import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { mailView } from '@sounding/contract/plan.ts';
import { z } from 'zod';
import { openTestDesk, type TestDesk } from './testDesk.ts';

let desk: TestDesk;
let questionId: string;
const BODY = 'Dear Tilda,\n\nIt is probably box psyllid.\n\nLabels and local rules come first.';
beforeAll(async () => {
  desk = await openTestDesk('replies');
  const id = randomUUID();
  questionId = randomUUID();
  await desk.agent.post('/api/cases').send({ id, questionId, channel: 'telephone', caller: { name: 'Tilda Rook' } });
  const application = (on: string, state: string) => ({
    id: randomUUID(),
    labelId: 'lakewash-soap',
    useId: 'ornamentals',
    on,
    state,
    hours: '6–9',
    fixed: false,
    say: '100 ml in 5 litres',
    base: '100',
  });
  await desk.agent.patch(`/api/questions/${questionId}`).send({
    hostId: 'box',
    plan: {
      labelId: 'lakewash-soap',
      useId: 'ornamentals',
      equipment: null,
      target: null,
      system: 'metric',
      wanted: 2,
      harvestEvery: null,
      rotate: false,
      sums: [],
      applications: [application('2026-06-15', 'planned'), application('2026-06-25', 'planned'), application('2026-07-05', 'skipped')],
    },
  });
});
afterAll(() => desk.close());

const advise = (body: string) =>
  desk.agent.put(`/api/questions/${questionId}/advice`).send({
    id: randomUUID(),
    body,
    act: 'contact',
    causeId: 'box-psyllid',
    probability: 0.9,
    edition: desk.edition.version,
    date: '2026-06-14',
    followUpOn: '2026-06-28',
  });

describe('what leaves the desk', () => {
  it('is nothing before the advisor has saved it', async () => {
    expect((await desk.agent.get(`/api/questions/${questionId}/reply.pdf`)).status).toBe(409);
    const mail = { id: randomUUID(), to: 'tilda@lindwater.example', subject: 'Your box', body: BODY };
    expect((await desk.agent.post(`/api/questions/${questionId}/mail`).send(mail)).status).toBe(409);
    expect((await advise(BODY)).status).toBe(204);
  });
  it('is a PDF of one page in the fonts that ship', async () => {
    const answer = await desk.agent
      .get(`/api/questions/${questionId}/reply.pdf`)
      .buffer(true)
      .parse((res, done) => {
        const chunks: Buffer[] = [];
        res.on('data', (chunk: Buffer) => chunks.push(chunk));
        res.on('end', () => done(null, Buffer.concat(chunks)));
      });
    const pdf = (answer.body as Buffer).toString('latin1');
    expect(pdf.startsWith('%PDF-')).toBe(true);
    expect(pdf.match(/\/Type \/Page\b(?!s)/g)).toHaveLength(1);
    expect(pdf).toContain('SourceSans3');
  });
  it('is a letter in the outbox with the reply, the page and the calendar, stored once', async () => {
    const mail = { id: randomUUID(), to: 'tilda@lindwater.example', subject: 'Your box', body: BODY };
    for (let i = 0; i < 2; i++) expect((await desk.agent.post(`/api/questions/${questionId}/mail`).send(mail)).status).toBe(204);
    const outbox = z.array(mailView).parse((await desk.agent.get('/api/outbox')).body);
    expect(outbox).toEqual([expect.objectContaining({ to: 'tilda@lindwater.example', subject: 'Your box', questionId })]);
    const eml = (await desk.agent.get(`/api/outbox/${mail.id}.eml`).buffer(true)).text ?? '';
    const raw = eml || String((await desk.agent.get(`/api/outbox/${mail.id}.eml`)).body);
    expect(raw).toContain('To: tilda@lindwater.example');
    expect(raw).toContain('filename=reply.pdf');
    expect(raw).toContain('filename=plan.ics');
    expect(raw).toContain('It is probably box psyllid.');
  });
  it('is never another text than the one on the screen, nor to no address', async () => {
    const mail = { id: randomUUID(), to: 'tilda@lindwater.example', subject: 'Your box', body: `${BODY} And more.` };
    expect((await desk.agent.post(`/api/questions/${questionId}/mail`).send(mail)).status).toBe(409);
    expect((await desk.agent.post(`/api/questions/${questionId}/mail`).send({ ...mail, body: BODY, to: 'tilda' })).status).toBe(400);
  });
  it('is a calendar file of whole days, each with an alarm; what was skipped is not in it', async () => {
    const text = (await desk.agent.get(`/api/questions/${questionId}/plan.ics`)).text;
    expect(text).toContain('BEGIN:VCALENDAR');
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(3); // two applications and the call back
    expect(text.match(/BEGIN:VALARM/g)).toHaveLength(3);
    expect(text).toContain('DTSTART;VALUE=DATE:20260615');
    expect(text).toContain('DTSTART;VALUE=DATE:20260628');
    expect(text).not.toContain('20260705');
    expect((await desk.agent.get(`/api/questions/${questionId}/plan.ics?note=2027-04-30`)).text).toContain('DTSTART;VALUE=DATE:20270430');
    expect((await desk.agent.get(`/api/questions/${questionId}/plan.ics?note=soon`)).status).toBe(400);
    expect(text.replace(/\r\n /g, '')).toContain('Lakewash Soap');
  });
});
