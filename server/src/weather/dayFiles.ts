import Papa from 'papaparse';
import type { StationImportView, StationLayout } from '@sounding/contract/stations.ts';
import { dayNumber, isoOfDay, type IsoDate } from '@sounding/core/season/calendar.ts';
import { checkedDay, checkedHour, DayFault, type Gap } from '@sounding/core/season/dayChecks.ts';
import type { WeatherHour } from '@sounding/core/season/hourly.ts';
import type { WeatherDay } from '@sounding/core/season/weather.ts';

/** Column names as stations and national services write them, lower case: plain ones and those of daily summaries. */
const NAMES = {
  date: ['date', 'day', 'on', 'datum', 'time', 'valid'],
  min: ['tmin', 'min', 'minimum', 'temp_min', 'tn', 'tempmin', 'min_c', 'tmin_c', 'tmin_f', 'tmn', 'temperature_min'],
  max: ['tmax', 'max', 'maximum', 'temp_max', 'tx', 'tempmax', 'max_c', 'tmax_c', 'tmax_f', 'tmx', 'temperature_max'],
  rain: ['prcp', 'rain', 'precipitation', 'rr', 'rainfall', 'precip', 'rain_mm', 'precipitation_mm'],
  wind: ['awnd', 'wind', 'windspeed', 'fm', 'wind_speed', 'wind_ms'],
  humidity: ['humidity', 'rh', 'rhav', 'um', 'humidity_pct', 'relative_humidity'],
} as const;

const FAULTS_SHOWN = 50;
const GAPS_SHOWN = 30;
const PREVIEW_ROWS = 6;

type Rows = Record<string, string>[];

/** The numbers of a column, for guessing its unit. */
const numbers = (rows: Rows, column: string): number[] =>
  rows
    .slice(0, 800)
    .flatMap((row) => ((row[column] ?? '').trim() === '' ? [] : [Number((row[column] ?? '').replace(',', '.'))]))
    .filter((n) => Number.isFinite(n) && Math.abs(n) < 9000);

/** °F or tenths of a degree betray themselves by their size; the advisor sees the guess before anything is stored. */
function guessTemperature(rows: Rows, maxColumn: string): StationLayout['temperatureUnit'] {
  if (/_f$|fahrenheit/i.test(maxColumn)) return 'F';
  const values = numbers(rows, maxColumn);
  const most = Math.max(...values, -Infinity);
  const whole = values.every(Number.isInteger);
  if (most > 130 && whole) return 'tenths-C';
  return most > 50 ? 'F' : 'C';
}

function guessOrder(rows: Rows, column: string): StationLayout['dateOrder'] {
  const parts = rows.slice(0, 400).map((row) => (row[column] ?? '').split(/[-/.\sT]/).map(Number));
  if (parts.every(([first = 0]) => first > 31)) return 'ymd';
  return parts.some(([first = 0]) => first > 12) ? 'dmy' : parts.some(([, second = 0]) => second > 12) ? 'mdy' : 'dmy';
}

export function guessLayout(columns: readonly string[], rows: Rows): StationLayout {
  const find = (names: readonly string[]) => columns.find((column) => names.includes(column.trim().toLowerCase())) ?? '';
  const date = find(NAMES.date) || (columns[0] ?? '');
  const max = find(NAMES.max);
  const rain = find(NAMES.rain);
  const rains = numbers(rows, rain);
  const temperatureUnit = guessTemperature(rows, max || find(HOUR_NAMES.temp));
  return {
    date,
    dateOrder: guessOrder(rows, date),
    min: find(NAMES.min),
    max,
    rain,
    wind: find(NAMES.wind),
    humidity: find(NAMES.humidity),
    temperatureUnit,
    rainUnit: temperatureUnit === 'tenths-C' ? 'tenths-mm' : temperatureUnit === 'F' && Math.max(...rains, 0) < 20 ? 'in' : 'mm',
    windUnit: temperatureUnit === 'F' ? 'mph' : 'm/s',
  };
}

/** A date written in any of the usual ways, as YYYY-MM-DD; what it cannot read it hands on to be complained of. */
function isoFrom(text: string, order: StationLayout['dateOrder']): string {
  const plain = text.trim();
  if (/^\d{8}$/.test(plain)) return `${plain.slice(0, 4)}-${plain.slice(4, 6)}-${plain.slice(6)}`;
  const [a = '', b = '', c = ''] = plain.split(/[T\s]/)[0]!.split(/[-/.]/);
  const [year, month, day] = order === 'ymd' ? [a, b, c] : order === 'dmy' ? [c, b, a] : [c, a, b];
  return /^\d{4}$/.test(year) ? `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}` : plain;
}

export interface DayFile {
  days: WeatherDay[];
  /** Hours, where the file is one of hours; its days are then made of them. */
  hours: WeatherHour[];
  view: Omit<StationImportView, 'applied'>;
}

const HOUR_NAMES = {
  time: ['time', 'datetime', 'date_time', 'timestamp', 'valid'],
  temp: ['temp', 'temperature', 'temp_c', 't', 'tair', 'tmpc'],
  humidity: NAMES.humidity,
  wet: ['wet', 'leaf_wetness', 'wetness', 'lw'],
  rain: NAMES.rain,
} as const;
const HOURS_A_DAY = 24;

