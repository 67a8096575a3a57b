import { sayAmount } from '../quantities/units.ts';
import { bothVolumes, round3, said, type SumDefinition } from './sum.ts';

const bothLitres = (litres: number): [string, string] => bothVolumes(litres * 1000);
const minutesSaid = (minutes: number): string =>
  minutes < 90 ? `${round3(minutes)} minutes` : `${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)} min`;

const emitters: SumDefinition = {
  id: 'emitters',
  name: 'Drip emitters',
  group: 'water',
  asks: 'How long must the drippers run?',
  fields: [
    { id: 'wanted', label: 'to give', kind: 'amount', dimension: 'volume', start: { value: '40', unit: 'l' } },
    { id: 'count', label: 'emitters', kind: 'number', start: '4', least: 1, most: 100_000 },
    { id: 'each', label: 'each gives, litres an hour', kind: 'number', start: '4', least: 0.1, most: 200 },
  ],
  work(v) {
    const litresHour = v.number('count') * v.number('each');
    const minutes = (v.amount('wanted') / 1000 / litresHour) * 60;
    return {
      lines: [minutesSaid(minutes), `${round3(litresHour)} litres an hour (${round3(litresHour / 3.785411784)} US gal an hour) together`],
      steps: [`${v.number('count')} × ${v.number('each')} litres an hour`, `${sayAmount(v.written('wanted'))} ÷ that`],
      figures: [],
      cautions: ['Catch one emitter in a cup for a minute: old ones give less than is printed on them.'],
      reply: `Let the ${v.number('count')} emitters run ${minutesSaid(minutes)} to give ${sayAmount(v.written('wanted'))}.`,
    };
  },
};

/**
 * Reference evapotranspiration of a day, mm, lowest to highest, by air and warmth.
 * Source: Allen et al. (1998), FAO-56, table 2, temperate regions: humid 1–2, 2–4, 4–7; arid 1–3, 4–7, 6–9.
 */
const ET0_MM_DAY = {
  humid: { cool: [1, 2], mild: [2, 4], hot: [4, 7] },
  dry: { cool: [1, 3], mild: [4, 7], hot: [6, 9] },
} as const;
/** What a planting uses of it in full leaf. Grass and vegetables: FAO-56 table 12; the others from memory. */
const CROP_COEFFICIENT = {
  'cool-lawn': { say: 'cool-season lawn', value: 0.95, mark: 'published' },
  'warm-lawn': { say: 'warm-season lawn', value: 0.85, mark: 'published' },
  vegetables: { say: 'vegetables in full growth', value: 1.05, mark: 'published' },
  flowers: { say: 'flowers', value: 0.8, mark: 'memory' },
  shrubs: { say: 'shrubs, rooted in', value: 0.5, mark: 'memory' },
} as const;

