import { isAmong } from '../edition/hosts.ts';
import { inSentence } from '../edition/names.ts';
import { UNLISTED, type Cause } from '../edition/causes.ts';
import { ACTS, type Act, type TreatmentOption } from '../edition/options.ts';
import type { Plant } from '../edition/plants.ts';
import { longDate, type IsoDate } from '../season/calendar.ts';
import { isWorkable, windowStanding, type SeasonContext, type WindowStanding } from '../season/windows.ts';
import { NOTHING_KNOWN, type Circumstances } from './circumstances.ts';
import { canBeDoneNow, isPossible, verdictsOf, type Verdict } from './verdicts.ts';

export interface OptionStanding {
  option: TreatmentOption;
  timing: WindowStanding;
}

export interface Decision {
  act: Act;
  /** One or two sentences, fit to read out. */
  why: string;
  /** Id of the option chosen, when the act is more than leaving alone or referring. */
  option: string | null;
  /** The day to note down when this year is too late or too early. */
  noteFor: IsoDate | null;
  /** False while the standing is too open to act on: the advice is the leader's, not yet the caller's. */
  firm: boolean;
}

/** What the advisor chose instead, and why: kept with the case, said in the reply. */
export interface Overrule {
  /** An option of the leading cause; null = leave it alone. */
  option: string | null;
  why: string;
}

const ANY_TIME = { id: 'any-time', name: 'any time', anyTime: true as const };

/** An option with what is to be minded on this plant; with all there is to mind while nobody has named the plant. */
function withItsCautions({ cautionsOn, ...option }: TreatmentOption, plant: Plant | null): TreatmentOption {
  const isMeant = cautionsOn && (plant === null || isAmong(cautionsOn.hosts, plant));
  return isMeant ? { ...option, cautions: [...option.cautions, ...cautionsOn.say] } : option;
}

/**
 * The options of a cause on a plant. What holds on certain hosts only drops out on others, and stands in place of the same work as it is done everywhere;
 * each has the cautions that this plant wants.
 */
export function optionsOn(cause: Cause, plant: Plant | null): TreatmentOption[] {
  const own = cause.options.filter(({ hosts }) => hosts && plant !== null && isAmong(hosts, plant));
  return cause.options
    .filter((option) => own.includes(option) || (!option.hosts && !own.some(({ title }) => title === option.title)))
    .map((option) => withItsCautions(option, plant));
}

/** What a cause is answered with as a rule; what is said for the very host goes first. */
export function preferredAmong<T>(items: readonly T[], optionOf: (item: T) => TreatmentOption): T | undefined {
  const preferred = items.filter((item) => optionOf(item).preferred);
  return preferred.find((item) => optionOf(item).hosts) ?? preferred[0] ?? items[0];
}

/** Every option of a cause on a plant with where its window stands, gentlest first. */
export function optionStandings(cause: Cause, context: SeasonContext, plant: Plant | null = null): OptionStanding[] {
  return optionsOn(cause, plant)
    .map((option) => {
      const window = cause.windows.find((w) => w.id === option.window);
      return { option, timing: windowStanding(window ?? { ...ANY_TIME, mark: option.mark }, context) };
    })
    .sort((a, b) => ACTS.indexOf(a.option.act) - ACTS.indexOf(b.option.act));
}

const noteDate = ({ timing }: OptionStanding): IsoDate | null => (timing.state === 'not-yet' ? timing.from : timing.nextFrom);

const isGentle = ({ option }: OptionStanding): boolean =>
  option.act !== 'leave' && option.effect !== 'poor' && ACTS.indexOf(option.act) < ACTS.indexOf('contact');

/** A title in the middle of a sentence. */
const asSaid = (title: string): string => title.charAt(0).toLowerCase() + title.slice(1);

type Advice = Omit<Decision, 'firm'>;

