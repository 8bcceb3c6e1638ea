import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { notifyPerson } from '../../src/notebook';
import { PASSWORD, cookieOf, someone, type Someone } from '../people';
import {
  server,
  ask,
  member,
  database,
  tell,
  findOf,
  invite,
  group,
  keeper,
  accept,
  join,
  setUp,
} from './kit';

setUp();

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

  test('sees where it is signed in, and signs out there; nobody else does', async () => {
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

  test('is signed in for at most half a year, however often used; until then the cookie is renewed', async () => {
    const guest = await someone(server.url, 'Solveig');
    const aged = (days: number) =>
      sql`update session set "createdAt" = now() - make_interval(days => ${days}), "updatedAt" = now() -
        make_interval(days => 2), "expiresAt" = now() + make_interval(days => 88) where "userId" = ${guest.id}`
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

test('the application’s database role owns nothing, and can undo nothing that is on record', async () => {
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
  for (const [text, error] of ownerOnly) await expect(sql.raw(text).execute(as)).rejects.toThrow(error);
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

  test('two people send something under one id: one of them hears that it is taken', async () => {
    for (let n = 0; n < 5; n += 1) {
      const id = randomUUID();
      const answers = await Promise.all([keeper, member].map((who) => tell(who, findOf(who, id))));
      expect(answers.flat().sort()).toEqual(['409 id', 'added']);
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
