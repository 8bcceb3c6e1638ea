import { AUTH_PATHS } from '../../src/accounts';
import { routes, type Services } from '../../src/http/routes';
import { ACTORS, ask, group, PLACE, rule, setUp } from './kit';
import { TABLE } from './table';

setUp();

describe('every route', () => {
  const all = routes({} as Services);
  const rows = Object.entries(TABLE).flatMap(([route, of]) =>
    of.flatMap((row) => ACTORS.map((as) => ({ route, row, as, name: `${route} · ${row.of} · ${as}` }))),
  );

  test('has its rows in this table, and the table no others', () => {
    expect(all.map(({ method, path }) => `${method} ${path}`).sort()).toEqual(Object.keys(TABLE).sort());
    for (const { row, as } of rows) expect([row.may.includes(as), as in row.others]).toContain(true);
  });

  test.each(rows)('$name', async ({ route, row, as }) => {
    const { path, body } = await row.ask(as);
    const { status, body: answer } = await ask(as, (route.split(' ')[0] ?? '').toUpperCase(), path, body);
    if (row.may.includes(as)) expect([401, 403, 404]).not.toContain(status);
    else {
      expect(status).toBe(row.others[as]);
      expect(JSON.stringify(answer)).not.toContain(PLACE);
    }
    expect(status).toBeLessThan(500);
  });

  test('refuses what another page sends along with the cookie', async () => {
    for (const more of [
      { origin: 'https://elsewhere.example' },
      { 'sec-fetch-site': 'cross-site' },
      { origin: 'null' },
    ]) {
      expect(
        await ask(
          'keeper',
          'POST',
          '/sync/push',
          { entries: [rule('name', 'Taken over')] },
          more as Record<string, string>,
        ),
      ).toMatchObject({ status: 403, body: { type: 'urn:pause:problem:other-origin' } });
      for (const path of AUTH_PATHS)
        expect((await ask('keeper', 'POST', `/auth${path}`, {}, more as Record<string, string>)).status).toBe(
          403,
        );
    }
    expect((await ask('member', 'GET', `/groups/${group}`)).body.name).toBe('The Karrow walkers');
  });

  test('of the library for accounts only what is used is open', async () => {
    for (const path of [
      '/list-sessions',
      '/update-user',
      '/delete-user',
      '/error',
      '/ok',
      '/request-password-reset',
      '/reset-password',
      '/confirm',
    ]) {
      expect([path, (await ask('keeper', 'POST', `/auth${path}`, {})).status]).toEqual([path, 404]);
      expect([path, (await ask('keeper', 'GET', `/auth${path}`)).status]).toEqual([path, 404]);
    }
  });
});
