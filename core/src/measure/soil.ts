import { sayAmount } from '../quantities/units.ts';
import { bothMasses, bothVolumes, round3, said, SumFault, TEXTURES, type SumDefinition } from './sum.ts';

type Texture = (typeof TEXTURES)[number]['id'];

/** Elemental sulphur to lower, ground limestone to raise, by one unit of pH in the top 15 cm, g a m² (memory: rounded from common tables). */
export const SULPHUR_G_M2: Record<Texture, number> = { sand: 50, loam: 75, clay: 110 };
export const LIME_G_M2: Record<Texture, number> = { sand: 130, loam: 240, clay: 350 };
/** No more at once; the rest after half a year and a new test (memory). */
export const LIME_AT_ONCE_G_M2 = 250;
const MOST_AT_ONCE_G_M2 = { sulphur: 100, lime: LIME_AT_ONCE_G_M2 } as const;

const acidity: SumDefinition = {
  id: 'soil-ph',
  name: 'Soil pH',
  group: 'soil',
  asks: 'How much sulphur or lime to change the pH?',
  fields: [
    { id: 'from', label: 'pH now', kind: 'number', start: '7.5', least: 3, most: 10 },
    { id: 'to', label: 'pH wanted', kind: 'number', start: '6.5', least: 3.5, most: 8.5 },
    { id: 'texture', label: 'soil', kind: 'choice', options: TEXTURES, start: 'loam' },
    { id: 'area', label: 'area', kind: 'amount', dimension: 'area', start: { value: '10', unit: 'm2' } },
  ],
  work(v) {
    const [from, to, texture, m2] = [v.number('from'), v.number('to'), v.choice<Texture>('texture'), v.amount('area')];
    if (from === to) throw new SumFault('to', 'that is what the soil has already');
    const lower = to < from;
    const stuff = lower ? 'sulphur' : 'ground limestone';
    const gM2 = Math.abs(from - to) * (lower ? SULPHUR_G_M2 : LIME_G_M2)[texture];
    const most = MOST_AT_ONCE_G_M2[lower ? 'sulphur' : 'lime'];
    const turns = Math.ceil(gM2 / most);
    const line = said(bothMasses(gM2 * m2), v.unit('area'));
    return {
      lines: [`${line} of ${stuff}`, `${round3(gM2)} g a m²${turns > 1 ? `, in ${turns} turns half a year apart` : ''}`],
      steps: [
        `${round3(Math.abs(from - to))} units of pH on ${texture}`,
        `× ${(lower ? SULPHUR_G_M2 : LIME_G_M2)[texture]} g a m² a unit × ${sayAmount(v.written('area'))}`,
      ],
      figures: [
        { what: `${stuff}, g a m² for one unit of pH in the top 15 cm of ${texture}`, mark: 'memory' },
        { what: `at most ${most} g a m² at once`, mark: 'memory' },
      ],
      cautions: lower
        ? [
            'Drop vinegar on the soil first: if it fizzes there is free lime, and no sulphur will win against it.',
            'It works in months, in warm moist soil; test again before the next turn.',
          ]
        : ['Test first: lime locks iron and manganese away.', 'Not together with manure or ammonium feeds.'],
      reply: `To bring the soil from pH ${from} towards ${to}, work in ${line} of ${stuff}${turns > 1 ? ` in ${turns} turns, half a year apart` : ''}, and test again.`,
    };
  },
};

/** Nitrogen a lawn takes at once, g a m²: the working rule of one pound on 1,000 square feet (memory). */
const LAWN_N_MOST = 4.88;

/** What labels call the three numbers; phosphate and potash hold so much of the element, by their atomic weights. */
const NUTRIENTS = [
  { id: 'n', say: 'nitrogen', element: null },
  { id: 'p', say: 'phosphate', element: { say: 'phosphorus', share: (2 * 30.974) / 141.945 } },
  { id: 'k', say: 'potash', element: { say: 'potassium', share: (2 * 39.098) / 94.196 } },
] as const;

