import type { AddressInfo } from 'node:net';
import { SMTPServer } from 'smtp-server';
import { startServer, type RunningServer, type StartOptions } from '../src';
import { freshDatabase } from './database';
import { PASSWORD, signIn } from './people';

/**
 * Accounts with letters: against a mail server that speaks the protocol, and with the demo's simulated
 * mailbox.
 */

interface Received {
  readonly to: string;
  readonly text: string;
}
interface MailServer {
  readonly port: number;
  readonly letters: Received[];
  readonly close: () => Promise<void>;
}
async function mailServer(port = 0): Promise<MailServer> {
  const letters: Received[] = [];
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    onData: (stream, session, done) => {
      const parts: Buffer[] = [];
      stream.on('data', (part: Buffer) => parts.push(part));
      stream.on('end', () => {
        // Long lines come as quoted-printable: "=" and a line end is nothing, "=3D" is "=".
        const text = Buffer.concat(parts).toString('utf8').replace(/=\r\n/g, '').replace(/=3D/g, '=');
        letters.push({ to: session.envelope.rcptTo.map(({ address }) => address).join(), text });
        done();
      });
    },
  });
  await new Promise<void>((resolve) => {
    server.listen(port, '127.0.0.1', resolve);
  });
  return {
    port: (server.server.address() as AddressInfo).port,
    letters,
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve());
      }),
  };
}

const until = async <T>(look: () => T | undefined): Promise<T> => {
  for (let tries = 0; tries < 100; tries += 1) {
    const found = look();
    if (found !== undefined) return found;
    await new Promise((resolve) => {
      setTimeout(resolve, 50);
    });
  }
  throw new Error('it did not come');
};
const tokenIn = (text: string) => decodeURIComponent(/token=([^\s]+)/.exec(text)?.[1] ?? '');

