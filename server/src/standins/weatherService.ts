import { createServer, type Server } from 'node:http';
import { setTimeout as pause } from 'node:timers/promises';
import express, { type Response } from 'express';
import { z } from 'zod';
import { addDays, isoDate, type IsoDate } from '@sounding/core/season/calendar.ts';
import { estimatedHours } from '@sounding/core/season/hourly.ts';
import { simulateForecast, simulateWeather, type SimulatedDay, type StationClimate } from './weather.ts';

export interface SimulatedStation {
  name: string;
  lat: number;
  lon: number;
  climate: StationClimate;
}

/** How the service is to behave: as it should, late, with impossible figures, or not at all. */
export const BEHAVIOURS = ['ok', 'slow', 'wrong', 'absent'] as const;
export type Behaviour = (typeof BEHAVIOURS)[number];
const SLOW_MS = 8000;
const MOST_DAYS = 4000;

const slug = (name: string): string => name.toLowerCase().replace(/\s+/g, '-');
const row = (day: SimulatedDay) => ({ date: day.on, tmin: day.minC, tmax: day.maxC, rain: day.rainMm, wind: day.windMs, humidity: day.humidityPct });

/** Figures no thermometer shows: what the reader of the service must refuse. */
const impossible = (day: ReturnType<typeof row>) => ({ ...day, tmin: 88, tmax: -12 });

/**
 * A small weather service of its own on loopback, for the stations of the demo. Its interface is in docs/formats.md.
 * @param behaviour how it behaves from the start; `PUT /behaviour` changes it
 */
export function createWeatherService(stations: readonly SimulatedStation[], behaviour: Behaviour = 'ok'): Server {
  let mode = behaviour;
  const app = express();
  app.disable('x-powered-by');
  app.use(express.json());
  app.put('/behaviour', (req, res) => {
    mode = z.object({ mode: z.enum(BEHAVIOURS) }).parse(req.body).mode;
    res.status(204).end();
  });
  app.use(async (req, _res, next) => {
    if (mode === 'absent') req.socket.destroy();
    else {
      if (mode === 'slow') await pause(SLOW_MS, undefined, { ref: false });
      next();
    }
  });
  const refuse = (res: Response, status: number, detail: string) => res.status(status).json({ detail });
  const find = (id: unknown) => stations.find(({ name }) => slug(name) === id);
  const day = (value: unknown): IsoDate | null => {
    try {
      return isoDate(String(value)).toString();
    } catch {
      return null;
    }
  };
  const rows = (days: readonly SimulatedDay[]) => days.map(row).map((d) => (mode === 'wrong' ? impossible(d) : d));
  app.get('/stations', (_req, res) => {
    res.json({ stations: stations.map(({ name, lat, lon, climate }) => ({ id: slug(name), name, lat, lon, altitude: climate.altitudeM })) });
  });
  app.get('/stations/:id/:what', (req, res) => {
    const station = find(req.params.id);
    if (!station) return refuse(res, 404, 'no such station');
    if (req.params.what === 'forecast') {
      const issued = day(req.query['issued']);
      const days = Number(req.query['days'] ?? 7);
      if (!issued || !Number.isInteger(days) || days < 1 || days > 14) return refuse(res, 400, 'issued=YYYY-MM-DD and days=1…14 are wanted');
      return res.json({ station: slug(station.name), issued, days: rows(simulateForecast(station.climate, issued, days)) });
    }
    const [from, to] = [day(req.query['from']), day(req.query['to'])];
    if (!from || !to || to < from || addDays(from, MOST_DAYS) < to) return refuse(res, 400, `from and to as YYYY-MM-DD, at most ${MOST_DAYS} days`);
    const days = simulateWeather(station.climate, from, to);
    if (req.params.what === 'daily') return res.json({ station: slug(station.name), days: rows(days) });
    if (req.params.what !== 'hourly') return refuse(res, 404, 'daily, hourly or forecast');
    const hours = estimatedHours(days, station.lat).map(({ on, hour, tempC, humidityPct, wet }) => ({
      time: `${on}T${String(hour).padStart(2, '0')}:00`,
      temp: Math.round(tempC * 10) / 10,
      humidity: Math.round(humidityPct),
      wet,
    }));
    return res.json({ station: slug(station.name), hours });
  });
  return createServer(app);
}
