import { dailyDegreeDays } from '../season/degreeDays.ts';
import { dewPointC, saturationKPa } from '../season/air.ts';
import { round3, SumFault, type SumDefinition } from './sum.ts';

const byHand: SumDefinition = {
  id: 'degree-days',
  name: 'Degree-days by hand',
  group: 'weather',
  asks: 'How much warmth have these days brought?',
  fields: [
    { id: 'base', label: 'base', kind: 'number', start: '10', unit: '°C', least: -5, most: 25 },
    { id: 'days', label: 'minimum/maximum of each day: 8/21, 10/24', kind: 'number', start: '8/21, 10/24, 12/26' },
  ],
  work(v) {
    const base = v.number('base');
    const days = v
      .text('days')
      .split(/[,;]\s*|\s+(?=-?\d)/)
      .filter(Boolean);
    const gains = days.map((day, i) => {
      const [min, max] = day.split(/\s*(?:\/|to|–)\s*/).map(Number);
      if (min === undefined || max === undefined || !Number.isFinite(min) || !Number.isFinite(max))
        throw new SumFault('days', `day ${i + 1}: "${day}" is not minimum/maximum`);
      if (min > max) throw new SumFault('days', `day ${i + 1}: the minimum ${min} is above the maximum ${max}`);
      return dailyDegreeDays(min, max, { lowerC: base }, 'single-sine');
    });
    if (gains.length === 0) throw new SumFault('days', 'there are no days');
    const sum = gains.reduce((a, b) => a + b, 0);
    return {
      lines: [`${sum.toFixed(1)} degree-days above ${base} °C (${(sum * 1.8).toFixed(1)} above ${round3(base * 1.8 + 32)} °F)`],
      steps: gains.map((gain, i) => `day ${i + 1}: ${gain.toFixed(1)}`),
      figures: [{ what: 'single sine', mark: 'published', source: 'Baskerville & Emin 1969' }],
      cautions: [],
      reply: `These ${gains.length} days have brought ${sum.toFixed(1)} degree-days above ${base} °C.`,
    };
  },
};

/** A clear, still night cools about to the dew point of the evening air; the grass is a few degrees colder than the screen (memory). */
const GRASS_COLDER_C = 4;

const frost: SumDefinition = {
  id: 'frost',
  name: 'Frost tonight?',
  group: 'weather',
  asks: 'Will there be frost on a clear, still night?',
  fields: [
    { id: 'temp', label: 'at sunset', kind: 'number', start: '9', unit: '°C', least: -20, most: 40 },
    { id: 'humidity', label: 'humidity', kind: 'number', start: '60', unit: '%', least: 1, most: 100 },
  ],
  work(v) {
    const dew = dewPointC((v.number('humidity') / 100) * saturationKPa(v.number('temp')));
    const grass = dew - GRASS_COLDER_C;
    const say =
      dew <= 0
        ? 'frost is likely, if it stays clear and still'
        : grass <= 0
          ? 'ground frost is possible: cover what is tender'
          : 'no frost, unless cold air flows in';
    return {
      lines: [say, `dew point ${dew.toFixed(1)} °C`],
      steps: [`air of ${v.number('temp')} °C at ${v.number('humidity')} %`, `the grass may be ${GRASS_COLDER_C} °C colder: ${grass.toFixed(1)} °C`],
      figures: [
        { what: 'a clear still night cools about to the evening’s dew point; grass about 4 °C colder', mark: 'memory' },
        { what: 'dew point (FAO-56 eq. 11 turned round)', mark: 'published', source: 'Allen et al. 1998' },
      ],
      cautions: ['Cloud and wind keep it milder; hollows are colder.'],
      reply: `For tonight: ${say}.`,
    };
  },
};

const chill: SumDefinition = {
  id: 'chill-weeks',
  name: 'Chill still missing',
  group: 'weather',
  asks: 'How many cold weeks does it still need?',
  fields: [
    { id: 'had', label: 'weeks below 10 to 12 °C so far', kind: 'number', start: '8', least: 0, most: 60 },
    { id: 'least', label: 'it needs at least', kind: 'number', start: '14', unit: 'weeks', least: 1, most: 40 },
    { id: 'most', label: 'to be sure', kind: 'number', start: '18', unit: 'weeks', least: 1, most: 40 },
  ],
  work(v) {
    const missing = (need: number) => Math.max(0, need - v.number('had'));
    const [low, high] = [missing(v.number('least')), missing(v.number('most'))];
    return {
      lines: [high === 0 ? 'it has had enough' : `${round3(low)} to ${round3(high)} weeks more`],
      steps: [`${v.number('least')} to ${v.number('most')} − ${v.number('had')}`],
      figures: [{ what: 'a peony needs about 14 to 18 weeks below 10 to 12 °C', mark: 'common-practice' }],
      cautions: ['Outdoors, never under glass.'],
      reply: high === 0 ? 'It has had its cold.' : `It still needs ${round3(low)} to ${round3(high)} cold weeks; leave it outdoors.`,
    };
  },
};

export const WEATHER_SUMS: readonly SumDefinition[] = [byHand, frost, chill];
