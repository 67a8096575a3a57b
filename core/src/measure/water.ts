import { AVAILABLE_MM_PER_M, type SoilTexture } from '../season/waterBalance.ts';
import { sayAmount } from '../quantities/units.ts';
import { bothLengths, bothMasses, bothVolumes, round3, said, SumFault, TEXTURES, type SumDefinition } from './sum.ts';

/** How deep the soil is to be wet, cm (common practice, practice of the rod). */
export const DEPTH_TARGET_CM = { tree: [60, 90], shrub: [30, 60], flower: [15, 30] } as const;
/** A soil is watered when about half of what it can give is gone (FAO-56 table 22). */
const EMPTIED = 0.5;

/** Litres a m² that wet half-dry soil down to a depth: what it lacks over that depth. */
export const wettingMm = (texture: SoilTexture, depthCm: number): number => AVAILABLE_MM_PER_M[texture] * EMPTIED * (depthCm / 100);

const depth: SumDefinition = {
  id: 'water-depth',
  name: 'Watering to a depth',
  group: 'water',
  asks: 'How many litres, and how long, to wet the roots?',
  fields: [
    {
      id: 'plant',
      label: 'for',
      kind: 'choice',
      options: [
        { id: 'tree', say: 'a tree' },
        { id: 'shrub', say: 'a shrub' },
        { id: 'flower', say: 'flowers' },
      ],
      start: 'tree',
    },
    { id: 'texture', label: 'soil', kind: 'choice', options: TEXTURES, start: 'loam' },
    { id: 'area', label: 'root area', kind: 'amount', dimension: 'area', start: { value: '6', unit: 'm2' } },
    { id: 'flow', label: 'the hose gives, litres a minute', kind: 'number', start: '10', least: 0.01, most: 500 },
  ],
  work(v) {
    const [low, high] = DEPTH_TARGET_CM[v.choice<keyof typeof DEPTH_TARGET_CM>('plant')];
    const texture = v.choice<SoilTexture>('texture');
    const litres = [low, high].map((cm) => wettingMm(texture, cm) * v.amount('area')) as [number, number];
    const minutes = litres.map((l) => l / v.number('flow'));
    return {
      lines: [
        `${round3(litres[0])} to ${round3(litres[1])} litres (${round3(litres[0] / 3.785411784)} to ${round3(litres[1] / 3.785411784)} US gal)`,
        `${round3(minutes[0]!)} to ${round3(minutes[1]!)} minutes, for a rod to go ${low} to ${high} cm in`,
      ],
      steps: [`${AVAILABLE_MM_PER_M[texture]} mm a m of ${texture}, half gone`, `× ${low} to ${high} cm × ${sayAmount(v.written('area'))}`],
      figures: [
        { what: `a rod should go in ${low} to ${high} cm after watering`, mark: 'common-practice' },
        { what: 'water that a soil gives to roots (FAO-56 table 19, middle of the range)', mark: 'published', source: 'Allen et al. 1998' },
      ],
      cautions: ['Slowly, in the early morning; stop when it runs off and go on later.'],
      reply: `Give ${round3(litres[0])} to ${round3(litres[1])} litres slowly, about ${round3(minutes[0]!)} to ${round3(minutes[1]!)} minutes, until a rod goes ${low} to ${high} cm in; then wait until the top is dry.`,
    };
  },
};

const reached: SumDefinition = {
  id: 'depth-reached',
  name: 'How deep did it go?',
  group: 'water',
  asks: 'I gave so much: how deep is the soil wet now?',
  fields: [
    { id: 'given', label: 'given', kind: 'amount', dimension: 'volume', start: { value: '40', unit: 'l' } },
    { id: 'area', label: 'on so much', kind: 'amount', dimension: 'area', start: { value: '2', unit: 'm2' } },
    { id: 'texture', label: 'soil', kind: 'choice', options: TEXTURES, start: 'loam' },
  ],
  work(v) {
    const texture = v.choice<SoilTexture>('texture');
    const mm = v.amount('given') / 1000 / v.amount('area');
    const cm = (mm / wettingMm(texture, 100)) * 100;
    const enough = (Object.keys(DEPTH_TARGET_CM) as (keyof typeof DEPTH_TARGET_CM)[]).filter((plant) => cm >= DEPTH_TARGET_CM[plant][0]);
    const words = { tree: 'a tree', shrub: 'a shrub', flower: 'flowers' };
    return {
      lines: [
        `about ${said(bothLengths(cm), v.unit('area'))} deep`,
        enough.length > 0 ? `enough for ${enough.map((plant) => words[plant]).join(', ')}` : 'too shallow even for flowers: give more, less often',
      ],
      steps: [
        `${sayAmount(v.written('given'))} on ${sayAmount(v.written('area'))} = ${round3(mm)} mm`,
        `${round3(wettingMm(texture, 100))} mm wet a metre of half-dry ${texture}`,
      ],
      figures: [
        { what: 'water that a soil gives to roots (FAO-56 table 19, middle of the range)', mark: 'published', source: 'Allen et al. 1998' },
        { what: 'wanted: trees 60 to 90 cm, shrubs 30 to 60, flowers 15 to 30', mark: 'common-practice' },
      ],
      cautions: ['A rod knows better: push one in an hour after watering.'],
      reply: `That much water wets the soil about ${said(bothLengths(cm), v.unit('area'))} deep.`,
    };
  },
};

