import { z } from 'zod';
import { ACTS } from '@sounding/core/edition/options.ts';
import { caseInput, dateText } from './caseInput.ts';
import { practiceInput } from './practiceInput.ts';

const day = dateText.nullable();

/** What `sounding diagnose` prints for one case; see docs/formats.md. */
export const caseOutput = z.strictObject({
  id: z.union([z.string(), z.number()]).optional(),
  edition: z.string(),
  host: z.strictObject({ id: z.string(), name: z.string(), latin: z.string() }).nullable(),
  understood: z.array(z.strictObject({ finding: z.string(), answer: z.string(), from: z.string() })),
  notUnderstood: z.array(z.string()),
  claims: z.array(z.strictObject({ cause: z.string(), from: z.string() })),
  differential: z.array(
    z.strictObject({
      cause: z.string(),
      name: z.string(),
      latin: z.string().optional(),
      also: z.array(z.string()),
      kind: z.string(),
      probability: z.number().min(0).max(1),
    }),
  ),
  openly: z.string().nullable(),
  next: z.array(z.strictObject({ finding: z.string(), ask: z.string(), bits: z.number().min(0), seconds: z.number(), again: z.boolean() })),
  enough: z.boolean(),
  decision: z.strictObject({ act: z.enum(ACTS), why: z.string() }),
  care: z.array(
    z.strictObject({
      plant: z.string().describe('whose card answers; of "spread" the name of the cause'),
      topic: z.string(),
      answer: z.string(),
      urgent: z.literal(true).optional().describe('somebody or an animal ate of it: before anything else'),
    }),
  ),
  timing: z.array(
    z.strictObject({
      option: z.string(),
      title: z.string(),
      state: z.enum(['not-yet', 'open', 'closing', 'closed', 'any-time', 'unknown']),
      from: day,
      to: day,
      nextFrom: day,
      basis: z.string(),
    }),
  ),
  unexplained: z.array(z.string()),
  measurements: z.array(z.strictObject({ from: z.string(), metres: z.number(), doubt: z.string().nullable() })),
});

/** The published JSON Schemas, by file name under docs/schema. */
export function publishedSchemas(): Record<string, unknown> {
  const schema = (of: z.ZodType, title: string, io: 'input' | 'output') => ({
    title,
    ...z.toJSONSchema(of, { io, target: 'draft-2020-12', unrepresentable: 'any' }),
  });
  return {
    'case-input.schema.json': schema(caseInput, 'A case for sounding diagnose', 'input'),
    'practice-call.schema.json': schema(practiceInput, 'A practice call for sounding evaluate', 'input'),
    'case-output.schema.json': schema(caseOutput, 'What sounding diagnose answers', 'output'),
  };
}
