import type { Finding } from '../edition/findings.ts';
import type { Reading } from '../edition/reading.ts';
import { isSeen } from '../language/plainAnswers.ts';

/** A question to be answered in the caller's own words: what is seen at all, or what else has been noticed. */
export type Openly = 'what' | 'else';

export const ASK_OPENLY: Record<Openly, string> = {
  what: 'What do you see, and on which part: leaves, stem, roots, flowers or fruit?',
  else: 'What else have you noticed, on this or another part of the plant?',
};

/** After so many questions in vain the caller is let tell again. Elicited. */
const IN_VAIN = 2;

/** Whether a reading tells of something on the plant that is not as it should be. */
export function isComplaint({ answer }: Reading, finding: Finding | undefined): boolean {
  if (!finding || !isSeen(finding) || answer === finding.absent) return false;
  return !answer.startsWith('not:') || answer === `not:${finding.absent}`;
}

/**
 * Whether a question is to be put openly before any particular one: while nobody has said what is wrong, a list of particulars is guesswork, and so it is
 * when one after the other is not known.
 * @param told whether a complaint was told
 * @param inVain questions asked in vain since something was last told
 */
export function askedOpenly(told: boolean, inVain: number): Openly | null {
  if (!told) return 'what';
  return inVain > 0 && inVain % IN_VAIN === 0 ? 'else' : null;
}
