/** Many at once, whoever tries doors, and who belongs no more. */
import { randomUUID } from 'node:crypto';
import { get } from 'node:http';
import { sql } from 'kysely';
import pg from 'pg';
import { parseEntry, type Entry } from '@pause/core/notebook';
import { guide } from '../../core/test/finds';
import { actorOf } from '../src/access';
import { notifyPerson } from '../src/notebook';
import { scopeOf } from '../src/notebook/locks';
import { writeTogether } from '../src/notebook/write';
import { startServer, type RunningServer } from '../src/start';
import { freshDatabase } from './database';
import { asking, cookieOf, PASSWORD, someone, type Someone } from './people';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
let keeper: Someone;
let member: Someone;
const group = 'walkers-of-karrow';
const { ask, tell } = asking(() => server.url);
const now = () => new Date().toISOString();
const findOf = (who: Someone, id: string = randomUUID(), more: object = {}) => ({
  find: id,
  kind: 'finds',
  body: { id, startedAt: now(), kingdom: 'Fungi', person: who.id, ...more },
});

beforeAll(async () => {
  database = await freshDatabase('crowd_test');
  server = await startServer({
    databaseUrl: database.url,
    port: 0,
    demo: false,
    logLevel: 'silent',
    proxies: 1,
  });
  [keeper, member] = [await someone(server.url, 'Kelda'), await someone(server.url, 'Merle')];
  expect((await ask(keeper, 'POST', '/groups', { id: group, name: 'The Karrow walkers' })).status).toBe(201);
  await join(member);
});
afterAll(async () => {
  await server.stop();
  await database.close();
});

const invite = async (who = keeper) =>
  (await ask(who, 'POST', `/groups/${group}/invitations`, { role: 'member', days: 1 })).body.code as string;
const accept = (who: Someone, code: string) => ask(who, 'POST', '/invitations/accept', { code });
async function join(who: Someone) {
  expect((await accept(who, await invite())).status).toBe(200);
}

/** A notebook that somebody else holds, over a connection of their own. */
async function held(stream: string): Promise<{ readonly letGo: () => Promise<void> }> {
  const client = new pg.Client({ connectionString: database.url });
  await client.connect();
  await client.query('begin');
  await client.query('select * from streams where id = $1 for update', [stream]);
  return {
    letGo: async () => {
      await client.query('commit');
      await client.end();
    },
  };
}