/** Why an option is advised: what is said for this very host or place stands for itself, the cause's line would speak of others. */
function worthOf(cause: Cause, option: TreatmentOption | undefined): string {
  if (option?.underGlass) return `Under glass what is released stays, and keeps it down: ${option.title}.`;
  return option?.hosts ? option.how : cause.worth;
}

/** Nothing needs doing; who minds it all the same is told when something gentle would next make sense, unless it can be done now and is read off the list. */
function leaveAlone(cause: Cause, verdicts: readonly Verdict[], option: TreatmentOption | undefined): Advice {
  const gentle = verdicts.filter(isGentle);
  const later = gentle.some(canBeDoneNow) ? undefined : gentle.find((verdict) => isPossible(verdict) && noteDate(verdict) !== null);
  const date = later ? noteDate(later) : null;
  const offer = later && date ? ` If it bothers you: ${asSaid(later.option.title)}, from about ${longDate(date)}.` : '';
  return { act: 'leave', why: worthOf(cause, option) + offer, option: option?.id ?? null, noteFor: date };
}

/** Leaving alone has a time of its own: late in the season there is nothing left to save. */
export const isTimeToLeave = ({ option, timing }: OptionStanding): boolean =>
  option.act === 'leave' && (timing.state === 'open' || timing.state === 'closing');

/** A caller who wants it gone is answered with the surest thing that can be done now, gentle before strong among equals. */
function surest(verdicts: readonly Verdict[]): Verdict | undefined {
  const now = verdicts.filter((v) => canBeDoneNow(v) && v.option.act !== 'leave' && v.option.act !== 'refer');
  return now.find(({ option }) => option.effect === 'good') ?? now.find(({ option }) => option.effect === 'fair');
}

const CARRIES_LESS = 'A young plant cannot carry what a grown one does';

function chosen(cause: Cause, { option }: OptionStanding, extra = ''): Advice {
  return { act: option.act, why: worthOf(cause, option) + extra, option: option.id, noteFor: null };
}

function adviceFor(cause: Cause, verdicts: readonly Verdict[], known: Circumstances): Advice {
  const atHome = known.underGlass ? verdicts.find((verdict) => verdict.option.underGlass && canBeDoneNow(verdict)) : undefined;
  const preferred = atHome ?? preferredAmong(verdicts, ({ option }) => option);
  if (cause.notifiable && preferred) return chosen(cause, preferred, ' It may be notifiable: tell the plant health authority and move no material.');
  if (known.wish === 'wants-gone') {
    const sure = surest(verdicts);
    if (sure) return chosen(cause, sure, ` To be rid of it: ${asSaid(sure.option.title)}.`);
  }
  const late = verdicts.find(isTimeToLeave);
  if (late) return { act: 'leave', why: late.option.how, option: late.option.id, noteFor: null };
  const young = known.young && !atHome ? verdicts.find((verdict) => verdict.option.young && canBeDoneNow(verdict)) : undefined;
  if (young) return { act: young.option.act, why: `${CARRIES_LESS}: ${asSaid(young.option.title)}.`, option: young.option.id, noteFor: null };
  if (!preferred || preferred.option.act === 'leave') return leaveAlone(cause, verdicts, preferred?.option);
  if (canBeDoneNow(preferred)) return chosen(cause, preferred);
  const date = isPossible(preferred) ? noteDate(preferred) : null;
  const meanwhile = verdicts.filter(
    (v) => v.option !== preferred.option && isGentle(v) && v.option.act !== 'refer' && isPossible(v) && isWorkable(v.timing.state),
  );
  // the surer of what is gentle, not merely the first
  const instead = meanwhile.find(({ option }) => option.effect === 'good') ?? meanwhile[0];
  const wait = isPossible(preferred)
    ? `${preferred.timing.state === 'closed' ? 'Too late for that this season' : 'Too early for that yet'}${date ? `; note ${longDate(date)}` : ''} for: ${preferred.option.title}.`
    : `Not ${asSaid(preferred.option.title)}: ${preferred.against[0] ?? ''}.`;
  // a spray out of its time is no answer; cutting out, clearing up or a better place is, with the day for it
  // what hands can do well today comes before what is due next year
  const handsOn = instead?.option.effect === 'good' && instead.option.act === 'physical';
  if (isGentle(preferred) && date && !handsOn) {
    const until = instead ? ` Until then: ${instead.option.title}.` : '';
    return { act: preferred.option.act, why: `${cause.worth} ${wait}${until}`, option: preferred.option.id, noteFor: date };
  }
  return instead
    ? {
        act: instead.option.act,
        why: `${cause.worth} ${wait} ${date ? 'Until then' : 'Instead'}: ${instead.option.title}.`,
        option: instead.option.id,
        noteFor: date,
      }
    : { act: 'leave', why: `${cause.worth} ${wait}`, option: null, noteFor: date };
}

