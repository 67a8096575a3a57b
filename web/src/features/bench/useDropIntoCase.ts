import { useState } from 'react';
import type { SumResult } from '@sounding/core/measure/sum.ts';
import { useCaseAtHand } from './useCaseAtHand.ts';

/** Puts a sum into the plan of the case the bench was opened from; nothing happens without one. */
export function useDropIntoCase() {
  const atHand = useCaseAtHand();
  const [said, setSaid] = useState<string | null>(null);
  const put = (sum: string, result: SumResult) => {
    const one = { id: crypto.randomUUID(), sum, line: result.lines[0] ?? '', reply: result.reply };
    atHand?.changePlan((plan) => ({ sums: [...plan.sums, one] }));
    setSaid(`It is in the plan, and will stand in the letter: ${result.reply}`);
  };
  return {
    caller: atHand?.view.caller.name ?? null,
    back: atHand ? `/case/${atHand.view.id}/plan/${atHand.question.id}` : '/bench',
    said,
    put,
  };
}
