import { hostWeight } from '@sounding/core/edition/hosts.ts';
import type { Cause } from '@sounding/core/edition/causes.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import type { z } from 'zod';
import type { Complaint, Placed } from './read.ts';
import type { workRow } from './schema.ts';

type Work = Placed<z.infer<typeof workRow>>;
/** What is asked of a cause as it is written, beside what is compiled of it. */
export interface WrittenCause {
  cause: Cause;
  form: string | undefined;
}

/** Most works shown for one cause; the closest to it come first. */
export const MOST_WORKS = 4;
/** Share of a cause's plants that must be those of a work about certain plants. */
const MOSTLY = 0.5;

/**
 * How close a work is to a cause: 0 names it, 1 is about its kind of plant, 2 about its kind of trouble; null has nothing on it.
 * @param hosts plants the cause strikes
 * @param meant plants the work is about, or null for one about plants of any kind
 */
function closeness(work: Work, { cause, form }: WrittenCause, hosts: readonly Plant[], meant: ReadonlySet<Plant> | null): number | null {
  if (work.causes.includes(cause.id)) return 0;
  if (!(form !== undefined && work.forms.includes(form)) && !(work.kinds as readonly string[]).includes(cause.kind)) return null;
  if (!meant) return 2;
  return hosts.filter((plant) => meant.has(plant)).length >= hosts.length * MOSTLY ? 1 : null;
}

/** The plants a work is about; null for any. */
function plantsOf({ hosts }: Work, plants: readonly Plant[]): ReadonlySet<Plant> | null {
  if (!hosts) return null;
  const meant = { hosts: { include: hosts as Cause['hosts']['include'], exclude: [] } };
  return new Set(plants.filter((plant) => hostWeight(meant, plant) > 0));
}

/**
 * Works an entry can be checked against, cited, by cause id; the closest first. They are no sources: no figure was taken from them.
 * @param complaints is added to for a work that names an unknown cause or is about none
 */
export function worksByCause(
  works: readonly Work[],
  causes: readonly WrittenCause[],
  plants: readonly Plant[],
  complaints: Complaint[],
): Map<string, string[]> {
  const known = new Set(causes.map(({ cause }) => cause.id));
  for (const { id, causes: named, place } of works)
    for (const name of named) if (!known.has(name)) complaints.push({ ...place, level: 'error', text: `${id}: there is no cause "${name}"` });
  const used = new Set<string>();
  const meant = new Map(works.map((work) => [work, plantsOf(work, plants)]));
  const byCause = causes.map((written): [string, string[]] => {
    const hosts = plants.filter((plant) => hostWeight(written.cause, plant) > 0);
    const close = works.flatMap((work) => {
      const how = closeness(work, written, hosts, meant.get(work) ?? null);
      return how === null ? [] : [{ work, how }];
    });
    const shown = close.sort((a, b) => a.how - b.how).slice(0, MOST_WORKS);
    for (const { work } of shown) used.add(work.id);
    return [written.cause.id, shown.map(({ work }) => work.cite)];
  });
  for (const { id, place } of works) if (!used.has(id)) complaints.push({ ...place, level: 'warning', text: `${id}: is shown for no cause` });
  return new Map(byCause.filter(([, cites]) => cites.length > 0));
}
