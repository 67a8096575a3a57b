/** Texts that are only words and how often they occur, packed by a word list they share; nearly a quarter smaller under brotli than the words themselves. */
export interface PackedBags {
  /** The word list, most frequent first. */
  words: string;
  /**
   * For each text its words as gaps between their places in the list, each with how often it stands there when more than once.
   * Null for none; `=` before a text that is no sorted bag.
   */
  bags: (string | null)[];
}

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

const wordsOf = (text: string): string[] => (text === '' ? [] : text.split(' '));
const isBag = (text: string): boolean => text === wordsOf(text).sort().join(' ');

function counted(words: readonly string[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);
  return counts;
}

export function packBags(texts: readonly (string | null)[]): PackedBags {
  const all = counted(texts.flatMap((text) => (text !== null && isBag(text) ? wordsOf(text) : [])));
  const list = [...all.keys()].sort((a, b) => all.get(b)! - all.get(a)! || (a < b ? -1 : 1));
  const places = new Map(list.map((word, place) => [word, place]));
  const pack = (text: string): string => {
    if (!isBag(text)) return `=${text}`;
    const placed = [...counted(wordsOf(text))].map(([word, times]) => ({ place: places.get(word)!, times })).sort((a, b) => a.place - b.place);
    return placed.map(({ place, times }, i) => inDigits(place - (placed[i - 1]?.place ?? -1) - 1) + (times > 1 ? String(times) : '')).join('');
  };
  return { words: list.join(' '), bags: texts.map((text) => text && pack(text)) };
}

export function unpackBags({ words, bags }: PackedBags): (string | null)[] {
  const list = words.split(' ');
  return bags.map((bag) => {
    if (!bag) return bag;
    if (bag.startsWith('=')) return bag.slice(1);
    let place = -1;
    const found = [...bag.matchAll(ENTRY)].flatMap(([, before = '', last = '', times = '']) => {
      place += fromDigits(before, last) + 1;
      return Array.from({ length: Number(times === '' ? 1 : times) }, () => list[place]!);
    });
    return found.sort().join(' ');
  });
}