/** The rung a cause is answered with on this day: what "same advice" means. */
export const actOf = (cause: Cause, standings: readonly OptionStanding[], known: Circumstances = NOTHING_KNOWN): Act =>
  adviceFor(cause, verdictsOf(cause, standings, known), known).act;

/** Before anything was seen there is nothing to act on, whatever is common at this time of year. */
export const NOTHING_SEEN: Decision = {
  act: 'leave',
  why: 'Nothing has been seen or told yet that calls for action.',
  option: null,
  noteFor: null,
  firm: false,
};

const STUMPED: Decision = {
  act: 'refer',
  why: 'Nothing on record explains this well. Send a fresh, partly affected sample to a laboratory or hand the case to a specialist before treating anything.',
  option: null,
  noteFor: null,
  firm: true,
};

/** How sure one may be of the leader: as it stands, and with part of the trust in the way it was put (see WORDS_TRUSTED). */
export interface Sureness {
  stated: number;
  sober: number;
}

/** A leader below this is a guess: the advice waits for a better look. */
export const FIRM = 0.5;

/** Sure enough for whatever can be taken back, though more of it rests on the wording: of such leaders 93 in 100 were right (decision 61). */
const SAID_PLAINLY = 0.7;
const HARD_TO_TAKE_BACK: ReadonlySet<Act> = new Set<Act>(['contact', 'systemic', 'remove']);

/** What is hard to take back waits for the surer look even where it is only noted for its day. */
function isFirm({ stated, sober }: Sureness, act: Act, verdicts: readonly Verdict[]): boolean {
  const acts = [act, ...verdicts.filter(({ option }) => option.preferred).map(({ option }) => option.act)];
  return sober >= FIRM || (stated >= SAID_PLAINLY && !acts.some((one) => HARD_TO_TAKE_BACK.has(one)));
}

/**
 * Is anything worth doing, and what? The likeliest cause's preferred option if its window and the circumstances allow it, else the
 * gentlest that can be done now, else leave and note the date. *Unlisted* in the lead is referred.
 */
export function decide(cause: Cause | null, sureness: Sureness, verdicts: readonly Verdict[], known: Circumstances = NOTHING_KNOWN): Decision {
  if (cause === null || cause.id === UNLISTED) return STUMPED;
  const advice = adviceFor(cause, verdicts, known);
  if (isFirm(sureness, advice.act, verdicts)) return { ...advice, firm: true };
  return { ...advice, why: `Not sure enough to act on yet. If it is ${inSentence(cause.name)}: ${advice.why}`, firm: false };
}

/** The decision the advisor made instead. A way that is ruled out by the law or the label stays so: see treatment/labels. */
export function overruled(decision: Decision, verdicts: readonly Verdict[], { option, why }: Overrule): Decision {
  const instead = verdicts.find((v) => v.option.id === option);
  if (!instead) return { act: 'leave', why, option: null, noteFor: decision.noteFor, firm: true };
  return { act: instead.option.act, why, option: instead.option.id, noteFor: canBeDoneNow(instead) ? null : noteDate(instead), firm: true };
}
