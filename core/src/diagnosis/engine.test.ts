import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { TRUTHS } from '../edition/losses.ts';
import { ACTS } from '../edition/options.ts';
import { smallEdition } from '../testing/smallEdition.ts';
import { answerTable, chanceOf, mapColumns } from './answerTable.ts';
import { BatchDiagnosis } from './batch.ts';
import { modelForSituation, type DiagnosticModel } from './model.ts';
import { contradictions, overturnings } from './overturn.ts';
import { findPair, together } from './pairs.ts';
import { posterior, termsOf } from './posterior.ts';
import type { Reading } from '../edition/reading.ts';
import { openFindings } from './openFindings.ts';
import { rankQuestions, whyAsk } from './questions.ts';
import { DEFAULT_LOSSES, riskOf, stakesOf } from './stakes.ts';

const model = modelForSituation(smallEdition, { plant: smallEdition.plants[1]!, month: 5, climate: null, hemisphere: 'N', setting: 'table' });
const reading = (finding: string, answer: string, channel: Reading['channel'] = 'caller-looked'): Reading => ({ finding, answer, channel });
const acts = { mildew: 'contact', beetle: 'physical', cold: 'leave' } as const;
const stakes = stakesOf(model.causes, (id) => ({ act: acts[id as keyof typeof acts], notifiable: false }));

describe('answer table', () => {
  const table = answerTable(2, 3, [0.9, 0.1], (c) => (c === 1 ? [0.2, 0.8] : null));
  it('gives a speaker its own column and the silent the shared one', () => {
    expect([0, 1, 2].map((c) => chanceOf(table, 1, c))).toEqual([0.1, 0.8, 0.1]);
    expect([...table.speakers]).toEqual([1]);
  });
  it('maps every column once', () =>
    expect(
      [0, 1].map((c) =>
        chanceOf(
          mapColumns(table, (column) => column.map((x) => x / 2)),
          0,
          c,
        ),
      ),
    ).toEqual([0.45, 0.1]));
});

describe('loss table', () => {
  it('costs nothing to advise what is right, and no advice costs less than that', () => {
    for (const act of ACTS) {
      expect(DEFAULT_LOSSES.advice[act][act]).toBe(0);
      for (const truth of TRUTHS) expect(DEFAULT_LOSSES.advice[act][truth]).toBeGreaterThanOrEqual(0);
    }
  });
  it('fears a pesticide on a sound plant more than a sound plant left alone, and a notifiable disease unreported most', () => {
    expect(DEFAULT_LOSSES.advice.contact.leave).toBeGreaterThan(DEFAULT_LOSSES.advice.leave.contact);
    for (const act of ACTS.filter((a) => a !== 'refer'))
      for (const truth of TRUTHS) expect(DEFAULT_LOSSES.advice[act].notifiable).toBeGreaterThanOrEqual(DEFAULT_LOSSES.advice[act][truth]);
  });
});