/** Share of irrigation water that must drain to keep salts down. Source: Ayers & Westcot (1985), FAO-29, LR = ECw ÷ (5 ECe − ECw). @throws SumFault when no water would do */
export function leachingShare(waterDsM: number, soilDsM: number): number {
  const rest = 5 * soilDsM - waterDsM;
  if (rest <= waterDsM)
    throw new SumFault('water', 'water this salty cannot keep the soil at that: choose a plant that bears more salt, or other water');
  return waterDsM / rest;
}

const leaching: SumDefinition = {
  id: 'leaching',
  name: 'Leaching share',
  group: 'water',
  asks: 'How much more water washes the salts below the roots?',
  fields: [
    { id: 'water', label: 'salt in the water', kind: 'number', start: '1.2', unit: 'dS/m', least: 0.01, most: 20 },
    { id: 'soil', label: 'the plant bears in the soil', kind: 'number', start: '1.3', unit: 'dS/m', least: 0.1, most: 20 },
    { id: 'need', label: 'it needs', kind: 'number', start: '25', unit: 'litres', least: 0.1, most: 100_000 },
  ],
  work(v) {
    const share = leachingShare(v.number('water'), v.number('soil'));
    const litres = v.number('need') / (1 - share);
    return {
      lines: [`${Math.round(share * 100)} % must drain`, `${round3(litres)} litres instead of ${round3(v.number('need'))}`],
      steps: [`${v.number('water')} ÷ (5 × ${v.number('soil')} − ${v.number('water')}) = ${share.toFixed(3)}`],
      figures: [{ what: 'LR = ECw ÷ (5 ECe − ECw)', mark: 'published', source: 'Ayers & Westcot 1985, FAO-29' }],
      cautions: ['Only where water can drain away below.'],
      reply: `Give ${round3(litres)} litres instead of ${round3(v.number('need'))}, so that the salts are washed below the roots.`,
    };
  },
};

/** Threshold (dS/m in the soil) and loss a dS/m (%). Source: Maas & Hoffman (1977), J. Irrig. Drain. Div. ASCE 103:115–134; quoted from memory. */
export const SALT_TOLERANCE = {
  bean: [1.0, 19],
  carrot: [1.0, 14],
  strawberry: [1.0, 33],
  onion: [1.2, 16],
  lettuce: [1.3, 13],
  pepper: [1.5, 14],
  grapevine: [1.5, 9.6],
  almond: [1.5, 19],
  potato: [1.7, 12],
  orange: [1.7, 16],
  peach: [1.7, 21],
  cabbage: [1.8, 9.7],
  spinach: [2.0, 7.6],
  tomato: [2.5, 9.9],
  cucumber: [2.5, 13],
  beetroot: [4.0, 9],
  'date palm': [4.0, 3.6],
  asparagus: [4.1, 2],
} as const satisfies Record<string, readonly [number, number]>;

/** Yield against that on soil without salt, %. */
export const relativeYield = (soilDsM: number, [threshold, slope]: readonly [number, number]): number =>
  Math.max(0, Math.min(100, 100 - slope * (soilDsM - threshold)));

const salt: SumDefinition = {
  id: 'salt',
  name: 'Salt and the crop',
  group: 'water',
  asks: 'What does this much salt in the soil cost?',
  fields: [
    { id: 'soil', label: 'salt in the soil', kind: 'number', start: '3', unit: 'dS/m', least: 0, most: 40 },
    { id: 'crop', label: 'crop', kind: 'choice', options: Object.keys(SALT_TOLERANCE).map((id) => ({ id, say: id })), start: 'tomato' },
  ],
  work(v) {
    const crop = v.choice<keyof typeof SALT_TOLERANCE>('crop');
    const yieldPct = relativeYield(v.number('soil'), SALT_TOLERANCE[crop]);
    const [threshold, slope] = SALT_TOLERANCE[crop];
    return {
      lines: [`${round3(yieldPct)} % of a full crop`],
      steps: [`100 − ${slope} × (${v.number('soil')} − ${threshold})`],
      figures: [{ what: `${crop}: nothing lost to ${threshold} dS/m, ${slope} % for each above`, mark: 'memory', source: 'Maas & Hoffman 1977' }],
      cautions: [],
      reply: `At this salt content ${crop} gives about ${round3(yieldPct)} % of a full crop.`,
    };
  },
};

