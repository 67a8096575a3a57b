import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { caseView } from '@sounding/contract/api.ts';
import { instrumentsView } from '@sounding/contract/instruments.ts';
import sharp from 'sharp';
import { keepReading } from './db/instrumentReadings.ts';
import { openTestDesk, type TestDesk } from './testDesk.ts';

let desk: TestDesk;
const caseId = randomUUID();
const questionId = randomUUID();
beforeAll(async () => {
  desk = await openTestDesk('evidence');
  await desk.session();
  await desk.agent.post('/api/cases').send({ id: caseId, questionId, channel: 'table', caller: { name: 'Tilda Rook' } });
});
afterAll(() => desk.close());

const question = async () => caseView.parse((await desk.agent.get(`/api/cases/${caseId}`)).body).questions[0]!;
const send = (file: Buffer, query = '', id = randomUUID(), type = 'image/jpeg') =>
  desk.agent.put(`/api/questions/${questionId}/pictures/${id}${query}`).set('Content-Type', type).send(file);
const leaf = (width = 400, height = 300) => sharp({ create: { width, height, channels: 3, background: '#4a7a30' } });

describe('pictures of a case', () => {
  it('lose place, camera and comments before they are stored, and are turned upright', async () => {
    const file = await leaf()
      .withExif({ IFD0: { Model: 'SECRETCAM', Copyright: 'SECRETOWNER' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '47/1 12/1 30/1' } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    expect(file.includes('SECRETCAM')).toBe(true);
    expect((await sharp(file).metadata()).exif).toBeDefined();
    const id = randomUUID();
    expect((await send(file, '', id)).status).toBe(204);
    const { rows } = await desk.connection.pool.query<{ image: Buffer }>('select image from pictures where id = $1', [id]);
    const stored = rows[0]!.image;
    expect(await sharp(stored).metadata()).toMatchObject({ format: 'jpeg', width: 300, height: 400 });
    expect((await sharp(stored).metadata()).exif).toBeUndefined();
    for (const secret of ['SECRETCAM', 'SECRETOWNER', 'Exif', 'GPS']) expect(stored.includes(secret)).toBe(false);
  });
  it('stand in the case under what was read from them, and are sent twice without harm', async () => {
    const statementId = randomUUID();
    const said = { id: statementId, said: '12 % of the leaf is brown', by: 'picture', readings: [] };
    await desk.agent.post(`/api/questions/${questionId}/statements`).send(said);
    const file = await leaf().png().toBuffer();
    const id = randomUUID();
    for (let i = 0; i < 2; i++) expect((await send(file, `?statementId=${statementId}`, id, 'image/png')).status).toBe(204);
    const { pictures, statements } = await question();
    expect(pictures.filter((p) => p.id === id)).toEqual([expect.objectContaining({ statementId, width: 400, height: 300 })]);
    expect(statements.find((s) => s.id === statementId)?.by).toBe('picture');
    const shown = await desk.agent.get(`/api/pictures/${id}`);
    expect(shown.headers['content-type']).toBe('image/jpeg');
    expect(await sharp(shown.body as Buffer).metadata()).toMatchObject({ width: 400, height: 300 });
  });
  it('larger than is needed are made smaller', async () => {
    const id = randomUUID();
    await send(await leaf(3200, 1000).jpeg().toBuffer(), '', id);
    expect((await question()).pictures.find((p) => p.id === id)).toMatchObject({ width: 1600, height: 500 });
  });
  it('cut off, or none at all, are refused with the reason', async () => {
    const noise = sharp({ create: { width: 300, height: 300, channels: 3, background: '#888', noise: { type: 'gaussian', mean: 120, sigma: 60 } } });
    const whole = await noise.jpeg().toBuffer();
    for (const file of [whole.subarray(0, whole.length / 2), Buffer.from('no picture')]) {
      const answer = await send(file);
      expect([answer.status, (answer.body as { detail: string }).detail]).toEqual([400, expect.stringContaining('no picture that can be read')]);
    }
    expect((await send(Buffer.from('{}'), '', randomUUID(), 'application/json')).status).toBe(400);
  });
  it('of another question, or unknown, are not there', async () => {
    expect((await desk.agent.get(`/api/pictures/${randomUUID()}`)).status).toBe(404);
    const file = await leaf().jpeg().toBuffer();
    const elsewhere = await desk.agent.put(`/api/questions/${randomUUID()}/pictures/${randomUUID()}`).set('Content-Type', 'image/jpeg').send(file);
    expect(elsewhere.status).toBe(404);
  });
});

describe('readings of instruments', () => {
  const list = async () => instrumentsView.parse((await desk.agent.get('/api/instruments')).body);
  const reading = { serial: 'LH-01', seq: 7, instrument: 'ph-pen', measured: { ph: 7.8, temperature: 19.5 } } as const;

  it('are stored once however often they come, and noted with the question they were taken in to', async () => {
    const { desk: own } = await desk.session();
    const at = new Date('2026-06-14T09:30:00Z');
    await keepReading(desk.connection.db, own.id, reading, at);
    await keepReading(desk.connection.db, own.id, reading, new Date('2026-06-14T09:31:00Z'));
    const { readings } = await list();
    expect(readings).toEqual([expect.objectContaining({ ...reading, takenAt: at.toISOString(), questionId: null })]);
    const id = readings[0]!.id;
    expect((await desk.agent.patch(`/api/instrument-readings/${id}`).send({ questionId })).status).toBe(204);
    expect((await list()).readings[0]?.questionId).toBe(questionId);
  });
  it('of an instrument that is not there cannot be asked for', async () => {
    const answer = await desk.agent.post('/api/instruments/LH-01/take');
    expect([answer.status, (answer.body as { detail: string }).detail]).toEqual([409, expect.stringContaining('not connected')]);
    expect((await desk.agent.patch(`/api/instrument-readings/${randomUUID()}`).send({ questionId: null })).status).toBe(404);
    expect((await desk.agent.patch(`/api/instrument-readings/${randomUUID()}`).send({ questionId: 'x' })).status).toBe(400);
  });
});
