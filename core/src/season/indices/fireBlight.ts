import { hoursByDay } from '../hourly.ts';
import { meanTemperature, type DiseaseIndex, type IndexDay } from './index.ts';

/** What the bacteria on the flowers need: degree-hours above 18.3 °C (65 °F), a wet day, and a warm one. */
const ABOVE_C = 18.3;
const DEGREE_HOURS = 110;
const WARM_MEAN_C = 15.6;
const LEAST_RAIN_MM = 0.25;
/** Flowers, and with them the count, last about this many days (memory). */
const FLOWER_DAYS = 5;

/**
 * Infection of open flowers: 110 degree-hours above 18.3 °C within the life of a flower, wetting of the day, and a mean of 15.6 °C or more.
 * Source: Steiner (1990), Acta Horticulturae 273:139–148; quoted from memory, the flower's life in days instead of degree-days.
 */
export const fireBlight: DiseaseIndex = {
  id: 'fire-blight',
  name: 'Fire blight, flowers',
  unit: 'degree-hours above 18.3 °C in five days',
  mark: 'memory',
  cite: 'Steiner, P. W. (1990), Acta Horticulturae 273:139–148; quoted from memory',
  holds: 'only while flowers are open',
  months: [4, 5],
  of(days, hours) {
    const byDay = hoursByDay(hours);
    const rain = new Map(days.map((day) => [day.on, day.rainMm ?? 0]));
    const warmth: number[] = [];
    return [...byDay].map(([on, day]): IndexDay => {
      warmth.push(day.reduce((sum, { tempC }) => sum + Math.max(0, tempC - ABOVE_C), 0));
      const value = warmth.slice(-FLOWER_DAYS).reduce((sum, w) => sum + w, 0);
      const met = [value >= DEGREE_HOURS, (rain.get(on) ?? 0) >= LEAST_RAIN_MM || day.some(({ wet }) => wet), meanTemperature(day) >= WARM_MEAN_C];
      const count = met.filter(Boolean).length;
      const level = count === 3 ? 'high' : count === 2 && met[0] ? 'risk' : met[0] ? 'low' : 'none';
      return { on, value, level, note: level === 'none' ? '' : `${value.toFixed(0)} degree-hours${met[1] ? ', wet' : ''}` };
    });
  },
};
