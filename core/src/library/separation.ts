import { answerDistribution, silentDistribution } from '../diagnosis/model.ts';
import type { Cause, CauseRate } from '../edition/causes.ts';
import type { Finding } from '../edition/findings.ts';

/** P(answer | cause) for one finding; what is left of the background where the cause says nothing of it. */
export function answerShares(finding: Finding, cause: Cause): number[] {
  const rate = cause.rates.find((r) => r.finding === finding.id);
  return rate ? answerDistribution(finding, rate.answers) : silentDistribution(finding);
}

/** How far two causes differ on a finding: total variation distance, 0 (alike) to 1 (never the same answer). */
export function separation(finding: Finding, a: Cause, b: Cause): number {
  const other = answerShares(finding, b);
  return answerShares(finding, a).reduce((sum, p, i) => sum + Math.abs(p - (other[i] ?? 0)), 0) / 2;
}

export interface Separator {
  finding: Finding;
  /** The least difference between any two of the causes, and the greatest. */
  least: number;
  greatest: number;
}

/** A finding that does not tell any two apart by this much is not worth a line. */
const WORTH_SHOWING = 0.25;

/** What tells a few causes apart, best first: findings that part every pair before those that part only one. */
export function separators(causes: readonly Cause[], findings: readonly Finding[]): Separator[] {
  return findings
    .flatMap((finding) => {
      const distances = causes.flatMap((a, i) => causes.slice(i + 1).map((b) => separation(finding, a, b)));
      const greatest = Math.max(0, ...distances);
      return greatest < WORTH_SHOWING ? [] : [{ finding, least: Math.min(...distances), greatest }];
    })
    .sort((a, b) => b.least + b.greatest - (a.least + a.greatest) || a.finding.id.localeCompare(b.finding.id));
}

/** The answers a cause usually gives to a finding, likeliest first; those under the floor are left out. */
export function usualAnswers(finding: Finding, cause: Cause, floor = 0.25): { say: string; id: string; share: number }[] {
  return answerShares(finding, cause)
    .map((share, i) => ({ share, id: finding.answers[i]!.id, say: finding.answers[i]!.say }))
    .filter(({ share }) => share >= floor)
    .sort((a, b) => b.share - a.share);
}

/**
 * The rates of a cause with what is most particular to it first: by how far it shows otherwise than plants in general (total variation distance from the background).
 * Findings the edition does not have come last.
 */
export function mostTellingFirst(cause: Cause, findings: readonly Finding[]): CauseRate[] {
  const known = new Map(findings.map((finding) => [finding.id, finding]));
  const telling = ({ finding: id }: CauseRate): number => {
    const finding = known.get(id);
    return finding ? answerShares(finding, cause).reduce((sum, p, i) => sum + Math.abs(p - (finding.answers[i]?.background ?? 0)), 0) / 2 : -1;
  };
  return [...cause.rates].sort((a, b) => telling(b) - telling(a));
}
