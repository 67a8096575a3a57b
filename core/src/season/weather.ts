import type { IsoDate } from './calendar.ts';

/** One station day. Nothing measured is null, never zero. */
export interface WeatherDay {
  on: IsoDate;
  minC: number | null;
  maxC: number | null;
  rainMm: number | null;
  windMs: number | null;
  humidityPct: number | null;
}

export interface WeatherSeries {
  station: string;
  /** Where it lies, for rules that need the length of its days; without it they are not used. */
  latDegrees?: number;
  /** In order of date; days may be missing. */
  days: WeatherDay[];
}
