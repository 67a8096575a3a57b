import type { Channel, Finding } from '../edition/edition.ts';

/** A yes at the beginning; a no that stands by itself, not one that belongs to the next word ("no webs"). */
const SAYS_YES = /^\s*(yes|yeah|yep|aye|yup|definitely|certainly|absolutely|correct)\b|^\s*(a bit|a little)\s*($|[,.;!])/i;
const SAYS_NO =
  /^\s*(no|nope|nah|none|never|not really|not at all|nothing|not that i can see)\s*($|[,.;:!–-]|\b(it|they|i|there|she|he|we|nothing|none|not)\b)/i;
const ANSWER_WORD = /^(yes|yeah|yep|aye|yup|no|nope|nah|definitely|certainly|absolutely|correct)$/i;
const UNKNOWN_ANSWER =
  /\b(do not know|don'?t know|no idea|not sure|could ?n[o']?t (say|tell)|can ?no?t (say|tell)|have ?n[o']?t (looked|checked))\b/i;
const DOUBT = /\b(a bit|maybe|i think|perhaps|sort of|probably)\b/i;
/** What a question begins with before the thing it asks for: "are there any insects" – "no" says "no insects". */
const ASKS_WHETHER = /^.*?\b(any|some)\s+/i;

/** True for talk that answers the question before it rather than telling something new. */
export const answersQuestion = (say: string): boolean => SAYS_YES.test(say) || SAYS_NO.test(say);

/** Yes, no, not known, or something else that has to be read. */
export function answerIn(say: string): 'yes' | 'no' | 'unknown' | 'other' {
  if (UNKNOWN_ANSWER.test(say)) return 'unknown';
  if (SAYS_YES.test(say)) return 'yes';
  return SAYS_NO.test(say) ? 'no' : 'other';
}

export const isAnswerWord = (word: string): boolean => ANSWER_WORD.test(word);

export const channelOf = (say: string): Channel => (DOUBT.test(say) ? 'caller-unsure' : 'caller');

/** The thing a question asks for, denied. */
export const deniedAsk = (ask: string): string => `no ${ask.replace(ASKS_WHETHER, '').replace('?', '')}`;

/** What a bare yes or no says to one of our own findings; null where it settles nothing. */
export function settledBy(finding: Finding, affirmed: boolean): string | null {
  const plain = finding.answers.find((answer) => answer.id === (affirmed ? 'yes' : 'no'));
  if (plain) return plain.id;
  if (finding.absent === undefined) return null; // "over days or weeks?" – "yes" settles nothing
  if (!affirmed) return finding.absent;
  const present = finding.answers.filter((answer) => answer.id !== finding.absent);
  return present.length === 1 ? (present[0]?.id ?? null) : `not:${finding.absent}`;
}
