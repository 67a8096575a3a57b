import { findBackground } from './background.ts';
import type { ColourClass } from './classes.ts';
import { apart, byColour, featureOf, type Feature, type Rgb } from './colour.ts';
import { insideCircle, insideOutline, type Mask, type Pixels, type Point } from './mask.ts';

export interface SegmentOptions {
  classes: readonly ColourClass[];
  /** Drawn round the leaves; what lies outside is not looked at. None = the whole picture. */
  keep: readonly (readonly Point[])[];
  /** Drawn round what is not to count: a finger, a stalk, another leaf. */
  leaveOut: readonly (readonly Point[])[];
  /** A coin in the picture is no leaf. */
  coin: { centre: Point; radius: number } | null;
}

/** Label of a pixel that is no leaf. */
export const NO_LEAF = 255;

export interface Segmented {
  width: number;
  height: number;
  /** For each pixel the place of its class in `classes`, or NO_LEAF. */
  labels: Uint8Array;
  /** How the leaf was told from what lies round it. */
  background: 'plain' | 'drawn' | 'unclear';
}

/** Wide enough for noise, narrow enough for the smallest spot that counts. */
const SMOOTHING = 1;

function union(masks: Mask[], size: number): Mask {
  const all = new Uint8Array(size);
  for (const mask of masks) for (let i = 0; i < size; i++) if (mask[i] === 1) all[i] = 1;
  return all;
}

function classifier(classes: readonly ColourClass[], white: Rgb): (red: number, green: number, blue: number) => number {
  const references = classes.flatMap(({ on, colours, reach }, label) =>
    on ? colours.map(([r, g, b]) => ({ label, feature: featureOf(r, g, b), ease: 1 / reach ** 2 })) : [],
  );
  const nearest = (feature: Feature): number => {
    let best = NO_LEAF;
    let least = Infinity;
    for (const { label, feature: reference, ease } of references) {
      const far = apart(feature, reference) * ease;
      if (far < least) [least, best] = [far, label];
    }
    return best;
  };
  return byColour((red, green, blue) => nearest(featureOf(red, green, blue, white)));
}

/** Gives every leaf pixel the commonest class round it. */
function smoothed(labels: Uint8Array, width: number, height: number, kinds: number): Uint8Array {
  const out = labels.slice();
  const counts = new Uint8Array(kinds);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const at = y * width + x;
      const own = labels[at]!;
      if (own === NO_LEAF) continue;
      counts.fill(0);
      for (let dy = -SMOOTHING; dy <= SMOOTHING; dy++)
        for (let dx = -SMOOTHING; dx <= SMOOTHING; dx++) {
          if (x + dx < 0 || x + dx >= width || y + dy < 0 || y + dy >= height) continue;
          const label = labels[at + dy * width + dx]!;
          if (label !== NO_LEAF) counts[label]!++;
        }
      let best = own;
      for (let label = 0; label < kinds; label++) if (counts[label]! > counts[best]!) best = label;
      out[at] = best;
    }
  return out;
}

/**
 * Reads every pixel of a picture as one of the classes, or as no leaf.
 * @throws RangeError when the picture has no pixels, or no class is on
 */
export function segment(picture: Pixels, { classes, keep, leaveOut, coin }: SegmentOptions): Segmented {
  const { width, height, data } = picture;
  const size = width * height;
  if (size === 0 || data.length < size * 4) throw new RangeError(`a picture of ${width} by ${height} pixels holds nothing to measure`);
  if (!classes.some(({ on }) => on)) throw new RangeError('every colour is switched off: at least one is wanted');
  const found = findBackground(picture);
  const kept =
    keep.length > 0
      ? union(
          keep.map((outline) => insideOutline(outline, width, height)),
          size,
        )
      : null;
  const out = union(
    [...leaveOut.map((outline) => insideOutline(outline, width, height)), ...(coin ? [insideCircle(coin.centre, coin.radius, width, height)] : [])],
    size,
  );
  const classOf = classifier(classes, found?.white ?? [1, 1, 1]);
  const labels = new Uint8Array(size).fill(NO_LEAF);
  for (let i = 0; i < size; i++) {
    if (out[i] === 1 || found?.mask[i] === 1 || (kept !== null && kept[i] === 0)) continue;
    labels[i] = classOf(data[i * 4]!, data[i * 4 + 1]!, data[i * 4 + 2]!);
  }
  return {
    width,
    height,
    labels: smoothed(labels, width, height, classes.length),
    background: kept ? 'drawn' : found ? 'plain' : 'unclear',
  };
}
