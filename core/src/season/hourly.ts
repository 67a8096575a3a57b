import { saturationKPa, vapourKPa } from './air.ts';
import { daylightOn } from './sun.ts';
import type { IsoDate } from './calendar.ts';
import type { WeatherDay } from './weather.ts';

/** One hour at a station. Wetness is that of leaves. */
export interface WeatherHour {
  on: IsoDate;
  /** 0 to 23. */
  hour: number;
  tempC: number;
  humidityPct: number;
  wet: boolean;
  /** Measured, or drawn through the day's figures. */
  measured: boolean;
}

/** Leaves count as wet at or above this humidity where no sensor says so (common practice). */
export const WET_AT_PCT = 90;
/** Hours of rain that a rainy day's amount is spread over, from midnight on (memory: an estimate for stations that give sums only). */
const RAIN_MM_PER_HOUR = 1.2;
const HOURS = 24;

/**
 * Hourly temperatures through a day's minimum and maximum: a sine by day, a logarithmic fall by night.
 * Source: Linvill (1990), HortScience 25:14–16. The hours are solar time; the sun rises at 12 − daylight/2.
 * @param previous,next the neighbouring days' figures, for the nights; this day's where not known
 * @returns 24 temperatures, °C
 */
export function hourlyTemperatures(
  day: { minC: number; maxC: number },
  daylight: number,
  previous: { minC: number; maxC: number } = day,
  next: { minC: number; maxC: number } = day,
): number[] {
  const rise = 12 - daylight / 2;
  const set = 12 + daylight / 2;
  const night = Math.max(1, HOURS - daylight);
  const byDay = (hour: number, { minC, maxC }: { minC: number; maxC: number }) =>
    minC + (maxC - minC) * Math.sin((Math.PI * (hour - rise)) / (daylight + 4));
  const byNight = (sinceSet: number, sunsetC: number, toC: number) =>
    Math.max(Math.min(sunsetC, toC), sunsetC - ((sunsetC - toC) / Math.log(night)) * Math.log(Math.max(1, sinceSet)));
  return Array.from({ length: HOURS }, (_, hour) => {
    if (daylight >= 23.9 || (hour >= rise && hour <= set)) return byDay(hour, day);
    if (hour < rise) return byNight(hour + HOURS - set, byDay(set, previous), day.minC);
    return byNight(hour - set, byDay(set, day), next.minC);
  });
}

/**
 * Hours of a run of days, estimated from daily figures: temperatures as above; humidity from a dew point that holds all day; wetness
 * from humidity and from rain. Days without temperatures are left out.
 */
export function estimatedHours(days: readonly WeatherDay[], latDegrees: number): WeatherHour[] {
  const known = days.filter((d): d is WeatherDay & { minC: number; maxC: number } => d.minC !== null && d.maxC !== null);
  return known.flatMap((day, i) => {
    const temperatures = hourlyTemperatures(day, daylightOn(day.on, latDegrees), known[i - 1], known[i + 1]);
    // without a humidity the night is taken to cool to the dew point, as it does in moist climates (FAO-56, p. 36)
    const vapour =
      day.humidityPct === null ? saturationKPa(day.minC) : Math.min(saturationKPa(day.maxC), vapourKPa(day.minC, day.maxC, day.humidityPct));
    const rainHours = Math.ceil((day.rainMm ?? 0) / RAIN_MM_PER_HOUR);
    return temperatures.map((tempC, hour): WeatherHour => {
      const humidityPct = Math.min(100, (100 * vapour) / saturationKPa(tempC));
      return { on: day.on, hour, tempC, humidityPct, wet: humidityPct >= WET_AT_PCT || hour < rainHours, measured: false };
    });
  });
}

const gathered = new WeakMap<readonly WeatherHour[], Map<IsoDate, WeatherHour[]>>();

/** Hours by day, in order; made once, since every rule asks for them. */
export function hoursByDay(hours: readonly WeatherHour[]): ReadonlyMap<IsoDate, WeatherHour[]> {
  const made = gathered.get(hours) ?? gather(hours);
  gathered.set(hours, made);
  return made;
}

function gather(hours: readonly WeatherHour[]): Map<IsoDate, WeatherHour[]> {
  const days = new Map<IsoDate, WeatherHour[]>();
  for (const hour of hours) {
    const day = days.get(hour.on);
    if (day) day.push(hour);
    else days.set(hour.on, [hour]);
  }
  return days;
}

/** Measured hours where a day has them all, estimated ones elsewhere. */
export function hoursWith(measured: readonly WeatherHour[], days: readonly WeatherDay[], latDegrees: number): WeatherHour[] {
  const own = hoursByDay(measured);
  const estimated = hoursByDay(estimatedHours(days, latDegrees));
  return days.flatMap(({ on }) => {
    const hours = own.get(on) ?? [];
    return hours.length === HOURS ? [...hours].sort((a, b) => a.hour - b.hour) : (estimated.get(on) ?? []);
  });
}
