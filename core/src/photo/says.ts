import { outlookOf } from '../measure/plants.ts';
import type { ColourClass } from './classes.ts';
import { severityClass, type LeafMeasure, type Spots } from './measure.ts';

export interface PhotoFound {
  leaf: LeafMeasure | null;
  spots: Spots;
  /** Millimetres a pixel; null = there is nothing of known size in the picture. */
  mmPerPx: number | null;
  /** Share of girth; null = no wound was drawn. */
  wound: number | null;
}

/** A class has to take so much of the leaf to be named. */
const NAMED_FROM = 0.005;
/** Glare below this changes nothing worth saying. */
const GLARE_FROM = 0.01;

/** A number and its sign, which stay together on a line. */
const percentOf = (number: number | string): string => `${number}\u00a0%`;

/** "12 %", "0.4 %", "none". */
export function percentSaid(share: number): string {
  if (share === 0) return 'none';
  const percent = share * 100;
  return percent < 0.1 ? `under ${percentOf(0.1)}` : percentOf(percent < 2 ? percent.toFixed(1) : Math.round(percent));
}
const mmSaid = (mm: number): string => (mm < 10 ? `${mm.toFixed(1)} mm` : `${Math.round(mm)} mm`);
const median = (sorted: readonly number[]): number => sorted[Math.floor(sorted.length / 2)] ?? 0;

function spotsSaid({ count, acrossPx }: Spots, mmPerPx: number | null): string {
  if (count === 0) return 'No spots';
  const many = count === 1 ? '1 spot' : `${count} spots`;
  if (mmPerPx === null) return `${many}; their size wants a coin or a ruler in the picture`;
  const largest = mmSaid((acrossPx[0] ?? 0) * mmPerPx);
  return count === 1 ? `${many}, ${largest} across` : `${many}: the largest ${largest} across, the middle one ${mmSaid(median(acrossPx) * mmPerPx)}`;
}

/** What a picture shows, line by line, the answer first. */
export function photoSays({ leaf, spots, mmPerPx, wound }: PhotoFound, classes: readonly ColourClass[]): string[] {
  const lines: string[] = [];
  if (wound !== null) lines.push(`The wound takes ${percentSaid(wound)} of the girth: ${outlookOf(wound)}`);
  if (!leaf || leaf.affected === null) return lines;
  const { affected, shares, leftOut } = leaf;
  const { grade, from, to } = severityClass(affected);
  const span = from === to || grade === 1 ? percentOf(to) : `${from} to ${percentOf(to)}`;
  const named = classes.filter(({ id, counts }) => counts === 'affected' && (shares[id] ?? 0) >= NAMED_FROM);
  const colours = named.map(({ id, name }) => `${name} ${percentSaid(shares[id] ?? 0)}`).join(', ');
  if (affected === 0) lines.push('Nothing of the leaf is affected');
  else lines.push(`${percentSaid(affected)} of the leaf is affected`, `Class ${grade} of 12 (${span})${colours ? `; ${colours}` : ''}`);
  if (affected > 0) lines.push(spotsSaid(spots, mmPerPx));
  if (leftOut >= GLARE_FROM) lines.push(`${percentSaid(leftOut)} glares and is not counted`);
  return lines;
}

/** The mean over several leaves, each counting the same: how a sample of leaves is scored. Null when none holds a leaf. */
export function meanAffected(leaves: readonly (LeafMeasure | null)[]): number | null {
  const shares = leaves.flatMap((leaf) => (leaf?.affected === null || leaf === null ? [] : [leaf.affected]));
  return shares.length === 0 ? null : shares.reduce((a, b) => a + b, 0) / shares.length;
}

/** "Mean of 3 leaves: 9 %"; null for a single leaf, which speaks for itself. */
export function meanSaid(leaves: readonly (LeafMeasure | null)[]): string | null {
  const mean = meanAffected(leaves);
  const count = leaves.filter((leaf) => leaf !== null && leaf.affected !== null).length;
  return mean === null || count < 2 ? null : `Mean of ${count} leaves: ${percentSaid(mean)}`;
}
