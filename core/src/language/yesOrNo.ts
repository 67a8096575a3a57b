/** Ways of one thing, as one pattern. */
const oneOf = (...ways: string[]): string => `(?:${ways.join('|')})`;
/** What people say before they answer. */
const FILLER =
  "(?:(?:oh|ah|well|mm|hm+|um|uh|er|erm|so|now|actually|honestly|(?:let me|let's|i'll) (?:see|think|look|check|have a look)|(?:hang|hold) on(?: a (?:sec|second|minute|moment))?|(?:just )?(?:one|a) (?:sec|second|minute|moment)|i'm (?:right |standing )?(?:at|by) (?:it|the plant)(?: now)?|come to think of it|now (?:that )?you (?:mention|say|ask) it|funny you should ask|i(?:'d| would)? need my glasses,? but|as far as (?:i|we) (?:know|can (?:see|tell))|to be honest|i'm|i am)\\b[,.…]*\\s*)*";
const END = '\\s*[.!…]?\\s*$';
/** What leaves the answer before it as it is. */
const AND_MORE = `(?:$|[,.;:!–-]|\\b${oneOf('it', 'they', 'i', 'we', 'there', 'she', 'he', 'nothing', 'none', 'not', 'at all', 'whatsoever', 'since', 'so far', 'yet', 'sir', 'madam')}\\b)`;

const ENDS = '\\s*(?:$|[,.;:!–-])';
/**
 * A yes at the beginning, or at the very end ("now you mention it, yes"). "Definitely no webs" is none, and what else assures of something says yes only by
 * itself: "of course", but not "of course it has been dry".
 */
