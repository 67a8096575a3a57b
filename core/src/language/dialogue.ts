import { asksOpinion } from './asking.ts';
import { answerIn, saysSound, saysYesOrNo } from './yesOrNo.ts';

/** What a caller said, or what they answered to a question that was put to them. */
export type Utterance = string | { ask: string; say: string };

/** A sentence with the mark that ends it; a point within a number ends none. */
const SENTENCE = /[^.;!?\n]+(?:[.,]\d[^.;!?\n]*)*(?:[.;!?]+(?=\s|$)|\n|$|[.;!?])/gu;
/** "Webs: none", "fruit set: poor": up to four words and what was found. */
const LABELLED = /^\s*((?:\p{L}[\p{L}'-]* ){0,3}\p{L}[\p{L}'-]*)\s*:\s+(\S.*)$/u;
/** "Webs - none", "sticky no": without a colon only a bare yes or no ends a label. */
const ANSWERED = /^\s*((?:\p{L}[\p{L}'-]* ){0,3}\p{L}[\p{L}'-]*)(?:\s+[-–—]|\s*[–—])?\s+(no|none|nope|nil|never|yes|yep|yeah)\s*[.;!]?\s*$/iu;
/** Words of a sentence rather than of a label: "there are none", "they said no". */
const SENTENCE_WORD =
  /\b(?:i|we|he|she|it|they|there|you|is|are|was|were|has|have|had|do|does|did|can|could|will|would|not|no|said|says|say|or|and|but|why|how|what|if|that|this|oh|well|with|got|get|seen|see|saw|found|find|to|from|for|know|almost|absolutely|definitely|hardly|ever)\b/i;
/** Labels of the whole matter, behind which talk runs on. */
const OF_ALL =
  /\b(?:problem|trouble|question|issue|plant|host|caller|note|notes|symptom|symptoms|subject|hello|hi|help|please|update|story|thing)\b/i;
const BARE = /^\s*(?:no|none|nope|nil|never|yes|yep|yeah)\s*[.;!]?\s*$/i;

/** How a question begins that is one sentence from the start. */
const ASKS =
  /^\s*(?:and |so |but |well,? )?(?:is|are|was|were|do|does|did|has|have|had|can|could|will|would|any|some|what|which|how|when|where|who|why|anything|something)\b/i;

type Note = { ask: string; say: string };

function noteIn(piece: string, isLabel: (label: string) => boolean): Note | null {
  const [, ask, say] = LABELLED.exec(piece) ?? ANSWERED.exec(piece) ?? [];
  if (ask === undefined || say === undefined || SENTENCE_WORD.test(ask) || OF_ALL.test(ask) || !isLabel(ask)) return null;
  return { ask, say: /^nil$/i.test(say.trim()) ? 'none' : say.trim() };
}

/** Words of a "don't know" that answers, as against one that goes on to something else: "I don't know whether there are webs, and it is dry". */
const MOST_WORDS_OF_NOT_KNOWING = 6;

/** "New leaves? Fine." */
const MOST_WORDS_OF_A_NOTE = 4;
const isNote = (question: string, next: string): boolean =>
  [question, next].every((part) => part.trim().split(/\s+/).length <= MOST_WORDS_OF_A_NOTE) &&
  !SENTENCE_WORD.test(question) &&
  !OF_ALL.test(question);

/** True where the sentence behind a question answers it. Who asks whether it is normal asks us, and talks on. */
function isAnswered(question: string, next: string, isLabel: (label: string) => boolean): boolean {
  const words = question.toLowerCase().match(/[\p{L}']+/gu) ?? [];
  if (asksOpinion(words.map((word) => ({ word })))) return false;
  if (saysSound(next) || isNote(question, next)) return isLabel(question);
  const answer = answerIn(next.trim(), question);
  if (answer === 'unknown' && next.trim().split(/\s+/).length > MOST_WORDS_OF_NOT_KNOWING) return false;
  return answer !== 'other';
}

/** What a sentence asks: all of it where it begins as a question, else what stands behind its last comma: "holes in the leaves, slime?" */
function questionIn(sentence: string): [before: string, ask: string] {
  const at = ASKS.test(sentence) ? -1 : sentence.lastIndexOf(',');
  return [sentence.slice(0, at + 1), sentence.slice(at + 1).trim()];
}

/** The notes of a sentence, comma by comma; what follows a note that is no bare yes or no still belongs to it. */
function notesIn(sentence: string, isLabel: (label: string) => boolean): Utterance[] {
  const parts: Utterance[] = [];
  for (const piece of sentence.split(/(?<=,)(?=\s)/)) {
    const note = noteIn(piece.replace(/,\s*$/, ''), isLabel);
    const last = parts.at(-1);
    if (note) parts.push(note);
    else if (typeof last === 'string') parts[parts.length - 1] = last + piece;
    else if (last && !BARE.test(last.say)) last.say += `,${piece}`;
    else parts.push(piece);
  }
  return parts;
}

/**
 * Talk taken apart into what was asked and answered within it, and the rest as it stands: "is it sticky? no", "webs: none", "ants yes". Notes of an advisor
 * are written so, and callers tell what they were asked before.
 * @param isLabel false for what names no thing to be found, such as a plant: "rose: black spots"
 */
export function utterancesIn(text: string, isLabel: (label: string) => boolean): Utterance[] {
  const sentences = text.match(SENTENCE) ?? [];
  const parts: Utterance[] = [];
  const add = (part: Utterance) => {
    const last = parts.at(-1);
    if (typeof part === 'string' && typeof last === 'string') parts[parts.length - 1] = last + part;
    else parts.push(part);
  };
  for (let i = 0; i < sentences.length; i++) {
    const [sentence, next] = [sentences[i]!, sentences[i + 1]];
    if (/\?\s*$/.test(sentence) && next !== undefined && !/\?\s*$/.test(next) && isAnswered(sentence, next, isLabel)) {
      const [before, ask] = questionIn(sentence);
      if (before !== '') notesIn(before, isLabel).forEach(add);
      add({ ask, say: next.trim() });
      i += 1;
    } else notesIn(sentence, isLabel).forEach(add);
  }
  return parts.some((part) => typeof part !== 'string') ? parts : [text];
}

const NOTHING_MORE =
  /^\s*(?:(?:no|nope|nah|nothing|none|not really|not that i know)(?:[ ,]+(?:really|else|more|nothing|other|thanks|thank you|not))*|(?:that'?s|that is) (?:all|it)(?: really)?)\s*[.!]?\s*$/i;
const ASKS_BACK = /\bwhat do you mean\b/i;

/** True for talk that leaves the question before it open, and says no more: "dunno", "I haven't looked". */
export const leavesOpen = (say: string): boolean =>
  answerIn(say) === 'unknown' && say.trim().split(/\s+/).length <= MOST_WORDS_OF_NOT_KNOWING && !ASKS_BACK.test(say);

/** True for talk that has nothing to add where it was asked openly: "no", "that's all", "nothing else", "dunno". */
export const addsNothing = (say: string): boolean => leavesOpen(say) || NOTHING_MORE.test(say);

/** True for talk that answers the question before it: it says yes, no or that all is well before any question or label of its own. */
export function answersQuestion(say: string): boolean {
  const [first] = utterancesIn(say, () => true);
  return typeof first === 'string' && (saysYesOrNo(first) || saysSound(first));
}
