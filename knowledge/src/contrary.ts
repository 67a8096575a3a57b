import { CauseNames } from '@sounding/core/consult/causeNames.ts';
import type { PracticeCall } from '@sounding/core/consult/practiceCall.ts';
import { modelForSituation } from '@sounding/core/diagnosis/model.ts';
import { termsOf } from '@sounding/core/diagnosis/posterior.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { evidenceIn } from '@sounding/core/language/evidenceIn.ts';
import { Understander } from '@sounding/core/language/understand.ts';

/** A reading of a practice call that its own cause makes less likely than it is on plants in general: the entry does not know it, or it was not said. */
export interface Contrary {
  cause: string;
  /** "leaf-spots=shot-holes". */
  reading: string;
  /** The words it was read from. */
  from: string;
  /** 10·log10 of P(reading | cause) ÷ P(reading on plants in general); below zero. */
  decibans: number;
}

/** A reading this much likelier in general than under the cause is contrary to it; a cause that says nothing of a finding stands at -2 to -3. */
const CONTRARY_DECIBANS = -1.5;

/** Finds in practice calls what their causes do not account for: the list to mend entries and phrases by. */
export class ContraryReadings {
  private readonly understander: Understander;
  private readonly names: CauseNames;

  constructor(private readonly edition: Edition) {
    this.understander = new Understander(edition);
    this.names = new CauseNames(edition);
  }

  /** None for a call whose cause the edition does not know or whose plant rules it out. */
  of(call: PracticeCall): Contrary[] {
    const plant = call.host === null ? null : this.understander.resolvePlant(call.host);
    const month = call.date === null ? null : Number(call.date.slice(5, 7));
    const model = modelForSituation(this.edition, { plant, month, climate: call.climate, hemisphere: call.hemisphere, setting: 'phone' });
    const named = call.cause === null ? [] : this.names.forPractice([call.cause, ...call.also], plant);
    const possible = named.flatMap((cause) => {
      const place = model.causes.indexOf(cause);
      return place < 0 ? [] : [{ cause, place }];
    });
    if (possible.length === 0) return [];
    const { readings, ...understood } = this.understander.understand([call.opening, ...call.facts], plant);
    return termsOf(model, evidenceIn({ ...understood, readings })).flatMap(({ finding, log, general }) => {
      if (finding === null) return [];
      // where a call goes by a name that several causes share, the one that knows most of it is meant
      const { cause, place } = possible.reduce((best, one) => ((log[one.place] ?? 0) > (log[best.place] ?? 0) ? one : best));
      const decibans = (10 * ((log[place] ?? 0) - general)) / Math.LN10;
      if (decibans >= CONTRARY_DECIBANS) return [];
      return readings
        .filter((read) => read.finding === finding.id)
        .map(({ answer, from }) => ({ cause, reading: `${finding.id}=${answer}`, from, decibans }));
    });
  }
}

/** Under their headings, the heading met most often first. */
export function mostMet(met: readonly Contrary[], heading: (contrary: Contrary) => string): [heading: string, met: Contrary[]][] {
  const under = new Map<string, Contrary[]>();
  for (const one of met) under.set(heading(one), [...(under.get(heading(one)) ?? []), one]);
  return [...under].sort(([, a], [, b]) => b.length - a.length);
}
