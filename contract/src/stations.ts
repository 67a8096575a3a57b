import { z } from 'zod';
import { RAIN_UNITS, TEMPERATURE_UNITS, WIND_UNITS } from '@sounding/core/season/dayChecks.ts';
import { dateText } from './caseInput.ts';

/** Which column of a station file is what, and in which unit; remembered for the station. */
export const stationLayout = z.strictObject({
  date: z.string().min(1, 'say which column is the date'),
  /** Order of day, month and year where dates are not written YYYY-MM-DD. */
  dateOrder: z.enum(['ymd', 'dmy', 'mdy']),
  min: z.string(),
  max: z.string(),
  rain: z.string(),
  wind: z.string(),
  humidity: z.string(),
  temperatureUnit: z.enum(TEMPERATURE_UNITS),
  rainUnit: z.enum(RAIN_UNITS),
  windUnit: z.enum(WIND_UNITS),
});
export const stationImport = z.strictObject({
  text: z.string().min(1, 'the file is empty').max(20_000_000),
  /** Left out: guessed from the header, or as it was the last time. */
  layout: stationLayout.optional(),
  apply: z.boolean().default(false),
});
export const stationImportView = z.object({
  columns: z.array(z.string()),
  layout: stationLayout,
  /** First rows as they would be stored. */
  preview: z.array(
    z.object({
      on: z.string(),
      minC: z.number().nullable(),
      maxC: z.number().nullable(),
      rainMm: z.number().nullable(),
      windMs: z.number().nullable(),
      humidityPct: z.number().nullable(),
    }),
  ),
  days: z.number(),
  from: z.string().nullable(),
  to: z.string().nullable(),
  /** Days that another row of the file already gave; the later row stands. */
  duplicates: z.number(),
  gaps: z.array(z.object({ from: z.string(), to: z.string() })),
  faults: z.array(z.object({ line: z.number(), detail: z.string() })),
  faultCount: z.number(),
  applied: z.boolean(),
});
export const newStation = z.strictObject({
  id: z.uuid(),
  name: z.string().trim().min(1, 'give the station a name').max(80),
  lat: z.number().min(-90).max(90),
  lon: z.number().min(-180).max(180),
  altitudeM: z.number().int().min(-450).max(6000),
});

/** How fresh a station's record is, and how its last fetch went. */
export const stationState = z.object({
  id: z.uuid(),
  name: z.string(),
  lastDay: dateText.nullable(),
  days: z.number(),
  forecastUntil: dateText.nullable(),
  fetchedAt: z.string().nullable(),
  trouble: z.string().nullable(),
  /** Fetched by itself from the weather service. */
  fetched: z.boolean(),
});

export type StationLayout = z.infer<typeof stationLayout>;
export type StationImportView = z.infer<typeof stationImportView>;
export type StationState = z.infer<typeof stationState>;
