import { z } from 'zod';
import { WISHES, type Circumstances } from '@sounding/core/treatment/circumstances.ts';
import type { Overrule } from '@sounding/core/treatment/decide.ts';
import { amountBody } from './labels.ts';
import { dateText } from './caseInput.ts';

const maybe = z.boolean().nullable();
const money = z.number().min(0).max(1_000_000).nullable();

/** What the advisor has set of the circumstances; left out = not known. */
export const circumstancesBody = z
  .strictObject({
    culprit: z.enum(['present', 'not-found', 'gone']).nullable(),
    damage: z.enum(['going-on', 'stopped']).nullable(),
    plantIs: z.enum(['strong', 'weak']).nullable(),
    young: maybe,
    recurs: z.enum(['first-time', 'every-year']).nullable(),
    atStake: z.enum(['looks', 'crop', 'life']).nullable(),
    seasonLeft: z.enum(['most', 'little']).nullable(),
    edible: maybe,
    inBloom: maybe,
    heightM: z.number().positive('must be above 0').max(60, 'no garden plant is so high: were centimetres meant?').nullable(),
    nearWater: maybe,
    underGlass: maybe,
    children: maybe,
    pets: maybe,
    harvestOn: dateText.nullable(),
    costAYear: money,
    costToReplace: money,
    wish: z.enum(WISHES).nullable(),
    events: z.record(z.string().max(80), dateText),
  } satisfies Record<keyof Circumstances, z.ZodType>)
  .partial();

export const overruleBody: z.ZodType<Overrule> = z.strictObject({
  option: z.string().max(80).nullable(),
  why: z.string().trim().min(1, 'a word why is wanted').max(400),
});

/** How a product is put on, and on how much: what a dose is worked out from. */
const equipmentBody = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.enum(['pressure-sprayer', 'watering-can']), holds: amountBody }),
  z.strictObject({
    kind: z.literal('hose-end'),
    settings: z.array(z.strictObject({ say: z.string(), product: amountBody, water: amountBody })).min(1),
  }),
  z.strictObject({ kind: z.enum(['spreader', 'by-hand']) }),
]);
const count = z.number().int().min(1, 'must be at least 1').max(10_000);
const targetBody = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('mix'), finished: amountBody }),
  z.strictObject({ kind: z.literal('area'), area: amountBody }),
  z.strictObject({ kind: z.literal('plants'), count }),
  z.strictObject({ kind: z.literal('trunks'), across: amountBody, measured: z.enum(['diameter', 'girth']), count }),
  z.strictObject({ kind: z.literal('pots'), holds: amountBody, count }),
]);

export const applicationBody = z.strictObject({
  id: z.uuid(),
  labelId: z.string().max(80),
  useId: z.string().max(80),
  on: dateText,
  state: z.enum(['planned', 'done', 'skipped']),
  /** Hours of the day it suits; null = to be looked at again. */
  hours: z.string().max(20).nullable(),
  /** Moved by hand: planning anew leaves it where it is. */
  fixed: z.boolean(),
  /** What is measured out, in words. */
  say: z.string().max(400),
  /** The same in ml or g, as an exact decimal or fraction. */
  base: z.string().max(60),
});

/** What is to be done about one question: product, how it is put on, when. */
export const planBody = z.strictObject({
  labelId: z.string().max(80).nullable(),
  useId: z.string().max(80).nullable(),
  equipment: equipmentBody.nullable(),
  target: targetBody.nullable(),
  system: z.enum(['metric', 'us']),
  wanted: z.number().int().min(1).max(12),
  harvestEvery: z.number().int().min(1).max(365).nullable(),
  /** Change the mode of action from one application to the next. */
  rotate: z.boolean(),
  applications: z.array(applicationBody).max(40),
  /** Things to look at again on a day: what, and why then. Plans from before 2026.12 have none. */
  checks: z
    .array(z.strictObject({ id: z.uuid(), on: dateText, what: z.string().max(200), why: z.string().max(400) }))
    .max(20)
    .optional(),
  /** Sums of the bench that were put into the case: what was worked out, and its line for the letter. */
  sums: z.array(z.strictObject({ id: z.uuid(), sum: z.string().max(40), line: z.string().max(400), reply: z.string().max(600) })).max(20),
});

export const mailBody = z.strictObject({
  id: z.uuid(),
  to: z.email('that is no e-mail address'),
  subject: z.string().trim().min(1, 'a subject is wanted').max(200),
  /** The body as the advisor saw it when they pressed send. */
  body: z.string().min(1).max(20_000),
});
export const mailView = z.object({
  id: z.uuid(),
  questionId: z.uuid().nullable(),
  to: z.string(),
  subject: z.string(),
  at: z.string(),
  by: z.string(),
  bytes: z.number(),
});

export type CircumstancesBody = z.infer<typeof circumstancesBody>;
export type PlanBody = z.infer<typeof planBody>;
export type ApplicationBody = z.infer<typeof applicationBody>;
export type MailBody = z.infer<typeof mailBody>;
export type MailView = z.infer<typeof mailView>;
