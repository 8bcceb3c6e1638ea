import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { ServerResponse } from 'node:http';
import { join } from 'node:path';
import { toNodeHandler, fromNodeHeaders } from 'better-auth/node';
import type { CompiledGuide } from '@pause/core';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { AUTH_BODIES, AUTH_BODY_LIMIT, AUTH_PATHS, FROM_HEADER, record, type Auth } from '../accounts';
import type { Db } from '../db';
import type { Jobs } from '../jobs';
import type { Live } from '../live';
import { invalid, notFound, Problem, problemHandler } from '../problem';
import type { Questions } from '../questions';
import { countedAs, openLimits } from './limits';
import { body } from './body';
import { UNKEEPABLE, unkeepable } from './keepable';
import { admitted, PUSH, routes, type Services } from './routes';

export interface AppOptions {
  readonly db: Db;
  readonly guide: CompiledGuide;
  readonly questions: Questions;
  readonly live: Live;
  readonly jobs: Jobs;
  readonly auth: Auth;
  readonly log: Logger;
  /** Folder of the built web application; without it only the API is served. */
  readonly web?: string;
  /** Proxies in front whose word on where a request comes from is taken, as Express counts them. */
  readonly proxies?: number;
}

const BODY_LIMIT = '1mb';
const CHANGES_NOTHING = new Set(['GET', 'HEAD', 'OPTIONS']);

/** The HTTP interface, version 1, and the web application beside it. It keeps nothing in memory that matters. */
export function createApp(options: AppOptions): Express {
  const { log, web, proxies } = options;
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', proxies ?? false);
  app.use(helmet({
    contentSecurityPolicy: {
      directives: {
        'script-src': ["'self'", ...(web === undefined ? [] : ownScripts(web))], 'style-src': ["'self'", "'unsafe-inline'"], 'img-src': ["'self'", 'data:', 'blob:'], 'worker-src': ["'self'", 'blob:'],
        'connect-src': ["'self'"], 'frame-ancestors': ["'none'"], 'upgrade-insecure-requests': null,
      },
    },
    strictTransportSecurity: false,
  }));
  app.use('/api/v1', api(options), notFound);
  app.use(compression());
  if (web !== undefined) {
    // What the build pressed is sent as it is; the rest is pressed on the way.
    app.use(expressStaticGzip(web, { enableBrotli: true, orderPreference: ['br'], index: false, serveStatic: { setHeaders: cacheFor } }));
    app.get('/{*path}', (request, response, next) => {
      if (request.accepts('html') === false || /\.[a-z0-9]+$/i.test(request.path)) next();
      else response.set('Cache-Control', 'no-cache').sendFile(join(web, 'index.html'), { dotfiles: 'allow' });
    });
  }
  app.use(notFound);
  app.use(problemHandler((error) => log.error({ err: error }, 'unexpected')));
  return app;
}

/** The scripts that stand in the page itself, as its policy names them. */
function ownScripts(web: string): string[] {
  const scripts = readFileSync(join(web, 'index.html'), 'utf8').matchAll(/<script>([^]*?)<\/script>/g);
  return [...scripts].map(([, text = '']) => `'sha256-${createHash('sha256').update(text).digest('base64')}'`);
}

/** Bundled files carry their hash in the name and never change. */
function cacheFor(response: ServerResponse, path: string): void {
  if (/[.-][0-9a-f]{16,}\.[a-z0-9]+(\.br|\.gz)?$/.test(path)) response.setHeader('Cache-Control', 'public, max-age=31536000, immutable');
}

/** A request that changes something must come from a page of this server: another page could send it along with the cookie. */
const fromOwnPages: RequestHandler = (request, _response, next) => {
  const { origin, host } = request.headers;
  const site = request.headers['sec-fetch-site'];
  const foreign = (origin !== undefined && !sameHost(origin, host)) || (site !== undefined && site !== 'same-origin' && site !== 'none');
  next(foreign && !CHANGES_NOTHING.has(request.method) ? new Problem(403, 'other-origin', 'This was sent from a page that does not belong to Pause.') : undefined);
};
function sameHost(origin: string, host: string | undefined): boolean {
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

const onlyKeepable: RequestHandler = (request, _response, next) => {
  // Entries are looked at one by one: what cannot be kept of one keeps the others in nobody's way.
  const field = request.path === PUSH ? undefined : unkeepable(request.body);
  if (field !== undefined) throw invalid([{ field: field || 'body', reason: UNKEEPABLE }]);
  next();
};

function api({ db, guide, questions, live, jobs, auth }: AppOptions): express.Router {
  const whoAsks: Services['whoAsks'] = async (request) => (await auth.api.getSession({ headers: fromNodeHeaders(request.headers) }))?.user.id;
  const limits = openLimits(db);
  const router = express.Router();
  router.use(fromOwnPages);
  const handler = toNodeHandler(auth);
  router.use('/auth', express.json({ limit: AUTH_BODY_LIMIT }), onlyKeepable);
  for (const path of AUTH_PATHS) {
    router.post(`/auth${path}`, async (request, response) => {
      // Whoever signs out may send nothing; the library reads what was parsed here.
      request.body = body(AUTH_BODIES[path], request, {});
      request.headers[FROM_HEADER] = request.ip ?? '';
      if (path === '/revoke-sessions') {
        const person = await whoAsks(request);
        if (person !== undefined) await record(db, person, 'signed-out-everywhere');
      }
      await handler(request, response);
    });
  }
  router.use(compression({ filter: (request, response) => !request.path.endsWith('/events') && compression.filter(request, response) }));
  router.use(express.raw({ type: 'application/octet-stream', limit: BODY_LIMIT }));
  router.use(express.json({ limit: BODY_LIMIT, strict: false }), onlyKeepable);
  for (const route of routes({ db, guide, questions, live, jobs })) {
    router[route.method](route.path, async (request, response) => {
      response.set('Cache-Control', 'no-store');
      const actor = await admitted(route, request, { db, whoAsks });
      await limits(route.pace, countedAs(request, actor.person));
      await route.handle(request, response, actor);
    });
  }
  return router;
}
