import type { CompiledGuide } from '@pause/core';
import { BODIES, FIND_KINDS, parseEntry, type Entry } from '@pause/core/notebook';
import { ASKED } from '@pause/core/questions';
import type { Request, Response } from 'express';
import { z } from 'zod';
import { actorOf, mayRead, mustBeIn, mustRead, notSignedIn, type Actor } from '../access';
import { deletePerson, exportPerson } from '../accounts';
import type { Db } from '../db';
import { demoOffset } from '../demo/clock';
import { EXPERT } from '../demo/expert';
import { confusionOfGroup } from '../groups/confusion';
import { accept, changeRole, groupView, InvitationCode, invite, leave, makeGroup, NewGroup, NewInvitation, NewReview, RoleChange, signReview, unsignReview } from '../groups';
import type { Jobs } from '../jobs';
import type { Live } from '../live';
import { listFinds, ping, pull, push, recordsFor, streamEnds, type Pushed } from '../notebook';
import { mustView, picture, receive, received } from '../pictures';
import { invalid, Problem } from '../problem';
import type { Questions } from '../questions';
import { recallsFor } from '../recall';
import { body, parsed } from './body';
import { UNKEEPABLE, unkeepable } from './keepable';
import { openApi, publishedSchema } from './openapi';

/** Every address of the interface, with who may use it. What is not here is not there. */

export interface Services {
  readonly db: Db;
  readonly guide: CompiledGuide;
  readonly questions: Questions;
  readonly live: Live;
  readonly jobs: Jobs;
  /** Who is signed in where a request comes from. */
  readonly whoAsks: (request: Request) => Promise<string | undefined>;
}

/**
 * `anyone`; `person`: who is signed in; `reader`: who may read the find of the address; `viewer`: that of its picture; `member`, `keeper`: of the group of the address.
 * To whom it is not open, a find or a group is not there.
 */
export type Who = 'anyone' | 'person' | 'reader' | 'viewer' | 'member' | 'keeper';
/** How often it may be used in a minute, by one person or from one place. */
export type Pace = 'usual' | 'heavy' | 'guessable';

export interface Route {
  readonly method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  readonly path: string;
  readonly who: Who;
  readonly pace: Pace;
  readonly handle: (request: Request, response: Response, actor: Actor) => Promise<void> | void;
}

/** Where a device sends what it told. */
export const PUSH = '/sync/push';
const FINDS_LISTED = 200;
const PUSHED_AT_ONCE = 500;
const PULLED_AT_ONCE = 1000;
const Push = z.strictObject({ entries: z.array(z.unknown()).min(1).max(PUSHED_AT_ONCE) });
const whole = (most: number) => z.coerce.number().int().min(0).max(most);
const Pull = z.strictObject({ stream: z.string().min(3).max(80).refine((text) => !text.includes('\0'), 'no such notebook'), after: whole(Number.MAX_SAFE_INTEGER).default(0), most: whole(PULLED_AT_ONCE).default(500) });
const Part = z.strictObject({ from: whole(10_000_000) });
const Delete = z.strictObject({ name: z.string() });

const parameter = (request: Request, name: string): string => {
  const value = request.params[name];
  // What cannot be a name of anything is none.
  return typeof value === 'string' && value.length <= 200 && !value.includes('\0') ? value : '';
};

