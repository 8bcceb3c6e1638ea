import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { ServerResponse } from 'node:http';
import { isIP } from 'node:net';
import { join } from 'node:path';
import { APIError } from 'better-auth/api';
import { toNodeHandler, fromNodeHeaders } from 'better-auth/node';
import compression from 'compression';
import express, { type Express, type Request, type RequestHandler, type Response } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import type { Logger } from 'pino';
import type { CompiledGuide } from '@pause/core';
import { actorOf, type Actor } from '../access';
import { openRemembered } from '../access/remembered';
import {
  AUTH_BODIES,
  AUTH_BODY_LIMIT,
  AUTH_PATHS,
  CONFIRM,
  FROM_HEADER,
  isSoonGuessed,
  LETTER_PATHS,
  PASSWORD_AT_LEAST,
  passwordFits,
  record,
  sessionOf,
  type Auth,
  type Session,
} from '../accounts';
import type { Db } from '../db';
import type { Clock } from '../demo/clock';
import type { Jobs } from '../jobs';
import type { Judging } from '../judging';
import type { Live } from '../live';
import type { Mail } from '../mail';
import { tellPerson } from '../notebook';
import type { Objects } from '../pictures';
import { invalid, notFound, Problem, problemHandler } from '../problem';
import type { Questions } from '../questions';
import type { Reading } from '../reading';
import { body } from './body';
import { UNKEEPABLE, unkeepable } from './keepable';
import { countedAs, fromOf, openLimits, openTries } from './limits';
import { observed, type Metrics } from './observe';
import { admitted, PUSH, routes, type Services } from './routes';

export interface AppOptions {
  readonly db: Db;
  /** One connection of its own, to ask whether the database is there however busy the others are. */
  readonly pulse: Db;
  readonly clock: Clock;
  readonly metrics?: Metrics | undefined;
  readonly guide: CompiledGuide;
  readonly questions: Questions;
  readonly judging: Judging;
  readonly reading: Reading;
  readonly live: Live;
  readonly jobs: Jobs;
  readonly auth: Auth;
  readonly log: Logger;
  /** Where whole pictures lie, if not in the database. */
  readonly objects?: Objects | undefined;
  /** Where letters go, if any are sent. */
  readonly mail?: Mail['kind'] | undefined;
  /** Folder of the built web application; without it only the API is served. */
  readonly web?: string;
  /** Proxies in front whose word on where a request comes from is taken, as Express counts them. */
  readonly proxies?: number;
  /** The address under which people reach this server. */
  readonly publicUrl?: string;
}

const BODY_LIMIT = '1mb';
const YEAR_SECONDS = 31_536_000;
const CHANGES_NOTHING = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * The HTTP interface, version 1, and the web application beside it. It keeps nothing in memory that matters.
 */
export function createApp(options: AppOptions): Express {
  const { log, web, proxies, publicUrl } = options;
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', proxies ?? false);
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'", ...(web === undefined ? [] : ownScripts(web))],
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'worker-src': ["'self'", 'blob:'],
          'connect-src': ["'self'"],
          'frame-ancestors': ["'none'"],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: publicUrl?.startsWith('https:') === true ? { maxAge: YEAR_SECONDS } : false,
    }),
  );
  app.use(observed(log, options.metrics));
  app.use(onlyOwnNames(publicUrl));
  app.use('/api/v1', api(options), notFound);
  app.use(compression());
  if (web !== undefined) {
    // What the build pressed is sent as it is; the rest is pressed on the way.
    app.use(
      expressStaticGzip(web, {
        enableBrotli: true,
        orderPreference: ['br'],
        index: false,
        serveStatic: { setHeaders: cacheFor },
      }),
    );
    app.get('/{*path}', (request, response, next) => {
      if (request.accepts('html') === false || /\.[a-z0-9]+$/i.test(request.path)) next();
      else response.set('Cache-Control', 'no-cache').sendFile(join(web, 'index.html'), { dotfiles: 'allow' });
    });
  }
  app.use(notFound);
  app.use(problemHandler((error) => log.error({ err: error }, 'unexpected')));
  return app;
}

