import type { Cause, Climate, Edition, Hemisphere, Mark, Plant } from '../edition/edition.ts';
import { priorWeight } from '../diagnosis/model.ts';

export interface PlantProblem {
  cause: Cause;
  /** Chance that a call about this plant in a month is about this cause, 0..1, January first, before anything is said. */
  months: number[];
  /** The greatest of them. */
  peak: number;
}

const MONTHS = Array.from({ length: 12 }, (_, i) => i + 1);

/** What strikes a plant through the year in a climate, commonest first. */
export function problemsOf(plant: Plant, edition: Edition, climate: Climate, hemisphere: Hemisphere): PlantProblem[] {
  const weights = MONTHS.map((month) => edition.causes.map((cause) => priorWeight(cause, { plant, month, climate, hemisphere, setting: 'phone' })));
  const totals = weights.map((column) => column.reduce((sum, weight) => sum + weight, 0));
  return edition.causes
    .map((cause, c) => {
      const months = weights.map((column, m) => (totals[m] ? (column[c] ?? 0) / totals[m] : 0));
      return { cause, months, peak: Math.max(...months) };
    })
    .filter(({ peak }) => peak > 0)
    .sort((a, b) => b.peak - a.peak || a.cause.name.localeCompare(b.cause.name));
}

/** On what the figures of a cause rest: how many are published, common practice, or from memory. */
export function figuresByMark(cause: Cause): Record<Mark, number> {
  const count: Record<Mark, number> = { published: 0, 'common-practice': 0, memory: 0 };
  for (const { mark } of [...cause.rates, ...cause.windows, ...cause.options]) count[mark] += 1;
  return count;
}
