import type { Point } from './mask.ts';

export const lengthOf = ([from, to]: readonly [Point, Point]): number => Math.hypot(to.x - from.x, to.y - from.y);

/** Two ends of something of known size are at least so far apart, or the scale is a guess. */
const LEAST_PX = 12;

/**
 * Millimetres a pixel, from two points a known length apart: on a ruler, or across a coin.
 * @throws RangeError when the length is none, or the points lie too close together
 */
export function mmPerPixel(ends: readonly [Point, Point], knownMm: number): number {
  if (!(knownMm > 0)) throw new RangeError(`a length of ${knownMm} mm cannot be: more than nothing`);
  const px = lengthOf(ends);
  if (px < LEAST_PX) throw new RangeError(`the two ends lie ${Math.round(px)} pixels apart, too close to measure by: at least ${LEAST_PX}`);
  return knownMm / px;
}

/** A coin from two points on opposite sides of its rim. */
export function coinFrom([one, other]: readonly [Point, Point]): { centre: Point; radius: number } {
  return { centre: { x: (one.x + other.x) / 2, y: (one.y + other.y) / 2 }, radius: lengthOf([one, other]) / 2 };
}

/**
 * Share of a trunk's girth that a wound takes, from a picture taken square to it: the wound is seen as a chord of the trunk.
 * The arc over a chord c of a circle of diameter D is D·asin(c ÷ D), the girth π·D.
 * @throws RangeError when the wound is wider than the trunk
 */
export function woundShare(wound: readonly [Point, Point], trunk: readonly [Point, Point]): number {
  const [chord, diameter] = [lengthOf(wound), lengthOf(trunk)];
  if (diameter <= 0) throw new RangeError('the trunk has no width: draw it across at the height of the wound');
  if (chord > diameter) throw new RangeError('the wound is drawn wider than the trunk');
  return Math.asin(chord / diameter) / Math.PI;
}
