import { firstFault } from '@sounding/contract/caseInput.ts';
import { practiceInput } from '@sounding/contract/practiceInput.ts';
import { PracticeDesk, type PracticeCall, type PracticeOutcome } from '@sounding/core/consult/practiceCall.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { parseJsonOrLines, UsageError } from './input.ts';

/** Most questions the engine may put to a caller; a call has two to four minutes. */
export const MOST_QUESTIONS = 8;

interface Played {
  id: string | number;
  outcome: PracticeOutcome;
}

/** @throws UsageError naming field and reason */
function toCall(value: unknown, prefix: string): PracticeCall & { id: string | number } {
  const parsed = practiceInput.safeParse(value);
  if (!parsed.success) throw new UsageError(prefix + firstFault(parsed.error).replace(/^case: /, 'call: '));
  const { id, opening, host, date, climate, hemisphere, facts, cause, also, action } = parsed.data;
  return {
    id,
    opening,
    host: host ?? null,
    date: date ?? null,
    climate: climate ?? null,
    hemisphere: hemisphere ?? 'N',
    facts: facts.map(({ ask, say }) => ({ ask, say })),
    cause: cause || null,
    also,
    action: action ?? null,
  };
}

const share = (part: number, all: number) => (all === 0 ? 0 : Number((part / all).toFixed(4)));

/** First and first-three shares over the calls that expect a cause. */
function shares(played: readonly Played[], rank: (outcome: PracticeOutcome) => number | null) {
  const ranks = played.map(({ outcome }) => rank(outcome) ?? Infinity);
  return { first: share(ranks.filter((r) => r === 1).length, ranks.length), firstThree: share(ranks.filter((r) => r <= 3).length, ranks.length) };
}

function summary(calls: readonly (PracticeCall & { id: string | number })[], played: readonly Played[]) {
  const withCause = played.filter((_, i) => calls[i]?.cause);
  const judged = played.filter(({ outcome }) => outcome.actionAgrees !== null);
  return {
    calls: played.length,
    withCause: withCause.length,
    causeNotKnown: withCause.filter(({ outcome }) => outcome.expected.length === 0).map(({ id }) => id),
    afterOpening: shares(withCause, (o) => o.rankAfterOpening),
    afterQuestions: shares(withCause, (o) => o.rankAfterQuestions),
    afterAll: shares(withCause, (o) => o.rankAfterAll),
    actionAgrees: share(judged.filter(({ outcome }) => outcome.actionAgrees).length, judged.length),
    actionJudged: judged.length,
    questionsPerCall: share(
      played.reduce((sum, { outcome }) => sum + outcome.questions, 0),
      played.length,
    ),
  };
}

/** Plays every call of a JSON Lines text: one JSON line a call, then one line `{"summary": …}`. */
export function evaluateText(text: string, edition: Edition): string {
  const calls = parseJsonOrLines(text).map(({ line, value }) => toCall(value, line === null ? '' : `line ${line}: `));
  const desk = new PracticeDesk(edition, MOST_QUESTIONS);
  const played = calls.map((call): Played => ({ id: call.id, outcome: desk.play(call) }));
  return [...played.map(({ id, outcome }) => JSON.stringify({ id, ...outcome })), JSON.stringify({ summary: summary(calls, played) })].join('\n');
}
