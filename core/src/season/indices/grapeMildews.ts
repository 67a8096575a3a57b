import { hoursByDay } from '../hourly.ts';
import { longestRun, type DiseaseIndex, type IndexDay } from './index.ts';

/** The rule of three tens: shoots of 10 cm, 10 mm of rain within a day or two, 10 °C. Source: Baldacci (1947). */
export const grapeDownyMildew: DiseaseIndex = {
  id: 'grape-downy-mildew',
  name: 'Downy mildew of grapevine',
  unit: 'mm of rain in two days, at 10 °C or more',
  mark: 'memory',
  cite: 'Baldacci, E. (1947), the rule of three tens; quoted from memory',
  holds: 'once shoots are 10 cm long',
  months: [5, 6, 7, 8],
  of(days) {
    return days.map(({ on, rainMm, minC, maxC }, i): IndexDay => {
      const rain = (rainMm ?? 0) + (days[i - 1]?.rainMm ?? 0);
      const mean = minC === null || maxC === null ? NaN : (minC + maxC) / 2;
      const warm = mean >= 10;
      const value = warm ? rain : 0;
      const level = value >= 25 ? 'high' : value >= 10 ? 'risk' : value >= 7 ? 'low' : 'none';
      return { on, value, level, note: level === 'none' ? '' : `${rain.toFixed(0)} mm in two days at ${mean.toFixed(0)} °C` };
    });
  },
};

const isWarm = (tempC: number) => tempC >= 21 && tempC <= 30;
const WARM_HOURS = 6;
/** Three such days running set the index going; each of them is worth this much. */
const STEP = 20;
const FALL = 10;
const SCORCHING_C = 35;

/**
 * Powdery mildew risk index, 0 to 100: it begins with three days running of six hours on end between 21 and 30 °C; from then on such a day
 * adds 20, any other takes 10 away, heat of 35 °C takes 10 more.
 * Source: Gubler, Rademacher, Vasquez & Thomas (1999), APSnet Features; quoted from memory.
 */
export const grapePowderyMildew: DiseaseIndex = {
  id: 'grape-powdery-mildew',
  name: 'Powdery mildew of grapevine',
  unit: 'index, 0 to 100',
  mark: 'memory',
  cite: 'Gubler, W. D., Rademacher, M. R., Vasquez, S. J. & Thomas, C. S. (1999); quoted from memory',
  holds: 'from bud burst to the colouring of the grapes',
  months: [5, 6, 7, 8],
  of(_days, hours) {
    let started = false;
    let running = 0;
    let index = 0;
    return [...hoursByDay(hours)].map(([on, day]): IndexDay => {
      const warm = longestRun(day, ({ tempC }) => isWarm(tempC)) >= WARM_HOURS;
      const scorching = day.some(({ tempC }) => tempC >= SCORCHING_C);
      running = warm ? running + 1 : 0;
      if (!started) {
        index = running * STEP;
        started = running >= 3;
      } else index += (warm ? STEP : -FALL) - (scorching ? FALL : 0);
      index = Math.min(100, Math.max(0, index));
      const level = !started ? 'none' : index >= 60 ? 'high' : index >= 40 ? 'risk' : index > 0 ? 'low' : 'none';
      return { on, value: index, level, note: level === 'none' ? '' : `index ${index}` };
    });
  },
};
