import { COMMONNESS_VALUES, type Cause } from '../edition/causes.ts';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import { hostWeight } from '../edition/hosts.ts';

/** True where a name holds a naming word, or is one: "word", "word*" for a beginning, "*word" for an ending, or words in a row. */
function holds(name: string, naming: readonly string[]): boolean {
  const words = name.split(/[\s-]/);
  return naming.some((entry) => {
    if (entry.includes(' ')) return name.includes(entry);
    if (entry.endsWith('*')) return words.some((word) => word.startsWith(entry.slice(0, -1)));
    if (entry.startsWith('*')) return words.some((word) => word.replace(/s$/, '').endsWith(entry.slice(1)));
    return words.includes(entry) || words.includes(`${entry}s`);
  });
}

/** "Ceratocystis platani": names are written small but for these. */
const SCIENTIFIC = /^\p{Lu}\p{Ll}+ \p{Ll}/u;

const asSpoken = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\s-]|(?<!\p{L})-|-(?!\p{L})/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** "Downy mildew of onion", the other way round: "onion downy mildew". */
const TURNED = /^([^,]+) (?:of|in|on)(?: the)? ([^,]+)$/;

/** A name in the forms a caller may say it in. */
export const spokenForms = (name: string): string[] => {
  const spoken = asSpoken(name);
  const [, what, where] = (/ and | or /.test(name) ? null : TURNED.exec(spoken)) ?? [];
  return what && where ? [spoken, `${where} ${what}`] : [spoken];
};

/**
 * Causes by the names callers call them; one name may be that of several, such as "rust". A name of several words counts only where one of them
 * names a creature, a disease or a disorder: who says "thick skin" tells what is seen, whatever the entry lists.
 */
export function claimable(edition: Edition): Map<string, Cause[]> {
  const byName = new Map<string, Cause[]>();
  const { seenNotNamed, naming } = edition.lexicon;
  const onlySeen = new Set(seenNotNamed);
  const isName = (name: string, proper: boolean): boolean =>
    !onlySeen.has(name) && (naming === undefined || proper || !name.includes(' ') || holds(name, naming));
  for (const cause of edition.causes) {
    if (cause.kind === 'normal') continue;
    const named = [cause.name, ...cause.also].filter((name) => isName(asSpoken(name), name !== cause.name && SCIENTIFIC.test(name)));
    for (const name of new Set(named.flatMap(spokenForms))) byName.set(name, [...(byName.get(name) ?? []), cause]);
  }
  return byName;
}

/** A name of one word counts in its own form, one or many: nobody who says "still green" claims greening. */
export const claimPattern = (name: string): string => (/[\s-]/.test(name) ? `=${name}` : `${name}!|${name}s!|${name.replace(/s$/, '')}!`);

/** Of the causes that share a name, the one that suits the plant and is met most; of equals, that with most hosts. */
export function likeliest(causes: readonly Cause[], plant: Plant | null): Cause | null {
  const weight = (cause: Cause) => hostWeight(cause, plant) * COMMONNESS_VALUES[cause.commonness];
  const hosts = (cause: Cause) => cause.hosts.include.length;
  const order = (a: Cause, b: Cause) => weight(b) - weight(a) || hosts(b) - hosts(a) || (a.id < b.id ? -1 : 1);
  return [...causes].sort(order)[0] ?? null;
}
