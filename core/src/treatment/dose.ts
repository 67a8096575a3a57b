import Fraction from 'fraction.js';
import { atLeast, measurable } from '../quantities/measurable.ts';
import { dimensionOf, fromBase, inBase, sayAmount, type Amount, type Unit, type UnitSystem } from '../quantities/units.ts';
import { refusedUse, type Label, type LabelContext, type LabelUse, type Refusal } from './label.ts';

/** What the caller has to put it on with. */
export type Equipment =
  | { kind: 'pressure-sprayer' | 'watering-can'; holds: Amount }
  /** The dial draws so much product to so much water; settings in rising order. */
  | { kind: 'hose-end'; settings: { say: string; product: Amount; water: Amount }[] }
  | { kind: 'spreader' | 'by-hand' };

/** What it is put on. */
export type Target =
  /** So much finished spray or drench in all. */
  | { kind: 'mix'; finished: Amount }
  | { kind: 'area'; area: Amount }
  | { kind: 'plants'; count: number }
  | { kind: 'trunks'; across: Amount; measured: 'diameter' | 'girth'; count: number }
  | { kind: 'pots'; holds: Amount; count: number };

export interface DoseInput {
  label: Label;
  use: LabelUse;
  equipment: Equipment;
  target: Target;
  system: UnitSystem;
  /** What has gone on this plant from this label this year, in the product's base unit (ml or g), and how often. */
  usedThisYear: { base: Fraction; times: number };
  /** An amount the advisor wants instead of the label's: never more than that. */
  wanted?: { product: Amount; per: Amount | null };
}

export interface Dose {
  /** "28 ml in 5 litres". */
  say: string;
  /** Product for each filling, and how many fillings; the last may be a part. */
  fills: { product: string; water: string; times: number }[];
  /** Product for one application, and for all that the label allows, to buy. */
  once: string;
  toBuy: string;
  applications: number;
  intervalDays: number;
  /** What the pack holds beyond that, to keep in it or hand in: never down a drain. */
  remainder: string | null;
  /** The line of the label it rests on. */
  line: string;
  steps: string[];
  /** Product of one application in base units, ml or g. */
  base: Fraction;
}

export class DoseRefused extends Error {
  constructor(readonly refusal: Refusal) {
    super(refusal.why);
  }
}
const refuse = (why: string, line: string, refer = false): never => {
  throw new DoseRefused({ why, line, refer });
};

/** A trunk thicker than any garden tree: centimetres were meant where metres were said. */
const THICKEST_TRUNK_CM = { diameter: 200, girth: 630 } as const;

const productDimension = (use: LabelUse): 'volume' | 'mass' => (dimensionOf(use.rate.unit) === 'mass' ? 'mass' : 'volume');
const litres = (ml: Fraction, system: UnitSystem): string => {
  const unit: Unit = system === 'metric' ? 'l' : system === 'us' ? 'gal-us' : 'gal-imp';
  return sayAmount({ value: String(Number(fromBase(ml, unit).valueOf().toFixed(2))), unit });
};

/** Product for one base unit of what the rate is measured against. */
function rateOf(use: LabelUse): Fraction {
  if (use.per === 'plant') return inBase(use.rate);
  if (!use.of) throw new RangeError(`${use.line}: the rate says not against what`);
  return inBase(use.rate).div(inBase(use.of));
}

/** How much finished mix an area gets by the label, in ml. */
function finishedFor(use: LabelUse, target: Extract<Target, { kind: 'area' }>): Fraction {
  if (!use.carrier) return refuse('the label gives no amount of water for an area; say how much mix is needed', use.line);
  return inBase(target.area).mul(inBase(use.carrier.amount)).div(inBase(use.carrier.on));
}

function checkedTrunk({ across, measured }: Extract<Target, { kind: 'trunks' }>): Fraction {
  const cm = inBase(across);
  if (cm.compare(THICKEST_TRUNK_CM[measured]) > 0)
    throw new RangeError(`a trunk of ${sayAmount(across)} ${measured} is thicker than any garden tree: were centimetres meant?`);
  return cm;
}

/** Round and through are one and the other by π; a girth is divided by a π rounded up, so that the dose errs to the small side. */
const PI_UP = new Fraction('3.1416');

