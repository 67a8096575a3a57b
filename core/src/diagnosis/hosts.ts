import type { Cause, Finding, HostSelector, HostWeight, Plant } from '../edition/edition.ts';

function selects(selector: HostSelector, plant: Plant): boolean {
  if ('any' in selector) return true;
  if ('family' in selector) return selector.family === plant.family;
  if ('genus' in selector) return selector.genus === plant.genus;
  if ('group' in selector) return plant.groups.includes(selector.group);
  return selector.plant === plant.id;
}

/** Narrower selectors win: a weight given for the plant overrides one given for its family. */
function narrowness(selector: HostSelector): number {
  if ('plant' in selector) return 4;
  if ('genus' in selector) return 3;
  if ('group' in selector) return 2;
  return 'family' in selector ? 1 : 0;
}

/** Whether a finding can be seen on a plant at all: nobody is asked about the lawn of a pear tree. */
export const canShow = (finding: Pick<Finding, 'only'>, plant: Plant | null): boolean =>
  finding.only === undefined || plant === null || finding.only.some((group) => plant.groups.includes(group));

/** Chance that an unnamed plant is one of those selected: wide selectors catch more. Elicited. */
const UNKNOWN_HOST_SHARE = [1, 0.25, 0.35, 0.12, 0.1] as const;

const product = (entry: HostWeight, share: number) => entry.weight * share;

/**
 * How well a cause suits a host.
 * @param plant the host, or null when nobody has named it yet
 * @returns a weight of 0 (excluded) or more; 1 is an ordinary host
 */
export function hostWeight(cause: Pick<Cause, 'hosts'>, plant: Plant | null): number {
  if (plant === null) {
    return Math.max(0, ...cause.hosts.include.map((entry) => product(entry, UNKNOWN_HOST_SHARE[narrowness(entry)] ?? 0)));
  }
  const including = cause.hosts.include.filter((entry) => selects(entry, plant));
  if (including.length === 0) return 0;
  const best = including.reduce((a, b) => (narrowness(b) > narrowness(a) ? b : a));
  const excluding = cause.hosts.exclude.filter((entry) => selects(entry, plant));
  return excluding.some((entry) => narrowness(entry) >= narrowness(best)) ? 0 : best.weight;
}
