import type { Cause } from '../edition/causes.ts';
import type { Edition } from '../edition/edition.ts';
import { stemOf } from '../language/tokens.ts';

/** Words that tell nothing between two names. */
const SMALL = new Set('a an and at by due for from in not of on or the to with'.split(' '));

/** Two names as alike as this are the same thing in other words. */
const ALIKE = 0.75;
/** Among what can befall the plant of the call there is less to be taken for another. */
const ALIKE_HERE = 0.5;
/** What is hardly less alike than the best is taken with it. */
const AS_GOOD = 0.05;

interface Known {
  id: string;
  stems: Set<string>;
}

/**
 * Finds causes by names nobody listed that share nearly all their telling words with one that is: "insufficient winter chill" for
 * "insufficient winter chilling". Cosine of the stems, each weighed by how few causes have it (inverse document frequency, Salton & Buckley 1988).
 */
export class NearNames {
  private readonly known: Known[];
  private readonly causesWith = new Map<string, number>();
  /** A plant two names have in common is no likeness: wilt of asters is not their yellows. */
  private readonly ofPlants: ReadonlySet<string>;

  /** @param namesOf the names of a cause, in small letters without points and accents */
  constructor(
    private readonly edition: Edition,
    namesOf: (cause: Cause) => readonly string[],
  ) {
    this.known = edition.causes.flatMap((cause) => namesOf(cause).map((name) => ({ id: cause.id, stems: this.stemsOf(name) })));
    this.ofPlants = new Set(edition.plants.flatMap(({ name }) => [...this.stemsOf(name.toLowerCase())]));
    const byCause = new Map<string, Set<string>>();
    for (const { id, stems } of this.known) byCause.set(id, new Set([...(byCause.get(id) ?? []), ...stems]));
    for (const stems of byCause.values()) for (const stem of stems) this.causesWith.set(stem, (this.causesWith.get(stem) ?? 0) + 1);
  }

  private stemsOf(name: string): Set<string> {
    const words = name.split(' ').filter((word) => word !== '' && !SMALL.has(word));
    return new Set(words.map((word) => stemOf(word, this.edition.lexicon.irregular)));
  }

  private mass(stems: Iterable<string>): number {
    let sum = 0;
    for (const stem of stems) sum += Math.log((this.edition.causes.length + 1) / ((this.causesWith.get(stem) ?? 0) + 0.5)) ** 2;
    return sum;
  }

  /**
   * Ids of the causes with a name as near as any; none where none is near.
   * @param name in small letters without points and accents
   * @param here the causes that can befall the plant of the call, when only these are looked through: a looser likeness is enough
   */
  find(name: string, here?: ReadonlySet<string>): string[] {
    const wanted = this.stemsOf(name);
    const size = this.mass(wanted);
    const likeness = new Map<string, number>();
    for (const { id, stems } of this.known) {
      if (here && !here.has(id)) continue;
      const shared = [...stems].filter((stem) => wanted.has(stem));
      if (shared.some((stem) => !this.ofPlants.has(stem)))
        likeness.set(id, Math.max(likeness.get(id) ?? 0, this.mass(shared) / Math.sqrt(size * this.mass(stems))));
    }
    const best = Math.max(0, ...likeness.values());
    return best < (here ? ALIKE_HERE : ALIKE) ? [] : [...likeness].filter(([, alike]) => alike >= best - AS_GOOD).map(([id]) => id);
  }
}
