import { Router, type RequestHandler } from 'express';
import { deskPatch, seatBody } from '@sounding/contract/api.ts';
import { deskToday, findEdition, findSession, openDemoSession, readSession, readWeather, setDemoDay, takeSeat } from '../db/desk.ts';
import { packEdition } from '@sounding/core/edition/packed.ts';
import { idParam, whoOf, type Services } from '../http.ts';
import { ApiError } from '../problems.ts';

const COOKIE = 'sounding_session';

function tokenOf(header: string | undefined): string | null {
  const match = header?.split(/;\s*/).find((part) => part.startsWith(`${COOKIE}=`));
  return match ? match.slice(COOKIE.length + 1) : null;
}

/** Knows who is asking; visitors to a demo desk are signed in on the way. */
export function sessionGuard({ db, secureCookies }: Services): RequestHandler {
  return async (req, res, next) => {
    const token = tokenOf(req.headers.cookie);
    const known = token ? await findSession(db, token) : null;
    if (known) res.locals['who'] = known;
    else {
      const opened = await openDemoSession(db);
      if (!opened) throw new ApiError('not-signed-in', 'Sign in first.');
      res.cookie(COOKIE, opened.token, { httpOnly: true, sameSite: 'strict', secure: secureCookies, path: '/' });
      res.locals['who'] = opened.who;
    }
    next();
  };
}

/** Who is at the desk, the desk's day, editions and weather. */
export function deskRoutes(services: Services): Router {
  const { db, library, packed, now } = services;
  const router = Router();
  router.get('/session', async (_req, res) => {
    const { deskId } = whoOf(res);
    const session = await readSession(db, whoOf(res), (await library.edition(deskId)).version, now());
    if (!session) throw new ApiError('not-signed-in', 'Sign in first.');
    res.set('Cache-Control', 'no-store').json(session);
  });
  router.put('/session/seat', async (req, res) => {
    const { personId } = seatBody.parse(req.body);
    const token = tokenOf(req.headers.cookie);
    if (!token || !(await takeSeat(db, token, personId)))
      throw new ApiError('conflict', 'Only at a demo desk can one change seats, and only to one of its people.');
    res.status(204).end();
  });
  router.patch('/desk', async (req, res) => {
    const { today } = deskPatch.parse(req.body);
    const { deskId } = whoOf(res);
    if (!(await setDemoDay(db, deskId, today))) throw new ApiError('conflict', 'Only a demo desk has a day of its own.');
    await services.fetchWeather(deskId, today);
    res.status(204).end();
  });
  router.get('/editions/:version/packed', async (req, res) => {
    const version = String(req.params['version']);
    const { deskId } = whoOf(res);
    const own = await library.edition(deskId);
    const found = [own, library.shipped].find((edition) => edition.version === version) ?? (await findEdition(db, deskId, version));
    if (!found) throw new ApiError('not-found', `Edition ${version} was never used here.`);
    res.set('Cache-Control', 'private, max-age=31536000, immutable').vary('Accept-Encoding');
    if (!req.acceptsEncodings('br')) res.json(packEdition(found));
    else
      res
        .set('Content-Encoding', 'br')
        .type('json')
        .send(await packed.of(found));
  });
  router.get('/stations/:id/weather', async (req, res) => {
    const { deskId } = whoOf(res);
    const until = typeof req.query['until'] === 'string' ? deskPatch.parse({ today: req.query['until'] }).today : await deskToday(db, deskId, now());
    const weather = await readWeather(db, deskId, idParam(req, 'id'), until);
    if (!weather) throw new ApiError('not-found', 'This desk has no such station.');
    res.json(weather);
  });
  return router;
}