/**
 * A name that is not this server's is refused: a page elsewhere could have its own name lead here (DNS
 * rebinding), and would then be of one origin with it. An address in numbers is nobody's name.
 */
function onlyOwnNames(publicUrl: string | undefined): RequestHandler {
  const own = publicUrl === undefined ? undefined : new URL(publicUrl).host;
  return (request, _response, next) => {
    const host = request.headers.host ?? '';
    const name = host.replace(/:\d+$/, '');
    const known = host === own || name === 'localhost' || isIP(name.replace(/^\[|\]$/g, '')) !== 0;
    next(known ? undefined : new Problem(421, 'other-host', 'This server is not reached under that name.'));
  };
}

/** The scripts that stand in the page itself, as its policy names them. */
function ownScripts(web: string): string[] {
  const scripts = readFileSync(join(web, 'index.html'), 'utf8').matchAll(/<script>([^]*?)<\/script>/g);
  return [...scripts].map(
    ([, text = '']) => `'sha256-${createHash('sha256').update(text).digest('base64')}'`,
  );
}

/** Bundled files carry their hash in the name and never change. */
function cacheFor(response: ServerResponse, path: string): void {
  if (/[.-][0-9a-f]{16,}\.[a-z0-9]+(\.br|\.gz)?$/.test(path))
    response.setHeader('Cache-Control', 'public, max-age=31536000, immutable');
}

/**
 * A request that changes something must come from a page of this server: another page could send it along
 * with the cookie.
 */
