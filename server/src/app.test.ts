import { randomUUID } from 'node:crypto';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { caseList, caseView, sessionView, weatherView, type CaseView, type SessionView } from '@sounding/contract/api.ts';
import { compile } from '@sounding/knowledge/compile.ts';
import { pino } from 'pino';
import { sql } from 'drizzle-orm';
import request from 'supertest';
import { createApp } from './app.ts';
import { connect, migrateDatabase, type Connection } from './db/connect.ts';
import { desks, people } from './db/schema.ts';
import { DEMO_STATIONS } from './demo/lindwater.ts';
import { seedDemo } from './demo/seed.ts';
import type { Services } from './http.ts';
import { InstrumentHub } from './instruments/hub.ts';
import { unpackEdition, type PackedEdition } from '@sounding/core/edition/packed.ts';
import { DeskLibrary } from './library/deskLibrary.ts';
import { workshopHere } from './library/workshop.ts';
import { PackedEditions } from './library/packedEditions.ts';
import { listenOnLoopback, type Listening } from './testDesk.ts';
import { createWeatherService } from './standins/weatherService.ts';
import { weatherClient } from './weather/client.ts';
import { fetchDesk } from './weather/fetch.ts';

const knowledgeRoot = fileURLToPath(new URL('../../knowledge/data', import.meta.url));
const { edition } = compile(knowledgeRoot);
const migrations = fileURLToPath(new URL('../drizzle', import.meta.url));
const base = process.env['DATABASE_URL'] ?? '';
const databaseName = `sounding_${process.pid}`;
const ownUrl = base.replace(/\/[^/]+$/, `/${databaseName}`);
let admin: Connection;
let connection: Connection;
let services: Services;
let weather: Listening;
let agent: ReturnType<typeof request.agent>;
let session: SessionView;

// a real PostgreSQL, a database of this file's own
beforeAll(async () => {
  admin = connect(base, () => undefined);
  await admin.pool.query(`create database ${databaseName}`);
  connection = connect(ownUrl, () => undefined);
  await Promise.all([migrateDatabase(connection, migrations), migrateDatabase(connection, migrations)]);
  await seedDemo(connection.db, edition);
  weather = await listenOnLoopback(createWeatherService(DEMO_STATIONS));
  services = {
    db: connection.db,
    library: new DeskLibrary(connection.db, workshopHere(knowledgeRoot), edition),
    works: new Map(),
    inspections: [],
    packed: new PackedEditions(),
    now: () => new Date('2026-06-14T09:00:00Z'),
    secureCookies: false,
    instruments: new InstrumentHub([], () => Promise.resolve()),
    fonts: '',
    fetchWeather: async (deskId, until) => void (await fetchDesk(connection.db, weatherClient(weather.url), deskId, until, services.now())),
  };
  agent = request.agent(createApp(services, pino({ level: 'silent' }), null));
  session = sessionView.parse((await agent.get('/api/session')).body);
});
afterAll(async () => {
  weather.close();
  await connection.pool.end();
  await admin.pool.query(`drop database ${databaseName} with (force)`);
  await admin.pool.end();
});

async function newCase(name = 'Tilda Rook'): Promise<CaseView> {
  const response = await agent
    .post('/api/cases')
    .send({ id: randomUUID(), questionId: randomUUID(), channel: 'telephone', caller: { name, place: 'Test Lane' } });
  expect(response.status).toBe(201);
  return caseView.parse(response.body);
}
const read = async (id: string) => caseView.parse((await agent.get(`/api/cases/${id}`)).body);
const reading = (finding = 'leaf-spots', answer = 'orange-bright') => ({ id: randomUUID(), finding, answer, channel: 'caller' });

describe('desk', () => {
  it('signs a visitor in to the demo desk and tells its stations', () => {
    expect(session.desk).toMatchObject({ name: 'Lindwater Garden Advice Desk', today: '2026-06-14', demo: true });
    expect(session.stations.map((s) => s.name)).toEqual(['Harbour', 'Castle Hill', 'Upper Moor']);
  });
  it('seeds once', async () => {
    await seedDemo(connection.db, edition);
    expect((await connection.db.select().from(desks)).length).toBe(1);
  });
  it('shows weather up to the desk’s day and no further, colder up the hill', async () => {
    const mean = async (i: number) => {
      const { days } = weatherView.parse((await agent.get(`/api/stations/${session.stations[i]!.id}/weather`)).body);
      expect(days.at(-1)?.on).toBe('2026-06-14');
      return days.reduce((s, d) => s + (d.maxC ?? 0), 0) / days.length;
    };
    expect(await mean(0)).toBeGreaterThan(await mean(2));
  });
  it('moves the demo day and fetches the weather for it', async () => {
    expect((await agent.patch('/api/desk').send({ today: '2026-06-20' })).status).toBe(204);
    const { days } = weatherView.parse((await agent.get(`/api/stations/${session.stations[0]!.id}/weather`)).body);
    expect(days.at(-1)?.on).toBe('2026-06-20');
    // and a call comes in on it, whatever day it is elsewhere
    const { receivedAt } = await newCase('Orla Finch');
    expect(receivedAt.slice(0, 10)).toBe('2026-06-20');
    await agent.patch('/api/desk').send({ today: '2026-06-14' });
  });
  it('hands out the edition for ever and none that was never used', async () => {
    const found = await agent.get(`/api/editions/${edition.version}/packed`);
    expect(found.headers['cache-control']).toContain('immutable');
    expect(unpackEdition(found.body as PackedEdition)).toEqual(JSON.parse(JSON.stringify(edition)));
    expect((await agent.get('/api/editions/1999.01-zz/packed')).status).toBe(404);
  });
});

