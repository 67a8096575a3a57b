import { z } from 'zod';
import { caseSummary } from './api.ts';

/** What the desk itself adds to the season: who is to be rung, which plants it is asked about, and how its answers turned out. */
export const deskSeason = z.object({
  followUps: z.array(caseSummary),
  plants: z.array(z.object({ hostId: z.string(), gardens: z.number() })),
  /** Confirmed outcomes beside the probability that was written to the caller. */
  stated: z.array(z.object({ said: z.number(), right: z.boolean() })),
});
export type DeskSeason = z.infer<typeof deskSeason>;
