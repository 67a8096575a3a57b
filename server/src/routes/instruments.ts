import { Router, type Response } from 'express';
import { instrumentReadingPatch, type InstrumentsView } from '@sounding/contract/instruments.ts';
import { assignReading, lastReadings } from '../db/instrumentReadings.ts';
import { idParam, whoOf, type Services } from '../http.ts';
import { ApiError } from '../problems.ts';

/** The instruments at the table, and what they have measured. */
export function instrumentRoutes({ db, instruments }: Services): Router {
  const router = Router();
  /** Another desk sees nothing of this table. */
  const ownTable = (res: Response) => instruments.deskId === whoOf(res).deskId;
  router.get('/instruments', async (_req, res) => {
    const view: InstrumentsView = { instruments: ownTable(res) ? instruments.views : [], readings: await lastReadings(db, whoOf(res).deskId) };
    res.set('Cache-Control', 'no-store').json(view);
  });
  router.post('/instruments/:serial/take', (req, res) => {
    if (!ownTable(res) || !instruments.take(req.params.serial))
      throw new ApiError('conflict', 'The instrument is not connected now. What it has measured stays in it and comes when it is back.');
    res.status(202).end();
  });
  router.patch('/instrument-readings/:id', async (req, res) => {
    await assignReading(db, whoOf(res).deskId, idParam(req, 'id'), instrumentReadingPatch.parse(req.body).questionId);
    res.status(204).end();
  });
  return router;
}
