import type { Reading } from '../edition/reading.ts';
import type { ConsultInput, Consultant, Standing } from './consult.ts';
import type { Openly } from './openly.ts';

/** A question the engine put and what came back; null = the caller could not say. */
export interface Asked {
  /** Null for one that was put openly. */
  finding: string | null;
  readings: Reading[] | null;
}

export interface Interview {
  asked: Asked[];
  /** What was known at the end. */
  input: ConsultInput;
  standing: Standing;
}

/** Who is asked. */
export interface Caller {
  /** What is said to a finding, or null for "don't know". */
  answer: (finding: string) => Reading[] | null;
  /** What is told when asked openly, or null for nothing; left out by one who cannot be asked so. */
  tell?: (openly: Openly) => Reading[] | null;
}

/** Whether asking on could still change what is named first; "same advice" alone is no reason to stop naming. */
const settled = ({ enough }: Standing): boolean => enough.enough && enough.because !== 'same-advice';

/**
 * Lets the engine ask until one cause stands out, nothing useful is left to ask, or it may ask no more. Openly it asks until the caller has nothing more to tell.
 * @param limit most questions to ask
 */
export function interview(consultant: Consultant, start: ConsultInput, { answer, tell }: Caller, limit: number): Interview {
  let input = start;
  let standing = consultant.consult(input);
  let allTold = false;
  const asked: Asked[] = [];
  const told = (readings: Reading[]): ConsultInput => ({ ...input, readings: [...input.readings, ...readings], inVain: 0 });
  while (asked.length < limit && !settled(standing)) {
    const { openly, questions } = standing;
    if (openly && tell && !allTold) {
      const readings = tell(openly);
      asked.push({ finding: null, readings });
      if (readings) input = told(readings);
      else allTold = true;
    } else {
      const finding = questions[0]?.finding;
      if (finding === undefined) break;
      const readings = answer(finding);
      asked.push({ finding, readings });
      input = readings ? told(readings) : { ...input, unanswered: [...input.unanswered, finding], inVain: (input.inVain ?? 0) + 1 };
    }
    standing = consultant.consult(input);
  }
  return { asked, input, standing };
}
