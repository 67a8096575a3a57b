import type { Cause } from '../edition/causes.ts';
import type { Edition, Outcome } from '../edition/edition.ts';
import type { Finding } from '../edition/findings.ts';
import type { Plant } from '../edition/plants.ts';
import { daysBetween, type IsoDate } from '../season/calendar.ts';
import { answerDistribution, priorWeight, silentDistribution } from './model.ts';

/** Cases the elicited rates of a cause are worth: as sure as a dozen seen. */
const ELICITED_CASES = 12;
/** Outcomes that odds must rest on before they move by half of what was seen. */
const ELICITED_OUTCOMES = 5;
/** What a case is worth after this many years is half of what it was. */
const HALF_LIFE_YEARS = 4;
/** Outcomes of the last weeks tell what is going round: they count double. */
const THIS_SEASON_DAYS = 60;
const SEASON_WEIGHT = 2;

/** A share that moves by less than this is not worth a line. */
const LEAST_FELT = 0.01;

const DAYS_A_YEAR = 365.25;

/** Weight of an outcome today: halved every four years, doubled in its own season. Outcomes of days to come count for nothing. */
export function outcomeWeight(on: IsoDate, today: IsoDate): number {
  const days = daysBetween(on, today);
  if (days < 0) return 0;
  return (days <= THIS_SEASON_DAYS ? SEASON_WEIGHT : 1) * 0.5 ** (days / DAYS_A_YEAR / HALF_LIFE_YEARS);
}

/** One thing that experience has moved. */
export interface LearnedChange {
  cause: string;
  what: 'odds' | 'rate';
  /** Finding and answer for a rate. */
  finding?: string;
  answer?: string;
  before: number;
  after: number;
  /** Weighted cases it rests on. */
  cases: number;
}

/** What confirmed outcomes have changed, laid over the elicited figures; built once, then read. */
export interface Learned {
  /** Factor on the prior weight of a cause on a plant. */
  factor: (cause: string, plant: Plant | null) => number;
  /** Distribution over the answers of a finding, or null where nothing was learned. */
  rate: (cause: string, finding: string) => number[] | null;
  /** Odds first, then rates, each with the largest change first. */
  changes: LearnedChange[];
}

/** Gamma prior of mean 1 over the ratio of seen to expected: few cases hardly move it (Clayton & Kaldor 1987). */
const shrunk = (seen: number, expected: number): number => (ELICITED_OUTCOMES + seen) / (ELICITED_OUTCOMES + expected);

/**
 * Learns local odds and rates from confirmed outcomes. Odds are pooled in steps: how much commoner a cause is here than the edition
 * expects, and on that plant than here. Rates are Dirichlet with the elicited ones as the prior of a dozen cases.
 */
export function learnFrom(edition: Edition, outcomes: readonly Outcome[], today: IsoDate): Learned {
  const causes = new Map(edition.causes.map((cause) => [cause.id, cause]));
  const plants = new Map(edition.plants.map((plant) => [plant.id, plant]));
  const findings = new Map(edition.findings.map((finding) => [finding.id, finding]));
  const known = outcomes.filter(({ cause }) => causes.has(cause)).map((outcome) => ({ outcome, weight: outcomeWeight(outcome.on, today) }));

  const seen = new Map<string, number>();
  const expected = new Map<string, number>();
  const add = (sums: Map<string, number>, key: string, n: number) => sums.set(key, (sums.get(key) ?? 0) + n);
  const sharesOf = new Map<string, [string, number][]>();
  const shares = (hostId: string | null): [string, number][] => {
    const key = hostId ?? '';
    const kept = sharesOf.get(key);
    if (kept) return kept;
    const plant = (hostId === null ? null : plants.get(hostId)) ?? null;
    const weights = edition.causes.map((cause): [string, number] => [
      cause.id,
      priorWeight(cause, { plant, month: null, climate: null, hemisphere: 'N', setting: 'phone' }),
    ]);
    const total = weights.reduce((sum, [, w]) => sum + w, 0);
    const made = weights.filter(([, w]) => w > 0).map(([id, w]): [string, number] => [id, w / total]);
    sharesOf.set(key, made);
    return made;
  };
  for (const { outcome, weight } of known) {
    const host = outcome.host !== null && plants.has(outcome.host) ? outcome.host : null;
    add(seen, outcome.cause, weight);
    add(seen, `${outcome.cause}|${host ?? ''}`, weight);
    for (const [cause, share] of shares(host)) {
      add(expected, cause, weight * share);
      add(expected, `${cause}|${host ?? ''}`, weight * share);
    }
  }
  const factor = (cause: string, plant: Plant | null): number => {
    if (known.length === 0) return 1;
    const here = shrunk(seen.get(cause) ?? 0, expected.get(cause) ?? 0);
    if (plant === null) return here;
    const key = `${cause}|${plant.id}`;
    return here * shrunk(seen.get(key) ?? 0, here * (expected.get(key) ?? 0));
  };

  const counts = new Map<string, number[]>();
  for (const { outcome, weight } of known) {
    for (const { finding: id, answer } of outcome.findings) {
      const finding = findings.get(id);
      const at = finding?.answers.findIndex((a) => a.id === answer) ?? -1;
      if (!finding || at < 0) continue;
      const key = `${outcome.cause}|${id}`;
      const row = counts.get(key) ?? finding.answers.map(() => 0);
      row[at] = (row[at] ?? 0) + weight;
      counts.set(key, row);
    }
  }
  const rates = new Map<string, number[]>();
  for (const [key, row] of counts) {
    const [causeId = '', findingId = ''] = key.split('|');
    const prior = elicited(causes.get(causeId)!, findings.get(findingId)!);
    const cases = row.reduce((a, b) => a + b, 0);
    rates.set(
      key,
      row.map((n, a) => (ELICITED_CASES * (prior[a] ?? 0) + n) / (ELICITED_CASES + cases)),
    );
  }
  return { factor, rate: (cause, finding) => rates.get(`${cause}|${finding}`) ?? null, changes: changesOf() };

  function changesOf(): LearnedChange[] {
    const odds = [...seen.keys()].flatMap((cause): LearnedChange[] =>
      cause.includes('|') ? [] : [{ cause, what: 'odds', before: 1, after: factor(cause, null), cases: seen.get(cause) ?? 0 }],
    );
    const moved = [...rates].flatMap(([key, after]): LearnedChange[] => {
      const [causeId = '', findingId = ''] = key.split('|');
      const finding = findings.get(findingId)!;
      const before = elicited(causes.get(causeId)!, finding);
      const cases = (counts.get(key) ?? []).reduce((a, b) => a + b, 0);
      return finding.answers.map(({ id }, a) => ({
        cause: causeId,
        what: 'rate',
        finding: findingId,
        answer: id,
        before: before[a] ?? 0,
        after: after[a] ?? 0,
        cases,
      }));
    });
    const by = ({ before, after }: LearnedChange) => Math.abs(after - before);
    const felt = moved.filter((change) => by(change) >= LEAST_FELT);
    return [...odds.sort((a, b) => by(b) - by(a)), ...felt.sort((a, b) => by(b) - by(a))];
  }
}

/** The rates of an entry as it is written. */
function elicited(cause: Cause, finding: Finding): number[] {
  const mentioned = cause.rates.find((rate) => rate.finding === finding.id);
  return mentioned ? answerDistribution(finding, mentioned.answers) : silentDistribution(finding);
}
