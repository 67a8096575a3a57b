import type { Channel, Finding } from '../edition/findings.ts';
import { ASKS_WHICH } from './yesOrNo.ts';

const DOUBT = /\b(a bit|maybe|i think|perhaps|sort of|probably)\b/i;
/** What a question begins with before the thing it asks for: "are there any insects" – "no" says "no insects". */
const ASKS_WHETHER = /^.*?\b(any|some)\s+/i;

export const channelOf = (say: string): Channel => (DOUBT.test(say) ? 'caller-unsure' : 'caller');

/** A question as the beginning of a statement, for its answer to end: "when was it pruned?" – "in February". */
export const asBeginning = (ask: string): string =>
  ask
    .replace(/[.;!?:\n]/g, ' ')
    .replace(
      /^\s*(?:and |so )?(?:when|how|where|what|which|why|who)\b(?:['’]s\b)?(?:\s+(?:long|often|much|many|fast|old|big|tall|deep|exactly))?\s*/i,
      '',
    )
    .replace(/^(?:did|do|does|was|were|is|are|has|have|had)\s+/i, '');

/** Words that do not say which of two things is meant. */
const NOT_TELLING =
  /^(?:the|a|an|of|it|its|they|there|is|are|was|were|just|only|mainly|mostly|more|rather|very|quite|really|sort|kind|i|think|ones?|side|or|and)$/;
/** Words that name a choice only where nothing else was said: "on it or under it?" – "on sand" is neither. */
const PLACING = /^(?:on|in|at|by|to|from|with)$/;
const PRONOUN = /^(?:it|they|that|this|these|those)\s+/i;
const IS_LAST = /^\s*(?:it's |it is )?the (?:latter|second|last)(?: one| ones)?\s*[.!]?\s*$/i;
const IS_FIRST = /^\s*(?:it's |it is )?the (?:former|first)(?: one| ones)?\s*[.!]?\s*$/i;
const MOST_WORDS_OF_A_CHOICE = 5;
const tellingWords = (text: string): string[] => (text.toLowerCase().match(/[a-z]+/g) ?? []).filter((word) => !NOT_TELLING.test(word));
/** Where the subject of a question ends and what is asked of it begins. */
const ASKED_OF_IT = /\s(?:between|along|on|in|at|under|over|near|round|around|from|with|all|more|mainly|mostly|only|just)\s/;

const ASKS_WHETHER_IT_IS = /^\s*(?:did|do|does|was|were|is|are|has|have|had)\b/i;
/** What takes back what the words around it say. */
export const DENIES = /\b(?:not|no|never|neither|nor)\b|n't\b/i;

/**
 * "Is the yellow between the veins or all over?" – "between": the one of several things asked that the answer takes up, in the ways it may be said whole.
 * None where it takes up none, or more than one, or only names what was asked about ("the spots are orange" is neither of "spots brown or black").
 */
export function choiceTaken(ask: string, say: string): string[] {
  const question = ask.replace(/^.*,\s*(?=(?:did|do|does|was|were|is|are|has|have|had)\b)/i, '');
  if (!/\sor\s/i.test(question) || DENIES.test(say)) return [];
  const asked = asBeginning(question).trim();
  const choices = asked.replace(PRONOUN, '').split(/,?\s+or\s+|,\s+/i);
  const first = choices[0]!;
  const last = choices.at(-1)!;
  if (IS_LAST.test(say)) return [last, `${last.replace(/\s+ones?$/, '')} ${/\S+$/.exec(first)?.[0] ?? ''}`];
  if (IS_FIRST.test(say)) return [first];
  const words = tellingWords(say);
  const said = words.every((word) => PLACING.test(word)) ? words : words.filter((word) => !PLACING.test(word));
  if (said.length === 0 || said.length > MOST_WORDS_OF_A_CHOICE) return [];
  // "is it the old leaves or the new ones": nothing but "it" is spoken of
  const spoken = PRONOUN.test(asked) ? '' : first.replace(/\s*\S+$/, '');
  const subject = ASKED_OF_IT.test(first) ? first.split(ASKED_OF_IT)[0]! : spoken;
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
  const saidOf = last.split(' ').slice(1).join(' ');
  return chosen === first ? [first, inPlace, `${first} ${saidOf}`] : [`${subject} ${chosen}`, `${chosen} ${/\S+$/.exec(first)?.[0] ?? ''}`, inPlace];
}

/** "No holes at all", "there are no webs that I can see": what is denied, without how surely. */
const DENIES_THING =
  /^\s*(?:(?:i (?:can )?see|there (?:is|are)|there's) )?no ([a-z]+(?: [a-z]+){0,2}?)(?: (?:at all|whatsoever|anywhere|there|(?:that )?i (?:can|could) (?:see|find)))?\s*[.!]?\s*$/i;

/** "Any holes in the trunk?" – "no holes at all": a plain no, in the question's own words. */
export function deniesAsAsked(ask: string, say: string): boolean {
  if (ASKS_WHICH.test(ask) || /[,/]|\band\b/.test(ask)) return false;
  const denied = tellingWords(DENIES_THING.exec(say)?.[1] ?? '');
  const asked = tellingWords(ask);
  return denied.length > 0 && denied.every((word) => asked.some((one) => one.replace(/s$/, '') === word.replace(/s$/, '')));
}

/** "Both", "all of it": what means the things that were asked for. */
export const meansAllAsked = (say: string): boolean => /\b(?:both|same|alike|either|equally|all)\b/i.test(say);

/**
 * A question without the things it lets choose between, but for parts of the plant: whoever answers "full blast all day" to "sun or shade?" has not said shade.
 * @param isPart true for the name of a part: "old leaves or new" keeps its leaves
 */
export function withoutChoices(ask: string, isPart: (word: string) => boolean): string {
  const words = ask.trim().split(/\s+/);
  const or = words.lastIndexOf('or');
  const length = words.length - or - 1;
  if (or < 1 || length === 0 || length > MOST_WORDS_OF_A_CHOICE) return ask;
  return words.filter((word, i) => i < or - length || isPart(word.toLowerCase().replace(/[^a-z]/g, ''))).join(' ');
}

/** A thing asked for by name alone: "teeth marks?", "any webs?". */
const ASKS_BY_NAME = /^\s*(?:and |so )?(?:any |some |the )?(?:[\w'-]+\s?){1,3}\s*[?.]?\s*$/i;
const ASKS_WITH_A_VERB = /^\s*(?:and |so )?(?:did|do|does|was|were|is|are|has|have|had|can|could|will|would)\b/i;
/** What takes back that the thing is there, or puts another in its place, without denying it. */
const TAKES_BACK = /\b(?:none|hardly|barely|without|more like|rather|instead|used to|gone|outside|outdoors)\b/i;

/** True for a question that can be answered with yes or no as it stands: "is it in the hall?", not "light in the hall?". */
export const asksWhether = (ask: string): boolean => ASKS_WITH_A_VERB.test(ask);

/** True for a thing asked for by name: "any webs?", "smell?". */
export const asksByName = (ask: string): boolean => ASKS_BY_NAME.test(ask) && !ASKS_WITH_A_VERB.test(ask) && !ASKS_WHICH.test(ask);

/** True where an answer says what a thing is like that was asked for by name: it is there. "Teeth marks?" – "small ones". */
export const presupposes = (ask: string, say: string): boolean => asksByName(ask) && tellsOf(say);

/** True for an answer that neither denies what it was asked of nor takes it back. */
export const tellsOf = (say: string): boolean => say.trim() !== '' && !DENIES.test(say) && !TAKES_BACK.test(say);

const DETERMINER = /^(?:the|its|your|their|these|those)$/i;
const STANDS_FOR_NOTHING = /^(?:it|they|you|this|that|these|those|he|she|we|i|anything|something|anybody|somebody|anyone|someone|one|another)$/i;
/** Which of them: more of what is spoken of comes behind. */
const OF_WHICH = /^(?:new|old|young|lower|upper|outer|inner|whole|other|first|last|main|big|small)$/i;
/** Words behind "the" in which the thing spoken of may end: "the bottom of the fruit". */
const LONGEST_SUBJECT = 4;

/** Denies what is said of the thing spoken of, not the thing: "the fruit is not small", never "no fruit". */
function denied(statement: string, isPart: (word: string) => boolean): string {
  const words = statement.trim().split(/\s+/);
  const [first, second] = [words[0]!, words[1] ?? ''];
  const isOf = DETERMINER.test(first) && second !== '';
  if (!isOf && STANDS_FOR_NOTHING.test(first)) return `not ${statement}`;
  const end = isOf ? words.slice(1, LONGEST_SUBJECT + 1).findLastIndex((word) => isPart(word.toLowerCase())) + 1 : 0;
  const least = isOf ? (OF_WHICH.test(second) ? 2 : 1) : 0;
  const subject = Math.max(end, least) + 1;
  return [...words.slice(0, subject), 'not', ...words.slice(subject)].join(' ');
}

/**
 * What a question asks for, denied.
 * @param isPart true for the name of a part of a plant, in which what is spoken of ends: "the old leaves"
 */
export function deniedAsk(ask: string, isPart: (word: string) => boolean): string {
  const [of = '', ...said] = ask.replace(/[?.]/g, '').trim().split(/\s+/);
  if (isPart(of.toLowerCase()) && /ed$/.test(said[0] ?? '')) return `${of} not ${said.join(' ')}`; // "leaves notched?"
  if (ASKS_WHETHER.test(ask) || asksByName(ask)) return `no ${ask.replace(ASKS_WHETHER, '').replace('?', '')}`;
  const statement = asBeginning(ask);
  return /^there /.test(statement) ? statement.replace(/^there (?:an? )?/, 'no ') : denied(statement, isPart);
}

const ASKS_WHAT_IT_IS = /^\s*(?:what (?:do|does|is|are|was|were)|how)\b/i;
const SEES_NOTHING = /\b(?:nothing|none|nil|see)\b/i;

/** What a plain yes or no says to the question of one of our own findings; null where it settles nothing. */
export function repliedTo(finding: Finding, affirmed: boolean, say: string): string | null {
  const own = finding.plain?.[affirmed ? 'yes' : 'no'];
  // "can you turn a leaf over, what is on the back?" – "no" has not looked, "nothing that I can see" has
  if (own !== undefined && (own !== null || !SEES_NOTHING.test(say))) return own;
  return affirmed && ASKS_WHAT_IT_IS.test(finding.ask) ? null : settledBy(finding, affirmed);
}

/** What a bare yes or no says to one of our own findings; null where it settles nothing. */
export function settledBy(finding: Finding, affirmed: boolean): string | null {
  const plain = finding.answers.find((answer) => answer.id === (affirmed ? 'yes' : 'no'));
  if (plain) return plain.id;
  if (finding.absent === undefined) return null; // "over days or weeks?" – "yes" settles nothing
  if (!affirmed) return finding.absent;
  const present = finding.answers.filter((answer) => answer.id !== finding.absent);
  return present.length === 1 ? (present[0]?.id ?? null) : `not:${finding.absent}`;
}
