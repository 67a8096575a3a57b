import type { DegreeDaySpan, Window } from '../../edition/windows.ts';
import { longDate, seasonalDate, yearOf, type IsoDate } from '../calendar.ts';
import { accumulated, biofixBefore, crossingDate, type Crossing } from '../crossing.ts';
import type { WeatherSeries } from '../weather.ts';
import { stateOn, undated, type SeasonContext, type WindowStanding } from './standing.ts';

/** The generation whose window is open or comes next before the year's count begins anew at `end`; the last one when all are over. */
function generationOn(
  weather: WeatherSeries,
  span: DegreeDaySpan,
  [biofix, end]: [IsoDate, IsoDate],
  date: IsoDate,
): { number: number; from: Crossing; to: Crossing } | null {
  const { every, most } = span.generations ?? { every: 0, most: 1 };
  let found: { number: number; from: Crossing; to: Crossing } | null = null;
  for (let g = 0; g < most; g++) {
    const from = crossingDate(weather, span, span.from + g * every, biofix, date);
    const to = crossingDate(weather, span, span.to + g * every, biofix, date);
    // a later generation that the warmth of a year does not reach does not happen here
    if (!from || !to || (g > 0 && from.on >= end)) break;
    found = { number: g + 1, from, to };
    if (date <= to.on) break;
  }
  return found;
}

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'];

/** By the warmth of the station's season; null without a span or with too little record. */
export function byDegreeDays(window: Window, context: SeasonContext, date: IsoDate): WindowStanding | null {
  const { weather } = context;
  const span = window.degreeDays;
  if (!span || !weather) return null;
  const biofix = biofixBefore(span, date, context.hemisphere);
  const nextBiofix = seasonalDate(span.biofix, yearOf(biofix) + 1, context.hemisphere);
  const generation = generationOn(weather, span, [biofix, nextBiofix], date);
  const today = accumulated(weather, span, biofix, date);
  if (!generation || today === null) return null;
  const { from, to, number } = generation;
  const state = stateOn(date, from.on, to.on);
  const next = state === 'closed' ? crossingDate(weather, span, span.from, nextBiofix, date) : null;
  const shift = (number - 1) * (span.generations?.every ?? 0);
  const counted = span.generations ? `${ORDINALS[number - 1] ?? `${number}th`} generation, ` : '';
  return {
    ...undated(window, 'unknown', ''),
    state,
    from: from.on,
    to: to.on,
    fromBand: from.reached ? null : [from.early, from.late],
    nextFrom: next?.on ?? null,
    basis:
      `${counted}${Math.round(today)} degree-days above ${span.baseC} °C since ${longDate(biofix)} at ${weather.station}; ` +
      `window ${span.from + shift}–${span.to + shift}` +
      (from.reached && to.reached ? '' : `; dates ahead from ${to.years} earlier years`),
  };
}
