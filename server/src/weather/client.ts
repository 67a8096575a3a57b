import { z } from 'zod';
import { checkedDay, checkedHour, DayFault } from '@sounding/core/season/dayChecks.ts';
import type { IsoDate } from '@sounding/core/season/calendar.ts';
import type { WeatherHour } from '@sounding/core/season/hourly.ts';
import type { WeatherDay } from '@sounding/core/season/weather.ts';

const figure = z.number().nullable();
const serviceDay = z.object({ date: z.string(), tmin: figure, tmax: figure, rain: figure, wind: figure, humidity: figure });
const answer = z.object({ days: z.array(serviceDay) });
const hourAnswer = z.object({ hours: z.array(z.object({ time: z.string(), temp: figure, humidity: figure, wet: z.boolean() })) });

/** The service is not there, too slow, or says what cannot be; the message is fit to show. */
export class WeatherTrouble extends Error {}

/** A weather service as we read it: past days, and what it foretells. */
export interface WeatherClient {
  daily(stationName: string, from: IsoDate, to: IsoDate): Promise<WeatherDay[]>;
  forecast(stationName: string, issued: IsoDate, days: number): Promise<WeatherDay[]>;
  hourly(stationName: string, from: IsoDate, to: IsoDate): Promise<WeatherHour[]>;
}

const text = (value: number | null): string => (value === null ? '' : String(value));

function orTrouble<T>(when: string, check: () => T): T {
  try {
    return check();
  } catch (error) {
    if (error instanceof DayFault) throw new WeatherTrouble(`the weather service gives impossible figures for ${when}: ${error.message}`);
    throw error;
  }
}

const toDay = (row: z.infer<typeof serviceDay>): WeatherDay =>
  orTrouble(row.date, () =>
    checkedDay(
      { on: row.date, min: text(row.tmin), max: text(row.tmax), rain: text(row.rain), wind: text(row.wind), humidity: text(row.humidity) },
      { temperature: 'C', rain: 'mm', wind: 'm/s' },
    ),
  );

function toHour({ time, temp, humidity, wet }: z.infer<typeof hourAnswer>['hours'][number]): WeatherHour {
  return orTrouble(time, () => checkedHour({ time, temp: text(temp), humidity: text(humidity), wet: wet ? 'yes' : 'no' }, { temperature: 'C' }));
}

/**
 * @param base address of the service, such as http://127.0.0.1:4801
 * @param patienceMs how long an answer is waited for
 */
export function weatherClient(base: string, patienceMs = 5000): WeatherClient {
  const ask = async <T>(path: string, shape: z.ZodType<T>): Promise<T> => {
    let response: Response;
    try {
      response = await fetch(`${base}${path}`, { signal: AbortSignal.timeout(patienceMs) });
    } catch (error) {
      const late = (error as { name?: unknown } | null)?.name === 'TimeoutError';
      throw new WeatherTrouble(
        late ? `the weather service did not answer within ${patienceMs / 1000} seconds` : 'the weather service cannot be reached',
      );
    }
    if (!response.ok) throw new WeatherTrouble(`the weather service answers ${response.status}`);
    const parsed = shape.safeParse(await response.json().catch(() => null));
    if (!parsed.success) throw new WeatherTrouble('the weather service answers something that is no list of days');
    return parsed.data;
  };
  const at = (name: string) => `/stations/${encodeURIComponent(name.toLowerCase().replace(/\s+/g, '-'))}`;
  return {
    daily: async (name, from, to) => (await ask(`${at(name)}/daily?from=${from}&to=${to}`, answer)).days.map(toDay),
    forecast: async (name, issued, days) => (await ask(`${at(name)}/forecast?issued=${issued}&days=${days}`, answer)).days.map(toDay),
    hourly: async (name, from, to) => (await ask(`${at(name)}/hourly?from=${from}&to=${to}`, hourAnswer)).hours.map(toHour),
  };
}
