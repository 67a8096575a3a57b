import type { Match, Meaning } from './meaning.ts';
import type { PhraseBook } from './phrases.ts';
import { sameBreath, type Token } from './tokens.ts';

/** Words of the next breath or sentence in which it may still be told of what kind a thing is. */
const REACH = 8;

/** True for a phrase that says something is there, but not of what kind: "spots on the leaves". */
const saysOnlyThere = ({ value }: Match): boolean => value.kind === 'finding' && value.answer === `not:${value.finding.absent}`;

/** Another answer of the same finding. */
const tellsKind = (there: Meaning, { value }: Match): boolean =>
  there.kind === 'finding' &&
  value.kind === 'finding' &&
  value.finding === there.finding &&
  value.answer !== there.answer &&
  value.answer !== there.finding.absent;

const NONE_PASSED: ReadonlySet<number> = new Set();

/** Indexes of the words behind the breath of a phrase, up to the next part of the plant. */
function behind(tokens: readonly Token[], last: number, isPart: (token: Token) => boolean): number[] {
  const from = tokens.findIndex((token, i) => i > last && !sameBreath(token, tokens[last]!));
  if (from < 0) return [];
  const indexes = tokens.map((_, i) => i).slice(from, from + REACH);
  const end = indexes.findIndex((i) => tokens[i]!.clause !== tokens[from]!.clause || isPart(tokens[i]!));
  return end < 0 ? indexes : indexes.slice(0, end);
}

/**
 * Phrases that tell of what kind a thing is behind the breath or sentence that only named it: "spots on the leaves. They are round and purple".
 * @param matches phrases met within the clauses
 */
export function toldBehind(
  book: PhraseBook<Meaning>,
  tokens: readonly Token[],
  matches: readonly Match[],
  isPart: (token: Token) => boolean,
): Match[] {
  return matches.filter(saysOnlyThere).flatMap(({ at, value: there }) => {
    const further = behind(tokens, at[at.length - 1]!, isPart);
    if (further.length === 0) return [];
    const indexes = [...at, ...further];
    const joined = indexes.map((i) => ({ ...tokens[i]!, clause: 0, breath: 0 }));
    // where the breath itself says of what kind as well, its words keep phrases out: "brown at the bottom, leathery" is no leathery shoulder
    const isTold = matches.some((match) => tellsKind(there, match) && match.at.some((i) => at.includes(i)));
    const beside = isTold ? tokens.filter((token, i) => !at.includes(i) && sameBreath(token, tokens[at[0]!]!)) : [];
    return book
      .matches(joined, NONE_PASSED, beside)
      .map((match) => ({ ...match, at: match.at.map((k) => indexes[k]!), beside: match.beside.map((k) => indexes[k]!) }))
      .filter((match) => tellsKind(there, match) && match.at.some((i) => at.includes(i)) && match.at.some((i) => further.includes(i)));
  });
}
