import { eq } from 'drizzle-orm';
import { Router } from 'express';
import { newStation, stationImport, type StationImportView, type StationLayout } from '@sounding/contract/stations.ts';
import { deskToday } from '../db/desk.ts';
import { standingRecords, writeRecords } from '../db/deskRecords.ts';
import { stations } from '../db/schema.ts';
import { idParam, requireCoordinator, whoOf, type Services } from '../http.ts';
import { ApiError } from '../problems.ts';
import { readDays } from '../weather/dayFiles.ts';
import { readForecast, readHours, stationStates, storeDays, storeHours } from '../weather/fetch.ts';

/** Stations of a desk: how fresh their records are, what is foretold, and records brought in from files. */
export function stationRoutes({ db, now, fetchWeather }: Services): Router {
  const router = Router();
  const requireStation = async (deskId: string, stationId: string) => {
    const [row] = await db.select().from(stations).where(eq(stations.id, stationId));
    if (!row || row.deskId !== deskId) throw new ApiError('not-found', 'This desk has no such station.');
    return row;
  };
  router.get('/stations', async (_req, res) => {
    res.set('Cache-Control', 'no-store').json(await stationStates(db, whoOf(res).deskId));
  });
  router.post('/stations', async (req, res) => {
    const body = newStation.parse(req.body);
    await requireCoordinator(db, res, 'Only the coordinator adds stations.');
    await db
      .insert(stations)
      .values({ ...body, deskId: whoOf(res).deskId })
      .onConflictDoNothing();
    res.status(204).end();
  });
  router.post('/stations/fetch', async (_req, res) => {
    const { deskId } = whoOf(res);
    await fetchWeather(deskId, await deskToday(db, deskId, now()));
    res.json(await stationStates(db, deskId));
  });
  router.get('/stations/:id/forecast', async (req, res) => {
    const { deskId } = whoOf(res);
    const station = await requireStation(deskId, idParam(req, 'id'));
    res.set('Cache-Control', 'no-store').json(await readForecast(db, station.id, await deskToday(db, deskId, now())));
  });
  router.get('/stations/:id/hours', async (req, res) => {
    const { deskId } = whoOf(res);
    const station = await requireStation(deskId, idParam(req, 'id'));
    res.set('Cache-Control', 'no-store').json(await readHours(db, station.id, await deskToday(db, deskId, now())));
  });
  router.post('/stations/:id/import', async (req, res) => {
    const { text, layout, apply } = stationImport.parse(req.body);
    await requireCoordinator(db, res, 'Only the coordinator brings in records of a station.');
    const who = whoOf(res);
    const station = await requireStation(who.deskId, idParam(req, 'id'));
    const remembered = (await standingRecords<StationLayout>(db, who.deskId, 'station-layout')).find(({ recordId }) => recordId === station.id)?.body;
    const columns = text.slice(0, text.indexOf('\n') < 0 ? undefined : text.indexOf('\n'));
    // last time's layout is used again only for a file that has its columns
    const usable = remembered && [remembered.date, remembered.min, remembered.max].every((column) => columns.includes(column)) ? remembered : null;
    const file = readDays(text, layout ?? usable);
    const applied = apply && file.days.length > 0;
    if (applied) {
      await storeHours(db, { deskId: who.deskId, stationId: station.id }, file.hours);
      await storeDays(db, { deskId: who.deskId, stationId: station.id }, file.days, true);
      await writeRecords(db, who, [{ kind: 'station-layout', recordId: station.id, body: file.view.layout, note: '' }], now());
    }
    const view: StationImportView = { ...file.view, applied };
    res.json(view);
  });
  return router;
}
