import { z } from 'zod';
import { checkedDay, DayFault } from '@sounding/core/season/dayChecks.ts';
import type { IsoDate } from '@sounding/core/season/calendar.ts';
import type { WeatherDay } from '@sounding/core/season/weather.ts';

const figure = z.number().nullable();
const serviceDay = z.object({ date: z.string(), tmin: figure, tmax: figure, rain: figure, wind: figure, humidity: figure });
const answer = z.object({ days: z.array(serviceDay) });

/** The service is not there, too slow, or says what cannot be; the message is fit to show. */
export class WeatherTrouble extends Error {}

/** A weather service as we read it: past days, and what it foretells. */
export interface WeatherClient {
  daily(stationName: string, from: IsoDate, to: IsoDate): Promise<WeatherDay[]>;
  forecast(stationName: string, issued: IsoDate, days: number): Promise<WeatherDay[]>;
}

const text = (value: number | null): string => (value === null ? '' : String(value));

function toDay(row: z.infer<typeof serviceDay>): WeatherDay {
  try {
    return checkedDay(
      { on: row.date, min: text(row.tmin), max: text(row.tmax), rain: text(row.rain), wind: text(row.wind), humidity: text(row.humidity) },
      { temperature: 'C', rain: 'mm', wind: 'm/s' },
    );
  } catch (error) {
    if (error instanceof DayFault) throw new WeatherTrouble(`the weather service gives impossible figures for ${row.date}: ${error.message}`);
    throw error;
  }
}

/**
 * @param base address of the service, such as http://127.0.0.1:4801
 * @param patienceMs how long an answer is waited for
 */
export function weatherClient(base: string, patienceMs = 5000): WeatherClient {
  const ask = async (path: string): Promise<WeatherDay[]> => {
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
    const parsed = answer.safeParse(await response.json().catch(() => null));
    if (!parsed.success) throw new WeatherTrouble('the weather service answers something that is no list of days');
    return parsed.data.days.map(toDay);
  };
  const at = (name: string) => `/stations/${encodeURIComponent(name.toLowerCase().replace(/\s+/g, '-'))}`;
  return {
    daily: (name, from, to) => ask(`${at(name)}/daily?from=${from}&to=${to}`),
    forecast: (name, issued, days) => ask(`${at(name)}/forecast?issued=${issued}&days=${days}`),
  };
}
