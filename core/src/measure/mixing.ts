import { sayAmount } from '../quantities/units.ts';
import { bothAreas, bothMasses, bothVolumes, round3, said, SumFault, type SumDefinition } from './sum.ts';

const LABEL_CAUTION = 'The label decides: rate, number and waiting time are limits.';

const dilution: SumDefinition = {
  id: 'dilution',
  name: 'Dilution',
  group: 'mixing',
  asks: 'How much product for so much water?',
  fields: [
    { id: 'product', label: 'product', kind: 'amount', dimension: 'volume', start: { value: '20', unit: 'ml' } },
    { id: 'per', label: 'to so much water', kind: 'amount', dimension: 'volume', start: { value: '1', unit: 'l' } },
    { id: 'water', label: 'for so much water', kind: 'amount', dimension: 'volume', start: { value: '5', unit: 'l' } },
  ],
  work(v) {
    const ml = (v.amount('product') / v.amount('per')) * v.amount('water');
    const unit = v.unit('product');
    const line = said(bothVolumes(ml), unit);
    const rate = `${sayAmount(v.written('product'))} to ${sayAmount(v.written('per'))}`;
    const tablespoons = unit.endsWith('-us') ? [`${round3(ml / 14.78676478125)} tbsp`] : [];
    return {
      lines: [line, ...tablespoons],
      steps: [rate, `× ${round3(v.amount('water') / v.amount('per'))} for ${sayAmount(v.written('water'))}`],
      figures: [],
      cautions: [LABEL_CAUTION],
      reply: `Mix ${line} into ${sayAmount(v.written('water'))} of water.`,
    };
  },
};

const parts: SumDefinition = {
  id: 'parts',
  name: 'Mixing by parts',
  group: 'mixing',
  asks: 'One part to so many: how much of each?',
  fields: [
    { id: 'one', label: 'parts of the one', kind: 'number', start: '1', least: 0.01, most: 1000 },
    { id: 'other', label: 'parts of the other', kind: 'number', start: '1', least: 0.01, most: 1000 },
    { id: 'total', label: 'to make', kind: 'amount', dimension: 'volume', start: { value: '2', unit: 'l' } },
  ],
  work(v) {
    const [one, other, total] = [v.number('one'), v.number('other'), v.amount('total')];
    const first = (total * one) / (one + other);
    const unit = v.unit('total');
    return {
      lines: [`${said(bothVolumes(first), unit)} of the one`, `${said(bothVolumes(total - first), unit)} of the other`],
      steps: [`${one} + ${other} = ${round3(one + other)} parts`, `one part is ${said(bothVolumes(total / (one + other)), unit)}`],
      figures: [],
      cautions: [],
      reply: `For ${sayAmount(v.written('total'))} take ${said(bothVolumes(first), unit)} of the one and ${said(bothVolumes(total - first), unit)} of the other.`,
    };
  },
};

/** What has to be taken of a stronger solution: C₁V₁ = C₂V₂. @throws SumFault when the wanted one is the stronger */
export function stockNeeded(stockPercent: number, wantedPercent: number, volume: number): number {
  if (wantedPercent > stockPercent)
    throw new SumFault(
      'wanted',
      `${wantedPercent} % cannot be made from ${stockPercent} %: water only weakens, and more of a weak product is not a strong one`,
    );
  return (wantedPercent / stockPercent) * volume;
}

const percent: SumDefinition = {
  id: 'percent',
  name: 'Percent of active ingredient',
  group: 'mixing',
  asks: 'How much of a stronger solution for a weaker one?',
  fields: [
    { id: 'stock', label: 'the product holds', kind: 'number', start: '50', unit: '%', least: 0.001, most: 100 },
    { id: 'wanted', label: 'wanted', kind: 'number', start: '2', unit: '%', least: 0.0001, most: 100 },
    { id: 'volume', label: 'to make', kind: 'amount', dimension: 'volume', start: { value: '5', unit: 'l' } },
  ],
  work(v) {
    const ml = stockNeeded(v.number('stock'), v.number('wanted'), v.amount('volume'));
    const line = said(bothVolumes(ml), v.unit('volume'));
    return {
      lines: [`${line} of the product, water to ${sayAmount(v.written('volume'))}`],
      steps: [`${v.number('wanted')} % ÷ ${v.number('stock')} % × ${sayAmount(v.written('volume'))}`],
      figures: [],
      cautions: [LABEL_CAUTION],
      reply: `Take ${line} of the product and fill up with water to ${sayAmount(v.written('volume'))}.`,
    };
  },
};

