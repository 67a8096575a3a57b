import { z } from 'zod';
import { CHANNELS, CLIMATES, type Channel } from '@sounding/core/edition/edition.ts';
import { isoDate } from '@sounding/core/season/calendar.ts';

export const dateText = z.string().superRefine((value, context) => {
  try {
    isoDate(value);
  } catch (error) {
    context.addIssue({ code: 'custom', message: error instanceof Error ? error.message : 'not a date' });
  }
});
/** A climate by its name here, or as "highland-tropical". */
export const climate = z.enum([...CLIMATES, 'highland-tropical']).transform((name) => (name === 'highland-tropical' ? 'tropical-highland' : name));
export const channel = z.enum(CHANNELS as [Channel, ...Channel[]]);
export const hemisphere = z.enum(['N', 'S']);

export const readingInput = z.object({ finding: z.string().min(1), answer: z.string().min(1), channel: channel.default('caller') });

/** One case as the command line reads it; see docs/formats.md. */
export const caseInput = z.strictObject({
  id: z.union([z.string(), z.number()]).optional(),
  date: dateText.optional(),
  place: z
    .strictObject({
      lat: z.number().min(-90).max(90).optional(),
      lon: z.number().min(-180).max(180).optional(),
      hemisphere: hemisphere.optional(),
      climate: climate.optional(),
    })
    .default({}),
  host: z.string().min(1).nullish(),
  words: z.array(z.union([z.string(), z.strictObject({ ask: z.string(), say: z.string() })]), 'words must be a list of texts or {ask, say} objects'),
  readings: z.array(readingInput).default([]),
});
export type CaseInput = z.infer<typeof caseInput>;

/** First fault of a Zod error as "field: reason". */
export function firstFault(error: z.ZodError): string {
  const issue = error.issues[0];
  if (!issue) return 'input is not valid';
  const path = issue.path
    .map((key) => (typeof key === 'number' ? `[${key}]` : String(key)))
    .join('.')
    .replace(/\.\[/g, '[');
  const unknown = issue.code === 'unrecognized_keys' ? issue.keys.join(', ') : '';
  return unknown ? `${path ? `${path}.` : ''}${unknown}: unknown field` : `${path || 'case'}: ${issue.message}`;
}
