import Fraction from 'fraction.js';

/** What a unit measures. */
export type Dimension = 'volume' | 'mass' | 'area' | 'length';
/** Which readers a unit is at home with; a US gallon and an imperial one are two units with two names. */
export type UnitSystem = 'metric' | 'us' | 'imperial';

interface UnitRow {
  dimension: Dimension;
  /** How many of the dimension's base unit (ml, g, m², cm) it is, as an exact decimal. */
  factor: string;
  say: string;
  system: UnitSystem;
}

/** Factors are exact by definition. Source: NIST Special Publication 811 (2008), appendix B.8; imperial measures from the same definitions. */
const UNITS = {
  ml: { dimension: 'volume', factor: '1', say: 'ml', system: 'metric' },
  l: { dimension: 'volume', factor: '1000', say: 'litres', system: 'metric' },
  'tsp-us': { dimension: 'volume', factor: '4.92892159375', say: 'tsp', system: 'us' },
  'tbsp-us': { dimension: 'volume', factor: '14.78676478125', say: 'tbsp', system: 'us' },
  'floz-us': { dimension: 'volume', factor: '29.5735295625', say: 'US fl oz', system: 'us' },
  'cup-us': { dimension: 'volume', factor: '236.5882365', say: 'cups', system: 'us' },
  'pt-us': { dimension: 'volume', factor: '473.176473', say: 'US pints', system: 'us' },
  'qt-us': { dimension: 'volume', factor: '946.352946', say: 'quarts', system: 'us' },
  'gal-us': { dimension: 'volume', factor: '3785.411784', say: 'US gallons', system: 'us' },
  'floz-imp': { dimension: 'volume', factor: '28.4130625', say: 'imperial fl oz', system: 'imperial' },
  'pt-imp': { dimension: 'volume', factor: '568.26125', say: 'imperial pints', system: 'imperial' },
  'gal-imp': { dimension: 'volume', factor: '4546.09', say: 'imperial gallons', system: 'imperial' },
  mg: { dimension: 'mass', factor: '0.001', say: 'mg', system: 'metric' },
  g: { dimension: 'mass', factor: '1', say: 'g', system: 'metric' },
  kg: { dimension: 'mass', factor: '1000', say: 'kg', system: 'metric' },
  oz: { dimension: 'mass', factor: '28.349523125', say: 'oz', system: 'us' },
  lb: { dimension: 'mass', factor: '453.59237', say: 'lb', system: 'us' },
  m2: { dimension: 'area', factor: '1', say: 'm²', system: 'metric' },
  are: { dimension: 'area', factor: '100', say: 'are', system: 'metric' },
  ha: { dimension: 'area', factor: '10000', say: 'ha', system: 'metric' },
  sqft: { dimension: 'area', factor: '0.09290304', say: 'sq ft', system: 'us' },
  sqyd: { dimension: 'area', factor: '0.83612736', say: 'sq yd', system: 'us' },
  acre: { dimension: 'area', factor: '4046.8564224', say: 'acres', system: 'us' },
  mm: { dimension: 'length', factor: '0.1', say: 'mm', system: 'metric' },
  cm: { dimension: 'length', factor: '1', say: 'cm', system: 'metric' },
  m: { dimension: 'length', factor: '100', say: 'm', system: 'metric' },
  in: { dimension: 'length', factor: '2.54', say: 'in', system: 'us' },
  ft: { dimension: 'length', factor: '30.48', say: 'ft', system: 'us' },
} as const satisfies Record<string, UnitRow>;

export type Unit = keyof typeof UNITS;
export const UNIT_IDS = Object.keys(UNITS) as Unit[];
export const unitSays = (unit: Unit): string => UNITS[unit].say;
/** "1 litre", "2.5 litres". */
export function sayAmount({ value, unit }: { value: string; unit: Unit }): string {
  const say = unitSays(unit);
  return `${value} ${value === '1' && say.length > 3 ? say.replace(/s$/, '') : say}`;
}
export const dimensionOf = (unit: Unit): Dimension => UNITS[unit].dimension;
export const unitsOf = (dimension: Dimension): Unit[] => UNIT_IDS.filter((unit) => UNITS[unit].dimension === dimension);

/** A measured amount: the figure as it was written, so that nothing is lost on the way. */
export interface Amount {
  value: string;
  unit: Unit;
}

/** @throws RangeError for anything but a plain decimal of zero or more */
export function exact(value: string): Fraction {
  const plain = value.trim().replace(',', '.');
  if (!/^\d+(\.\d+)?$|^\.\d+$/.test(plain)) throw new RangeError(`"${value}" is not a number of zero or more`);
  return new Fraction(plain.startsWith('.') ? `0${plain}` : plain);
}

const factor = (unit: Unit): Fraction => new Fraction(UNITS[unit].factor);

/** An amount in the base unit of its dimension: ml, g, m² or cm. Exact. */
export const inBase = ({ value, unit }: Amount): Fraction => exact(value).mul(factor(unit));

/** A base amount in a unit. Exact. @throws RangeError when the unit measures something else */
export const fromBase = (base: Fraction, unit: Unit): Fraction => base.div(factor(unit));

/** @throws RangeError when the two units measure different things */
export function convert(amount: Amount, unit: Unit): Fraction {
  if (dimensionOf(amount.unit) !== dimensionOf(unit))
    throw new RangeError(`${unitSays(amount.unit)} is a ${dimensionOf(amount.unit)}, ${unitSays(unit)} a ${dimensionOf(unit)}`);
  return fromBase(inBase(amount), unit);
}
