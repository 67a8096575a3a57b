import type { Channel, Finding } from '../edition/edition.ts';

/** A yes at the beginning, or at the very end ("now you mention it, yes"). */
const SAYS_YES =
  /^\s*(yes|yeah|yep|aye|yup|definitely|certainly|absolutely|correct)\b|^\s*(a bit|a little)\s*($|[,.;!])|[,;:–-]\s*(yes|yeah|yep|yup)\s*[.!]?\s*$/i;
/** A no that stands by itself, not one that belongs to the next word ("no webs"), or stands at the very end. */
const SAYS_NO =
  /^\s*(no|nope|nah|none|never|not really|not at all|nothing|not that i can see)\s*($|[,.;:!–-]|\b(it|they|i|there|she|he|we|nothing|none|not|at all|whatsoever|since|so far|yet)\b)|[,;:–-]\s*(no|nope|nah)\s*[.!]?\s*$/i;
/** What says yes or no to "is it?" and "are there any?" without either word, and would mean something else after "how" or "which". */
const MEANS_YES = new RegExp(
  `^\\s*(?:(?:oh|ah|well|mm),? )?(?:${[
    '(?:i|we) (?:think|believe|guess|suppose) so',
    "(?:i'm |i am )?afraid so",
    '(?:it|she|he|that) (?:is|does|has|did|was)',
    '(?:they|there|we|you) (?:is|are|do|have|did|were|was)',
    'i (?:do|have|did|am|was)',
    'sure',
    'indeed',
    'quite(?: a (?:lot|bit|few))?',
    '(?:very|really|terribly|awfully|extremely|horribly|totally|completely|badly|easily|quite)(?: (?:much|badly|easily|so))*',
    'lots|loads|plenty|masses|tons|heaps|a few|a lot|some|many|several|one or two|by the (?:handful|dozen|hundred|bucket)|everywhere|all over',
    'always|often|sometimes|constantly|now and (?:then|again)|most days|all the time|every (?:day|night|time|morning|evening)',
    'uh-?huh',
  ].join('|')})\\s*[.!]?\\s*$`,
  'i',
);
/** "We did, the second week of May", "dozens after rain": what stands behind only says more. Lots of something else is no yes. */
const MEANS_YES_AND_MORE = new RegExp(
  `^\\s*(?:(?:oh|ah|well),? )?(?:${[
    '(?:it|that|they|there|we|he|she|i) (?:is|are|does|do|did|has|have|was|were)\\s*[,;–-]',
    '(?:dozens|hundreds|thousands|loads|lots|tons|masses|plenty|swarms|an? (?:few|lot|couple|handful|puff|cloud|swarm))(?: of (?:them|it|those|these))?\\b(?! (?:of|less|fewer|more|better|worse|too)\\b)',
  ].join('|')})`,
  'i',
);
const MEANS_NO = new RegExp(
  `^\\s*(?:(?:oh|ah|well|mm),? )?(?:${[
    "(?:i|we) (?:do not|don't|wouldn't|would not) (?:think|believe|say) so",
    "(?:it|she|he|that) (?:isn't|is not|doesn't|does not|hasn't|has not|didn't|did not|wasn't)",
    "(?:they|there|we) (?:aren't|are not|isn't|don't|do not|haven't|have not|didn't|did not|weren't)",
    "i (?:don't|do not|haven't|have not|didn't|did not)",
    'not (?:(?:this|last|since|until)\\b(?: [^ ,;]+){1,4}|lately|recently|(?:for|in) (?:the (?:last|past)|ages|years|months|weeks|days|a (?:long|while))(?: [^ ,;]+){0,3})',
    "not (?:any|one|yet|much|that i(?:'ve| have)? (?:know|noticed|saw|seen|found)(?: of)?)",
    "(?:i )?(?:can't|cannot|couldn't|didn't|don't) (?:see|find) any(?:thing)?",
    'hardly|hardly any|barely',
  ].join('|')})\\s*[.!]?\\s*$`,
  'i',
);
/** A question for one of several things, or for how much: no bare word says yes to it. */
const ASKS_WHICH = /^\s*(?:and |so |but )?(?:what|which|how|when|where|who|whose|why)\b|\bor\b/i;
/** When it is so, and nothing besides: "any frost?" – "last Tuesday"; "does it wilt?" – "only at midday". A longer answer is read, "last year, but not now" above all. */
const SAYS_WHEN =
  /^(?=\s*(?:\S+\s*){1,5}$)(?!.*\b(?:no|not|never|none|but|until|before)\b)(?!.*n't)\s*(?:only|just|mainly|mostly|yes)?\s*(?:last|yesterday|today|tonight|overnight|recently|lately|since|this (?:morning|week|month|year|spring|summer|autumn|winter)|(?:on|in|at|during|around|by|about) (?:the )?(?:mon|tues|wednes|thurs|fri|satur|sun|night|noon|midday|morning|afternoon|evening|day|week|spring|summer|autumn|winter|fall|january|february|march|april|may|june|july|august|september|october|november|december)|(?:a|one|two|three|four|five|six|\d+|a few|a couple of) (?:days?|nights?|weeks?|months?) (?:ago|back))/i;
const ANSWER_WORD = /^(yes|yeah|yep|aye|yup|no|nope|nah|definitely|certainly|absolutely|correct)$/i;
const UNKNOWN_ANSWER =
  /\b(do not know|don'?t know|no idea|not sure|could ?n[o']?t (say|tell)|can ?no?t (say|tell)|have ?n[o']?t (looked|checked))\b/i;
const DOUBT = /\b(a bit|maybe|i think|perhaps|sort of|probably)\b/i;
/** What a question begins with before the thing it asks for: "are there any insects" – "no" says "no insects". */
const ASKS_WHETHER = /^.*?\b(any|some)\s+/i;

/** True for talk that begins or ends with a yes or no of its own. */
export const saysYesOrNo = (say: string): boolean => SAYS_YES.test(say) || SAYS_NO.test(say);

/**
 * Yes, no, not known, or something else that has to be read.
 * @param ask the question it answers: "every day" is a yes to "does it wilt?", and none to "how often?"
 */
export function answerIn(say: string, ask = ''): 'yes' | 'no' | 'unknown' | 'other' {
  if (UNKNOWN_ANSWER.test(say)) return 'unknown';
  if (SAYS_YES.test(say)) return 'yes';
  if (SAYS_NO.test(say)) return 'no';
  if (ask === '' || ASKS_WHICH.test(ask)) return 'other';
  if (MEANS_YES.test(say) || MEANS_YES_AND_MORE.test(say) || SAYS_WHEN.test(say)) return 'yes';
  return MEANS_NO.test(say) ? 'no' : 'other';
}

export const isAnswerWord = (word: string): boolean => ANSWER_WORD.test(word);

export const channelOf = (say: string): Channel => (DOUBT.test(say) ? 'caller-unsure' : 'caller');

/** What an answer says besides its yes or no. */
export const beyondYesOrNo = (say: string): string => say.replace(/^\s*(?:yes|yeah|yep|no|nope|nah)\b[\s,;:.!–-]*/i, '');

/** A question as the beginning of a statement, for its answer to end: "when was it pruned?" – "in February". */
export const asBeginning = (ask: string): string =>
  ask
    .replace(/[.;!?:\n]/g, ' ')
    .replace(/^\s*(?:and |so )?(?:when|how|where|what|which|why|who)\b(?:\s+(?:long|often|much|many|fast|old|big|tall|deep|exactly))?\s*/i, '')
    .replace(/^(?:did|do|does|was|were|is|are|has|have|had)\s+/i, '');

/** Words that do not say which of two things is meant. */
const NOT_TELLING =
  /^(?:the|a|an|of|it|its|they|there|is|are|was|were|just|only|mainly|mostly|more|rather|very|quite|really|sort|kind|i|think|ones?|side|or|and)$/;
const MOST_WORDS_OF_A_CHOICE = 5;
const tellingWords = (text: string): string[] => (text.toLowerCase().match(/[a-z]+/g) ?? []).filter((word) => !NOT_TELLING.test(word));
/** Where the subject of a question ends and what is asked of it begins. */
const ASKED_OF_IT = /\s(?:between|along|on|in|at|under|over|near|round|around|from|with|all|more|mainly|mostly|only|just)\s/;

const ASKS_WHETHER_IT_IS = /^\s*(?:did|do|does|was|were|is|are|has|have|had)\b/i;
const DENIES = /\b(?:not|no|never|neither|nor)\b|n't\b/i;

/**
 * "Is the yellow between the veins or all over?" – "between": the one of several things asked that the answer takes up, in the ways it may be said whole.
 * None where it takes up none, or more than one, or only names what was asked about ("the spots are orange" is neither of "spots brown or black").
 */
export function choiceTaken(ask: string, say: string): string[] {
  const question = ask.replace(/^.*,\s*(?=(?:did|do|does|was|were|is|are|has|have|had)\b)/i, '');
  if (!/\sor\s/i.test(question) || DENIES.test(say)) return [];
  const choices = asBeginning(question)
    .trim()
    .split(/,?\s+or\s+|,\s+/i);
  const said = tellingWords(say);
  if (said.length === 0 || said.length > MOST_WORDS_OF_A_CHOICE) return [];
  const first = choices[0]!;
  const subject = ASKED_OF_IT.test(first) ? first.split(ASKED_OF_IT)[0]! : first.replace(/\s*\S+$/, '');
  const spokenOf = ASKS_WHETHER_IT_IS.test(question) ? tellingWords(subject) : [];
  const named = choices.map(
    (choice, at) =>
      tellingWords(choice).filter(
        (word) => said.includes(word) && !spokenOf.includes(word) && !choices.some((other, i) => i !== at && tellingWords(other).includes(word)),
      ).length,
  );
  const taken = named.flatMap((count, at) => (count > 0 ? [choices[at]!] : []));
  const [chosen] = taken;
  if (chosen === undefined || taken.length > 1) return [];
  const inPlace = `in the ${chosen}`;
  // "the old or the new leaves": what the first is said of stands with the last
  const saidOf = choices.at(-1)!.split(' ').slice(1).join(' ');
  return chosen === first ? [first, inPlace, `${first} ${saidOf}`] : [`${subject} ${chosen}`, `${chosen} ${/\S+$/.exec(first)?.[0] ?? ''}`, inPlace];
}

/** A thing asked for by name alone: "teeth marks?", "any webs?". */
const ASKS_BY_NAME = /^\s*(?:and |so )?(?:any |some |the )?(?:[\w'-]+\s?){1,3}\s*[?.]?\s*$/i;
const ASKS_WITH_A_VERB = /^\s*(?:and |so )?(?:did|do|does|was|were|is|are|has|have|had|can|could|will|would)\b/i;
/** What takes back that the thing is there, or puts another in its place, without denying it. */
const TAKES_BACK = /\b(?:none|hardly|barely|without|more like|rather|instead|used to|gone)\b/i;

/** True where an answer says what a thing is like that was asked for by name: it is there. "Teeth marks?" – "small ones". */
export const presupposes = (ask: string, say: string): boolean =>
  ASKS_BY_NAME.test(ask) && !ASKS_WITH_A_VERB.test(ask) && !ASKS_WHICH.test(ask) && say.trim() !== '' && !DENIES.test(say) && !TAKES_BACK.test(say);

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