describe('what several tell at the same moment', () => {
  const parsed = (raw: object) => {
    const one = parseEntry(raw);
    if ('problems' in one) throw new Error(JSON.stringify(one.problems));
    return one.entry;
  };
  const target = (find: string, id: string = randomUUID(), taxon = 'boletus-edulis') =>
    parsed({ find, kind: 'targets', body: { id, at: now(), taxon } });
  const together = async (sendings: readonly (readonly [Someone, readonly Entry[]])[]) => {
    const all = await Promise.all(
      sendings.map(async ([who, entries]) => ({
        actor: await actorOf(database.db, who.id),
        entries,
        options: { guide, now: Date.now() },
      })),
    );
    return (await writeTogether(database.db, all, await scopeOf(database.db, all))).map((one) =>
      one?.map((became) =>
        became.status === 'refused' ? became.problem.status : `${became.status} ${became.stream.slice(0, 1)}`,
      ),
    );
  };

  test('is written in one transaction, numbered without gaps, and each is refused or taken by itself', async () => {
    const [shared, own] = [findOf(keeper, randomUUID(), { group }), findOf(member)];
    expect([await tell(keeper, shared), await tell(member, own)]).toEqual([['added'], ['added']]);
    const twice = target(shared.find);
    expect(
      await together([
        [keeper, [target(shared.find), twice]],
        [member, [target(own.find), target(shared.find)]],
        [member, [twice, target(shared.find, twice.body.id, 'hydnum-repandum')]],
        [keeper, [target(own.find)]],
      ]),
    ).toEqual([['added g', 'added g'], ['added p', 'added g'], ['known g', 409], [404]]);
    const { entries } = (await ask(member, 'GET', `/sync/pull?stream=g:${group}&most=1000`)).body as {
      entries: { seq: number }[];
    };
    expect(entries.map(({ seq }) => seq)).toEqual(entries.map((_, n) => n + 1));
    const { rows } = await sql<{
      entries: number;
    }>`select entries from written where of = ${`find ${shared.find}`} order by entries`.execute(database.db);
    expect(rows.map((row) => row.entries)).toEqual([1, 3]);
  });

  test('costs five statements, however much is on record of the finds and however many send', async () => {
    const finds = [findOf(keeper), findOf(member)];
    expect([await tell(keeper, ...finds.slice(0, 1)), await tell(member, ...finds.slice(1))]).toEqual([
      ['added'],
      ['added'],
    ]);
    const piece = randomUUID();
    expect(
      await tell(keeper, {
        find: finds[0]?.find,
        kind: 'pieces',
        body: { id: piece, at: now(), purpose: 'decide' },
      }),
    ).toEqual(['added']);
    const reading = () =>
      parsed({
        find: finds[0]?.find,
        kind: 'readings',
        body: {
          id: randomUUID(),
          piece,
          character: 'cap.shape',
          value: { kind: 'states', states: ['funnel'] },
          sureness: 'sure',
          by: keeper.id,
          at: now(),
        },
      });
    const sendings = await Promise.all(
      (
        [
          [keeper, reading()],
          [member, target(finds[1]?.find ?? '')],
        ] as const
      ).map(async ([who, entry]) => ({
        actor: await actorOf(database.db, who.id),
        entries: [entry],
        options: { guide, now: Date.now() },
      })),
    );
    await scopeOf(database.db, sendings);
    const sent = jest.spyOn(pg.Client.prototype, 'query');
    const written = await writeTogether(database.db, sendings, await scopeOf(database.db, sendings));
    const all = sent.mock.calls.map(([first]: readonly unknown[], index) => ({
      text: (typeof first === 'string' ? first : (first as { text: string }).text).trim(),
      connection: sent.mock.contexts[index] as unknown,
    }));
    // Jobs ask the database over connections of their own at any time.
    const own = all.find(({ text }) => text === 'begin')?.connection;
    const texts = all.filter(({ connection }) => connection === own).map(({ text }) => text);
    sent.mockRestore();
    expect(written).toMatchObject([[{ status: 'added' }], [{ status: 'added' }]]);
    expect(texts.map((text) => text.split(/\s+/)[0])).toEqual(['begin', 'with', 'select', 'with', 'commit']);
  });

  test('waits for nobody: whose notebook is held, or who has left, is written by themselves', async () => {
    const [mine, theirs] = [findOf(keeper), findOf(member)];
    await tell(keeper, mine);
    await tell(member, theirs);
    const leaver = await someone(server.url, 'Leaver');
    const left = findOf(leaver);
    await tell(leaver, left);
    await sql`update people set left_at = now() where id = ${leaver.id}`.execute(database.db);
    const { letGo } = await held(`p:${keeper.id}`);
    expect(
      await together([
        [keeper, [target(mine.find)]],
        [leaver, [target(left.find)]],
        [member, [target(theirs.find)]],
      ]),
    ).toEqual([undefined, undefined, ['added p']]);
    await letGo();
  });
});

describe('a notebook that somebody holds', () => {
  test('holds up nobody who writes into another one, and what waited is taken when it is free', async () => {
    expect(await tell(keeper, findOf(keeper))).toEqual(['added']);
    const { letGo } = await held(`p:${keeper.id}`);
    const waiting = Promise.all(Array.from({ length: 15 }, () => tell(keeper, findOf(keeper))));
    await new Promise((resolve) => {
      setTimeout(resolve, 500);
    });
    const began = performance.now();
    expect((await fetch(`${server.url}/api/v1/health`)).status).toBe(200);
    expect(await tell(member, findOf(member))).toEqual(['added']);
    expect(performance.now() - began).toBeLessThan(4000);
    await letGo();
    expect(await waiting).toEqual(Array.from({ length: 15 }, () => ['added']));
  });

  test('for too long is not waited for: nothing is stored, and sent again it is', async () => {
    const find = findOf(keeper);
    const { letGo } = await held(`p:${keeper.id}`);
    expect((await ask(keeper, 'POST', '/sync/push', { entries: [find] })).status).toBe(503);
    await letGo();
    expect(await tell(keeper, find)).toEqual(['added']);
  });
});

