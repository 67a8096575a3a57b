import { isoDate, type IsoDate } from './calendar.ts';
import { WET_AT_PCT, type WeatherHour } from './hourly.ts';
import type { WeatherDay } from './weather.ts';

/** Units a station file may be written in. */
export const TEMPERATURE_UNITS = ['C', 'F', 'tenths-C'] as const;
export const RAIN_UNITS = ['mm', 'in', 'tenths-mm'] as const;
export const WIND_UNITS = ['m/s', 'km/h', 'mph', 'kn'] as const;
export type TemperatureUnit = (typeof TEMPERATURE_UNITS)[number];
export type RainUnit = (typeof RAIN_UNITS)[number];
export type WindUnit = (typeof WIND_UNITS)[number];

/** Factors are exact by definition (NIST SP 811): the inch, the mile and the nautical mile. */
const TO_C: Record<TemperatureUnit, (x: number) => number> = { C: (x) => x, F: (x) => ((x - 32) * 5) / 9, 'tenths-C': (x) => x / 10 };
const TO_MM: Record<RainUnit, number> = { mm: 1, in: 25.4, 'tenths-mm': 0.1 };
const TO_MS: Record<WindUnit, number> = { 'm/s': 1, 'km/h': 1 / 3.6, mph: 0.44704, kn: 1852 / 3600 };

/** What no station has measured: beyond the records of the world, rounded out. */
const LIMITS = { leastC: -70, mostC: 58, mostRainMm: 1900, mostWindMs: 75 } as const;

const hundredth = (x: number) => Math.round(x * 100) / 100;

export interface RawDay {
  on: string;
  min: string;
  max: string;
  rain: string;
  wind: string;
  humidity: string;
}
export interface DayUnits {
  temperature: TemperatureUnit;
  rain: RainUnit;
  wind: WindUnit;
}

/** What is wrong with a day that a file or a service gives, in words fit to stand beside its line. */
export class DayFault extends Error {}

const GAPS = new Set(['', '-', 'na', 'n/a', 'null', 'nan', 'm', '-9999', '-999', '9999', '999.9', '9999.9', '-9999.0', '-999.9']);

function figure(what: string, text: string): number | null {
  const plain = text.trim().replace(',', '.');
  if (GAPS.has(plain.toLowerCase())) return null;
  const value = Number(plain);
  if (!Number.isFinite(value)) throw new DayFault(`${what}: "${text}" is not a number`);
  return value;
}

function within(what: string, value: number | null, least: number, most: number, hint: string): number | null {
  if (value !== null && (value < least || value > most)) throw new DayFault(`${what}: ${hundredth(value)} cannot be${hint}`);
  return value === null ? null : hundredth(value);
}

/**
 * One day of a station, turned into our units and checked.
 * @throws DayFault naming the field: nothing impossible is ever stored
 */
export function checkedDay(raw: RawDay, units: DayUnits): WeatherDay {
  let on: IsoDate;
  try {
    on = isoDate(raw.on.trim()).toString();
  } catch (error) {
    throw new DayFault(error instanceof Error ? error.message : String(error));
  }
  const celsius = (what: string, text: string) => {
    const value = figure(what, text);
    const hint = units.temperature === 'C' ? ' °C: is the file in °F?' : ' °C: is the unit right?';
    return within(what, value === null ? null : TO_C[units.temperature](value), LIMITS.leastC, LIMITS.mostC, hint);
  };
  const scaled = (what: string, text: string, factor: number, most: number, hint: string) => {
    const value = figure(what, text);
    return within(what, value === null ? null : value * factor, 0, most, hint);
  };
  const minC = celsius('minimum', raw.min);
  const maxC = celsius('maximum', raw.max);
  if (minC !== null && maxC !== null && minC > maxC) throw new DayFault(`minimum: ${minC} °C is above the maximum of ${maxC} °C`);
  return {
    on,
    minC,
    maxC,
    rainMm: scaled('rain', raw.rain, TO_MM[units.rain], LIMITS.mostRainMm, ' mm of rain in a day'),
    windMs: scaled('wind', raw.wind, TO_MS[units.wind], LIMITS.mostWindMs, ' m/s: is the unit right?'),
    humidityPct: scaled('humidity', raw.humidity, 1, 100, ' % of humidity'),
  };
}

export interface RawHour {
  /** "2026-06-14T05:00" or with a blank between. */
  time: string;
  temp: string;
  humidity: string;
  /** A sensor's yes or no, 1 or 0, or minutes of the hour; empty where there is none. */
  wet: string;
}
/** A leaf counts as wet for an hour in which it was so for at least half of it. */
const HALF_AN_HOUR_MIN = 30;

/** One hour of a station, checked like a day. @throws DayFault naming the field */
export function checkedHour(raw: RawHour, units: Pick<DayUnits, 'temperature'>): WeatherHour {
  const [date = '', clock = ''] = raw.time.trim().split(/[T ]/);
  const hour = Number(/^(\d{1,2})(?::|$)/.exec(clock)?.[1] ?? NaN);
  if (!(hour >= 0 && hour <= 23)) throw new DayFault(`time: "${raw.time}" has no hour from 0 to 23`);
  const { on, minC, humidityPct } = checkedDay(
    { on: date, min: raw.temp, max: '', rain: '', wind: '', humidity: raw.humidity },
    { ...units, rain: 'mm', wind: 'm/s' },
  );
  if (minC === null || humidityPct === null) throw new DayFault(`${raw.time}: temperature and humidity are both wanted`);
  const word = raw.wet.trim().toLowerCase();
  const minutes =
    word === '' ? null : /^(?:yes|true|wet)$/.test(word) ? 60 : /^(?:no|false|dry)$/.test(word) ? 0 : Number(word) === 1 ? 60 : Number(word);
  if (minutes !== null && !(minutes >= 0 && minutes <= 60)) throw new DayFault(`wetness: "${raw.wet}" is neither yes nor no nor minutes`);
  const wet = minutes === null ? humidityPct >= WET_AT_PCT : minutes >= HALF_AN_HOUR_MIN;
  return { on, hour, tempC: minC, humidityPct, wet, measured: true };
}

/** A run of days that are missing between the first and the last. */
export interface Gap {
  from: IsoDate;
  to: IsoDate;
}
