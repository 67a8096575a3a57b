import type { Cause, CauseKind } from '../edition/causes.ts';
import type { Climate, Hemisphere } from '../edition/climates.ts';
import type { Edition } from '../edition/edition.ts';
import type { Finding } from '../edition/findings.ts';
import type { Act } from '../edition/options.ts';
import type { Plant } from '../edition/plants.ts';
import { UNLISTED } from '../edition/causes.ts';
import { WORDING } from '../edition/findings.ts';
import { editionIn } from '../edition/editionIn.ts';
import { enoughToAnswer, WORDS_TRUSTED, type Enough } from '../diagnosis/enough.ts';
import { evidenceFor, unexplainedBy, type Evidence } from '../diagnosis/evidence.ts';
import { learnFrom, type Learned } from '../diagnosis/learning.ts';
import { modelForSituation, type DiagnosticModel } from '../diagnosis/model.ts';
import { contradictions, overturnings, type Overturning } from '../diagnosis/overturn.ts';
import { openFindings } from '../diagnosis/openFindings.ts';
import { findPair, type Pair } from '../diagnosis/pairs.ts';
import { posteriorOf, posteriorTrustingWords, termsOf } from '../diagnosis/posterior.ts';
import type { Reading } from '../edition/reading.ts';
import { rankQuestions, whyAsk, type RankedQuestion, type Reason } from '../diagnosis/questions.ts';
import { stakesOf } from '../diagnosis/stakes.ts';
import { Likeness } from '../language/likeness.ts';
import { soundingLine, type SoundingMark } from '../diagnosis/sounding.ts';
import { monthOf, type IsoDate } from '../season/calendar.ts';
import type { SeasonContext } from '../season/windows.ts';
import type { WeatherSeries } from '../season/weather.ts';
import { circumstancesRead, settled, standsIndoors, type Circumstances } from '../treatment/circumstances.ts';
import {
  actOf,
  decide,
  FIRM,
  NOTHING_SEEN,
  optionsOn,
  optionStandings,
  overruled,
  preferredAmong,
  type Decision,
  type OptionStanding,
  type Overrule,
} from '../treatment/decide.ts';
import { askedOpenly, isComplaint, type Openly } from './openly.ts';
import { withHouseLines } from '../treatment/houseLines.ts';
import { verdictsOf, type Verdict } from '../treatment/verdicts.ts';

/** Everything the engine needs to know of one question of a case. Plain data, so that a record can be replayed. */
export interface ConsultInput {
  host: string | null;
  date: IsoDate | null;
  climate: Climate | null;
  hemisphere: Hemisphere;
  setting: 'phone' | 'table';
  readings: Reading[];
  /** Findings asked about that the caller could not answer. */
  unanswered: string[];
  /** How many of them since something was last told; none when left out. */
  inVain?: number;
  weather: WeatherSeries | null;
  /** What the advisor has set of the circumstances; the rest is read or unknown. */
  circumstances?: Partial<Circumstances> | null;
  /** What the advisor chose instead of the decision. */
  overrule?: Overrule | null;
}

export interface Candidate {
  cause: string;
  name: string;
  latin?: string;
  also: string[];
  kind: CauseKind;
  probability: number;
  act: Act;
  evidence: Evidence[];
}

export interface Standing {
  candidates: Candidate[];
  questions: RankedQuestion[];
  /** To be asked openly before any of these; null when they are to the point. */
  openly: Openly | null;
  enough: Enough;
  sounding: SoundingMark[];
  decision: Decision;
  /** What the engine itself would have advised, where the advisor overruled it. */
  advised: Decision | null;
  /** The leader's options, gentlest first, each with what speaks against it here. */
  options: Verdict[];
  /** What is known that bears on the decision: set, or read from what was seen. */
  circumstances: Circumstances;
  /** For the first few questions, in the same order: what they would settle. */
  reasons: Reason[];
  /** Findings the leader does not account for. */
  unexplained: string[];
  /** Two causes that explain it better than any one. */
  pair: Pair | null;
  /** Findings on which what was reported cannot all be true. */
  contradictions: string[];
  /** What would have to be seen for another cause to lead. */
  overturnings: Overturning[];
}

