import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { smallEdition } from '../testing/smallEdition.ts';
import { chanceOf } from './answerTable.ts';
import type { Outcome } from '../edition/edition.ts';
import { learnFrom, outcomeWeight } from './learning.ts';
import { modelForSituation } from './model.ts';

const today = '2026-11-24';
const bean = smallEdition.plants[1]!;
const outcome = (cause: string, findings: Outcome['findings'] = [], on = '2026-11-20', host = 'bean'): Outcome => ({ cause, host, on, findings });
const situation = { plant: bean, month: 5, climate: null, hemisphere: 'N', setting: 'phone' } as const;

describe('weight of an outcome', () => {
  it.each([
    ['2026-11-24', 2],
    ['2026-09-25', 2 * 0.5 ** (60 / 365.25 / 4)], // the sixtieth day still counts double …
    ['2026-09-24', 0.5 ** (61 / 365.25 / 4)], // … the next one not
    ['2022-11-23', 0.5],
    ['2026-12-01', 0],
  ])('on %s is %p', (on, weight) => expect(outcomeWeight(on, today)).toBeCloseTo(weight, 3));
});

describe('learning from confirmed outcomes', () => {
  it('changes nothing without outcomes', () => {
    const learned = learnFrom(smallEdition, [], today);
    expect(modelForSituation(smallEdition, situation, { learned }).logPrior).toEqual(modelForSituation(smallEdition, situation).logPrior);
    expect(learned.changes).toEqual([]);
  });
  it('counts with the elicited rate as a dozen cases', () => {
    const learned = learnFrom(smallEdition, [outcome('mildew', [{ finding: 'coating', answer: 'black' }])], today);
    const w = outcomeWeight('2026-11-20', today);
    const before = modelForSituation(smallEdition, situation);
    const after = modelForSituation(smallEdition, situation, { learned });
    const at = (m: typeof before) => chanceOf(m.findings[m.findingIndex.get('coating')!]!.table, 2, m.causes.indexOf('mildew'));
    expect(at(after)).toBeCloseTo((12 * at(before) + w) / (12 + w), 12);
  });
  it('makes odds grow with what was seen against what was expected, on that plant most', () => {
    const learned = learnFrom(
      smallEdition,
      Array.from({ length: 10 }, () => outcome('beetle')),
      today,
    );
    expect(learned.factor('beetle', bean)).toBeGreaterThan(learned.factor('beetle', null));
    expect(learned.factor('beetle', null)).toBeGreaterThan(1);
    expect(learned.factor('mildew', bean)).toBeLessThan(1);
    expect(learned.factor('mildew', smallEdition.plants[0]!)).toBeGreaterThan(learned.factor('mildew', bean));
  });
  it('is hardly moved by one case', () =>
    expect(learnFrom(smallEdition, [outcome('beetle')], '2030-11-24').factor('beetle', bean)).toBeLessThan(1.3));
  it('ends at what was seen when much was seen', () => {
    const many = Array.from({ length: 4000 }, (_, i) => outcome('mildew', [{ finding: 'coating', answer: i % 4 === 0 ? 'black' : 'white' }]));
    expect(learnFrom(smallEdition, many, today).rate('mildew', 'coating')![2]).toBeCloseTo(0.25, 2);
  });
  it('passes over causes, answers and plants it does not know', () => {
    const learned = learnFrom(
      smallEdition,
      [outcome('gremlins'), outcome('mildew', [{ finding: 'coating', answer: 'plaid' }], '2026-11-01', 'unicorn')],
      today,
    );
    expect(learned.rate('mildew', 'coating')).toBeNull();
    expect(learned.changes.map(({ cause }) => cause)).toEqual(['mildew']);
  });
  it('keeps every distribution summing to one, and does not care for the order of cases', () => {
    const any = fc.record({
      cause: fc.constantFrom('mildew', 'beetle', 'cold'),
      host: fc.constantFrom('bean', 'oak', null),
      on: fc.constantFrom('2020-05-01', '2026-11-01'),
      findings: fc.array(fc.constantFrom({ finding: 'coating', answer: 'white' }, { finding: 'holes', answer: 'some' }), { maxLength: 2 }),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 8 }), (outcomes) => {
        const learned = learnFrom(smallEdition, outcomes, today);
        const turned = learnFrom(smallEdition, [...outcomes].reverse(), today);
        for (const cause of ['mildew', 'beetle', 'cold']) {
          expect(turned.factor(cause, bean)).toBeCloseTo(learned.factor(cause, bean), 12);
          expect(learned.rate(cause, 'coating')?.reduce((a, b) => a + b, 0) ?? 1).toBeCloseTo(1, 12);
        }
      }),
      { numRuns: 40 },
    );
  });
});
