import { Router, type Response } from 'express';
import { entryBody, entryParams, importBody } from '@sounding/contract/api.ts';
import { requireCoordinator, whoOf, type Services } from '../http.ts';
import { ApiError } from '../problems.ts';

/** The desk's own entries in the library: read, written, taken back, taken out and brought in. Only the coordinator writes. */
export function libraryRoutes({ db, library, works, inspections, now }: Services): Router {
  const router = Router();
  const coordinatorOnly = (res: Response) => requireCoordinator(db, res, 'Only the coordinator of the desk writes in its library.');

  router.get('/library/entries/:kind/:id', async (req, res) => {
    const { kind, id } = entryParams.parse(req.params);
    res.set('Cache-Control', 'no-store').json(await library.entry(whoOf(res).deskId, kind, id));
  });
  router.put('/library/entries/:kind/:id', async (req, res) => {
    const { kind, id } = entryParams.parse(req.params);
    const { text, note } = entryBody.parse(req.body);
    await coordinatorOnly(res);
    res.json(await library.write(whoOf(res), [{ kind, id, text }], note, now()));
  });
  router.post('/library/entries/:kind/:id/undo', async (req, res) => {
    const { kind, id } = entryParams.parse(req.params);
    await coordinatorOnly(res);
    res.json(await library.undo(whoOf(res), kind, id, now()));
  });
  router.get('/library/works/:cause', (req, res) => {
    res.set('Cache-Control', 'private, max-age=3600').json(works.get(req.params.cause) ?? []);
  });
  router.get('/library/inspections', (_req, res) => {
    res.set('Cache-Control', 'private, max-age=3600').json(inspections);
  });
  router.get('/library/export.:format', async (req, res) => {
    const format = req.params['format'];
    if (format !== 'yaml' && format !== 'json') throw new ApiError('not-found', 'The library can be had as yaml or json.');
    const text = await library.text(whoOf(res).deskId, format);
    res
      .type(format === 'json' ? 'application/json' : 'application/yaml')
      .set('Content-Disposition', `attachment; filename="library.${format}"`)
      .send(text);
  });
  router.post('/library/import', async (req, res) => {
    const { text, apply } = importBody.parse(req.body);
    await coordinatorOnly(res);
    const { deskId } = whoOf(res);
    const changes = await library.differing(deskId, text);
    const entries = changes.map(({ kind, id, text: body }) => ({ kind, id, text: body }));
    const change =
      apply && entries.length > 0 ? await library.write(whoOf(res), entries, 'brought in from a file', now()) : await library.tryOut(deskId, entries);
    res.json({ ...change, applied: apply, changes: changes.map(({ kind, id, what }) => ({ kind, id, what })) });
  });
  return router;
}