/** Raised whenever the same readings and edition could give another standing. */
export const ENGINE_VERSION = '2.10.0';

const UNLISTED_NAME = 'Something not on our list';
/** Evidence is worked out for as many candidates as anyone will look at. */
const WITH_EVIDENCE = 8;
/** Questions an advisor may leaf through with a reason beside each. */
const WITH_REASONS = 12;
/** Below this nobody asks for its dates. */
const WORTH_DATING = 0.005;

/** Words alone, without anything read from them, are something to go by only when they point clearly to one cause. */
const nothingSeen = (readings: readonly Reading[], lead: number): boolean => lead < FIRM && readings.every(({ finding }) => finding === WORDING);

/** Reasons over one edition. Models are kept by situation, so that a reading costs only its own update. */
export class Consultant {
  private readonly models = new Map<string, DiagnosticModel>();
  private readonly likeness: Likeness;
  private readonly learned: Learned | null;
  private readonly plants: Map<string, Plant>;
  private readonly findings: Map<string, Finding>;
  /** The causes as they read in each hemisphere. */
  private readonly causes = new Map<Hemisphere, Map<string, Cause>>();

  /** Where the options of each cause stand, for the plant, day and weather last asked about. */
  private season: { key: string; plant: Plant | null; weather: WeatherSeries | null; options: Map<string, OptionStanding[]> } = {
    key: '',
    plant: null,
    weather: null,
    options: new Map(),
  };

  constructor(readonly edition: Edition) {
    this.learned = edition.learned ? learnFrom(edition, edition.learned.outcomes, edition.learned.asOf) : null;
    this.likeness = new Likeness(edition);
    this.plants = new Map(edition.plants.map((plant) => [plant.id, plant]));
    this.findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
  }

  /** @throws RangeError for a host the edition does not have */
  model(input: ConsultInput): DiagnosticModel {
    const plant = input.host === null ? null : this.plants.get(input.host);
    if (plant === undefined) throw new RangeError(`host "${input.host}" is not in this edition`);
    const month = input.date === null ? null : monthOf(input.date);
    const key = [input.host, month, input.climate, input.hemisphere, input.setting].join('|');
    const known = this.models.get(key);
    if (known) return known;
    const model = modelForSituation(
      this.edition,
      { plant, month, climate: input.climate, hemisphere: input.hemisphere, setting: input.setting },
      { likeness: this.likeness, learned: this.learned },
    );
    this.models.set(key, model);
    return model;
  }

  /** Forgets where options stood on another plant or day, in other weather or after other events. */
  private turnTo(context: SeasonContext, plant: Plant | null): void {
    const key = JSON.stringify([plant?.id, context.date, context.climate, context.hemisphere, context.events, context.indoors]);
    if (this.season.key !== key || this.season.weather !== context.weather)
      this.season = { key, plant, weather: context.weather, options: new Map() };
  }

  private causesIn(hemisphere: Hemisphere): Map<string, Cause> {
    const known = this.causes.get(hemisphere);
    if (known) return known;
    const { causes, schools, houseLines } = editionIn(this.edition, hemisphere);
    const here = new Map(causes.map((cause) => [cause.id, withHouseLines(cause, schools, houseLines ?? {})]));
    this.causes.set(hemisphere, here);
    return here;
  }

  private optionsOf(cause: Cause, context: SeasonContext): OptionStanding[] {
    const known = this.season.options.get(cause.id) ?? optionStandings(cause, context, this.season.plant);
    this.season.options.set(cause.id, known);
    return known;
  }

