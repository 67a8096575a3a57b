import { Router, raw } from 'express';
import { z } from 'zod';
import { addPicture, pictureOnly, readPicture } from '../db/pictures.ts';
import { idParam, whoOf, type Services } from '../http.ts';
import { ApiError } from '../problems.ts';

const LARGEST = '24mb';

/** Pictures of a case: sent as they are, kept without anything that tells where or with what they were taken. */
export function pictureRoutes({ db, now }: Services): Router {
  const router = Router();
  router.put('/questions/:id/pictures/:pictureId', raw({ type: 'image/*', limit: LARGEST }), async (req, res) => {
    const { statementId } = z.object({ statementId: z.uuid().optional() }).parse(req.query);
    if (!Buffer.isBuffer(req.body)) throw new ApiError('invalid-request', 'A picture is wanted: send it as it is, with a content type of image/….');
    const picture = await pictureOnly(req.body);
    const id = idParam(req, 'pictureId');
    await addPicture(db, whoOf(res).deskId, idParam(req, 'id'), { ...picture, id, statementId: statementId ?? null }, now());
    res.status(204).end();
  });
  router.get('/pictures/:id', async (req, res) => {
    const image = await readPicture(db, whoOf(res).deskId, idParam(req, 'id'));
    res.type('image/jpeg').set('Cache-Control', 'private, max-age=31536000, immutable').send(image);
  });
  return router;
}
