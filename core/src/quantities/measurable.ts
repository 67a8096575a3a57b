import Fraction from 'fraction.js';
import { fromBase, sayAmount, type Dimension, type Unit, type UnitSystem } from './units.ts';

/** A measure people have at home: from this many of the unit on, in steps of `step`. Coarser ones come first. */
interface Measure {
  unit: Unit;
  least: string;
  step: string;
}

/** Kitchen and garden measures (common practice). */
const MEASURES: Record<'metric' | 'us', Partial<Record<Dimension, readonly Measure[]>>> = {
  metric: {
    volume: [
      { unit: 'l', least: '10', step: '0.5' },
      { unit: 'l', least: '1', step: '0.05' },
      { unit: 'ml', least: '100', step: '5' },
      { unit: 'ml', least: '10', step: '1' },
      { unit: 'ml', least: '1', step: '0.5' },
      { unit: 'ml', least: '0', step: '0.1' },
    ],
    mass: [
      { unit: 'kg', least: '1', step: '0.05' },
      { unit: 'g', least: '100', step: '5' },
      { unit: 'g', least: '10', step: '1' },
      { unit: 'g', least: '0', step: '0.5' },
    ],
  },
  us: {
    volume: [
      { unit: 'gal-us', least: '1', step: '0.25' },
      { unit: 'floz-us', least: '2', step: '0.5' },
      { unit: 'tbsp-us', least: '1', step: '0.5' },
      { unit: 'tsp-us', least: '0', step: '0.25' },
    ],
    mass: [
      { unit: 'lb', least: '1', step: '0.1' },
      { unit: 'oz', least: '0', step: '0.25' },
    ],
  },
};

export interface Measured {
  /** What is measured out, in the base unit: never more than was asked for. */
  base: Fraction;
  /** "28 ml", "2.5 tbsp". */
  say: string;
}

/** A fraction as people write it; the steps above all end after two places. */
const plain = (value: Fraction): string => String(Number(value.valueOf().toFixed(2)));

/**
 * An amount rounded *down* to what can be measured out and said. Nothing is left of an amount below the smallest measure.
 * @param base ml or g
 */
export function measurable(base: Fraction, dimension: 'volume' | 'mass', system: UnitSystem): Measured {
  const rows = MEASURES[system === 'metric' ? 'metric' : 'us'][dimension] ?? [];
  const row = rows.find(({ unit, least }) => fromBase(base, unit).compare(new Fraction(least)) >= 0) ?? rows[rows.length - 1]!;
  const step = new Fraction(row.step);
  const count = fromBase(base, row.unit).div(step).floor().mul(step);
  return { base: base.mul(count.equals(0) ? 0 : count.div(fromBase(base, row.unit))), say: sayAmount({ value: plain(count), unit: row.unit }) };
}

/** An amount said for people to buy or pour away, rounded *up* to the next step. */
export function atLeast(base: Fraction, dimension: 'volume' | 'mass', system: UnitSystem): string {
  const down = measurable(base, dimension, system);
  if (down.base.equals(base)) return down.say;
  const rows = MEASURES[system === 'metric' ? 'metric' : 'us'][dimension] ?? [];
  const row = rows.find(({ unit, least }) => fromBase(base, unit).compare(new Fraction(least)) >= 0) ?? rows[rows.length - 1]!;
  const step = new Fraction(row.step);
  return sayAmount({ value: plain(fromBase(base, row.unit).div(step).ceil().mul(step)), unit: row.unit });
}
