import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import Fraction from 'fraction.js';
import { inBase } from '../quantities/units.ts';
import { label, LABEL_CONTEXT, use } from '../testing/labels.ts';
import { dose, DoseRefused, doseInWords, type DoseInput } from './dose.ts';
import type { Refusal } from './label.ts';

const NEVER_USED = { base: new Fraction(0), times: 0 };
const sprayer = { kind: 'pressure-sprayer', holds: { value: '5', unit: 'l' } } as const;
const input = (extra: Partial<DoseInput> = {}): DoseInput => ({
  label: label(),
  use: use(),
  equipment: sprayer,
  target: { kind: 'mix', finished: { value: '5', unit: 'l' } },
  system: 'metric',
  usedThisYear: NEVER_USED,
  ...extra,
});
const refusal = (extra: Partial<DoseInput>, context = LABEL_CONTEXT): Refusal => {
  try {
    dose(input(extra), context);
  } catch (error) {
    if (error instanceof DoseRefused) return error.refusal;
    throw error;
  }
  throw new Error('was not refused');
};

describe('dose', () => {
  it('by water: 20 ml a litre in a 5-litre sprayer is 100 ml', () => {
    const d = dose(input(), LABEL_CONTEXT);
    expect(d.say).toBe('100 ml in 5 litres');
    expect(doseInWords(d, use(), label())).toBe('Lakewash Soap: 100 ml in 5 litres, up to 4 times, at least 10 days apart.');
  });
  it('speaks of picking only where something is picked', () => {
    const waiting = use({ preHarvestDays: 3 });
    const d = dose(input({ use: waiting }), LABEL_CONTEXT);
    expect(doseInWords(d, waiting, label())).toContain('pick nothing for 3 days');
    expect(doseInWords(d, waiting, label(), false)).not.toContain('pick');
  });
  it('fills the sprayer as often as it takes', () =>
    expect(dose(input({ target: { kind: 'mix', finished: { value: '12', unit: 'l' } } }), LABEL_CONTEXT).say).toBe(
      '100 ml in 5 litres, 2 times filled, then 40 ml in 2 litres',
    ));
  it('by area through the label’s amount of water', () =>
    expect(dose(input({ target: { kind: 'area', area: { value: '25', unit: 'm2' } } }), LABEL_CONTEXT).say).toBe('50 ml in 2.5 litres'));
  it('granules: 2.4 lb for 1,200 sq ft at 10 lb per 5,000 (practice.md)', () => {
    const granules = use({ method: 'granules', rate: { value: '10', unit: 'lb' }, per: 'area', of: { value: '5000', unit: 'sqft' }, mostUses: 2 });
    const d = dose(
      input({ use: granules, equipment: { kind: 'spreader' }, target: { kind: 'area', area: { value: '1200', unit: 'sqft' } }, system: 'us' }),
      LABEL_CONTEXT,
    );
    expect(d.once).toBe('2.4 lb');
    expect(d.toBuy).toBe('4.8 lb');
  });
  it('a drench by the trunk: a girth is turned into a diameter, on the small side', () => {
    const drench = use({ method: 'drench', rate: { value: '6', unit: 'ml' }, per: 'trunk-diameter', of: { value: '1', unit: 'cm' } });
    const target = (value: string, measured: 'diameter' | 'girth') =>
      ({ kind: 'trunks', across: { value, unit: 'cm' }, measured, count: 1 }) as const;
    const at = (value: string, measured: 'diameter' | 'girth') =>
      dose(input({ use: drench, equipment: { kind: 'by-hand' }, target: target(value, measured) }), LABEL_CONTEXT).once;
    expect(at('12', 'diameter')).toBe('72 ml');
    expect(at('37.7', 'girth')).toBe('72 ml');
    expect(() => at('400', 'diameter')).toThrow('were centimetres meant?');
  });
  it('a hose-end dial at the strongest setting that is not above the label', () => {
    const settings = [1, 2, 4, 8].map((n) => ({
      say: `${n} tbsp`,
      product: { value: String(n), unit: 'tbsp-us' as const },
      water: { value: '1', unit: 'gal-us' as const },
    }));
    const d = dose(
      input({ equipment: { kind: 'hose-end', settings }, target: { kind: 'mix', finished: { value: '4', unit: 'gal-us' } }, system: 'us' }),
      LABEL_CONTEXT,
    );
    // 20 ml a litre is 5.12 tbsp a gallon, so 4 is the setting: 16 tbsp for four gallons
    expect(d.say).toBe('dial at 4 tbsp, 8 US fl oz in the bottle for 4 US gallons');
  });
  it('never measures out more than the label allows, whatever the volume and the measures', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 1, max: 40 }),
        fc.constantFrom('metric' as const, 'us' as const),
        (tenths, ml, system) => {
          const some = use({ rate: { value: String(ml), unit: 'ml' } });
          const finished = { value: String(tenths / 10), unit: 'l' as const };
          let d;
          try {
            d = dose(input({ use: some, target: { kind: 'mix', finished }, system }), LABEL_CONTEXT);
          } catch (error) {
            if (error instanceof DoseRefused) return; // too little to measure
            throw error;
          }
          expect(d.base.compare(inBase(finished).mul(ml).div(1000))).toBeLessThanOrEqual(0);
        },
      ),
    );
  });
  it('says what to buy in packs, and what is left', () => {
    const packs = [
      { value: '250', unit: 'ml' },
      { value: '500', unit: 'ml' },
    ] as const;
    const d = dose(input({ label: label({ packs: [...packs] }) }), LABEL_CONTEXT);
    expect(d).toMatchObject({ toBuy: '500 ml', remainder: '100 ml' });
  });
});

