import { hoursByDay } from '../hourly.ts';
import { type DiseaseIndex, type IndexDay } from './index.ts';

/** Hutton criteria: on each of two days running a minimum of 10 °C and at least six hours at 90 % humidity or more. */
const LEAST_C = 10;
const LEAST_HOURS = 6;
const HUMID_PCT = 90;

export const lateBlight: DiseaseIndex = {
  id: 'late-blight',
  name: 'Late blight of potato and tomato',
  unit: 'humid warm days running',
  mark: 'published',
  cite: 'Hutton criteria: Dancey, S. R., Skelsey, P. & Cooke, D. E. L. (2017)',
  holds: 'once potatoes meet in the rows, or tomatoes stand outdoors',
  months: [5, 6, 7, 8, 9],
  of(_days, hours) {
    let running = 0;
    return [...hoursByDay(hours)].map(([on, day]): IndexDay => {
      const minC = Math.min(...day.map((hour) => hour.tempC));
      const humid = day.filter((hour) => hour.humidityPct >= HUMID_PCT).length;
      running = minC >= LEAST_C && humid >= LEAST_HOURS ? running + 1 : 0;
      const level = running >= 3 ? 'high' : running === 2 ? 'risk' : running === 1 ? 'low' : 'none';
      return { on, value: running, level, note: running > 0 ? `night of ${minC.toFixed(0)} °C, ${humid} h at ${HUMID_PCT} % or more` : '' };
    });
  },
};