describe('whoever tries doors', () => {
  const from = (address: string) => ({
    'content-type': 'application/json',
    origin: server.url,
    'x-forwarded-for': address,
  });
  const signIn = async (email: string, password: string, address: string) =>
    (
      await fetch(`${server.url}/api/v1/auth/sign-in/email`, {
        method: 'POST',
        headers: from(address),
        body: JSON.stringify({ email, password }),
      })
    ).status;

  test('finds an account closed for a while after a few wrong passwords, from wherever they come; others are not', async () => {
    const tried: number[] = [];
    for (let n = 0; n < 9; n += 1)
      tried.push(await signIn('kelda@ostrel.example', 'not the password', `10.0.0.${n}`));
    expect(tried.slice(0, 6)).toEqual([401, 401, 401, 401, 401, 401]);
    expect(tried.slice(6)).toEqual([429, 429, 429]);
    expect(await signIn(' KELDA@ostrel.example', PASSWORD, '10.0.0.99')).toBe(429);
    expect(await signIn('merle@ostrel.example', PASSWORD, '10.0.0.99')).toBe(200);
    await new Promise((resolve) => {
      setTimeout(resolve, 2500);
    });
    expect(await signIn('kelda@ostrel.example', PASSWORD, '10.0.0.99')).toBe(200);
  });

  test('is refused after very many things that are not there, by address; whether the server is there may always be asked', async () => {
    const get = async (path: string, address: string) =>
      (await fetch(`${server.url}/api/v1${path}`, { headers: { ...from(address), cookie: member.cookie } }))
        .status;
    const seen = new Set<number>();
    for (let n = 0; n < 40; n += 1)
      for (const status of await Promise.all(
        Array.from({ length: 16 }, () => get(`/finds/${randomUUID()}`, '10.9.9.9')),
      ))
        seen.add(status);
    expect(seen).toEqual(new Set([404, 429]));
    expect(await get('/me', '10.9.9.9')).toBe(429);
    expect([await get('/health', '10.9.9.9'), await get('/me', '10.9.9.8')]).toEqual([200, 200]);
  });
});

describe('news', () => {
  const follow = async (who: Someone) => {
    const response = await fetch(`${server.url}/api/v1/sync/events`, { headers: { cookie: who.cookie } });
    expect(response.status).toBe(200);
    const reader = response.body?.getReader();
    const ended = (async () => {
      for (;;) if ((await reader?.read())?.done !== false) return true;
    })();
    return Promise.race.bind(Promise, [
      ended,
      new Promise<boolean>((resolve) => {
        setTimeout(() => resolve(false), 5000).unref();
      }),
    ]) as () => Promise<boolean>;
  };
  const auth = (who: Someone, path: string) =>
    fetch(`${server.url}/api/v1/auth${path}`, {
      method: 'POST',
      headers: { origin: server.url, cookie: who.cookie },
    });
  const leaves: [string, (who: Someone) => Promise<{ readonly status: number }>, number][] = [
    ['signs out', (who) => auth(who, '/sign-out'), 200],
    ['ends all sessions', (who) => auth(who, '/revoke-sessions'), 200],
    ['deletes the account', (who) => ask(who, 'DELETE', '/me', { name: who.name, password: PASSWORD }), 204],
  ];

  test.each(leaves)('end for whoever %s', async (what, leave, status) => {
    const guest = await someone(server.url, `Guest who ${what}`);
    const ended = await follow(guest);
    expect((await leave(guest)).status).toBe(status);
    expect(await ended()).toBe(true);
  });
});

