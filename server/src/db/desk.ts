import { createHash, randomBytes } from 'node:crypto';
import { and, asc, desc, eq, sql } from 'drizzle-orm';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { SessionView } from '@sounding/contract/api.ts';
import type { Queryable } from './connect.ts';
import { desks, editions, people, sessions, stations, weatherDays } from './schema.ts';

export interface Who {
  deskId: string;
  personId: string;
}

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');

/** Opens a session for a person of the demo desk; null when there is no demo desk. */
export async function openDemoSession(db: Queryable): Promise<{ token: string; who: Who } | null> {
  const [row] = await db
    .select({ deskId: desks.id, personId: people.id })
    .from(desks)
    .innerJoin(people, eq(people.deskId, desks.id))
    .where(eq(desks.demo, true))
    .orderBy(asc(people.name))
    .limit(1);
  if (!row) return null;
  const token = randomBytes(24).toString('base64url');
  await db.insert(sessions).values({ tokenHash: hashOf(token), ...row });
  return { token, who: row };
}

export async function findSession(db: Queryable, token: string): Promise<Who | null> {
  const [row] = await db
    .select({ deskId: sessions.deskId, personId: sessions.personId })
    .from(sessions)
    .where(eq(sessions.tokenHash, hashOf(token)));
  return row ?? null;
}

/** Sits down as another person of the same demo desk; false when that is not possible. */
export async function takeSeat(db: Queryable, token: string, personId: string): Promise<boolean> {
  const [seat] = await db
    .select({ deskId: people.deskId })
    .from(people)
    .innerJoin(desks, eq(desks.id, people.deskId))
    .where(and(eq(people.id, personId), eq(desks.demo, true)));
  if (!seat) return false;
  const rows = await db
    .update(sessions)
    .set({ personId })
    .where(and(eq(sessions.tokenHash, hashOf(token)), eq(sessions.deskId, seat.deskId)))
    .returning({ deskId: sessions.deskId });
  return rows.length > 0;
}

/** The desk whose table this machine stands on: the demo's, else the only one; null when there is none. */
export async function tableDeskId(db: Queryable): Promise<string | null> {
  const [row] = await db.select({ id: desks.id }).from(desks).orderBy(desc(desks.demo)).limit(1);
  return row?.id ?? null;
}

/** Today at the desk: a demo desk's own day, else the calendar's. */
export async function deskToday(db: Queryable, deskId: string, now: Date): Promise<string> {
  const [desk] = await db.select({ today: desks.today }).from(desks).where(eq(desks.id, deskId));
  return desk?.today ?? now.toISOString().slice(0, 10);
}

export async function readSession(db: Queryable, who: Who, edition: string, now: Date): Promise<SessionView | null> {
  const [row] = await db
    .select()
    .from(people)
    .innerJoin(desks, eq(desks.id, people.deskId))
    .where(and(eq(people.id, who.personId), eq(desks.id, who.deskId)));
  if (!row) return null;
  const places = await db.select().from(stations).where(eq(stations.deskId, who.deskId)).orderBy(asc(stations.altitudeM));
  const team = await db
    .select({ id: people.id, name: people.name, role: people.role })
    .from(people)
    .where(eq(people.deskId, who.deskId))
    .orderBy(asc(people.name));
  const { desks: desk, people: person } = row;
  return {
    person: { id: person.id, name: person.name, role: person.role },
    desk: {
      id: desk.id,
      name: desk.name,
      climate: desk.climate,
      hemisphere: desk.hemisphere,
      demo: desk.demo,
      today: desk.today ?? now.toISOString().slice(0, 10),
    },
    edition,
    stations: places.map(({ id, name, altitudeM, lat, lon }) => ({ id, name, altitudeM, lat, lon })),
    people: team,
  };
}

/** Lets one writer at a time at the books of a desk until the transaction ends. Calls go on: what only names the desk is not kept waiting. */
export async function oneWriterAt(tx: Queryable, deskId: string): Promise<void> {
  await tx.select({ id: desks.id }).from(desks).where(eq(desks.id, deskId)).for('no key update');
}

/** Keeps an edition so that cases answered with it can be replayed; the same version twice is stored once. */
export async function keepEdition(db: Queryable, deskId: string, edition: Edition): Promise<void> {
  await db.insert(editions).values({ deskId, version: edition.version, body: edition }).onConflictDoNothing();
}

export async function findEdition(db: Queryable, deskId: string, version: string): Promise<Edition | null> {
  const [row] = await db
    .select({ body: editions.body })
    .from(editions)
    .where(and(eq(editions.deskId, deskId), eq(editions.version, version)));
  return row?.body ?? null;
}

/** A station's days up to and including the desk's today; null when the desk has no such station. */
export async function readWeather(db: Queryable, deskId: string, stationId: string, until: string) {
  const [station] = await db
    .select({ name: stations.name, lat: stations.lat })
    .from(stations)
    .where(and(eq(stations.id, stationId), eq(stations.deskId, deskId)));
  if (!station) return null;
  const days = await db
    .select({
      on: weatherDays.on,
      minC: weatherDays.minC,
      maxC: weatherDays.maxC,
      rainMm: weatherDays.rainMm,
      windMs: weatherDays.windMs,
      humidityPct: weatherDays.humidityPct,
    })
    .from(weatherDays)
    .where(and(eq(weatherDays.stationId, stationId), eq(weatherDays.deskId, deskId), sql`${weatherDays.on} <= ${until}`))
    .orderBy(asc(weatherDays.on));
  return { station: station.name, latDegrees: station.lat, days };
}

export async function setDemoDay(db: Queryable, deskId: string, today: string): Promise<boolean> {
  const rows = await db
    .update(desks)
    .set({ today })
    .where(and(eq(desks.id, deskId), eq(desks.demo, true)))
    .returning({ id: desks.id });
  return rows.length > 0;
}
