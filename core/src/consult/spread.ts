import type { Cause, CauseKind } from '../edition/causes.ts';
import type { Edition } from '../edition/edition.ts';
import { hostWeight } from '../edition/hosts.ts';
import { inSentence } from '../edition/names.ts';
import type { Plant } from '../edition/plants.ts';

/** How what lives gets from plant to plant, as a rule for its kind. Memory. */
const ROUTES: Partial<Record<CauseKind, string>> = {
  fungus: 'by spores in splash, wind or soil, and on hands and blades',
  oomycete: 'by spores in splash and wet soil, and on tools and boots',
  // one kind for blights, which splash, and for what lives in the sap, which insects carry
  bacterium: 'in splashing water or with sap-sucking insects, on blades, and in cuttings and young plants',
  virus: 'with sap-sucking insects, on hands and blades, and in cuttings and bulbs',
  nematode: 'with soil, water, tools and young plants, some with insects',
  insect: 'as the insects fly or crawl across, or come in with a plant',
  mite: 'on the wind, on hands and clothes, and with plants',
  mollusc: 'as they crawl to whatever they like',
};

/** What catches nothing, or goes its own way. */
const NOTHING_LIVING = 'No: nothing passes from plant to plant. Others show it only where they meet with the same.';
const OTHERWISE: Partial<Record<CauseKind, string>> = {
  normal: 'No: there is nothing to catch.',
  animal: 'It is no sickness. The animal goes wherever it finds what it likes.',
  plant: 'It is a plant of its own: it comes by seed, spores, runners or bits of root.',
};

/** More kinds of hosts than these are no list for anybody. */
const MOST_NAMED = 4;
const MANY = 40;

const listed = (names: readonly string[]): string => (names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)!}`);

/** What else it takes, the plants it likes best first. */
function hostsLine(edition: Edition, cause: Cause, plant: Plant | null): string {
  const weighed = edition.plants
    .filter((other) => !other.generic && other.id !== plant?.id)
    .map((other) => ({ name: inSentence(other.name), weight: hostWeight(cause, other) }))
    .filter(({ weight }) => weight > 0)
    .sort((a, b) => b.weight - a.weight);
  if (weighed.length === 0) return 'We know of no other kind of plant that gets it.';
  if (weighed.length > MANY) return 'It takes many kinds of plants.';
  const named = weighed.slice(0, MOST_NAMED).map(({ name }) => name);
  const more = weighed.length - named.length;
  const also = plant ? 'It also takes' : 'It takes';
  return more > 0 ? `${also} ${named.join(', ')} and ${more} more we know of.` : `${also} ${listed(named)}, and no other kind we know of.`;
}

/** Whether and how a cause passes from plant to plant, whichever they are. */
export function howItSpreads(cause: Cause): string {
  const route = ROUTES[cause.kind];
  return cause.spreads ?? (route === undefined ? (OTHERWISE[cause.kind] ?? NOTHING_LIVING) : `Yes, ${route}.`);
}

/** The same with the plants it takes, for the call about one of them: what callers ask next. */
export const spreadLine = (edition: Edition, cause: Cause, plant: Plant | null): string =>
  cause.spreads === undefined && ROUTES[cause.kind] !== undefined
    ? `${howItSpreads(cause)} ${hostsLine(edition, cause, plant)}`
    : howItSpreads(cause);