describe('a case', () => {
  it('keeps words, readings, host and reply, and gives them back as they were', async () => {
    const { id, questions } = await newCase();
    const q = questions[0]!.id;
    const first = reading();
    await agent
      .post(`/api/questions/${q}/statements`)
      .send({ id: randomUUID(), said: 'orange spots', readings: [first] })
      .expect(204);
    await agent.post(`/api/questions/${q}/readings`).send(reading('juniper-nearby', 'yes')).expect(204);
    await agent.patch(`/api/questions/${q}`).send({ hostId: 'pear' }).expect(204);
    await agent
      .post(`/api/questions/${q}/snapshots`)
      .send({ id: randomUUID(), edition: edition.version, engine: '1', standing: [{ cause: 'pear-rust', probability: 0.95 }], readings: [first.id] })
      .expect(204);
    await agent
      .put(`/api/questions/${q}/advice`)
      .send({
        id: randomUUID(),
        body: 'Dear caller',
        act: 'leave',
        causeId: 'pear-rust',
        probability: 0.95,
        edition: edition.version,
        date: '2026-06-14',
        followUpOn: '2026-06-28',
      })
      .expect(204);
    const view = await read(id);
    expect(view).toMatchObject({ status: 'answered', followUpOn: '2026-06-28', hosts: ['pear'], causes: ['pear-rust'] });
    expect(view.questions[0]).toMatchObject({
      hostId: 'pear',
      statements: [{ said: 'orange spots' }],
      advice: { body: 'Dear caller', by: 'Ada Fennlin' },
      snapshot: { standing: [{ cause: 'pear-rust', probability: 0.95 }] },
    });
    expect(view.questions[0]!.readings.map((r) => r.finding)).toEqual(['leaf-spots', 'juniper-nearby']);
  });
  it('stores a write that is sent twice only once', async () => {
    const { id, questions } = await newCase();
    const statement = { id: randomUUID(), said: 'orange spots', readings: [reading()] };
    for (let i = 0; i < 2; i++) await agent.post(`/api/questions/${questions[0]!.id}/statements`).send(statement).expect(204);
    const view = await read(id);
    expect([view.questions[0]!.statements.length, view.questions[0]!.readings.length]).toEqual([1, 1]);
  });
  it('withdraws a reading without losing it, and takes it in again', async () => {
    const { id, questions } = await newCase();
    const r = reading();
    await agent.post(`/api/questions/${questions[0]!.id}/readings`).send(r);
    await agent.patch(`/api/readings/${r.id}`).send({ withdrawn: true }).expect(204);
    expect((await read(id)).questions[0]!.readings[0]!.withdrawnAt).not.toBeNull();
    await agent.patch(`/api/readings/${r.id}`).send({ withdrawn: false }).expect(204);
    expect((await read(id)).questions[0]!.readings[0]!.withdrawnAt).toBeNull();
  });
  it('holds several questions', async () => {
    const { id } = await newCase();
    await agent.post(`/api/cases/${id}/questions`).send({ id: randomUUID() }).expect(201);
    expect((await read(id)).questions.map((q) => q.position)).toEqual([1, 2]);
  });
  it('is found by caller, words, plant, cause and number', async () => {
    const find = async (search: string) => caseList.parse((await agent.get('/api/cases').query({ search })).body).cases.map((c) => c.caller.name);
    expect(await find('wanda')).toEqual(['Wanda Pell']);
    expect(await find('late blight')).toContain('Wanda Pell');
    expect(await find('oleander')).toContain('Oswin Tarn');
    expect(await find('weedkiller on his drive')).toEqual(['Silvan Roke']);
    expect(await find('#3')).toHaveLength(1);
    expect(await find('100%_sure')).toEqual([]);
  });
  it('answered from the card of the plant is found under care', async () => {
    const { questions } = await newCase();
    const q = questions[0]!.id;
    const advice = {
      id: randomUUID(),
      body: 'Prune it in winter.',
      act: 'culture',
      causeId: 'care',
      probability: 1,
      edition: edition.version,
      date: '2026-06-14',
    };
    await agent.put(`/api/questions/${q}/advice`).send(advice).expect(204);
    const { cases } = caseList.parse((await agent.get('/api/cases').query({ search: 'care' })).body);
    expect(cases.filter((c) => c.causes.includes('care')).map((c) => c.caller.name)).toEqual(['Tilda Rook', 'Leopold Grane']);
  });
  it('puts people on the line before letters', async () => {
    const { cases } = caseList.parse((await agent.get('/api/cases').query({ status: 'waiting' })).body);
    const channels = cases.map((c) => c.channel);
    expect(channels.lastIndexOf('telephone')).toBeLessThan(channels.indexOf('email'));
  });
});

