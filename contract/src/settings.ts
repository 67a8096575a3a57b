import { z } from 'zod';
import { climate, hemisphere } from './caseInput.ts';
import { TRUTHS, type LossTable } from '@sounding/core/edition/losses.ts';
import { ACTS } from '@sounding/core/edition/options.ts';

const points = z.number().min(0, 'at least 0').max(100, 'at most 100');
export const lossTableBody: z.ZodType<LossTable> = z.strictObject({
  wrongName: points,
  advice: z.record(z.enum(ACTS), z.record(z.enum(TRUTHS), points)),
});
/** The view a desk follows, by school; a school that is left out has no house line. */
export const houseLinesBody = z.record(z.string().max(80), z.number().int().min(0).max(9));

/** Where a desk sits: new questions are reckoned with it, those already taken keep what they were taken with. */
export const placeBody = z.strictObject({
  name: z.string().trim().min(1, 'a desk needs a name').max(80, 'at most 80 letters'),
  climate,
  hemisphere,
});
export type Place = z.infer<typeof placeBody>;

export const settingsView = z.object({
  houseLines: houseLinesBody,
  /** null = the table that ships. */
  losses: lossTableBody.nullable(),
  history: z.array(z.object({ what: z.enum(['house-lines', 'losses', 'place']), at: z.string(), by: z.string() })),
});
export type SettingsView = z.infer<typeof settingsView>;
