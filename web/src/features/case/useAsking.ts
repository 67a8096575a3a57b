import { useCallback, useState } from 'react';
import type { Standing } from '@sounding/core/consult/consult.ts';
import type { Openly } from '@sounding/core/consult/openly.ts';
import type { RankedQuestion } from '@sounding/core/diagnosis/questions.ts';

/** What is asked before any particular question: for the plant, or openly. */
export type AskedFirst = 'plant' | Openly;

export interface Asking {
  /** What is asked first, while the advisor has not gone past it. */
  first: AskedFirst | null;
  /** The particular question at this place, or the best one while none is put. */
  next: RankedQuestion | undefined;
  /** True where that question is put: what is typed or pressed may answer it. */
  asks: boolean;
  move: (by: 1 | -1) => void;
  toTheTop: () => void;
}

/** What is gone past for good: the plant may be a heap of compost, and who has nothing to add openly is not asked so again. */
type Past = 'plant' | 'what';
const canBePast = (first: AskedFirst | null): first is Past => first === 'plant' || first === 'what';

/**
 * The question to put now, and the way up and down the list of those that may be put instead. Who has gone past "which plant is it" or "what do you see" is not led
 * back to it after every answer: the way up leads there. Where there is enough to answer, none is put until the advisor asks on.
 * @param hostNamed whether the plant is known
 * @param onlyCare whether nothing is to be found out
 */
export function useAsking(standing: Standing | null, hostNamed: boolean, onlyCare = false): Asking {
  const [place, setPlace] = useState(0);
  const [past, setPast] = useState<readonly Past[]>([]);
  const questions = standing?.questions ?? [];
  const isEnough = standing?.enough.enough === true;
  const inTurn: (AskedFirst | null)[] = [!hostNamed && !isEnough ? 'plant' : null, standing?.openly ?? null];
  const before = inTurn.find((first) => first !== null && !(canBePast(first) && past.includes(first))) ?? null;
  const top = before !== null || isEnough || onlyCare ? 1 : 0;
  const last = questions.length - 1 + top;
  const move = useCallback(
    (by: 1 | -1) => {
      if (place === 0 && by === 1 && canBePast(before)) setPast((gone) => [...gone, before]);
      else if (place === 0 && by === -1) setPast((gone) => gone.slice(0, -1));
      else setPlace(Math.max(0, Math.min(last, place + by)));
    },
    [place, before, last],
  );
  const toTheTop = useCallback(() => setPlace(0), []);
  const at = Math.min(place - top, questions.length - 1);
  return { first: place === 0 ? before : null, next: questions[Math.max(0, at)], asks: at >= 0, move, toTheTop };
}
