import type { Cause, CauseKind } from '@sounding/core/edition/causes.ts';
import { CLIMATES } from '@sounding/core/edition/climates.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import type { Channel, Finding } from '@sounding/core/edition/findings.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import { UNLISTED } from '@sounding/core/edition/causes.ts';
import { CHANNEL_RELIABILITY } from '@sounding/core/edition/findings.ts';
import { STANDS_OUT } from '@sounding/core/diagnosis/enough.ts';
import { FIRM } from '@sounding/core/treatment/decide.ts';
import { Consultant, type ConsultInput } from '@sounding/core/consult/consult.ts';
import { interview } from '@sounding/core/consult/interview.ts';
import { answerShares } from '@sounding/core/library/separation.ts';
import type { Stated } from '@sounding/core/diagnosis/calibration.ts';
import type { Reading } from '@sounding/core/edition/reading.ts';
import { hostWeight } from '@sounding/core/edition/hosts.ts';
import { generator } from '@sounding/core/numbers/random.ts';

/** How many things a caller tells unasked (our own written statements hold 2.7 on average), and how many questions the desk may put. */
const TOLD_UNASKED = 3;
export const MOST_QUESTIONS = 6;
/** What is told unasked is seen rightly this often. The engine counts on less, for it must read the words besides; these callers hand over readings. */
const EYES = 0.82;
/** Acts that put something on a plant that a sound one must never get. */
const PESTICIDES = new Set(['contact', 'systemic']);

export interface SimulatedShares {
  callers: number;
  first: number;
  firstThree: number;
}

export interface SimulationResult {
  all: SimulatedShares;
  byKind: Map<CauseKind, SimulatedShares>;
  /** Causes taken for another, worst first: "true → named", with the share of the true cause's callers. */
  confusions: { cause: string; taken: string; share: number }[];
  /** Calls about a normal state that ended in a pesticide. */
  normalsSprayed: number;
  questionsACall: number;
}

type Draw = () => number;

function pick<T>(items: readonly T[], weight: (item: T) => number, random: Draw): T | undefined {
  const total = items.reduce((sum, item) => sum + weight(item), 0);
  let at = random() * total;
  for (const item of items) {
    at -= weight(item);
    if (at < 0) return item;
  }
  return items[items.length - 1];
}

/**
 * What a caller tells unasked: only what goes with the cause, the more so the more often it does; or anything unusual on the plant, the
 * more so the rarer it is, whether the cause has to do with it or not. Real callers stand between the two.
 */
export type Tells = 'of the cause' | 'all there is';

/** A caller with one cause: what is truly there to be seen, finding by finding, and what they say of it. */
export class SimulatedCaller {
  readonly truth = new Map<string, string>();

  constructor(
    private readonly edition: Edition,
    private readonly cause: Cause,
    private readonly random: Draw,
    /** How often what is told unasked is seen rightly. */
    private readonly eyes = EYES,
  ) {}

  private distribution(finding: Finding): number[] {
    return answerShares(finding, this.cause);
  }

  private seen(finding: Finding): string {
    const known = this.truth.get(finding.id);
    if (known !== undefined) return known;
    const shares = this.distribution(finding);
    const index = pick([...shares.keys()], (i) => shares[i] ?? 0, this.random) ?? 0;
    const answer = finding.answers[index]!.id;
    this.truth.set(finding.id, answer);
    return answer;
  }

  /**
   * What is said through a channel: the truth, or with the channel's unreliability anything at all.
   * @param complaint nobody rings to say that there is nothing, so a slip is then another complaint
   */
  say(finding: Finding, channel: Channel, complaint = false): Reading {
    const reliability = channel === 'caller' ? this.eyes : (finding.reliability?.[channel] ?? CHANNEL_RELIABILITY[channel]);
    const sayable = complaint ? finding.answers.filter((a) => a.id !== finding.absent) : finding.answers;
    const answer = this.random() < reliability ? this.seen(finding) : pick(sayable, (a) => a.background, this.random)!.id;
    return { finding: finding.id, answer, channel };
  }

