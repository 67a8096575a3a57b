import { NUMERAL, numberSaid, TENS } from './numbers.ts';

/** Temperatures as they are said of the weather: "minus two", "38 in the shade", "it got down to 28", "in the nineties". */
/** "The high thirties": where in the ten. */
const IN_THE_TEN: Readonly<Record<string, number>> = { low: 2, lower: 2, mid: 5, middle: 5, high: 8, upper: 8, '': 5 };
const DECADE = `(?:(?:low|lower|mid|middle|high|upper)[ -])?(?:${TENS.map((ten) => ten.replace(/y$/, 'ies')).join('|')})`;
const NUMBER = String.raw`(?:\d{1,3}(?:[.,]\d)?|${NUMERAL}|${DECADE})`;

const unitOf = String.raw`(?:\s*(?:degrees?|°|º|deg))?(?:\s*(celsius|centigrade|fahrenheit|[cf])\b)?`;
/** What makes the number a length, a share, a time or a count instead. */
const NO_OTHER_UNIT = String.raw`(?!\d|\s*(?:%|per ?cents?|[cm]m|k?m|met(?:re|er)s?|kilomet(?:re|er)s?|inch(?:es)?|in(?=\s*(?:$|[.,;]|long|tall|high|across|wide|deep|thick))|f(?:ee|oo)?t|yards?|minutes?|hours?|days?|weeks?|months?|years?|times|lit(?:re|er)s?|gallons?|ml|k?g|grams?|plants?|trees?|lea(?:f|ves)|of (?!frost)|["':/x-])(?![a-z]))`;

const WEATHER = String.raw`(?:temperatures?|temps?|thermometer|mercury|nights? (?:of|at|around|down to)|frost of|freeze of)`;
const FALLING = String.raw`(?:down (?:to|into)|(?:dipp|dropp)\w* (?:to|below|into)|(?:fell|sank|plunged|went|gone|goes|fall\w*) (?:to|below|into)|got (?:to )?below|lows? (?:of|in|around|about|near))`;
const RISING = String.raw`(?:hit\w*|reach\w*|topp\w+|touch\w*|climb\w* to|got to|up to|over|above|past|well into|highs? (?:of|in|around))`;
/** What may stand behind a number without a unit: "it hit 40 last week", but not "up to 40 spots". */
const BY_ITSELF = String.raw`(?=\s*(?:$|[.,;!?)]|(?:last|this|the|in|on|at|for|before|after|during|every|each|all|again|by|yesterday|today|over|when|and|but|there|here|outside|one|most|some|that|plus|or|degrees?|°|c|f|celsius|centigrade|fahrenheit)\b|°))`;
const LOOSE = String.raw`(?: (?:about|around|nearly|almost|just|the|maybe|some|only|as low as|as high as))*`;

/** Each way of saying one; the number in the first group, its unit in the second. */
const SAYINGS: { pattern: RegExp; way: Way; below?: true }[] = [
  {
    pattern: new RegExp(String.raw`(?:\b(?:minus|negative) |(?<![\w.,-])[-−–](?=\d))(${NUMBER})\b${unitOf}${NO_OTHER_UNIT}`, 'g'),
    way: 'low',
    below: true,
  },
  {
    pattern: new RegExp(
      String.raw`\b(${NUMBER})${unitOf} (?:below(?: zero| nought| freezing)?(?= *(?:[.,;!?]|$|one|last|at|in|that|on|all|for|and|by|over))|of frost)`,
      'g',
    ),
    way: 'low',
    below: true,
  },
  { pattern: new RegExp(String.raw`\b${FALLING}${LOOSE} (${NUMBER})\b${BY_ITSELF}${unitOf}${NO_OTHER_UNIT}`, 'g'), way: 'low' },
  { pattern: new RegExp(String.raw`\b${RISING}${LOOSE} (${NUMBER})\b${BY_ITSELF}${unitOf}${NO_OTHER_UNIT}`, 'g'), way: 'high' },
  { pattern: new RegExp(String.raw`\b${WEATHER}\b[^.;!?\d]{0,24}?\b(${NUMBER})\b${unitOf}${NO_OTHER_UNIT}`, 'g'), way: 'plain' },
  { pattern: new RegExp(String.raw`\b(${NUMBER})\b${unitOf}(?= in the shade)`, 'g'), way: 'high' },
  {
    pattern: new RegExp(
      String.raw`\b(?:days?|weeks?|afternoons?|fortnight|spell) (?:of|over|at|above)${LOOSE} (${NUMBER})\b${BY_ITSELF}${unitOf}${NO_OTHER_UNIT}`,
      'g',
    ),
    way: 'plain',
  },
  { pattern: new RegExp(String.raw`\bin the (${DECADE})\b${unitOf}`, 'g'), way: 'plain' },
  {
    pattern: new RegExp(
      String.raw`\b(?:it's|it was|it has|been|we had|we've had|had) (?:been )?(?:in )?${LOOSE} ?(${NUMBER})\b${BY_ITSELF}${unitOf}${NO_OTHER_UNIT}`,
      'g',
    ),
    way: 'weather',
  },
  { pattern: new RegExp(String.raw`\b(${NUMBER})\s*(?:degrees?|°|º|deg)\s*(celsius|centigrade|fahrenheit|[cf]\b)?`, 'g'), way: 'plain' },
  { pattern: new RegExp(String.raw`\b(\d{1,3})\s?(c|f)\b(?!['’])`, 'g'), way: 'plain' },
];

type Way = 'low' | 'high' | 'plain' | 'weather';

export interface SaidTemperature {
  celsius: number;
  /** Told as how far it fell, as how far it rose, or neither. */
  way: 'low' | 'high' | 'plain';
  /** In which words. */
  from: string;
}

