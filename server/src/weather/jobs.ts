import { eq } from 'drizzle-orm';
import PgBoss from 'pg-boss';
import type { Logger } from 'pino';
import type { Database } from '../db/connect.ts';
import { deskToday } from '../db/desk.ts';
import { desks, stations } from '../db/schema.ts';
import type { WeatherClient } from './client.ts';
import { fetchDesk } from './fetch.ts';

const QUEUE = 'weather';
/** Every hour, on the hour plus seven minutes. */
const SCHEDULE = '7 * * * *';
const RETRIES = { retryLimit: 5, retryDelay: 30, retryBackoff: true } as const;

/** Polls the weather service for every desk, hourly, with growing pauses when it is in trouble. The queue lives in the database. */
export async function startWeatherJobs(databaseUrl: string, db: Database, client: WeatherClient, now: () => Date, log: Logger): Promise<PgBoss> {
  const boss = new PgBoss({ connectionString: databaseUrl, max: 2 });
  // without a listener a database that goes away would end the process
  boss.on('error', (error) => log.warn({ err: error.message }, 'job queue in trouble'));
  await boss.start();
  await boss.createQueue(QUEUE);
  await boss.work(QUEUE, async () => {
    const rows = await db
      .selectDistinct({ id: desks.id })
      .from(desks)
      .innerJoin(stations, eq(stations.deskId, desks.id))
      .where(eq(stations.fetched, true));
    let well = true;
    for (const { id } of rows) well = (await fetchDesk(db, client, id, await deskToday(db, id, now()), now())) && well;
    // a failed job is tried again by the queue
    if (!well) throw new Error('some stations could not be fetched');
  });
  await boss.schedule(QUEUE, SCHEDULE, {}, RETRIES);
  await boss.send(QUEUE, {}, RETRIES);
  return boss;
}
