import type { Act } from '../edition/options.ts';
import type { RankedQuestion } from './questions.ts';

export type Enough =
  { enough: true; because: 'one-stands-out' | 'same-advice' | 'nothing-left-to-ask' } | { enough: false; because: 'no-readings' | 'still-open' };

export const STANDS_OUT = 0.85;
const SAME_ADVICE_SHARE = 0.9;
/** A question is worth a caller's time that is expected to save this of the loss table's points: what it costs to leave alone the one plant in a hundred that wanted tending. */
const LEAST_USEFUL_WORTH = 0.1;
/** Or one that tells this much: no answer alone may change the advice where two of them do, and a question is weighed by itself. */
const LEAST_USEFUL_BITS = 0.1;

/** No call is ended on the way it was put: what is enough must be so with this share of the wording's weight, too. Elicited. */
export const WORDS_TRUSTED = 0.5;

/**
 * Is there enough to answer? Yes when one cause stands out, when everything still likely leads to the same
 * advice, or when no question that can be asked would change or tell enough. The last is not a diagnosis: see the decision.
 * @param ranked causes with probability, the wording at part of its weight, and the rung each would be answered with, likeliest first
 */
export function enoughToAnswer(
  ranked: readonly { probability: number; act: Act; listed: boolean }[],
  questions: readonly RankedQuestion[],
  readingCount: number,
): Enough {
  if (readingCount === 0) return { enough: false, because: 'no-readings' };
  const first = ranked[0];
  if (first && first.listed && first.probability >= STANDS_OUT) return { enough: true, because: 'one-stands-out' };
  let covered = 0;
  for (const candidate of ranked) {
    if (!first || candidate.act !== first.act || !candidate.listed) break;
    covered += candidate.probability;
    if (covered >= SAME_ADVICE_SHARE && readingCount >= 2) return { enough: true, because: 'same-advice' };
  }
  const useful = questions.some(({ worth, bits }) => worth >= LEAST_USEFUL_WORTH || bits >= LEAST_USEFUL_BITS);
  return useful ? { enough: false, because: 'still-open' } : { enough: true, because: 'nothing-left-to-ask' };
}
