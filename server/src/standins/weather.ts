import { generator } from '@sounding/core/numbers/random.ts';
import { addDays, daysBetween, type IsoDate } from '@sounding/core/season/calendar.ts';

/** The climate of an invented station: what the simulated weather service draws its days from. */
export interface StationClimate {
  seed: number;
  altitudeM: number;
  /** Mean of the year at 400 m and half its yearly swing, °C. */
  meanC: number;
  swingC: number;
  /** Chance of rain after a dry and after a wet day. */
  wetAfterDry: number;
  wetAfterWet: number;
  meanRainMm: number;
}

export interface SimulatedDay {
  on: IsoDate;
  minC: number;
  maxC: number;
  rainMm: number;
  windMs: number;
  humidityPct: number;
}

const FIRST_DAY = '2019-01-01';
const LAPSE_C_PER_M = 0.0062;
const oneDecimal = (x: number) => Math.round(x * 10) / 10;

/**
 * Days of a made-up station, the same for the same seed whatever span is asked for: a two-state Markov chain for rain,
 * exponential amounts, and temperature as a yearly wave with day-to-day persistence, in the manner of Richardson (1981).
 * Stands in for a national weather service; nothing here is an observation.
 */
export function simulateWeather(climate: StationClimate, from: IsoDate, to: IsoDate): SimulatedDay[] {
  const random = generator(climate.seed);
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const out: SimulatedDay[] = [];
  let wet = false;
  let anomaly = 0;
  const total = daysBetween(FIRST_DAY, to);
  for (let i = 0, on = FIRST_DAY as IsoDate; i <= total; i++, on = addDays(on, 1)) {
    wet = random() < (wet ? climate.wetAfterWet : climate.wetAfterDry);
    anomaly = 0.72 * anomaly + 2.1 * gauss();
    const season = -Math.cos((2 * Math.PI * ((i % 365.25) - 18)) / 365.25);
    const mean = climate.meanC - LAPSE_C_PER_M * (climate.altitudeM - 400) + climate.swingC * season + anomaly;
    const half = Math.max(1.5, (wet ? 3.2 : 5.2) + 1.3 * season + 0.6 * gauss());
    const rain = wet ? -climate.meanRainMm * Math.log(1 - random()) : 0;
    const wind = Math.abs(2.2 + 1.1 * gauss());
    const humidity = Math.min(100, Math.max(30, (wet ? 86 : 68) - 8 * season + 5 * gauss()));
    if (on >= from)
      out.push({
        on,
        minC: oneDecimal(mean - half),
        maxC: oneDecimal(mean + half),
        rainMm: oneDecimal(rain),
        windMs: oneDecimal(wind),
        humidityPct: Math.round(humidity),
      });
  }
  return out;
}