const fertiliser: SumDefinition = {
  id: 'fertiliser',
  name: 'Fertiliser by analysis',
  group: 'soil',
  asks: 'How much of this bag for so much of a nutrient?',
  fields: [
    { id: 'nutrient', label: 'nutrient', kind: 'choice', options: NUTRIENTS.map(({ id, say }) => ({ id, say })), start: 'n' },
    { id: 'nitrogen', label: 'of it in the bag', kind: 'number', start: '12', unit: '%', least: 0.1, most: 60 },
    { id: 'wanted', label: 'of it wanted', kind: 'number', start: '3', unit: 'g a m²', least: 0.1, most: 30 },
    { id: 'area', label: 'area', kind: 'amount', dimension: 'area', start: { value: '100', unit: 'm2' } },
  ],
  work(v) {
    const [share, wanted, m2] = [v.number('nitrogen') / 100, v.number('wanted'), v.amount('area')];
    const line = said(bothMasses((wanted / share) * m2), v.unit('area'));
    const nutrient = NUTRIENTS.find(({ id }) => id === v.choice('nutrient'))!;
    const over = nutrient.id === 'n' && wanted > LAWN_N_MOST;
    return {
      lines: [
        line,
        `${round3(wanted / share)} g a m²`,
        ...(nutrient.element ? [`the ${nutrient.say} in it is ${round3(wanted * nutrient.element.share)} g a m² of ${nutrient.element.say}`] : []),
      ],
      steps: [`${wanted} g of ${nutrient.say} ÷ ${v.number('nitrogen')} % × ${sayAmount(v.written('area'))}`],
      figures: [{ what: 'a lawn takes about 4.9 g of nitrogen a m² at once (1 lb on 1,000 sq ft)', mark: 'memory' }],
      cautions: [
        ...(over ? ['That is more nitrogen than a lawn takes at once: it burns or washes out. Divide it.'] : []),
        'Not in heat, drought or before heavy rain; sweep it off paving.',
      ],
      reply: `Spread ${line} of this fertiliser over ${sayAmount(v.written('area'))}.`,
    };
  },
};

/** Litres in a pot: a cone cut off at the bottom. */
export const potLitres = (topCm: number, bottomCm: number, depthCm: number): number =>
  (Math.PI * depthCm * (topCm ** 2 + topCm * bottomCm + bottomCm ** 2)) / 12 / 1000;

const pot: SumDefinition = {
  id: 'pot',
  name: 'Compost for pots',
  group: 'soil',
  asks: 'How much compost do these pots take, in bags?',
  fields: [
    { id: 'top', label: 'across at the top', kind: 'amount', dimension: 'length', start: { value: '30', unit: 'cm' } },
    { id: 'bottom', label: 'across at the bottom', kind: 'amount', dimension: 'length', start: { value: '22', unit: 'cm' } },
    { id: 'depth', label: 'depth', kind: 'amount', dimension: 'length', start: { value: '28', unit: 'cm' } },
    { id: 'pots', label: 'pots', kind: 'number', start: '4', least: 1, most: 100_000 },
    { id: 'bag', label: 'a bag holds', kind: 'amount', dimension: 'volume', start: { value: '40', unit: 'l' } },
  ],
  work(v) {
    const litres = potLitres(v.amount('top'), v.amount('bottom'), v.amount('depth'));
    const all = litres * v.number('pots');
    const bags = Math.ceil((all * 1000) / v.amount('bag'));
    return {
      lines: [`${round3(all)} litres in all`, `${bags} ${bags === 1 ? 'bag' : 'bags'}`, `${said(bothVolumes(litres * 1000), v.unit('top'))} a pot`],
      steps: ['π × depth × (top² + top × bottom + bottom²) ÷ 12', `× ${v.number('pots')} pots`],
      figures: [],
      cautions: [],
      reply: `The pots take ${round3(all)} litres of compost: ${bags} ${bags === 1 ? 'bag' : 'bags'}.`,
    };
  },
};

const layer: SumDefinition = {
  id: 'layer',
  name: 'Mulch, compost or a bed',
  group: 'soil',
  asks: 'How much for a layer of this depth?',
  fields: [
    { id: 'area', label: 'area', kind: 'amount', dimension: 'area', start: { value: '6', unit: 'm2' } },
    { id: 'depth', label: 'depth', kind: 'amount', dimension: 'length', start: { value: '5', unit: 'cm' } },
    { id: 'bag', label: 'a bag holds', kind: 'amount', dimension: 'volume', start: { value: '60', unit: 'l' } },
  ],
  work(v) {
    const ml = v.amount('area') * 10_000 * v.amount('depth');
    const bags = Math.ceil(ml / v.amount('bag'));
    const deep = v.amount('depth') > 10;
    return {
      lines: [
        said([`${round3(ml / 1000)} litres`, `${round3(ml / 28316.846592)} cu ft`], v.unit('area')),
        `${round3(ml / 1e6)} m³, ${bags} ${bags === 1 ? 'bag' : 'bags'}`,
      ],
      steps: [`${sayAmount(v.written('area'))} × ${sayAmount(v.written('depth'))}`],
      figures: [{ what: 'mulch 5 to 7.5 cm deep, clear of stems; compost on roots 1.3 cm', mark: 'common-practice' }],
      cautions: deep ? ['Deeper than 7.5 cm smothers roots: as mulch that is too much.'] : ['A hand’s breadth clear of every stem.'],
      reply: `For ${sayAmount(v.written('depth'))} on ${sayAmount(v.written('area'))} you need ${round3(ml / 1000)} litres: ${bags} ${bags === 1 ? 'bag' : 'bags'}.`,
    };
  },
};

export const SOIL: readonly SumDefinition[] = [acidity, fertiliser, pot, layer];
