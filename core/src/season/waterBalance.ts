import { dayOfYear, type IsoDate } from './calendar.ts';
import { vapourKPa } from './air.ts';
import { hargreavesMm, referenceEvapotranspirationMm } from './evapotranspiration.ts';
import type { WeatherDay } from './weather.ts';

/** Water a soil gives to roots between field capacity and wilting, mm per metre of depth; the middle of the ranges of FAO-56 table 19. */
export const AVAILABLE_MM_PER_M = { sand: 80, loam: 150, clay: 170 } as const;
export type SoilTexture = keyof typeof AVAILABLE_MM_PER_M;

export interface Bed {
  texture: SoilTexture;
  rootM: number;
  /** Water use against the reference crop: 1 for a full leafy bed, 0.5 for scattered shrubs. */
  cropFactor: number;
  /** Share of the stored water that may be used before the plant feels it (FAO-56 table 22: about 0.5). */
  readyShare: number;
}

export interface BalanceDay {
  on: IsoDate;
  evapotranspirationMm: number;
  rainMm: number;
  /** How much the root zone lacks to be full, mm. */
  missingMm: number;
  /** The plant begins to want. */
  due: boolean;
}

/** Rain below this dries off leaves and dust (common practice). */
const LEAST_RAIN_MM = 2;

/** Reference evapotranspiration of a station day: the full equation where wind and humidity are known, from temperature alone where not; null with no temperatures. */
export function evapotranspirationOf(day: WeatherDay, latDegrees: number, altitudeM: number): number | null {
  const { minC, maxC, windMs, humidityPct } = day;
  if (minC === null || maxC === null) return null;
  const n = dayOfYear(day.on);
  if (windMs === null || humidityPct === null) return hargreavesMm(minC, maxC, latDegrees, n);
  return referenceEvapotranspirationMm({ minC, maxC, vapourKPa: vapourKPa(minC, maxC, humidityPct), windMs, latDegrees, altitudeM, dayOfYear: n });
}

/**
 * The root zone as a bucket, day by day: evapotranspiration empties it, rain fills it and runs through when it is full.
 * Source: FAO-56 chapter 8, without capillary rise and surface run-off. Days without a record change nothing.
 * @param missingMm what was lacking before the first day
 */
export function waterBalance(days: readonly WeatherDay[], bed: Bed, latDegrees: number, altitudeM: number, missingMm = 0): BalanceDay[] {
  const storeMm = AVAILABLE_MM_PER_M[bed.texture] * bed.rootM;
  const out: BalanceDay[] = [];
  let missing = missingMm;
  for (const day of days) {
    const et = (evapotranspirationOf(day, latDegrees, altitudeM) ?? 0) * bed.cropFactor;
    const rain = (day.rainMm ?? 0) >= LEAST_RAIN_MM ? (day.rainMm ?? 0) : 0;
    missing = Math.min(storeMm, Math.max(0, missing + et - rain));
    out.push({ on: day.on, evapotranspirationMm: et, rainMm: day.rainMm ?? 0, missingMm: missing, due: missing >= bed.readyShare * storeMm });
  }
  return out;
}
