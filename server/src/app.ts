import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { constants } from 'node:zlib';
import compression from 'compression';
import express, { Router, type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { sql } from 'drizzle-orm';
import type { Services } from './http.ts';
import { ApiError, problemHandler } from './problems.ts';
import { caseRoutes } from './routes/cases.ts';
import { instrumentRoutes } from './routes/instruments.ts';
import { learningRoutes } from './routes/learning.ts';
import { libraryRoutes } from './routes/library.ts';
import { settingsRoutes } from './routes/settings.ts';
import { pictureRoutes } from './routes/pictures.ts';
import { replyRoutes } from './routes/replies.ts';
import { seasonRoutes } from './routes/season.ts';
import { shedRoutes } from './routes/shed.ts';
import { stationRoutes } from './routes/stations.ts';
import { deskRoutes, sessionGuard } from './routes/session.ts';

const NONCE = '__CSP_NONCE__';
/** For what is made anew for each request; higher takes three times as long for 7 % less. Editions are packed once (library/packedEditions.ts). */
const BROTLI_QUALITY = 5;

/** The built interface: hashed files for ever, the page itself fresh with a nonce for its styles. */
function webRoutes(folder: string): Router {
  const router = Router();
  const page = readFileSync(join(folder, 'index.html'), 'utf8');
  router.use('/assets', express.static(join(folder, 'assets'), { immutable: true, maxAge: '1y' }));
  router.use('/fonts', express.static(join(folder, 'fonts'), { immutable: true, maxAge: '30d' }));
  router.get('/{*path}', (req, res, next) => {
    if (req.path.startsWith('/api/') || req.path.startsWith('/assets/') || req.path.startsWith('/fonts/')) {
      next();
      return;
    }
    const nonce = randomBytes(16).toString('base64');
    res.set('Cache-Control', 'no-store');
    res.set(
      'Content-Security-Policy',
      `default-src 'none'; script-src 'self'; style-src 'self'; style-src-elem 'self' 'nonce-${nonce}'; style-src-attr 'none'; img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; worker-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'`,
    );
    res.type('html').send(page.replaceAll(NONCE, nonce));
  });
  return router;
}

/** The whole application on one Express app; `webFolder` may be missing in development and tests. */
export function createApp(services: Services, log: Logger, webFolder: string | null): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(helmet({ contentSecurityPolicy: false, strictTransportSecurity: false }));
  app.use(compression({ brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: BROTLI_QUALITY } } }));
  app.get('/api/health', async (_req, res) => {
    await services.db.execute(sql`select 1`);
    res.json({ ok: true, edition: services.library.shipped.version });
  });
  const api = Router();
  api.use(['/library/import', '/shed/import'], express.json({ limit: '6mb' }));
  api.use('/stations/:id/import', express.json({ limit: '22mb' }));
  api.use(express.json({ limit: '1mb' }));
  api.use(sessionGuard(services));
  api.use(deskRoutes(services));
  api.use(caseRoutes(services));
  api.use(pictureRoutes(services));
  api.use(instrumentRoutes(services));
  api.use(libraryRoutes(services));
  api.use(learningRoutes(services));
  api.use(shedRoutes(services));
  api.use(settingsRoutes(services));
  api.use(stationRoutes(services));
  api.use(replyRoutes(services));
  api.use(seasonRoutes(services));
  api.use((req) => {
    throw new ApiError('not-found', `There is no ${req.method} ${req.originalUrl.split('?')[0] ?? ''}.`);
  });
  app.use('/api', api);
  if (webFolder && existsSync(join(webFolder, 'index.html'))) app.use(webRoutes(webFolder));
  app.use(() => {
    throw new ApiError('not-found', 'There is no such page.');
  });
  app.use(problemHandler(log));
  return app;
}
