import type { Edition } from '../edition/edition.ts';
import { WORDING } from '../edition/findings.ts';

/** Below this what stands first is only the likeliest of many. */
export const POSSIBLE = 0.15;

/** The probability of what stands first, the way an advisor would say it. */
export function likelihoodWord(probability: number): string {
  if (probability >= 0.95) return 'almost certainly';
  if (probability >= 0.8) return 'very likely';
  if (probability >= 0.6) return 'likely';
  if (probability >= 0.4) return 'perhaps';
  return probability >= POSSIBLE ? 'possibly' : 'one of many';
}

/** Answers that say a thing is not there; of other findings the absent answer is a sound state. */
const NOTHING = new Set(['none', 'nothing']);

/** A reading in plain words: the finding's name and what was answered. */
export function readingText(edition: Edition, findingId: string, answer: string): string {
  if (findingId === WORDING) return 'How it was put';
  const finding = edition.findings.find((f) => f.id === findingId);
  if (!finding) return `${findingId}: ${answer}`;
  if (answer === `not:${finding.absent}`)
    return `${finding.name}: ${NOTHING.has(finding.absent ?? '') ? 'there, kind not said' : 'amiss, not said how'}`;
  const known = finding.answers.find((a) => a.id === answer.replace(/^not:/, ''));
  const say = known?.say ?? answer;
  return `${finding.name}: ${answer.startsWith('not:') ? (known?.denied ?? `not ${say}`) : say}`;
}