/** How many base units of what the rate is measured against the target has. */
function quantityOf(use: LabelUse, target: Target): Fraction {
  switch (target.kind) {
    case 'mix':
      if (use.per !== 'volume') return refuse('the label measures this use by ' + use.per.replace('-', ' ') + ', not by water', use.line);
      return inBase(target.finished);
    case 'area':
      if (use.per === 'area') return inBase(target.area);
      if (use.per === 'volume') return finishedFor(use, target);
      return refuse(`the label measures this use by ${use.per.replace('-', ' ')}, not by area`, use.line);
    case 'plants':
      if (use.per !== 'plant') return refuse(`the label measures this use by ${use.per.replace('-', ' ')}, not by plant`, use.line);
      return new Fraction(target.count);
    case 'trunks': {
      const cm = checkedTrunk(target).mul(target.count);
      if (use.per === 'trunk-diameter') return target.measured === 'diameter' ? cm : cm.div(PI_UP);
      if (use.per === 'trunk-girth') return target.measured === 'girth' ? cm : cm.mul(3);
      return refuse('the label gives no rate by trunk', use.line);
    }
    case 'pots':
      if (use.per === 'plant') return new Fraction(target.count);
      if (use.per !== 'pot-volume') return refuse('the label gives no rate for pots', use.line);
      return inBase(target.holds).mul(target.count);
  }
}

/** Refuses a stronger rate than the label's, and says so plainly when it would be another product's. */
function checkWanted({ use, wanted }: DoseInput): Fraction {
  const allowed = rateOf(use);
  if (!wanted) return allowed;
  const rate: Fraction = wanted.per ? inBase(wanted.product).div(inBase(wanted.per)) : inBase(wanted.product);
  if (rate.compare(allowed) > 0)
    return refuse(
      `that is ${Number(rate.div(allowed).valueOf().toFixed(1))} times what the label allows. More of a home product does not make a professional one: it is unlawful, can burn the plant and leaves residues nobody has tested`,
      use.line,
    );
  if (use.leastShare !== null && rate.div(allowed).valueOf() < use.leastShare)
    return refuse('weaker than the label’s range it does not work, and breeds resistance', use.line);
  return rate;
}

function withinMaxima({ use, usedThisYear, label }: DoseInput, base: Fraction): number {
  if (use.mostPerUse && base.compare(inBase(use.mostPerUse)) > 0)
    refuse(`one use may take ${sayAmount(use.mostPerUse)} at most: treat a part, or call in a licensed applicator`, use.line);
  if (usedThisYear.times >= use.mostUses) refuse(`it has been used ${usedThisYear.times} times this year, which is all the label allows`, use.line);
  let left = use.mostUses - usedThisYear.times;
  if (use.mostPerYear) {
    const room = inBase(use.mostPerYear).sub(usedThisYear.base);
    if (base.compare(room) > 0) refuse(`${label.name}: this year’s most of ${sayAmount(use.mostPerYear)} would be passed`, use.line);
    if (base.compare(0) > 0) left = Math.min(left, Number(room.div(base).floor().valueOf()));
  }
  return left;
}

/** The least to buy: the smallest pack that is enough, else so many of the largest; and what stays in it. */
function purchase(label: Label, need: Fraction, dimension: 'volume' | 'mass', system: UnitSystem): { toBuy: string; remainder: string | null } {
  const packs = label.packs
    .filter(({ unit }) => dimensionOf(unit) === dimension)
    .map((pack) => ({ pack, base: inBase(pack) }))
    .sort((a, b) => a.base.compare(b.base));
  const largest = packs[packs.length - 1];
  if (!largest) return { toBuy: atLeast(need, dimension, system), remainder: null };
  const chosen = packs.find(({ base }) => base.compare(need) >= 0) ?? largest;
  const count = need.div(chosen.base).ceil();
  const left = chosen.base.mul(count).sub(need);
  const say = `${sayAmount(chosen.pack)}`;
  return {
    toBuy: count.equals(1) ? say : `${count.toString()} × ${say}`,
    remainder: left.equals(0) ? null : measurable(left, dimension, system).say,
  };
}

/** Full fillings and the last part, each with its product rounded down to what can be measured. */
function fillings(mlWater: Fraction, rate: Fraction, holds: Fraction, { use, system }: DoseInput): { fills: Dose['fills']; product: Fraction } {
  const full = Number(mlWater.div(holds).floor().valueOf());
  const rest = mlWater.sub(holds.mul(full));
  const parts = [
    { water: holds, times: full },
    { water: rest, times: 1 },
  ].filter(({ water, times }) => times > 0 && water.compare(0) > 0);
  let product = new Fraction(0);
  const fills = parts.map(({ water, times }) => {
    const measured = measurable(water.mul(rate), productDimension(use), system);
    if (measured.base.equals(0)) refuse('that is less than can be measured out: mix a larger amount', use.line);
    product = product.add(measured.base.mul(times));
    return { product: measured.say, water: litres(water, system), times };
  });
  return { fills, product };
}