  /** What is unusual on the plant, with how much it strikes the caller. */
  private striking(tells: Tells): { finding: Finding; weight: number }[] {
    const own = new Set(this.cause.rates.map(({ finding }) => finding));
    return this.edition.findings.flatMap((finding) => {
      if (finding.kind === 'test' || finding.phoneSeconds === null || (tells === 'of the cause' && !own.has(finding.id))) return [];
      const index = finding.answers.findIndex((a) => a.id === this.seen(finding));
      const answer = finding.answers[index]!;
      if (answer.id === finding.absent) return [];
      const weight = tells === 'all there is' ? -Math.log(answer.background) : Math.log((this.distribution(finding)[index] ?? 0) / answer.background);
      return weight > 0 ? [{ finding, weight }] : [];
    });
  }

  /** People ring about what is unusual and can be seen: first a symptom or sign, then what else strikes them. */
  opening(tells: Tells = 'of the cause'): Reading[] {
    const striking = this.striking(tells);
    const told: Reading[] = [];
    for (let n = 0; n < TOLD_UNASKED; n++) {
      const visible = striking.filter(({ finding }) => finding.kind === 'symptom' || finding.kind === 'sign');
      const one = pick(n === 0 && visible.length > 0 ? visible : striking, (t) => t.weight, this.random);
      if (!one) break;
      striking.splice(striking.indexOf(one), 1);
      told.push(this.say(one.finding, 'caller', true));
    }
    return told;
  }
}

export function situationOf(cause: Cause, plants: readonly Plant[], random: Draw): Pick<ConsultInput, 'host' | 'date' | 'climate'> {
  const hosts = plants.filter((plant) => !plant.generic && hostWeight(cause, plant) > 0);
  const host = pick(hosts, (plant) => hostWeight(cause, plant), random);
  const months = cause.months.length > 0 ? cause.months : [3, 4, 5, 6, 7, 8, 9, 10];
  const month = months[Math.floor(random() * months.length)] ?? 6;
  const climates = cause.climates.length > 0 ? cause.climates : CLIMATES.slice(0, 4);
  const climate = climates[Math.floor(random() * climates.length)] ?? 'continental';
  return { host: host?.id ?? null, date: `2026-${String(month).padStart(2, '0')}-15`, climate };
}

/** What is alike in every simulated call. */
const BY_PHONE = { hemisphere: 'N', setting: 'phone', unanswered: [], weather: null } as const satisfies Partial<ConsultInput>;

function ringsUp(edition: Edition, cause: Cause, random: Draw): { caller: SimulatedCaller; start: ConsultInput } {
  const caller = new SimulatedCaller(edition, cause, random);
  return { caller, start: { ...BY_PHONE, ...situationOf(cause, edition.plants, random), readings: caller.opening() } };
}

/**
 * Draws callers for every cause from its own rates and the noise of the telephone, lets the engine ask, and counts.
 * @param perCause callers a cause
 */
export function simulateCallers(edition: Edition, perCause: number, seed: number): SimulationResult {
  const consultant = new Consultant(edition);
  const random = generator(seed);
  const findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
  const count = new Map<CauseKind, { callers: number; first: number; three: number }>();
  const taken = new Map<string, Map<string, number>>();
  let normalsSprayed = 0;
  let questions = 0;
  for (const cause of edition.causes) {
    for (let n = 0; n < perCause; n++) {
      const { caller, start } = ringsUp(edition, cause, random);
      const { asked, standing } = interview(consultant, start, { answer: (id) => [caller.say(findings.get(id)!, 'caller-looked')] }, MOST_QUESTIONS);
      const place = standing.candidates.findIndex((candidate) => candidate.cause === cause.id);
      const tally = count.get(cause.kind) ?? { callers: 0, first: 0, three: 0 };
      count.set(cause.kind, {
        callers: tally.callers + 1,
        first: tally.first + (place === 0 ? 1 : 0),
        three: tally.three + (place >= 0 && place < 3 ? 1 : 0),
      });
      questions += asked.length;
      const named = standing.candidates[0]!.cause;
      if (place !== 0) {
        const of = taken.get(cause.id) ?? new Map<string, number>();
        of.set(named, (of.get(named) ?? 0) + 1);
        taken.set(cause.id, of);
      }
      if (cause.kind === 'normal' && standing.decision.firm && PESTICIDES.has(standing.decision.act)) normalsSprayed += 1;
    }
  }
  const shares = (t: { callers: number; first: number; three: number }): SimulatedShares => ({
    callers: t.callers,
    first: t.first / t.callers,
    firstThree: t.three / t.callers,
  });
  const total = [...count.values()].reduce((a, b) => ({ callers: a.callers + b.callers, first: a.first + b.first, three: a.three + b.three }));
  return {
    all: shares(total),
    byKind: new Map([...count].map(([kind, tally]) => [kind, shares(tally)])),
    confusions: [...taken]
      .flatMap(([cause, of]) => [...of].map(([named, times]) => ({ cause, taken: named, share: times / perCause })))
      .sort((a, b) => b.share - a.share),
    normalsSprayed,
    questionsACall: questions / total.callers,
  };
}

