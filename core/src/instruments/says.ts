import type { Mark } from '../edition/provenance.ts';
import { QUANTITIES, type Measured, type QuantityId } from './line.ts';

/** What a soil is like for the probe: field capacity and wilting point differ by texture. */
export const SOILS = ['sand', 'loam', 'clay'] as const;
export type Soil = (typeof SOILS)[number];

/**
 * Volumetric water content at field capacity and wilting point, %, middle of the range.
 * Source: Allen et al. (1998), FAO Irrigation and drainage paper 56, table 19: sand 7–17 and 2–7, loam 20–30 and 7–17, clay 32–40 and 20–24.
 */
const WATER: Record<Soil, { capacity: number; wilting: number }> = {
  sand: { capacity: 12, wilting: 4.5 },
  loam: { capacity: 25, wilting: 12 },
  clay: { capacity: 36, wilting: 22 },
};
/** Share of the water between the two that most garden plants take without stress. Same work, table 22: 0.3 to 0.6. */
const EASILY_TAKEN = 0.5;
/** Saturated-paste EC from which a soil is called saline. Source: Richards (1954), USDA Handbook 60. */
const SALINE_MS_CM = 4;
/** Below it even sensitive crops do not mind. Same work, table of crop response: 0 to 2. */
const NO_SALT_MS_CM = 2;
/** Reaction classes. Source: USDA Soil Survey Manual (2017), chapter 3: neutral 6.6–7.3, moderately acid 5.6–6.0. */
const LIMY_FROM = 7.4;
const ACID_TO = 6.0;

export interface Said {
  /** "12.4 % water in the soil", one a figure. */
  lines: string[];
  readings: { finding: string; answer: string }[];
  /** What the figures were judged by. */
  figures: { what: string; mark: Mark; source: string }[];
}

const shown = (id: QuantityId, value: number): string => {
  if (id === 'moisture') return `${value} % ${QUANTITIES.moisture.say}`;
  if (id === 'ph') return `pH ${value.toFixed(1)}`;
  if (id === 'temperature') return `${value} °C`;
  if (id === 'mass') return value >= 1000 ? `${value / 1000} kg` : `${value} g`;
  return `${value} ${QUANTITIES[id].unit} ${QUANTITIES[id].say}`;
};

/** Dry once half of what plants can take is gone, wet above field capacity. */
export function wetness(moisturePct: number, soil: Soil): 'dry' | 'moist' | 'wet' {
  const { capacity, wilting } = WATER[soil];
  if (moisturePct > capacity) return 'wet';
  return moisturePct < capacity - EASILY_TAKEN * (capacity - wilting) ? 'dry' : 'moist';
}

/**
 * What a reading of an instrument says in the terms of a case. A figure between two answers says nothing beyond itself.
 * @param soil what the probe stood in
 */
export function instrumentSays(measured: Measured, soil: Soil): Said {
  const said: Said = { lines: [], readings: [], figures: [] };
  for (const id of Object.keys(QUANTITIES) as QuantityId[]) {
    const value = measured[id];
    if (value !== undefined) said.lines.push(shown(id, value));
  }
  if (measured.moisture !== undefined) {
    said.readings.push({ finding: 'soil-moisture', answer: wetness(measured.moisture, soil) });
    said.figures.push({ what: `dry and wet in ${soil}`, mark: 'published', source: 'FAO Irrigation and drainage paper 56 (1998), tables 19 and 22' });
  }
  if (measured.ec !== undefined) {
    if (measured.ec >= SALINE_MS_CM) said.readings.push({ finding: 'salt-source', answer: 'yes' });
    else if (measured.ec < NO_SALT_MS_CM) said.readings.push({ finding: 'salt-source', answer: 'no' });
    said.figures.push({
      what: `saline from ${SALINE_MS_CM} mS/cm, no harm below ${NO_SALT_MS_CM}`,
      mark: 'published',
      source: 'USDA Handbook 60 (1954)',
    });
  }
  if (measured.ph !== undefined) {
    const answer = measured.ph >= LIMY_FROM ? 'limy' : measured.ph <= ACID_TO ? 'acid' : 'unknown-neutral';
    said.readings.push({ finding: 'soil-lime', answer });
    said.figures.push({
      what: `limy from pH ${LIMY_FROM}, acid to ${ACID_TO}`,
      mark: 'published',
      source: 'USDA Soil Survey Manual (2017), chapter 3',
    });
  }
  return said;
}
