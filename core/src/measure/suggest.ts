import type { Cause } from '../edition/causes.ts';
import type { Plant } from '../edition/plants.ts';
import { SUMS } from './all.ts';
import type { SumDefinition } from './sum.ts';

/** Sums that are the natural next thing, by the cause in the lead. */
const BY_CAUSE: Record<string, readonly string[]> = {
  'mower-wound': ['wound'],
  'honey-fungus': ['barrier'],
  'iron-chlorosis': ['soil-ph', 'drench'],
  'manganese-shortage': ['soil-ph'],
  drought: ['water-depth', 'week-water', 'emitters'],
  'underwatered-transplant': ['water-depth'],
  'salt-burn': ['water-quality', 'leaching', 'salt', 'water-depth'],
  'fluoride-tips': ['water-quality'],
  'succulent-rot': ['succulent'],
  'waterlogged-roots': ['pot'],
  'late-frost': ['frost'],
  'first-frost': ['frost'],
  'soil-too-acid': ['soil-ph', 'lime-lab'],
  'boron-excess': ['water-quality', 'leaching'],
  'lawn-dry-spot': ['week-water'],
  'sun-scorch': ['shade'],
  'nitrogen-excess': ['fertiliser'],
  'nitrogen-shortage': ['fertiliser'],
  'powdery-mildew': ['parts'],
  vole: ['granules'],
  mole: ['granules'],
};
/** Words in a cause's id that point to a sum where the id itself is not listed. */
const BY_WORD: readonly [RegExp, string][] = [
  [/wound|girdl/, 'wound'],
  [/deep|depth/, 'planting-depth'],
  [/chill/, 'chill-weeks'],
  [/thin|plug/, 'plugs'],
  [/clubroot|lime/, 'soil-ph'],
];

const isSum = (sum: SumDefinition | undefined): sum is SumDefinition => sum !== undefined;

/** What an advisor is likely to work out next; empty when nothing in particular. */
export function sumsFor(cause: Cause | null, plant: Plant | null): SumDefinition[] {
  const ids = [
    ...(cause ? (BY_CAUSE[cause.id] ?? []) : []),
    ...BY_WORD.filter(([word]) => cause && word.test(cause.id)).map(([, id]) => id),
    ...(plant?.groups.includes('succulent') ? ['succulent'] : []),
  ];
  return [...new Set(ids)].map((id) => SUMS.find((sum) => sum.id === id)).filter(isSum);
}
