import { generator } from '../numbers/random.ts';
import type { Rgb } from '../photo/colour.ts';
import type { Pixels } from '../photo/mask.ts';

export interface DrawnSpot {
  x: number;
  y: number;
  radius: number;
  colour: Rgb;
}
export interface DrawnLeaf {
  width: number;
  height: number;
  background: Rgb;
  leaf: { cx: number; cy: number; rx: number; ry: number; colour: Rgb };
  spots: readonly DrawnSpot[];
  /** Light at a place, multiplied into linear light: shade, a coloured lamp. */
  light?: (x: number, y: number) => readonly [number, number, number];
  /** Share of white laid over a place: glare. */
  glare?: (x: number, y: number) => number;
  noise?: number;
  seed?: number;
}

/** Samples along each side of a pixel: edges come out soft, as from a lens. */
const SAMPLES = 2;
// bound here once: a test runner's sandbox looks globals up anew each time
const { abs } = Math;
const toLinear = (byte: number): number => (byte / 255) ** 2.2;
const toByte = (linear: number): number => 255 * (linear < 0 ? 0 : linear > 1 ? 1 : linear) ** (1 / 2.2);

/**
 * A leaf drawn by computation, with what is true of it by geometry. Its camera has a plain 2.2 gamma, not the curve that is measured with.
 * @returns the picture, and the share of the leaf under spots
 */
export function drawLeaf({ width, height, background, leaf, spots, light, glare, noise = 4, seed = 1 }: DrawnLeaf): {
  picture: Pixels;
  affected: number;
} {
  const random = generator(seed);
  const data = new Uint8ClampedArray(width * height * 4);
  let [onLeaf, onSpot] = [0, 0];
  const linearOf = (colour: Rgb) => colour.map(toLinear);
  const [paper, blade] = [linearOf(background), linearOf(leaf.colour)];
  const marks = spots.map((spot) => ({ ...spot, linear: linearOf(spot.colour) }));
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const near = marks.filter((s) => abs(x - s.x) < s.radius + 2 && abs(y - s.y) < s.radius + 2);
      const sum = [0, 0, 0];
      for (let sy = 0; sy < SAMPLES; sy++)
        for (let sx = 0; sx < SAMPLES; sx++) {
          const [px, py] = [x + (sx + 0.5) / SAMPLES, y + (sy + 0.5) / SAMPLES];
          const inLeaf = ((px - leaf.cx) / leaf.rx) ** 2 + ((py - leaf.cy) / leaf.ry) ** 2 <= 1;
          const spot = inLeaf ? near.find((s) => (px - s.x) ** 2 + (py - s.y) ** 2 <= s.radius ** 2) : undefined;
          if (inLeaf) onLeaf++;
          if (spot) onSpot++;
          // the midrib and a weave of veins are a little lighter
          const vein = abs(py - leaf.cy) < leaf.ry * 0.02 || abs(((px + py) % 26) - 13) < 0.7 || abs(((px - py + 999) % 26) - 13) < 0.7;
          const colour = spot?.linear ?? (inLeaf ? blade : paper);
          const shine = inLeaf && !spot && vein ? 1.18 : 1;
          const lamp = light?.(px, py) ?? [1, 1, 1];
          const white = inLeaf ? (glare?.(px, py) ?? 0) : 0;
          for (let c = 0; c < 3; c++) sum[c]! += (colour[c]! * shine * lamp[c]! * (1 - white) + white) / SAMPLES ** 2;
        }
      const at = (y * width + x) * 4;
      for (let c = 0; c < 3; c++) data[at + c] = toByte(sum[c]!) + (random() - 0.5) * 2 * noise;
      data[at + 3] = 255;
    }
  return { picture: { width, height, data }, affected: onLeaf === 0 ? 0 : onSpot / onLeaf };
}
