import Fraction from 'fraction.js';
import type { ShedView } from '@sounding/contract/labels.ts';
import type { PlanBody } from '@sounding/contract/plan.ts';
import type { Cause } from '@sounding/core/edition/causes.ts';
import type { Hemisphere } from '@sounding/core/edition/climates.ts';
import type { Plant } from '@sounding/core/edition/plants.ts';
import { dose, DoseRefused, type Dose, type Equipment, type Target } from '@sounding/core/treatment/dose.ts';
import type { Verdict } from '@sounding/core/treatment/verdicts.ts';
import { refusedUse, usesFor, type Label, type LabelContext, type LabelUse, type Refusal } from '@sounding/core/treatment/label.ts';

/** A line of a label that covers plant and cause, and what forbids it here if something does. */
export interface Offer {
  label: Label;
  use: LabelUse;
  refusal: Refusal | null;
}

export const labelContext = (shed: ShedView, { today, hemisphere }: { today: string; hemisphere: Hemisphere }): LabelContext => ({
  hemisphere,
  today,
  jurisdiction: shed.jurisdiction,
  rules: shed.rules.map(({ rule }) => rule),
});

/** The option of the ladder that a product serves: the one that names its active ingredient. */
export function optionServed(options: readonly Verdict[], label: Label): Verdict | undefined {
  const firstWords = label.actives.map(({ name }) => name.split(' ')[0]!.toLowerCase());
  return options.find(({ option }) => option.actives?.some((active) => firstWords.some((word) => active.toLowerCase().startsWith(word))));
}

/** What the shed holds for this plant and cause: what may be used first, then what may not and why. */
export function offersOf(shed: ShedView, plant: Plant, cause: Cause, context: LabelContext, served: (label: Label) => boolean): Offer[] {
  return shed.labels
    .flatMap(({ label }) => usesFor(label, plant, cause).map((use) => ({ label, use, refusal: refusedUse(label, use, context) })))
    .sort((a, b) => Number(a.refusal !== null) - Number(b.refusal !== null) || Number(served(b.label)) - Number(served(a.label)));
}

/** What has been done with a label under this plan. */
export function usedOf(plan: PlanBody, labelId: string): { base: Fraction; times: number } {
  const done = plan.applications.filter((a) => a.labelId === labelId && a.state === 'done');
  return { base: done.reduce((sum, a) => sum.add(new Fraction(a.base)), new Fraction(0)), times: done.length };
}

export type Worked = { dose: Dose } | { refusal: Refusal } | { fault: string } | null;

/** The dose of a plan, or why there is none. */
export function doseOf(
  offer: Offer,
  plan: PlanBody,
  equipment: Equipment,
  target: Target,
  context: LabelContext,
  wanted?: { value: string; unit: 'ml' | 'g' },
): Worked {
  try {
    return {
      dose: dose(
        {
          label: offer.label,
          use: offer.use,
          equipment,
          target,
          system: plan.system,
          usedThisYear: usedOf(plan, offer.label.id),
          ...(wanted ? { wanted: { product: wanted, per: offer.use.of } } : {}),
        },
        context,
      ),
    };
  } catch (error) {
    if (error instanceof DoseRefused) return { refusal: error.refusal };
    if (error instanceof RangeError) return { fault: error.message };
    throw error;
  }
}
