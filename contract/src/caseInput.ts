import { z } from 'zod';
import { CLIMATES, type Climate } from '@sounding/core/edition/climates.ts';
import { CHANNELS, type Channel } from '@sounding/core/edition/findings.ts';
import { isoDate } from '@sounding/core/season/calendar.ts';

export const dateText = z.string().superRefine((value, context) => {
  try {
    isoDate(value);
  } catch (error) {
    context.addIssue({ code: 'custom', message: error instanceof Error ? error.message : 'not a date' });
  }
});
/** A name as people write it: capitals and spaces do not matter. */
export const folded = (value: unknown): unknown =>
  typeof value === 'string'
    ? value
        .trim()
        .toLowerCase()
        .replace(/[\s_]+/g, '-')
    : value;

/** What people call the climates besides; the warm wet ones are one here. */
const CLIMATES_CALLED: Record<Climate, string> = {
  'temperate-maritime': 'temperate maritime oceanic temperate-oceanic cool-temperate',
  continental: 'humid-continental temperate-continental',
  mediterranean: 'dry-summer',
  arid: 'desert hot-desert semi-arid hot-arid steppe',
  subtropical: 'humid-subtropical tropical humid-tropical lowland-tropical tropical-lowland monsoon',
  'tropical-highland': 'highland tropical-highlands',
};
const climateCalled = new Map(CLIMATES.flatMap((name) => CLIMATES_CALLED[name].split(' ').map((other) => [other, name] as const)));

/** A climate by its name here, as "highland-tropical", or by another name that is usual for it. */
export const climate = z
  .preprocess(
    (value) => {
      const name = folded(value);
      return typeof name === 'string' ? (climateCalled.get(name) ?? name) : name;
    },
    z.enum([...CLIMATES, 'highland-tropical']),
  )
  .transform((name) => (name === 'highland-tropical' ? 'tropical-highland' : name));
export const channel = z.enum(CHANNELS as [Channel, ...Channel[]]);
/** N or S; "north" and "southern" are understood. */
export const hemisphere = z.preprocess(
  (value) => (typeof value === 'string' ? (/^(n|north|northern)$/i.test(value) ? 'N' : /^(s|south|southern)$/i.test(value) ? 'S' : value) : value),
  z.enum(['N', 'S']),
);

export const readingInput = z.object({ finding: z.string().min(1), answer: z.string().min(1), channel: channel.default('caller') });

/** One case as the command line reads it; see docs/formats.md. */
export const caseInput = z.strictObject({
  id: z.union([z.string(), z.number()]).optional(),
  date: dateText.nullish(),
  place: z
    .strictObject({
      lat: z.number().min(-90).max(90).nullish(),
      lon: z.number().min(-180).max(180).nullish(),
      hemisphere: hemisphere.nullish(),
      climate: climate.nullish(),
    })
    .nullish(),
  /** As practice calls say it; `place` goes before. */
  climate: climate.nullish(),
  hemisphere: hemisphere.nullish(),
  host: z.string().min(1).nullish(),
  words: z.array(z.union([z.string(), z.object({ ask: z.string(), say: z.string() })]), 'words must be a list of texts or {ask, say} objects'),
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
