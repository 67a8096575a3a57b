import type { WeatherHour } from '../hourly.ts';
import { meanTemperature, type DiseaseIndex, type IndexDay } from './index.ts';

/**
 * Hours of wetness for ascospores to infect, by whole degrees from 1 °C.
 * Source: MacHardy & Gadoury (1989), Phytopathology 79:304–310, a revision of Mills (1944); 6 h at 16–24 °C as in the work, the rest of the
 * column quoted from memory.
 */
const HOURS_FROM_1C = [41, 35, 30, 28, 21, 18, 15, 13, 12, 11, 9, 8, 8, 7, 7, 6, 6, 6, 6, 6, 6, 6, 6, 6, 8, 11] as const;

/** @returns hours, or null where it is too cold or too hot to infect */
export function hoursToInfect(meanC: number): number | null {
  const degree = Math.round(meanC);
  return degree < 1 ? null : (HOURS_FROM_1C[degree - 1] ?? null);
}

/** Dry hours that do not end a wetting: spores that have begun live through them (Mills 1944: periods are summed over dry gaps; here up to 4 h). */
const BRIDGED_HOURS = 4;

interface Wetting {
  hours: WeatherHour[];
  wet: number;
}

/** Runs of wet hours, short dry gaps bridged. */
export function wettings(hours: readonly WeatherHour[]): Wetting[] {
  const found: Wetting[] = [];
  let open: Wetting | null = null;
  let dry = 0;
  for (const hour of hours) {
    dry = hour.wet ? 0 : dry + 1;
    if (dry > BRIDGED_HOURS) open = null;
    if (!hour.wet) continue;
    if (!open) {
      open = { hours: [], wet: 0 };
      found.push(open);
    }
    open.hours.push(hour);
    open.wet++;
  }
  return found;
}

export const appleScab: DiseaseIndex = {
  id: 'apple-scab',
  name: 'Apple and pear scab',
  unit: 'share of the wetness that infects',
  mark: 'memory',
  cite: 'MacHardy, W. E. & Gadoury, D. M. (1989), Phytopathology 79:304–310; column quoted from memory',
  holds: 'from bud burst until about two weeks after petal fall, while last year’s leaves shed spores',
  months: [3, 4, 5, 6],
  of(days, hours) {
    const worst = new Map<string, IndexDay>();
    for (const wetting of wettings(hours)) {
      // judged on each day it lasts by what had been wet until then
      for (let i = 0; i < wetting.hours.length; i++) {
        const on = wetting.hours[i]!.on;
        if (wetting.hours[i + 1]?.on === on) continue;
        const sofar = wetting.hours.slice(0, i + 1);
        const needed = hoursToInfect(meanTemperature(sofar));
        if (needed === null) continue;
        const value = sofar.length / needed;
        const level = value >= 2 ? 'high' : value >= 1 ? 'risk' : value >= 0.7 ? 'low' : 'none';
        const note = level === 'none' ? '' : `${sofar.length} h wet at ${meanTemperature(sofar).toFixed(0)} °C, ${needed} h infect`;
        if (value > (worst.get(on)?.value ?? 0)) worst.set(on, { on, value, level, note });
      }
    }
    return days.map(({ on }) => worst.get(on) ?? { on, value: 0, level: 'none', note: '' });
  },
};
