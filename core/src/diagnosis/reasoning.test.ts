import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { answerTable, chanceOf } from './answerTable.ts';
import type { Cause } from '../edition/causes.ts';
import type { Finding } from '../edition/findings.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { enoughToAnswer } from './enough.ts';
import { evidenceFor, evidenceWord, unexplainedBy } from './evidence.ts';
import { fitModel, type CaseTable } from './learn.ts';
import { modelForSituation } from './model.ts';
import { entropyBits, posterior, termsOf } from './posterior.ts';
import type { Reading } from '../edition/reading.ts';
import { openFindings } from './openFindings.ts';
import { expectedBits, rankQuestions } from './questions.ts';
import { soundingLine } from './sounding.ts';

const model = modelForSituation(smallEdition, { plant: smallEdition.plants[1]!, month: 5, climate: null, hemisphere: 'N', setting: 'phone' });
const white: Reading = { finding: 'coating', answer: 'white', channel: 'caller' };
const eaten: Reading = { finding: 'holes', answer: 'some', channel: 'caller-looked' };

describe('questions', () => {
  it('expects just the drop in entropy that averaging over the reports gives', () => {
    const standing = posterior(model, []);
    for (const finding of model.findings) {
      const { bits, answerProbabilities } = expectedBits(finding, standing, 'caller-looked');
      const after = finding.answers.reduce(
        (sum, answer, a) =>
          sum + answerProbabilities[a]! * entropyBits(posterior(model, [{ finding: finding.id, answer, channel: 'caller-looked' }])),
        0,
      );
      expect(bits).toBeCloseTo(entropyBits(standing) - after, 9);
    }
  });
  it('leaves out what was asked and what cannot be asked on the telephone', () => {
    const ids = rankQuestions(openFindings(model, 'caller-looked', { readings: [], unanswered: ['coating'] }), posterior(model, [])).map(
      (q) => q.finding,
    );
    expect(ids).not.toContain('coating');
    expect(ids).not.toContain('test');
    expect(ids).toContain('holes');
  });
  it('asks for a second look at what was told unasked, until somebody has looked or it was told twice', () => {
    const asks = (...readings: Reading[]) =>
      openFindings(model, 'caller-looked', { readings, unanswered: [] }).flatMap(({ finding, again }) => (again ? [finding.id] : []));
    const holes = (channel: Reading['channel']): Reading => ({ finding: 'holes', answer: 'some', channel });
    expect(asks(holes('caller'))).toEqual(['holes']);
    expect(asks(holes('caller'), holes('caller'), holes('caller-unsure'))).toEqual([]);
    expect(asks(holes('caller'), holes('caller-looked'))).toEqual([]);
    expect(openFindings(model, 'caller-looked', { readings: [holes('caller')], unanswered: ['holes'] }).map((o) => o.finding.id)).not.toContain(
      'holes',
    );
  });
  it('ranks by bits for the second, not by bits alone', () => {
    const slow = { ...model, findings: model.findings.map((f) => (f.id === 'coating' ? { ...f, seconds: 100_000 } : f)) };
    expect(rankQuestions(openFindings(slow, 'caller-looked'), posterior(slow, [])).at(-1)?.finding).toBe('coating');
  });
});

describe('evidence', () => {
  it('adds up: decibans of the findings carry prior odds to posterior odds', () => {
    const two = { ...model, causes: ['mildew', 'unlisted'], logPrior: Float64Array.from([Math.log(0.3), Math.log(0.7)]) };
    two.findings = model.findings.map((f) => ({
      ...f,
      table: answerTable(f.answers.length, 2, f.background, (c) => (c === 0 ? f.answers.map((_, a) => chanceOf(f.table, a, 0)) : f.background)),
    }));
    const sum = evidenceFor(two, termsOf(two, [white, eaten]), ['mildew'])[0]!.reduce((s, e) => s + e.decibans, 0);
    const p = posterior(two, [white, eaten])[0]!;
    expect(10 * Math.log10(p / (1 - p)) - 10 * Math.log10(0.3 / 0.7)).toBeCloseTo(sum, 9);
  });
  it.each([
    [12, 'strongly for'],
    [10, 'strongly for'],
    [9.99, 'for'],
    [4, 'for'],
    [1, 'slightly for'],
    [0.99, 'neutral'],
    [-1, 'slightly against'],
    [-4, 'against'],
    [-10, 'strongly against'],
  ])('calls %p decibans "%s"', (decibans, word) => expect(evidenceWord(decibans)).toBe(word));
  it('names what the leader leaves unexplained', () => {
    expect(unexplainedBy(model, termsOf(model, [white, eaten]), 'beetle')).toEqual(['coating']);
    expect(unexplainedBy(model, termsOf(model, [white]), 'mildew')).toEqual([]);
  });
  it('asks of no cause to account for where the plant stands, unless it speaks against it', () => {
    const standing = (rates: Cause['rates']) => {
      const site: Finding = { ...smallEdition.findings.find(({ id }) => id === 'holes')!, id: 'pot', kind: 'site' };
      const causes = smallEdition.causes.map((cause) => (cause.id === 'mildew' ? { ...cause, rates: [...cause.rates, ...rates] } : cause));
      const edition = { ...smallEdition, findings: [...smallEdition.findings, site], causes };
      const situated = modelForSituation(edition, { plant: null, month: null, climate: null, hemisphere: 'N', setting: 'phone' });
      return unexplainedBy(situated, termsOf(situated, [{ finding: 'pot', answer: 'some', channel: 'caller' }]), 'mildew');
    };
    expect(standing([])).toEqual([]);
    expect(standing([{ finding: 'pot', answers: { none: 'always' }, mark: 'memory' }])).toEqual(['pot']);
  });
});