describe('refusals quote the line', () => {
  it('"seven times the 2 % to get the 15 %"', () => {
    const no = refusal({ wanted: { product: { value: '140', unit: 'ml' }, per: { value: '1', unit: 'l' } } });
    expect(no.why).toContain('7 times what the label allows');
    expect(no.why).toContain('does not make a professional one');
    expect(no.line).toBe(use().line);
  });
  it('a restricted product leads to a licensed person, never to an amount', () =>
    expect(refusal({ label: label({ restricted: true }) })).toMatchObject({ refer: true }));
  it('an expired label', () => expect(refusal({ label: label({ validUntil: '2026-06-13' }) }).why).toContain('ended on 2026-06-13'));
  it('one for another place', () => expect(refusal({ label: label({ jurisdictions: ['Overfell'] }) }).why).toContain('not approved in Lindwater'));
  it('an active the jurisdiction forbids, altogether or in one way of use', () => {
    const rule = { id: 'r', jurisdiction: 'Lindwater', forbids: 'fatty acid potassium salts', method: null, reason: 'test', asOf: '2026-01-01' };
    expect(refusal({}, { ...LABEL_CONTEXT, rules: [rule] }).line).toContain('Lindwater, as of 2026-01-01');
    expect(dose(input(), { ...LABEL_CONTEXT, rules: [{ ...rule, method: 'drench' }] }).once).toBe('100 ml');
  });
  it('a line that is for another time of the year, turned round in the south', () => {
    const dormant = use({ season: { from: '11-01', to: '03-15' } });
    expect(refusal({ use: dormant }).why).toContain('again from 2026-11-01');
    expect(dose(input({ use: dormant }), { ...LABEL_CONTEXT, hemisphere: 'S' }).once).toBe('100 ml');
  });
  it('a fifth use where four are allowed, and more than the year’s most', () => {
    expect(refusal({ usedThisYear: { base: new Fraction(400), times: 4 } }).why).toContain('all the label allows');
    const capped = use({ mostPerYear: { value: '250', unit: 'ml' } });
    expect(refusal({ use: capped, usedThisYear: { base: new Fraction(200), times: 2 } }).why).toContain('this year’s most');
    expect(dose(input({ use: capped }), LABEL_CONTEXT).applications).toBe(2);
  });
  it('a way of measuring that the label does not have', () => {
    expect(refusal({ target: { kind: 'plants', count: 3 } }).why).toContain('not by plant');
    expect(refusal({ use: use({ carrier: null }), target: { kind: 'area', area: { value: '3', unit: 'm2' } } }).why).toContain('no amount of water');
  });
});
