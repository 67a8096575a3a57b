import { z } from 'zod';
import { INSTRUMENT_KINDS, QUANTITIES, type QuantityId } from '@sounding/core/instruments/line.ts';

const quantity = z.enum(Object.keys(QUANTITIES) as [QuantityId, ...QuantityId[]]);
export const instrumentView = z.object({
  /** Where it is listened for. */
  address: z.string(),
  state: z.enum(['connected', 'lost', 'never-seen']),
  kind: z.enum(INSTRUMENT_KINDS).nullable(),
  serial: z.string().nullable(),
  name: z.string().nullable(),
  /** The last thing that went wrong, in words; null once it is well again. */
  trouble: z.string().nullable(),
});
export const instrumentReadingView = z.object({
  id: z.uuid(),
  serial: z.string(),
  seq: z.number(),
  instrument: z.enum(INSTRUMENT_KINDS),
  measured: z.partialRecord(quantity, z.number()),
  takenAt: z.string(),
  /** The question it was taken in to. */
  questionId: z.uuid().nullable(),
});
export const instrumentsView = z.object({ instruments: z.array(instrumentView), readings: z.array(instrumentReadingView) });
export const instrumentReadingPatch = z.strictObject({ questionId: z.uuid().nullable() });

export type InstrumentView = z.infer<typeof instrumentView>;
export type InstrumentReadingView = z.infer<typeof instrumentReadingView>;
export type InstrumentsView = z.infer<typeof instrumentsView>;