const week: SumDefinition = {
  id: 'week-water',
  name: 'Water of a week',
  group: 'water',
  asks: 'How much does it use in a week, and what has the rain left to give?',
  fields: [
    {
      id: 'planting',
      label: 'for',
      kind: 'choice',
      options: Object.entries(CROP_COEFFICIENT).map(([id, { say }]) => ({ id, say })),
      start: 'cool-lawn',
    },
    {
      id: 'warmth',
      label: 'the days',
      kind: 'choice',
      options: [
        { id: 'cool', say: 'about 10 °C' },
        { id: 'mild', say: 'about 20 °C' },
        { id: 'hot', say: 'above 30 °C' },
      ],
      start: 'mild',
    },
    {
      id: 'air',
      label: 'the air',
      kind: 'choice',
      options: [
        { id: 'humid', say: 'moist' },
        { id: 'dry', say: 'dry' },
      ],
      start: 'humid',
    },
    { id: 'rain', label: 'rain this week', kind: 'number', start: '6', unit: 'mm', least: 0, most: 500 },
    { id: 'area', label: 'area', kind: 'amount', dimension: 'area', start: { value: '50', unit: 'm2' } },
  ],
  work(v) {
    const { say, value, mark } = CROP_COEFFICIENT[v.choice<keyof typeof CROP_COEFFICIENT>('planting')];
    const span = ET0_MM_DAY[v.choice<'humid' | 'dry'>('air')][v.choice<'cool' | 'mild' | 'hot'>('warmth')];
    const rain = v.number('rain');
    const usedMm = ((7 * (span[0] + span[1])) / 2) * value;
    const lackMm = Math.max(0, usedMm - rain);
    const litres = said(bothLitres(lackMm * v.amount('area')), v.unit('area'));
    const enough = lackMm === 0;
    return {
      lines: enough
        ? ['the rain is enough', `it uses ${round3(usedMm)} mm, it rained ${round3(rain)} mm`]
        : [`${litres} this week`, `${round3(lackMm)} mm (${round3(lackMm / 25.4)} in), best in one or two soakings`],
      steps: [`7 days × ${(span[0] + span[1]) / 2} mm × ${value}`, `− ${round3(rain)} mm of rain`, `× ${sayAmount(v.written('area'))}`],
      figures: [
        { what: `${span[0]} to ${span[1]} mm a day in such weather`, mark: 'published', source: 'Allen et al. 1998, FAO-56 table 2' },
        { what: `${say} use ${value} of it`, mark, ...(mark === 'published' ? { source: 'Allen et al. 1998, FAO-56 table 12' } : {}) },
      ],
      cautions: ['Look at the soil before you water: a rod or a finger knows more than a sum.'],
      reply: enough
        ? `The ${round3(rain)} mm of rain were enough this week: ${say} use about ${round3(usedMm)} mm.`
        : `Give ${litres} this week, in one or two soakings in the early morning.`,
    };
  },
};

/** Milligrams of an ion in one milliequivalent. */
const MG_A_MEQ = { sodium: 22.99, calcium: 20.04, magnesium: 12.15, chloride: 35.45 } as const;

/** Sodium adsorption ratio from mg/l. Source: Richards (1954), USDA Handbook 60: Na ÷ √((Ca + Mg) ÷ 2) in meq/l. */
export function sodiumRatio(sodiumMgL: number, calciumMgL: number, magnesiumMgL: number): number {
  const hard = calciumMgL / MG_A_MEQ.calcium + magnesiumMgL / MG_A_MEQ.magnesium;
  return sodiumMgL / MG_A_MEQ.sodium / Math.sqrt(Math.max(hard, 0.1) / 2);
}

type Grade = 'fine' | 'with care' | 'harms';
const graded = (value: number, [care, harm]: readonly [number, number]): Grade => (value < care ? 'fine' : value <= harm ? 'with care' : 'harms');

/** From here with care, from there harm. Source: Ayers & Westcot (1985), FAO-29 rev. 1, table 1, surface irrigation; ratio and chloride in its units. */
const LIMITS = { ec: [0.7, 3], ratio: [3, 9], chlorideMeq: [4, 10] } as const;
/** Chlorine that harms roots and leaves, and fluoride that burns the tips of the sensitive, mg/l (memory). */
const CHLORINE_MG_L = [1, 5] as const;
const FLUORIDE_MG_L = [0.25, 1] as const;
/** Salt that a bog plant bears, dS/m (memory: growers ask for under 50 parts per million). */
const BOG_DS_M = 0.1;

