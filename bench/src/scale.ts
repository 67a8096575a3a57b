import { answerTable } from '@sounding/core/diagnosis/answerTable.ts';
import type { DiagnosticModel, ModelFinding } from '@sounding/core/diagnosis/model.ts';
import { findPair } from '@sounding/core/diagnosis/pairs.ts';
import { posterior, posteriorOf, termsOf } from '@sounding/core/diagnosis/posterior.ts';
import type { Reading } from '@sounding/core/edition/reading.ts';
import { openFindings } from '@sounding/core/diagnosis/openFindings.ts';
import { rankQuestions } from '@sounding/core/diagnosis/questions.ts';
import { stakesOf } from '@sounding/core/diagnosis/stakes.ts';
import { UNLISTED } from '@sounding/core/edition/causes.ts';
import { ACTS } from '@sounding/core/edition/options.ts';
import { generator } from '@sounding/core/numbers/random.ts';

/** A generated model: every cause speaks of two dozen findings, each with three to eight answers. Invented, for times only. */
export function generatedModel(causes: number, findings: number, seed: number): DiagnosticModel {
  const random = generator(seed);
  const ids = [...Array.from({ length: causes - 1 }, (_, c) => `c${c}`), UNLISTED];
  const spoken = 24 / findings;
  const all = Array.from({ length: findings }, (_, f): ModelFinding => {
    const answers = 3 + Math.floor(random() * 6);
    const background = Float64Array.from({ length: answers }, (_, a) => (a === 0 ? 0.8 : 0.2 / (answers - 1)));
    const table = answerTable(answers, causes, background, () => {
      if (random() >= spoken) return null;
      const shown = Math.floor(random() * answers);
      return Float64Array.from({ length: answers }, (_, a) => (a === shown ? 0.8 : 0.2 / (answers - 1)));
    });
    return { id: `f${f}`, answers: Array.from({ length: answers }, (_, a) => `a${a}`), table, background, seconds: 10, absent: 0 };
  });
  return {
    causes: ids,
    logPrior: new Float64Array(causes).fill(-Math.log(causes)),
    findings: all,
    findingIndex: new Map(all.map((finding, f) => [finding.id, f])),
  };
}

export interface ScaleTimes {
  causes: number;
  findings: number;
  updateMs: number;
  rankMs: number;
  pairMs: number;
  caseMicros: number;
  megabytes: number;
  /** Time of ranking against the time it takes to read the same tables once from memory. */
  overBandwidth: number;
}

const median = (times: number[]): number => times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0;

function timed(runs: number, work: () => void): number {
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const start = performance.now();
    work();
    times.push(performance.now() - start);
  }
  return median(times);
}

export function timesAt(causes: number, findings: number): ScaleTimes {
  const model = generatedModel(causes, findings, 7);
  const readings: Reading[] = [3, 14, 15, 92, 65].map((f) => ({ finding: `f${f % findings}`, answer: 'a1', channel: 'caller' }));
  const known = termsOf(model, readings.slice(0, 4));
  const stakes = stakesOf(model.causes, (id) => ({ act: ACTS[Number(id.slice(1)) % ACTS.length] ?? 'leave', notifiable: false }));
  const standing = posterior(model, readings.slice(0, 1)); // early in a call, when every cause is still alive
  const bytes = model.findings.reduce(
    (sum, f) => sum + f.table.own.byteLength + f.table.speakers.byteLength + f.table.placeOf.byteLength + f.background.byteLength,
    0,
  );
  const rankMs = timed(31, () => void rankQuestions(openFindings(model, 'caller-looked'), standing, 'caller-looked', stakes));
  const readMs = timed(31, () => {
    let sum = 0;
    for (const { table } of model.findings) for (let i = 0; i < table.own.length; i++) sum += table.own[i]!;
    if (sum < 0) throw new Error('the sum of chances cannot be negative');
  });
  return {
    causes,
    findings,
    updateMs: timed(101, () => void posteriorOf(model, [...known, ...termsOf(model, readings.slice(4))])),
    rankMs,
    pairMs: timed(11, () => void findPair(model, termsOf(model, readings))),
    caseMicros: timed(31, () => void posterior(model, readings)) * 1000,
    megabytes: bytes / 1e6,
    overBandwidth: rankMs / readMs,
  };
}