const SAYS_YES = new RegExp(
  `^\\s*${FILLER}${oneOf(
    `${oneOf('yes', 'yeah', 'yep', 'aye', 'yup')}\\b(?! (?:not|and no)\\b)`,
    `${oneOf('definitely', 'certainly', 'absolutely', 'correct')}\\b(?! (?:not|no|none|nothing|never)\\b)`,
    `${oneOf('of course', 'exactly', 'for sure', 'affirmative', 'you bet', 'ja', 'a bit', 'a little')}${ENDS}`,
  )}|[,;:–-]\\s*${oneOf('yes', 'yeah', 'yep', 'yup')}${END}`,
  'i',
);
/** A no that stands by itself, not one that belongs to the next word ("no webs"), or stands at the very end. */
const SAYS_NO = new RegExp(
  `^\\s*${FILLER}${oneOf(
    `${oneOf('no', 'nope', 'nah', 'none', 'never', 'nothing', 'nil', 'not really', 'not at all', 'not that i can see', 'not a bit', 'not one', 'not so far')}\\s*${AND_MORE}`,
    `${oneOf('no', 'nope', 'nah')} ${oneOf('the', 'this', 'that', 'these', 'all', 'both', 'just', 'only', 'mostly', 'on', 'in', 'at', 'from')}\\b`, // "no the whole leaf"
    `${oneOf('definitely', 'certainly', 'absolutely', 'of course', 'afraid', 'probably', 'surely', 'i think', "i'd say")} not\\b`,
    `${oneOf('definitely', 'certainly', 'absolutely')} (?:none|nothing|never)${END}`,
    'not (?:as far as|that) (?:i|we) (?:know|can (?:see|tell))\\b',
    'not to my knowledge\\b',
    '(?:nothing|none) (?:like that|of (?:the|that) (?:sort|kind))\\b',
    `no (?:way|such thing)${END}`,
  )}|[,;:–-]\\s*${oneOf('no', 'nope', 'nah')}${END}`,
  'i',
);
/** What says yes or no to "is it?" and "are there any?" without either word, and would mean something else after "how" or "which". */
const MEANS_YES = new RegExp(
  `^\\s*${FILLER}${oneOf(
    "(?:i|we)(?:'d| would)? (?:think|believe|guess|suppose|say|reckon) so",
    '(?:afraid|very much|must be|looks|it (?:looks|seems|appears)) ?(?:so|that way|like it)?',
    "(?:that(?: is|'s) )?(?:right|true|correct)",
    '(?:it|she|he|that) (?:is|does|has|did|was)',
    '(?:they|there|we|you) (?:is|are|do|have|did|were|was)',
    'i (?:do|have|did|am|was)',
    'sure',
    'indeed',
    '(?:kind|sort) of|slightly|somewhat|rather|fairly',
    'quite(?: a (?:lot|bit|few))?',
    '(?:very|really|terribly|awfully|extremely|horribly|totally|completely|badly|easily|quite)(?: (?:much|badly|easily|so))*',
    '(?:just |only )?(?:the|an) odd (?:one|few|bit|strand|speck|spot|hole)',
    'lots|loads|plenty|masses|tons|heaps|a few|a lot|some|many|several|one or two|by the (?:handful|dozen|hundred|bucket)|everywhere|all over',
    '(?:most|all|many|some|a few|half|both) of (?:them|it)|here and there|in places|in parts',
    'at (?:a|the (?:slightest|least|lightest)) touch',
    'always|often|sometimes|constantly|now and (?:then|again)|most days|all the time|every (?:(?:single|icy|frosty|cold|wet|hot|warm|windy) )?(?:day|night|time|morning|evening)',
    '(?:uh|mm)[- ]?(?:huh|hm+)',
  )}${END}`,
  'i',
);
/** "We did, the second week of May", "dozens after rain": what stands behind only says more. Lots of something else is no yes. */
const MEANS_YES_AND_MORE = new RegExp(
  `^\\s*${FILLER}${oneOf(
    '(?:it|that|they|there|we|he|she|i) (?:is|are|does|do|did|has|have|was|were)\\s*[,;–-]',
    '(?:(?:my|our|the) (?:neighbours?|neighbors?|husband|wife|partner|son|dad|father|gardener|farmer|council|landlord|builders?)|next door|the people (?:before|next door)|hubby) (?:did|do|does|has|have|used|sprayed|put|treated)\\b',
    '(?:dozens|hundreds|thousands|loads|lots|tons|masses|plenty|swarms|an? (?:few|lot|couple|handful|puff|cloud|swarm))(?: of (?:them|it|those|these))?\\b(?! (?:of|less|fewer|more|better|worse|too)\\b)',
  )}`,
  'i',
);
const MEANS_NO = new RegExp(
  `^\\s*${FILLER}${oneOf(
    "(?:(?:i|we) )?(?:do not|don't|wouldn't|would not) (?:think|believe|say) so",
    "(?:it|she|he|that|there) (?:isn't|is not|doesn't|does not|hasn't|has not|didn't|did not|wasn't|was not)",
    '(?:(?:it|they|she|he|i|we) )?never (?:has|have|had|does|do|did|is|are|was|were|(?:touch|touched|use|used|bother|bothered)(?: (?:it|them|with it|the stuff|any))?)',
    "(?:they|there|we) (?:aren't|are not|isn't|don't|do not|haven't|have not|didn't|did not|weren't|were not)(?: any)?",
    "i (?:don't|do not|haven't|have not|didn't|did not)",
    '(?:not|none|nothing) (?:(?:this|last|since|until)\\b(?: [^ ,;]+){1,4}|lately|recently|(?:for|in) (?:the (?:last|past)|ages|years|months|weeks|days|a (?:long|while))(?: [^ ,;]+){0,3})',
    "not (?:any|one|yet|much|that (?:i|we)(?:'ve| have)? (?:know|notice|noticed|spot|spotted|see|saw|seen|find|found|recall|remember)(?: of)?)",
    "(?:i )?(?:can't|cannot|couldn't|didn't|don't|haven't|have not|never) (?:see|saw|seen|find|found|notice|noticed|had|got) (?:any(?:thing)?|one)",
    "(?:i )?(?:can't|cannot) say (?:i|that i) (?:have|do|did|am)",
    '(?:nothing|none) (?:whatever|whatsoever)',
    "(?:i|we) (?:don't|do not|never) (?:use|have|keep|own|touch|buy|like) (?:them|it|any|those|the stuff|such things?)",
    '(?:i )?(?:very much )?doubt it',
    "(?:(?:i|we)(?:'ve| have)? )?(?:looked|checked|searched)\\b[^,;–-]*[,;–-]+ *(?:none|zero|nothing|not one)",
    'not (?:an?|one|a single) (?!lot|few|bit|clue|problem|chance)[a-z]+',
    'not to the touch',
    'hardly|hardly any|barely|neither|negative|zero|uh-uh',
  )}${END}`,
  'i',
);
/** A question for one of several things, or for how much: no bare word says yes to it. */
export const ASKS_WHICH = /^\s*(?:and |so |but )?(?:what|which|how|when|where|who|whose|why)\b|\bor\b/i;
/** When it is so, and nothing besides: "any frost?" – "last Tuesday"; "does it wilt?" – "only at midday". A longer answer is read, "last year, but not now" above all. */
const SAYS_WHEN =
  /^(?=\s*(?:\S+\s*){1,5}$)(?!.*\b(?:no|not|never|none|but|until|before)\b)(?!.*n't)\s*(?:only|just|mainly|mostly|yes)?\s*(?:last|yesterday|today|tonight|overnight|recently|lately|since|this (?:morning|week|month|year|spring|summer|autumn|winter)|all (?:day|night|week|month|year|season|spring|summer|autumn|winter)|(?:mon|tues|wednes|thurs|fri|satur|sun)day|(?:on|in|at|during|around|by|about) (?:the )?(?:mon|tues|wednes|thurs|fri|satur|sun|night|noon|midday|morning|afternoon|evening|day|week|spring|summer|autumn|winter|fall|january|february|march|april|may|june|july|august|september|october|november|december)|(?:a|one|two|three|four|five|six|\d+|a few|a couple of) (?:days?|nights?|weeks?|months?) (?:ago|back))/i;
const ASKS_FOR_ANY =
  /^\s*(?:and |so )?(?:(?:are|is) there\b|any\b|(?:did|do|can|have) you (?:see|seen|noticed?|found|find)\b)(?!.*\b(?:on|in|at|under|underneath|inside|around|round)\b)/i;
/** "Any webs?" – "only at the tips": where it is, so it is there. */
const SAYS_WHERE = new RegExp(
  `^\\s*${FILLER}(?:mostly|mainly|only|just)?\\s*(?:on|in|at|under|underneath|along|inside|between|round|around) (?:the|each|every|all|its|most|some|a few)\\b(?!.*\\b${oneOf('not', 'no', 'none', 'never', 'but', 'next', 'neighbours?', 'neighbors?', 'others?')}\\b)`,
  'i',
);
/** "Any webs or droppings?" – "neither", "both": what a question asks for in one breath is all denied or all affirmed. */
const ASKS_FOR_SEVERAL = /^\s*(?:and |so )?(?!what|which|how|when|where|who|why).*\bor\b/i;
const DENIES_ALL = new RegExp(
  `^\\s*${FILLER}(?:neither|none of (?:those|them|these|that|either)|neither of (?:those|them|these)|(?:nothing|none) like that)${END}`,
  'i',
);
const AFFIRMS_ALL = new RegExp(`^\\s*${FILLER}(?:both|all (?:of (?:them|those|these)|three|four))(?: of (?:them|those))?${END}`, 'i');
const ASKS_WHETHER_ALONE = /\b(?:just|only)\b/i;
/** "Just this one?" – "a couple of others as well", "the neighbours have it too". */
const SAYS_OTHERS_TOO =
  /^(?!.*\b(?:fine|ok|okay|clear|healthy|clean|not|no|never)\b)(?=.*\b(?:too|as well|also)\b).*\b(?:others?|another|neighbours?|neighbors?|next door)\b/i;
/** What leaves the question open. Behind an answer of its own only a plain "don't know" does. */
const UNKNOWN_ANSWER =
  /\b(?:do(?:n't|nt| not) (?:know|remember|recall)|no idea|not sure|could(?:n't|nt| not) (?:say|tell)(?! i)|can(?:'t|t| ?not) (?:say|tell|remember|recall)(?! i)|have(?:n't|nt| not) (?:looked|checked)|dunno)\b/i;
const OPEN = new RegExp(
  `^\\s*${FILLER}${oneOf(
    '(?:no|haven.t a|have not a|not a) clue',
    'hard to (?:say|tell)',
    '(?:who|how (?:would|should) i) knows?',
    "(?:i )?(?:never|not|didn't|did not|(?:have not|haven't)(?: really)?) (?:look|looked|check|checked)(?: at (?:it|that|them)| for (?:it|that|them)| yet)?",
    "(?:i(?:'d| would|'ll| will) )?(?:have|need) to (?:look|check|see|go and (?:look|see))(?: .*)?",
    "(?:i'm |i am )?not (?:at home|there|by it|near it)(?: .*)?",
    "(?:i )?(?:didn't|did not) notice(?: either way)?",
    "(?:i )?(?:can't|can ?not) see(?: (?:it|that|them))?",
    'too (?:high|small|tiny)(?: up| (?:for me )?to (?:see|tell|say|look))?',
    'what do you mean',
    'maybe|possibly|perhaps|could be|might be|yes and no|i hope not',
  )}\\s*[.?!…]?\\s*$`,
  'i',
);
/** "All right", "nothing wrong with them", "they look perfectly normal to me": sound, in whatever words. */
const SOUND = new RegExp(
  `^\\s*${FILLER}${oneOf(
    `(?:${oneOf('they', 'those', 'these', 'it', 'that', 'all of them', 'the rest', 'everything')}(?:'s|'re)? ?)?(?:(?:is|are|look|looks|looking|seem|seems) )?(?:(?:all|absolutely|perfectly|completely|quite|totally|pretty|very|still|just|as far as i can (?:see|tell)) )*${oneOf('fine', 'ok', 'okay', 'alright', 'all right', 'good', 'great', 'lovely', 'perfect', 'normal', 'as normal', 'as usual', 'unaffected', 'not affected', 'untouched', 'healthy')}`,
    `(?:nothing|not a thing|there(?:'s| is) nothing|(?:i )?(?:can't|cannot|couldn't) see anything) (?:wrong|unusual|amiss|odd|the matter|out of the ordinary)`,
    `no (?:problems?|issues?|trouble|complaints|worries)`,
  )}(?: (?:there|here|really|though|to me|with (?:it|them|those|that|the rest)|at all|(?:as far as|that) i can (?:see|tell)))*${END}`,
  'i',
);
const ANSWER_WORD = /^(yes|yeah|yep|aye|yup|no|nope|nah|definitely|certainly|absolutely|correct)$/i;

/** True for talk that begins or ends with a yes or no of its own. */
export const saysYesOrNo = (say: string): boolean => SAYS_YES.test(say) || SAYS_NO.test(say);

/**
 * Yes, no, not known, or something else that has to be read.
 * @param ask the question it answers: "every day" is a yes to "does it wilt?", and none to "how often?"
 */
export function answerIn(say: string, ask = ''): 'yes' | 'no' | 'unknown' | 'other' {
  if (UNKNOWN_ANSWER.test(say) || OPEN.test(say)) return 'unknown';
  if (SAYS_NO.test(say)) return 'no';
  if (SAYS_YES.test(say)) return 'yes';
  if (ASKS_FOR_SEVERAL.test(ask) && DENIES_ALL.test(say)) return 'no';
  if (ASKS_FOR_SEVERAL.test(ask) && ASKS_FOR_ANY.test(ask) && AFFIRMS_ALL.test(say)) return 'yes';
  if (ask === '' || ASKS_WHICH.test(ask)) return 'other';
  if (ASKS_WHETHER_ALONE.test(ask) && SAYS_OTHERS_TOO.test(say)) return 'no';
  if (MEANS_YES.test(say) || MEANS_YES_AND_MORE.test(say) || SAYS_WHEN.test(say)) return 'yes';
  if (ASKS_FOR_ANY.test(ask) && SAYS_WHERE.test(say)) return 'yes';
  return MEANS_NO.test(say) ? 'no' : 'other';
}

/** True where an answer says of what was asked for that it is sound, and no more. */
export const saysSound = (say: string): boolean => SOUND.test(say);

export const isAnswerWord = (word: string): boolean => ANSWER_WORD.test(word);

/** What an answer says besides its yes or no. */
export const beyondYesOrNo = (say: string): string =>
  say
    .replace(new RegExp(`^\\s*${FILLER}(?:${oneOf('yes', 'yeah', 'yep', 'no', 'nope', 'nah')})\\b[\\s,;:.!–-]*`, 'i'), '')
    .replace(/[,;–-]\s*(?:yes|yeah|yep)\s*[.!]?\s*$/i, '') // "white ones, yes"
    .replace(/^\s*i(?:'d| would)? (?:say|think|guess|believe|suppose|reckon)(?: so)?\s*[.!…]?\s*$/i, '');
