import type { Hemisphere } from '../edition/climates.ts';
import type { DegreeDaySpan } from '../edition/windows.ts';
import { dayNumber, seasonalDate, yearOf, type IsoDate } from './calendar.ts';
import { biofixBefore, degreeDaySums } from './crossing.ts';
import { gained } from './record.ts';
import type { WeatherSeries } from './weather.ts';

/** Accumulated degree-days of one year's season. */
export interface Track {
  /** The year in which the biofix lies. */
  year: number;
  /** `sums[i]`: °C·day up to and including the i-th day from the biofix. */
  sums: number[];
}

const SEASON_DAYS = 365;

/** This season's sum beside those of earlier years, newest first; years with holes in their record are left out. */
export function degreeDayTracks(series: WeatherSeries, span: DegreeDaySpan, today: IsoDate, hemisphere: Hemisphere): Track[] {
  const running = degreeDaySums(series, span);
  const begun = yearOf(biofixBefore(span, today, hemisphere));
  const tracks: Track[] = [];
  for (let year = begun; ; year--) {
    const from = dayNumber(seasonalDate(span.biofix, year, hemisphere));
    if (from < running.first) break;
    const to = Math.min(from + SEASON_DAYS - 1, dayNumber(today));
    if (gained(running, from, to) === null) continue;
    tracks.push({ year, sums: Array.from({ length: to - from + 1 }, (_, i) => gained(running, from, from + i) ?? 0) });
  }
  return tracks;
}
