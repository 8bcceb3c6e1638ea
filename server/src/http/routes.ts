import type { Request, Response } from 'express';
import { z } from 'zod';
import type { CompiledGuide } from '@pause/core';
import { BODIES, FIND_KINDS, parseEntry, type Entry } from '@pause/core/notebook';
import { ASKED } from '@pause/core/questions';
import {
  actorOf,
  mayRead,
  mustBeIn,
  mustRead,
  noSuchFind,
  notSignedIn,
  streamsOf,
  type Actor,
} from '../access';
import { deletePerson, endSession, exportPerson, hasPassword, sessionsOf, type Session } from '../accounts';
import { isMigrated, type Db } from '../db';
import type { Clock } from '../demo/clock';
import { EXPERT } from '../demo/expert';
import {
  accept,
  changeRole,
  groupView,
  groupViews,
  InvitationCode,
  invitationsOf,
  invite,
  leave,
  makeGroup,
  NewGroup,
  NewInvitation,
  NewReview,
  revokeInvitation,
  RoleChange,
  signReview,
  unsignReview,
} from '../groups';
import { confusionOfGroup } from '../groups/confusion';
import type { Jobs } from '../jobs';
import type { Judging } from '../judging';
import type { Live } from '../live';
import type { Mail } from '../mail';
import { keptLetters } from '../mail/mailbox';
import { listFinds, ping, pull, push, streamEnds, type Pushed } from '../notebook';
import { mustView, picture, receive, received, type Objects } from '../pictures';
import { invalid, Problem } from '../problem';
import type { Questions } from '../questions';
import type { Reading } from '../reading';
import { recallsFor } from '../recall';
import { body, parsed } from './body';
import { UNKEEPABLE, unkeepable } from './keepable';
import type { Metrics } from './observe';
import { openApi, publishedSchema } from './openapi';

/** Every address of the interface, with who may use it. What is not here is not there. */

export interface Services {
  readonly db: Db;
  /** One connection of its own, to ask whether the database is there however busy the others are. */
  readonly pulse: Db;
  readonly clock: Clock;
  readonly metrics: Metrics | undefined;
  readonly guide: CompiledGuide;
  readonly questions: Questions;
  readonly judging: Judging;
  readonly reading: Reading;
  readonly live: Live;
  readonly jobs: Jobs;
  /** Where whole pictures lie, if not in the database. */
  readonly objects?: Objects | undefined;
  /** Where letters go, if any are sent. */
  readonly mail?: Mail['kind'] | undefined;
  /**
   * Who is signed in where a request comes from; with the response, the browser is told that the session goes
   * on.
   */
  readonly whoAsks: (request: Request, response?: Response) => Promise<Session | undefined>;
  /** A person with the groups they belong to. */
  readonly actorFor: (person: string) => Promise<Actor>;
  /** Whether it is this person's password. @throws Problem 429 after too many that were not */
  readonly checkPassword: (person: string, password: string) => Promise<boolean>;
}

/**
 * `anyone`; `person`: who is signed in; `reader`: who may read the find of the address; `viewer`: that of its
 * picture; `member`, `keeper`: of the group of the address. To whom it is not open, a find or a group is not
 * there.
 */
export type Who = 'anyone' | 'person' | 'reader' | 'viewer' | 'member' | 'keeper';
/** How often it may be used in a minute, by one person or from one place. */
export type Pace = 'usual' | 'heavy' | 'guessable';
/** Not counted at all: whether the server is there may be asked at any time. */
export type Uncounted = 'uncounted';

export interface Route {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  readonly path: string;
  readonly who: Who;
  readonly pace: Pace | Uncounted;
  readonly handle: (request: Request, response: Response, actor: Actor) => Promise<void> | void;
}

/** Where a device sends what it told. */
export const PUSH = '/sync/push';
const FINDS_LISTED = 200;
const PUSHED_AT_ONCE = 500;
const PULLED_AT_ONCE = 1000;
const Push = z.strictObject({ entries: z.array(z.unknown()).min(1).max(PUSHED_AT_ONCE) });
const whole = (most: number) => z.coerce.number().int().min(0).max(most);
const Pull = z.strictObject({
  stream: z
    .string()
    .min(3)
    .max(80)
    .refine((text) => !text.includes('\0'), 'no such notebook'),
  after: whole(Number.MAX_SAFE_INTEGER).default(0),
  most: whole(PULLED_AT_ONCE).default(500),
});
const Part = z.strictObject({ from: whole(10_000_000) });
const Delete = z.strictObject({ name: z.string().max(80), password: z.string().max(200).optional() });

