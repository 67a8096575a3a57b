/** Digits of a gap. The last is of another alphabet than those before it, so that no gap needs a sign after it; figures are left for counts. */
const LAST = 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdef';
const BEFORE = 'ghijklmnopqrstuvwxyz!$%&()+-./:;';
const BASE = LAST.length;
const ENTRY = new RegExp(`([${BEFORE.replace(/[-/]/g, '\\$&')}]*)([${LAST}])(\\d*)`, 'g');

/** Every gap in one way: what stands before the last digit counts from one, so that no digits are wasted on noughts. */
function inDigits(gap: number): string {
  let digits = LAST.charAt(gap % BASE);
  for (let rest = Math.floor(gap / BASE); rest > 0; rest = Math.floor((rest - 1) / BASE)) digits = BEFORE.charAt((rest - 1) % BASE) + digits;
  return digits;
}

const fromDigits = (before: string, last: string): number =>
  [...before].reduce((rest, digit) => rest * BASE + BEFORE.indexOf(digit) + 1, 0) * BASE + LAST.indexOf(last);

/** How often each word stands among these. */
export function countWords(words: Iterable<string>): Map<string, number> {
  const counts = new Map<string, number>();
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);
  return counts;
}

/** Words whose counts differ by less than a quarter or so stand together: what their gaps lose the list gains by being alphabetical. */
const CLASSES_TO_THE_DOUBLE = 3;

/** The words in the order they are numbered in: the more frequent first, those of like frequency alphabetical. */
export function wordList(words: Iterable<string>): string[] {
  const counts = countWords(words);
  const frequency = (word: string) => Math.floor(Math.log2(counts.get(word)!) * CLASSES_TO_THE_DOUBLE);
  return [...counts.keys()].sort((a, b) => frequency(b) - frequency(a) || (a < b ? -1 : 1));
}

/** Sets of words written as gaps between their places in a list both sides have. */
export class WordCode {
  private readonly places: ReadonlyMap<string, number>;

  constructor(private readonly list: readonly string[]) {
    this.places = new Map(list.map((word, place) => [word, place]));
  }

  /** Words with how often each stands there, in letters, figures for counts above one, and `!$%&()+-./:;`. @throws RangeError for a word that is not in the list */
  write(counts: ReadonlyMap<string, number>): string {
    const placed = [...counts]
      .map(([word, times]) => {
        const place = this.places.get(word);
        if (place === undefined) throw new RangeError(`"${word}" is not in the word list`);
        return { place, times };
      })
      .sort((a, b) => a.place - b.place);
    return placed.map(({ place, times }, i) => inDigits(place - (placed[i - 1]?.place ?? -1) - 1) + (times > 1 ? String(times) : '')).join('');
  }

  /** The words again with how often each stood there, in the order of the list. */
  counts(written: string): Map<string, number> {
    let place = -1;
    return new Map(
      [...written.matchAll(ENTRY)].map(([, before = '', last = '', times = '']) => {
        place += fromDigits(before, last) + 1;
        return [this.list[place]!, Number(times === '' ? 1 : times)];
      }),
    );
  }

  /** The words again, sorted, each as often as it stood there. */
  read(written: string): string[] {
    return [...this.counts(written)].flatMap(([word, times]) => Array.from({ length: times }, () => word)).sort();
  }
}
