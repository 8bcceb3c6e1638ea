import { someone, signIn, PASSWORD } from '../people';
import { server, database, group, idOf, people, find, ask, type Json, setUp } from './kit';

setUp();

describe('accounts', () => {
  test('a password that is too short, a name taken twice, a wrong password: a reason, and no session', async () => {
    const short = await fetch(`${server.url}/api/v1/auth/sign-up/email`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: server.url },
      body: JSON.stringify({ name: 'X', email: 'x@ostrel.example', password: 'short' }),
    });
    expect([short.status, short.headers.getSetCookie()]).toEqual([400, []]);
    await expect(someone(server.url, 'Keeper Kvist')).rejects.toThrow(/no session: 4/);
    const wrong = await signIn(server.url, 'keeperkvist@ostrel.example', 'not the password');
    expect([wrong.status, wrong.headers.getSetCookie()]).toEqual([401, []]);
    expect((await signIn(server.url, 'keeperkvist@ostrel.example', PASSWORD)).status).toBe(200);
  });

  test('the cookie is out of reach of scripts, and of other sites', async () => {
    const [set] = (await signIn(server.url, 'membermoor@ostrel.example', PASSWORD)).headers.getSetCookie();
    expect(set).toMatch(/HttpOnly/);
    expect(set).toMatch(/SameSite=Lax/);
  });

  test('signing out everywhere ends every session', async () => {
    const made = await someone(server.url, 'Several Sel');
    const other = await signIn(server.url, 'severalsel@ostrel.example', PASSWORD);
    const second = (other.headers.getSetCookie()[0] ?? '').split(';')[0] ?? '';
    const me = (cookie: string) =>
      fetch(`${server.url}/api/v1/me`, { headers: { cookie } }).then((r) => r.status);
    expect([await me(made.cookie), await me(second)]).toEqual([200, 200]);
    const out = await fetch(`${server.url}/api/v1/auth/revoke-sessions`, {
      method: 'POST',
      headers: { cookie: made.cookie, origin: server.url, 'content-type': 'application/json' },
      body: '{}',
    });
    expect(out.status).toBe(200);
    expect([await me(made.cookie), await me(second)]).toEqual([401, 401]);
  });

  test('guessing is slowed down: passwords, and codes of invitations', async () => {
    const guesser = await someone(server.url, 'Guesser Gorm');
    const guess = async () =>
      (
        await fetch(`${server.url}/api/v1/invitations/accept`, {
          method: 'POST',
          headers: { cookie: guesser.cookie, 'content-type': 'application/json' },
          body: JSON.stringify({ code: 'ABCDE-FGHJK' }),
        })
      ).status;
    const codes: number[] = [];
    for (let i = 0; i < 12; i += 1) codes.push(await guess());
    expect([codes[0], codes.at(-1)]).toEqual([422, 429]);
    const tries: number[] = [];
    for (let i = 0; i < 12; i += 1)
      tries.push((await signIn(server.url, 'guessergorm@ostrel.example', 'not the password')).status);
    expect(tries.at(-1)).toBe(429);
  });

  test('what happened to accounts and roles is on record', async () => {
    const rows = await database.db.selectFrom('audit').select(['person', 'what', 'object']).execute();
    for (const [as, what, object] of [
      ['keeper', 'account-made', null],
      ['keeper', 'group-made', group],
      ['keeper', 'invited', group],
      ['member', 'joined', group],
      ['former', 'left', group],
      ['keeper', 'signed-in', null],
    ] as const) {
      expect(rows).toContainEqual({ person: idOf(as), what, object });
    }
    expect(rows.map((r) => r.what)).toContain('signed-out-everywhere');
  });

  test('a person takes everything along, and can be deleted with all that is theirs', async () => {
    const gone = await someone(server.url, 'Gone Gunde');
    people.stranger = gone;
    const own = await find('stranger', false);
    const exported = (await ask('stranger', 'GET', '/me/export')).body;
    expect(exported).toMatchObject({
      format: 'pause-export/1',
      person: { id: gone.id, name: 'Gone Gunde', email: 'gonegunde@ostrel.example' },
    });
    expect((exported.own as Json[]).map((e) => e.find)).toContain(own.find);
    expect(
      (await ask('stranger', 'DELETE', '/me', { name: 'Somebody else', password: PASSWORD })).status,
    ).toBe(422);
    expect((await ask('stranger', 'DELETE', '/me', { name: 'Gone Gunde', password: PASSWORD })).status).toBe(
      204,
    );
    expect((await ask('stranger', 'GET', '/me')).status).toBe(401);
    expect(
      await database.db.selectFrom('entries').select('id').where('find_id', '=', own.find).execute(),
    ).toEqual([]);
    expect(await database.db.selectFrom('people').select('name').where('id', '=', gone.id).execute()).toEqual(
      [{ name: 'Someone who left' }],
    );
    expect(await database.db.selectFrom('user').select('id').where('id', '=', gone.id).execute()).toEqual([]);
  });
});
