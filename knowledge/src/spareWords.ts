import type { Lexicon } from '@sounding/core/edition/lexicon.ts';
import { inWordOrder } from '@sounding/core/edition/phraseLines.ts';
import { compileTerm } from '@sounding/core/language/phrases.ts';
import { stemOf } from '@sounding/core/language/tokens.ts';

type Talk = Pick<Lexicon, 'classes' | 'irregular'>;

/** True where all that one alternative takes is taken by others: "spots" beside "spot", "brown" beside its class, "fluffy*" beside "fluff*". */
function isSpare(alternative: string, others: readonly string[], talk: Talk): boolean {
  const own = compileTerm(alternative, talk);
  const rest = compileTerm(others.join('|'), talk);
  const begins = (word: string) => rest.beginnings.some((start) => word.startsWith(start));
  return (
    [...own.stems].every((stem) => rest.stems.has(stem)) &&
    [...own.exact].every((word) => rest.exact.has(word) || rest.stems.has(stemOf(word, talk.irregular)) || begins(word)) &&
    own.beginnings.every(begins)
  );
}

const isClass = (alternative: string): boolean => alternative.startsWith('{');

function withoutSpare(place: string, talk: Talk): string {
  const [, sign = '', words = ''] = /^([=~+-]?)(.*)$/.exec(place)!;
  const alternatives = words.split('|');
  // a class nobody knows is the lint's to name
  if (alternatives.length === 1 || alternatives.some((one) => isClass(one) && !talk.classes[one.slice(1, -1)])) return place;
  // words go before classes, and of two words the longer
  const order = [...new Set(alternatives)].sort((a, b) => Number(isClass(a)) - Number(isClass(b)) || b.length - a.length || (a < b ? -1 : 1));
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
