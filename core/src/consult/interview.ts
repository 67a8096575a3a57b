import type { Reading } from '../diagnosis/posterior.ts';
import type { ConsultInput, Consultant, Standing } from './consult.ts';

/** A question the engine put and what came back; null = the caller could not say. */
export interface Asked {
  finding: string;
  readings: Reading[] | null;
}

export interface Interview {
  asked: Asked[];
  /** What was known at the end. */
  input: ConsultInput;
  standing: Standing;
}

/** Whether asking on could still change what is named first; "same advice" alone is no reason to stop naming. */
const settled = ({ enough }: Standing): boolean => enough.enough && enough.because !== 'same-advice';

/**
 * Lets the engine ask until one cause stands out, nothing useful is left to ask, or it may ask no more.
 * @param answer what the caller says to a finding, or null for "don't know"
 * @param limit most questions to ask
 */
export function interview(consultant: Consultant, start: ConsultInput, answer: (finding: string) => Reading[] | null, limit: number): Interview {
  let input = start;
  let standing = consultant.consult(input);
  const asked: Asked[] = [];
  while (asked.length < limit && !settled(standing)) {
    const next = standing.questions[0];
    if (!next) break;
    const readings = answer(next.finding);
    asked.push({ finding: next.finding, readings });
    input = {
      ...input,
      readings: [...input.readings, ...(readings ?? [])],
      unanswered: readings === null ? [...input.unanswered, next.finding] : input.unanswered,
    };
    standing = consultant.consult(input);
  }
  return { asked, input, standing };
}
