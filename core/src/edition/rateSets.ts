import { RATE_VALUES, type Cause, type CauseRate, type RateWord } from './causes.ts';
import type { Finding } from './findings.ts';
import { WordCode } from './wordList.ts';

/** The rates of all causes, finding by finding: what is said of it, with a comma between, and of which causes each. */
export interface RateSets {
  said: string[];
  of: string[];
}

/** Before what is common practice; most rates are from memory and carry no sign. */
const COMMON_PRACTICE = '*';
/** A rate is written as the number of its word. */
const WORDS = Object.keys(RATE_VALUES) as RateWord[];

const answerCode = ({ answers }: Finding): WordCode => new WordCode(answers.map(({ id }) => id));
/** Causes by their row. */
const rowCode = (rows: number): WordCode => new WordCode(Array.from({ length: rows }, (_, row) => String(row)));

/** Rates in the order of the findings, and their answers in the order of each finding's: how they travel shortest, and the same to whoever reasons by them. */
export function inFindingOrder(rates: readonly CauseRate[], findings: readonly Finding[]): CauseRate[] {
  const place = new Map(findings.map(({ id }, at) => [id, at]));
  const placeOf = (finding: string) => place.get(finding) ?? findings.length;
  return rates
    .map((rate) => ({ ...rate, answers: inAnswerOrder(rate.answers, findings[placeOf(rate.finding)]) }))
    .sort((a, b) => placeOf(a.finding) - placeOf(b.finding));
}

function inAnswerOrder(answers: CauseRate['answers'], finding: Finding | undefined): CauseRate['answers'] {
  const ids = finding?.answers.map(({ id }) => id) ?? [];
  const placeOf = (id: string) => (ids.includes(id) ? ids.indexOf(id) : ids.length);
  return Object.fromEntries(Object.entries(answers).sort(([a], [b]) => placeOf(a) - placeOf(b)));
}

/** True for what a set can hold: no note or source, and only findings and answers of this edition, each once. */
function fits(rates: readonly CauseRate[], findings: ReadonlyMap<string, Finding>): boolean {
  return (
    new Set(rates.map(({ finding }) => finding)).size === rates.length &&
    rates.every(
      ({ finding, answers, mark, ...others }) =>
        Object.keys(others).length === 0 &&
        (mark === 'memory' || mark === 'common-practice') &&
        Object.keys(answers).every((id) => findings.get(finding)?.answers.some((answer) => answer.id === id)),
    )
  );
}

const sameOrder = (a: readonly CauseRate[], b: readonly CauseRate[]): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * The rates as sets, and what they cannot hold as it is: the rates of a cause, whole, of which one carries a note or another mark, or stands out of order; null for the others.
 * Causes beside those like them say the same of most findings, so a set is a row of short gaps: half of what a line for each cause weighs packed.
 */
export function packRates(causes: readonly Pick<Cause, 'rates'>[], findings: readonly Finding[]): { sets: RateSets; left: (CauseRate[] | null)[] } {
  const known = new Map(findings.map((finding) => [finding.id, finding]));
  const left = causes.map(({ rates }) => (fits(rates, known) && sameOrder(rates, inFindingOrder(rates, findings)) ? null : rates));
  const rows = rowCode(causes.length);
  const lines = findings.map((finding) => {
    const code = answerCode(finding);
    const sets = new Map<string, number[]>();
    causes.forEach(({ rates }, row) => {
      const rate = left[row] ? undefined : rates.find((r) => r.finding === finding.id);
      if (!rate) return;
      const numbers = new Map(Object.entries(rate.answers).map(([answer, word]) => [answer, WORDS.indexOf(word) + 1]));
      const said = (rate.mark === 'memory' ? '' : COMMON_PRACTICE) + code.write(numbers);
      sets.set(said, [...(sets.get(said) ?? []), row]);
    });
    const sorted = [...sets].sort(([, a], [, b]) => b.length - a.length);
    return {
      said: sorted.map(([said]) => said).join(','),
      of: sorted.map(([, some]) => rows.write(new Map(some.map((row) => [String(row), 1])))).join(','),
    };
  });
  return { sets: { said: lines.map(({ said }) => said), of: lines.map(({ of }) => of) }, left };
}

/** The rates of each cause again, in the order of the findings. */
export function unpackRates({ said, of }: RateSets, left: readonly (CauseRate[] | null)[], findings: readonly Finding[]): CauseRate[][] {
  const rates = left.map((own): CauseRate[] => own ?? []);
  const rows = rowCode(left.length);
  findings.forEach((finding, place) => {
    if (!of[place]) return;
    const code = answerCode(finding);
    const sets = of[place].split(',');
    said[place]!.split(',').forEach((written, at) => {
      const marked = written.startsWith(COMMON_PRACTICE);
      const numbers = code.counts(marked ? written.slice(COMMON_PRACTICE.length) : written);
      for (const row of rows.read(sets[at]!))
        rates[Number(row)]!.push({
          finding: finding.id,
          answers: Object.fromEntries([...numbers].map(([answer, number]) => [answer, WORDS[number - 1]!])),
          mark: marked ? 'common-practice' : 'memory',
        });
    });
  });
  return rates;
}
