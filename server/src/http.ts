import { COORDINATOR } from '@sounding/contract/api.ts';
import type { Inspection } from '@sounding/core/edition/inspections.ts';
import { eq } from 'drizzle-orm';
import type { Request, Response } from 'express';
import type { Database } from './db/connect.ts';
import type { Who } from './db/desk.ts';
import { people } from './db/schema.ts';
import type { InstrumentHub } from './instruments/hub.ts';
import type { DeskLibrary } from './library/deskLibrary.ts';
import type { PackedEditions } from './library/packedEditions.ts';
import { ApiError } from './problems.ts';
import { z } from 'zod';

/** What every route may use. The clock is passed in. */
export interface Services {
  db: Database;
  library: DeskLibrary;
  /** Standard works to check an entry of the library against, cited, by cause id. */
  works: ReadonlyMap<string, readonly string[]>;
  /** Tests that are read out step by step. */
  inspections: readonly Inspection[];
  /** Editions as they are sent. */
  packed: PackedEditions;
  now: () => Date;
  secureCookies: boolean;
  /** Folder of the fonts that letters are set in. */
  fonts: string;
  /** What stands on the table. */
  instruments: InstrumentHub;
  /** Keeps a station's record complete up to a day. */
  fetchWeather: (deskId: string, until: string) => Promise<void>;
}

/** Set by the session guard on every request behind it. */
export const whoOf = (res: Response): Who => {
  const who = res.locals['who'] as Who | undefined;
  if (!who) throw new ApiError('not-signed-in', 'Sign in first.');
  return who;
};

/** @throws ApiError not-allowed with these words when somebody else asks */
export async function requireCoordinator(db: Database, res: Response, words: string): Promise<void> {
  const [person] = await db
    .select({ role: people.role })
    .from(people)
    .where(eq(people.id, whoOf(res).personId));
  if (person?.role !== COORDINATOR) throw new ApiError('not-allowed', words);
}

/** A UUID from the path; anything else is simply not there. */
export function idParam(req: Request, name: string): string {
  const parsed = z.uuid().safeParse(req.params[name]);
  if (!parsed.success) throw new ApiError('not-found', `"${String(req.params[name])}" is not an id.`);
  return parsed.data;
}