describe('a garden', () => {
  it('remembers a plant that came up, once', async () => {
    const { questions } = await newCase();
    const [before] = (await connection.db.execute<{ n: number }>(sql`select count(*)::int as n from plants where host_id = 'quince'`)).rows;
    for (let i = 0; i < 2; i++) await agent.patch(`/api/questions/${questions[0]!.id}`).send({ hostId: 'quince' }).expect(204);
    const [after] = (await connection.db.execute<{ n: number }>(sql`select count(*)::int as n from plants where host_id = 'quince'`)).rows;
    expect(after!.n - before!.n).toBe(1);
  });
});

describe('what cannot be taken', () => {
  it.each([
    ['a reading nobody has defined', 'readings', { ...reading('moonlight', 'full') }, '#/finding', /"moonlight" is not a finding/],
    ['an answer nobody has defined', 'readings', { ...reading('leaf-spots', 'tartan') }, '#/answer', /"tartan" is not an answer to leaf-spots/],
    ['a channel that does not exist', 'readings', { ...reading(), channel: 'dream' }, '#/channel', /Invalid option/],
    ['an empty statement', 'statements', { id: randomUUID(), said: '' }, '#/said', /there is nothing said/],
  ])('%s is a problem that says what and where', async (_name, what, body, pointer, detail) => {
    const { id, questions } = await newCase();
    const response = await agent.post(`/api/questions/${questions[0]!.id}/${what}`).send(body);
    expect(response.status).toBe(400);
    expect(response.headers['content-type']).toContain('application/problem+json');
    expect(response.body).toMatchObject({ type: 'urn:sounding:invalid-request', errors: [{ pointer }] });
    expect((response.body as { detail: string }).detail).toMatch(detail);
    expect((await read(id)).questions[0]!.readings).toEqual([]);
  });
  it.each([
    ['/api/cases/not-an-id', 404],
    [`/api/cases/${randomUUID()}`, 404],
    ['/api/nothing', 404],
    ['/api/cases?limit=many', 400],
  ])('%s answers %p as a problem', async (path, status) => {
    const response = await agent.get(path);
    expect(response.status).toBe(status);
    expect(response.body).toMatchObject({ status });
  });
  it('says so when the body is no JSON', async () => {
    const response = await agent.post('/api/cases').set('content-type', 'application/json').send('{"id":');
    expect(response.body).toMatchObject({ status: 400, detail: 'The body is not JSON.' });
  });
  it('does not show one desk the cases of another', async () => {
    const { id } = await newCase();
    const other = randomUUID();
    await connection.db.insert(desks).values({ id: other, name: 'Elsewhere', climate: 'arid', hemisphere: 'S', demo: false });
    const person = randomUUID();
    await connection.db.insert(people).values({ id: person, deskId: other, name: 'Zed', role: 'advisor' });
    const { readCase, listCases } = await import('./db/caseReader.ts');
    await expect(readCase(connection.db, other, id)).rejects.toThrow(/no such case/);
    expect((await listCases(connection.db, other, { search: '', limit: 50, offset: 0 }, { causes: [], plants: [] })).total).toBe(0);
    await connection.db.execute(sql`delete from people where id = ${person}`);
    await connection.db.execute(sql`delete from desks where id = ${other}`);
  });
});

describe('a database that goes away', () => {
  it('is a 503 that promises nothing is lost, and the server lives on when it returns', async () => {
    const { id, questions } = await newCase();
    const kept = reading();
    await agent.post(`/api/questions/${questions[0]!.id}/readings`).send(kept).expect(204);
    // every connection of this database cut, and no new one let in
    await admin.pool.query(`alter database ${databaseName} allow_connections false`);
    await admin.pool.query('select pg_terminate_backend(pid) from pg_stat_activity where datname = $1', [databaseName]);
    const lost = reading('juniper-nearby', 'yes');
    const down = await agent.post(`/api/questions/${questions[0]!.id}/readings`).send(lost);
    expect(down.status).toBeGreaterThanOrEqual(500);
    await admin.pool.query(`alter database ${databaseName} allow_connections true`);
    await agent.post(`/api/questions/${questions[0]!.id}/readings`).send(lost).expect(204);
    expect((await read(id)).questions[0]!.readings.map((r) => r.id)).toEqual([kept.id, lost.id]);
  });
});

describe('migrations', () => {
  it('rise strictly in time, or drizzle would leave one out', async () => {
    const { default: journal } = (await import('../drizzle/meta/_journal.json', { with: { type: 'json' } })) as {
      default: { entries: { when: number }[] };
    };
    const whens = journal.entries.map((e) => e.when);
    expect(whens).toEqual([...new Set(whens)].sort((a, b) => a - b));
  });
});
