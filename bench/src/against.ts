import { CauseNames } from '@sounding/core/consult/causeNames.ts';
import { RATE_VALUES } from '@sounding/core/edition/causes.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { WORDING } from '@sounding/core/edition/findings.ts';
import { Understander } from '@sounding/core/language/understand.ts';
import type { NamedCall } from '@sounding/knowledge/calls.ts';

export interface Against {
  /** Readings of openings and facts whose call names a cause the edition knows. */
  readings: number;
  /** Of them, those that every cause meant calls seldom or never, or leaves out beside what it does show of the finding. */
  against: number;
  /** The worst, most calls first: what was read of callers who had the cause, and the words of one of them. */
  pairs: { cause: string; reading: string; calls: number; said: string }[];
}

/** A reading that rules something out says what is not there, so no rate of its own speaks against it. */
const rulesOut = (answer: string): boolean => answer.startsWith('not:');

/**
 * What callers say against the very cause they rang about: a phrase misread, or a rate that leaves out what callers see. Ranks hide both, as the rest of
 * what is told mostly makes up for them.
 */
export function readingsAgainst(edition: Edition, calls: readonly NamedCall[]): Against {
  const understander = new Understander(edition);
  const names = new CauseNames(edition);
  const rates = new Map(edition.causes.map((cause) => [cause.id, new Map(cause.rates.map(({ finding, answers }) => [finding, answers]))]));
  const isAgainst = (cause: string, finding: string, answer: string): boolean => {
    const answers = rates.get(cause)?.get(finding);
    const word = answers?.[answer];
    return answers !== undefined && (word === undefined || RATE_VALUES[word] < RATE_VALUES.sometimes);
  };
  const met = new Map<string, Against['pairs'][number]>();
  let readings = 0;
  let against = 0;
  for (const { opening, facts, host, cause, also } of calls) {
    const plant = host === null ? null : understander.resolvePlant(host);
    const meant = cause === null ? [] : names.forPractice([cause, ...also], plant);
    if (meant.length === 0) continue;
    for (const said of [opening, ...facts])
      for (const { finding, answer } of understander.understand([said], plant).readings) {
        if (finding === WORDING || rulesOut(answer)) continue;
        readings += 1;
        if (!meant.every((id) => isAgainst(id, finding, answer))) continue;
        against += 1;
        const [first = ''] = meant;
        const reading = `${finding}: ${answer}`;
        const pair = met.get(`${first} ${reading}`) ?? {
          cause: first,
          reading,
          calls: 0,
          said: typeof said === 'string' ? said : `${said.ask} – ${said.say}`,
        };
        met.set(`${first} ${reading}`, { ...pair, calls: pair.calls + 1 });
      }
  }
  return { readings, against, pairs: [...met.values()].sort((a, b) => b.calls - a.calls) };
}
