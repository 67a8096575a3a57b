import type { Token } from './tokens.ts';

/** A stretch of talk that asks for something: its opening ("how often should I") and what is asked, up to the next opening or the end of its breath. */
export interface Asking {
  from: number;
  body: number;
  /** One past the last word. */
  to: number;
  /** Where what it is about begins: `from`, or the breath before for "…, what do I do with them". */
  about: number;
}

const AUXILIARIES = new Set('should can could do does must shall will would ought might may am were have has'.split(' '));
const SUBJECTS = new Set(
  'i you we it they one he she my the this these those that some any there all both anybody anyone everybody people'.split(' '),
);
const WH = new Set('when how where what which'.split(' '));
/** "how often", "how far": the word after "how". */
const MEASURES = new Set('much many often deep far low hard high tall thick late early long big soon close short wide little few'.split(' '));
const BE = new Set('is are was'.split(' '));
/** Words by which a question is joined to what is told before it. */
const JOINING = /^(?:and|but|so|or)$/;
const OCCASION = new Set('time way month moment season'.split(' '));
const BEST = new Set('best right good proper ideal correct'.split(' '));
/** "I want to ask about", "any advice on", "wondering whether". */
const ENQUIRY = new Set(
  'ask asks asked asking question query advice advise wonder wonders wondered wondering tips know tell information hints help'.split(' '),
);
/** The advisor writes down that it was asked: "she also asks are the seeds poisonous". */
export const ASKED = /^(ask|asks|asked|asking|know|wonder|wonders|wondered|wondering)$/;
const OF_WHAT = new Set('about on for with regarding re how when if whether where what'.split(' '));
/** "I'd like to move it", "we are thinking of moving it": who wishes to do something asks how. */
const WISHING = /^(?:want|wish|hope|hoping|planning|plan|thinking|intend)$/;
const WOULD = /^(?:would|(?:i|we)['’]?d|d)$/; // slugs like to feed, and ask nothing
const NO_WISH = /^(?:not|never|dont|don't|didnt|didn't)$/;
const WORK =
  /^(?:mov|transplant|prun|trim|cut|divid|split|repot|feed|sow|plant|graft|propagat|shap|replant|relocat|mow|mulch)(?:e|t|ting|ing|ning|ming)?$/;
/** Words from "what" or "which" to the verb of its question: "what sort of compost do they like". */
const WH_REACH = 6;
/** Words of a choice behind a question. */
const LONGEST_CHOICE = 4;
/** Words of a question in note form: "when cut back pelargoniums". */
const SHORT = 7;
/** "Which fertiliser for a lemon in a pot": no clause begins so that tells something. */
const SHORT_CHOICE = 10;

const word = (tokens: readonly Token[], i: number): string => tokens[i]?.word ?? '';

/** True where nothing of the same breath stands before. */
const opensBreath = (tokens: readonly Token[], i: number): boolean =>
  i === 0 || tokens[i - 1]!.clause !== tokens[i]!.clause || tokens[i - 1]!.breath !== tokens[i]!.breath || word(tokens, i - 1) === 'and';

/** Index one past an opening that begins at this word, or -1. @param goesOn true right behind another opening: "how wide | does a hedge need" */
function openingEnd(tokens: readonly Token[], i: number, goesOn: boolean): number {
  const [here, next, after] = [word(tokens, i), word(tokens, i + 1), word(tokens, i + 2)];
  const { clause } = tokens[i]!;
  if ((word(tokens, i - 2) === 'no' && word(tokens, i - 1) === 'matter') || (here === 'how' && next === 'come')) return -1; // "no matter how", "how come"
  if (here === 'how' && MEASURES.has(next)) return i + 2;
  if (WH.has(here) && next === 'to') return i + 2;
  if ((here === 'how' || here === 'what') && next === 'about') return i + 2;
  if (here === 'what' && (next === 'now' || next === 'next')) return i + 2;
  if (here === 'now' && next === 'what' && (after === '' || tokens[i + 2]!.clause !== clause)) return i + 2;
  if (here === 'what' && (next === 'if' || (next === 'happens' && after === 'if'))) return i + 2;
  if (here === 'what' && next === 'makes') return i + 2;
  if (here === 'any' && /^(good|use|harm)$/.test(next)) return i + 2;
  if (WH.has(here) && (BE.has(next) || (AUXILIARIES.has(next) && after !== ''))) return i + 2;
  if (here === 'did' && next === 'i' && opensBreath(tokens, i)) return i + 2; // "did I kill it"
  if (here === 'who' && /^(can|could|should|do|does|will|would)$/.test(next) && opensBreath(tokens, i)) return i + 2;
  if (here === 'what' || here === 'which') {
    if (/^(sort|kind|type)$/.test(next)) return i + 1;
    for (let k = i + 1; k <= i + WH_REACH && tokens[k]?.clause === clause; k++)
      if (AUXILIARIES.has(word(tokens, k)) && SUBJECTS.has(word(tokens, k + 1))) return i + 1;
  }
  // "why does it droop" asks for a cause, "why do I need a male one" does not
  if (word(tokens, i - 1) === 'why' && !(here === 'do' && /^(need|want|have)$/.test(word(tokens, i + 2)))) return -1;
  if (/^(have|has|were|am)$/.test(here) && !opensBreath(tokens, i)) return -1; // "they have all split" tells
  if (AUXILIARIES.has(here) && SUBJECTS.has(next)) return i + 2;
  const isOpening = goesOn || opensBreath(tokens, i) || WH.has(word(tokens, i - 1)) || ASKED.test(word(tokens, i - 1));
  if (AUXILIARIES.has(here) && next !== '' && next !== 'not' && isOpening) return i + 1;
  // "the stem is soft and is brown" tells, "…, and is the lily poisonous" asks
  if (BE.has(here) && (JOINING.test(word(tokens, i - 1)) ? SUBJECTS.has(next) : isOpening)) return i + 1;
  if (here === 'one' && next === 'about') return i + 2; // "a quick one about"
  if (BEST.has(here) && OCCASION.has(next)) return i + 2;
  const wishes = WISHING.test(here) ? !NO_WISH.test(word(tokens, i - 1)) : here === 'like' && WOULD.test(word(tokens, i - 1));
  if (wishes && /^(?:to|of|about)$/.test(next) && WORK.test(after)) return i + 2;
  if (ENQUIRY.has(here) && OF_WHAT.has(next)) return i + 2;
  if (/^(how|when)$/.test(here) && opensBreath(tokens, i) && (next === '' || tokens[i + 1]!.clause !== clause)) return i + 1;
  const shortest = here === 'which' || here === 'what' ? SHORT_CHOICE : SHORT;
  if (i === 0 && WH.has(here) && next !== '' && !SUBJECTS.has(next) && tokens.length <= shortest) return 1;
  return -1;
}

/** True where both words stand in one breath. */
const together = (a: Token | undefined, b: Token): boolean => a !== undefined && a.clause === b.clause && a.breath === b.breath;

/** "Where do I plant it, sun or shade": a choice of few words behind the comma still belongs to the question. */
function afterthoughtEnd(tokens: readonly Token[], at: number): number {
  const first = tokens[at];
  if (!first || tokens[at - 1]?.clause !== first.clause) return at;
  let end = at;
  while (together(tokens[end], first)) end += 1;
  const isChoice = end - at <= LONGEST_CHOICE && tokens.slice(at, end).some((token) => token.word === 'or');
  return isChoice ? end : at;
}

/** Breaths that ask as a whole: the last before a question mark, or one with "yes or no" behind it. */
function wholeBreaths(tokens: readonly Token[]): number[] {
  return tokens.flatMap((token, i) => {
    if (together(tokens[i - 1], token)) return [];
    const clause = tokens.filter((t) => t.clause === token.clause);
    const yesOrNo = clause.some((t, k) => t.word === 'yes' && clause[k + 1]?.word === 'or' && clause[k + 2]?.word === 'no');
    return yesOrNo || (token.asking && token.breath === clause.at(-1)!.breath) ? [i] : [];
  });
}

/** "…, sun or shade", "…, off now or in spring": a last breath of few words that leaves a choice. */
const SHORT_OFFER = 6;
function offers(tokens: readonly Token[]): number[] {
  return tokens.flatMap((token, from) => {
    if (from === 0 || together(tokens[from - 1], token)) return [];
    let end = from;
    while (together(tokens[end], token)) end += 1;
    const closes = tokens[end] === undefined || tokens[end]!.clause !== token.clause;
    const isChoice = tokens.slice(from + 1, end - 1).some(({ word: between }) => between === 'or');
    return closes && isChoice && end - from <= SHORT_OFFER ? [from] : [];
  });
}

/** Asks about what was said to be done: "never cut hydrangeas, is that right", "it needs moving, how". */
const WHETHER_IT_IS_SO =
  /^(is|was|would) (it|that|this)( be)? (so|true|right|possible|ok|okay|alright|wise|wrong|fine|safe|normal)$|^(is|would) (it|this|that|now)( be)?( too| still| the| a)* (now|later|late|early|time|spring|autumn|best|better|good)( or .*)?$|^(at |in )?what (time|month|part|season)( of (the )?year)?$|^(is (it|that) )?(true|right|all right|allright|correct)$|^(and )?(how|when|yes or no|true or false|is it ok|right or wrong)$/;

/** Asks what to do with a thing: "it sends out whips, what do I do with them". */
const WITH_IT = /^(what|how) (do|should|can|shall|must|would) (i|we|you) (do|go about)( now)?( with| about)? (it|them|that|those|these|this)$/;

/** The stretches of the talk that ask, in order; each ends with its breath, and one that only refers back takes in the breath before. */
export function askingIn(tokens: readonly Token[]): Asking[] {
  const openings: { from: number; body: number }[] = [];
  for (let i = 0; i < tokens.length; i++) {
    const last = openings.at(-1)?.body ?? -1;
    const behindMeasure = i === last && word(tokens, openings.at(-1)!.from) === 'how';
    const body = openingEnd(tokens, i, behindMeasure);
    const within = i < last; // the "do I" of "what do I"
    if (body >= 0 && body <= tokens.length && !within) openings.push({ from: i, body });
  }
  for (const i of [...wholeBreaths(tokens), ...offers(tokens)])
    if (!openings.some(({ from }) => together(tokens[from], tokens[i]!))) openings.push({ from: i, body: i });
  const inOrder = openings.sort((a, b) => a.from - b.from);
  return inOrder.map(({ from, body }, n) => {
    const next = inOrder[n + 1]?.from ?? tokens.length;
    // "what now, with the stalk": an opening that a comma cuts off goes on behind it
    const last = tokens[Math.max(from, Math.min(body, tokens.length - 1))]!;
    const anchor = last.clause === tokens[from]!.clause ? last : tokens[from]!;
    let to = from;
    while (to < next && (to < body || together(tokens[to], anchor))) to += 1;
    to = Math.min(next, afterthoughtEnd(tokens, to));
    const said = tokens
      .slice(from, to)
      .map((token) => token.word)
      .join(' ');
    const before = tokens[from - 1];
    const asking = { from, body: Math.min(body, to), to, about: from };
    if (!before || !(WHETHER_IT_IS_SO.test(said) || WITH_IT.test(said))) return asking;
    const begins = tokens.findIndex((token) => together(token, before));
    return WITH_IT.test(said) ? { ...asking, about: begins } : { from: begins, body: begins, to, about: begins };
  });
}

/** "And can she eat them", "he asks if it spreads": a line that asks us, however it was written down. */
const ASKS_US =
  /^\s*(?:(?:and|but|so|then|also|now|she|he|they|caller|the (?:lady|man|caller)|is|was) )*(?:asks|asked|asking|wants? to know|wonders|wondering|(?:(?:how (?:often|much|soon|long|many)|when|what|which|where|who|how)(?: \w+)? )?(?:can|could|should|shall|will|would|must|may|does|do|is|are) (?:i|we|she|he|they|it|you|this|that|these|those|the)) /i;
export const asksUs = (said: string): boolean => ASKS_US.test(said);

/** Openings that ask how, when or whether to do something, as against what is the matter. */
const OF_DOING =
  /^(how|when|where|which|should|can|could|do|does|shall|would)\b|^what (do|should|can|would|shall)\b|^is (it|this|that|now)( too| still| a| the)? (late|early|time|good|right|better|best|ok|okay|safe|true|possible)\b/;
/** "How do I save it", "what should I do": asked of a plant in trouble, or of nothing in particular. */
const OF_TROUBLE =
  /\b(wrong|matter|happen\w*|problem|ill|sick|d[iy]e|dying|dead|kill\w*|save|rescue|treat\w*|spray\w*|cure|stop|prevent|control|rid|fix|help|eating|come|coming|recover|worr\w*|know|tell|say|mean|call\w*|name|identif\w*|buy|think|see|hear|happen)\b|\b(could|might|can) (it|this|that|they) be\b|\bi do( now| about it| next)?$/;

/** True for a stretch that asks how, when or whether to do something to a plant that may be well. */
export function asksToDo(tokens: readonly Token[], { from, to }: Asking): boolean {
  const said = tokens
    .slice(from, to)
    .map((token) => token.word)
    .join(' ');
  return OF_DOING.test(said) && !OF_TROUBLE.test(said);
}

/** Words by which trouble is told, whatever it is. */
const TROUBLE =
  /^(dying|die|died|dead|brown\w*|yellow\w*|black|grey|rot\w*|mould\w*|wilt\w*|sick|burn\w*|hole|holes|spot\w*|spots|white|worm\w*|maggot\w*|eat\w*|eaten|chew\w*|thin|collapsed|toppled|nothing|something|somebody|stripes|strips|sulks|flies|tunnel\w*|scrapes|hanging|fell|falling|gone|went|lumpy|froze|frozen)$/;
/** "Dead heads", "somebody told me", "the white one", "it has yellow flowers": words of trouble that tell of none. */
const NO_TROUBLE = [
  /^dead (head|heads|heading)$/,
  /^(somebody|something) (i )?(said|says|told|tells|read|heard)$/,
  /^(brown|yellow|black|grey|white)( \w+)? (one|ones|sort|kind|variety|flowers|flowering|flowered)$/,
];
/** Words of the longest of them. */
const LONGEST_OF_NONE = 3;

/** "The flowers have all gone": they go in their time. */
const FLOWERS = /^(flowers?|blooms?|blossoms?|petals?|flowering)$/;
const GONE = /^(gone|went|fell|falling|died|dead)$/;
const BETWEEN = /^(have|has|are|is|its|all|now|just)$/;

function areFlowersOver(tokens: readonly Pick<Token, 'word'>[], at: number): boolean {
  let i = at - 1;
  while (BETWEEN.test(tokens[i]?.word ?? '')) i -= 1;
  return GONE.test(tokens[at]!.word) && FLOWERS.test(tokens[i]?.word ?? '');
}

function isNoTrouble(tokens: readonly Pick<Token, 'word'>[], at: number): boolean {
  if (areFlowersOver(tokens, at)) return true;
  const words = tokens.slice(at, at + LONGEST_OF_NONE).map((token) => token.word);
  return words.some((_, end) => NO_TROUBLE.some((idiom) => idiom.test(words.slice(0, end + 1).join(' '))));
}

/** True for talk that tells of trouble, even where nobody reads what. */
export const tellsTrouble = (tokens: readonly Token[]): boolean => tokens.some(({ word }, at) => TROUBLE.test(word) && !isNoTrouble(tokens, at));

/** Words that ask what to think of a thing, not whether it is there: "is it normal that the lower leaves go yellow", "are the white dots harmful". */
const JUDGED =
  /\b(normal|natural|usual|unusual|common|typical|supposed|meant|worr(y|ied) (about|if|that|when|over)|concerned|serious|harmful|harmless|dangerous|worrying|(a|any) (problem|worry|concern|issue|bad sign|good sign)|(ok|okay|alright|all right|fine|bad|good|right|wrong|odd|strange|weird|healthy)( (that|if|for|when|to)\b|$))/;
/** True for the words of a question that takes what it speaks of for granted. */
export const asksOpinion = (tokens: readonly Pick<Token, 'word'>[]): boolean => JUDGED.test(tokens.map(({ word }) => word).join(' '));

/** What is done about a thing, or gone through with it. */
const ABOUT_IT =
  /^(survive|survives|recover|recovers|cope|live|over|through|treat|cut|prune|trim|remove|take|pull|clear|pick|strip|dig|throw|bin|burn|spray|wash|wipe|scrape|rub|save|cure|stop|kill|contagious|catching|infectious)$/;
/** True where what stands behind these words of a question is there: "is it too late to treat | the spots", "will it survive with | yellow leaves". */
export const takesForGranted = (before: readonly Pick<Token, 'word'>[]): boolean => before.some(({ word }) => ABOUT_IT.test(word));

const VERDICT = /^(normal|natural|usual|healthy|fine|ok|okay|alright|good|right)$/;
/** True for the word of such a question that asks for the verdict: "are yellow leaves | normal". */
export const isVerdict = ({ word }: Token): boolean => VERDICT.test(word);
