import { distance } from 'fastest-levenshtein';

/** Shorter words are too near each other to put a wrong letter right. */
const LEAST_TO_MEND = 5;
/** Two letters changed places: a slip of quick fingers, told even in short words. */
const LEAST_TO_TURN = 4;

/** Slips beyond that are sought anew. */
const MOST_KEPT = 10_000;

/** The words that slips of the pen are put right by. */
export class Spelling {
  private readonly counts = new Map<string, number>();
  /** Words by their first two letters and their length. */
  private readonly byStart = new Map<string, string[]>();
  /** What was found before. */
  private readonly mended = new Map<string, string | null>();

  /** @param words every word as often as it is met: the commoner of two is meant */
  constructor(words: Iterable<string>) {
    for (const word of words) if (word.length >= LEAST_TO_TURN) this.counts.set(word, (this.counts.get(word) ?? 0) + 1);
    for (const word of this.counts.keys()) {
      const start = word.slice(0, 2) + word.length;
      const known = this.byStart.get(start);
      if (known) known.push(word);
      else this.byStart.set(start, [word]);
    }
  }

  private commonest(words: readonly string[]): string | null {
    return words.reduce<string | null>((best, word) => (best === null || this.counts.get(word)! > this.counts.get(best)! ? word : best), null);
  }

  /** The known word that an unknown one is a slip of: two letters turned round, or one wrong, left out or too many; null where none is so near. */
  mend(word: string): string | null {
    const known = this.mended.get(word);
    if (known !== undefined) return known;
    const meant = this.sought(word);
    if (this.mended.size < MOST_KEPT) this.mended.set(word, meant);
    return meant;
  }

  private sought(word: string): string | null {
    if (word.length < LEAST_TO_TURN) return null;
    const turned = Array.from({ length: word.length - 1 }, (_, i) => word.slice(0, i) + word[i + 1]! + word[i]! + word.slice(i + 2));
    const meant = this.commonest(turned.filter((other) => this.counts.has(other)));
    if (meant !== null || word.length < LEAST_TO_MEND) return meant;
    const near = [-1, 0, 1].flatMap((longer) => this.byStart.get(word.slice(0, 2) + (word.length + longer)) ?? []);
    return this.commonest(near.filter((other) => distance(other, word) === 1));
  }
}
