import { RATE_VALUES, type Cause } from '../edition/causes.ts';
import type { Edition } from '../edition/edition.ts';
import type { Finding } from '../edition/findings.ts';
import { canShow } from '../edition/hosts.ts';
import type { Inspection } from '../edition/inspections.ts';
import type { Plant } from '../edition/plants.ts';

/** So many of the likeliest causes are asked what a test would show. */
const CANDIDATES = 3;
/** Below this a test would hardly show anything of what is likely. */
const WORTHWHILE = 0.2;

/**
 * How much more surely than any other plant one with this cause gives each result of a test, by what the cause says outright; 0 where it is
 * silent about it. Moist soil is found under nearly everything and tells little; to see nothing counts for nothing.
 */
function shows(cause: Cause, test: Inspection, findings: ReadonlyMap<string, Finding>): number[] {
  const rateOf = (id: string, answerId: string): number => {
    const finding = findings.get(id);
    if (!finding || finding.absent === answerId) return 0;
    const word = cause.rates.find((rate) => rate.finding === id)?.answers[answerId];
    const background = finding.answers.find((answer) => answer.id === answerId)?.background ?? 0;
    return word ? RATE_VALUES[word] - background : 0;
  };
  return test.results.map(({ readings }) => Math.max(0, ...readings.map(({ finding, answer }) => rateOf(finding, answer))));
}

/** Findings a test can settle. */
const findingsOf = (test: Inspection): Set<string> => new Set(test.results.flatMap(({ readings }) => readings.map(({ finding }) => finding)));

export interface TestsInput {
  /** The tests of the trade. They do not travel in the edition: nothing that reasons needs them. */
  tests: readonly Inspection[];
  /** The plant on the table, if it is known. */
  plant: Plant | null;
  candidates: readonly { cause: string; probability: number }[];
  /** Findings that are answered already. */
  answered: ReadonlySet<string>;
  /** The finding asked next; a test that settles it goes first. */
  asked: string | null;
}

/** Tests that would show something of what is likely now, the most telling first; those that only repeat what is known are left out. */
export function testsFor(edition: Edition, { tests, plant, candidates, answered, asked }: TestsInput): Inspection[] {
  const causes = candidates.slice(0, CANDIDATES).flatMap(({ cause: id, probability }) => {
    const cause = edition.causes.find((one) => one.id === id);
    return cause ? [{ cause, probability }] : [];
  });
  const byId = new Map(edition.findings.map((finding) => [finding.id, finding]));
  const all = causes.reduce((sum, { probability }) => sum + probability, 0);
  return tests
    .filter((test) => canShow(test, plant))
    .map((test) => {
      const findings = findingsOf(test);
      const shown = causes.map(({ cause, probability }) => shows(cause, test, byId).map((rate) => (probability / (all || 1)) * rate));
      // by its likeliest result: a soil probe always shows something, another thing for each cause, and settles none of them
      const telling = Math.max(0, ...test.results.map((_, at) => shown.reduce((sum, rates) => sum + rates[at]!, 0)));
      return { test, telling, settles: asked !== null && findings.has(asked), open: [...findings].some((id) => !answered.has(id)) };
    })
    .filter(({ telling, open }) => open && telling >= WORTHWHILE)
    .sort((a, b) => Number(b.settles) - Number(a.settles) || b.telling - a.telling)
    .map(({ test }) => test);
}