export function routes({ db, guide, questions, live, jobs }: Omit<Services, 'whoAsks'>): Route[] {
  const all: Route[] = [];
  const add = (method: Route['method'], path: string, who: Who, handle: Route['handle'], pace: Pace = 'usual') => all.push({ method, path, who, pace, handle });
  const now = async () => Date.now() + ((await demoOffset(db)) ?? 0);
  const asked = async (find: string, ask: string, of: string) => { if (of === EXPERT.id) await jobs.expertAnswers(find, ask); };

  add('get', '/health', 'anyone', async (_, response) => {
    await ping(db);
    const offset = await demoOffset(db);
    response.json({ status: 'ok', guide: { id: guide.guide.id, version: guide.version }, demo: offset !== undefined, now: new Date(Date.now() + (offset ?? 0)).toISOString() });
  });
  add('get', '/openapi.json', 'anyone', (_, response) => void response.json(openApi()));
  add('get', '/schemas/:name', 'anyone', (request, response) => {
    const schema = publishedSchema(parameter(request, 'name'));
    if (!schema) throw new Problem(404, 'no-such-schema', `There is no schema "${parameter(request, 'name')}".`);
    response.json(schema);
  });
  add('get', '/guides/:version', 'anyone', async (request, response) => {
    const kept = await db.selectFrom('guides').select('document').where('version', '=', parameter(request, 'version')).executeTakeFirst();
    if (!kept) throw new Problem(404, 'no-such-guide', `There is no guide version "${parameter(request, 'version')}".`);
    response.json(kept.document);
  });
  for (const asked of ASKED) {
    add('post', `/${asked}`, 'anyone', async (request, response) => void response.json(await questions.ask(asked, request.body)), 'heavy');
  }

  add('get', '/me', 'person', async (_, response, actor) => {
    const me = await db.selectFrom('people').select(['id', 'name']).where('id', '=', actor.person).executeTakeFirst();
    if (!me) throw notSignedIn();
    const offset = await demoOffset(db);
    response.json({
      ...me,
      guide: { id: guide.guide.id, version: guide.version },
      demo: offset !== undefined,
      now: new Date(Date.now() + (offset ?? 0)).toISOString(),
      groups: await Promise.all(actor.groups.map(({ group }) => groupView(db, actor, group))),
      streams: await streamEnds(db, actor),
    });
  });
  add('get', '/me/export', 'person', async (_, response, actor) => {
    response.set('Content-Disposition', 'attachment; filename="pause-notebook.json"').json(await exportPerson(db, actor.person));
  }, 'heavy');
  add('delete', '/me', 'person', async (request, response, actor) => {
    await deletePerson(db, actor.person, body(Delete, request).name);
    response.status(204).end();
  });

  add('post', PUSH, 'person', async (request, response, actor) => {
    const told = body(Push, request).entries.map((raw) => {
      const field = unkeepable(raw);
      return field === undefined ? parseEntry(raw) : { problems: [{ field: field || 'entry', reason: UNKEEPABLE }] };
    });
    const sound = told.flatMap((one) => ('entry' in one ? [one.entry] : []));
    const pushed = sound.length > 0 ? await push(db, actor, sound, { guide, now: await now(), asked, recheck: jobs.recheck }) : [];
    let next = 0;
    response.json({
      results: told.map((one) => {
        const result: Pushed = 'entry' in one ? pushed[next++] ?? { status: 'refused', problem: invalid([]) } : { status: 'refused', problem: invalid(one.problems) };
        return result.status === 'refused' ? { status: 'refused', problem: result.problem.body() } : result;
      }),
      now: new Date(await now()).toISOString(),
    });
  });
  add('get', '/sync/pull', 'person', async (request, response, actor) => {
    const { stream, after, most } = parsed(Pull, request.query);
    if (!mayRead(actor, stream)) throw new Problem(404, 'no-such-stream', `There is no notebook "${stream}".`);
    response.json(await pull(db, actor.person, stream, after, most));
  });
  add('get', '/sync/events', 'person', (_, response, actor) => {
    let groups = actor;
    // Who joins or leaves a group meanwhile is told of what they may see by then.
    const refresh = setInterval(() => void actorOf(db, actor.person).then((fresh) => { groups = fresh; }, () => undefined), 30_000);
    response.on('close', () => clearInterval(refresh));
    live.follow(response, () => [`p:${groups.person}`, ...groups.groups.map(({ group }) => `g:${group}`)]);
  });

  add('get', '/recalls', 'person', async (_, response, actor) => void response.json(await recallsFor(db, actor, guide.version)));
  add('get', '/finds', 'person', async (_, response, actor) => void response.json({ finds: await listFinds(db, actor, FINDS_LISTED) }));
  add('get', '/finds/:find', 'reader', async (request, response, actor) => {
    const find = parameter(request, 'find');
    response.json((await recordsFor(db, [find], actor.person)).get(find));
  });
  /** 201 for what is new, 200 for what had arrived before. */
  const one = async (entry: Entry, actor: Actor, response: Response) => {
    const [result] = await push(db, actor, [entry], { guide, now: await now(), asked, recheck: jobs.recheck });
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
        await one({ kind, find: parameter(request, 'find'), body: body(schema, request) } as Entry, actor, response);
      });
    }
  }

  add('get', '/pictures/:picture', 'viewer', async (request, response) => {
    const { type, bytes } = await picture(db, parameter(request, 'picture'));
    // A sketch is a drawing that could hold more than a drawing: nothing of it may run, wherever it is opened.
    response.set({ 'Content-Type': type, 'Content-Security-Policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox", 'Content-Disposition': 'attachment', 'Cache-Control': 'private, max-age=31536000, immutable' }).send(bytes);
  });
  add('get', '/pictures/:picture/received', 'viewer', async (request, response) => void response.json(await received(db, parameter(request, 'picture'))));
  add('put', '/pictures/:picture', 'viewer', async (request, response, actor) => {
    if (!Buffer.isBuffer(request.body)) throw new Problem(415, 'not-bytes', 'body: send application/octet-stream');
    const { from } = parsed(Part, request.query);
    response.json(await receive(db, actor, parameter(request, 'picture'), from, request.body));
  });

  add('post', '/groups', 'person', async (request, response, actor) => {
    const made = body(NewGroup, request);
    response.status((await makeGroup(db, actor, made)) ? 201 : 200).json(await groupView(db, await actorOf(db, actor.person), made.id));
  });
  add('get', '/groups/:group', 'member', async (request, response, actor) => void response.json(await groupView(db, actor, parameter(request, 'group'))));
  add('get', '/groups/:group/confusion', 'keeper', async (request, response) => void response.json(await confusionOfGroup(db, guide, parameter(request, 'group'))));
  add('post', '/groups/:group/invitations', 'keeper', async (request, response, actor) => {
    response.status(201).json(await invite(db, actor, parameter(request, 'group'), body(NewInvitation, request)));
  });
  add('post', '/invitations/accept', 'person', async (request, response, actor) => {
    const { group } = await accept(db, actor, body(InvitationCode, request));
    response.json(await groupView(db, await actorOf(db, actor.person), group));
  }, 'guessable');
  add('post', '/groups/:group/reviews', 'keeper', async (request, response, actor) => {
    await signReview(db, actor, parameter(request, 'group'), body(NewReview, request), guide);
    response.status(201).json(await groupView(db, actor, parameter(request, 'group')));
  });
  add('delete', '/groups/:group/reviews/:taxon', 'keeper', async (request, response, actor) => {
    await unsignReview(db, actor, parameter(request, 'group'), parameter(request, 'taxon'));
    response.status(204).end();
  });
  add('patch', '/groups/:group/members/:person', 'keeper', async (request, response, actor) => {
    await changeRole(db, actor, parameter(request, 'group'), parameter(request, 'person'), body(RoleChange, request));
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
export async function admitted(route: Route, request: Request, { db, whoAsks }: Pick<Services, 'db' | 'whoAsks'>): Promise<Actor> {
  if (route.who === 'anyone') return { person: '', groups: [] };
  const person = await whoAsks(request);
  if (person === undefined) throw notSignedIn();
  const actor = await actorOf(db, person);
  if (route.who === 'reader') await mustRead(db, actor, parameter(request, 'find'));
  if (route.who === 'viewer') await mustView(db, actor, parameter(request, 'picture'));
  if (route.who === 'member' || route.who === 'keeper') mustBeIn(actor, parameter(request, 'group'), route.who);
  return actor;
}
