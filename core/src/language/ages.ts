import { daysSaid, STRETCH } from './durations.ts';

/** How long a plant has stood where it is, as callers say it unasked: "planted six years ago", "in its third summer", "had it eighteen months". */
const ABOUT = '(?: (?:for|about|around|some|over|nearly|almost|only|just|maybe|now|probably|well over|more than|less than|at least|a good))*';
const IT = String.raw`(?:it|them|him|her|mine|this(?: one| tree| plant)?|these)`;
/** Bought or laid, and no plant. */
const NO_PLANT = String.raw`(?:seeds?|packets?|spray|feed|fertili[sz]er|compost|soil|manure|house|home|flat|cottage|place|property|garden|allotment|land|driveway|patio)\b`;
const anything = (but = '') => String.raw`(?:${IT}|(?:${but}[\w-]+ ){0,5}?${but}[\w-]+)`;
const SET = String.raw`(?:(?:planted|transplanted|sown|sowed)(?: ${anything()})?|bought(?: ${anything(`(?!${NO_PLANT})`)})?|laid(?: (?:it|(?:the |new |our )*(?:turf|sod|lawn)))?|(?:put|got|given|moved) ${IT}|put in|put down|went in)`;
const PLACE = String.raw`(?:in the ground|in (?:that|this|the same) (?:place|spot|bed|border|pot)|since (?:planting|we planted|i planted|it was planted)|from (?:seed|planting)|established)`;

/** Each way of saying one. */
const SAYINGS = [
  String.raw`\b${SET}(?: in| down| here| there| out| from \w+| as \w+ \w+)?${ABOUT} ${STRETCH} (?:ago|back)\b`,
  String.raw`\b${STRETCH} (?:ago|back),? (?:i|we|he|she|they)(?: first)? (?:planted|bought|got|sowed|laid|put)\b`,
  String.raw`\b${STRETCH}[ -]old\b(?! (?:ones?|leaves|leaf|wood|seeds?|compost|growth|boy|girl|son|daughter|child|bed))`,
  String.raw`\b(?:had|owned) ${IT}${ABOUT} ${STRETCH}\b(?! (?:of|ago))`,
  String.raw`\b(?:has|it's|he's|she's|it had) (?:been|stood|lived|grown)(?: growing| standing)? (?:there|here|in|${PLACE})${ABOUT} ${STRETCH}\b`,
  String.raw`\b${STRETCH} ${PLACE}`,
].map((source) => new RegExp(source, 'g'));

const ORDINALS = 'first second third fourth fifth sixth seventh eighth ninth tenth'.split(' ');
const DIGITS = ['1st', '2nd', '3rd', '4th', '5th', '6th', '7th', '8th', '9th', '10th'];
const ITS_NTH = new RegExp(
  String.raw`\b(?:in |is |this is |it's |for )?(?:its|their|the (?:plant|tree|bush|hedge|vine|lawn)'s) (${[...ORDINALS, ...DIGITS].join('|')}) (?:year|season|summer|winter|spring|autumn)\b(?! (?:running|in a row|of (?!growth|its)))`,
);
/** Where a time is that of something else, a problem, a leaf, a caller, or denied. */
const OF_SOMETHING_ELSE =
  /\b(?:problem|flowers?|seeds?|packet|trouble|driveway|path|patio|paving|drains?|fence|wall|symptoms?|spots?|leaves|leaf|shoots?|son|daughter|child|boy|girl|dog|cat|house|i am|i'm|he's been|compost|feed|not|isn't|aren't|hasn't)\b[^,;.]{0,12}$/;

export interface SaidAge {
  days: number;
  /** In which words. */
  from: string;
}

/** The time a plant is said to have stood, in days; null where none is. */
export function ageSaid(text: string): SaidAge | null {
  const lower = text.toLowerCase().replace(/’/g, "'");
  const nth = ITS_NTH.exec(lower);
  if (nth) return { days: yearsAt(nth[1]!) * 365, from: nth[0].trim() };
  for (const saying of SAYINGS)
    for (const match of lower.matchAll(saying)) {
      const days = daysSaid(match[0]);
      if (days !== null && !OF_SOMETHING_ELSE.test(lower.slice(0, match.index))) return { days, from: match[0].trim() };
    }
  return null;
}

/** In its first year it has stood for half a one. */
function yearsAt(ordinal: string): number {
  const n = Math.max(ORDINALS.indexOf(ordinal), DIGITS.indexOf(ordinal));
  return n === 0 ? 0.5 : n;
}
