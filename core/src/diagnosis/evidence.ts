import { WORDING } from '../edition/findings.ts';
import type { DiagnosticModel } from './model.ts';
import { allowedAnswers, type Term } from './posterior.ts';

/** How strongly one finding speaks for or against a cause. */
export interface Evidence {
  finding: string;
  answers: string[];
  /** 10·log10 of the likelihood ratio of this cause against all others by their prior weight (decibans; Good 1950). */
  decibans: number;
}

export type EvidenceWord = 'strongly for' | 'for' | 'slightly for' | 'neutral' | 'slightly against' | 'against' | 'strongly against';

/** Words for a weight of evidence; 10 decibans is ten to one. */
export function evidenceWord(decibans: number): EvidenceWord {
  const size = Math.abs(decibans);
  if (size < 1) return 'neutral';
  const side = decibans > 0 ? 'for' : 'against';
  if (size >= 10) return `strongly ${side}`;
  return size >= 4 ? side : `slightly ${side}`;
}

/** Weight of evidence of each finding read so far, for some causes, in their order. */
export function evidenceFor(model: DiagnosticModel, terms: readonly Term[], causeIds: readonly string[]): Evidence[][] {
  const places = causeIds.map((id) => {
    const c = model.causes.indexOf(id);
    if (c < 0) throw new RangeError(`cause "${id}" is not possible here`);
    return c;
  });
  const prior = model.logPrior.map(Math.exp);
  const likelihoods = terms.map(({ log }) => log.map(Math.exp));
  return places.map((c) =>
    terms.map(({ finding, reports, log }, t) => {
      const likelihood = likelihoods[t]!;
      let others = 0;
      let weight = 0;
      for (let k = 0; k < prior.length; k++) {
        if (k === c) continue;
        others += prior[k]! * likelihood[k]!;
        weight += prior[k]!;
      }
      const ratio = weight > 0 ? (log[c] ?? 0) - Math.log(others / weight) : 0;
      return { finding: finding?.id ?? WORDING, answers: reports.map((r) => r.answer), decibans: (10 * ratio) / Math.LN10 };
    }),
  );
}

/** A reading this much likelier on plants in general than under the cause speaks against it. */
const CONTRARY_DECIBANS = -3;
/** Something seen on fewer plants than this asks for an explanation … */
const REMARKABLE = 0.25;
/** … and the cause gives one when it makes it at least this much likelier. */
const EXPLAINS_DECIBANS = 2;

/** Findings that the cause does not account for: contrary to it, or seen, remarkable and made no likelier by it. */
export function unexplainedBy(model: DiagnosticModel, terms: readonly Term[], causeId: string): string[] {
  const c = model.causes.indexOf(causeId);
  const out: string[] = [];
  for (const { finding, reports, log } of terms) {
    if (!finding) continue; // words nobody could place are shown as such
    // the last cause is *unlisted*, whose likelihoods are the background
    const decibans = (10 * ((log[c] ?? 0) - (log[log.length - 1] ?? 0))) / Math.LN10;
    const common = allowedAnswers(finding, reports[0]?.answer ?? '').reduce(
      (sum, allowed, a) => sum + (allowed ? (finding.background[a] ?? 0) : 0),
      0,
    );
    if (decibans <= CONTRARY_DECIBANS || (!finding.circumstance && common < REMARKABLE && decibans < EXPLAINS_DECIBANS)) out.push(finding.id);
  }
  return out;
}

/** What speaks for a cause before what speaks against it, the strongest first; how it was put follows what was seen. */
export const asItSpeaks = (a: Evidence, b: Evidence): number =>
  Math.sign(b.decibans) - Math.sign(a.decibans) || Number(a.finding === WORDING) - Number(b.finding === WORDING) || b.decibans - a.decibans;
