import { expose } from 'comlink';
import { Consultant, type ConsultInput, type Standing } from '@sounding/core/consult/consult.ts';
import { careAnswers, careDates, type CareAnswer } from '@sounding/core/consult/careAnswers.ts';
import type { WeatherSeries } from '@sounding/core/season/weather.ts';
import type { Hemisphere } from '@sounding/core/edition/climates.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { DegreeDaySpan } from '@sounding/core/edition/windows.ts';
import { editionIn } from '@sounding/core/edition/editionIn.ts';
import { plantYear, seasonReport, type SeasonInput, type SeasonReport } from '@sounding/core/season/report.ts';
import { outlooks, type Outlooks } from '@sounding/core/season/indices/outlook.ts';
import { degreeDayTracks, type Track } from '@sounding/core/season/tracks.ts';
import type { SeasonContext } from '@sounding/core/season/windows.ts';
import { leavesOpen } from '@sounding/core/language/dialogue.ts';
import { Understander, type Understanding } from '@sounding/core/language/understand.ts';
import { lonePlant } from '@sounding/core/language/understanding.ts';

interface Loaded {
  consultant: Consultant;
  understander: Understander;
}
/** By version: an old case is reasoned over with the edition it was answered with. */
const loaded = new Map<string, Loaded>();
const weather = new Map<string, WeatherSeries>();

function of(version: string): Loaded {
  const found = loaded.get(version);
  if (!found) throw new Error(`edition ${version} is not loaded`);
  return found;
}

export interface Heard extends Understanding {
  /** The question the words were read as an answer to, or null. */
  asked: string | null;
  /** The finding asked for, where the words only leave it open. */
  leftOpen: string | null;
  careAnswers: CareAnswer[];
}

const engine = {
  load(edition: Edition): void {
    if (!loaded.has(edition.version)) loaded.set(edition.version, { consultant: new Consultant(edition), understander: new Understander(edition) });
  },
  /** Weather is sent once and named afterwards: a reading must not carry years of days along. */
  keepWeather(key: string, series: WeatherSeries): void {
    weather.set(key, series);
  },
  consult: (version: string, input: Omit<ConsultInput, 'weather'>, weatherKey: string | null): Standing =>
    of(version).consultant.consult({ ...input, weather: weatherKey === null ? null : (weather.get(weatherKey) ?? null) }),
  /** @param asked the finding that is asked for just now, by id */
  understand(version: string, said: string, asked: string | null, hostId: string | null, hemisphere: Hemisphere): Heard {
    const { understander, consultant } = of(version);
    const open = consultant.edition.findings.find(({ id }) => id === asked);
    const known = consultant.edition.plants.find(({ id }) => id === hostId) ?? null;
    const { understanding: read, answers } = open
      ? understander.understandReply(said, open, known)
      : { understanding: understander.understand([said], known), answers: false };
    const understanding = { ...read, host: read.host ?? (hostId === null ? lonePlant(read) : null) };
    const edition = editionIn(consultant.edition, hemisphere);
    const plant = edition.plants.find(({ id }) => id === (hostId ?? understanding.host?.id)) ?? null;
    const leftOpen = open && read.readings.length + read.plants.length === 0 && leavesOpen(said) ? open.id : null;
    return {
      ...understanding,
      asked: open && (answers || leftOpen) ? open.ask : null,
      leftOpen,
      careAnswers: careAnswers(edition, plant, understanding.care),
    };
  },
  careDates(version: string, hostId: string, topics: string[], context: Omit<SeasonContext, 'weather'>, weatherKey: string | null) {
    const edition = editionIn(of(version).consultant.edition, context.hemisphere);
    const plant = edition.plants.find(({ id }) => id === hostId);
    return plant ? careDates(edition, plant, topics, { ...context, weather: weatherKey === null ? null : (weather.get(weatherKey) ?? null) }) : [];
  },
  /** What this week and the next ask for at one station. */
  season: (version: string, input: Omit<SeasonInput, 'series' | 'plants'> & { hosts: string[] }, weatherKey: string): SeasonReport => {
    const edition = editionIn(of(version).consultant.edition, input.hemisphere);
    const series = weather.get(weatherKey);
    if (!series) throw new Error(`weather ${weatherKey} is not here`);
    return seasonReport(edition, { ...input, series, plants: edition.plants.filter(({ id }) => input.hosts.includes(id)) });
  },
  /** When each rule of disease weather will see infection next. It plays ten years on, so the report does not wait for it. */
  outlooks: (weatherKey: string, today: string, hemisphere: Hemisphere, latDegrees: number): Outlooks | null => {
    const series = weather.get(weatherKey);
    return series ? outlooks(series, today, hemisphere, latDegrees) : null;
  },
  plantYear(version: string, hostId: string, context: Omit<SeasonContext, 'weather'>, weatherKey: string | null) {
    const edition = editionIn(of(version).consultant.edition, context.hemisphere);
    const plant = edition.plants.find(({ id }) => id === hostId);
    return plant ? plantYear(edition, plant, { ...context, weather: weatherKey === null ? null : (weather.get(weatherKey) ?? null) }) : [];
  },
  tracks: (weatherKey: string, span: DegreeDaySpan, today: string, hemisphere: Hemisphere): Track[] => {
    const series = weather.get(weatherKey);
    return series ? degreeDayTracks(series, span, today, hemisphere) : [];
  },
  resolvePlant: (version: string, name: string) => of(version).understander.resolvePlant(name),
};
export type Engine = typeof engine;
expose(engine);
