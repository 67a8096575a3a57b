import { ACTS, type Act } from './options.ts';

/** Columns of the loss table: the right advice, with a notifiable cause and an unlisted one apart. */
export const TRUTHS = [...ACTS, 'notifiable', 'unlisted'] as const;

export type Truth = (typeof TRUTHS)[number];

/** Harm in points, 0 to 100: `advice[given][right]`, and what a wrong name costs by itself. Elicited; a desk may set its own. */
export interface LossTable {
  wrongName: number;
  advice: Record<Act, Record<Truth, number>>;
}