describe('a server that people reach under a name', () => {
  const NAME = 'pause.example';
  const health = (url: string, host: string) =>
    new Promise<{ status: number; hsts: string | undefined }>((resolve, reject) => {
      get(`${url}/api/v1/health`, { headers: { host } }, (response) => {
        response.resume();
        resolve({ status: response.statusCode ?? 0, hsts: response.headers['strict-transport-security'] });
      }).on('error', reject);
    });

  test('answers under that name and by numbers, and is not found under others', async () => {
    const named = await startServer({
      databaseUrl: database.url,
      port: 0,
      demo: false,
      logLevel: 'silent',
      publicUrl: `https://${NAME}`,
    });
    expect(await health(named.url, NAME)).toEqual({
      status: 200,
      hsts: expect.stringMatching(/max-age=31536000/) as string,
    });
    expect(
      await Promise.all(
        ['127.0.0.1:8087', 'localhost', '[::1]:80'].map(
          async (host) => (await health(named.url, host)).status,
        ),
      ),
    ).toEqual([200, 200, 200]);
    expect(
      await Promise.all(
        ['elsewhere.example', `${NAME}.elsewhere.example`, `${NAME}:81`].map(
          async (host) => (await health(named.url, host)).status,
        ),
      ),
    ).toEqual([421, 421, 421]);
    expect((await health(server.url, 'localhost')).hsts).toBeUndefined();
    await named.stop();
  });

  test('lets what was begun end before it stops', async () => {
    const other = await startServer({ databaseUrl: database.url, port: 0, demo: false, logLevel: 'silent' });
    const find = findOf(member);
    const { letGo } = await held(`p:${member.id}`);
    const pushing = asking(() => other.url).tell(member, find);
    await new Promise((resolve) => {
      setTimeout(resolve, 300);
    });
    const stopping = other.stop();
    await new Promise((resolve) => {
      setTimeout(resolve, 300);
    });
    await letGo();
    expect(await pushing).toEqual(['added']);
    await stopping;
  });
});

