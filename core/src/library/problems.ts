import type { Cause } from '../edition/causes.ts';
import type { Climate, Hemisphere } from '../edition/climates.ts';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import type { Mark } from '../edition/provenance.ts';
import { priorWeight } from '../diagnosis/model.ts';

export interface PlantProblem {
  cause: Cause;
  /** How commonly it is met month by month, January first, against the commonest month of the commonest problem; 0..1. */
  months: number[];
  /** The greatest of them. */
  peak: number;
  /** It belongs to this plant, its genus, family or kind rather than to plants at large. */
  own: boolean;
}

const MONTHS = Array.from({ length: 12 }, (_, i) => i + 1);

/** A group that holds more than this share of all plants is no kind of its own: trees, fruit trees, house plants. */
const WIDE = 1 / 20;

/** Groups of plants that are one kind: pome fruit, palms, house plants. */
function kindsOf({ plants }: Edition): ReadonlySet<string> {
  const sizes = new Map<string, number>();
  for (const { groups } of plants) for (const group of groups) sizes.set(group, (sizes.get(group) ?? 0) + 1);
  return new Set([...sizes].filter(([, size]) => size <= plants.length * WIDE).map(([group]) => group));
}

const isOwn = (cause: Cause, plant: Plant, kinds: ReadonlySet<string>): boolean =>
  cause.hosts.include.some(
    (host) =>
      ('plant' in host && host.plant === plant.id) ||
      ('genus' in host && host.genus === plant.genus) ||
      ('family' in host && host.family === plant.family) ||
      ('group' in host && kinds.has(host.group) && plant.groups.includes(host.group)),
  );

/** What strikes a plant through the year in a climate: its own problems first, then what strikes plants at large, commonest first. */
export function problemsOf(plant: Plant, edition: Edition, climate: Climate, hemisphere: Hemisphere): PlantProblem[] {
  const kinds = kindsOf(edition);
  const weighed = edition.causes.map((cause) => ({
    cause,
    own: isOwn(cause, plant, kinds),
    weights: MONTHS.map((month) => priorWeight(cause, { plant, month, climate, hemisphere, setting: 'phone' })),
  }));
  const greatest = Math.max(...weighed.flatMap(({ weights }) => weights), Number.MIN_VALUE);
  return weighed
    .map(({ cause, own, weights }) => {
      const months = weights.map((weight) => weight / greatest);
      return { cause, own, months, peak: Math.max(...months) };
    })
    .filter(({ peak }) => peak > 0)
    .sort((a, b) => Number(b.own) - Number(a.own) || b.peak - a.peak || a.cause.name.localeCompare(b.cause.name));
}

/** On what the figures of a cause rest: how many are published, common practice, or from memory. */
export function figuresByMark(cause: Cause): Record<Mark, number> {
  const count: Record<Mark, number> = { published: 0, 'common-practice': 0, memory: 0 };
  for (const { mark } of [...cause.rates, ...cause.windows, ...cause.options]) count[mark] += 1;
  return count;
}
