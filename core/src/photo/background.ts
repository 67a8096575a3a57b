import { apart, byColour, featureOf, LINEAR, type Feature, type Rgb } from './colour.ts';
import { floodFrom, type Mask, type Pixels } from './mask.ts';

/** A strip so wide along the edges of the picture is taken for background. */
const EDGE = 0.02;
/** Squared distance within which a pixel is still the background. */
const SAME = 0.09;
/** So much of the strip must agree, or there is no plain background. */
const AGREE = 0.7;
/** Background at least so bright and so colourless stands for white. */
const PAPER_LIGHT = 0.2;
const PAPER_TINT = 0.6;

export interface Background {
  mask: Mask;
  /** The linear colour of white in this light, where the background is paper; else what a camera makes of it. */
  white: Rgb;
}

const median = (values: number[]): number => values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** Pixels along the edges of the picture. */
function edgeOf({ width, height }: Pixels): number[] {
  const strip = Math.max(2, Math.round(Math.min(width, height) * EDGE));
  const edge: number[] = [];
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) if (x < strip || y < strip || x >= width - strip || y >= height - strip) edge.push(y * width + x);
  return edge;
}

const featureAt = (data: Uint8ClampedArray, index: number, white: Rgb): Feature =>
  featureOf(data[index * 4]!, data[index * 4 + 1]!, data[index * 4 + 2]!, white);

/** Shade on paper keeps its colour and loses light: only colour is compared there. */
const sameColour = (a: Feature, b: Feature): boolean => apart([a[0], a[1], 0], [b[0], b[1], 0]) < SAME;

/**
 * What lies round the leaf, found from the edges of the picture inwards; null when the edges do not agree on one colour.
 * A shadow the leaf throws on it belongs to it.
 */
export function findBackground(picture: Pixels): Background | null {
  const { data, width, height } = picture;
  const edge = edgeOf(picture);
  const linear = [0, 1, 2].map((channel) => median(edge.map((index) => LINEAR[data[index * 4 + channel]!] ?? 0))) as [number, number, number];
  const light = 0.2126 * linear[0] + 0.7152 * linear[1] + 0.0722 * linear[2];
  const tint = Math.max(Math.abs(Math.log(linear[0] / linear[1])), Math.abs(Math.log(linear[2] / linear[1])));
  const white: Rgb = light > PAPER_LIGHT && tint < PAPER_TINT ? linear : [1, 1, 1];
  const features = edge.map((index) => featureAt(data, index, white));
  const colour: Feature = [median(features.map(([u]) => u)), median(features.map(([, v]) => v)), median(features.map(([, , l]) => l))];
  const same = byColour((red, green, blue) => (sameColour(featureOf(red, green, blue, white), colour) ? 1 : 0));
  const agreeing = edge.filter((index) => same(data[index * 4]!, data[index * 4 + 1]!, data[index * 4 + 2]!) === 1);
  if (agreeing.length < AGREE * edge.length) return null;
  const mask = floodFrom(agreeing, width, height, (index) => same(data[index * 4]!, data[index * 4 + 1]!, data[index * 4 + 2]!) === 1);
  return { mask, white };
}
