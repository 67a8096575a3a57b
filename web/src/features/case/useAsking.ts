import { useCallback, useState } from 'react';
import type { Standing } from '@sounding/core/consult/consult.ts';
import type { Openly } from '@sounding/core/consult/openly.ts';
import type { RankedQuestion } from '@sounding/core/diagnosis/questions.ts';

/** What is asked before any particular question: for the plant, or openly. */
export type AskedFirst = 'plant' | Openly;

export interface Asking {
  /** How far down the list of questions the advisor has gone; 0 = the best one. */
  place: number;
  /** What is asked first, while the advisor has not gone past it. */
  first: AskedFirst | null;
  /** The particular question at this place, or the best one while `first` is asked. */
  next: RankedQuestion | undefined;
  move: (by: 1 | -1) => void;
  toTheTop: () => void;
}

/**
 * The question to put now, and the way up and down the list of those that may be put instead. Who has gone past "what do you see" is not led back to it after
 * every answer: the way up leads there.
 * @param hostNamed whether the plant is known
 */
export function useAsking(standing: Standing | null, hostNamed: boolean): Asking {
  const [place, setPlace] = useState(0);
  const [pastWhat, setPastWhat] = useState(false);
  const questions = standing?.questions ?? [];
  const openly = standing?.openly ?? null;
  const before: AskedFirst | null = !hostNamed && standing?.enough.enough !== true ? 'plant' : openly === 'what' && pastWhat ? null : openly;
  const last = questions.length - (before ? 0 : 1);
  const move = useCallback(
    (by: 1 | -1) => {
      if (place === 0 && by === 1 && before === 'what') setPastWhat(true);
      else if (place === 0 && by === -1) setPastWhat(false);
      else setPlace(Math.max(0, Math.min(last, place + by)));
    },
    [place, before, last],
  );
  const toTheTop = useCallback(() => setPlace(0), []);
  const at = Math.min(place - (before ? 1 : 0), questions.length - 1);
  return { place, first: place === 0 ? before : null, next: questions[Math.max(0, at)], move, toTheTop };
}
