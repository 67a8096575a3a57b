import { ASKED, asksOpinion, isVerdict, takesForGranted } from './asking.ts';
import { isUnknown } from './granted.ts';
import type { Match } from './meaning.ts';
import type { Token } from './tokens.ts';

/** "Is it dying?" is a worry, not something seen. */
const WONDERS =
  /^(is|are|was) (it|this|that|they|these|the|my|our)\b|^(could|will|would|can|might) (it|this|that|they)\b|^(should|do|does|shall) (i|we)\b/;
/** "Can it be saved if the bark is gone": it is gone. What the asker may do is left open: "will it die if I overwater". */
const isCondition = (tokens: readonly Token[], at: readonly number[]): boolean =>
  tokens.some(
    ({ word, clause }, i) =>
      /^(if|when|because)$/.test(word) &&
      !ASKED.test(tokens[i - 1]?.word ?? '') &&
      clause === tokens[at[0]!]!.clause &&
      !/^(i|we|you|do|does|should|shall|can|will)$/.test(tokens[i + 1]?.word ?? '') &&
      at.every((k) => k > i),
  );

/** Asks of what is to come, with or without its mark: "is it going to flower this year", "when do I have to spray". */
const TO_COME =
  '(is|are) (it|they|this|that|(the|my) \\w+) going to|will (it|they|this|that|the|my)|(if|whether) (it|they|this|that) (will|is going to|are going to)';
const TO_DO =
  '(when|where|how (often|much|soon|long)) (do|does|should|shall|can|will|must|could) (i|we|it|they|she|he|you)|(should|shall|must|can|could) (i|we|they|she|he)|do (i|we)';
/** Written down as asked: "she asks, too, will it flower". */
const PREFACE = '^(and |but |so |also |then |now |she |he |they |asks |asked |is asking |wants to know |wonders |if |whether )*';
const LOOKS_AHEAD = new RegExp(`${PREFACE}(${TO_COME}|${TO_DO}) `);
const OF_WHAT_COMES = new RegExp(`${PREFACE}(${TO_COME}) `);

/** "Is it dying": asked, though nobody wrote its mark. */
const BEGINS_ASKING = /^(and |but |so )?(is|are|could|might|would|can) (it|they|this|that|these|those) /;

/** A breath too short to tell anything of its own. */
const SHORT_BREATH = 2;
/** "Is it mites, or thrips?" wonders on; "is it the frost, the leaves are brown?" tells. */
const goesOn = (breath: readonly Token[]): boolean => breath.length <= SHORT_BREATH || /^(or|and|maybe|perhaps)$/.test(breath[0]!.word);

const spoken = (words: readonly Token[]): string => words.map(({ word }) => word).join(' ');

/** True for words of a breath that asks what is to come: no way of putting what is seen. */
export function asksWhatComes(tokens: readonly Token[], { clause, breath }: Token): boolean {
  return OF_WHAT_COMES.test(spoken(tokens.filter((token) => token.clause === clause && token.breath === breath)));
}

/** True for a phrase in a clause that only wonders whether it is so. */
export function isWondered(tokens: readonly Token[], { value, at }: Match): boolean {
  const here = tokens[at[0]!]!;
  const clause = tokens.filter((token) => token.clause === here.clause);
  if (at.some((i) => isUnknown(tokens, i))) return value.kind === 'finding';
  const breath = clause.filter((token) => token.breath === here.breath);
  const wonders = (words: readonly Token[]) => WONDERS.test(spoken(words.slice(0, 2)));
  // "it has silvery bits, is that the mildew" asks though nobody wrote its mark
  const asks = here.asking || clause.some((token) => token.breath < here.breath);
  const isAsked =
    LOOKS_AHEAD.test(spoken(breath)) ||
    BEGINS_ASKING.test(spoken(breath)) ||
    (asks && wonders(breath)) ||
    (here.asking && wonders(clause) && goesOn(breath));
  if (value.kind !== 'finding' || !isAsked) return false;
  if (at.some((i) => isVerdict(tokens[i]!))) return true;
  const before = tokens.slice(0, at[0]).filter((token) => token.clause === here.clause && token.breath === here.breath);
  return !asksOpinion(clause) && !isCondition(tokens, at) && !takesForGranted(before);
}
