import type { Act, Cost, Effort, TreatmentOption } from '../edition/options.ts';

export interface Burden {
  effort: Effort;
  cost: Cost;
}

/** What an option of a rung asks as a rule (memory); an option that asks something else says so itself. */
const USUAL: Record<Act, Burden> = {
  leave: { effort: 'none', cost: 'nothing' },
  culture: { effort: 'some', cost: 'nothing' },
  physical: { effort: 'some', cost: 'nothing' },
  biological: { effort: 'little', cost: 'some' },
  contact: { effort: 'some', cost: 'some' },
  systemic: { effort: 'little', cost: 'some' },
  remove: { effort: 'much', cost: 'some' },
  refer: { effort: 'little', cost: 'some' },
};

/** What an option asks of the caller, and of their purse. */
export function burdenOf({ act, effort, cost }: Pick<TreatmentOption, 'act' | 'effort' | 'cost'>): Burden {
  const usual = USUAL[act];
  return { effort: effort ?? usual.effort, cost: cost ?? usual.cost };
}
