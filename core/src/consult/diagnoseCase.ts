import type { CauseKind } from '../edition/causes.ts';
import type { Climate, Hemisphere } from '../edition/climates.ts';
import type { Edition } from '../edition/edition.ts';
import type { Act } from '../edition/options.ts';
import type { Reading } from '../edition/reading.ts';
import { evidenceIn } from '../language/evidenceIn.ts';
import { Understander, type Utterance } from '../language/understand.ts';
import { lonePlant } from '../language/understanding.ts';
import type { IsoDate } from '../season/calendar.ts';
import type { WindowState } from '../season/windows.ts';
import { editionIn } from '../edition/editionIn.ts';
import { careAnswers } from './careAnswers.ts';
import { withTheCause } from './causeAnswers.ts';
import { Consultant } from './consult.ts';
import { ASK_OPENLY } from './openly.ts';

export interface CaseToDiagnose {
  date: IsoDate | null;
  climate: Climate | null;
  hemisphere: Hemisphere;
  /** Id or any name people use; null = look for it in the words. */
  host: string | null;
  words: Utterance[];
  readings: Reading[];
}

export interface CaseDiagnosis {
  edition: string;
  host: { id: string; name: string; latin: string } | null;
  understood: { finding: string; answer: string; from: string }[];
  notUnderstood: string[];
  claims: { cause: string; from: string }[];
  differential: { cause: string; name: string; latin?: string; also: string[]; kind: CauseKind; probability: number }[];
  /** `again`: a second look at what has been told unasked. */
  /** What to ask first, in words, where no particular question is to the point yet; else null. */
  openly: string | null;
  next: { finding: string; ask: string; bits: number; seconds: number; again: boolean }[];
  enough: boolean;
  decision: { act: Act; why: string };
  care: { plant: string; topic: string; answer: string }[];
  timing: { option: string; title: string; state: WindowState; from: IsoDate | null; to: IsoDate | null; nextFrom: IsoDate | null; basis: string }[];
  unexplained: string[];
  /** Lengths in the words; `doubt` is the question to put at once about one that cannot be. */
  measurements: { from: string; metres: number; doubt: string | null }[];
}

const NEXT_SHOWN = 5;

/** Says what is wrong with a case in terms of its fields; the message is for people. */
export class CaseError extends Error {
  constructor(
    readonly field: string,
    reason: string,
  ) {
    super(`${field}: ${reason}`);
  }
}

/** Answers one case from words and readings alone: what the command line prints. Holds what it has compiled. */
export class CaseReader {
  private readonly understander: Understander;
  private readonly consultant: Consultant;

  constructor(private readonly edition: Edition) {
    this.understander = new Understander(edition);
    this.consultant = new Consultant(edition);
  }

  private requireKnown(reading: Reading, index: number): void {
    const finding = this.edition.findings.find((f) => f.id === reading.finding);
    if (!finding) throw new CaseError(`readings[${index}].finding`, `"${reading.finding}" is not a finding of edition ${this.edition.version}`);
    if (!finding.answers.some((a) => a.id === reading.answer.replace(/^not:/, '')))
      throw new CaseError(
        `readings[${index}].answer`,
        `"${reading.answer}" is not an answer to ${finding.id}; it has ${finding.answers.map((a) => a.id).join(', ')}`,
      );
  }

  /** @throws CaseError naming the field when a reading or the host cannot be taken */
  diagnose(input: CaseToDiagnose): CaseDiagnosis {
    input.readings.forEach((reading, i) => this.requireKnown(reading, i));
    const named = input.host === null ? null : this.understander.resolvePlant(input.host);
    const understanding = this.understander.understand(input.words, named);
    const plant = named ?? understanding.host ?? lonePlant(understanding);
    const notUnderstood = [...understanding.notUnderstood, ...(input.host !== null && !named ? [input.host] : [])];
    const readings: Reading[] = [...input.readings, ...evidenceIn(understanding)];
    const standing = this.consultant.consult({
      host: plant?.id ?? null,
      date: input.date,
      climate: input.climate,
      hemisphere: input.hemisphere,
      setting: 'phone',
      readings,
      unanswered: [],
      weather: null,
    });
    const here = editionIn(this.edition, input.hemisphere);
    const host = here.plants.find(({ id }) => id === plant?.id) ?? null;
    const care = withTheCause(careAnswers(here, host, understanding.care), understanding.care, here, standing, host);
    return {
      edition: this.edition.version,
      host: plant ? { id: plant.id, name: plant.name, latin: plant.latin } : null,
      understood: understanding.readings.map(({ finding, answer, from }) => ({ finding, answer, from })),
      notUnderstood,
      claims: understanding.claims,
      differential: standing.candidates.map(({ cause, name, latin, also, kind, probability }) => ({
        cause,
        name,
        ...(latin ? { latin } : {}),
        also,
        kind,
        probability,
      })),
      openly: standing.openly && ASK_OPENLY[standing.openly],
      next: standing.questions.slice(0, NEXT_SHOWN).map((q) => ({
        finding: q.finding,
        ask: this.edition.findings.find((f) => f.id === q.finding)?.ask ?? q.finding,
        bits: Number(q.bits.toFixed(4)),
        seconds: q.seconds,
        again: q.again,
      })),
      enough: standing.enough.enough,
      decision: { act: standing.decision.act, why: standing.decision.why },
      care,
      timing: standing.options.map(({ option, timing }) => ({
        option: option.id,
        title: option.title,
        state: timing.state,
        from: timing.from,
        to: timing.to,
        nextFrom: timing.nextFrom,
        basis: timing.basis,
      })),
      unexplained: standing.unexplained,
      measurements: understanding.measurements,
    };
  }
}
