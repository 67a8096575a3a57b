import { z } from 'zod';
import { ACTIONS } from '@sounding/core/consult/practiceCall.ts';
import { climate, dateText, folded, hemisphere } from './caseInput.ts';

const text = z.string();
/** Left empty is left out. */
const orNothing = <T extends z.ZodType>(schema: T) =>
  z.preprocess((value) => (typeof value === 'string' && value.trim() === '' ? null : value), schema.nullish());

/** One practice call as `sounding evaluate` reads it; see docs/formats.md. Fields it does not know are passed over. */
export const practiceInput = z.object({
  id: z.union([text, z.number()]),
  /** What the caller says when the line opens. */
  opening: text,
  host: orNothing(text),
  date: orNothing(dateText),
  climate: orNothing(climate),
  hemisphere: orNothing(hemisphere),
  /** What the caller could tell if asked: the question in anybody's words, and the answer. */
  facts: z
    .array(z.object({ ask: text, say: text, kind: text.nullish() }))
    .nullish()
    .transform((facts) => facts ?? []),
  /** The right cause by any of its names; empty or null for a call that is only about care. */
  cause: text.nullish(),
  also: z
    .array(text)
    .nullish()
    .transform((names) => names ?? []),
  action: orNothing(z.preprocess(folded, z.enum(ACTIONS))),
});
export type PracticeInput = z.infer<typeof practiceInput>;
