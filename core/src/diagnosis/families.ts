import type { Term } from './posterior.ts';

/** Share of what a second finding of a family says that the first has said already. Elicited. */
const OVERLAP = 0.5;

/**
 * What the findings of one family say together. Three ways of seeing that a plant wilts are not three proofs: for each cause the
 * strongest counts whole and the others for half. Taken against the background, so a reading that tells nothing changes nothing,
 * and the order of readings does not matter.
 * @param terms of one family
 * @returns natural log-likelihood ratios against plants in general, by cause
 */
export function familyLogRatio(terms: readonly Term[]): Float64Array {
  const causes = terms[0]?.log.length ?? 0;
  const out = new Float64Array(causes);
  for (let c = 0; c < causes; c++) {
    let sum = 0;
    let strongest = 0;
    for (const { log, general } of terms) {
      const ratio = (log[c] ?? 0) - general;
      sum += ratio;
      if (Math.abs(ratio) > Math.abs(strongest)) strongest = ratio;
    }
    out[c] = strongest + (1 - OVERLAP) * (sum - strongest);
  }
  return out;
}

/** How far a question still speaks for itself when others of its family have been answered. */
export const shareOfItsOwn = (familyAnswered: boolean): number => (familyAnswered ? 1 - OVERLAP : 1);