export interface CalibrationCallers {
  /** What was said of the first choice, and whether it was right. */
  stated: Stated[];
  /** Share of these calls, each with one cause, in which two at once were brought up. */
  pairsNamed: number;
}

/** Callers drawn as the engine expects them: a plant, a month and a climate at random, then a cause by its prior there. */
export function callersByPrior(edition: Edition, callers: number, seed: number, tells: Tells = 'of the cause'): CalibrationCallers {
  const consultant = new Consultant(edition);
  const random = generator(seed);
  const findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
  const causes = new Map(edition.causes.map((cause) => [cause.id, cause]));
  const plants = edition.plants.filter((plant) => !plant.generic);
  const stated: Stated[] = [];
  let pairs = 0;
  for (let n = 0; n < callers; n++) {
    const month = 1 + Math.floor(random() * 12);
    const start: ConsultInput = {
      ...BY_PHONE,
      host: plants[Math.floor(random() * plants.length)]!.id,
      date: `2026-${String(month).padStart(2, '0')}-15`,
      climate: CLIMATES[Math.floor(random() * CLIMATES.length)]!,
      readings: [],
    };
    const model = consultant.model(start);
    const drawn = pick([...model.causes.keys()], (c) => (causes.has(model.causes[c]!) ? Math.exp(model.logPrior[c]!) : 0), random)!;
    const cause = causes.get(model.causes[drawn]!)!;
    const caller = new SimulatedCaller(edition, cause, random, CHANNEL_RELIABILITY.caller);
    const { standing } = interview(
      consultant,
      { ...start, readings: caller.opening(tells) },
      { answer: (id) => [caller.say(findings.get(id)!, 'caller-looked')] },
      MOST_QUESTIONS,
    );
    stated.push({ probability: standing.candidates[0]!.probability, right: standing.candidates[0]!.cause === cause.id });
    if (standing.pair) pairs += 1;
  }
  return { stated, pairsNamed: pairs / callers };
}

export interface NoveltyResult {
  callers: number;
  /** Named the unlisted, or did not feel sure enough of any listed cause to act. */
  heldBack: number;
  /** Was sure of a listed cause, which cannot be right. */
  misled: number;
}

/** Rings up with causes that have been left out of the edition: does the engine notice? */
export function callersWithUnknownCauses(edition: Edition, leaveOut: number, perCause: number, seed: number): NoveltyResult {
  const random = generator(seed);
  const findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
  let [callers, heldBack, misled] = [0, 0, 0];
  for (let n = 0; n < leaveOut; n++) {
    const cause = edition.causes[Math.floor(random() * edition.causes.length)]!;
    const consultant = new Consultant({ ...edition, causes: edition.causes.filter((other) => other !== cause) });
    for (let k = 0; k < perCause; k++) {
      const { caller, start } = ringsUp(edition, cause, random);
      const { standing } = interview(consultant, start, { answer: (id) => [caller.say(findings.get(id)!, 'caller-looked')] }, MOST_QUESTIONS);
      callers += 1;
      const first = standing.candidates[0]!;
      if (first.cause === UNLISTED || first.probability < FIRM) heldBack += 1;
      else if (first.probability >= STANDS_OUT) misled += 1;
    }
  }
  return { callers, heldBack: heldBack / callers, misled: misled / callers };
}