/** The columns of a file of hours; null for a file of days. */
function hourColumns(columns: readonly string[], rows: Rows): Record<keyof typeof HOUR_NAMES, string> | null {
  const find = (names: readonly string[]) => columns.find((column) => names.includes(column.trim().toLowerCase())) ?? '';
  const [time, temp, humidity] = [find(HOUR_NAMES.time), find(HOUR_NAMES.temp), find(HOUR_NAMES.humidity)];
  const hasClock = /\d[T ]\d{1,2}(:|$)/.test(rows[0]?.[time] ?? '');
  return time && temp && humidity && hasClock ? { time, temp, humidity, wet: find(HOUR_NAMES.wet), rain: find(HOUR_NAMES.rain) } : null;
}

/** Days made of hours: only days that have them all. */
function daysOf(hours: readonly WeatherHour[], rainMm: ReadonlyMap<IsoDate, number>): WeatherDay[] {
  const byDay = new Map<IsoDate, WeatherHour[]>();
  for (const hour of hours) byDay.set(hour.on, [...(byDay.get(hour.on) ?? []), hour]);
  return [...byDay].flatMap(([on, own]) => {
    if (own.length !== HOURS_A_DAY) return [];
    const temps = own.map(({ tempC }) => tempC);
    const humidityPct = Math.round(own.reduce((sum, hour) => sum + hour.humidityPct, 0) / HOURS_A_DAY);
    return [{ on, minC: Math.min(...temps), maxC: Math.max(...temps), rainMm: rainMm.get(on) ?? null, windMs: null, humidityPct }];
  });
}

/** Reads a station file by a layout; every row that cannot be taken is told by its line. */
export function readDays(text: string, layout: StationLayout | null): DayFile {
  const parsed = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true });
  const columns = parsed.meta.fields ?? [];
  const chosen = layout ?? guessLayout(columns, parsed.data);
  const faults: { line: number; detail: string }[] = [];
  const asHours = layout ? null : hourColumns(columns, parsed.data);
  if (asHours) return readHourFile(parsed.data, columns, chosen, asHours);
  const missing = (['date', 'min', 'max'] as const).filter((what) => !columns.includes(chosen[what]));
  if (missing.length > 0)
    faults.push({
      line: 1,
      detail: `say which column is ${missing.map((m) => ({ date: 'the date', min: 'the minimum', max: 'the maximum' })[m]).join(', ')}`,
    });
  const byDay = new Map<IsoDate, WeatherDay>();
  let duplicates = 0;
  if (missing.length === 0)
    parsed.data.forEach((row, i) => {
      const cell = (column: string) => (column === '' ? '' : (row[column] ?? ''));
      try {
        if (Object.keys(row).length < columns.length || row[chosen.max] === undefined) throw new DayFault('the line is cut off');
        const day = checkedDay(
          {
            on: isoFrom(cell(chosen.date), chosen.dateOrder),
            min: cell(chosen.min),
            max: cell(chosen.max),
            rain: cell(chosen.rain),
            wind: cell(chosen.wind),
            humidity: cell(chosen.humidity),
          },
          { temperature: chosen.temperatureUnit, rain: chosen.rainUnit, wind: chosen.windUnit },
        );
        if (byDay.has(day.on)) duplicates++;
        byDay.set(day.on, day);
      } catch (error) {
        if (!(error instanceof DayFault)) throw error;
        faults.push({ line: i + 2, detail: error.message });
      }
    });
  const days = [...byDay.values()].sort((a, b) => a.on.localeCompare(b.on));
  return { days, hours: [], view: viewOf(columns, chosen, days, duplicates, faults) };
}

function viewOf(
  columns: string[],
  layout: StationLayout,
  days: readonly WeatherDay[],
  duplicates: number,
  faults: { line: number; detail: string }[],
): DayFile['view'] {
  return {
    columns,
    layout,
    preview: days.slice(0, PREVIEW_ROWS),
    days: days.length,
    from: days[0]?.on ?? null,
    to: days[days.length - 1]?.on ?? null,
    duplicates,
    gaps: gapsIn(days).slice(0, GAPS_SHOWN),
    faults: faults.slice(0, FAULTS_SHOWN),
    faultCount: faults.length,
  };
}

function readHourFile(rows: Rows, columns: string[], layout: StationLayout, at: Record<keyof typeof HOUR_NAMES, string>): DayFile {
  const faults: { line: number; detail: string }[] = [];
  const hours = new Map<string, WeatherHour>();
  const rain = new Map<IsoDate, number>();
  let duplicates = 0;
  rows.forEach((row, i) => {
    const cell = (column: string) => (column === '' ? '' : (row[column] ?? ''));
    try {
      const hour = checkedHour(
        { time: cell(at.time), temp: cell(at.temp), humidity: cell(at.humidity), wet: cell(at.wet) },
        { temperature: layout.temperatureUnit },
      );
      const key = `${hour.on} ${hour.hour}`;
      if (hours.has(key)) duplicates++;
      hours.set(key, hour);
      const mm = Number(cell(at.rain) || NaN);
      if (mm >= 0) rain.set(hour.on, (rain.get(hour.on) ?? 0) + mm);
    } catch (error) {
      if (!(error instanceof DayFault)) throw error;
      faults.push({ line: i + 2, detail: error.message });
    }
  });
  const all = [...hours.values()].sort((a, b) => a.on.localeCompare(b.on) || a.hour - b.hour);
  const days = daysOf(all, rain);
  return { days, hours: all, view: viewOf(columns, layout, days, duplicates, faults) };
}

function gapsIn(days: readonly WeatherDay[]): Gap[] {
  const gaps: Gap[] = [];
  for (let i = 1; i < days.length; i++) {
    const [before, after] = [dayNumber(days[i - 1]!.on), dayNumber(days[i]!.on)];
    if (after > before + 1) gaps.push({ from: isoOfDay(before + 1), to: isoOfDay(after - 1) });
  }
  return gaps;
}
