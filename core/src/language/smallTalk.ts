import { FOLK } from './supposed.ts';
import { wordsOf, type Token } from './tokens.ts';

const PEOPLE =
  'husband wife partner friends mom parents grandmother grandfather granny grandma grandad grandpa nan grandchildren grandson granddaughter kids girl lady man ' +
  'chap boss landlord tenants committee council club church school he she her his him';
/** What a "you" says of the plant ("you can rub it off") is no small talk, so it is not among these. */
const THE_CALL =
  'call calling called ring rang ringing phone phoned telephone number email mail letter write writing wrote picture pictures photo photos photograph photographs ' +
  'attach attached send sent advice advise help helpful helps thank thanks grateful appreciate appreciated regards sorry describe explain question questions ' +
  'ask asking asked internet google website forum online';
const THE_CALLER =
  'gardener gardening beginner novice expert afraid deaf retired anniversary wedding birthday present gift fortune cost expensive prefer chemicals organic';
const SPEAKER = wordsOf('i we they');
const PERSONAL: ReadonlySet<string> = new Set([...FOLK, ...wordsOf([PEOPLE, THE_CALL, THE_CALLER].join(' '))]);

/** "We only moved in two years ago", of the caller; "I moved it in" is of the plant. */
function movedHouse(tokens: readonly Token[], i: number): boolean {
  const [before, just] = [tokens[i - 2]?.word ?? '', tokens[i - 1]?.word ?? ''];
  const isOfThem = SPEAKER.has(just) || (SPEAKER.has(before) && /^(only|just|have|had)$/.test(just));
  return tokens[i]!.word === 'moved' && isOfThem && /^(in|here|house)$/.test(tokens[i + 1]?.word ?? '');
}

/** "A bag with a twig": what was brought, not what it looks like. */
const isBrought = (tokens: readonly Token[], i: number): boolean =>
  /^(bag|jar|envelope|parcel)$/.test(tokens[i]!.word) && /^(with|of)$/.test(tokens[i + 1]?.word ?? '');

const breathOf = ({ clause, breath }: Token): string => `${clause}.${breath}`;

/**
 * Words that are of people, the call or the caller, and no way of putting what ails a plant: "my wife said to ring you". A breath is, where it has such a
 * word or asks something, and nothing in it tells of the plant or names a part of it.
 * @param tells true at a word by which something of the plant is told
 */
export function smallTalkIn(tokens: readonly Token[], tells: (i: number) => boolean, isPart: (token: Token) => boolean): boolean[] {
  const breathsWhere = (is: (token: Token, i: number) => boolean): ReadonlySet<string> => new Set(tokens.filter(is).map(breathOf));
  const personal = breathsWhere(({ word, asking }, i) => asking || PERSONAL.has(word) || movedHouse(tokens, i));
  const brought = breathsWhere((_, i) => isBrought(tokens, i));
  const telling = breathsWhere((_, i) => tells(i));
  const ofParts = breathsWhere(isPart);
  return tokens.map((token) => {
    const breath = breathOf(token);
    return !telling.has(breath) && (brought.has(breath) || (personal.has(breath) && !ofParts.has(breath)));
  });
}