const parameter = (request: Request, name: string): string => {
  const value = request.params[name];
  // What cannot be a name of anything is none.
  return typeof value === 'string' && value.length <= 200 && !value.includes('\0') ? value : '';
};

/** Told when whoever asked has gone before there was an answer. */
function goneOf(response: Response): AbortSignal {
  const gone = new AbortController();
  response.on('close', () => {
    if (!response.writableFinished) gone.abort();
  });
  return gone.signal;
}

export function routes({
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
  checkPassword,
}: Services): Route[] {
  const all: Route[] = [];
  const add = (
    method: Route['method'],
    path: string,
    who: Who,
    handle: Route['handle'],
    pace: Route['pace'] = 'usual',
  ) => all.push({ method, path, who, pace, handle });
  const now = () => clock.now();
  const about = () => ({
    guide: { id: guide.guide.id, version: guide.version },
    demo: clock.demo,
    mail: mail ?? 'none',
    now: new Date(now()).toISOString(),
  });
  const asked = async (find: string, ask: string, of: string) => {
    if (of === EXPERT.id) await jobs.expertAnswers(find, ask);
  };

  // The most frequent request comes first: routes are tried in this order.
  add('post', PUSH, 'person', async (request, response, actor) => {
    const told = body(Push, request).entries.map((raw) => {
      const field = unkeepable(raw);
      return field === undefined
        ? parseEntry(raw)
        : { problems: [{ field: field || 'entry', reason: UNKEEPABLE }] };
    });
    const sound = told.flatMap((one) => ('entry' in one ? [one.entry] : []));
    const pushed =
      sound.length > 0
        ? await push(db, actor, sound, {
            guide,
            now: now(),
            asked,
            recheck: jobs.recheck,
            judge: judging.judge,
            signal: goneOf(response),
          })
        : [];
    let next = 0;
    response.json({
      results: told.map((one) => {
        const result: Pushed =
          'entry' in one
            ? (pushed[next++] ?? { status: 'refused', problem: invalid([]) })
            : { status: 'refused', problem: invalid(one.problems) };
        metrics?.entries.inc({ status: result.status });
        return result.status === 'refused' ? { status: 'refused', problem: result.problem.body() } : result;
      }),
      now: new Date(now()).toISOString(),
    });
  });
  add(
    'get',
    '/health',
    'anyone',
    (_, response) => {
      response.json({ status: 'ok', ...about() });
    },
    'uncounted',
  );
  add(
    'get',
    '/ready',
    'anyone',
    async (_, response) => {
      await ping(pulse);
      const missing = [
        ...((await isMigrated(pulse)) ? [] : ['migrations']),
        ...(jobs.running() ? [] : ['queue']),
      ];
      if (missing.length > 0) throw new Problem(503, 'not-ready', `Not ready: ${missing.join(', ')}.`);
      response.json({ status: 'ready' });
    },
    'uncounted',
  );
  if (mail === 'mailbox')
    add(
      'get',
      '/demo/mailbox',
      'anyone',
      async (_, response) => void response.json({ letters: await keptLetters(db) }),
    );
  add('get', '/openapi.json', 'anyone', (_, response) => void response.json(openApi()));
  add('get', '/schemas/:name', 'anyone', (request, response) => {
    const schema = publishedSchema(parameter(request, 'name'));
    if (!schema)
      throw new Problem(404, 'no-such-schema', `There is no schema "${parameter(request, 'name')}".`);
    response.json(schema);
  });
  add('get', '/guides/:version', 'anyone', async (request, response) => {
    const kept = await db
      .selectFrom('guides')
      .select('document')
      .where('version', '=', parameter(request, 'version'))
      .executeTakeFirst();
    if (!kept)
      throw new Problem(
        404,
        'no-such-guide',
        `There is no guide version "${parameter(request, 'version')}".`,
      );
    response.json(kept.document);
  });
  for (const asked of ASKED) {
    add(
      'post',
      `/${asked}`,
      'anyone',
      async (request, response) =>
        void response.json(await questions.ask(asked, request.body, goneOf(response))),
      'heavy',
    );
  }

  add('get', '/me', 'person', async (_, response, actor) => {
    const me = await db
      .selectFrom('people')
      .select(['id', 'name'])
      .where('id', '=', actor.person)
      .executeTakeFirst();
    if (!me) throw notSignedIn();
    response.json({
      ...me,
      ...about(),
      groups: await groupViews(db, actor),
      streams: await streamEnds(db, actor),
    });
  });
  add(
    'get',
    '/me/export',
    'person',
    async (_, response, actor) => {
      response
        .set('Content-Disposition', 'attachment; filename="pause-notebook.json"')
        .json(await exportPerson(db, actor.person));
    },
    'heavy',
  );
  add('delete', '/me', 'person', async (request, response, actor) => {
    const { name, password } = body(Delete, request);
    if (await hasPassword(db, actor.person)) {
      if (password === undefined) throw invalid([{ field: 'password', reason: 'write your password' }]);
      if (!(await checkPassword(actor.person, password)))
        throw invalid([{ field: 'password', reason: 'this is not your password' }]);
    }
    await deletePerson(db, actor.person, name);
    response.status(204).end();
  });

  add('get', '/me/sessions', 'person', async (request, response, actor) => {
    const session = await whoAsks(request);
    if (!session) throw notSignedIn();
    response.json({
      sessions: await sessionsOf(db, session),
      hasPassword: await hasPassword(db, actor.person),
    });
  });
  add('delete', '/me/sessions/:session', 'person', async (request, response, actor) => {
    await endSession(db, actor.person, parameter(request, 'session'));
    response.status(204).end();
  });

  add('get', '/sync/pull', 'person', async (request, response, actor) => {
    const { stream, after, most } = parsed(Pull, request.query);
    if (!mayRead(actor, stream))
      throw new Problem(404, 'no-such-stream', `There is no notebook "${stream}".`);
    response.json(await pull(db, actor.person, stream, after, most));
  });
  add('get', '/sync/events', 'person', (request, response, actor) => {
    live.follow(response, {
      person: actor.person,
      streams: streamsOf(actor),
      again: async () =>
        (await whoAsks(request))?.person === actor.person
          ? streamsOf(await actorOf(db, actor.person))
          : undefined,
    });
  });

  add(
    'get',
    '/recalls',
    'person',
    async (_, response, actor) => void response.json(await recallsFor(db, actor, guide.version)),
  );
  add(
    'get',
    '/finds',
    'person',
    async (_, response, actor) => void response.json({ finds: await listFinds(db, actor, FINDS_LISTED) }),
  );
  add('get', '/finds/:find', 'reader', async (request, response, actor) => {
    const find = parameter(request, 'find');
    const json = await reading.find(db, find, actor.person, goneOf(response));
    if (json === undefined) throw noSuchFind(find);
    response.type('json').send(json);
  });
  /** 201 for what is new, 200 for what had arrived before. */
  const one = async (entry: Entry, actor: Actor, response: Response) => {
    const [result] = await push(db, actor, [entry], {
      guide,
      now: now(),
      asked,
      recheck: jobs.recheck,
      judge: judging.judge,
      signal: goneOf(response),
    });
    if (!result || result.status === 'refused') throw result?.problem ?? invalid([]);
    response.status(result.status === 'added' ? 201 : 200).json(result);
  };
  for (const kind of FIND_KINDS) {
    const schema = BODIES[kind];
    if (kind === 'finds') {
      add('post', '/finds', 'person', async (request, response, actor) => {
        const made = body(BODIES.finds, request);
        await one({ kind, find: made.id, body: made }, actor, response);
      });
    } else {
      add('post', `/finds/:find/${kind}`, 'reader', async (request, response, actor) => {
        await one(
          { kind, find: parameter(request, 'find'), body: body(schema, request) } as Entry,
          actor,
          response,
        );
      });
    }
  }

  add('get', '/pictures/:picture', 'viewer', async (request, response) => {
    const { type, bytes } = await picture(db, objects, parameter(request, 'picture'));
    // A sketch is a drawing that could hold more than a drawing: nothing of it may run, wherever it is
    // opened.
    response
      .set({
        'Content-Type': type,
        'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
        'Content-Disposition': 'attachment',
        'Cache-Control': 'private, max-age=31536000, immutable',
      })
      .send(bytes);
  });
  add(
    'get',
    '/pictures/:picture/received',
    'viewer',
    async (request, response) => void response.json(await received(db, parameter(request, 'picture'))),
  );
  add('put', '/pictures/:picture', 'viewer', async (request, response, actor) => {
    if (!Buffer.isBuffer(request.body))
      throw new Problem(415, 'not-bytes', 'body: send application/octet-stream');
    const { from } = parsed(Part, request.query);
    response.json(await receive(db, objects, actor, parameter(request, 'picture'), from, request.body));
  });

  add('post', '/groups', 'person', async (request, response, actor) => {
    const made = body(NewGroup, request);
    response
      .status((await makeGroup(db, actor, made)) ? 201 : 200)
      .json(await groupView(db, await actorOf(db, actor.person), made.id));
  });
  add(
    'get',
    '/groups/:group',
    'member',
    async (request, response, actor) =>
      void response.json(await groupView(db, actor, parameter(request, 'group'))),
  );
  add(
    'get',
    '/groups/:group/confusion',
    'keeper',
    async (request, response) =>
      void response.json(await confusionOfGroup(db, guide, parameter(request, 'group'))),
  );
  add('post', '/groups/:group/invitations', 'keeper', async (request, response, actor) => {
    response
      .status(201)
      .json(await invite(db, actor, parameter(request, 'group'), body(NewInvitation, request)));
  });
  add(
    'get',
    '/groups/:group/invitations',
    'keeper',
    async (request, response) =>
      void response.json({ invitations: await invitationsOf(db, parameter(request, 'group')) }),
  );
  add('delete', '/groups/:group/invitations/:invitation', 'keeper', async (request, response, actor) => {
    await revokeInvitation(db, actor, parameter(request, 'group'), parameter(request, 'invitation'));
    response.status(204).end();
  });
  add(
    'post',
    '/invitations/accept',
    'person',
    async (request, response, actor) => {
      const { group } = await accept(db, actor, body(InvitationCode, request));
      response.json(await groupView(db, await actorOf(db, actor.person), group));
    },
    'guessable',
  );
  add('post', '/groups/:group/reviews', 'keeper', async (request, response, actor) => {
    await signReview(db, actor, parameter(request, 'group'), body(NewReview, request), guide);
    response.status(201).json(await groupView(db, actor, parameter(request, 'group')));
  });
  add('delete', '/groups/:group/reviews/:taxon', 'keeper', async (request, response, actor) => {
    await unsignReview(db, actor, parameter(request, 'group'), parameter(request, 'taxon'));
    response.status(204).end();
  });
  add('patch', '/groups/:group/members/:person', 'keeper', async (request, response, actor) => {
    await changeRole(
      db,
      actor,
      parameter(request, 'group'),
      parameter(request, 'person'),
      body(RoleChange, request),
    );
    response.json(await groupView(db, await actorOf(db, actor.person), parameter(request, 'group')));
  });
  // A member may leave; only a keeper may remove somebody else.
  add('delete', '/groups/:group/members/:person', 'member', async (request, response, actor) => {
    await leave(db, actor, parameter(request, 'group'), parameter(request, 'person'));
    response.status(204).end();
  });
  return all;
}

/** Who asks, if that may use the route. @throws Problem 401, 403 or 404 */
export async function admitted(
  route: Route,
  request: Request,
  { db, whoAsks, actorFor }: Pick<Services, 'db' | 'whoAsks' | 'actorFor'>,
): Promise<Actor> {
  if (route.who === 'anyone') return { person: '', groups: [] };
  const session = await whoAsks(request);
  if (session === undefined) throw notSignedIn();
  const actor = await actorFor(session.person);
  if (route.who === 'reader') await mustRead(db, actor, parameter(request, 'find'));
  if (route.who === 'viewer') await mustView(db, actor, parameter(request, 'picture'));
  if (route.who === 'member' || route.who === 'keeper')
    mustBeIn(actor, parameter(request, 'group'), route.who);
  return actor;
}
