import { readFileSync } from 'node:fs';
import { PracticeDesk, type PracticeCall } from '@sounding/core/consult/practiceCall.ts';
import type { Edition } from '@sounding/core/edition/edition.ts';
import { generator } from '@sounding/core/numbers/random.ts';

/** Sentences callers say of themselves and the call, of our own writing; each tells nothing of what ails the plant. */
export function loadSmallTalk(): string[] {
  return readFileSync(new URL('../data/small-talk.txt', import.meta.url), 'utf8')
    .trim()
    .split('\n');
}

export interface SmallTalkScore {
  calls: number;
  /** Share with the right cause first after the opening as it is. */
  plain: number;
  /** The same with one sentence before and one behind. */
  chatty: number;
}

const isEnd = /[.?!]\s*$/;
const chattily = (opening: string, before: string, behind: string): string => `${before} ${opening}${isEnd.test(opening) ? '' : '.'} ${behind}`;

/** What small talk costs: the same calls with and without it. Their words are in the edition, so only the difference says something. @param seed any whole number */
export function scoreSmallTalk(edition: Edition, calls: readonly PracticeCall[], talk: readonly string[], seed: number): SmallTalkScore {
  const desk = new PracticeDesk(edition, 0);
  const random = generator(seed);
  const any = () => talk[Math.floor(random() * talk.length)]!;
  const withCause = calls.filter(({ cause }) => cause !== null);
  const isFirst = (call: PracticeCall) => desk.play(call).rankAfterOpening === 1;
  const share = (right: readonly unknown[]) => right.length / Math.max(1, withCause.length);
  return {
    calls: withCause.length,
    plain: share(withCause.filter(isFirst)),
    chatty: share(withCause.filter((call) => isFirst({ ...call, opening: chattily(call.opening, any(), any()) }))),
  };
}
