import { readFileSync } from 'node:fs';
import { careAnswers } from '@sounding/core/consult/careAnswers.ts';
import { OF_THE_CAUSE } from '@sounding/core/edition/care.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { WHOLE_CARD } from '@sounding/core/language/careQuestions.ts';
import type { Understander } from '@sounding/core/language/understand.ts';

/** A question of care of our own writing, the plant it is about (null for none of ours) and the topic that answers it. */
interface CareLine {
  say: string;
  host: string | null;
  topic: string;
}

export interface CareScore {
  lines: number;
  /** Share in which the plant was read. */
  host: number;
  /** Share answered at all, with the topic or the whole card. */
  answered: number;
  /** Share answered on the right topic. */
  topic: number;
}

/** @param part the questions used for mending, or those put aside */
export function scoreCare(understander: Understander, edition: Edition, part: 'care' | 'care-aside'): CareScore {
  const text = readFileSync(new URL(`../../knowledge/callers/${part}.jsonl`, import.meta.url), 'utf8');
  const lines = text
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as CareLine);
  const results = lines.map(({ say, host, topic }) => {
    const understood = understander.understand([say]);
    // what a cause answers is heard in its topic; with no call around it there is no cause yet
    const ofCause = understood.care.flatMap(({ topic: heard }) => (OF_THE_CAUSE.has(heard) ? [heard] : []));
    const topics = [...careAnswers(edition, understood.host, understood.care).map((answer) => answer.topic), ...ofCause];
    const whole = understood.care.some((question) => question.topic === WHOLE_CARD);
    return { host: (understood.host?.id ?? null) === host, answered: topics.length > 0, topic: !whole && topics.includes(topic) };
  });
  const share = (of: 'host' | 'answered' | 'topic') => results.filter((result) => result[of]).length / lines.length;
  return { lines: lines.length, host: share('host'), answered: share('answered'), topic: share('topic') };
}
