import type { Cause } from './causes.ts';
import type { Edition } from './edition.ts';
import type { Finding } from './findings.ts';
import type { HostSelector, Plant } from './plants.ts';

function selects(selector: HostSelector, plant: Plant): boolean {
  if ('any' in selector) return true;
  if ('family' in selector) return selector.family === plant.family;
  if ('genus' in selector) return selector.genus === plant.genus;
  if ('group' in selector) return plant.groups.includes(selector.group);
  return selector.plant === plant.id;
}

/** Whether a plant is among those meant. */
export const isAmong = (selectors: readonly HostSelector[], plant: Plant): boolean => selectors.some((selector) => selects(selector, plant));

/** Narrower selectors win: a weight given for the plant overrides one given for its family. */
function narrowness(selector: HostSelector): number {
  if ('plant' in selector) return 4;
  if ('genus' in selector) return 3;
  if ('group' in selector) return 2;
  return 'family' in selector ? 1 : 0;
}

/** Whether a finding can be seen on a plant at all, or a test be made of it: nobody is asked about the lawn of a pear tree. */
export const canShow = ({ only }: Pick<Finding, 'only'>, plant: Plant | null): boolean =>
  only === undefined || plant === null || only.some((group) => plant.groups.includes(group));

/** Chance that an unnamed plant is one of those selected: wide selectors catch more. Elicited. */
const UNKNOWN_HOST_SHARE = [1, 0.25, 0.35, 0.1, 0.08] as const;

/** A cause at home on this many families takes others too, now and then. Elicited. */
const FAMILIES_OF_A_GENERALIST = 9;
const STRAY = 0.05;

const generalists = new WeakMap<Edition, ReadonlySet<string>>();

/** A cause of one kind of plant (succulents, palms) belongs to that kind, of however many families. */
const isOfOneKind = ({ hosts: { include } }: Cause): boolean => include.length === 1 && 'group' in include[0]!;

/** Causes of an edition, by id, that are at home on so many families that a host nobody wrote down is no surprise: damping-off on a jacaranda. */
function generalistsOf(edition: Edition): ReadonlySet<string> {
  const known = generalists.get(edition);
  if (known) return known;
  const families = ({ hosts }: Cause) => new Set(edition.plants.filter((p) => hosts.include.some((entry) => selects(entry, p))).map((p) => p.family));
  const found = new Set(
    edition.causes
      .filter((cause) => cause.kind !== 'normal' && !isOfOneKind(cause) && families(cause).size >= FAMILIES_OF_A_GENERALIST)
      .map(({ id }) => id),
  );
  generalists.set(edition, found);
  return found;
}

/** What a generalist weighs on a plant it is not written down for; 0 for others, on turf, and where it is excluded. */
export function strayWeight(cause: Cause, plant: Plant | null, edition: Edition): number {
  if (plant === null || plant.groups.includes('turf') || !generalistsOf(edition).has(cause.id)) return 0;
  return cause.hosts.exclude.some((entry) => selects(entry, plant)) ? 0 : STRAY;
}

/**
 * How well a cause suits a host.
 * @param plant the host, or null when nobody has named it yet
 * @returns a weight of 0 (excluded) or more; 1 is an ordinary host. The narrowest that names the plant counts, of equals the heavier.
 */
export function hostWeight(cause: Pick<Cause, 'hosts'>, plant: Plant | null): number {
  if (plant === null) {
    // the chance that it is any of them, and what they weigh on average
    const shares = cause.hosts.include.map(({ weight, ...selector }) => ({ weight, share: UNKNOWN_HOST_SHARE[narrowness(selector)] ?? 0 }));
    const all = shares.reduce((sum, { share }) => sum + share, 0);
    const missed = shares.reduce((product, { share }) => product * (1 - share), 1);
    return all === 0 ? 0 : ((1 - missed) * shares.reduce((sum, { weight, share }) => sum + weight * share, 0)) / all;
  }
  const including = cause.hosts.include.filter((entry) => selects(entry, plant));
  if (including.length === 0) return 0;
  const best = including.reduce((a, b) => ((narrowness(b) - narrowness(a) || b.weight - a.weight) > 0 ? b : a));
  const excluding = cause.hosts.exclude.filter((entry) => selects(entry, plant));
  return excluding.some((entry) => narrowness(entry) >= narrowness(best)) ? 0 : best.weight;
}