/** A swath of 340 square feet is 1/128 of an acre: ounces caught there are gallons an acre. Both are exact: 128 fl oz a gallon, 43,560 sq ft an acre. */
export const gallonsAnAcre = (flOzCaught: number, sqFt: number): number => (flOzCaught / 128) * (43_560 / sqFt);

const hoseEnd: SumDefinition = {
  id: 'hose-end',
  name: 'Hose-end sprayer',
  group: 'mixing',
  asks: 'What goes into the jar at this setting of the dial?',
  fields: [
    { id: 'product', label: 'wanted: product', kind: 'amount', dimension: 'volume', start: { value: '4', unit: 'ml' } },
    { id: 'per', label: 'to so much water', kind: 'amount', dimension: 'volume', start: { value: '1', unit: 'l' } },
    { id: 'drawn', label: 'the dial draws', kind: 'amount', dimension: 'volume', start: { value: '16', unit: 'ml' } },
    { id: 'drawnPer', label: 'into so much water', kind: 'amount', dimension: 'volume', start: { value: '1', unit: 'l' } },
    { id: 'spray', label: 'to spray', kind: 'amount', dimension: 'volume', start: { value: '20', unit: 'l' } },
  ],
  work(v) {
    const wanted = v.amount('product') / v.amount('per');
    const drawn = v.amount('drawn') / v.amount('drawnPer');
    const share = wanted / drawn;
    if (share > 1 + 1e-9)
      throw new SumFault(
        'drawn',
        `the dial draws ${round3(drawn * 1000)} ml into a litre, the label wants ${round3(wanted * 1000)}: set it higher, the jar cannot be stronger than the product`,
      );
    const jar = v.amount('spray') * drawn;
    const product = jar * Math.min(1, share);
    const unit = v.unit('product');
    const water = jar - product;
    return {
      lines: [
        water < 1e-6
          ? `${said(bothVolumes(product), unit)} into the jar as it is`
          : `${said(bothVolumes(product), unit)} into the jar, and ${said(bothVolumes(water), unit)} of water`,
        `the jar empties over ${sayAmount(v.written('spray'))} of spray`,
      ],
      steps: [
        `wanted ${round3(wanted * 1000)} ml, drawn ${round3(drawn * 1000)} ml a litre: ${round3(Math.min(1, share) * 100)} % of the jar is product`,
        `${sayAmount(v.written('spray'))} draw ${said(bothVolumes(jar), unit)}`,
      ],
      figures: [],
      cautions: ['A hose wants a valve against backflow. Wash the jar on the bed you sprayed.'],
      reply: `Put ${said(bothVolumes(product), unit)}${water < 1e-6 ? '' : ` and ${said(bothVolumes(water), unit)} of water`} into the jar; at this setting it does for ${sayAmount(v.written('spray'))} of spray.`,
    };
  },
};

const byWeight: SumDefinition = {
  id: 'by-weight',
  name: 'Percent by weight in water',
  group: 'mixing',
  asks: 'How many grams for so many per cent (weight in volume)?',
  fields: [
    { id: 'wanted', label: 'wanted', kind: 'number', start: '0.5', unit: '% w/v', least: 0.0001, most: 60 },
    { id: 'holds', label: 'the product holds', kind: 'number', start: '80', unit: '% by weight', least: 0.001, most: 100 },
    { id: 'volume', label: 'to make', kind: 'amount', dimension: 'volume', start: { value: '5', unit: 'l' } },
  ],
  work(v) {
    // one per cent of weight in volume is a gram in 100 ml
    const active = (v.number('wanted') * v.amount('volume')) / 100;
    const grams = active / (v.number('holds') / 100);
    const line = said(bothMasses(grams), v.unit('volume'));
    return {
      lines: [`${line} of the product`, `${said(bothMasses(active), v.unit('volume'))} of what works in it`],
      steps: [`${v.number('wanted')} g in 100 ml × ${sayAmount(v.written('volume'))}`, `÷ ${v.number('holds')} %`],
      figures: [],
      cautions: ['The label’s rate stands above this sum.'],
      reply: `Stir ${line} of the product into water and fill up to ${sayAmount(v.written('volume'))}.`,
    };
  },
};

