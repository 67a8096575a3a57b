/** A picture as a browser's canvas gives it: four bytes a pixel, row by row. */
export interface Pixels {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}
/** Pixels from the top left corner. */
export interface Point {
  x: number;
  y: number;
}

/** One byte a pixel: 1 inside. */
export type Mask = Uint8Array;

/** Everything inside an outline, by the even-odd rule at pixel centres. */
export function insideOutline(outline: readonly Point[], width: number, height: number): Mask {
  const mask = new Uint8Array(width * height);
  if (outline.length < 3) return mask;
  for (let y = 0; y < height; y++) {
    const line = y + 0.5;
    const crossings: number[] = [];
    outline.forEach((from, i) => {
      const to = outline[(i + 1) % outline.length]!;
      if (from.y <= line !== to.y <= line) crossings.push(from.x + ((line - from.y) / (to.y - from.y)) * (to.x - from.x));
    });
    crossings.sort((a, b) => a - b);
    for (let i = 0; i + 1 < crossings.length; i += 2) {
      const first = Math.max(0, Math.ceil(crossings[i]! - 0.5));
      const last = Math.min(width - 1, Math.ceil(crossings[i + 1]! - 0.5) - 1);
      if (last >= first) mask.fill(1, y * width + first, y * width + last + 1);
    }
  }
  return mask;
}

export function insideCircle(centre: Point, radius: number, width: number, height: number): Mask {
  const mask = new Uint8Array(width * height);
  for (let y = Math.max(0, Math.floor(centre.y - radius)); y <= Math.min(height - 1, centre.y + radius); y++)
    for (let x = Math.max(0, Math.floor(centre.x - radius)); x <= Math.min(width - 1, centre.x + radius); x++)
      if ((x + 0.5 - centre.x) ** 2 + (y + 0.5 - centre.y) ** 2 <= radius ** 2) mask[y * width + x] = 1;
  return mask;
}

/** Walks from the seeds to every neighbour (by its four sides) that `takes`, and marks all it comes to. */
export function floodFrom(seeds: Iterable<number>, width: number, height: number, takes: (index: number) => boolean): Mask {
  const reached = new Uint8Array(width * height);
  const waiting: number[] = [];
  const visit = (index: number): void => {
    if (reached[index] === 1 || !takes(index)) return;
    reached[index] = 1;
    waiting.push(index);
  };
  for (const seed of seeds) visit(seed);
  for (let index = waiting.pop(); index !== undefined; index = waiting.pop()) {
    const x = index % width;
    if (x > 0) visit(index - 1);
    if (x < width - 1) visit(index + 1);
    if (index >= width) visit(index - width);
    if (index < width * (height - 1)) visit(index + width);
  }
  return reached;
}
