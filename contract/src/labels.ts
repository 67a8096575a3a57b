import { z } from 'zod';
import { UNIT_IDS, dimensionOf, exact, type Amount } from '@sounding/core/quantities/units.ts';
import { RATE_PER, SIGNAL_WORDS, type JurisdictionRule, type Label, type LabelUse } from '@sounding/core/treatment/label.ts';
import { dateText } from './caseInput.ts';

const name = z.string().trim().min(1, 'is missing').max(200);
const id = z.string().regex(/^[a-z0-9]+(?:-[a-z0-9]+)*$/, 'ids are lower-case words joined by hyphens');

const monthDay = z.string().regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'dates are MM-DD');

const amountValue = z.string().refine((value) => {
  try {
    return exact(value).compare(0) > 0;
  } catch {
    return false;
  }
}, 'must be a number above 0');
export const amountBody: z.ZodType<Amount> = z.strictObject({ value: amountValue, unit: z.enum(UNIT_IDS as [Amount['unit'], ...Amount['unit'][]]) });
const ofDimension = (dimensions: readonly string[]) =>
  amountBody.refine(({ unit }) => dimensions.includes(dimensionOf(unit)), `must be a ${dimensions.join(' or ')}`);
const product = ofDimension(['volume', 'mass']);

/** What `of` must measure for each kind of rate. */
const RATE_OF = { volume: 'volume', area: 'area', plant: null, 'trunk-diameter': 'length', 'trunk-girth': 'length', 'pot-volume': 'volume' } as const;

export const labelUseBody: z.ZodType<LabelUse> = z
  .strictObject({
    id,
    line: name.max(500),
    method: z.enum(['spray', 'drench', 'granules', 'paint']),
    crops: z.array(z.string().min(1)).min(1, 'names no plant'),
    pests: z.array(z.string().min(1)).min(1, 'names no pest or disease'),
    rate: product,
    per: z.enum(RATE_PER),
    of: amountBody.nullable(),
    leastShare: z.number().gt(0).max(1).nullable(),
    carrier: z.strictObject({ amount: ofDimension(['volume']), on: ofDimension(['area']) }).nullable(),
    mostPerUse: product.nullable(),
    mostPerYear: product.nullable(),
    mostUses: z.number().int().min(1, 'must be at least 1').max(50),
    intervalDays: z.number().int().min(0).max(365),
    reentryHours: z.number().min(0).max(1000),
    preHarvestDays: z.number().int().min(0).max(365).nullable(),
    season: z.strictObject({ from: monthDay, to: monthDay }).nullable(),
  })
  .superRefine((use, context) => {
    const wanted = RATE_OF[use.per];
    if (wanted === null && use.of) context.addIssue({ code: 'custom', path: ['of'], message: 'a rate by plant has no second amount' });
    if (wanted !== null && (!use.of || dimensionOf(use.of.unit) !== wanted))
      context.addIssue({ code: 'custom', path: ['of'], message: `the rate is by ${use.per.replace('-', ' ')}: say for how much ${wanted}` });
  });

export const labelBody: z.ZodType<Label> = z
  .strictObject({
    id,
    name,
    registration: z.string().trim().max(60),
    actives: z.array(z.strictObject({ name, concentration: name, group: name })).min(1, 'names no active ingredient'),
    formulation: z.string().trim().max(120),
    signalWord: z.strictObject({ scheme: z.enum(['EPA', 'GHS']), word: z.string() }),
    restricted: z.boolean(),
    homeUse: z.boolean(),
    jurisdictions: z.array(z.string().trim().min(1)).min(1, 'names no place; * is everywhere'),
    validFrom: dateText,
    validUntil: dateText.nullable(),
    gear: z.array(z.string().trim().min(1)),
    packs: z.array(product),
    limits: z.strictObject({
      fromC: z.number().min(-10).max(40).nullable(),
      belowC: z.number().min(0).max(60).nullable(),
      mostWindMs: z.number().positive().max(20).nullable(),
      rainFreeHours: z.number().min(0).max(72).nullable(),
      bees: z.boolean(),
      waterDistanceM: z.number().min(0).max(500).nullable(),
    }),
    uses: z.array(labelUseBody).min(1, 'has no line of use'),
  })
  .superRefine((label, context) => {
    const words: readonly string[] = SIGNAL_WORDS[label.signalWord.scheme];
    if (!words.includes(label.signalWord.word))
      context.addIssue({ code: 'custom', path: ['signalWord'], message: `${label.signalWord.scheme} knows ${words.join(', ')}` });
    if (label.validUntil !== null && label.validUntil < label.validFrom)
      context.addIssue({ code: 'custom', path: ['validUntil'], message: `ends before it begins on ${label.validFrom}` });
    const ids = label.uses.map((use) => use.id);
    ids.forEach((useId, i) => {
      if (ids.indexOf(useId) !== i) context.addIssue({ code: 'custom', path: ['uses', i, 'id'], message: `"${useId}" stands there twice` });
    });
  });

export const ruleBody: z.ZodType<JurisdictionRule> = z.strictObject({
  id,
  jurisdiction: name,
  forbids: name,
  method: z.enum(['spray', 'drench', 'granules', 'paint']).nullable(),
  reason: name.max(400),
  asOf: dateText,
});

/** Who wrote what stands, and since when. */
const written = { revision: z.number(), at: z.string(), by: z.string() };
export const shedView = z.object({
  jurisdiction: z.string(),
  labels: z.array(z.object({ label: labelBody, ...written })),
  rules: z.array(z.object({ rule: ruleBody, ...written })),
});
export const recordHistory = z.array(z.object({ ...written, note: z.string(), removed: z.boolean(), body: z.unknown() }));
export const labelWrite = z.strictObject({ label: labelBody, note: z.string().trim().max(200).default('') });
export const ruleWrite = z.strictObject({ rule: ruleBody, note: z.string().trim().max(200).default('') });
export const labelImport = z.strictObject({
  text: z.string().min(1, 'the file is empty').max(5_000_000),
  format: z.enum(['csv', 'json']),
  apply: z.boolean().default(false),
});
export const labelImportView = z.object({
  applied: z.boolean(),
  labels: z.array(z.object({ id: z.string(), name: z.string(), what: z.enum(['new', 'changed', 'same']) })),
  faults: z.array(z.object({ where: z.string(), detail: z.string() })),
});

export type ShedView = z.infer<typeof shedView>;
export type LabelImportView = z.infer<typeof labelImportView>;
export type RecordHistory = z.infer<typeof recordHistory>;
