import { hoursByDay } from '../hourly.ts';
import { meanTemperature, type DiseaseIndex, type IndexDay } from './index.ts';

/**
 * Severity values of a day: `hours[k]` is the least hours of wetness that give k. Temperature is the mean while leaves were wet.
 * Source: Pitblado (1988), after Madden, Pennypacker & MacNab (1978), Phytopathology 68:1354–1358; quoted from memory.
 */
const SEVERITY: readonly { fromC: number; toC: number; hours: readonly number[] }[] = [
  { fromC: 13, toC: 17, hours: [0, 7, 16, 21] },
  { fromC: 18, toC: 20, hours: [0, 4, 9, 16, 23] },
  { fromC: 21, toC: 25, hours: [0, 3, 6, 13, 21] },
  { fromC: 26, toC: 29, hours: [0, 4, 9, 16, 23] },
];

/** 0 to 4; outside 13–29 °C nothing. */
export function severityValue(wetHours: number, meanC: number): number {
  const row = SEVERITY.find(({ fromC, toC }) => Math.round(meanC) >= fromC && Math.round(meanC) <= toC);
  return row && wetHours > 0 ? row.hours.findLastIndex((least) => wetHours >= least) : 0;
}

export const earlyBlight: DiseaseIndex = {
  id: 'early-blight',
  name: 'Early blight of tomato and potato',
  unit: 'severity values since planting out',
  mark: 'memory',
  cite: 'Pitblado, R. E. (1988), after Madden, Pennypacker & MacNab (1978), quoted from memory',
  holds: 'from planting out (taken as the first of the days given)',
  months: [5, 6, 7, 8, 9],
  of(_days, hours) {
    let sum = 0;
    return [...hoursByDay(hours)].map(([on, day]): IndexDay => {
      const wet = day.filter((hour) => hour.wet);
      const value = severityValue(wet.length, meanTemperature(wet));
      sum += value;
      const level = value >= 3 ? 'high' : value === 2 ? 'risk' : value === 1 ? 'low' : 'none';
      return { on, value: sum, level, note: value > 0 ? `${wet.length} h wet at ${meanTemperature(wet).toFixed(0)} °C: ${value}` : '' };
    });
  },
};