const fromOwnPages: RequestHandler = (request, _response, next) => {
  const { origin, host } = request.headers;
  const site = request.headers['sec-fetch-site'];
  const foreign =
    (origin !== undefined && !sameHost(origin, host)) ||
    (site !== undefined && site !== 'same-origin' && site !== 'none');
  next(
    foreign && !CHANGES_NOTHING.has(request.method)
      ? new Problem(403, 'other-origin', 'This was sent from a page that does not belong to Pause.')
      : undefined,
  );
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

/** Whether a password that somebody wants to have is soon guessed. */
function soonGuessed(sent: object): boolean {
  // One that is too short is for the library to refuse.
  const [password, about]: readonly [unknown, readonly string[]] =
    'newPassword' in sent
      ? [sent.newPassword, []]
      : 'password' in sent && 'name' in sent && 'email' in sent
        ? [sent.password, [String(sent.name), String(sent.email), ...String(sent.email).split('@')]]
        : [undefined, []];
  return (
    typeof password === 'string' && password.length >= PASSWORD_AT_LEAST && isSoonGuessed(password, about)
  );
}

/** Whose password a request tries, if any. */
function accountOf(path: string, sent: object, person: string | undefined): string | undefined {
  if (path === '/sign-in/email')
    return 'email' in sent && typeof sent.email === 'string' ? sent.email.trim().toLowerCase() : undefined;
  return path === '/change-password' ? person : undefined;
}

const SESSION_COOKIE = /session_token=[^;]/;
/** Confirms an e-mail address, and signs in whoever does so for the first time. */
async function confirm(auth: Auth, request: Request, response: Response): Promise<void> {
  const { token } = AUTH_BODIES[CONFIRM].parse(request.body);
  try {
    const { headers } = await auth.api.verifyEmail({
      query: { token },
      headers: fromNodeHeaders(request.headers),
      returnHeaders: true,
    });
    const cookies = headers.getSetCookie();
    for (const cookie of cookies) response.append('Set-Cookie', cookie);
    // Whoever confirms an address a second time signs in with the password.
    response.json({ signedIn: cookies.some((cookie) => SESSION_COOKIE.test(cookie)) });
  } catch (error) {
    if (!(error instanceof APIError)) throw error;
    throw invalid([
      { field: 'token', reason: 'this link is no longer good: sign in, and a new letter is sent' },
    ]);
  }
}

/**
 * Packs answers, but not the events, which have to arrive at once, nor the answer to a short push, where
 * packing costs more than it saves.
 */
function compressed(): RequestHandler {
  const pack = compression();
  return (request, response, next) => {
    const isShort =
      request.path === PUSH && Number(request.headers['content-length'] ?? Infinity) < SHORT_PUSH_BYTES;
    if (isShort || request.path.endsWith('/events')) next();
    else pack(request, response, next);
  };
}
const SHORT_PUSH_BYTES = 4096;

function api({
  db,
  pulse,
  clock,
  metrics,
  guide,
  questions,
  judging,
  reading,
  live,
  jobs,
  auth,
  objects,
  mail,
}: AppOptions): express.Router {
  const limits = openLimits(db);
  const tries = openTries(db);
  const sessions = openRemembered<Session>(({ person }) => person);
  const actors = openRemembered<Actor>(({ person }) => person);
  const forget = (person: string) => {
    sessions.forget(person);
    actors.forget(person);
  };
  live.onPerson(forget);
  const whoAsks: Services['whoAsks'] = (request, response) =>
    sessions.by(request.headers.cookie ?? '', async () => {
      const found = await sessionOf(auth, db, fromNodeHeaders(request.headers));
      if (found && response && !response.headersSent)
        for (const cookie of found.renewed) response.append('Set-Cookie', cookie);
      return found?.session;
    });
  const actorFor: Services['actorFor'] = async (person) =>
    (await actors.by(person, () => actorOf(db, person))) ?? { person, groups: [] };
  const checkPassword: Services['checkPassword'] = async (person, password) => {
    await tries.begin(person);
    const fits = await passwordFits(auth, db, person, password);
    if (fits) await tries.succeeded(person);
    return fits;
  };
  const router = express.Router();
  router.use(fromOwnPages);
  const handler = toNodeHandler(auth);
  router.use('/auth', express.json({ limit: AUTH_BODY_LIMIT }), onlyKeepable);
  for (const path of AUTH_PATHS) {
    if (mail === undefined && LETTER_PATHS.has(path)) continue;
    router.post(`/auth${path}`, async (request, response) => {
      // Whoever signs out may send nothing; the library reads what was parsed here.
      const sent = body(AUTH_BODIES[path], request, {});
      request.body = sent;
      request.headers[FROM_HEADER] = request.ip ?? '';
      const person = (await whoAsks(request))?.person;
      if (soonGuessed(sent))
        throw invalid([
          {
            field: 'newPassword' in sent ? 'newPassword' : 'password',
            reason: 'this one is among the first that somebody would try: take another',
          },
        ]);
      if (path === '/revoke-sessions' && person !== undefined)
        await record(db, person, 'signed-out-everywhere');
      // The answer goes out before this is through: what it ends counts from there on.
      if (person !== undefined) forget(person);
      const account = accountOf(path, sent, person);
      if (account !== undefined) await tries.begin(account);
      if (path === CONFIRM) await confirm(auth, request, response);
      else await handler(request, response);
      if (account !== undefined && response.statusCode < 400) await tries.succeeded(account);
      if (person !== undefined && path !== '/sign-up/email') await tellPerson(db, person);
    });
  }
  router.use(compressed());
  router.use(express.raw({ type: 'application/octet-stream', limit: BODY_LIMIT }));
  router.use(express.json({ limit: BODY_LIMIT, strict: false }), onlyKeepable);
  for (const route of routes({
    db,
    pulse,
    clock,
    metrics,
    guide,
    questions,
    judging,
    reading,
    live,
    jobs,
    objects,
    mail,
    whoAsks,
    actorFor,
    checkPassword,
  })) {
    router[route.method](route.path, async (request, response) => {
      response.set('Cache-Control', 'no-store');
      if (route.pace === 'uncounted') return route.handle(request, response, { person: '', groups: [] });
      await limits.refuse('missed', fromOf(request));
      try {
        const actor = await admitted(route, request, {
          db,
          actorFor,
          whoAsks: (asking) => whoAsks(asking, response),
        });
        await limits.count(route.pace, countedAs(request, actor.person));
        await route.handle(request, response, actor);
      } catch (error) {
        // Whoever tries what is not theirs, or not there, is counted by where they are.
        if (error instanceof Problem && (error.status === 401 || error.status === 404))
          await limits.count('missed', fromOf(request));
        throw error;
      }
    });
  }
  return router;
}
