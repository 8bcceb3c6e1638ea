/**
 * Hostile input on every route: reasons instead of answers, nothing stored, nothing thrown back at whoever
 * sent it.
 */
import * as fc from 'fast-check';
import { sql } from 'kysely';
import { AUTH_PATHS } from '../src/accounts';
import { routes, type Services } from '../src/http/routes';
import { startServer, type RunningServer } from '../src/start';
import { freshDatabase } from './database';
import { body, filled, SCRIPT } from './fuzzed';
import { demoCookie, someone } from './people';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
let cookie = '';
let scripted = '';
beforeAll(async () => {
  database = await freshDatabase('fuzz_test');
  server = await startServer({
    databaseUrl: database.url,
    port: 0,
    demo: true,
    logLevel: 'silent',
    proxies: 1,
  });
  cookie = (await someone(server.url, 'Hostile Hask')).cookie;
  scripted = (await someone(server.url, `Scripted ${SCRIPT}`)).cookie;
});
afterAll(async () => {
  await server.stop();
  await database.close();
});

const TABLES = [
  'entries',
  'finds',
  'groups',
  'pages',
  'memberships',
  'invitations',
  'streams',
  'arrivals',
  'people',
];
async function rows(): Promise<string> {
  const all = await Promise.all(
    TABLES.map((table) =>
      sql<{ n: number }>`select count(*)::int as n from ${sql.table(table)}`.execute(database.db),
    ),
  );
  return all.map(({ rows: [row] }) => row?.n).join();
}

// From another place each time: who asks for very many things that are not there is refused before they are
// looked at.
let sentFrom = 0;
const nextAddress = () => `10.${(sentFrom += 1) >> 16}.${(sentFrom >> 8) & 255}.${sentFrom & 255}`;

async function send(method: string, path: string, text: string | undefined, type = 'application/json') {
  const response = await fetch(`${server.url}/api/v1${path}`, {
    method,
    headers: {
      cookie,
      origin: server.url,
      'x-forwarded-for': nextAddress(),
      ...(text === undefined ? {} : { 'content-type': type }),
    },
    ...(text === undefined ? {} : { body: text }),
  });
  if (response.headers.get('content-type')?.startsWith('text/event-stream')) {
    await response.body?.cancel();
    return { status: response.status, text: '' };
  }
  return {
    status: response.status,
    text: await response.text(),
    type: response.headers.get('content-type') ?? '',
  };
}

const ALL = routes({} as Services);
const CHANGING = ALL.filter(({ method }) => method !== 'get');
/** Stores something of one's own where the body happens to be right, and so is allowed to. */
const OPEN_PATHS = new Set(['/groups', '/finds', '/sync/push']);

test.each(CHANGING.map(({ method, path }) => [method, path] as const))(
  '%s %s: whatever is sent, a reason comes back and nothing is kept',
  async (method, path) => {
    const before = await rows();
    await fc.assert(
      fc.asyncProperty(body, fc.nat(40), async (sent, pick) => {
        const { status, text, type } = await send(
          method.toUpperCase(),
          filled(path, pick),
          JSON.stringify(sent),
        );
        expect([status, status < 500 || (status === 503 && text.includes('too-busy'))]).toEqual([
          status,
          true,
        ]);
        if (status >= 400) {
          expect(type).toMatch('application/problem+json');
          expect(text).not.toContain(SCRIPT);
          expect(JSON.parse(text)).toMatchObject({ status, title: expect.stringMatching(/\S/) as string });
        } else if (!OPEN_PATHS.has(path))
          expect([path, status, text.includes('refused') || status === 200]).toEqual([path, status, true]);
      }),
      { numRuns: 40 },
    );
    expect(await rows()).toBe(before);
  },
  60_000,
);

test.each(ALL.filter(({ method }) => method === 'get').map(({ path }) => path))(
  'get %s: addresses of nonsense',
  async (path) => {
    for (let pick = 0; pick < 9; pick += 1) {
      for (const query of [
        '',
        '?stream=p:mirel&after=-1',
        '?stream=__proto__&after=1e99&most=999999',
        `?stream=${encodeURIComponent(SCRIPT)}`,
        '?stream=g:ostrel-walkers',
        '?stream[]=a&stream[]=b',
      ]) {
        const { status, text } = await send('GET', filled(path, pick) + query, undefined);
        expect([path, pick, query, status < 500]).toEqual([path, pick, query, true]);
        expect(text).not.toContain(SCRIPT);
        expect(text).not.toContain('Aschkar');
      }
    }
  },
);

test.each([...AUTH_PATHS])(
  'the door %s',
  async (path) => {
    if (path === '/demo/sign-in' || path === '/sign-out' || path === '/revoke-sessions') return;
    const before = await rows();
    await fc.assert(
      fc.asyncProperty(body, async (sent) => {
        const { status, text } = await send('POST', `/auth${path}`, JSON.stringify(sent));
        expect([status, status >= 400 && status < 500]).toEqual([status, true]);
        expect(text).not.toContain(SCRIPT);
      }),
      { numRuns: 25 },
    );
    expect(await rows()).toBe(before);
  },
  60_000,
);

test.each<[string, string, string, number[]]>([
  ['no JSON', '{"id":', 'application/json', [400]],
  ['another type', 'id=3', 'application/x-www-form-urlencoded', [415]],
  ['XML', '<a/>', 'text/xml', [415]],
  ['too large', JSON.stringify({ entries: ['x'.repeat(1_200_000)] }), 'application/json', [413]],
  [
    'too many at once',
    JSON.stringify({ entries: Array.from({ length: 501 }, () => ({})) }),
    'application/json',
    [422],
  ],
  ['too deep', '['.repeat(50_000) + ']'.repeat(50_000), 'application/json', [400, 422]],
  ['another encoding', '{}', 'application/json; charset=latin1', [415]],
])('%s is refused', async (_, text, type, statuses) => {
  const before = await rows();
  const answer = await send('POST', '/sync/push', text, type);
  expect(statuses).toContain(answer.status);
  expect(await rows()).toBe(before);
});

test('a name with a script in it is a name, given as data and never as a page', async () => {
  const me = await fetch(`${server.url}/api/v1/me`, { headers: { cookie: scripted } });
  expect(await me.json()).toMatchObject({ name: `Scripted ${SCRIPT}` });
  expect(me.headers.get('content-type')).toMatch('application/json');
  expect(me.headers.get('x-content-type-options')).toBe('nosniff');
  const page = await fetch(`${server.url}/api/v1/health`);
  expect(page.headers.get('content-security-policy')).toMatch(/script-src 'self'(;|$)/);
  expect(page.headers.get('content-security-policy')).toMatch(/frame-ancestors 'none'/);
  await expect(demoCookie(server.url)).resolves.toBeTruthy();
});