const calibration: SumDefinition = {
  id: 'calibration',
  name: 'Calibrating a sprayer',
  group: 'mixing',
  asks: 'How much mix does this sprayer put on an area?',
  fields: [
    { id: 'caught', label: 'caught in the time it takes', kind: 'amount', dimension: 'volume', start: { value: '500', unit: 'ml' } },
    { id: 'area', label: 'to spray', kind: 'amount', dimension: 'area', start: { value: '10', unit: 'm2' } },
  ],
  work(v) {
    const [ml, m2] = [v.amount('caught'), v.amount('area')];
    const litresHa = (ml / 1000 / m2) * 10_000;
    const gpa = gallonsAnAcre(ml / 29.5735295625, m2 / 0.09290304);
    return {
      lines: [`${round3(ml / m2)} ml a m²`, `${round3(litresHa)} litres a hectare (${round3(gpa)} US gallons an acre)`],
      steps: [`${sayAmount(v.written('caught'))} on ${sayAmount(v.written('area'))}`, 'on 340 sq ft the fluid ounces caught are gallons an acre'],
      figures: [],
      cautions: ['Catch plain water, walk as you would when spraying, and do it three times.'],
      reply: `Your sprayer puts on ${round3(ml / m2)} ml a m².`,
    };
  },
};

const walk: SumDefinition = {
  id: 'walk',
  name: 'Calibrating by walking',
  group: 'mixing',
  asks: 'I walk so far in so long: how much goes on, and how far does a tank reach?',
  fields: [
    { id: 'distance', label: 'walked', kind: 'amount', dimension: 'length', start: { value: '20', unit: 'm' } },
    { id: 'seconds', label: 'in', kind: 'number', start: '30', unit: 'seconds', least: 1, most: 3600 },
    { id: 'swath', label: 'the spray is wide', kind: 'amount', dimension: 'length', start: { value: '1', unit: 'm' } },
    { id: 'flow', label: 'caught in a minute', kind: 'amount', dimension: 'volume', start: { value: '600', unit: 'ml' } },
    { id: 'tank', label: 'the tank holds', kind: 'amount', dimension: 'volume', start: { value: '5', unit: 'l' } },
  ],
  work(v) {
    const m2 = (v.amount('distance') / 100) * (v.amount('swath') / 100);
    const ml = (v.amount('flow') * v.number('seconds')) / 60;
    const mlM2 = ml / m2;
    const reach = v.amount('tank') / mlM2;
    return {
      lines: [
        `${round3(mlM2)} ml a m² (${round3(mlM2 * 10)} litres a hectare)`,
        `${sayAmount(v.written('tank'))} do for ${said(bothAreas(reach), v.unit('distance'))}`,
      ],
      steps: [`${round3(ml)} ml on ${round3(m2)} m²`, `${sayAmount(v.written('tank'))} ÷ ${round3(mlM2)} ml a m²`],
      figures: [],
      cautions: ['Catch plain water at the pressure you spray with, walk as you would when spraying, and do it three times.'],
      reply: `At your pace ${sayAmount(v.written('tank'))} do for ${said(bothAreas(reach), v.unit('distance'))}.`,
    };
  },
};

