import { randomUUID } from 'node:crypto';
import { decide } from '@pause/core';
import { bytesHash } from '@pause/core/notebook';
import { at, followChecks, allUsual, guide } from '../../../core/test/finds';
import { type RunningServer, startServer } from '../../src/start';
import { freshDatabase } from '../database';
import { type Someone, someone } from '../people';

export type Json = Record<string, unknown>;
export const ACTORS = ['nobody', 'stranger', 'former', 'young', 'member', 'keeper'] as const;
export type ActorName = (typeof ACTORS)[number];
type People = Record<Exclude<ActorName, 'nobody'>, Someone>;
export let database: Awaited<ReturnType<typeof freshDatabase>>;
export let server: RunningServer;
export let people: People;
export let group = '';
export const PLACE = 'Behind the weir at Karrow';
export async function ask(
  as: ActorName,
  method: string,
  path: string,
  body?: unknown,
  more: Record<string, string> = {},
) {
  const response = await fetch(`${server.url}/api/v1${path}`, {
    method,
    headers: {
      ...(as === 'nobody' ? {} : { cookie: people[as].cookie }),
      ...(body === undefined
        ? {}
        : { 'content-type': body instanceof Uint8Array ? 'application/octet-stream' : 'application/json' }),
      ...more,
    },
    ...(body === undefined ? {} : { body: body instanceof Uint8Array ? body : JSON.stringify(body) }),
  } as RequestInit);
  if (response.headers.get('content-type')?.startsWith('text/event-stream')) {
    await response.body?.cancel();
    return { status: response.status, body: {} as Json, text: '' };
  }
  const text = await response.text();
  return {
    status: response.status,
    text,
    body: (text && response.headers.get('content-type')?.includes('json') ? JSON.parse(text) : {}) as Json,
  };
}

export const push = (as: ActorName, entries: readonly unknown[]) =>
  ask(as, 'POST', '/sync/push', { entries });
export const entry = (find: string, kind: string, body: Json) => ({
  find,
  kind,
  body: { id: randomUUID(), at: at(5), ...body },
});

/** Something of the group’s name or rules, as its keeper tells it. */
export const rule = (field: string, value: unknown) => ({
  page: group,
  kind: 'fields',
  body: { id: randomUUID(), at: at(5), by: people.keeper.id, of: 'group', field, value },
});

export const idOf = (as: ActorName) => (as === 'nobody' ? '' : people[as].id);
/** A find with a piece, a target, all readings, and a place that is nobody else's business. */
export async function find(
  as: Exclude<ActorName, 'nobody'>,
  inGroup: boolean,
): Promise<{ find: string; piece: string; reading: string; verdict: string }> {
  const [id, piece, reading] = [randomUUID(), randomUUID(), randomUUID()];
  const by = idOf(as);
  const pushed = await push(as, [
    {
      find: id,
      kind: 'finds',
      body: {
        id,
        startedAt: at(0),
        kingdom: 'Fungi',
        person: by,
        placeNote: PLACE,
        ...(inGroup ? { group } : {}),
      },
    },
    entry(id, 'pieces', { id: piece, purpose: 'decide' }),
    entry(id, 'targets', { taxon: 'cantharellus-cibarius' }),
    entry(id, 'contexts', { context: followChecks('cantharellus-cibarius').context }),
    ...allUsual('cantharellus-cibarius').map(({ character, value }, index) =>
      entry(id, 'readings', {
        piece,
        character,
        value,
        sureness: 'sure',
        by,
        ...(index === 0 ? { id: reading } : {}),
      }),
    ),
  ]);
  expect((pushed.body.results as Json[]).map((r) => r.status)).not.toContain('refused');
  const kept = entry(id, 'verdicts', { verdict: decide(guide, followChecks('cantharellus-cibarius')) });
  expect((await push(as, [kept])).body.results).toEqual([expect.objectContaining({ status: 'added' })]);
  return { find: id, piece, reading, verdict: String((kept.body as Json).id) };
}

/** Of whom a route is asked, and with what; then who may, and what the others hear. */
export interface Row {
  readonly of: string;
  readonly ask: (
    as: ActorName,
  ) => Promise<{ path: string; body?: unknown }> | { path: string; body?: unknown };
  readonly may: readonly ActorName[];
  readonly others: Partial<Record<ActorName, number>>;
}

export const IN_GROUP: readonly ActorName[] = ['young', 'member', 'keeper'];
export const NOT_THERE = { nobody: 401, stranger: 404, former: 404 } as const;
export const segment = (marker: number, content: Buffer) =>
  Buffer.concat([
    Buffer.from([0xff, marker, (content.length + 2) >> 8, (content.length + 2) & 255]),
    content,
  ]);
export const jpeg = (...segments: readonly Buffer[]) =>
  Buffer.concat([Buffer.from([0xff, 0xd8]), ...segments, Buffer.from([0xff, 0xd9])]);
export const JFIF = segment(0xe0, Buffer.from('JFIF\0\x01\x01\0\0\x01\0\x01\0\0', 'latin1'));
/**
 * A photo of nothing, as a browser draws one, and one as a camera writes it: with its make, as Exif has it.
 */
export const BYTES = jpeg(JFIF, segment(0xfe, Buffer.alloc(30)));
/** A picture that a member added to a find of the group; with `sent`, its bytes too. */
export async function pictured(sent = false, bytes = BYTES): Promise<{ id: string; find: string }> {
  const { find: of } = await find('member', true);
  const made = entry(of, 'pictures', {
    by: idOf('member'),
    picture: 'photo',
    type: 'image/jpeg',
    size: bytes.length,
    content: bytesHash(bytes),
  });
  expect(((await push('member', [made])).body.results as Json[])[0]?.status).toBe('added');
  const { id } = made.body as { id: string };
  if (sent) expect((await ask('member', 'PUT', `/pictures/${id}?from=0`, BYTES)).status).toBe(200);
  return { id, find: of };
}

export const member = (path: () => string): Row[] => [
  { of: 'the group', ask: () => ({ path: path() }), may: IN_GROUP, others: NOT_THERE },
];
export const keeper = (path: () => string, body: () => unknown): Row[] => [
  {
    of: 'the group',
    ask: () => ({ path: path(), body: body() }),
    may: ['keeper'],
    others: { ...NOT_THERE, young: 403, member: 403 },
  },
];

/** Starts what these tests share before the first of them, and ends it after the last. */
export function setUp(): void {
  beforeAll(async () => {
    database = await freshDatabase('access_test');
    server = await startServer({ databaseUrl: database.url, port: 0, demo: true, logLevel: 'silent' });
    const [keeper, member, young, former, stranger] = [
      await someone(server.url, 'Keeper Kvist'),
      await someone(server.url, 'Member Moor'),
      await someone(server.url, 'Young Yarl'),
      await someone(server.url, 'Former Fell'),
      await someone(server.url, 'Stranger Stan'),
    ];
    people = { keeper, member, young, former, stranger };
    group = randomUUID();
    expect((await ask('keeper', 'POST', '/groups', { id: group, name: 'The Karrow walkers' })).status).toBe(
      201,
    );
    for (const [as, role] of [
      ['member', 'member'],
      ['young', 'young'],
      ['former', 'member'],
    ] as const) {
      const { code } = (await ask('keeper', 'POST', `/groups/${group}/invitations`, { role, days: 1 })).body;
      expect((await ask(as, 'POST', '/invitations/accept', { code })).status).toBe(200);
    }
    expect((await ask('former', 'DELETE', `/groups/${group}/members/${former.id}`)).status).toBe(204);
  });

  afterAll(async () => {
    await server.stop();
    await database.close();
  });
}
