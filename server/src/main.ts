import { existsSync, readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Inspection } from '@sounding/core/edition/inspections.ts';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { connect, migrateDatabase, type Database } from './db/connect.ts';
import { seedDemo } from './demo/seed.ts';
import { fetchDesk } from './weather/fetch.ts';
import { weatherClient } from './weather/client.ts';
import { startWeatherJobs } from './weather/jobs.ts';
import { DeskLibrary } from './library/deskLibrary.ts';
import { workshopApart } from './library/workshopApart.ts';
import { PackedEditions } from './library/packedEditions.ts';
import { tableDeskId } from './db/desk.ts';
import { keepReading } from './db/instrumentReadings.ts';
import { InstrumentHub } from './instruments/hub.ts';
import { startStandin } from './standins/process.ts';

const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' });

function need(name: string): string {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set`);
  return value;
}

/** What the build packed of this edition, if it did. */
function packedAtBuild(root: string, version: string): Map<string, Buffer> {
  const file = join(root, `knowledge/dist/${version}.edition.br`);
  return new Map(existsSync(file) ? [[version, readFileSync(file)]] : []);
}

/** Folders are passed in by the start command: a bundle does not know where it lies. */
async function main(): Promise<void> {
  const root = need('SOUNDING_ROOT');
  const port = Number(process.env['PORT'] ?? 4747);
  if (!Number.isInteger(port) || port < 0 || port > 65535) throw new Error(`PORT: "${process.env['PORT'] ?? ''}" is not a port number`);
  const knowledge = <Part>(file: string) => JSON.parse(readFileSync(join(root, 'knowledge/dist', file), 'utf8')) as Part;
  const edition = knowledge<Edition>('edition.json');
  const connection = connect(need('DATABASE_URL'), (error) => log.warn({ err: error.message }, 'database connection lost'));
  await migrateDatabase(connection, join(root, 'server/drizzle'));
  if (process.env['SOUNDING_DEMO'] !== '0') await seedDemo(connection.db, edition);
  const { db } = connection;
  const service = process.env['WEATHER_URL'] ? null : await startStandin(join(root, 'server/dist/weatherService.js'));
  const client = weatherClient(process.env['WEATHER_URL'] ?? service?.address ?? '');
  const now = () => new Date();
  const table = process.env['SOUNDING_INSTRUMENTS'] === undefined ? await startStandin(join(root, 'server/dist/instruments.js')) : null;
  const instruments = await listenToTable(db, process.env['SOUNDING_INSTRUMENTS'] ?? table?.address ?? '', now);
  const jobs = await startWeatherJobs(need('DATABASE_URL'), db, client, now, log);
  const workshop = workshopApart(join(root, 'server/dist/workshop.js'), join(root, 'knowledge/data'));
  const app = createApp(
    {
      db,
      library: new DeskLibrary(db, workshop, edition),
      works: new Map(Object.entries(knowledge<Record<string, string[]>>('works.json'))),
      inspections: knowledge<Inspection[]>('inspections.json'),
      packed: new PackedEditions(packedAtBuild(root, edition.version)),
      now,
      secureCookies: false,
      fonts: join(root, 'node_modules/source-sans/TTF'),
      instruments,
      fetchWeather: async (deskId, until) => void (await fetchDesk(db, client, deskId, until, now())),
    },
    log,
    join(root, 'web/dist'),
  );
  const server = createServer(app);
  server.on('error', (error: NodeJS.ErrnoException) => {
    // the usual port is a wish, one that was asked for is an order
    if (error.code === 'EADDRINUSE' && process.env['PORT'] === undefined && !server.listening) server.listen(0, '127.0.0.1');
    else fail(`cannot listen on port ${port}: ${error.message}`);
  });
  server.on('listening', () => {
    const address = server.address();
    process.stdout.write(`Sounding is ready: http://127.0.0.1:${typeof address === 'object' && address ? address.port : port}/\n`);
  });
  server.listen(port, '127.0.0.1');
  const stop = (): void => {
    service?.stop();
    instruments.stop();
    table?.stop();
    server.close(() => void Promise.all([jobs.stop({ graceful: false }), workshop.close(), connection.pool.end()]).then(() => process.exit(0)));
    server.closeAllConnections();
    setTimeout(() => process.exit(0), 3000).unref();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

/** The instruments at the table of the desk this machine stands on; addresses are "host:port", with commas between. */
async function listenToTable(db: Database, addresses: string, now: () => Date): Promise<InstrumentHub> {
  const deskId = await tableDeskId(db);
  const listed = addresses.split(',').filter(Boolean);
  const hub = new InstrumentHub(
    deskId === null ? [] : listed,
    async (reading) => {
      if (deskId !== null) await keepReading(db, deskId, reading, now());
    },
    deskId,
  );
  hub.start();
  return hub;
}

function fail(reason: string): never {
  process.stderr.write(`sounding: ${reason}\n`);
  process.exit(1);
}

main().catch((error: unknown) => fail(error instanceof Error ? error.message : String(error)));
