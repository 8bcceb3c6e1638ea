import { fromNodeHeaders, toNodeHandler } from 'better-auth/node';
import compression from 'compression';
import express from 'express';
import type { RequestHandler } from 'express';
import type { Logger } from 'pino';
import { type Actor, actorOf } from '../access';
import { openRemembered } from '../access/remembered';
import {
  sessionOf,
  record,
  passwordFits,
  LETTER_PATHS,
  FROM_HEADER,
  CONFIRM,
  AUTH_PATHS,
  AUTH_BODY_LIMIT,
  AUTH_BODIES,
  type Auth,
  type Session,
} from '../accounts';
import { notifyPerson } from '../notebook';
import { invalid, Problem } from '../problem';
import { soonGuessed, accountOf, confirm } from './accountRoutes';
import { body } from './body';
import { fromOwnPages, onlyKeepable } from './guards';
import { openLimits, openTries, fromOf, countedAs } from './limits';
import { PUSH, type Services, routes, admitted } from './routes';

/** The HTTP interface, version 1. */

/** What the routes work with, but for what `api` makes of it; and how all of it is served. */
export interface AppOptions extends Omit<Services, 'whoAsks' | 'actorFor' | 'checkPassword'> {
  readonly auth: Auth;
  readonly log: Logger;
  /** Folder of the built web application; without it only the API is served. */
  readonly web?: string;
  /** Proxies in front whose word on where a request comes from is taken, as Express counts them. */
  readonly proxies?: number;
  /** The address under which people reach this server. */
  readonly publicUrl?: string;
}

const BODY_LIMIT = '1mb';

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

export function api(options: AppOptions): express.Router {
  const remembered = rememberedOf(options);
  const router = express.Router();
  router.use(fromOwnPages);
  router.use('/auth', express.json({ limit: AUTH_BODY_LIMIT }), onlyKeepable);
  addAccounts(router, options, remembered);
  router.use(compressed());
  router.use(express.raw({ type: 'application/octet-stream', limit: BODY_LIMIT }));
  router.use(express.json({ limit: BODY_LIMIT, strict: false }), onlyKeepable);
  addRoutes(router, options, remembered);
  return router;
}

/** Who asks, what they may do, and how often they tried a password. */
interface Remembered extends Pick<Services, 'whoAsks' | 'actorFor' | 'checkPassword'> {
  readonly tries: ReturnType<typeof openTries>;
  /** Something about a person changed: it is looked up again. */
  readonly forget: (person: string) => void;
}

function rememberedOf({ db, live, auth }: AppOptions): Remembered {
  const tries = openTries(db);
  const sessions = openRemembered<Session>(({ person }) => person);
  const actors = openRemembered<Actor>(({ person }) => person);
  const forget = (person: string) => {
    sessions.forget(person);
    actors.forget(person);
  };
  live.onPerson(forget);
  return {
    tries,
    forget,
    whoAsks: (request, response) =>
      sessions.by(request.headers.cookie ?? '', async () => {
        const found = await sessionOf(auth, db, fromNodeHeaders(request.headers));
        if (found && response && !response.headersSent)
          for (const cookie of found.renewed) response.append('Set-Cookie', cookie);
        return found?.session;
      }),
    actorFor: async (person) =>
      (await actors.by(person, () => actorOf(db, person))) ?? { person, groups: [] },
    checkPassword: async (person, password) => {
      await tries.begin(person);
      const fits = await passwordFits(auth, db, person, password);
      if (fits) await tries.succeeded(person);
      return fits;
    },
  };
}

/** The addresses of the library that keeps accounts, each behind our own checks. */
function addAccounts(
  router: express.Router,
  { db, auth, mail }: AppOptions,
  { whoAsks, tries, forget }: Remembered,
): void {
  const handler = toNodeHandler(auth);
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
      if (person !== undefined && path !== '/sign-up/email') await notifyPerson(db, person);
    });
  }
}

/** The routes of the application, each for those whom it admits, and no faster than its pace. */
function addRoutes(router: express.Router, options: AppOptions, remembered: Remembered): void {
  const limits = openLimits(options.db);
  const { whoAsks, actorFor, checkPassword } = remembered;
  for (const route of routes({ ...options, whoAsks, actorFor, checkPassword })) {
    router[route.method](route.path, async (request, response) => {
      response.set('Cache-Control', 'no-store');
      if (route.pace === 'uncounted') return route.handle(request, response, { person: '', groups: [] });
      await limits.refuse('missed', fromOf(request));
      try {
        const actor = await admitted(route, request, {
          db: options.db,
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
}
