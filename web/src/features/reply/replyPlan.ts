import { doseInWords } from '@sounding/core/treatment/dose.ts';
import type { ReplyPlan } from '@sounding/core/reply/reply.ts';
import { doseOf, labelContext, offersOf } from '../plan/doseOf.ts';
import { usualEquipment, usualTarget } from '../plan/ProductPanel.tsx';
import type { PlanWork } from '../plan/usePlanWork.ts';

/** True where the advice is something that is measured out. */
const sprays = (standing: PlanWork['standing']): boolean => standing?.decision.act === 'contact' || standing?.decision.act === 'systemic';

/** What of the plan goes into the letter: only an amount that the label allows on the day of the answer. */
export function replyPlan({ question, standing, shed, plant, cause, plan, date }: PlanWork): ReplyPlan | null {
  if (!question || !shed) return null;
  const sums = plan.sums.map(({ reply }) => reply);
  const checks = (plan.checks ?? []).map(({ on, what, why }) => ({ on, what: `${what}: ${why}` }));
  const none = (refer: boolean): ReplyPlan | null =>
    refer || sums.length > 0 || checks.length > 0 ? { dose: null, days: [], gear: [], refer, sums, checks } : null;
  if (!plant || !cause) return none(false);
  const context = labelContext(shed, { today: date, hemisphere: question.hemisphere });
  const offers = offersOf(shed, plant, cause, context, () => false);
  // no letter that sends to the rake asks for a licence
  const refer = sprays(standing) && offers.length > 0 && offers.every(({ refusal }) => refusal?.refer);
  const chosen = offers.find(({ label, use }) => label.id === plan.labelId && use.id === plan.useId);
  if (!chosen) return none(refer);
  const worked = doseOf(
    chosen,
    plan,
    plan.equipment ?? usualEquipment(chosen, plan.system),
    plan.target ?? usualTarget(chosen, plan.system),
    context,
  );
  if (!worked || !('dose' in worked)) return none(refer);
  const planned = plan.applications.filter(({ state }) => state === 'planned');
  return {
    dose: doseInWords(worked.dose, chosen.use, chosen.label, standing?.circumstances.edible ?? true),
    days: planned.map(({ on, hours, labelId, say }) => ({ on, hours, say: labelId === chosen.label.id ? '' : say })),
    gear: chosen.label.gear,
    refer,
    sums,
    checks,
  };
}