describe('accounts by mail', () => {
  let database: Awaited<ReturnType<typeof freshDatabase>>;
  let mail: MailServer;
  let server: RunningServer;
  const start = (more: Partial<StartOptions>) =>
    startServer({ databaseUrl: database.url, port: 0, demo: false, logLevel: 'silent', ...more });
  beforeAll(async () => {
    database = await freshDatabase('pause_mail');
    mail = await mailServer();
    server = await start({
      mail: { kind: 'smtp', url: `smtp://127.0.0.1:${mail.port}`, from: 'Pause <pause@ostrel.example>' },
    });
  });
  afterAll(async () => {
    await server.stop();
    await mail.close();
    await database.close();
  });
  const post = (path: string, body: unknown, cookie?: string) =>
    fetch(`${server.url}/api/v1/auth${path}`, {
      method: 'POST',
      headers: {
        'content-type': 'application/json',
        origin: server.url,
        ...(cookie === undefined ? {} : { cookie }),
      },
      body: JSON.stringify(body),
    });
  const signUp = (name: string) =>
    post('/sign-up/email', { name, email: `${name.toLowerCase()}@ostrel.example`, password: PASSWORD });
  const letterTo = (name: string, about: RegExp) =>
    until(() => mail.letters.find(({ to, text }) => to === `${name}@ostrel.example` && about.test(text)));
  const cookieIn = (response: Response) =>
    response.headers
      .getSetCookie()
      .map((line) => /^pause\.session_token=[^;]+/.exec(line)?.[0])
      .find(Boolean);
  const me = (cookie: string) => fetch(`${server.url}/api/v1/me`, { headers: { cookie } });

  test('an account opens only once its address is confirmed, by a link that signs in once', async () => {
    const made = await signUp('Odda');
    expect([made.status, cookieIn(made)]).toEqual([200, undefined]);
    const token = tokenIn((await letterTo('odda', /Confirm your e-mail/)).text);
    expect((await signIn(server.url, 'odda@ostrel.example', PASSWORD)).status).toBe(403);
    const confirmed = await post('/confirm', { token });
    expect(await confirmed.json()).toEqual({ signedIn: true });
    expect((await me(cookieIn(confirmed) ?? '')).status).toBe(200);
    const again = await post('/confirm', { token });
    expect([await again.json(), cookieIn(again)]).toEqual([{ signedIn: false }, undefined]);
    expect((await signIn(server.url, 'odda@ostrel.example', PASSWORD)).status).toBe(200);
  });

  test('a link that was made up confirms nothing, and is said to be the link', async () => {
    const response = await post('/confirm', { token: 'eyJhbGciOiJIUzI1NiJ9.e30.x' });
    expect([
      response.status,
      ((await response.json()) as { errors: { field: string }[] }).errors[0]?.field,
    ]).toEqual([422, 'token']);
  });

  test('signing up and asking for a new password say nothing about who has an account', async () => {
    await signUp('Runa');
    await letterTo('runa', /Confirm your e-mail/);
    const shape = async (response: Response) => ({
      status: response.status,
      cookie: cookieIn(response),
      body: Object.entries((await response.json()) as object).map(
        ([key, value]) =>
          `${key} ${value === null || typeof value !== 'object' ? String(value) : Object.keys(value as object).join()}`,
      ),
    });
    const [known, unknown] = [await shape(await signUp('Runa')), await shape(await signUp('Sirke'))];
    expect(known).toEqual(unknown);
    expect((await letterTo('runa', /have an account for Pause already/)).text).not.toMatch(/token=/);
    const asked = async (email: string) => {
      const response = await post('/request-password-reset', { email });
      return [response.status, await response.text()];
    };
    expect(await asked('runa@ostrel.example')).toEqual(await asked('nobody@ostrel.example'));
    await letterTo('runa', /A new password for Pause/);
    expect(mail.letters.filter(({ to }) => to === 'nobody@ostrel.example')).toEqual([]);
  });

  test('a new password by mail ends every session, confirms the address, and its link is good once', async () => {
    await signUp('Tarek');
    const confirmed = await post('/confirm', {
      token: tokenIn((await letterTo('tarek', /Confirm your e-mail/)).text),
    });
    const cookie = cookieIn(confirmed) ?? '';
    expect((await me(cookie)).status).toBe(200);
    await post('/request-password-reset', { email: 'tarek@ostrel.example' });
    const token = tokenIn((await letterTo('tarek', /A new password for Pause/)).text);
    const { rows } = await (
      await import('kysely')
    ).sql<{ identifier: string }>`select identifier from verification`.execute(database.db);
    expect(rows.some(({ identifier }) => identifier.includes(token))).toBe(false);
    const soon = await post('/reset-password', { token, newPassword: 'password1234' });
    expect([soon.status, ((await soon.json()) as { errors: { field: string }[] }).errors[0]?.field]).toEqual([
      422,
      'newPassword',
    ]);
    expect((await post('/reset-password', { token, newPassword: 'fog over the lower ford' })).status).toBe(
      200,
    );
    expect((await me(cookie)).status).toBe(401);
    expect((await signIn(server.url, 'tarek@ostrel.example', PASSWORD)).status).toBe(401);
    expect((await signIn(server.url, 'tarek@ostrel.example', 'fog over the lower ford')).status).toBe(200);
    expect((await post('/reset-password', { token, newPassword: 'another one for the ford' })).status).toBe(
      400,
    );
  });

  test('nobody can fill a mailbox: five letters an hour go to an address', async () => {
    for (let n = 0; n < 8; n += 1) await signUp('Valdis');
    await letterTo('valdis', /have an account for Pause already/);
    await signUp('Wenke');
    await letterTo('wenke', /Confirm your e-mail/);
    expect(mail.letters.filter(({ to }) => to === 'valdis@ostrel.example').length).toBeLessThanOrEqual(5);
  });

  test('a letter that the mail server did not take is sent again', async () => {
    await mail.close();
    const { port } = mail;
    await signUp('Yorick');
    await new Promise((resolve) => {
      setTimeout(resolve, 500);
    });
    mail = await mailServer(port);
    await letterTo('yorick', /Confirm your e-mail/);
  });

  test('the demo’s letters go into a simulated mailbox, which only the demo has', async () => {
    expect((await fetch(`${server.url}/api/v1/demo/mailbox`)).status).toBe(404);
    await server.stop();
    server = await start({ mail: { kind: 'mailbox' } });
    await signUp('Zeno');
    const look = async () =>
      (
        (await (await fetch(`${server.url}/api/v1/demo/mailbox`)).json()) as {
          letters: { to: string; text: string }[];
        }
      ).letters.find(({ to }) => to === 'zeno@ostrel.example');
    let found = await look();
    for (let tries = 0; tries < 50 && !found; tries += 1) found = await look();
    const confirmed = await post('/confirm', { token: tokenIn(found?.text ?? '') });
    expect(await confirmed.json()).toEqual({ signedIn: true });
    expect(mail.letters.filter(({ to }) => to === 'zeno@ostrel.example')).toEqual([]);
  });
});
