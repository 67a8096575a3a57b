import type { Lexicon } from '@sounding/core/edition/edition.ts';
import { inWordOrder } from '@sounding/core/edition/phraseLines.ts';
import { stemOf } from '@sounding/core/language/tokens.ts';

type Talk = Pick<Lexicon, 'classes' | 'irregular'>;

/** What an alternative of a phrase takes: stems, exact words, beginnings. */
interface Taken {
  stems: Set<string>;
  exact: Set<string>;
  beginnings: Set<string>;
}

function takenBy(alternatives: readonly string[], { classes, irregular }: Talk): Taken {
  const taken: Taken = { stems: new Set(), exact: new Set(), beginnings: new Set() };
  const add = (word: string): void => {
    const members = /^\{(.+)\}$/.exec(word)?.[1];
    if (members !== undefined) classes[members]?.forEach(add);
    else if (word.endsWith('*')) taken.beginnings.add(word.slice(0, -1));
    else if (word.endsWith('!')) taken.exact.add(word.slice(0, -1));
    else taken.stems.add(stemOf(word, irregular));
  };
  alternatives.forEach(add);
  return taken;
}

/** True where all that one alternative takes is taken by others: "spots" beside "spot", "brown" beside its class, "fluffy*" beside "fluff*". */
function isSpare(alternative: string, others: readonly string[], talk: Talk): boolean {
  const own = takenBy([alternative], talk);
  const rest = takenBy(others, talk);
  const begins = (word: string) => [...rest.beginnings].some((start) => word.startsWith(start));
  return (
    [...own.stems].every((stem) => rest.stems.has(stem)) &&
    [...own.exact].every((word) => rest.exact.has(word) || rest.stems.has(stemOf(word, talk.irregular)) || begins(word)) &&
    [...own.beginnings].every(begins)
  );
}

const isClass = (alternative: string): boolean => alternative.startsWith('{');

function withoutSpare(place: string, talk: Talk): string {
  const [, sign = '', words = ''] = /^([=~-]?)(.*)$/.exec(place)!;
  if (!words.includes('|')) return place;
  // words go before classes, and of two words the longer
  const order = [...new Set(words.split('|'))].sort((a, b) => Number(isClass(a)) - Number(isClass(b)) || b.length - a.length || (a < b ? -1 : 1));
  const kept = order.reduce((left, one) => {
    const others = left.filter((word) => word !== one);
    return others.length > 0 && isSpare(one, others, talk) ? others : left;
  }, order);
  return sign + kept.join('|');
}

/**
 * A phrase without the alternatives that take nothing others of the same place do not: people write "spot|spots|{brown}|brown", and an edition that travels
 * is two kilobytes shorter without them. It matches the same words.
 */
export const withoutSpareWords = (phrase: string, talk: Talk): string =>
  inWordOrder(
    phrase
      .split(' ')
      .map((place) => withoutSpare(place, talk))
      .join(' '),
  );