const roof: SumDefinition = {
  id: 'roof',
  name: 'Roof water',
  group: 'water',
  asks: 'How much rain comes off the roof, and when is the barrel full?',
  fields: [
    { id: 'roof', label: 'roof, seen from above', kind: 'amount', dimension: 'area', start: { value: '1000', unit: 'sqft' } },
    { id: 'rain', label: 'rain', kind: 'amount', dimension: 'length', start: { value: '1', unit: 'in' } },
    { id: 'barrel', label: 'barrel', kind: 'amount', dimension: 'volume', start: { value: '55', unit: 'gal-us' } },
    { id: 'height', label: 'tap below the water', kind: 'amount', dimension: 'length', start: { value: '1', unit: 'm' } },
  ],
  work(v) {
    const ml = v.amount('roof') * 10_000 * v.amount('rain');
    const toFillCm = v.amount('barrel') / (v.amount('roof') * 10_000);
    const kPa = (9.80665 * v.amount('height')) / 100;
    const over = Math.max(0, ml - v.amount('barrel'));
    return {
      lines: [
        said(bothVolumes(ml), v.unit('roof')),
        `the barrel is full after ${said(bothLengths(toFillCm), v.unit('rain'))} of rain; ${said(bothVolumes(over), v.unit('roof'))} run over`,
        `full it weighs ${said(bothMasses(v.amount('barrel')), v.unit('barrel'))} without itself; ${round3(kPa)} kPa (${round3(kPa / 6.894757)} psi) at the tap`,
      ],
      steps: [`${sayAmount(v.written('roof'))} × ${sayAmount(v.written('rain'))}`, 'a litre of water weighs a kilogram'],
      figures: [],
      cautions: ['Overflow away from the foundation; a screen against mosquitoes; a level, child-safe base and a lid.'],
      reply: `That rain brings ${said(bothVolumes(ml), v.unit('roof'))} off the roof; the barrel is full after ${said(bothLengths(toFillCm), v.unit('rain'))}.`,
    };
  },
};

/** Days between waterings of a succulent at rest, for each inch of pot (common practice). */
export const SUCCULENT_DAYS_AN_INCH = [7, 10] as const;

const succulent: SumDefinition = {
  id: 'succulent',
  name: 'Succulent at rest',
  group: 'water',
  asks: 'How long between waterings in winter?',
  fields: [{ id: 'pot', label: 'pot across', kind: 'amount', dimension: 'length', start: { value: '6', unit: 'in' } }],
  work(v) {
    const inches = v.amount('pot') / 2.54;
    if (inches > 40) throw new SumFault('pot', `a pot ${round3(inches * 2.54)} cm across: was another unit meant?`);
    const [low, high] = SUCCULENT_DAYS_AN_INCH.map((days) => Math.round(days * inches)) as [number, number];
    return {
      lines: [`${low} to ${high} days between waterings`, `about ${Math.round(low / 7)} to ${Math.round(high / 7)} weeks`],
      steps: [`${round3(inches)} in × 7 to 10 days`],
      figures: [{ what: '7 to 10 days for each inch of pot in winter rest', mark: 'common-practice' }],
      cautions: ['Soak, then let it dry right through; put a finger in before you water.'],
      reply: `In its winter rest water it every ${low} to ${high} days: soak it, drain it, let it dry.`,
    };
  },
};

/** Chlorine leaves an open bucket within a day (common practice); chloramine and fluoride do not. */
const dechlorinate: SumDefinition = {
  id: 'dechlorinate',
  name: 'Standing tap water',
  group: 'water',
  asks: 'How long before tap water is free of chlorine?',
  fields: [{ id: 'hours', label: 'it has stood, hours', kind: 'number', start: '0', least: 0, most: 1000 }],
  work(v) {
    const left = Math.max(0, 24 - v.number('hours'));
    return {
      lines: [left === 0 ? 'chlorine is gone' : `${round3(left)} hours more, in an open bucket`],
      steps: [`24 − ${v.number('hours')}`],
      figures: [{ what: 'chlorine leaves an open bucket in 24 hours', mark: 'common-practice' }],
      cautions: ['Salts, fluoride and chloramine stay in it: bog plants need rain or distilled water.'],
      reply:
        left === 0
          ? 'The water is free of chlorine; bog plants still need rain water.'
          : `Let the water stand open for ${round3(left)} hours more; bog plants need rain water all the same.`,
    };
  },
};

export const WATER: readonly SumDefinition[] = [depth, reached, leaching, salt, roof, succulent, dechlorinate];
