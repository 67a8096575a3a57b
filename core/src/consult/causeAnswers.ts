import type { Cause } from '../edition/causes.ts';
import { OUTLOOK, REMEDY, SPREAD } from '../edition/care.ts';
import type { Edition } from '../edition/edition.ts';
import type { Plant } from '../edition/plants.ts';
import type { CareQuestion } from '../language/careQuestions.ts';
import type { CareAnswer } from './careAnswers.ts';
import type { Standing } from './consult.ts';
import { whenSaid } from '../treatment/whenSaid.ts';
import { spreadLine } from './spread.ts';

/** The cause the advice stands on; null while it stands on none. */
export const causeNamed = ({ causes }: Pick<Edition, 'causes'>, { decision, candidates }: Pick<Standing, 'decision' | 'candidates'>): Cause | null =>
  (decision.firm && causes.find(({ id }) => id === candidates[0]?.cause)) || null;

/** What is advised and when, in the words of its option; why nothing is to be done where none was chosen. Leaving it alone has no time. */
function remedyLine({ decision, options }: Pick<Standing, 'decision' | 'options'>): string {
  const chosen = options.find(({ option }) => option.id === decision.option);
  if (!chosen) return decision.why;
  const { title, how, act } = chosen.option;
  return act === 'leave' ? `${title}: ${how}` : `${title} (${whenSaid(chosen.timing)}): ${how}`;
}

/** What callers ask about the trouble itself, in the order they ask it. */
const LINES: Record<string, (edition: Edition, cause: Cause, standing: Standing, plant: Plant | null) => string> = {
  [OUTLOOK]: (_, { worth }) => worth,
  [REMEDY]: (_, __, standing) => remedyLine(standing),
  [SPREAD]: (edition, cause, _, plant) => spreadLine(edition, cause, plant),
};

/** Answers that only repeat the advice: of use beside the question at the desk, not in a letter that gives the advice anyway. */
export const isInTheAdvice = ({ topic }: CareAnswer): boolean => topic === OUTLOOK || topic === REMEDY;

/**
 * The answers of the plant's card with what the cause, once the advice stands on one, says to what was asked about the trouble itself: whether it
 * spreads, matters, and what is done about it. Until then what holds in general stays.
 * @param answers from careAnswers, to these questions
 */
export function withTheCause(
  answers: readonly CareAnswer[],
  questions: readonly CareQuestion[],
  edition: Edition,
  standing: Standing | null,
  plant: Plant | null,
): CareAnswer[] {
  const cause = standing && causeNamed(edition, standing);
  const said = ({ plant: whose, topic, answer, urgent }: CareAnswer): CareAnswer => ({ plant: whose, topic, answer, ...(urgent && { urgent }) });
  if (!cause) return answers.map(said);
  const ofCards = answers.filter(({ topic, orCause }) => !orCause && LINES[topic] === undefined);
  const ofCause = [...new Set(questions.map(({ topic }) => topic))].flatMap((topic): CareAnswer[] => {
    const line = LINES[topic]?.(edition, cause, standing, plant);
    return line ? [{ plant: cause.name, topic, answer: line }] : [];
  });
  const urgent = ofCards.filter((one) => one.urgent);
  return [...urgent, ...ofCause, ...ofCards.filter((one) => !one.urgent)].map(said);
}