const COLD_WORDS = /\b(?:nights?|overnight|dawn|small hours|winter|frosts?|freezes?|froze\w*|snow|ice|icy|cold|chill\w*|low|lows)\b/;
const HEAT_WORDS =
  /\b(?:heat\w*|hot|hottest|summer|sun|afternoons?|shade|baking|scorch\w*|every day|all week|for days|weeks?|greenhouse|polytunnel|conservatory)\b/;
/** Not of the weather: a store, a soil, a can of water. */
const OF_SOMETHING_ELSE = /\b(?:stor\w+|fridge|refrigerator|cellar|soil|compost|water\w*|oven|wash\w*|rotat\w+|turn\w*|angle|lean\w*)\b[^,;.]{0,20}$/;
/** What may be said of an age or a number of things as well, unless degrees are named. */
const OF_ANY_COUNT = /^(?:over|above|past|up to|well into)\b(?!.*(?:deg|°|º))/;
const DENIED = /\b(?:never|not|hasn't|haven't|hadn't|didn't|doesn't|wasn't|isn't|won't)\b[^,;.]{0,24}$/;
/** "Will it survive minus three?" is asked ahead of the frost. */
const ASKED_AHEAD = /\b(?:will|would|can|could|does|do|should)\b.*\b(?:surviv\w*|stand|take|cope|need|protect\w*|tolerate|manage)\b.*\?/;

/** No weather is colder or hotter, in °C. */
const COLDEST = -50;
const HOTTEST = 52;
/** Without a unit, so much is Fahrenheit; so little told as a low is Celsius. */
const SURELY_FAHRENHEIT = 60;
const LOW_IN_FAHRENHEIT = 20;

const asCelsius = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9;

function numberOf(said: string): number {
  const decade = /^(?:(\w+)[ -])?(\w+)ies$/.exec(said);
  return decade ? numberSaid(`${decade[2]!}y`) + (IN_THE_TEN[decade[1] ?? ''] ?? 5) : numberSaid(said);
}

/** @param hasFallen told as what it fell to: nobody remarks on 28 °C as a low */
function celsiusOf(amount: number, unit: string | undefined, hasFallen: boolean): number {
  if (unit?.startsWith('f')) return asCelsius(amount);
  if (unit || amount < 0) return amount;
  if (amount >= SURELY_FAHRENHEIT) return asCelsius(amount);
  return hasFallen && amount >= LOW_IN_FAHRENHEIT ? asCelsius(amount) : amount;
}

/** Every temperature of the weather said in a text. Where no unit is said, the amount and how it is told decide: "down to 28" is Fahrenheit, "38 in the shade" is not. */
export function temperaturesSaid(text: string): SaidTemperature[] {
  const lower = text.toLowerCase().replace(/’/g, "'");
  if (ASKED_AHEAD.test(lower)) return [];
  const isCold = COLD_WORDS.test(lower);
  const isHot = HEAT_WORDS.test(lower);
  const spans: [from: number, to: number][] = [];
  return SAYINGS.flatMap(({ pattern, way, below }) =>
    [...lower.matchAll(pattern)].flatMap((match): SaidTemperature[] => {
      const [start, end] = [match.index, match.index + match[0].length];
      if (spans.some(([from, to]) => start < to && end > from)) return [];
      const before = lower.slice(0, start);
      if (OF_SOMETHING_ELSE.test(before) || DENIED.test(before)) return [];
      // "it has been forty" is a temperature only where heat is spoken of
      if (way === 'weather' && !isHot && !match[2]) return [];
      // "she is over ninety"
      if (OF_ANY_COUNT.test(match[0]) && !isHot && !match[2]) return [];
      const told = way === 'weather' || way === 'plain' ? (isCold && !isHot ? 'low' : 'plain') : way;
      const celsius = celsiusOf(numberOf(match[1]!) * (below ? -1 : 1), match[2], way === 'low');
      if (celsius < COLDEST || celsius > HOTTEST) return [];
      spans.push([start, end]);
      return [{ celsius, way: told, from: match[0].trim() }];
    }),
  );
}

/** So little is a frost however it is told; a cool day is none. */
const FROST = 2;

export interface SaidExtreme {
  celsius: number;
  from: string;
}

const mostOf = (said: readonly SaidTemperature[], isMore: (a: number, b: number) => boolean): SaidExtreme | null =>
  said.reduce<SaidExtreme | null>((most, one) => (most && !isMore(one.celsius, most.celsius) ? most : one), null);

/** The lowest temperature told as one; null where none is. */
export const coldestSaid = (text: string): SaidExtreme | null =>
  mostOf(
    temperaturesSaid(text).filter(({ celsius, way }) => way === 'low' || (way === 'plain' && celsius <= FROST)),
    (a, b) => a < b,
  );

/** The highest temperature told, but not as a low; null where none is. */
export const hottestSaid = (text: string): SaidExtreme | null =>
  mostOf(
    temperaturesSaid(text).filter(({ way }) => way !== 'low'),
    (a, b) => a > b,
  );

const BARE = new RegExp(String.raw`^(?:\w+ ){0,3}?(${NUMBER})\b${unitOf}${NO_OTHER_UNIT}`);

/** A number that answers "how hot was it?" or "how cold?"; null where none is said. */
export function temperatureAnswered(say: string, way: 'low' | 'high'): SaidExtreme | null {
  const said = way === 'low' ? coldestSaid(say) : hottestSaid(say);
  if (said) return said;
  const [from, number, unit] = BARE.exec(say.toLowerCase().trim()) ?? [];
  return number === undefined ? null : { celsius: celsiusOf(numberOf(number), unit, way === 'low'), from: from! };
}
