import type { Channel } from './findings.ts';

/** One report about one finding. `answer` is an answer id, or "not:ID" when all that is known is what it is not. */
export interface Reading {
  finding: string;
  answer: string;
  channel: Channel;
}
