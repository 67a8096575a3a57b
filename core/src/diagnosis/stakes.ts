import { UNLISTED } from '../edition/causes.ts';
import { TRUTHS, type LossTable, type Truth } from '../edition/losses.ts';
import { ACTS, type Act } from '../edition/options.ts';

/** What hangs on the diagnosis: for each cause the kind of truth it is, and what each advice would cost if it were so. */
export interface Stakes {
  /** Index into TRUTHS for each cause of the model. */
  truthOf: Uint8Array;
  /** Points: row = advice in the order of ACTS, column = truth in the order of TRUTHS. */
  loss: Float64Array;
  wrongName: number;
}

/** Harm in points where an edition brings no table of its own. See docs/diagnosis.md for how to read it. */
export const DEFAULT_LOSSES: LossTable = {
  wrongName: 8,
  advice: {
    leave: { leave: 0, culture: 10, physical: 12, biological: 14, contact: 16, systemic: 16, remove: 25, refer: 30, notifiable: 80, unlisted: 15 },
    culture: { leave: 2, culture: 0, physical: 6, biological: 8, contact: 12, systemic: 12, remove: 22, refer: 28, notifiable: 75, unlisted: 12 },
    physical: { leave: 4, culture: 6, physical: 0, biological: 6, contact: 10, systemic: 12, remove: 20, refer: 26, notifiable: 70, unlisted: 14 },
    biological: { leave: 6, culture: 9, physical: 7, biological: 0, contact: 8, systemic: 10, remove: 22, refer: 28, notifiable: 75, unlisted: 16 },
    contact: { leave: 25, culture: 22, physical: 18, biological: 14, contact: 0, systemic: 8, remove: 25, refer: 30, notifiable: 80, unlisted: 25 },
    systemic: { leave: 35, culture: 32, physical: 28, biological: 24, contact: 10, systemic: 0, remove: 28, refer: 32, notifiable: 80, unlisted: 35 },
    remove: { leave: 50, culture: 45, physical: 40, biological: 40, contact: 35, systemic: 30, remove: 0, refer: 20, notifiable: 60, unlisted: 50 },
    refer: { leave: 6, culture: 6, physical: 7, biological: 8, contact: 8, systemic: 8, remove: 10, refer: 0, notifiable: 2, unlisted: 0 },
  },
};

export const truthIndex = (truth: Truth): number => TRUTHS.indexOf(truth);

/**
 * @param causes ids in the order of the model
 * @param rightFor the right advice for a cause, and whether it is notifiable
 */
export function stakesOf(
  causes: readonly string[],
  rightFor: (cause: string) => { act: Act; notifiable: boolean },
  table: LossTable = DEFAULT_LOSSES,
): Stakes {
  const loss = new Float64Array(ACTS.length * TRUTHS.length);
  ACTS.forEach((given, a) => TRUTHS.forEach((right, t) => (loss[a * TRUTHS.length + t] = table.advice[given][right])));
  const truthOf = Uint8Array.from(causes, (cause) => {
    if (cause === UNLISTED) return truthIndex('unlisted');
    const { act, notifiable } = rightFor(cause);
    return truthIndex(notifiable ? 'notifiable' : act);
  });
  return { truthOf, loss, wrongName: table.wrongName };
}

/** Expected loss of each advice is a row of the table against the weights of the truths; the least of them. */
export function leastLoss(stakes: Stakes, byTruth: Float64Array): number {
  const { loss } = stakes;
  const n = byTruth.length;
  let least = Infinity;
  for (let row = 0; row < loss.length; row += n) {
    let sum = 0;
    for (let t = 0; t < n; t++) sum += loss[row + t]! * byTruth[t]!;
    if (sum < least) least = sum;
  }
  return least;
}

/** The advice with the least expected loss when the truths have these (unnormalised) weights. */
export function bestAdvice(stakes: Stakes, byTruth: ArrayLike<number>): { act: Act; loss: number } {
  let best = 0;
  let least = Infinity;
  for (let a = 0; a < ACTS.length; a++) {
    let sum = 0;
    for (let t = 0; t < TRUTHS.length; t++) sum += (stakes.loss[a * TRUTHS.length + t] ?? 0) * (byTruth[t] ?? 0);
    if (sum < least) [best, least] = [a, sum];
  }
  return { act: ACTS[best] ?? 'refer', loss: least };
}

/** Expected loss of the best advice and the best name, as things stand; weights need not sum to one. */
export function riskOf(stakes: Stakes, weights: ArrayLike<number>): number {
  const byTruth = new Float64Array(TRUTHS.length);
  let all = 0;
  let most = 0;
  for (let c = 0; c < weights.length; c++) {
    const w = weights[c] ?? 0;
    byTruth[stakes.truthOf[c] ?? 0]! += w;
    all += w;
    if (w > most) most = w;
  }
  return bestAdvice(stakes, byTruth).loss + stakes.wrongName * (all - most);
}