const quality: SumDefinition = {
  id: 'water-quality',
  name: 'Is this water good?',
  group: 'water',
  asks: 'What does the water analysis mean for the plants?',
  fields: [
    { id: 'ec', label: 'salt (EC)', kind: 'number', start: '0.6', unit: 'dS/m', least: 0, most: 60 },
    { id: 'sodium', label: 'sodium', kind: 'number', start: '30', unit: 'mg/l', least: 0, most: 20_000 },
    { id: 'calcium', label: 'calcium', kind: 'number', start: '60', unit: 'mg/l', least: 0, most: 5000 },
    { id: 'magnesium', label: 'magnesium', kind: 'number', start: '12', unit: 'mg/l', least: 0, most: 5000 },
    { id: 'chloride', label: 'chloride', kind: 'number', start: '40', unit: 'mg/l', least: 0, most: 30_000 },
    { id: 'chlorine', label: 'free chlorine', kind: 'number', start: '0.3', unit: 'mg/l', least: 0, most: 50 },
    { id: 'fluoride', label: 'fluoride', kind: 'number', start: '0.1', unit: 'mg/l', least: 0, most: 50 },
  ],
  work(v) {
    const ratio = sodiumRatio(v.number('sodium'), v.number('calcium'), v.number('magnesium'));
    const chlorideMeq = v.number('chloride') / MG_A_MEQ.chloride;
    const grades: [string, Grade][] = [
      [`salt ${round3(v.number('ec'))} dS/m`, graded(v.number('ec'), LIMITS.ec)],
      [`sodium ratio ${round3(ratio)}`, graded(ratio, LIMITS.ratio)],
      [`chloride ${round3(chlorideMeq)} meq/l`, graded(chlorideMeq, LIMITS.chlorideMeq)],
      [`free chlorine ${round3(v.number('chlorine'))} mg/l`, graded(v.number('chlorine'), CHLORINE_MG_L)],
      [`fluoride ${round3(v.number('fluoride'))} mg/l`, graded(v.number('fluoride'), FLUORIDE_MG_L)],
    ];
    const worst: Grade = grades.some(([, g]) => g === 'harms') ? 'harms' : grades.some(([, g]) => g === 'with care') ? 'with care' : 'fine';
    const by = (grade: Grade) => grades.filter(([, g]) => g === grade).map(([what]) => what);
    const bog = v.number('ec') <= BOG_DS_M && v.number('fluoride') < FLUORIDE_MG_L[0] && v.number('chlorine') < CHLORINE_MG_L[0];
    const blame = by(worst).join(', ');
    const verdict = worst === 'fine' ? 'good for garden plants' : worst === 'with care' ? `to be used with care: ${blame}` : `it harms: ${blame}`;
    return {
      lines: [
        verdict,
        ...(worst === 'harms' && by('with care').length > 0 ? [`with care besides: ${by('with care').join(', ')}`] : []),
        bog ? 'good for bog plants too' : 'not for bog plants: rain or distilled water',
      ],
      steps: [`sodium ${round3(v.number('sodium') / MG_A_MEQ.sodium)} meq/l ÷ √(half of calcium and magnesium, meq/l) = ${round3(ratio)}`],
      figures: [
        {
          what: 'with care and harm from EC 0.7 and 3, ratio 3 and 9, chloride 4 and 10 meq/l',
          mark: 'published',
          source: 'Ayers & Westcot 1985, FAO-29 table 1',
        },
        { what: 'sodium adsorption ratio', mark: 'published', source: 'Richards 1954, USDA Handbook 60' },
        { what: 'chlorine from 1 and 5, fluoride from 0.25 and 1 mg/l (dracaena, spider plant, lilies)', mark: 'memory' },
        { what: `bog plants to ${BOG_DS_M} dS/m`, mark: 'memory' },
      ],
      cautions: [
        'Softened water trades calcium for sodium: take it before the softener.',
        'On the leaf, sodium and chloride burn from 3 meq/l: water the soil.',
      ],
      reply: `Your water is ${worst === 'fine' ? 'good for garden plants' : worst === 'with care' ? 'usable with care' : 'harmful to many plants'}${worst === 'fine' ? '' : ` (${blame})`}${bog ? '' : '; bog plants need rain or distilled water'}.`,
    };
  },
};

export const WATER_PLAN: readonly SumDefinition[] = [emitters, week, quality];