describe('worth of a question', () => {
  const questionsAfter = (readings: Reading[]) =>
    rankQuestions(openFindings(model, 'in-hand', { readings, unanswered: [] }), posterior(model, readings), 'in-hand', stakes);
  /** The long way: every answer, a whole new posterior, the risk after it. */
  const longWay = (finding: string, taken: Reading[]): number => {
    const standing = posterior(model, taken);
    const found = model.findings[model.findingIndex.get(finding)!]!;
    const question = questionsAfter(taken).find((q) => q.finding === finding)!;
    return found.answers.reduce(
      (worth, answer, a) =>
        worth - question.answerProbabilities[a]! * riskOf(stakes, posterior(model, [...taken, reading(finding, answer, 'in-hand')])),
      riskOf(stakes, standing),
    );
  };
  it.each(['holes', 'frost', 'test', 'coating'])('is the expected drop in expected loss, worked out the long way (%s)', (finding) => {
    const taken = [reading('coating', 'white', 'caller')];
    const question = questionsAfter(taken).find((q) => q.finding === finding)!;
    expect(question.worth).toBeCloseTo(longWay(finding, taken), 9);
  });
  it('is never below nothing: to know more cannot make the best advice worse', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(reading('coating', 'white'), reading('holes', 'some'), reading('frost', 'yes')), { maxLength: 4 }),
        (taken) => {
          for (const { worth } of questionsAfter(taken)) expect(worth).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
  it('has a reason: which causes it splits and what it could change', () => {
    const holes = model.findings[model.findingIndex.get('holes')!]!;
    expect(whyAsk(model, posterior(model, []), holes, 'in-hand', stakes).splits).toContain('beetle');
  });
});

describe('a finding that is asked after others', () => {
  const follows: DiagnosticModel = { ...model, findings: model.findings.map((f) => (f.id === 'frost' ? { ...f, after: ['holes'] } : f)) };
  const isOpen = (...readings: Reading[]) =>
    openFindings(follows, 'in-hand', { readings, unanswered: [] }).some(({ finding }) => finding.id === 'frost');
  it('waits until something of one of them was told', () => {
    expect([isOpen(), isOpen(reading('coating', 'white'))]).toEqual([false, false]);
    expect(isOpen(reading('holes', 'some'))).toBe(true);
    expect(isOpen(reading('holes', 'not:none'))).toBe(true);
  });
  it('waits on where it was told that there is nothing', () => expect(isOpen(reading('holes', 'none'))).toBe(false));
  it('may be looked at again once it has been told itself', () => expect(isOpen(reading('frost', 'yes', 'caller'))).toBe(true));
});

describe('families', () => {
  const kin = (a: string, b: string): DiagnosticModel => ({
    ...model,
    findings: model.findings.map((f) => (f.id === a || f.id === b ? { ...f, family: 'kin' } : f)),
  });
  const related = kin('coating', 'holes');
  const [white, eaten] = [reading('coating', 'white'), reading('holes', 'some')];
  const odds = (m: DiagnosticModel, readings: Reading[]) => {
    const p = posterior(m, readings)[m.causes.indexOf('mildew')]!;
    return Math.log(p / (1 - p));
  };
  it('change nothing while one of them is read', () => expect([...posterior(related, [white])]).toEqual([...posterior(model, [white])]));
  it('count for less together than apart', () => {
    const two = kin('coating', 'test');
    const positive = reading('test', 'positive', 'bench');
    expect(odds(two, [white, positive])).toBeLessThan(odds(model, [white, positive]));
    expect(odds(two, [white, positive])).toBeGreaterThan(odds(two, [positive]));
  });
  it('do not care for the order', () =>
    posterior(related, [white, eaten]).forEach((p, c) => expect(p).toBeCloseTo(posterior(related, [eaten, white])[c]!, 12)));
  it('are not moved by a reading that tells nothing', () => {
    const flat: DiagnosticModel = {
      ...related,
      findings: related.findings.map((f) => (f.id === 'holes' ? { ...f, table: answerTable(2, model.causes.length, f.background, () => null) } : f)),
    };
    posterior(flat, [white, eaten]).forEach((p, c) => expect(p).toBeCloseTo(posterior(flat, [white])[c]!, 12));
  });
});

describe('two causes', () => {
  it('show a thing when either shows it (noisy-OR), and nothing when neither does', () => {
    const holes = model.findings[model.findingIndex.get('holes')!]!;
    const [c, d] = [model.causes.indexOf('mildew'), model.causes.indexOf('beetle')];
    const [p, q] = [chanceOf(holes.table, 1, c), chanceOf(holes.table, 1, d)];
    expect(together(p, q, 1, 0)).toBeCloseTo(1 - (1 - p) * (1 - q), 12);
    expect(together(1 - p, 1 - q, 0, 0)).toBeCloseTo((1 - p) * (1 - q), 12);
    // of two answers the one is what the other is not
    expect(together(p, q, 1, 0) + together(1 - p, 1 - q, 0, 0)).toBeCloseTo(1, 12);
    expect(together(p, q, 1, undefined)).toBeCloseTo((p + q) / 2, 12);
  });
  it('are found when each accounts for what the other leaves, and named with it', () => {
    // mildew that never comes with holes, beetles that never come with powder
    const strict: DiagnosticModel = {
      ...model,
      findings: model.findings.map((f) => {
        if (f.id !== 'holes' && f.id !== 'coating') return f;
        const stranger = f.id === 'holes' ? 'mildew' : 'beetle';
        const column = (c: number) => f.answers.map((_, a) => chanceOf(f.table, a, c));
        const never = f.answers.map((_, a) => (a === 0 ? 0.998 : 0.002 / (f.answers.length - 1)));
        return {
          ...f,
          table: answerTable(f.answers.length, model.causes.length, f.background, (c) => (model.causes[c] === stranger ? never : column(c))),
        };
      }),
    };
    const seen = [reading('coating', 'white', 'laboratory'), reading('holes', 'some', 'laboratory'), reading('test', 'positive', 'laboratory')];
    const pair = findPair(strict, termsOf(strict, seen));
    expect([...(pair?.causes ?? [])].sort()).toEqual(['beetle', 'mildew']);
    const mildew = pair!.causes.indexOf('mildew');
    expect(pair!.explains[mildew]).toContain('coating');
    expect(pair!.explains[1 - mildew]).toContain('holes');
  });
  it('are not brought up where one explains all', () => {
    expect(findPair(model, termsOf(model, [reading('coating', 'white'), reading('holes', 'none')]))).toBeNull();
    expect(findPair(model, termsOf(model, [reading('coating', 'white')]))).toBeNull();
  });
});

describe('overturning', () => {
  it('names what would put another cause first, and it does', () => {
    const taken = [reading('coating', 'white')];
    const found = overturnings(model, posterior(model, taken), new Set(['coating']), 'in-hand');
    for (const { finding, answer, cause } of found) {
      const p = posterior(model, [...taken, reading(finding, answer, 'in-hand')]);
      expect(model.causes[p.indexOf(Math.max(...p))]).toBe(cause);
    }
  });
  it('is no mere tipping of a near tie', () => {
    const nudged = {
      ...smallEdition,
      causes: smallEdition.causes.map((cause) =>
        cause.id === 'beetle'
          ? { ...cause, rates: [...cause.rates, { finding: 'frost', answers: { yes: 'seldom' as const }, mark: 'memory' as const }] }
          : cause,
      ),
    };
    const near = modelForSituation(nudged, { plant: smallEdition.plants[1]!, month: 5, climate: null, hemisphere: 'N', setting: 'table' });
    const tied = Float64Array.from(near.causes, (id) => (id === 'mildew' ? 0.5001 : id === 'beetle' ? 0.4999 : 0));
    const { table } = near.findings[near.findingIndex.get('frost')!]!;
    const [mildew, beetle] = ['mildew', 'beetle'].map((id) => chanceOf(table, 0, near.causes.indexOf(id)));
    expect(beetle).toBeGreaterThan(mildew!);
    expect(beetle).toBeLessThan(2 * mildew!);
    const found = overturnings(near, tied, new Set(['coating', 'test']), 'in-hand').map(({ finding }) => finding);
    expect(found).toContain('holes');
    expect(found).not.toContain('frost');
  });
  it('sees reports that cannot all be true', () => {
    const found = (finding: string, ...answers: string[]) =>
      contradictions(
        answers.map((answer) => reading(finding, answer)),
        (id) => (id === 'age' ? undefined : 'none'),
      );
    expect(found('holes', 'some', 'none')).toEqual(['holes']);
    expect(found('coating', 'white', 'not:white')).toEqual(['coating']);
    expect(found('coating', 'white', 'not:black')).toEqual([]);
    expect(found('coating', 'white', 'black')).toEqual([]);
    expect(found('age', 'old', 'new')).toEqual(['age']);
  });
});

describe('batch', () => {
  it('gives the posterior of the single way, gaps left out', () => {
    const batch = new BatchDiagnosis(model, 'laboratory');
    const answers = model.findings.map((f) => (f.id === 'frost' ? -1 : 1));
    const readings = model.findings.flatMap((f) => (f.id === 'frost' ? [] : [reading(f.id, f.answers[1]!, 'laboratory')]));
    batch.posterior(answers).forEach((p, c) => expect(p).toBeCloseTo(posterior(model, readings)[c]!, 9));
  });
});
