import { Router } from 'express';
import { houseLinesBody, lossTableBody, placeBody, type SettingsView } from '@sounding/contract/settings.ts';
import type { LossTable } from '@sounding/core/edition/losses.ts';
import { recordHistoryOf, standingRecord, writeRecords } from '../db/deskRecords.ts';
import { placeDesk } from '../db/deskPlace.ts';
import { requireCoordinator, whoOf, type Services } from '../http.ts';
import { ApiError } from '../problems.ts';

const KINDS = ['house-lines', 'losses', 'place'] as const;

/** House lines and the table of losses become part of the desk's edition, so that old answers stay as they were; where it sits holds from the next question on. */
export function settingsRoutes({ db, library, now }: Services): Router {
  const router = Router();
  router.get('/settings', async (_req, res) => {
    const { deskId } = whoOf(res);
    const history = await Promise.all(
      KINDS.map(async (what) =>
        (await standingRecord(db, deskId, what)) ? (await recordHistoryOf(db, deskId, what, what)).map(({ at, by }) => ({ what, at, by })) : [],
      ),
    );
    const view: SettingsView = {
      houseLines: (await standingRecord<Record<string, number>>(db, deskId, 'house-lines'))?.body ?? {},
      losses: (await standingRecord<LossTable>(db, deskId, 'losses'))?.body ?? null,
      history: history.flat().sort((a, b) => b.at.localeCompare(a.at)),
    };
    res.set('Cache-Control', 'no-store').json(view);
  });
  router.put('/settings/house-lines', async (req, res) => {
    const body = houseLinesBody.parse(req.body);
    await requireCoordinator(db, res, 'Only the coordinator sets the lines of the house.');
    const { schools } = await library.edition(whoOf(res).deskId);
    for (const [id, view] of Object.entries(body))
      if (!schools.find((school) => school.id === id)?.views[view])
        throw new ApiError('invalid-request', `${id}: there is no such view`, [{ pointer: `#/${id}`, detail: 'there is no such view' }]);
    await writeRecords(db, whoOf(res), [{ kind: 'house-lines', recordId: 'house-lines', body, note: '' }], now());
    await library.renew(whoOf(res).deskId);
    res.status(204).end();
  });
  router.put('/settings/losses', async (req, res) => {
    // null gives the table back that ships
    const body = lossTableBody.nullable().parse(req.body === undefined ? null : ((req.body as { table?: unknown }).table ?? null));
    await requireCoordinator(db, res, 'Only the coordinator sets what wrong advice costs.');
    await writeRecords(db, whoOf(res), [{ kind: 'losses', recordId: 'losses', body, note: '' }], now());
    await library.renew(whoOf(res).deskId);
    res.status(204).end();
  });
  router.put('/settings/place', async (req, res) => {
    const body = placeBody.parse(req.body);
    await requireCoordinator(db, res, 'Only the coordinator says where the desk is.');
    await placeDesk(db, whoOf(res), body, now());
    res.status(204).end();
  });
  return router;
}
