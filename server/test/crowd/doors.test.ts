import { randomUUID } from 'node:crypto';
import { get } from 'node:http';
import { startServer } from '../../src/start';
import { PASSWORD, type Someone, someone, asking } from '../people';
import { server, member, ask, database, findOf, held, setUp } from './kit';

setUp();

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

  test('finds an account closed for a while after wrong passwords from anywhere; others stay open', async () => {
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

  test('is refused by address after very many missing things; the health check is always answered', async () => {
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
