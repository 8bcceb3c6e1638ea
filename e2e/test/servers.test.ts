import { openBalancer, openWorld } from '../../bench/faults/world';
import { confirmationToken } from '../rig';

/** Three server processes in front of one database serve the same people as one would. */

jest.setTimeout(240_000);
type World = Awaited<ReturnType<typeof openWorld>>;
const SERVERS = 3;
let world: World;
beforeAll(async () => {
  world = await openWorld(SERVERS, true);
});
afterAll(async () => {
  await world.close();
});

const at = (second: number) => new Date(Date.UTC(2026, 8, 14, 8, 0, second)).toISOString();
const post = (url: string, path: string, body: unknown, cookie = '') =>
  fetch(`${url}/api/v1${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: url, cookie },
    body: JSON.stringify(body),
  });
async function person(url: string, name: string): Promise<{ id: string; cookie: string }> {
  const response = await post(url, '/auth/sign-up/email', {
    name,
    email: `${name}@ostrel.example`,
    password: 'a long enough password',
  });
  if (!response.ok) throw new Error(`${name} could not sign up: ${response.status} ${await response.text()}`);
  const id = ((await response.json()) as { user: { id: string } }).user.id;
  const confirmed = await post(url, '/auth/confirm', {
    token: await confirmationToken(url, `${name}@ostrel.example`),
  });
  if (!confirmed.ok)
    throw new Error(`${name} could not confirm: ${confirmed.status} ${await confirmed.text()}`);
  return {
    id,
    cookie:
      (confirmed.headers.getSetCookie().find((cookie) => cookie.includes('session_token')) ?? '').split(
        ';',
      )[0] ?? '',
  };
}

/** Hears of what a person's notebooks get, over one server, until stopped. */
async function listen(url: string, cookie: string) {
  const stop = new AbortController();
  const response = await fetch(`${url}/api/v1/sync/events`, { headers: { cookie }, signal: stop.signal });
  let text = '';
  void (async () => {
    const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
    for (;;) {
      const part = await reader?.read().catch(() => undefined);
      if (!part || part.done) return;
      text += part.value;
    }
  })();
  return {
    type: response.headers.get('content-type'),
    until: async (wanted: string) => {
      for (let attempt = 0; attempt < 100 && !text.includes(wanted); attempt += 1)
        await new Promise((resolve) => {
          setTimeout(resolve, 50);
        });
      return text;
    },
    stop: () => stop.abort(),
  };
}

test('a session of one is known to the other, and an entry at one is heard at the other at once', async () => {
  const [one, two] = world.urls as [string, string];
  const { id, cookie } = await person(one, 'una');
  expect((await fetch(`${two}/api/v1/me`, { headers: { cookie } })).status).toBe(200);
  const stranger = await person(two, 'stranger');
  const [heard, overheard] = [await listen(two, cookie), await listen(two, stranger.cookie)];
  expect(heard.type).toMatch('text/event-stream');
  const find = { id: 'find-of-una-1', startedAt: at(0), kingdom: 'Fungi', person: id };
  expect((await post(one, '/finds', find, cookie)).status).toBe(201);
  expect(await heard.until(`p:${id}`)).toContain(JSON.stringify({ stream: `p:${id}`, last: 1 }));
  // Sent to both at the same moment, it is there once.
  const pieces = await Promise.all(
    [one, two, one, two].map((url) =>
      post(url, '/finds/find-of-una-1/pieces', { id: 'piece-one', at: at(1), purpose: 'decide' }, cookie),
    ),
  );
  expect(pieces.map((r) => r.status).sort()).toEqual([200, 200, 200, 201]);
  expect(await heard.until('"last":2')).toContain('"last":2');
  // Nobody hears of what is not theirs.
  expect(await overheard.until('nothing of the kind').then((text) => text.includes(`p:${id}`))).toBe(false);
  heard.stop();
  overheard.stop();
});

test('three servers number one notebook without gaps', async () => {
  const { id, cookie } = await person(world.urls[0] ?? '', 'duo');
  await post(
    world.url,
    '/finds',
    { id: 'find-of-duo-1', startedAt: at(0), kingdom: 'Fungi', person: id },
    cookie,
  );
  await Promise.all(
    Array.from({ length: 40 }, (_, n) =>
      post(
        world.urls[n % SERVERS] ?? '',
        '/finds/find-of-duo-1/targets',
        { id: `target-of-duo-${n}`, at: at(n), taxon: 'boletus-edulis' },
        cookie,
      ),
    ),
  );
  const page = (await (
    await fetch(`${world.urls[1] ?? ''}/api/v1/sync/pull?stream=p:${id}&most=1000`, { headers: { cookie } })
  ).json()) as { entries: { seq: number }[]; last: number };
  expect(page.entries.map(({ seq }) => seq)).toEqual(Array.from({ length: 41 }, (_, n) => n + 1));
  expect(page.last).toBe(41);
});

test('guesses are counted over all of them', async () => {
  const { cookie } = await person(world.url, 'gorm');
  const statuses: number[] = [];
  for (let n = 0; n < 12; n += 1)
    statuses.push(
      (await post(world.urls[n % SERVERS] ?? '', '/invitations/accept', { code: 'ABCDE-FGHJK' }, cookie))
        .status,
    );
  expect([statuses.filter((s) => s === 422).length, statuses.at(-1)]).toEqual([10, 429]);
});

test('one is killed in the middle of it: the others go on, and nothing is half there', async () => {
  const { id, cookie } = await person(world.urls[1] ?? '', 'tria');
  const two = world.urls[1] ?? '';
  await post(two, '/finds', { id: 'find-of-tria-1', startedAt: at(0), kingdom: 'Fungi', person: id }, cookie);
  const entries = Array.from({ length: 200 }, (_, n) => ({
    find: 'find-of-tria-1',
    kind: 'targets',
    body: { id: `target-of-tria-${n}`, at: at(n % 60), taxon: 'boletus-edulis' },
  }));
  const going = post(world.url, '/sync/push', { entries }, cookie).then(
    (r) => r.status,
    () => 'cut',
  );
  await world.killServer();
  await going;
  const count = async () =>
    (
      (await (
        await fetch(`${two}/api/v1/sync/pull?stream=p:${id}&most=1000`, { headers: { cookie } })
      ).json()) as { last: number }
    ).last;
  expect([1, 201]).toContain(await count());
  expect((await post(two, '/sync/push', { entries }, cookie)).status).toBe(200);
  expect(await count()).toBe(201);
});

test('work that was left to a server which is killed is done by another, once', async () => {
  const two = world.urls[1] ?? '';
  const cookie =
    ((await post(world.url, '/auth/demo/sign-in', {})).headers.getSetCookie()[0] ?? '').split(';')[0] ?? '';
  const ask = {
    find: 'demo-find-4',
    kind: 'asks',
    body: {
      id: 'ask-before-the-kill',
      at: at(9),
      by: 'mirel',
      of: 'simulated-expert',
      here: false,
      piece: 'demo-find-4-p1',
      characters: ['leaf.arrangement', 'leaf.venation'],
    },
  };
  expect((await post(world.url, '/sync/push', { entries: [ask] }, cookie)).status).toBe(200);
  await world.killServer();
  const answers = async () =>
    (
      (await (await fetch(`${two}/api/v1/finds/demo-find-4`, { headers: { cookie } })).json()) as {
        readings: { by: string }[];
      }
    ).readings.filter((r) => r.by === 'simulated-expert');
  for (let attempt = 0; attempt < 300 && (await answers()).length === 0; attempt += 1)
    await new Promise((resolve) => {
      setTimeout(resolve, 100);
    });
  expect(await answers()).toHaveLength(2);
  // Sent again, it is the same ask, and nothing is answered twice.
  await post(two, '/sync/push', { entries: [ask] }, cookie);
  await new Promise((resolve) => {
    setTimeout(resolve, 10_000);
  });
  expect(await answers()).toHaveLength(2);
});

test('behind a balancer nobody notices how many there are, nor that one is killed', async () => {
  const balancer = await openBalancer(world.urls);
  try {
    const { id, cookie } = await person(balancer.url, 'quadra');
    const heard = await listen(balancer.url, cookie);
    const find = `find-of-quadra-1`;
    const tell = (n: number) =>
      post(
        balancer.url,
        `/finds/${find}/targets`,
        { id: `target-of-quadra-${n}`, at: at(n % 60), taxon: 'boletus-edulis' },
        cookie,
      );
    expect(
      (
        await post(
          balancer.url,
          '/finds',
          { id: find, startedAt: at(0), kingdom: 'Fungi', person: id },
          cookie,
        )
      ).status,
    ).toBe(201);
    // What was sent over one is there when it is read over the next.
    for (let n = 0; n < 12; n += 1) {
      expect((await tell(n)).status).toBe(201);
      const { targets } = (await (
        await fetch(`${balancer.url}/api/v1/finds/${find}`, { headers: { cookie } })
      ).json()) as { targets: unknown[] };
      expect(targets).toHaveLength(n + 1);
    }
    expect(await heard.until('"last":13')).toContain('"last":13');
    const going = Array.from({ length: 30 }, (_, n) =>
      tell(12 + n).then(
        (response) => response.status,
        () => 0,
      ),
    );
    await world.killServer();
    await Promise.all(going);
    // A device sends again what it had no answer to; the balancer may take a moment to see who is gone.
    const again = await Promise.all(
      Array.from({ length: 30 }, (_, n) => tell(12 + n).catch(() => tell(12 + n))),
    );
    expect(again.every(({ status }) => status === 200 || status === 201)).toBe(true);
    const page = (await (
      await fetch(`${balancer.url}/api/v1/sync/pull?stream=p:${id}&most=1000`, { headers: { cookie } })
    ).json()) as { entries: { seq: number }[] };
    expect(page.entries.map(({ seq }) => seq)).toEqual(Array.from({ length: 43 }, (_, n) => n + 1));
    heard.stop();
  } finally {
    await balancer.close();
  }
});
