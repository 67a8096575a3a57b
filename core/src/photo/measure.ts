import type { ColourClass } from './classes.ts';
import { NO_LEAF, type Segmented } from './segment.ts';

export interface LeafMeasure {
  /** Pixels of leaf, without what is left out. */
  leafPixels: number;
  /** Share of the leaf that is affected, 0..1; null = there is no leaf. */
  affected: number | null;
  /** Share of the leaf each class takes, by id; what is left out in shares of the whole leaf. */
  shares: Record<string, number>;
  /** Share of the whole leaf that could not be judged. */
  leftOut: number;
}

/** What share of the leaf is what. */
export function measureLeaf({ labels }: Segmented, classes: readonly ColourClass[]): LeafMeasure {
  const counts = new Float64Array(classes.length);
  for (const label of labels) if (label !== NO_LEAF) counts[label]!++;
  const of = (counting: ColourClass['counts']) => classes.reduce((sum, one, i) => sum + (one.counts === counting ? counts[i]! : 0), 0);
  const whole = counts.reduce((a, b) => a + b, 0);
  const judged = of('sound') + of('affected');
  return {
    leafPixels: judged,
    affected: judged === 0 ? null : of('affected') / judged,
    shares: Object.fromEntries(classes.map(({ id, counts: counting }, i) => [id, share(counts[i]!, counting === 'left-out' ? whole : judged)])),
    leftOut: share(of('left-out'), whole),
  };
}
const share = (part: number, all: number): number => (all === 0 ? 0 : part / all);

export interface Spots {
  count: number;
  /** Diameters of circles of the same area, in pixels, largest first. */
  acrossPx: number[];
}

/** Spots: affected pixels that touch by side or corner, of at least `leastPx` pixels. */
export function findSpots({ labels, width, height }: Segmented, classes: readonly ColourClass[], leastPx = 6): Spots {
  const affected = classes.map(({ counts }) => counts === 'affected');
  const isSpot = (i: number) => labels[i] !== NO_LEAF && affected[labels[i]!] === true;
  const seen = new Uint8Array(labels.length);
  const areas: number[] = [];
  const waiting: number[] = [];
  for (let start = 0; start < labels.length; start++) {
    if (seen[start] === 1 || !isSpot(start)) continue;
    let area = 0;
    seen[start] = 1;
    waiting.push(start);
    for (let at = waiting.pop(); at !== undefined; at = waiting.pop()) {
      area++;
      const [x, y] = [at % width, Math.floor(at / width)];
      for (let dy = -1; dy <= 1; dy++)
        for (let dx = -1; dx <= 1; dx++) {
          if (x + dx < 0 || x + dx >= width || y + dy < 0 || y + dy >= height) continue;
          const next = at + dy * width + dx;
          if (seen[next] === 1 || !isSpot(next)) continue;
          seen[next] = 1;
          waiting.push(next);
        }
    }
    if (area >= leastPx) areas.push(area);
  }
  return { count: areas.length, acrossPx: areas.map((area) => 2 * Math.sqrt(area / Math.PI)).sort((a, b) => b - a) };
}

/** Upper bounds of the classes, %; each class goes from the bound before it up to its own. */
const HORSFALL_BARRATT = [0, 3, 6, 12, 25, 50, 75, 88, 94, 97, 99.999_999, 100] as const;

/**
 * The class of a share of tissue affected, 1 to 12, with its span in %. Source: Horsfall & Barratt (1945), An improved grading system for
 * measuring plant diseases, Phytopathology 35:655: 0, 0–3, 3–6, 6–12, 12–25, 25–50, 50–75, 75–88, 88–94, 94–97, 97–100, 100.
 * The share itself says more and is shown first (Bock et al. 2010, Crit. Rev. Plant Sci. 29:59–107).
 * @throws RangeError for a share outside 0..1
 */
export function severityClass(affected: number): { grade: number; from: number; to: number } {
  if (!(affected >= 0 && affected <= 1)) throw new RangeError(`a share of ${affected} cannot be: 0 to 1`);
  const percent = affected * 100;
  const at = HORSFALL_BARRATT.findIndex((bound) => percent <= bound);
  return { grade: at + 1, from: HORSFALL_BARRATT[Math.max(0, at - 1)]!, to: Math.round(HORSFALL_BARRATT[at]!) };
}
