import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import Fraction from 'fraction.js';
import { atLeast, measurable } from './measurable.ts';
import { convert, dimensionOf, exact, fromBase, inBase, sayAmount, UNIT_IDS, unitsOf, type Unit } from './units.ts';

describe('a figure as it was written', () => {
  it.each([
    ['2.5', 5, 2],
    ['2,5', 5, 2],
    ['.25', 1, 4],
    [' 12 ', 12, 1],
    ['0', 0, 1],
  ])('%p is exact', (text, up, down) => expect(exact(text).equals(new Fraction(up, down))).toBe(true));
  it.each(['', 'lots', '-1', '1e3', '1.2.3', '1/2'])('%p is no figure, and it says so', (text) =>
    expect(() => exact(text)).toThrow(`"${text}" is not a number of zero or more`),
  );
});

describe('units', () => {
  // NIST Special Publication 811 (2008), appendix B.8
  it.each<[string, Unit, Unit, string]>([
    ['1', 'gal-us', 'l', '3.785411784'],
    ['1', 'gal-us', 'tbsp-us', '256'],
    ['1', 'gal-imp', 'l', '4.54609'],
    ['1', 'floz-us', 'ml', '29.5735295625'],
    ['1', 'lb', 'g', '453.59237'],
    ['1', 'acre', 'm2', '4046.8564224'],
    ['1', 'sqft', 'm2', '0.09290304'],
    ['1', 'in', 'cm', '2.54'],
    ['3', 'tsp-us', 'tbsp-us', '1'],
    ['128', 'floz-us', 'gal-us', '1'],
    ['160', 'floz-imp', 'gal-imp', '1'],
    ['43560', 'sqft', 'acre', '1'],
  ])('%s %s is exactly so many %s', (value, unit, into, expected) =>
    expect(convert({ value, unit }, into).equals(new Fraction(expected))).toBe(true),
  );
  it('are not turned into one another when they measure different things', () =>
    expect(() => convert({ value: '1', unit: 'l' }, 'g')).toThrow('litres is a volume, g a mass'));
  it('go to the base and back without losing anything', () =>
    fc.assert(
      fc.property(fc.constantFrom(...UNIT_IDS), fc.nat(1_000_000), (unit, n) => {
        const value = String(n / 1000);
        expect(fromBase(inBase({ value, unit }), unit).equals(exact(value))).toBe(true);
      }),
    ));
  it('are listed by what they measure', () => {
    expect(unitsOf('length')).toEqual(['mm', 'cm', 'm', 'in', 'ft']);
    expect(unitsOf('area').every((unit) => dimensionOf(unit) === 'area')).toBe(true);
  });
  it.each<[string, Unit, string]>([
    ['1', 'l', '1 litre'],
    ['2.5', 'l', '2.5 litres'],
    ['1', 'gal-us', '1 US gallon'],
    ['1', 'ml', '1 ml'],
    ['1', 'tsp-us', '1 tsp'],
  ])('%s %s is said as one or many', (value, unit, said) => expect(sayAmount({ value, unit })).toBe(said));
});

describe('what can be measured out', () => {
  it('is never more than what was asked for, and within one step of it', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5_000_000 }), fc.constantFrom('metric' as const, 'us' as const), (micro, system) => {
        const base = new Fraction(micro, 1000);
        const measured = measurable(base, 'volume', system);
        expect(measured.base.compare(base)).toBeLessThanOrEqual(0);
        expect(base.sub(measured.base).valueOf()).toBeLessThan(Math.max(15, base.valueOf() * 0.3));
      }),
    ));
  const ml = (text: string) => new Fraction(text);
  it.each([
    ['27.9', 'metric', '27 ml'],
    ['127', 'metric', '125 ml'],
    ['1.26', 'metric', '1 ml'],
    ['12700', 'metric', '12.5 litres'],
    ['29.5735295625', 'us', '2 tbsp'],
    ['5', 'us', '1 tsp'],
  ] as const)('%s ml (%s) is never more than was asked for: %s', (base, system, said) => {
    const { say, base: out } = measurable(ml(base), 'volume', system);
    expect(say).toBe(said);
    expect(out.compare(ml(base))).toBeLessThanOrEqual(0);
  });
  it('leaves nothing of less than the smallest measure', () => expect(measurable(ml('0.04'), 'volume', 'metric').base.equals(0)).toBe(true));
  it('weighs in pounds and ounces or in grams', () => {
    expect(measurable(inBase({ value: '2.44', unit: 'lb' }), 'mass', 'us').say).toBe('2.4 lb');
    expect(measurable(inBase({ value: '2.44', unit: 'lb' }), 'mass', 'metric').say).toBe('1.1 kg');
  });
  it('is rounded up where somebody has to buy enough', () => {
    expect(atLeast(ml('1001'), 'volume', 'metric')).toBe('1.05 litres');
    expect(atLeast(ml('1000'), 'volume', 'metric')).toBe('1 litre');
  });
});
