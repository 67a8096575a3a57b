import type { Cause } from '../edition/causes.ts';
import { longDate } from '../season/calendar.ts';
import { isWorkable } from '../season/windows.ts';
import { CREATURES, type Circumstances } from './circumstances.ts';
import type { OptionStanding } from './decide.ts';

export interface Verdict extends OptionStanding {
  /** Why it is ruled out here; empty = it can be done. */
  against: string[];
  /** What to mind when it is done. */
  mind: string[];
}

/** From the ground with a garden sprayer nobody reaches higher (common practice: trees of thirty feet are not a caller's work). */
const REACH_M = 3;
/** Treating for so many years may not cost more than a new plant. */
const YEARS_OF_TREATING = 3;

const isSpray = ({ option }: OptionStanding) => option.act === 'contact' || option.act === 'systemic';
/** Options that work only on a creature that is there. */
const needsCulprit = (standing: OptionStanding) => isSpray(standing) || standing.option.act === 'biological';

/** One rule of the trade: what it says against an option in these circumstances, or null. */
type Rule = (standing: OptionStanding, cause: Cause, known: Circumstances) => string | null;

const RULES: readonly Rule[] = [
  ({ option }) => (option.offLine ? `this desk follows another line: ${option.offLine.toLowerCase()}` : null),
  (s, cause, { culprit }) => {
    if (!needsCulprit(s) || !CREATURES.has(cause.kind)) return null;
    if (culprit === 'gone') return 'the culprit has left: nothing is there to treat';
    return culprit === 'not-found' ? 'no living one was found: look again before treating' : null;
  },
  (s, _cause, { damage }) => (isSpray(s) && damage === 'stopped' ? 'the damage has stopped, and old damage does not heal' : null),
  (s, _cause, { atStake, wish }) =>
    isSpray(s) && atStake === 'looks' && wish !== 'wants-gone' ? 'only its looks are at stake, and it grows out' : null,
  (s, _cause, { seasonLeft, atStake }) =>
    isSpray(s) && seasonLeft === 'little' && atStake !== 'life' ? 'the season is nearly over: it would not pay any more' : null,
  (s, _cause, { wish }) => (isSpray(s) && wish === 'no-spray' ? 'the caller will not spray' : null),
  (s, _cause, { wish }) => (isSpray(s) && wish === 'least-toxic' && !s.option.leastToxic ? 'the caller wants the least toxic only' : null),
  (s, _cause, { inBloom }) => (isSpray(s) && inBloom ? 'the plant is in flower: it would hit bees' : null),
  (s, _cause, { heightM }) =>
    isSpray(s) && heightM !== null && heightM > REACH_M ? `${heightM} m is out of reach from the ground: licensed work, if anything` : null,
  ({ option }, _cause, { underGlass }) => (option.underGlass && underGlass === false ? 'out of doors what is released does not stay' : null),
  (s, _cause, { nearWater }) => (s.option.act === 'systemic' && nearWater ? 'water is near: a drench washes into it' : null),
  (s, _cause, { edible }) => (s.option.act === 'systemic' && edible ? 'it would be taken up into what is eaten' : null),
  (s, _cause, { costAYear, costToReplace }) =>
    isSpray(s) && costAYear !== null && costToReplace !== null && costAYear * YEARS_OF_TREATING > costToReplace
      ? `${YEARS_OF_TREATING} years of it (${costAYear * YEARS_OF_TREATING}) cost more than a new plant (${costToReplace})`
      : null,
  (s, cause, { plantIs, recurs, wish }) =>
    isSpray(s) && plantIs === 'strong' && recurs !== 'every-year' && wish !== 'wants-gone' && CREATURES.has(cause.kind)
      ? 'the plant carries it: leave it to its enemies until the newest growth suffers'
      : null,
];

function mindful(standing: OptionStanding, { children, pets, nearWater, edible, harvestOn, inBloom }: Circumstances): string[] {
  const minds: string[] = [];
  if (isSpray(standing)) {
    if (children || pets)
      minds.push(`keep ${[children && 'children', pets && 'pets'].filter(Boolean).join(' and ')} away until it has dried, as the label says`);
    if (nearWater) minds.push('keep off the water by the distance on the label');
    if (edible || harvestOn) minds.push('the wait before picking on the label binds');
    if (inBloom === null) minds.push('not while it is in flower');
  }
  return minds;
}

/** Each option with what speaks against it here. Order is kept: gentlest first. */
export const verdictsOf = (cause: Cause, standings: readonly OptionStanding[], known: Circumstances): Verdict[] =>
  standings.map((standing) => ({
    ...standing,
    against: RULES.flatMap((rule) => rule(standing, cause, known) ?? []),
    mind: mindful(standing, known),
  }));

export const isPossible = (verdict: Verdict): boolean => verdict.against.length === 0;
export const canBeDoneNow = (verdict: Verdict): boolean =>
  isPossible(verdict) && (isWorkable(verdict.timing.state) || verdict.timing.state === 'unknown');

/** In words: what is known that bears on the decision, for the record and the reply; that a plant is eaten bears on sprays alone. */
export function reasonsInWords(known: Circumstances, options: readonly OptionStanding[]): string[] {
  const words: (string | false | null)[] = [
    known.culprit === 'present' && 'the culprit is still there',
    known.culprit === 'gone' && 'the culprit has left',
    known.culprit === 'not-found' && 'no living culprit was found',
    known.damage === 'going-on' && 'the damage goes on',
    known.damage === 'stopped' && 'the damage has stopped',
    known.plantIs === 'strong' && 'the plant is strong',
    known.plantIs === 'weak' && 'the plant is weak',
    known.young === true && 'it is young',
    known.recurs === 'every-year' && 'it comes every year',
    known.recurs === 'first-time' && 'it is the first time',
    known.atStake === 'looks' && 'only its looks are at stake',
    known.atStake === 'crop' && 'the crop is at stake',
    known.atStake === 'life' && 'the plant may die of it',
    known.seasonLeft === 'little' && 'the season is nearly over',
    known.edible && options.some(isSpray) && 'it is grown to be eaten',
    known.inBloom && 'it is in flower',
    known.heightM !== null && `it is ${known.heightM} m high`,
    known.nearWater && 'water is near',
    known.underGlass && 'it stands under glass',
    known.children && 'children play there',
    known.pets && 'pets live there',
    known.harvestOn !== null && `picking is due ${longDate(known.harvestOn)}`,
    known.wish === 'no-spray' && 'the caller will not spray',
    known.wish === 'least-toxic' && 'the caller wants the least toxic',
    known.wish === 'wants-gone' && 'the caller wants it gone',
  ];
  return words.filter((word): word is string => typeof word === 'string');
}
