import type { Server } from 'node:http';
import { fileURLToPath } from 'node:url';
import { sessionView, type SessionView } from '@sounding/contract/api.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { compile } from '@sounding/knowledge/compile.ts';
import { pino } from 'pino';
import request from 'supertest';
import { createApp } from './app.ts';
import { connect, migrateDatabase, type Connection, type Database } from './db/connect.ts';
import { seedDemo } from './demo/seed.ts';
import { InstrumentHub } from './instruments/hub.ts';
import { unpackEdition, type PackedEdition } from '@sounding/core/edition/packed.ts';
import { DeskLibrary } from './library/deskLibrary.ts';
import { workshopHere, type Workshop } from './library/workshop.ts';
import { PackedEditions } from './library/packedEditions.ts';

export interface Listening {
  url: string;
  close: () => void;
}

/** A server of a test on a free port of loopback. */
export function listenOnLoopback(server: Server): Promise<Listening> {
  return new Promise((resolve) =>
    server.listen(0, '127.0.0.1', () => {
      const address = server.address();
      resolve({
        url: `http://127.0.0.1:${typeof address === 'object' && address ? address.port : 0}`,
        close: () => {
          server.close();
          server.closeAllConnections();
        },
      });
    }),
  );
}

export interface TestDesk {
  agent: ReturnType<typeof request.agent>;
  connection: Connection;
  edition: Edition;
  session: () => Promise<SessionView>;
  /** The edition that stands at the desk now, as a browser gets it. */
  standing: () => Promise<Edition>;
  /** Seats the first person of the desk with this role. */
  seat: (role: string) => Promise<void>;
  close: () => Promise<void>;
}

interface Instead {
  fetchWeather?: (db: Database, deskId: string, until: string) => Promise<void>;
  /** What compiles libraries, made of what does so otherwise. */
  workshop?: (usual: Workshop) => Workshop;
}

/** The demo desk on a real PostgreSQL, in a database of its own; for tests. */
export async function openTestDesk(name: string, { fetchWeather, workshop = (usual) => usual }: Instead = {}): Promise<TestDesk> {
  const knowledgeRoot = fileURLToPath(new URL('../../knowledge/data', import.meta.url));
  const base = process.env['DATABASE_URL'] ?? '';
  const databaseName = `sounding_${name}_${process.pid}`;
  const { edition, works, inspections } = compile(knowledgeRoot);
  const admin = connect(base, () => undefined);
  await admin.pool.query(`create database ${databaseName}`);
  const connection = connect(base.replace(/\/[^/]+$/, `/${databaseName}`), () => undefined);
  await migrateDatabase(connection, fileURLToPath(new URL('../drizzle', import.meta.url)));
  await seedDemo(connection.db, edition);
  const instruments = new InstrumentHub([], () => Promise.resolve());
  const services = {
    db: connection.db,
    library: new DeskLibrary(connection.db, workshop(workshopHere(knowledgeRoot)), edition),
    works,
    inspections,
    packed: new PackedEditions(),
    now: () => new Date('2026-06-14T09:00:00Z'),
    secureCookies: false,
    instruments,
    fonts: fileURLToPath(new URL('../../node_modules/source-sans/TTF', import.meta.url)),
    fetchWeather: async (deskId: string, until: string) => fetchWeather?.(connection.db, deskId, until),
  };
  const agent = request.agent(createApp(services, pino({ level: 'silent' }), null));
  const session = async () => sessionView.parse((await agent.get('/api/session')).body);
  return {
    agent,
    connection,
    edition,
    session,
    standing: async () =>
      unpackEdition((await agent.get(`/api/editions/${encodeURIComponent((await session()).edition)}/packed`)).body as PackedEdition),
    seat: async (role) => {
      const person = (await session()).people.find((p) => p.role === role);
      const answer = await agent.put('/api/session/seat').send({ personId: person?.id });
      if (answer.status !== 204) throw new Error(`could not take the seat of a ${role}: ${answer.status}`);
    },
    close: async () => {
      await connection.pool.end();
      await admin.pool.query(`drop database ${databaseName} with (force)`);
      await admin.pool.end();
    },
  };
}
