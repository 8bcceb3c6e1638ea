import { join } from 'node:path';
import type { CompiledGuide } from '@pause/core';
import { ASKED } from '@pause/core/questions';
import compression from 'compression';
import express, { type Express, type Request, type Response } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import type { z } from 'zod';
import type { Db } from '../db';
import { demoOffset } from '../demo/clock';
import {
  finds, listFinds, ping, readFind, NewFind, type Appended,
} from '../finds';
import { ADDITIONS, openApi, publishedSchema } from './openapi';
import { fromZod, notFound, Problem, problemHandler } from '../problem';
import type { Questions } from '../questions';

export interface AppOptions {
  readonly db: Db;
  readonly guide: CompiledGuide;
  readonly questions: Questions;
  readonly log: Logger;
  /** Folder of the built web application; without it only the API is served. */
  readonly web?: string;
  /** Person who is signed in where there are no accounts yet. */
  readonly person: string;
}

const BODY_LIMIT = '1mb';
const FINDS_LISTED = 200;

function body<S extends z.ZodType>(schema: S, request: Request): z.infer<S> {
  if (!request.is('application/json')) throw new Problem(415, 'not-json', 'body: send application/json');
  const parsed = schema.safeParse(request.body);
  if (!parsed.success) throw fromZod(parsed.error);
  return parsed.data;
}

function findId(request: Request): string {
  const { find } = request.params;
  return typeof find === 'string' ? find : '';
}

/** 201 for what is new, 200 for what had arrived before. */
function answer(response: Response, appended: Appended): void {
  response.status(appended === 'added' ? 201 : 200).json({ status: appended });
}

/** The HTTP interface, version 1, and the web application beside it. It keeps nothing in memory. */
export function createApp({ db, guide, questions, log, web, person }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(helmet({
    contentSecurityPolicy: {
      directives: { 'style-src': ["'self'", "'unsafe-inline'"], 'img-src': ["'self'", 'data:', 'blob:'], 'worker-src': ["'self'", 'blob:'], 'upgrade-insecure-requests': null },
    },
    strictTransportSecurity: false,
  }));
  app.use(compression());
  app.use('/api/v1', api(db, guide, person, questions), notFound);
  if (web !== undefined) {
    app.use(express.static(web, { index: false, setHeaders: cacheFor }));
    app.get('/{*path}', (request, response, next) => {
      if (request.accepts('html') === false || /\.[a-z0-9]+$/i.test(request.path)) next();
      else response.set('Cache-Control', 'no-cache').sendFile(join(web, 'index.html'), { dotfiles: 'allow' });
    });
  }
  app.use(notFound);
  app.use(problemHandler((error) => log.error({ err: error }, 'unexpected')));
  return app;
}

/** Bundled files carry their hash in the name and never change. */
function cacheFor(response: Response, path: string): void {
  if (/[.-][0-9a-f]{16,}\.[a-z0-9]+$/.test(path)) response.set('Cache-Control', 'public, max-age=31536000, immutable');
}

function api(db: Db, guide: CompiledGuide, person: string, questions: Questions): express.Router {
  const store = finds(db, guide);
  const router = express.Router();
  router.use(express.json({ limit: BODY_LIMIT, strict: false }));

  router.get('/health', async (_request, response) => {
    await ping(db);
    response.json({ status: 'ok', guide: { id: guide.guide.id, version: guide.version } });
  });
  router.get('/me', async (_request, response) => {
    const me = await db.selectFrom('people').select(['id', 'name']).where('id', '=', person).executeTakeFirst();
    if (!me) throw new Problem(404, 'no-person', 'Nobody keeps this notebook yet.');
    const offset = await demoOffset(db);
    response.json({
      ...me,
      guide: { id: guide.guide.id, version: guide.version },
      demo: offset !== undefined,
      now: new Date(Date.now() + (offset ?? 0)).toISOString(),
    });
  });
  router.get('/guides/:version', async (request, response) => {
    const kept = await db.selectFrom('guides').select('document').where('version', '=', request.params.version).executeTakeFirst();
    if (!kept) throw new Problem(404, 'no-such-guide', `There is no guide version "${request.params.version}".`);
    response.json(kept.document);
  });
  router.get('/openapi.json', (_request, response) => {
    response.json(openApi());
  });
  router.get('/schemas/:name', (request, response) => {
    const schema = publishedSchema(request.params.name);
    if (!schema) throw new Problem(404, 'no-such-schema', `There is no schema "${request.params.name}".`);
    response.json(schema);
  });
  for (const asked of ASKED) {
    router.post(`/${asked}`, async (request, response) => {
      response.json(await questions.ask(asked, request.body));
    });
  }

  router.get('/finds', async (_request, response) => {
    response.json({ finds: await listFinds(db, FINDS_LISTED) });
  });
  router.post('/finds', async (request, response) => answer(response, await store.find(body(NewFind, request))));
  router.get('/finds/:find', async (request, response) => {
    const record = await readFind(db, findId(request));
    if (!record) throw new Problem(404, 'no-such-find', `There is no find "${findId(request)}".`);
    response.json(record);
  });

  const add = <S extends z.ZodType>(path: string, schema: S, append: (find: string, entry: z.infer<S>) => Promise<Appended>) => {
    router.post(`/finds/:find/${path}`, async (request, response) => {
      answer(response, await append(findId(request), body(schema, request)));
    });
  };
  add('pieces', ADDITIONS.pieces, store.piece);
  add('targets', ADDITIONS.targets, store.target);
  add('contexts', ADDITIONS.contexts, store.context);
  add('readings', ADDITIONS.readings, store.reading);
  add('withdrawals', ADDITIONS.withdrawals, store.withdrawal);
  add('skips', ADDITIONS.skips, store.skip);
  add('verdicts', ADDITIONS.verdicts, store.verdict);
  add('decisions', ADDITIONS.decisions, store.decision);
  return router;
}