describe('sounding line', () => {
  it('starts at the surface and has one mark a reading that any earlier standing can be had from', () => {
    const marks = soundingLine(model, [eaten, white]);
    expect(marks.map((m) => m.taken)).toEqual([0, 1, 2]);
    expect(marks[0]!.bits).toBeCloseTo(entropyBits(posterior(model, [])), 12);
    expect(marks[1]!.bits).toBeCloseTo(entropyBits(posterior(model, [eaten])), 12);
    const standing = posterior(model, [eaten]);
    expect(marks[0]!.moved).toBeNull();
    expect(marks[1]!.moved?.cause).toBe('beetle');
    expect(marks[1]!.moved?.to).toBeCloseTo(standing[model.causes.indexOf('beetle')]!, 12);
    expect(marks[1]!.moved?.by).toBeCloseTo(standing[model.causes.indexOf('beetle')]! - posterior(model, [])[model.causes.indexOf('beetle')]!, 12);
  });
});

describe('enough', () => {
  const candidate = (probability: number, act: 'leave' | 'contact' = 'leave', listed = true) => ({ probability, act, listed });
  const useful = [{ finding: 'x', bits: 0.5, worth: 0, seconds: 5, again: false, perSecond: 0.1, answerProbabilities: [] }];
  it('is never so before anything was read', () =>
    expect(enoughToAnswer([candidate(0.99)], useful, 0)).toEqual({ enough: false, because: 'no-readings' }));
  it('is so when one cause stands out, at 0.85 and not below', () => {
    expect(enoughToAnswer([candidate(0.85), candidate(0.15, 'contact')], useful, 1).because).toBe('one-stands-out');
    expect(enoughToAnswer([candidate(0.849), candidate(0.151, 'contact')], useful, 1).because).toBe('still-open');
  });
  it('is so when all that is likely leads to the same advice', () =>
    expect(enoughToAnswer([candidate(0.5), candidate(0.42), candidate(0.08, 'contact')], useful, 2).because).toBe('same-advice'));
  it('is not so because the unlisted leads', () => expect(enoughToAnswer([candidate(0.95, 'leave', false)], useful, 3).enough).toBe(false));
  it('ends when no question would change the advice enough, nor tell enough to go on from', () => {
    const open = [candidate(0.5), candidate(0.5, 'contact')];
    const because = (bits: number, worth: number) => enoughToAnswer(open, [{ ...useful[0]!, bits, worth }], 3).because;
    expect(enoughToAnswer(open, [], 3).because).toBe('nothing-left-to-ask');
    expect([because(0.09, 0), because(0.09, 0.09)]).toEqual(['nothing-left-to-ask', 'nothing-left-to-ask']);
    expect([because(0.1, 0), because(0, 0.1)]).toEqual(['still-open', 'still-open']);
  });
});

describe('fitted model', () => {
  const table: CaseTable = {
    columns: ['spot'],
    levels: [['yes', 'no']],
    labels: ['a', 'b'],
    rows: [
      { label: 'a', values: ['yes'] },
      { label: 'a', values: ['yes'] },
      { label: 'a', values: [null] },
      { label: 'b', values: ['no'] },
    ],
  };
  it('counts with one added to each cell and leaves gaps out', () => {
    const fitted = fitModel(table);
    expect(chanceOf(fitted.findings[0]!.table, 0, 0)).toBeCloseTo(3 / 4, 12); // two of two, plus one of two
    expect(Math.exp(fitted.logPrior[0]!)).toBeCloseTo(4 / 6, 12);
  });
  it('refuses a table without rows', () => expect(() => fitModel({ ...table, rows: [] })).toThrow(/0 rows/));
  it('never gives a probability of nought', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ label: fc.constantFrom('a', 'b'), values: fc.tuple(fc.constantFrom('yes', 'no', null)) }), { minLength: 1 }),
        (rows) => {
          fitModel({ ...table, rows }).findings[0]!.table.own.forEach((p) => expect(p).toBeGreaterThan(0));
        },
      ),
    );
  });
});
