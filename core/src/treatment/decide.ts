import { ACTS, UNLISTED, type Act, type Cause, type TreatmentOption } from '../edition/edition.ts';
import { longDate, type IsoDate } from '../season/calendar.ts';
import { isWorkable, windowStanding, type SeasonContext, type WindowStanding } from '../season/windows.ts';

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

const ANY_TIME = { id: 'any-time', name: 'any time', anyTime: true as const };

/** Every option of a cause with where its window stands, gentlest first. */
export function optionStandings(cause: Cause, context: SeasonContext): OptionStanding[] {
  return cause.options
    .map((option) => {
      const window = cause.windows.find((w) => w.id === option.window);
      return { option, timing: windowStanding(window ?? { ...ANY_TIME, mark: option.mark }, context) };
    })
    .sort((a, b) => ACTS.indexOf(a.option.act) - ACTS.indexOf(b.option.act));
}

const noteDate = ({ timing }: OptionStanding): IsoDate | null => (timing.state === 'not-yet' ? timing.from : timing.nextFrom);

const isGentle = ({ option }: OptionStanding): boolean =>
  option.act !== 'leave' && option.effect !== 'poor' && ACTS.indexOf(option.act) < ACTS.indexOf('contact');

/** Nothing needs doing; who minds it all the same is told when something gentle would next make sense. */
function leaveAlone(cause: Cause, standings: readonly OptionStanding[], option: string | null): Omit<Decision, 'firm'> {
  const later = standings.find((standing) => isGentle(standing) && noteDate(standing) !== null);
  const date = later ? noteDate(later) : null;
  const offer = later && date ? ` If it bothers you: ${later.option.title.toLowerCase()}, from about ${longDate(date)}.` : '';
  return { act: 'leave', why: cause.worth + offer, option, noteFor: date };
}

function adviceFor(cause: Cause, standings: readonly OptionStanding[]): Omit<Decision, 'firm'> {
  const preferred = standings.find(({ option }) => option.preferred) ?? standings[0];
  if (!preferred || preferred.option.act === 'leave') return leaveAlone(cause, standings, preferred?.option.id ?? null);
  const notify = cause.notifiable ? ' It may be notifiable: tell the plant health authority and move no material.' : '';
  if (isWorkable(preferred.timing.state) || preferred.timing.state === 'unknown' || cause.notifiable) {
    return { act: preferred.option.act, why: cause.worth + notify, option: preferred.option.id, noteFor: null };
  }
  const date = noteDate(preferred);
  const when = preferred.timing.state === 'closed' ? 'Too late for that this season' : 'Too early for that yet';
  const wait = `${when}${date ? `; note ${longDate(date)}` : ''} for: ${preferred.option.title}.`;
  const instead = standings.find(
    (standing) => standing.option !== preferred.option && isGentle(standing) && standing.option.act !== 'refer' && isWorkable(standing.timing.state),
  );
  return instead
    ? { act: instead.option.act, why: `${cause.worth} ${wait} Until then: ${instead.option.title}.`, option: instead.option.id, noteFor: date }
    : { act: 'leave', why: `${cause.worth} ${wait}`, option: null, noteFor: date };
}

/** The rung a cause is answered with on this day: what "same advice" means. */
export const actOf = (cause: Cause, standings: readonly OptionStanding[]): Act => adviceFor(cause, standings).act;

/** Before anything was seen there is nothing to act on, whatever is common at this time of year. */
export const NOTHING_SEEN: Decision = {
  act: 'leave',
  why: 'Nothing has been seen or told yet that calls for action.',
  option: null,
  noteFor: null,
  firm: false,
};

/** A leader below this is a guess: the advice waits for a better look. */
export const FIRM = 0.5;

/**
 * Is anything worth doing, and what? The likeliest cause's preferred option if its window allows it, else the gentlest
 * that can be done now, else leave and note the date. *Unlisted* in the lead is referred.
 */
export function decide(cause: Cause | null, probability: number, standings: readonly OptionStanding[]): Decision {
  if (cause === null || cause.id === UNLISTED) {
    return {
      act: 'refer',
      why: 'Nothing on record explains this well. Send a fresh, partly affected sample to a laboratory or hand the case to a specialist before treating anything.',
      option: null,
      noteFor: null,
      firm: true,
    };
  }
  const advice = adviceFor(cause, standings);
  if (probability >= FIRM) return { ...advice, firm: true };
  return { ...advice, why: `Not sure enough to act on yet. If it is ${cause.name.toLowerCase()}: ${advice.why}`, firm: false };
}
