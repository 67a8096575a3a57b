import { and, asc, desc, eq, gte, lte, sql } from 'drizzle-orm';
import type { StationState } from '@sounding/contract/stations.ts';
import { addDays, type IsoDate } from '@sounding/core/season/calendar.ts';
import type { WeatherHour } from '@sounding/core/season/hourly.ts';
import type { WeatherDay } from '@sounding/core/season/weather.ts';
import type { Database, Queryable } from '../db/connect.ts';
import { forecastDays, stations, weatherDays, weatherFetches, weatherHours } from '../db/schema.ts';
import { WeatherTrouble, type WeatherClient } from './client.ts';

const BATCH = 1000;
export const FORECAST_DAYS = 7;
/** A station that has no record yet is asked for so many years. */
const FIRST_DAYS = 2000;

/** Stores days of a station; a day that is there already is replaced only when asked. */
export async function storeDays(
  db: Queryable,
  at: { deskId: string; stationId: string },
  days: readonly WeatherDay[],
  replace = false,
): Promise<void> {
  for (let i = 0; i < days.length; i += BATCH) {
    const rows = db.insert(weatherDays).values(days.slice(i, i + BATCH).map((day) => ({ ...day, ...at })));
    const excluded = (column: string) => sql.raw(`excluded.${column}`);
    await (replace
      ? rows.onConflictDoUpdate({
          target: [weatherDays.stationId, weatherDays.on],
          set: {
            minC: excluded('min_c'),
            maxC: excluded('max_c'),
            rainMm: excluded('rain_mm'),
            windMs: excluded('wind_ms'),
            humidityPct: excluded('humidity_pct'),
          },
        })
      : rows.onConflictDoNothing());
  }
}

/** Hours are kept this far back: what the weather rules of a season look at. */
const HOURS_KEPT_DAYS = 60;

async function hoursMissingFrom(db: Queryable, stationId: string, until: IsoDate): Promise<IsoDate> {
  const earliest = addDays(until, -HOURS_KEPT_DAYS);
  const [last] = await db
    .select({ on: weatherHours.on })
    .from(weatherHours)
    .where(and(eq(weatherHours.stationId, stationId), lte(weatherHours.on, until)))
    .orderBy(desc(weatherHours.on))
    .limit(1);
  return last && last.on >= earliest ? addDays(last.on, 1) : earliest;
}

export async function storeHours(db: Queryable, at: { deskId: string; stationId: string }, hours: readonly WeatherHour[]): Promise<void> {
  for (let i = 0; i < hours.length; i += BATCH)
    await db
      .insert(weatherHours)
      .values(hours.slice(i, i + BATCH).map(({ on, hour, tempC, humidityPct, wet }) => ({ ...at, on, hour, tempC, humidityPct, wet })))
      .onConflictDoNothing();
}

/** Measured hours of a station up to a day, as far back as they are kept. */
export async function readHours(db: Queryable, stationId: string, until: IsoDate): Promise<WeatherHour[]> {
  const rows = await db
    .select({ on: weatherHours.on, hour: weatherHours.hour, tempC: weatherHours.tempC, humidityPct: weatherHours.humidityPct, wet: weatherHours.wet })
    .from(weatherHours)
    .where(and(eq(weatherHours.stationId, stationId), gte(weatherHours.on, addDays(until, -HOURS_KEPT_DAYS)), lte(weatherHours.on, until)))
    .orderBy(asc(weatherHours.on), asc(weatherHours.hour));
  return rows.map((row) => ({ ...row, measured: true }));
}

/**
 * Brings one station up to a day and fetches what is foretold from there on. Trouble with the service is noted on the station, and nothing
 * that is there is lost.
 * @returns false when the service could not be read
 */
export async function fetchStation(
  db: Database,
  client: WeatherClient,
  station: { id: string; deskId: string; name: string },
  until: IsoDate,
  now: Date,
): Promise<boolean> {
  const at = { deskId: station.deskId, stationId: station.id };
  const [last] = await db
    .select({ on: weatherDays.on })
    .from(weatherDays)
    .where(eq(weatherDays.stationId, station.id))
    .orderBy(desc(weatherDays.on))
    .limit(1);
  const note = (trouble: string | null) =>
    db
      .insert(weatherFetches)
      .values({ ...at, triedAt: now, trouble, ...(trouble === null ? { fetchedAt: now } : {}) })
      .onConflictDoUpdate({ target: weatherFetches.stationId, set: { triedAt: now, trouble, ...(trouble === null ? { fetchedAt: now } : {}) } });
  try {
    const from = last ? addDays(last.on, 1) : addDays(until, -FIRST_DAYS);
    const days = from <= until ? await client.daily(station.name, from, until) : [];
    const ahead = await client.forecast(station.name, until, FORECAST_DAYS);
    const hoursFrom = await hoursMissingFrom(db, station.id, until);
    const hours = hoursFrom <= until ? await client.hourly(station.name, hoursFrom, until) : [];
    await db.transaction(async (tx) => {
      await storeDays(tx, at, days);
      await storeHours(tx, at, hours);
      await tx.delete(forecastDays).where(eq(forecastDays.stationId, station.id));
      await tx.insert(forecastDays).values(ahead.map((day) => ({ ...day, ...at, issuedOn: until })));
    });
    await note(null);
    return true;
  } catch (error) {
    if (!(error instanceof WeatherTrouble)) throw error;
    await note(error.message);
    return false;
  }
}

/** Every station of a desk that has a source; each in its turn, so that one in trouble does not hold up the others. */
export async function fetchDesk(db: Database, client: WeatherClient, deskId: string, until: IsoDate, now: Date): Promise<boolean> {
  let well = true;
  for (const station of await db
    .select()
    .from(stations)
    .where(and(eq(stations.deskId, deskId), eq(stations.fetched, true))))
    well = (await fetchStation(db, client, station, until, now)) && well;
  return well;
}

/** What is foretold for a station from a day on; empty when nothing was fetched for that day. */
export async function readForecast(db: Queryable, stationId: string, from: IsoDate): Promise<WeatherDay[]> {
  return db
    .select({
      on: forecastDays.on,
      minC: forecastDays.minC,
      maxC: forecastDays.maxC,
      rainMm: forecastDays.rainMm,
      windMs: forecastDays.windMs,
      humidityPct: forecastDays.humidityPct,
    })
    .from(forecastDays)
    .where(and(eq(forecastDays.stationId, stationId), gte(forecastDays.on, from), lte(forecastDays.issuedOn, from)))
    .orderBy(asc(forecastDays.on));
}

export async function stationStates(db: Queryable, deskId: string): Promise<StationState[]> {
  const rows = await db
    .select({
      id: stations.id,
      name: stations.name,
      fetched: stations.fetched,
      fetchedAt: weatherFetches.fetchedAt,
      trouble: weatherFetches.trouble,
      lastDay: sql<string | null>`(select max(w."on") from ${weatherDays} w where w.station_id = ${stations.id})`,
      days: sql<number>`(select count(*) from ${weatherDays} w where w.station_id = ${stations.id})`.mapWith(Number),
      forecastUntil: sql<string | null>`(select max(f."on") from ${forecastDays} f where f.station_id = ${stations.id})`,
    })
    .from(stations)
    .leftJoin(weatherFetches, eq(weatherFetches.stationId, stations.id))
    .where(eq(stations.deskId, deskId))
    .orderBy(asc(stations.altitudeM));
  return rows.map((row) => ({ ...row, fetchedAt: row.fetchedAt?.toISOString() ?? null }));
}
