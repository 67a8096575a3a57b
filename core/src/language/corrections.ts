import type { Match } from './meaning.ts';
import type { PlantMention } from './mentions.ts';
import type { Token } from './tokens.ts';

/** Words by which what was just said is taken back. */
const TAKING_BACK = [
  'no wait',
  'wait no',
  'no sorry',
  'sorry no',
  'i mean',
  'i meant',
  'no actually',
  'actually no',
  'correction',
  'scratch that',
].map((words) => words.split(' '));
/** "Sorry, I mean": words that may stand before, where a whole utterance takes back what went before it. */
const MOST_BEFORE = 1;

/** Where something is taken back. */
const takenBackAt = (tokens: readonly Token[]): number[] =>
  tokens.flatMap((_, i) => (TAKING_BACK.some((words) => words.every((word, k) => tokens[i + k]?.word === word)) ? [i] : []));

/** True for words that take back what was said before them: "no wait, it is the top leaves". */
export const takesBack = (tokens: readonly Token[]): boolean => takenBackAt(tokens).some((at) => at <= MOST_BEFORE);

/** Words from a taking back to the plant that is meant. */
const TO_THE_PLANT = 5;

/** Mentions, where the one before "no sorry, I mean my lawn" is another than the call is about. */
export function withoutTakenBackPlants(mentions: readonly PlantMention[], tokens: readonly Token[]): PlantMention[] {
  const marks = takenBackAt(tokens);
  const named = (mark: number) =>
    mentions.find(({ plant, at, nearby }) => !nearby && !plant.generic && at[0]! > mark && at[0]! <= mark + TO_THE_PLANT);
  return mentions.map((one) => {
    const isTakenBack = marks.some((mark) => one.at.at(-1)! < mark && (named(mark)?.plant ?? one.plant) !== one.plant);
    return isTakenBack ? { ...one, nearby: true } : one;
  });
}

/** What was told, without what was taken back by another word on the same finding: "the lower leaves, I mean the upper ones". */
export function withoutTakenBack(told: readonly Match[], tokens: readonly Token[]): Match[] {
  const marks = takenBackAt(tokens);
  /** Another answer to the same question; that something or other is amiss takes no answer back. */
  const answersAnew = (one: Match, { value }: Match): boolean =>
    one.value.kind === 'finding' && value.kind === 'finding' && one.value.finding === value.finding && !value.answer.startsWith('not:');
  return told.filter(
    (match) =>
      !marks.some((mark) => match.at.every((i) => i < mark) && told.some((later) => answersAnew(match, later) && later.at.every((i) => i > mark))),
  );
}
