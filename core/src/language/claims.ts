import { COMMONNESS_VALUES, type Cause, type Edition, type Plant } from '../edition/edition.ts';
import { hostWeight } from '../diagnosis/hosts.ts';

/** Causes by the names callers call them; one name may be that of several, such as "rust". */
export function claimable(edition: Edition): Map<string, Cause[]> {
  const byName = new Map<string, Cause[]>();
  const onlySeen = new Set(edition.lexicon.seenNotNamed);
  for (const cause of edition.causes) {
    if (cause.kind === 'normal') continue;
    for (const name of new Set(
      [cause.name, ...cause.also].map((n) =>
        n
          .toLowerCase()
          .replace(/[^\p{L}\s-]|(?<!\p{L})-|-(?!\p{L})/gu, ' ')
          .replace(/\s+/g, ' ')
          .trim(),
      ),
    ))
      if (!onlySeen.has(name)) byName.set(name, [...(byName.get(name) ?? []), cause]);
  }
  return byName;
}

/** A name of one word counts in its own form, one or many: nobody who says "still green" claims greening. */
export const claimPattern = (name: string): string => (/[\s-]/.test(name) ? `=${name}` : `${name}!|${name}s!|${name.replace(/s$/, '')}!`);

/** Of the causes that share a name, the one that suits the plant and is met most. */
export function likeliest(causes: readonly Cause[], plant: Plant | null): Cause | null {
  const weight = (cause: Cause) => hostWeight(cause, plant) * COMMONNESS_VALUES[cause.commonness];
  return causes.reduce<Cause | null>((best, cause) => (best === null || weight(cause) > weight(best) ? cause : best), null);
}
