import type { Climate, Hemisphere } from '../edition/climates.ts';
import type { Edition } from '../edition/edition.ts';
import type { Finding } from '../edition/findings.ts';
import type { Act } from '../edition/options.ts';
import type { Plant } from '../edition/plants.ts';
import type { Reading } from '../edition/reading.ts';
import { evidenceIn } from '../language/evidenceIn.ts';
import { Understander, type Utterance } from '../language/understand.ts';
import { lonePlant } from '../language/understanding.ts';
import type { IsoDate } from '../season/calendar.ts';
import { CauseNames } from './causeNames.ts';
import { Consultant, type ConsultInput, type Standing } from './consult.ts';
import { careAnswers } from './careAnswers.ts';
import { interview } from './interview.ts';
import { isComplaint } from './openly.ts';

export const ACTIONS = [
  'none',
  'monitor',
  'cultural',
  'physical',
  'biological',
  'spray',
  'drench',
  'remove-plant',
  'refer-lab',
  'refer-licensed',
  'care',
] as const;
export type Action = (typeof ACTIONS)[number];

/** What an expected action is called in `decision.act`; see {@link agrees} for `care`. */
export const ACT_OF_ACTION: Record<Exclude<Action, 'care'>, Act> = {
  none: 'leave',
  monitor: 'leave',
  cultural: 'culture',
  physical: 'physical',
  biological: 'biological',
  spray: 'contact',
  drench: 'systemic',
  'remove-plant': 'remove',
  'refer-lab': 'refer',
  'refer-licensed': 'refer',
};

/** Whether an answer is the expected action. Care is a care question answered or, where a cause is to be found, a change of how the plant is kept. */
function agrees(action: Action, act: Act, careAnswered: boolean, hasCause: boolean): boolean {
  return action === 'care' ? careAnswered || (hasCause && act === 'culture') : act === ACT_OF_ACTION[action];
}

/** A call whose right answer is known, with what the caller could tell if asked. */
export interface PracticeCall {
  opening: string;
  host: string | null;
  date: IsoDate | null;
  climate: Climate | null;
  hemisphere: Hemisphere;
  facts: { ask: string; say: string }[];
  /** Any name of the right cause; null for a call that is only about care. */
  cause: string | null;
  also: string[];
  action: Action | null;
}

export interface PracticeOutcome {
  /** Host the engine settled on. */
  host: string | null;
  /** Causes of the edition that go by the expected name; empty = the edition does not know it. */
  expected: string[];
  /** Place of the right cause, 1 = first; null = not among the possible causes. */
  rankAfterOpening: number | null;
  rankAfterQuestions: number | null;
  rankAfterAll: number | null;
  questions: number;
  /** Of the questions, how many the facts could answer. */
  answered: number;
  first: { cause: string; name: string; probability: number } | null;
  act: Act;
  /** Whether the advice after everything is the expected action; null when none was expected. */
  actionAgrees: boolean | null;
}

function rankOf(expected: readonly string[], standing: Standing): number | null {
  const at = standing.candidates.findIndex((candidate) => expected.includes(candidate.cause));
  return at < 0 ? null : at + 1;
}

/** Plays practice calls: opening, the engine's own questions answered from the facts, then whatever facts are left. */
export class PracticeDesk {
  private readonly understander: Understander;
  private readonly consultant: Consultant;
  private readonly names: CauseNames;
  private readonly findings: Map<string, Finding>;

  constructor(
    private readonly edition: Edition,
    private readonly mostQuestions: number,
  ) {
    this.understander = new Understander(edition);
    this.consultant = new Consultant(edition);
    this.names = new CauseNames(edition);
    this.findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
  }

  private readings(words: readonly Utterance[], host: Plant | null): Reading[] {
    return evidenceIn(this.understander.understand(words, host));
  }

  play(call: PracticeCall): PracticeOutcome {
    const named = call.host === null ? null : this.understander.resolvePlant(call.host);
    const opening = this.understander.understand([call.opening], named);
    const plant = named ?? this.understander.understand([call.opening, ...call.facts]).host ?? lonePlant(opening);
    const left = new Map(call.facts.map((fact) => [fact, this.readings([fact], plant)]));
    const readings = evidenceIn(opening);
    // who is not there cannot look again: what was told and no fact speaks of is not asked about
    const inFacts = new Set([...left.values()].flat().map(({ finding }) => finding));
    const start: ConsultInput = {
      host: plant?.id ?? null,
      date: call.date,
      climate: call.climate,
      hemisphere: call.hemisphere,
      setting: 'phone',
      readings,
      unanswered: readings.map(({ finding }) => finding).filter((finding) => !inFacts.has(finding)),
      weather: null,
    };
    const take = (suits: (readings: Reading[]) => boolean): Reading[] | null => {
      const [fact, readings] = [...left].find(([, said]) => suits(said)) ?? [];
      if (fact) left.delete(fact);
      return readings ?? null;
    };
    const expected = this.names.forPractice([...(call.cause === null ? [] : [call.cause]), ...call.also], plant);
    const talk = interview(
      this.consultant,
      start,
      {
        answer: (finding) => take((readings) => readings.some((reading) => reading.finding === finding)),
        // asked openly, a caller tells the first thing that strikes them on the plant, and at last what else they know
        tell: (openly) =>
          take((readings) => readings.some((reading) => isComplaint(reading, this.findings.get(reading.finding)))) ??
          (openly === 'else' ? take((readings) => readings.some(({ finding }) => this.findings.has(finding))) : null),
      },
      opening.onlyCare ? 0 : this.mostQuestions, // nothing ails: the plant's card answers
    );
    const end = this.consultant.consult({ ...talk.input, readings: [...talk.input.readings, ...[...left.values()].flat()] });
    const care = careAnswers(this.edition, plant, opening.care);
    const first = end.candidates[0];
    const act = end.decision.act;
    return {
      host: plant?.id ?? null,
      expected,
      rankAfterOpening: rankOf(expected, this.consultant.consult(start)),
      rankAfterQuestions: rankOf(expected, talk.standing),
      rankAfterAll: rankOf(expected, end),
      questions: talk.asked.length,
      answered: talk.asked.filter(({ readings }) => readings !== null).length,
      first: first ? { cause: first.cause, name: first.name, probability: first.probability } : null,
      act,
      actionAgrees: call.action === null ? null : agrees(call.action, act, care.length > 0, call.cause !== null),
    };
  }
}