  /** The whole standing after the readings given: ranked causes, next questions, decision and dates. */
  consult(input: ConsultInput): Standing {
    const model = this.model(input);
    const terms = termsOf(model, input.readings);
    const probabilities = posteriorOf(model, terms);
    const plant = input.host === null ? null : (this.plants.get(input.host) ?? null);
    const season: SeasonContext = {
      date: input.date,
      climate: input.climate,
      hemisphere: input.hemisphere,
      weather: input.weather,
      events: input.circumstances?.events ?? {},
      indoors: standsIndoors(input.readings, plant),
    };
    this.turnTo(season, plant);
    const causes = this.causesIn(input.hemisphere);
    const known = (cause: Cause | null) => settled(input.circumstances ?? null, circumstancesRead(input.readings, plant, cause));
    const sober = posteriorTrustingWords(model, terms, WORDS_TRUSTED);
    const order = [...model.causes.keys()].sort((a, b) => (probabilities[b] ?? 0) - (probabilities[a] ?? 0));
    const acts = new Map(model.causes.map((id, c) => [id, this.rightAct(id, probabilities[c] ?? 0, season, known)]));
    const evidence = evidenceFor(
      model,
      terms,
      order.slice(0, WITH_EVIDENCE).map((c) => model.causes[c] ?? UNLISTED),
    );
    const candidates = order.map((c, rank): Candidate => {
      const id = model.causes[c] ?? UNLISTED;
      const cause = causes.get(id);
      return {
        cause: id,
        name: cause?.name ?? UNLISTED_NAME,
        ...(cause?.latin ? { latin: cause.latin } : {}),
        also: cause?.also ?? [],
        kind: cause?.kind ?? 'unlisted',
        probability: probabilities[c] ?? 0,
        act: acts.get(id) ?? 'refer',
        evidence: evidence[rank] ?? [],
      };
    });
    const answered = new Set([...input.readings.map((r) => r.finding), ...input.unanswered]);
    const channel = input.setting === 'phone' ? 'caller-looked' : 'in-hand';
    const stakes = stakesOf(
      model.causes,
      (id) => ({ act: acts.get(id) ?? 'refer', notifiable: causes.get(id)?.notifiable ?? false }),
      this.edition.losses,
    );
    const open = openFindings(model, channel, input);
    const questions = rankQuestions(open, probabilities, channel, stakes);
    const asOpen = new Map(open.map(({ finding }) => [finding.id, finding]));
    const leader = candidates[0];
    const leading = (leader && causes.get(leader.cause)) ?? null;
    const circumstances = known(leading);
    const options = leading ? verdictsOf(leading, this.optionsOf(leading, season), circumstances) : [];
    // as sure as one may be: no surer than with half the trust in how it was put
    const soberly = candidates.map((c, rank) => Math.min(c.probability, sober[order[rank]!] ?? 0));
    const sureness = { stated: leader?.probability ?? 0, sober: soberly[0] ?? 0 };
    const advised = nothingSeen(input.readings, sureness.stated) ? NOTHING_SEEN : decide(leading, sureness, options, circumstances);
    const enough = enoughToAnswer(
      candidates.map((c, rank) => ({ probability: soberly[rank]!, act: c.act, listed: c.cause !== UNLISTED })),
      // a guess that rests on the wording ends no call: what the questions are worth is asked with half the trust in it
      sureness.sober >= FIRM ? questions : rankQuestions(open, sober, channel, stakes),
      input.readings.length,
    );
    const told = input.readings.some((reading) => isComplaint(reading, this.findings.get(reading.finding)));
    return {
      candidates,
      questions,
      openly: enough.enough ? null : askedOpenly(told, input.inVain ?? 0),
      reasons: questions.slice(0, WITH_REASONS).map((q) => whyAsk(model, probabilities, asOpen.get(q.finding)!, channel, stakes)),
      enough,
      sounding: soundingLine(model, input.readings),
      decision: input.overrule ? overruled(advised, options, input.overrule) : advised,
      advised: input.overrule ? advised : null,
      options,
      circumstances,
      unexplained: leader ? unexplainedBy(model, terms, leader.cause) : [],
      pair: findPair(model, terms),
      contradictions: contradictions(input.readings, (id) => this.findings.get(id)?.absent),
      overturnings: input.readings.length === 0 ? [] : overturnings(model, probabilities, answered, channel),
    };
  }

  /** The advice a cause is answered with today; for causes hardly possible, whatever they are answered with as a rule. */
  private rightAct(id: string, probability: number, season: SeasonContext, known: (cause: Cause) => Circumstances): Act {
    const cause = this.causesIn(season.hemisphere).get(id);
    if (!cause) return 'refer';
    if (probability > WORTH_DATING) return actOf(cause, this.optionsOf(cause, season), known(cause));
    return preferredAmong(optionsOn(cause, this.season.plant), (option) => option)?.act ?? 'leave';
  }
}