const granules: SumDefinition = {
  id: 'granules',
  name: 'Granules on an area',
  group: 'mixing',
  asks: 'How much for this area?',
  fields: [
    { id: 'rate', label: 'so much', kind: 'amount', dimension: 'mass', start: { value: '10', unit: 'lb' } },
    { id: 'per', label: 'on so much', kind: 'amount', dimension: 'area', start: { value: '5000', unit: 'sqft' } },
    { id: 'area', label: 'area', kind: 'amount', dimension: 'area', start: { value: '1200', unit: 'sqft' } },
  ],
  work(v) {
    const g = (v.amount('rate') / v.amount('per')) * v.amount('area');
    const line = said(bothMasses(g), v.unit('rate'));
    return {
      lines: [line, `${round3(v.amount('rate') / v.amount('per'))} g a m²`],
      steps: [
        `${sayAmount(v.written('rate'))} on ${sayAmount(v.written('per'))}`,
        `× ${round3(v.amount('area') / v.amount('per'))} for ${sayAmount(v.written('area'))}`,
      ],
      figures: [],
      cautions: [LABEL_CAUTION],
      reply: `Spread ${line} evenly over ${sayAmount(v.written('area'))}: half of it lengthwise, half across.`,
    };
  },
};

const drench: SumDefinition = {
  id: 'drench',
  name: 'Drench by the trunk',
  group: 'mixing',
  asks: 'How much for a trunk of this thickness?',
  fields: [
    { id: 'rate', label: 'product', kind: 'amount', dimension: 'volume', start: { value: '6', unit: 'ml' } },
    { id: 'per', label: 'for so much trunk', kind: 'amount', dimension: 'length', start: { value: '1', unit: 'cm' } },
    { id: 'trunk', label: 'trunk', kind: 'amount', dimension: 'length', start: { value: '12', unit: 'cm' } },
    {
      id: 'measured',
      label: 'measured',
      kind: 'choice',
      options: [
        { id: 'across', say: 'across' },
        { id: 'round', say: 'round' },
      ],
      start: 'across',
    },
  ],
  work(v) {
    const round = v.choice('measured') === 'round';
    const across = round ? v.amount('trunk') / Math.PI : v.amount('trunk');
    if (across > 200) throw new SumFault('trunk', `a trunk ${round3(across / 100)} m thick: were centimetres meant?`);
    const ml = (v.amount('rate') / v.amount('per')) * across;
    const line = said(bothVolumes(ml), v.unit('rate'));
    return {
      lines: [line],
      steps: [
        round ? `${sayAmount(v.written('trunk'))} round ÷ π = ${round3(across)} cm across` : `${sayAmount(v.written('trunk'))} across`,
        `× ${sayAmount(v.written('rate'))} for ${sayAmount(v.written('per'))}`,
      ],
      figures: [],
      cautions: [LABEL_CAUTION, 'Systemic drenches are last, never on plants in or before bloom, and forbidden in places.'],
      reply: `The drench for this trunk is ${line}, in the water the label says.`,
    };
  },
};

const underTree: SumDefinition = {
  id: 'under-tree',
  name: 'Under the drip line',
  group: 'mixing',
  asks: 'How much per tree, and on what area?',
  fields: [
    { id: 'across', label: 'crown across', kind: 'amount', dimension: 'length', start: { value: '4', unit: 'm' } },
    { id: 'rate', label: 'so much a tree', kind: 'amount', dimension: 'mass', start: { value: '500', unit: 'g' } },
    { id: 'trees', label: 'trees', kind: 'number', start: '1', least: 1, most: 10_000 },
  ],
  work(v) {
    const m2 = Math.PI * (v.amount('across') / 200) ** 2;
    const g = v.amount('rate') * v.number('trees');
    return {
      lines: [
        `${said(bothMasses(g), v.unit('rate'))} in all`,
        `${bothAreas(m2).join(' or ')} under each crown: ${round3(v.amount('rate') / m2)} g a m²`,
      ],
      steps: [`π × (${sayAmount(v.written('across'))} ÷ 2)²`],
      figures: [],
      cautions: ['Keep it a hand’s breadth off the trunk; most feeding roots lie under and just beyond the drip line.'],
      reply: `Spread ${sayAmount(v.written('rate'))} evenly under the crown of each tree, not against the trunk.`,
    };
  },
};

export const MIXING: readonly SumDefinition[] = [dilution, parts, percent, byWeight, hoseEnd, calibration, walk, granules, drench, underTree];
