import { Router } from 'express';
import { outcomeBody } from '@sounding/contract/api.ts';
import { deskToday } from '../db/desk.ts';
import { confirmedOutcomes, dropOutcome, readLearning, saveOutcome, takeOver } from '../db/outcomes.ts';
import { idParam, requireCoordinator, whoOf, type Services } from '../http.ts';
import { ApiError } from '../problems.ts';

/** What cases turned out to be, and what the desk takes over from them. Anybody confirms; only the coordinator takes over or sets back. */
export function learningRoutes({ db, library, now }: Services): Router {
  const router = Router();
  const when = async (deskId: string) => ({ now: now(), today: await deskToday(db, deskId, now()) });

  router.put('/questions/:id/outcome', async (req, res) => {
    const body = outcomeBody.parse(req.body);
    const { deskId } = whoOf(res);
    const edition = await library.edition(deskId);
    if (!edition.causes.some((cause) => cause.id === body.causeId))
      throw new ApiError('invalid-request', `causeId: "${body.causeId}" is not a cause of edition ${edition.version}`, [
        { pointer: '#/causeId', detail: 'not a known cause' },
      ]);
    await saveOutcome(db, whoOf(res), idParam(req, 'id'), body, await when(deskId));
    res.status(204).end();
  });
  router.delete('/questions/:id/outcome', async (req, res) => {
    await dropOutcome(db, whoOf(res).deskId, idParam(req, 'id'));
    res.status(204).end();
  });
  router.get('/learning', async (_req, res) => {
    const { deskId } = whoOf(res);
    const { today } = await when(deskId);
    res.set('Cache-Control', 'no-store').json(await readLearning(db, deskId, await library.unlearned(deskId), today));
  });
  router.post('/learning', async (_req, res) => {
    await requireCoordinator(db, res, 'Only the coordinator takes over what cases have taught.');
    const { deskId } = whoOf(res);
    await takeOver(db, whoOf(res), await confirmedOutcomes(db, deskId), await when(deskId));
    await library.renew(deskId);
    res.status(204).end();
  });
  router.delete('/learning', async (_req, res) => {
    await requireCoordinator(db, res, 'Only the coordinator sets back what was learned.');
    const { deskId } = whoOf(res);
    await takeOver(db, whoOf(res), [], await when(deskId));
    await library.renew(deskId);
    res.status(204).end();
  });
  return router;
}
