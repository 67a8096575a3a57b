import { describe, expect, it } from '@jest/globals';
import bayes from 'bayesjs';
import fc from 'fast-check';
import { answerTable, chanceOf } from './answerTable.ts';
import { CHANNELS, type Channel } from '../edition/findings.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { modelForSituation, type DiagnosticModel } from './model.ts';
import { allowedAnswers, posterior, reliabilityOf } from './posterior.ts';
import type { Reading } from '../edition/reading.ts';

const situation = { plant: smallEdition.plants[1]!, month: 5, climate: 'continental', hemisphere: 'N', setting: 'phone' } as const;
const model = modelForSituation(smallEdition, situation);

const reading = (finding: string, answer: string, channel: Channel = 'caller'): Reading => ({ finding, answer, channel });
const anyReading = fc.constantFrom(...model.findings).chain((f) =>
  fc.record({
    finding: fc.constant(f.id),
    answer: fc.constantFrom(...f.answers, ...f.answers.map((a) => `not:${a}`)),
    channel: fc.constantFrom(...CHANNELS),
  }),
);
const close = (a: Float64Array, b: Float64Array) => a.forEach((p, i) => expect(p).toBeCloseTo(b[i] ?? NaN, 12));

/** Every joint state of cause, truths and reports written out and added up: slow, and hard to get wrong. */
function byEnumeration(m: DiagnosticModel, readings: Reading[]): number[] {
  const touched = [...new Set(readings.map((r) => r.finding))].map((id) => m.findings[m.findingIndex.get(id)!]!);
  const weights = m.causes.map((_, c) => {
    const truths = (k: number): number => {
      const finding = touched[k];
      if (!finding) return 1;
      return finding.answers.reduce((sum, _a, t) => {
        const reports = readings
          .filter((r) => r.finding === finding.id)
          .map((r) => {
            const rel = reliabilityOf(finding, r.channel);
            const allowed = allowedAnswers(finding, r.answer);
            const noise = allowed.reduce((s, ok, a) => s + (ok ? finding.background[a]! : 0), 0);
            return (allowed[t] ? rel : 0) + (1 - rel) * noise;
          });
        return sum + chanceOf(finding.table, t, c) * reports.reduce((x, y) => x * y, 1) * truths(k + 1);
      }, 0);
    };
    return Math.exp(m.logPrior[c]!) * truths(0);
  });
  const total = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / total);
}

describe('posterior', () => {
  it('equals brute-force enumeration over causes and true answers to 1e-9', () => {
    fc.assert(
      fc.property(fc.array(anyReading, { maxLength: 5 }), (readings) => {
        const exact = byEnumeration(model, readings);
        posterior(model, readings).forEach((p, i) => expect(Math.abs(p - exact[i]!)).toBeLessThan(1e-9));
      }),
    );
  });

  it('equals a general Bayesian-network library (bayesjs) on the same network to 1e-9', () => {
    const readings = [reading('coating', 'white'), reading('holes', 'none', 'in-hand'), reading('frost', 'yes', 'photo')];
    const states = (m: DiagnosticModel) => Object.fromEntries(m.causes.map((c, i) => [c, Math.exp(m.logPrior[i]!)]));
    const network: Record<string, unknown> = { cause: { id: 'cause', states: model.causes, parents: [], cpt: states(model) } };
    const evidence: Record<string, string> = {};
    for (const r of readings) {
      const f = model.findings[model.findingIndex.get(r.finding)!]!;
      const rel = reliabilityOf(f, r.channel);
      network[f.id] = {
        id: f.id,
        states: f.answers,
        parents: ['cause'],
        cpt: model.causes.map((c, ci) => ({
          when: { cause: c },
          then: Object.fromEntries(f.answers.map((a, ai) => [a, chanceOf(f.table, ai, ci)])),
        })),
      };
      const report = `${f.id}-report`;
      network[report] = {
        id: report,
        states: f.answers,
        parents: [f.id],
        cpt: f.answers.map((truth) => ({
          when: { [f.id]: truth },
          then: Object.fromEntries(f.answers.map((a, ai) => [a, (a === truth ? rel : 0) + (1 - rel) * f.background[ai]!])),
        })),
      };
      evidence[report] = r.answer;
    }
    const ours = posterior(model, readings);
    const infer = (bayes as unknown as { infer: (n: unknown, nodes: unknown, given: unknown) => number }).infer;
    model.causes.forEach((c, i) => expect(Math.abs(infer(network, { cause: c }, evidence) - ours[i]!)).toBeLessThan(1e-9));
  });

  // Gigerenzer & Hoffrage (1995), Psychol. Rev. 102:684–704, mammography problem: they print 7.8 %.
  it('reproduces the published 7.8 % from a 1 % prior, 80 % sensitivity and 9.6 % false positives', () => {
    const screening: DiagnosticModel = {
      causes: ['ill', 'well'],
      logPrior: Float64Array.from([Math.log(0.01), Math.log(0.99)]),
      findings: [
        {
          id: 'scan',
          answers: ['positive', 'negative'],
          table: answerTable(2, 2, [0.5, 0.5], (c) => (c === 0 ? [0.8, 0.2] : [0.096, 0.904])),
          background: Float64Array.from([0.5, 0.5]),
          seconds: 1,
          reliability: { laboratory: 1 },
        },
      ],
      findingIndex: new Map([['scan', 0]]),
    };
    expect(posterior(screening, [reading('scan', 'positive', 'laboratory')])[0]).toBeCloseTo(0.078, 3);
  });

  it('sums to one and stays finite under any readings', () => {
    fc.assert(
      fc.property(fc.array(anyReading, { maxLength: 40 }), (readings) => {
        const p = posterior(model, readings);
        expect(p.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        p.forEach((x) => expect(Number.isFinite(x)).toBe(true));
      }),
    );
  });

  it('does not care about the order of readings', () => {
    fc.assert(
      fc.property(fc.array(anyReading, { maxLength: 6 }), (readings) => close(posterior(model, readings), posterior(model, [...readings].reverse()))),
    );
  });

  it('is moved less by saying one thing twice than by two different things', () => {
    const once = posterior(model, [reading('coating', 'white')]);
    const twice = posterior(model, [reading('coating', 'white'), reading('coating', 'white')]);
    const other = posterior(model, [reading('coating', 'white'), reading('holes', 'none')]);
    const mildew = model.causes.indexOf('mildew');
    expect(twice[mildew]! - once[mildew]!).toBeGreaterThan(0);
    expect(twice[mildew]! / (1 - twice[mildew]!)).toBeLessThan((once[mildew]! / (1 - once[mildew]!)) ** 2);
    expect(other[mildew]).toBeGreaterThan(once[mildew]!);
  });

  it('lets a laboratory outweigh a caller who says the opposite', () => {
    const p = posterior(model, [reading('coating', 'white'), reading('coating', 'none', 'laboratory')]);
    expect(p[model.causes.indexOf('mildew')]).toBeLessThan(posterior(model, [])[model.causes.indexOf('mildew')]!);
  });

  it('names the accepted answers when one is not known', () => {
    expect(() => posterior(model, [reading('coating', 'pink')])).toThrow(/"pink" is not one of: none, white, black/);
    expect(() => posterior(model, [reading('moon', 'full')])).toThrow(/finding "moon"/);
  });
});