describe('an account', () => {
  const auth = (path: string, body: object, cookie = '', agent = '') =>
    fetch(`${server.url}/api/v1/auth${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: server.url, cookie, 'user-agent': agent },
      body: JSON.stringify(body),
    });
  const FIREFOX = 'Mozilla/5.0 (Android 14; Mobile; rv:128.0) Gecko/128.0 Firefox/128.0';
  const signedIn = async (email: string, password = PASSWORD): Promise<string> =>
    cookieOf(await auth('/sign-in/email', { email, password }, '', FIREFOX));
  const status = async (cookie: string) =>
    (await fetch(`${server.url}/api/v1/me`, { headers: { cookie } })).status;

  test('is told where it is signed in, and signs out there; nobody else does', async () => {
    const guest = await someone(server.url, 'Signe');
    const there = await signedIn('signe@ostrel.example');
    const { body } = await ask(guest, 'GET', '/me/sessions');
    const sessions = body.sessions as { id: string; current: boolean; device: string }[];
    expect(sessions.map(({ current, device }) => [current, device]).sort()).toEqual([
      [false, 'Firefox on Android'],
      [true, expect.any(String)],
    ]);
    expect(body.hasPassword).toBe(true);
    const other = sessions.find(({ current }) => !current)?.id ?? '';
    expect((await ask(member, 'DELETE', `/me/sessions/${other}`)).status).toBe(404);
    expect((await ask(guest, 'DELETE', `/me/sessions/${other}`)).status).toBe(204);
    expect([await status(there), await status(guest.cookie)]).toEqual([401, 200]);
  });

  test('with another password is signed out everywhere else', async () => {
    const guest = await someone(server.url, 'Svea');
    const there = await signedIn('svea@ostrel.example');
    const changed = await auth(
      '/change-password',
      { currentPassword: PASSWORD, newPassword: 'walks along the weir', revokeOtherSessions: false },
      guest.cookie,
    );
    expect(changed.status).toBe(200);
    expect([await status(there), await status(guest.cookie), await status(await cookieOf(changed))]).toEqual([
      401, 401, 200,
    ]);
    expect((await auth('/sign-in/email', { email: 'svea@ostrel.example', password: PASSWORD })).status).toBe(
      401,
    );
  });

  test.each([
    'passwordpassword',
    '1234567890123',
    'qwertyuiopqwertyuiop',
    'aaaaaaaaaaaaaaaa',
    'Sunniva1234',
    'sunniva@ostrel.example',
  ])('does not get the password %s', async (password) => {
    const response = await auth('/sign-up/email', {
      name: 'Sunniva',
      email: 'sunniva@ostrel.example',
      password,
    });
    expect([response.status, JSON.stringify(await response.json())]).toEqual([
      422,
      expect.stringContaining('"field":"password"'),
    ]);
    expect(
      (
        await auth(
          '/change-password',
          { currentPassword: PASSWORD, newPassword: 'passwordpassword' },
          member.cookie,
        )
      ).status,
    ).toBe(422);
  });

  test('is deleted with its password only', async () => {
    const guest = await someone(server.url, 'Sten');
    const gone = (more: object) => ask(guest, 'DELETE', '/me', { name: 'Sten', ...more });
    expect([await gone({}), await gone({ password: 'not the password' })]).toMatchObject([
      { status: 422, body: { errors: [{ field: 'password' }] } },
      { status: 422, body: { errors: [{ field: 'password' }] } },
    ]);
    expect((await gone({ password: PASSWORD })).status).toBe(204);
  });

  test('is signed in no longer than half a year, however often it is used; until then the browser is told that it goes on', async () => {
    const guest = await someone(server.url, 'Solveig');
    const aged = (days: number) =>
      sql`update session set "createdAt" = now() - make_interval(days => ${days}), "updatedAt" = now() - make_interval(days => 2), "expiresAt" = now() + make_interval(days => 88) where "userId" = ${guest.id}`
        .execute(database.db)
        .then(() => notifyPerson(database.db, guest.id));
    await aged(100);
    const renewed = await fetch(`${server.url}/api/v1/me`, { headers: { cookie: guest.cookie } });
    expect([
      renewed.status,
      renewed.headers
        .getSetCookie()
        .some((line) => line.startsWith('pause.session_token=') && /Max-Age=7\d{6}/.test(line)),
    ]).toEqual([200, true]);
    await aged(181);
    expect(await status(guest.cookie)).toBe(401);
    expect(await status(guest.cookie)).toBe(401);
  });
});

test('the application asks the database as somebody who owns nothing, and can undo nothing that is on record', async () => {
  await tell(member, findOf(member));
  const as = server.db;
  const ownerOnly: [string, RegExp][] = [
    ['alter table entries disable trigger all', /must be owner/],
    ['alter table audit disable trigger user', /must be owner/],
    ['truncate entries', /permission denied/],
    ["update entries set stamp = 'x'", /permission denied/],
    ['delete from entries', /permission denied/],
    ['delete from finds', /permission denied/],
    ['delete from audit', /permission denied/],
    ["update guides set id = 'x'", /permission denied/],
    ['drop function erase_notebook', /must be owner/],
    ['create table mine (id text)', /permission denied/],
  ];
  for (const [text, said] of ownerOnly) await expect(sql.raw(text).execute(as)).rejects.toThrow(said);
  // Nor where it says that it erases.
  await expect(
    as.transaction().execute(async (transaction) => {
      await sql`set local pause.erasing = 'a person'`.execute(transaction);
      await sql`delete from entries`.execute(transaction);
    }),
  ).rejects.toThrow(/permission denied/);
});

describe('an invitation', () => {
  test('is listed for keepers, and taken back it opens nothing', async () => {
    const guest = await someone(server.url, 'Gunda');
    const code = await invite();
    const list = async (who: Someone) => ask(who, 'GET', `/groups/${group}/invitations`);
    const {
      body: { invitations },
    } = await list(keeper);
    expect(invitations).toEqual([
      {
        id: expect.stringMatching(/^[0-9a-f]{16}$/) as string,
        role: 'member',
        by: keeper.id,
        expiresAt: expect.any(String) as string,
      },
    ]);
    expect(JSON.stringify(invitations)).not.toContain(code.slice(0, 5));
    expect((await list(member)).status).toBe(403);
    const [{ id }] = invitations as [{ id: string }];
    expect((await ask(member, 'DELETE', `/groups/${group}/invitations/${id}`)).status).toBe(403);
    expect((await ask(keeper, 'DELETE', `/groups/${group}/invitations/${id}`)).status).toBe(204);
    expect((await ask(keeper, 'DELETE', `/groups/${group}/invitations/${id}`)).status).toBe(404);
    expect((await accept(guest, code)).status).toBe(422);
    expect((await list(keeper)).body).toEqual({ invitations: [] });
  });

  test('of whoever keeps the group no more opens nothing', async () => {
    const [other, guest] = [await someone(server.url, 'Orla'), await someone(server.url, 'Grete')];
    await join(other);
    const role = (to: string) => ask(keeper, 'PATCH', `/groups/${group}/members/${other.id}`, { role: to });
    expect((await role('keeper')).status).toBe(200);
    const code = await invite(other);
    expect((await role('member')).status).toBe(200);
    expect((await accept(guest, code)).status).toBe(422);
    expect((await role('keeper')).status).toBe(200);
    expect((await accept(guest, code)).status).toBe(200);
    expect((await role('member')).status).toBe(200);
  });
});

describe('at once', () => {
  test('two keepers step down: one of them stays', async () => {
    const [a, b] = [await someone(server.url, 'Asta'), await someone(server.url, 'Bente')];
    const id = randomUUID();
    await ask(a, 'POST', '/groups', { id, name: 'Two of them' });
    await accept(
      b,
      (await ask(a, 'POST', `/groups/${id}/invitations`, { role: 'keeper', days: 1 })).body.code as string,
    );
    const down = (who: Someone) => ask(who, 'PATCH', `/groups/${id}/members/${who.id}`, { role: 'member' });
    expect((await Promise.all([down(a), down(b)])).map(({ status }) => status).sort()).toEqual([200, 409]);
  });

  test('two people send something under one id: one of them is told that it is taken', async () => {
    for (let n = 0; n < 5; n += 1) {
      const id = randomUUID();
      const told = await Promise.all([keeper, member].map((who) => tell(who, findOf(who, id))));
      expect(told.flat().sort()).toEqual(['409 id', 'added']);
    }
  });

  test('somebody writes and deletes the account: nothing is stored after it, and nothing breaks', async () => {
    const guest = await someone(server.url, 'Gisa');
    await join(guest);
    const writing = Array.from(
      { length: 30 },
      async (_, n) =>
        (
          await ask(guest, 'POST', '/sync/push', {
            entries: [findOf(guest, randomUUID(), n % 2 === 0 ? {} : { group })],
          })
        ).status,
    );
    const [deleted, ...written] = await Promise.all([
      ask(guest, 'DELETE', '/me', { name: guest.name, password: PASSWORD }).then(({ status }) => status),
      ...writing,
    ]);
    expect(deleted).toBe(204);
    expect([...new Set(written)].filter((status) => status !== 200 && status !== 401)).toEqual([]);
    const own = await sql<{
      count: string;
    }>`select count(*) as count from entries where stream = ${`p:${guest.id}`}`.execute(database.db);
    expect(Number(own.rows[0]?.count)).toBe(0);
  });

  test('somebody belongs to as many groups as one may, and no more', async () => {
    const guest = await someone(server.url, 'Gro');
    const made = [];
    for (let n = 0; n < 52; n += 1)
      made.push((await ask(guest, 'POST', '/groups', { id: randomUUID(), name: `Group ${n}` })).status);
    expect(made).toEqual([...Array.from({ length: 50 }, () => 201), 422, 422]);
    expect((await accept(guest, await invite())).status).toBe(422);
    const me = await ask(guest, 'GET', '/me');
    expect((me.body.groups as unknown[]).length).toBe(50);
  });
});
