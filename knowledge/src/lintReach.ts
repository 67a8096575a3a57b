import { hostWeight } from '@sounding/core/edition/hosts.ts';
import { modelForSituation } from '@sounding/core/diagnosis/model.ts';
import { posterior } from '@sounding/core/diagnosis/posterior.ts';
import type { Reading } from '@sounding/core/edition/reading.ts';
import { answerShares, separation } from '@sounding/core/library/separation.ts';
import type { Cause } from '@sounding/core/edition/causes.ts';
import { CLIMATES } from '@sounding/core/edition/climates.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Finding } from '@sounding/core/edition/findings.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';

/** A cause is out of reach when even a caller who sees all its findings at their likeliest does not bring it among the first of these. */
const WITHIN = 3;
/** Two causes on one host are one under two names when no finding differs by this much. */
const TELLS_APART = 0.2;

function bestHost(cause: Cause, plants: readonly Plant[]): Plant | null {
  const named = plants.filter((plant) => !plant.generic && hostWeight(cause, plant) > 0);
  return named.reduce<Plant | null>((best, plant) => (best === null || hostWeight(cause, plant) > hostWeight(cause, best) ? plant : best), null);
}

/** What a caller would say who sees everything the cause usually shows. */
function typicalReadings(cause: Cause, edition: Edition): Reading[] {
  return cause.rates.flatMap((rate) => {
    const finding = edition.findings.find((f) => f.id === rate.finding);
    if (!finding || finding.phoneSeconds === null) return [];
    const shares = answerShares(finding, cause);
    const likeliest = finding.answers[shares.indexOf(Math.max(...shares))];
    return likeliest ? [{ finding: finding.id, answer: likeliest.id, channel: 'caller-looked' as const }] : [];
  });
}

/** Place of a cause after all it usually shows has been told on the telephone; null when it has no host. */
export function placeWhenTypical(cause: Cause, edition: Edition): number | null {
  const plant = bestHost(cause, edition.plants);
  if (!plant) return null;
  const month = cause.months[Math.floor(cause.months.length / 2)] ?? 6;
  const model = modelForSituation(edition, { plant, month, climate: cause.climates[0] ?? CLIMATES[1], hemisphere: 'N', setting: 'phone' });
  const probabilities = posterior(model, typicalReadings(cause, edition));
  const mine = probabilities[model.causes.indexOf(cause.id)] ?? 0;
  return 1 + probabilities.filter((p) => p > mine).length;
}

/** Causes no caller could ever bring to the fore. */
export function unreachable(edition: Edition, only: ReadonlySet<string> | null = null): { cause: Cause; place: number }[] {
  return edition.causes.flatMap((cause) => {
    if (only && !only.has(cause.id)) return [];
    const place = placeWhenTypical(cause, edition);
    return place !== null && place > WITHIN ? [{ cause, place }] : [];
  });
}

/** Largest difference between two causes over all findings, as total variation distance. */
export function greatestDifference(a: Cause, b: Cause, findings: readonly Finding[]): number {
  const said = new Set([...a.rates, ...b.rates].map((rate) => rate.finding));
  return Math.max(0, ...findings.filter((finding) => said.has(finding.id)).map((finding) => separation(finding, a, b)));
}

const sharedMonths = (a: Cause, b: Cause) => a.months.length === 0 || b.months.length === 0 || a.months.some((m) => b.months.includes(m));

/** Pairs that share a host and a season and that no finding tells apart: one cause under two names. */
export function doubles(edition: Edition, only: ReadonlySet<string> | null = null): [Cause, Cause][] {
  const hosts = new Map(edition.causes.map((cause) => [cause.id, new Set(edition.plants.filter((p) => hostWeight(cause, p) > 0).map((p) => p.id))]));
  const pairs: [Cause, Cause][] = [];
  edition.causes.forEach((a, i) => {
    for (const b of edition.causes.slice(i + 1)) {
      if (only && !only.has(a.id) && !only.has(b.id)) continue;
      if (a.kind !== b.kind || !sharedMonths(a, b)) continue;
      const mine = hosts.get(a.id)!;
      if (![...hosts.get(b.id)!].some((id) => mine.has(id))) continue;
      if (greatestDifference(a, b, edition.findings) < TELLS_APART) pairs.push([a, b]);
    }
  });
  return pairs;
}
