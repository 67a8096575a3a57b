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
 * How the residuals of maximum, minimum and radiation hang together from day to day and among each other.
 * Source: Richardson (1981), Water Resources Research 17:182–190; Richardson & Wright (1984), WGEN; quoted from memory.
 */
type Matrix = readonly (readonly number[])[];
const A: Matrix = [
  [0.567, 0.086, -0.002],
  [0.253, 0.504, -0.05],
  [-0.006, -0.039, 0.244],
];
const B: Matrix = [
  [0.781, 0, 0],
  [0.328, 0.637, 0],
  [0.238, -0.341, 0.873],
];
/** Spread of daily maximum and minimum round their seasonal mean, °C. */
const SPREAD_C = { max: 3.1, min: 2.5 } as const;
const times = (matrix: Matrix, x: readonly number[]): number[] => matrix.map((row) => row.reduce((sum, a, i) => sum + a * (x[i] ?? 0), 0));

/**
 * Days of a made-up station, the same for the same seed whatever span is asked for: a two-state Markov chain for rain with exponential
 * amounts; maximum, minimum and radiation as a weakly stationary process round means that depend on the season and on rain (Richardson
 * 1981). Humidity follows rain and radiation. Stands in for a national weather service; nothing here is an observation.
 */
export function simulateWeather(climate: StationClimate, from: IsoDate, to: IsoDate): SimulatedDay[] {
  const random = generator(climate.seed);
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const out: SimulatedDay[] = [];
  let wet = false;
  let residual: number[] = [0, 0, 0];
  const total = daysBetween(FIRST_DAY, to);
  for (let i = 0, on = FIRST_DAY as IsoDate; i <= total; i++, on = addDays(on, 1)) {
    wet = random() < (wet ? climate.wetAfterWet : climate.wetAfterDry);
    const shock = times(B, [gauss(), gauss(), gauss()]);
    residual = times(A, residual).map((x, k) => x + (shock[k] ?? 0));
    const season = -Math.cos((2 * Math.PI * ((i % 365.25) - 18)) / 365.25);
    const mean = climate.meanC - LAPSE_C_PER_M * (climate.altitudeM - 400) + climate.swingC * season;
    const half = (wet ? 3.2 : 5.2) + 1.3 * season;
    const maxC = mean + half - (wet ? 0.8 : 0) + SPREAD_C.max * (residual[0] ?? 0);
    const minC = Math.min(maxC - 1.5, mean - half + SPREAD_C.min * (residual[1] ?? 0));
    const rain = wet ? -climate.meanRainMm * Math.log(1 - random()) : 0;
    const wind = Math.abs(2.2 + 1.1 * gauss());
    const humidity = Math.min(100, Math.max(30, (wet ? 86 : 68) - 8 * season - 4 * (residual[2] ?? 0)));
    if (on >= from)
      out.push({
        on,
        minC: oneDecimal(minC),
        maxC: oneDecimal(maxC),
        rainMm: oneDecimal(rain),
        windMs: oneDecimal(wind),
        humidityPct: Math.round(humidity),
      });
  }
  return out;
}

/** How far a forecast strays for each day it looks ahead, °C; rain is missed or made up with this chance a day. */
const ERROR_C_PER_DAY = 0.35;
const RAIN_ERROR_PER_DAY = 0.03;

/** What the service foretells on a day for the next `days`: the days to come, blurred the more the further off. The same for the same day. */
export function simulateForecast(climate: StationClimate, issued: IsoDate, days: number): SimulatedDay[] {
  const random = generator(climate.seed + daysBetween(FIRST_DAY, issued));
  return simulateWeather(climate, issued, addDays(issued, days - 1)).map((day, ahead) => {
    const stray = () => (random() + random() - 1) * 2 * ERROR_C_PER_DAY * ahead;
    const rainStrays = random() < RAIN_ERROR_PER_DAY * ahead;
    const minC = oneDecimal(day.minC + stray());
    return {
      ...day,
      minC,
      maxC: Math.max(oneDecimal(minC + 1), oneDecimal(day.maxC + stray())),
      rainMm: rainStrays ? (day.rainMm > 0 ? 0 : oneDecimal(climate.meanRainMm * random())) : day.rainMm,
    };
  });
}
