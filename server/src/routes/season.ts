import { and, count, desc, eq } from 'drizzle-orm';
import { Router } from 'express';
import type { DeskSeason } from '@sounding/contract/season.ts';
import { addDays } from '@sounding/core/season/calendar.ts';
import { followUpsUntil } from '../db/caseReader.ts';
import { deskToday } from '../db/desk.ts';
import { advice, outcomes, plants } from '../db/schema.ts';
import { whoOf, type Services } from '../http.ts';

/** Calls to be rung back are shown this far ahead. */
const AHEAD_DAYS = 14;
const PLANTS_SHOWN = 60;

/** The desk's own part of the season view; weather and windows are worked out where they are looked at. */
export function seasonRoutes({ db, now }: Services): Router {
  const router = Router();
  router.get('/season', async (_req, res) => {
    const { deskId } = whoOf(res);
    const today = await deskToday(db, deskId, now());
    const asked = await db
      .select({ hostId: plants.hostId, gardens: count() })
      .from(plants)
      .where(eq(plants.deskId, deskId))
      .groupBy(plants.hostId)
      .orderBy(desc(count()))
      .limit(PLANTS_SHOWN);
    const settled = await db
      .select({ said: advice.probability, named: advice.causeId, was: outcomes.causeId })
      .from(outcomes)
      .innerJoin(advice, eq(advice.questionId, outcomes.questionId))
      .where(and(eq(outcomes.deskId, deskId)));
    const view: DeskSeason = {
      followUps: await followUpsUntil(db, deskId, addDays(today, AHEAD_DAYS)),
      plants: asked,
      stated: settled.map(({ said, named, was }) => ({ said, right: named === was })),
    };
    res.set('Cache-Control', 'no-store').json(view);
  });
  return router;
}
