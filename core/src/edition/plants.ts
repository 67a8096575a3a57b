import type { Mark } from './provenance.ts';

export type HostSelector = { any: true } | { family: string } | { genus: string } | { group: string } | { plant: string };

export type HostWeight = HostSelector & { weight: number; note?: string };

/** How tall a plant usually is, at one stage: `words` tell the stage in talk, the first size stands when none is said. */
export interface PlantSize {
  what?: string;
  words: string[];
  /** Least and greatest, metres. */
  metres: [number, number];
}

export interface Plant {
  id: string;
  name: string;
  latin: string;
  also: string[];
  genus: string;
  family: string;
  groups: string[];
  /** Not named closely, such as "house plant": a closer name goes first. */
  generic?: true;
  /** Lowest winter temperature it usually stands in open ground, °C. */
  hardyC?: number;
  sizes?: PlantSize[];
  /** Needles in a bundle. */
  needles?: number;
  normal: { what: string; when?: string; varieties?: string }[];
  poisonous?: string;
  care: Record<string, string>;
  mark: Mark;
}
