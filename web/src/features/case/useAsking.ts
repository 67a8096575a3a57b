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
 * The question to put now, and the way up and down the list of those that may be put instead.
 * @param hostNamed whether the plant is known
 */
export function useAsking(standing: Standing | null, hostNamed: boolean): Asking {
  const [place, setPlace] = useState(0);
  const questions = standing?.questions ?? [];
  const before: AskedFirst | null = !hostNamed && standing?.enough.enough !== true ? 'plant' : (standing?.openly ?? null);
  const last = questions.length - (before ? 0 : 1);
  const move = useCallback((by: 1 | -1) => setPlace((at) => Math.max(0, Math.min(last, at + by))), [last]);
  const toTheTop = useCallback(() => setPlace(0), []);
  const at = Math.min(place - (before ? 1 : 0), questions.length - 1);
  return { place, first: place === 0 ? before : null, next: questions[Math.max(0, at)], move, toTheTop };
}
