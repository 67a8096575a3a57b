import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { CareDate } from '@sounding/core/consult/careAnswers.ts';
import type { ConsultInput, Standing } from '@sounding/core/consult/consult.ts';
import type { WeatherSeries } from '@sounding/core/season/weather.ts';
import type { Hemisphere } from '@sounding/core/edition/climates.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { DegreeDaySpan } from '@sounding/core/edition/windows.ts';
import type { SeasonInput, SeasonReport } from '@sounding/core/season/report.ts';
import type { Outlooks } from '@sounding/core/season/indices/outlook.ts';
import type { Track } from '@sounding/core/season/tracks.ts';
import type { SeasonContext } from '@sounding/core/season/windows.ts';
import type { Engine, Heard } from './engine.worker.ts';

let remote: Remote<Engine> | null = null;
const ready = new Map<string, Promise<void>>();

/** The engine in its worker, with the edition loaded. One worker serves the whole tab. */
export async function engineFor(edition: Edition): Promise<Remote<Engine>> {
  remote ??= wrap<Engine>(new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' }));
  const engine = remote;
  if (!ready.has(edition.version)) ready.set(edition.version, engine.load(edition));
  await ready.get(edition.version);
  return engine;
}

/** Calls the worker whenever `key` changes; keeps showing the last answer until the next is there. */
function useEngine<T>(edition: Edition | undefined, key: string | null, ask: (engine: Remote<Engine>) => Promise<T>): T | null {
  const [answer, setAnswer] = useState<{ key: string; value: T } | null>(null);
  useEffect(() => {
    if (!edition || key === null) return undefined;
    let current = true;
    void engineFor(edition)
      .then(ask)
      .then((value) => {
        if (current) setAnswer({ key, value });
      });
    return () => {
      current = false;
    };
    // `ask` is rebuilt on every render; `key` says when its meaning has changed
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [edition, key]);
  return key === null ? null : (answer?.value ?? null);
}

const sentWeather = new WeakMap<WeatherSeries, string>();

/** Hands a series to the worker once; returns the name it goes by there. */
async function weatherKey(engine: Remote<Engine>, series: WeatherSeries | null): Promise<string | null> {
  if (series === null) return null;
  const known = sentWeather.get(series) ?? crypto.randomUUID();
  if (!sentWeather.has(series)) {
    sentWeather.set(series, known);
    await engine.keepWeather(known, series);
  }
  return known;
}

export function useStanding(edition: Edition | undefined, input: ConsultInput | null): Standing | null {
  const key = input ? JSON.stringify({ ...input, weather: input.weather ? [input.weather.station, input.weather.days.at(-1)?.on] : null }) : null;
  return useEngine(edition, key, async (engine) => {
    const { weather, ...rest } = input as ConsultInput;
    return engine.consult(edition?.version ?? '', rest, await weatherKey(engine, weather));
  });
}

/**
 * Understands a finished line, for taking it down: never an answer that was meant for half of it.
 * @param asked the finding that is asked for just now, by id
 */
export async function hear(edition: Edition, said: string, asked: string | null, hostId: string | null): Promise<Heard> {
  const engine = await engineFor(edition);
  return engine.understand(edition.version, said, asked, hostId, edition.readIn ?? 'N');
}

/** Understands a line while it is typed. */
export function useHeard(edition: Edition | undefined, said: string, asked: string | null, hostId: string | null): Heard | null {
  const text = said.trim();
  const heard = useEngine(edition, JSON.stringify([text, asked, hostId]), () => hear(edition as Edition, text, asked, hostId));
  return text ? heard : null;
}

/** What this week and the next ask for at a station; null until its record is here. */
export function useSeason(
  edition: Edition | undefined,
  series: WeatherSeries | undefined,
  input: (Omit<SeasonInput, 'series' | 'plants'> & { hosts: string[] }) | null,
): SeasonReport | null {
  // two months of hours would make a long key: their ends tell them apart
  const ends = (list: readonly { on: string }[] | undefined) => [list?.length, list?.at(-1)?.on];
  const key =
    input && series
      ? JSON.stringify({ ...input, hours: ends(input.hours), forecast: ends(input.forecast), station: series.station, last: series.days.at(-1)?.on })
      : null;
  // the record is handed over as soon as it is here, while the rest is still on its way
  useEffect(() => {
    if (edition && series) void engineFor(edition).then((engine) => weatherKey(engine, series));
  }, [edition, series]);
  return useEngine(edition, key, async (engine) => engine.season(edition?.version ?? '', input!, (await weatherKey(engine, series ?? null))!));
}

export function usePlantYear(
  edition: Edition | undefined,
  series: WeatherSeries | undefined,
  hostId: string | null,
  context: Omit<SeasonContext, 'weather'>,
) {
  const key = hostId === null ? null : JSON.stringify({ hostId, context, station: series?.station });
  return useEngine(edition, key, async (engine) =>
    engine.plantYear(edition?.version ?? '', hostId!, context, await weatherKey(engine, series ?? null)),
  );
}

/** The works of the year on some topics of care, with their days at the station. */
export function useCareDates(
  edition: Edition | undefined,
  series: WeatherSeries | undefined,
  hostId: string | null,
  topics: string[],
  context: Omit<SeasonContext, 'weather'> | null,
): CareDate[] | null {
  const key =
    hostId === null || topics.length === 0 || context === null ? null : JSON.stringify({ hostId, topics, context, station: series?.station });
  return useEngine(edition, key, async (engine) =>
    engine.careDates(edition?.version ?? '', hostId!, topics, context!, await weatherKey(engine, series ?? null)),
  );
}

/** When each rule of disease weather will see infection next, at the station of `series`. */
export function useOutlooks(
  edition: Edition | undefined,
  series: WeatherSeries | undefined,
  today: string,
  hemisphere: Hemisphere,
  latDegrees: number | undefined,
): Outlooks | null {
  const key =
    series && latDegrees !== undefined
      ? JSON.stringify({ today, hemisphere, latDegrees, station: series.station, last: series.days.at(-1)?.on })
      : null;
  return useEngine(edition, key, async (engine) => engine.outlooks((await weatherKey(engine, series ?? null))!, today, hemisphere, latDegrees!));
}

/** Degree-days of this season beside those of earlier years. */
export function useTracks(
  edition: Edition | undefined,
  series: WeatherSeries | undefined,
  span: DegreeDaySpan,
  today: string,
  hemisphere: Hemisphere,
): Track[] | null {
  const key = series ? JSON.stringify({ span, today, hemisphere, station: series.station, last: series.days.at(-1)?.on }) : null;
  return useEngine(edition, key, async (engine) => engine.tracks((await weatherKey(engine, series ?? null))!, span, today, hemisphere));
}