const sayFill = ({ product, water, times }: Dose['fills'][number]): string => `${product} in ${water}${times > 1 ? `, ${times} times filled` : ''}`;

/**
 * From a label's rate to what the caller measures out, exact until it is rounded down to a measure people have.
 * @throws DoseRefused with the line of the label or rule that forbids it
 * @throws RangeError for a target that cannot be
 */
export function dose(input: DoseInput, context: LabelContext): Dose {
  const { label, use, equipment, target, system } = input;
  const refusal = refusedUse(label, use, context);
  if (refusal) throw new DoseRefused(refusal);
  const rate = checkWanted(input);
  const quantity = quantityOf(use, target);
  if (quantity.compare(0) <= 0) throw new RangeError('there is nothing to treat: say how much');
  const dimension = productDimension(use);
  const steps = [`${sayAmount(use.rate)}${use.of ? ` for ${sayAmount(use.of)}` : ' a plant'} (label)`];
  const asLabelled = quantity.mul(rate);
  const applications = withinMaxima(input, asLabelled);
  const rest = { applications, intervalDays: use.intervalDays, line: use.line, steps };
  const buying = (base: Fraction) => ({
    once: measurable(base, dimension, system).say,
    ...purchase(label, base.mul(applications), dimension, system),
  });

  if (use.per !== 'volume') {
    const measured = measurable(asLabelled, dimension, system);
    if (measured.base.equals(0)) refuse('that is less than can be measured out', use.line);
    steps.push(`${describe(target)} → ${measured.say}`);
    return { ...rest, say: `${measured.say} ${describeOn(target)}`, fills: [], ...buying(measured.base), base: measured.base };
  }
  if (equipment.kind === 'hose-end') {
    const setting = equipment.settings.findLast(({ product, water }) => inBase(product).div(inBase(water)).compare(rate) <= 0);
    if (!setting) return refuse('every setting of the dial draws more than the label allows', use.line);
    const drawn = inBase(setting.product).div(inBase(setting.water)).mul(quantity);
    const bottle = atLeast(drawn, dimension, system);
    steps.push(`dial at ${setting.say}: the strongest that is not above the label`);
    return {
      ...rest,
      say: `dial at ${setting.say}, ${bottle} in the bottle for ${litres(quantity, system)}`,
      fills: [],
      ...buying(drawn),
      base: drawn,
    };
  }
  const holds = equipment.kind === 'pressure-sprayer' || equipment.kind === 'watering-can' ? inBase(equipment.holds) : quantity;
  if (holds.compare(0) <= 0) throw new RangeError('say how much the sprayer or can holds');
  const { fills, product } = fillings(quantity, rate, holds, input);
  steps.push(`${litres(quantity, system)} to put on, ${litres(holds, system)} a filling`);
  return { ...rest, say: fills.map(sayFill).join(', then '), fills, ...buying(product), base: product };
}

function describe(target: Target): string {
  switch (target.kind) {
    case 'mix':
      return `${sayAmount(target.finished)} of mix`;
    case 'area':
      return `${sayAmount(target.area)}`;
    case 'plants':
      return `${target.count} plants`;
    case 'trunks':
      return `${target.count} trunk${target.count === 1 ? '' : 's'} of ${sayAmount(target.across)} ${target.measured}`;
    case 'pots':
      return `${target.count} pots of ${sayAmount(target.holds)}`;
  }
}
const describeOn = (target: Target): string => (target.kind === 'area' ? `spread evenly on ${describe(target)}` : `for ${describe(target)}`);

/**
 * The words for the reply: amounts, times and waits in one sentence.
 * @param edible false for a plant nobody eats: then there is no wait before picking to speak of
 */
export function doseInWords(d: Dose, use: LabelUse, label: Label, edible = true): string {
  const again = d.applications > 1 ? `, up to ${d.applications} times, at least ${use.intervalDays} days apart` : ', once';
  const waits = [
    use.reentryHours > 0 ? `keep everybody out for ${use.reentryHours} hours` : null,
    edible && use.preHarvestDays !== null && use.preHarvestDays > 0 ? `pick nothing for ${use.preHarvestDays} days after` : null,
  ].filter(Boolean);
  return `${label.name}: ${d.say}${again}.${waits.length > 0 ? ` Then ${waits.join('; ')}.` : ''}`;
}
