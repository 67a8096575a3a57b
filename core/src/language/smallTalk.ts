import { wordsOf, type Token } from './tokens.ts';

const PEOPLE =
  'husband wife partner neighbour neighbours neighbor neighbors friend friends mother mum mom father dad parents daughter son sister brother aunt uncle cousin ' +
  'grandmother grandfather granny grandma grandad grandpa nan grandchildren grandson granddaughter kids girl lady man chap boss landlord tenants colleague ' +
  'committee council club church school he she her his hers him you your';
const THE_CALL =
  'call calling called ring rang ringing phone phoned telephone number email mail letter write writing wrote picture pictures photo photos photograph photographs ' +
  'attach attached send sent show advice advise help helpful helps thank thanks grateful appreciate appreciated regards sorry describe explain question questions ' +
  'ask asking asked internet google website forum online';
const THE_CALLER =
  'gardener gardening beginner novice expert afraid deaf retired moved live lived living anniversary wedding birthday present gift holiday fortune cost expensive ' +
  'prefer chemicals organic';
const PERSONAL = wordsOf([PEOPLE, THE_CALL, THE_CALLER].join(' '));

const breathOf = ({ clause, breath }: Token): string => `${clause}.${breath}`;

/**
 * Words that are of people, the call or the caller, and no way of putting what ails a plant: "my wife said to ring you". A breath is, where it has such a
 * word or asks something, and nothing in it tells of the plant.
 * @param tells true for a word by which something of the plant is told
 */
export function smallTalkIn(tokens: readonly Token[], tells: (token: Token, i: number) => boolean): boolean[] {
  const personal = new Set(tokens.filter(({ word, asking }) => asking || PERSONAL.has(word)).map(breathOf));
  const telling = new Set(tokens.filter(tells).map(breathOf));
  return tokens.map((token) => personal.has(breathOf(token)) && !telling.has(breathOf(token)));
}
