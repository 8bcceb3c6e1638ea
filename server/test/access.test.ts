/** Who may do what: a table over every route, and over everything that can be told of a find. */
import { randomUUID } from 'node:crypto';
import { decide, taxonContent } from '@pause/core';
import { bytesHash } from '@pause/core/notebook';
import { allUsual, at, followChecks, guide } from '../../core/test/finds';
import { AUTH_PATHS } from '../src/accounts';
import { routes, type Services } from '../src/http/routes';
import { startServer, type RunningServer } from '../src/start';
import { freshDatabase } from './database';
import { demoCookie, PASSWORD, signIn, someone, type Someone } from './people';

type Json = Record<string, unknown>;
const ACTORS = ['nobody', 'stranger', 'former', 'young', 'member', 'keeper'] as const;
type ActorName = (typeof ACTORS)[number];
type People = Record<Exclude<ActorName, 'nobody'>, Someone>;

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
let people: People;
let group = '';
const PLACE = 'Behind the weir at Karrow';

async function ask(
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
const push = (as: ActorName, entries: readonly unknown[]) => ask(as, 'POST', '/sync/push', { entries });
const entry = (find: string, kind: string, body: Json) => ({
  find,
  kind,
  body: { id: randomUUID(), at: at(5), ...body },
});
/** Something of the group’s name or rules, as its keeper tells it. */
const rule = (field: string, value: unknown) => ({
  page: group,
  kind: 'fields',
  body: { id: randomUUID(), at: at(5), by: people.keeper.id, of: 'group', field, value },
});
const idOf = (as: ActorName) => (as === 'nobody' ? '' : people[as].id);

/** A find with a piece, a target, all readings, and a place that is nobody else's business. */
async function find(
  as: Exclude<ActorName, 'nobody'>,
  inGroup: boolean,
): Promise<{ find: string; piece: string; reading: string; verdict: string }> {
  const [id, piece, reading] = [randomUUID(), randomUUID(), randomUUID()];
  const by = idOf(as);
  const told = await push(as, [
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
  expect((told.body.results as Json[]).map((r) => r.status)).not.toContain('refused');
  const kept = entry(id, 'verdicts', { verdict: decide(guide, followChecks('cantharellus-cibarius')) });
  expect((await push(as, [kept])).body.results).toEqual([expect.objectContaining({ status: 'added' })]);
  return { find: id, piece, reading, verdict: String((kept.body as Json).id) };
}

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

/** Of whom a route is asked, and with what; then who may, and what the others hear. */
interface Row {
  readonly of: string;
  readonly ask: (
    as: ActorName,
  ) => Promise<{ path: string; body?: unknown }> | { path: string; body?: unknown };
  readonly may: readonly ActorName[];
  readonly others: Partial<Record<ActorName, number>>;
}
const EVERYBODY = ACTORS;
const SIGNED_IN: readonly ActorName[] = ['stranger', 'former', 'young', 'member', 'keeper'];
const IN_GROUP: readonly ActorName[] = ['young', 'member', 'keeper'];
const NOT_THERE = { nobody: 401, stranger: 404, former: 404 } as const;

const open = (path: string, body?: unknown): Row[] => [
  {
    of: 'anything',
    ask: () => ({ path, ...(body === undefined ? {} : { body }) }),
    may: EVERYBODY,
    others: {},
  },
];
const person = (path: string, body?: (as: ActorName) => unknown): Row[] => [
  {
    of: 'oneself',
    ask: (as) => ({ path, ...(body ? { body: body(as) } : {}) }),
    may: SIGNED_IN,
    others: { nobody: 401 },
  },
];
/** Of a find in the group's notebook, and of one in a member's own. */
const reader = (
  path: (find: string) => string,
  body?: (as: ActorName, of: Awaited<ReturnType<typeof find>>) => unknown,
): Row[] =>
  ([true, false] as const).map((shared) => ({
    of: shared ? 'a find of the group' : 'a find of the member’s own',
    ask: async (as) => {
      const of = await find('member', shared);
      return { path: path(of.find), ...(body ? { body: body(as, of) } : {}) };
    },
    may: shared ? IN_GROUP : ['member'],
    others: shared ? NOT_THERE : { ...NOT_THERE, young: 404, keeper: 404 },
  }));
const segment = (marker: number, content: Buffer) =>
  Buffer.concat([
    Buffer.from([0xff, marker, (content.length + 2) >> 8, (content.length + 2) & 255]),
    content,
  ]);
const jpeg = (...segments: readonly Buffer[]) =>
  Buffer.concat([Buffer.from([0xff, 0xd8]), ...segments, Buffer.from([0xff, 0xd9])]);
const JFIF = segment(0xe0, Buffer.from('JFIF\0\x01\x01\0\0\x01\0\x01\0\0', 'latin1'));
/**
 * A photo of nothing, as a browser draws one, and one as a camera writes it: with its make, as Exif has it.
 */
const BYTES = jpeg(JFIF, segment(0xfe, Buffer.alloc(30)));
const CAMERA = jpeg(
  JFIF,
  segment(
    0xe1,
    Buffer.concat([
      Buffer.from('Exif\0\0MM\0*\0\0\0\x08\0\x01\x01\x0f\0\x02\0\0\0\x04Cam\0\0\0\0\0', 'latin1'),
    ]),
  ),
);
/** A picture that a member told of a find of the group; with `sent`, its bytes too. */
async function pictured(sent = false, bytes = BYTES): Promise<{ id: string; find: string }> {
  const { find: of } = await find('member', true);
  const told = entry(of, 'pictures', {
    by: idOf('member'),
    picture: 'photo',
    type: 'image/jpeg',
    size: bytes.length,
    content: bytesHash(bytes),
  });
  expect(((await push('member', [told])).body.results as Json[])[0]?.status).toBe('added');
  const { id } = told.body as { id: string };
  if (sent) expect((await ask('member', 'PUT', `/pictures/${id}?from=0`, BYTES)).status).toBe(200);
  return { id, find: of };
}
const viewer = (path: (id: string) => string, sent = false): Row[] => [
  {
    of: 'a picture in the group',
    ask: async () => ({ path: path((await pictured(sent)).id) }),
    may: IN_GROUP,
    others: NOT_THERE,
  },
];
const member = (path: () => string): Row[] => [
  { of: 'the group', ask: () => ({ path: path() }), may: IN_GROUP, others: NOT_THERE },
];
const keeper = (path: () => string, body: () => unknown): Row[] => [
  {
    of: 'the group',
    ask: () => ({ path: path(), body: body() }),
    may: ['keeper'],
    others: { ...NOT_THERE, young: 403, member: 403 },
  },
];
const addTo = (kind: string, body: (as: ActorName, of: Awaited<ReturnType<typeof find>>) => Json) =>
  reader(
    (id) => `/finds/${id}/${kind}`,
    (as, of) => ({ id: randomUUID(), at: at(60), ...body(as, of) }),
  );

const TABLE: Readonly<Record<string, readonly Row[]>> = {
  'get /health': open('/health'),
  'get /ready': open('/ready'),
  'get /openapi.json': open('/openapi.json'),
  'get /schemas/:name': open('/schemas/guide'),
  'get /guides/:version': [
    {
      of: 'anything',
      ask: async () => ({
        path: `/guides/${String(((await ask('nobody', 'GET', '/health')).body.guide as Json).version)}`,
      }),
      may: EVERYBODY,
      others: {},
    },
  ],
  ...Object.fromEntries(
    ['decide', 'next', 'plan', 'pieces', 'identify', 'recompute', 'lint', 'stack'].map((asked) => [
      `post /${asked}`,
      open(`/${asked}`, {}),
    ]),
  ),
  'get /me': person('/me'),
  'get /me/export': person('/me/export'),
  'get /me/sessions': person('/me/sessions'),
  'delete /me/sessions/:session': [
    {
      of: 'a session that is nobody’s',
      ask: () => ({ path: '/me/sessions/none' }),
      may: [],
      others: { ...NOT_THERE, young: 404, member: 404, keeper: 404 },
    },
  ],
  'delete /me': person('/me', () => ({ name: 'not the name' })),
  'post /sync/push': person('/sync/push', () => ({ entries: [{}] })),
  'get /sync/pull': [
    {
      of: 'the group’s notebook',
      ask: () => ({ path: `/sync/pull?stream=g:${group}` }),
      may: IN_GROUP,
      others: NOT_THERE,
    },
    {
      of: 'the member’s notebook',
      ask: () => ({ path: `/sync/pull?stream=p:${idOf('member')}` }),
      may: ['member'],
      others: { ...NOT_THERE, young: 404, keeper: 404 },
    },
  ],
  'get /sync/events': person('/sync/events'),
  'get /recalls': person('/recalls'),
  'get /finds': person('/finds'),
  'get /finds/:find': reader((id) => `/finds/${id}`),
  'post /finds': person('/finds', (as) => ({
    id: randomUUID(),
    startedAt: at(0),
    kingdom: 'Fungi',
    person: idOf(as),
  })),
  'post /finds/:find/pieces': addTo('pieces', () => ({ purpose: 'compare' })),
  'post /finds/:find/targets': addTo('targets', () => ({ taxon: 'boletus-edulis' })),
  'post /finds/:find/contexts': addTo('contexts', () => ({
    context: { part: 'fruiting-body' },
    changed: ['part'],
  })),
  'post /finds/:find/readings': addTo('readings', (as, { piece }) => ({
    piece,
    character: 'cap.shape',
    value: { kind: 'cant-tell' },
    sureness: 'sure',
    by: idOf(as),
  })),
  'post /finds/:find/withdrawals': addTo('withdrawals', (_, { reading }) => ({ reading })),
  'post /finds/:find/skips': addTo('skips', (_, { piece }) => ({ piece, character: 'cap.shape' })),
  'post /finds/:find/verdicts': addTo('verdicts', () => ({ verdict: {} })),
  'post /finds/:find/consents': addTo('consents', (as, { verdict }) => ({ verdict, by: idOf(as) })),
  'post /finds/:find/decisions': addTo('decisions', (as, { verdict }) => ({
    verdict,
    choice: 'leave',
    by: idOf(as),
  })),
  'post /finds/:find/asks': addTo('asks', (as, { piece }) => ({
    by: idOf(as),
    of: idOf('former'),
    here: true,
    piece,
    characters: ['cap.shape'],
  })),
  'post /finds/:find/reveals': addTo('reveals', (as) => ({ by: idOf(as) })),
  'post /finds/:find/edits': addTo('edits', (as) => ({ field: 'note', value: 'Damp.', by: idOf(as) })),
  'post /finds/:find/pictures': addTo('pictures', (as) => ({
    by: idOf(as),
    picture: 'photo',
    type: 'image/jpeg',
    size: 5,
    content: 'a'.repeat(64),
  })),
  'post /finds/:find/counts': addTo('counts', (as) => ({ by: idOf(as), result: 'passed' })),
  'post /finds/:find/drops': addTo('drops', (as) => ({ by: idOf(as), picture: 'none' })),
  'get /pictures/:picture': viewer((id) => `/pictures/${id}`, true),
  'get /pictures/:picture/received': viewer((id) => `/pictures/${id}/received`),
  'put /pictures/:picture': [
    {
      of: 'a member’s picture in the group',
      ask: async () => ({ path: `/pictures/${(await pictured()).id}?from=0`, body: new Uint8Array([1, 2]) }),
      may: ['member'],
      others: { ...NOT_THERE, young: 403, keeper: 403 },
    },
  ],
  'post /groups': person('/groups', () => ({ id: randomUUID(), name: 'Another' })),
  'get /groups/:group': member(() => `/groups/${group}`),
  'get /groups/:group/confusion': keeper(
    () => `/groups/${group}/confusion`,
    () => undefined,
  ),
  'post /groups/:group/invitations': keeper(
    () => `/groups/${group}/invitations`,
    () => ({ role: 'member', days: 2 }),
  ),
  'get /groups/:group/invitations': keeper(
    () => `/groups/${group}/invitations`,
    () => undefined,
  ),
  'delete /groups/:group/invitations/:invitation': [
    {
      of: 'an invitation that nobody made',
      ask: () => ({ path: `/groups/${group}/invitations/0123456789abcdef` }),
      may: [],
      others: { ...NOT_THERE, young: 403, member: 403, keeper: 404 },
    },
  ],
  'post /groups/:group/reviews': keeper(
    () => `/groups/${group}/reviews`,
    () => ({ taxon: 'boletus-edulis', content: taxonContent(guide.taxon('boletus-edulis')!) }),
  ),
  'delete /groups/:group/reviews/:taxon': [
    {
      of: 'a taxon that nobody signed',
      ask: () => ({ path: `/groups/${group}/reviews/hydnum-repandum` }),
      may: [],
      others: { ...NOT_THERE, young: 403, member: 403, keeper: 404 },
    },
  ],
  'post /invitations/accept': person('/invitations/accept', () => ({ code: 'AAAAA-AAAAA' })),
  'patch /groups/:group/members/:person': keeper(
    () => `/groups/${group}/members/${idOf('member')}`,
    () => ({ role: 'member' }),
  ),
  'delete /groups/:group/members/:person': [
    {
      of: 'another member',
      ask: () => ({ path: `/groups/${group}/members/${randomUUID()}` }),
      may: [],
      others: { ...NOT_THERE, young: 403, member: 403, keeper: 404 },
    },
  ],
};

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
    const { status, body: said } = await ask(as, (route.split(' ')[0] ?? '').toUpperCase(), path, body);
    if (row.may.includes(as)) expect([401, 403, 404]).not.toContain(status);
    else {
      expect(status).toBe(row.others[as]);
      expect(JSON.stringify(said)).not.toContain(PLACE);
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

describe('what can be told of a find of the group', () => {
  const refusedField = (body: Json) =>
    (((body.results as Json[])[0]?.problem as Json | undefined)?.errors as Json[] | undefined)?.[0]?.field;
  type Told = [string, ActorName, (of: Awaited<ReturnType<typeof find>>) => unknown, string | undefined];
  test.each<Told>([
    [
      'a reading in one’s own name',
      'young',
      ({ find: id, piece }) =>
        entry(id, 'readings', {
          piece,
          character: 'cap.shape',
          value: { kind: 'cant-tell' },
          sureness: 'sure',
          by: idOf('young'),
        }),
      undefined,
    ],
    [
      'a reading in somebody else’s name',
      'keeper',
      ({ find: id, piece }) =>
        entry(id, 'readings', {
          piece,
          character: 'cap.shape',
          value: { kind: 'cant-tell' },
          sureness: 'sure',
          by: idOf('member'),
        }),
      'by',
    ],
    [
      'taking back one’s own reading',
      'member',
      ({ find: id, reading }) => entry(id, 'withdrawals', { reading }),
      undefined,
    ],
    [
      'taking back somebody else’s reading',
      'keeper',
      ({ find: id, reading }) => entry(id, 'withdrawals', { reading }),
      'reading',
    ],
    [
      'a decision in somebody else’s name',
      'keeper',
      ({ find: id, verdict }) => entry(id, 'decisions', { verdict, choice: 'leave', by: idOf('member') }),
      'by',
    ],
    [
      'a young member collects',
      'young',
      ({ find: id, verdict }) => entry(id, 'decisions', { verdict, choice: 'collect', by: idOf('young') }),
      'choice',
    ],
    [
      'a young member walks away',
      'young',
      ({ find: id, verdict }) => entry(id, 'decisions', { verdict, choice: 'leave', by: idOf('young') }),
      undefined,
    ],
    [
      'a young member agrees',
      'young',
      ({ find: id, verdict }) => entry(id, 'consents', { verdict, by: idOf('young') }),
      'by',
    ],
    [
      'the finder tells the place',
      'member',
      ({ find: id }) => entry(id, 'edits', { field: 'placeNote', value: 'Here', by: idOf('member') }),
      undefined,
    ],
    [
      'somebody else tells the place',
      'keeper',
      ({ find: id }) => entry(id, 'edits', { field: 'placeNote', value: 'Here', by: idOf('keeper') }),
      'field',
    ],
    [
      'somebody else tells more people',
      'keeper',
      ({ find: id }) => entry(id, 'edits', { field: 'exactFor', value: 'group', by: idOf('keeper') }),
      'field',
    ],
    [
      'asking another one of the group',
      'member',
      ({ find: id, piece }) =>
        entry(id, 'asks', {
          by: idOf('member'),
          of: idOf('keeper'),
          here: false,
          piece,
          characters: ['cap.shape'],
        }),
      undefined,
    ],
    [
      'asking a stranger from afar',
      'member',
      ({ find: id, piece }) =>
        entry(id, 'asks', {
          by: idOf('member'),
          of: idOf('stranger'),
          here: false,
          piece,
          characters: ['cap.shape'],
        }),
      'of',
    ],
    [
      'asking oneself',
      'member',
      ({ find: id, piece }) =>
        entry(id, 'asks', {
          by: idOf('member'),
          of: idOf('member'),
          here: true,
          piece,
          characters: ['cap.shape'],
        }),
      'of',
    ],
    [
      'asking about what the guide does not have',
      'member',
      ({ find: id, piece }) =>
        entry(id, 'asks', {
          by: idOf('member'),
          of: idOf('keeper'),
          here: false,
          piece,
          characters: ['cap.sheen'],
        }),
      'characters[0]',
    ],
    [
      'a blind reading by the finder',
      'member',
      ({ find: id, piece }) =>
        entry(id, 'readings', {
          piece,
          character: 'cap.shape',
          value: { kind: 'cant-tell' },
          sureness: 'sure',
          by: idOf('member'),
          blind: true,
        }),
      'blind',
    ],
    [
      'a blind reading by another',
      'keeper',
      ({ find: id, piece }) =>
        entry(id, 'readings', {
          piece,
          character: 'cap.shape',
          value: { kind: 'cant-tell' },
          sureness: 'sure',
          by: idOf('keeper'),
          blind: true,
        }),
      undefined,
    ],
    [
      'a find under somebody else’s name',
      'keeper',
      () => {
        const id = randomUUID();
        return {
          find: id,
          kind: 'finds',
          body: { id, startedAt: at(0), kingdom: 'Fungi', person: idOf('member') },
        };
      },
      'person',
    ],
    [
      'a find in the notebook of a group that one left',
      'former',
      () => {
        const id = randomUUID();
        return {
          find: id,
          kind: 'finds',
          body: { id, startedAt: at(0), kingdom: 'Fungi', person: idOf('former'), group },
        };
      },
      'group',
    ],
  ])('%s', async (_, as, told, field) => {
    const { body } = await push(as, [told(await find('member', true))]);
    expect([(body.results as Json[])[0]?.status, refusedField(body)]).toEqual(
      field === undefined ? ['added', undefined] : ['refused', field],
    );
  });

  test('face to face the second person’s answers are told on the finder’s device; after a look at the first ones nothing is blind any more', async () => {
    const { find: id, piece } = await find('member', true);
    const blind = (by: string) =>
      entry(id, 'readings', {
        piece,
        character: 'cap.shape',
        value: { kind: 'cant-tell' },
        sureness: 'sure',
        by,
        blind: true,
      });
    const status = async (as: ActorName, told: unknown) =>
      ((await push(as, [told])).body.results as Json[])[0]?.status;
    expect(await status('member', blind('guest-of-member'))).toBe('refused');
    expect(
      await status(
        'member',
        entry(id, 'asks', {
          by: idOf('member'),
          of: 'guest-of-member',
          name: 'Ilse',
          here: true,
          piece,
          characters: ['cap.shape'],
        }),
      ),
    ).toBe('added');
    expect(await status('member', blind('guest-of-member'))).toBe('added');
    expect(await status('keeper', blind('guest-of-member'))).toBe('refused');
    expect(await status('keeper', entry(id, 'reveals', { by: idOf('keeper') }))).toBe('added');
    expect(await status('keeper', blind(idOf('keeper')))).toBe('refused');
  });

  test('a young member collects once an adult has agreed', async () => {
    const { find: id, verdict } = await find('young', true);
    const collect = () =>
      push('young', [entry(id, 'decisions', { verdict, choice: 'collect', by: idOf('young') })]);
    expect(((await collect()).body.results as Json[])[0]?.status).toBe('refused');
    await push('member', [entry(id, 'consents', { verdict, by: idOf('member') })]);
    expect(((await collect()).body.results as Json[])[0]?.status).toBe('added');
  });
});

describe('a place', () => {
  const position = { decimalLatitude: 46.512345, decimalLongitude: 12.198765 };
  const secrets = [PLACE, '46.512345', '12.198765'];
  /** Everything a person can read of a find, by whichever route. */
  async function everything(as: ActorName, id: string): Promise<string> {
    const texts = await Promise.all(
      [
        '/finds',
        `/finds/${id}`,
        `/sync/pull?stream=g:${group}&most=1000`,
        '/me/export',
        '/me',
        `/groups/${group}`,
      ].map(async (path) => (await ask(as, 'GET', path)).text),
    );
    return texts.join('\n');
  }
  const choose = (as: ActorName, id: string, field: string, value: unknown) =>
    push(as, [entry(id, 'edits', { field, value, by: idOf(as) })]);

  test.each<[string, unknown, ActorName[]]>([
    ['nobody else', undefined, ['member']],
    ['only the finder', 'finder', ['member']],
    ['the group', 'group', ['member', 'keeper', 'young']],
    ['one of the group', ['young'], ['member', 'young']],
  ])('chosen for %s: by no route is anybody else told', async (_, exactFor, knowing) => {
    const { find: id } = await find('member', true);
    const value = Array.isArray(exactFor) ? exactFor.map((as) => idOf(as as ActorName)) : exactFor;
    if (value !== undefined) await choose('member', id, 'exactFor', value);
    await choose('member', id, 'position', position);
    await choose('member', id, 'placeNote', `${PLACE} ${id}`);
    for (const as of ['member', 'keeper', 'young', 'former', 'stranger'] as const) {
      const read = await everything(as, id);
      expect([as, read.includes(`${PLACE} ${id}`)]).toEqual([as, knowing.includes(as)]);
    }
  });

  test('the square it lies in, where the finder chose that, and nothing nearer', async () => {
    const { find: id } = await find('member', true);
    await choose('member', id, 'position', position);
    // The seconds of a clock may show the same digits.
    expect((await ask('keeper', 'GET', `/finds/${id}`)).text).not.toMatch(/(?<!\d:)46\.5/);
    await choose('member', id, 'others', 'cell');
    const { text } = await ask('keeper', 'GET', `/finds/${id}`);
    expect(text).toContain('"decimalLatitude":46.55');
    for (const secret of secrets) expect(text).not.toContain(secret);
    // What is chosen later counts for what was told before, too.
    await choose('member', id, 'others', 'nothing');
    expect((await ask('keeper', 'GET', `/finds/${id}`)).text).not.toMatch(/(?<!\d:)46\.55/);
  });
});

describe('a picture', () => {
  const part = (id: string, from: number, to?: number, as: ActorName = 'member') =>
    ask(as, 'PUT', `/pictures/${id}?from=${from}`, BYTES.subarray(from, to));

  test('comes in parts, goes on where it broke off, and is there when all of it is', async () => {
    const { id } = await pictured();
    expect((await part(id, 0, 10)).body).toEqual({ received: 10, size: BYTES.length });
    expect((await part(id, 0, 10)).body).toEqual({ received: 10, size: BYTES.length });
    expect((await ask('keeper', 'GET', `/pictures/${id}`)).status).toBe(404);
    expect(await part(id, 20)).toMatchObject({
      status: 409,
      body: { received: 10, errors: [{ field: 'from' }] },
    });
    expect((await ask('member', 'GET', `/pictures/${id}/received`)).body).toEqual({
      received: 10,
      size: BYTES.length,
    });
    expect((await part(id, 10)).body).toEqual({ received: BYTES.length, size: BYTES.length });
    const got = await fetch(`${server.url}/api/v1/pictures/${id}`, {
      headers: { cookie: people.keeper.cookie },
    });
    expect([
      got.headers.get('content-type'),
      got.headers.get('content-security-policy'),
      got.headers.get('x-content-type-options'),
    ]).toEqual(['image/jpeg', expect.stringMatching(/sandbox/), 'nosniff']);
    expect(Buffer.from(await got.arrayBuffer()).equals(BYTES)).toBe(true);
  });

  test('is not taken where it is something else than was told, or holds what the camera wrote', async () => {
    const { id } = await pictured();
    expect(
      (await ask('member', 'PUT', `/pictures/${id}?from=0`, Buffer.alloc(BYTES.length, 7))).body,
    ).toEqual({ received: 0, size: BYTES.length });
    expect(
      (await ask('member', 'PUT', `/pictures/${id}?from=0`, Buffer.alloc(BYTES.length + 1))).status,
    ).toBe(422);
    const { id: taken } = await pictured(false, CAMERA);
    const cut = CAMERA.indexOf('if\0\0MM');
    // In parts that hide it, too.
    for (const parts of [
      [0, CAMERA.length],
      [0, cut, CAMERA.length],
    ]) {
      const answers = [];
      for (const [n, from] of parts.slice(0, -1).entries())
        answers.push(
          await ask('member', 'PUT', `/pictures/${taken}?from=${from}`, CAMERA.subarray(from, parts[n + 1])),
        );
      expect(answers.at(-1)).toMatchObject({
        status: 422,
        body: { errors: [{ field: 'body', reason: expect.stringMatching(/camera/) as string }] },
      });
      expect((await ask('member', 'GET', `/pictures/${taken}/received`)).body).toMatchObject({ received: 0 });
    }
    const text = Buffer.from('not really a photo, but bytes all the same');
    const { id: none } = await pictured(false, text);
    expect(await ask('member', 'PUT', `/pictures/${none}?from=0`, text)).toMatchObject({
      status: 422,
      body: { errors: [{ field: 'body', reason: 'it is no photo' }] },
    });
    expect((await ask('member', 'PUT', `/pictures/${id}?from=0`, { bytes: 1 })).status).toBe(415);
    expect((await ask('member', 'GET', `/pictures/${id}/received`)).body).toMatchObject({ received: 0 });
  });

  test('is taken out again only by whoever made it, and then by nobody seen', async () => {
    const { id, find: of } = await pictured(true);
    const drop = (as: ActorName) => push(as, [entry(of, 'drops', { by: idOf(as), picture: id })]);
    expect(((await drop('keeper')).body.results as Json[])[0]?.status).toBe('refused');
    expect((await ask('keeper', 'GET', `/pictures/${id}`)).status).toBe(200);
    expect(((await drop('member')).body.results as Json[])[0]?.status).toBe('added');
    expect((await ask('keeper', 'GET', `/pictures/${id}`)).status).toBe(404);
    expect((await ask('member', 'GET', `/pictures/${id}`)).status).toBe(404);
    expect(
      await database.db.selectFrom('picture_parts').select('at_byte').where('picture_id', '=', id).execute(),
    ).toEqual([]);
  });
});

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
    people = { ...people, stranger: gone };
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

describe('groups', () => {
  test('a code lets one person in, once', async () => {
    const [one, two] = [await someone(server.url, 'Una Ulm'), await someone(server.url, 'Duo Dahl')];
    const { code } = (await ask('keeper', 'POST', `/groups/${group}/invitations`, { role: 'young', days: 1 }))
      .body;
    const join = (who: Someone, text: unknown) =>
      fetch(`${server.url}/api/v1/invitations/accept`, {
        method: 'POST',
        headers: { cookie: who.cookie, 'content-type': 'application/json' },
        body: JSON.stringify({ code: text }),
      });
    // As it is read off a screen: small letters, no stroke.
    const joined = await join(one, String(code).toLowerCase().replace('-', ' '));
    expect(await joined.json()).toMatchObject({ id: group, role: 'young' });
    expect((await join(one, code)).status).toBe(200);
    expect((await join(two, code)).status).toBe(422);
    expect((await ask('keeper', 'DELETE', `/groups/${group}/members/${one.id}`)).status).toBe(204);
    expect(
      ((await ask('keeper', 'GET', `/groups/${group}`)).body.former as Json[]).map((p) => p.person),
    ).toContain(one.id);
  });

  test('somebody always keeps it: handing over, then leaving', async () => {
    const [first, second] = [await someone(server.url, 'First Fyr'), await someone(server.url, 'Second Siv')];
    const as = (who: Someone) => async (method: string, path: string, body?: unknown) =>
      await fetch(`${server.url}/api/v1${path}`, {
        method,
        headers: { cookie: who.cookie, 'content-type': 'application/json' },
        ...(body ? { body: JSON.stringify(body) } : {}),
      });
    const id = randomUUID();
    await as(first)('POST', '/groups', { id, name: 'Two' });
    const { code } = (await (
      await as(first)('POST', `/groups/${id}/invitations`, { role: 'member', days: 1 })
    ).json()) as { code: string };
    await as(second)('POST', '/invitations/accept', { code });
    expect((await as(first)('DELETE', `/groups/${id}/members/${first.id}`)).status).toBe(409);
    expect((await as(first)('PATCH', `/groups/${id}/members/${first.id}`, { role: 'member' })).status).toBe(
      409,
    );
    expect((await as(first)('PATCH', `/groups/${id}/members/${second.id}`, { role: 'keeper' })).status).toBe(
      200,
    );
    expect((await as(first)('DELETE', `/groups/${id}/members/${first.id}`)).status).toBe(204);
    expect((await as(first)('GET', `/groups/${id}`)).status).toBe(404);
    // The last one may go, and the group with its notebook stays as it is.
    expect((await as(second)('DELETE', `/groups/${id}/members/${second.id}`)).status).toBe(204);
  });
});

test('what a keeper signed counts for the group’s verdicts, is bound to what the guide says, and can be taken back', async () => {
  const content = (id: string) => taxonContent(guide.taxon(id)!);
  expect(
    await ask('keeper', 'POST', `/groups/${group}/reviews`, {
      taxon: 'hydnum-repandum',
      content: 'f'.repeat(64),
    }),
  ).toMatchObject({ status: 409, body: { errors: [{ field: 'content' }] } });
  expect(
    (
      await push('keeper', [
        rule('reviews', [{ taxon: 'hydnum-repandum', content: content('hydnum-repandum') }]),
      ])
    ).body.results,
  ).toMatchObject([{ status: 'refused', problem: { status: 422 } }]);
  const signed = await ask('keeper', 'POST', `/groups/${group}/reviews`, {
    taxon: 'hydnum-repandum',
    content: content('hydnum-repandum'),
    note: 'Read beside two floras.',
  });
  expect(signed.body).toMatchObject({
    policy: {
      reviews: expect.arrayContaining([
        { taxon: 'hydnum-repandum', content: content('hydnum-repandum') },
      ]) as unknown,
    },
  });
  expect((await ask('member', 'GET', `/groups/${group}`)).body.reviews).toContainEqual(
    expect.objectContaining({
      taxon: 'hydnum-repandum',
      by: idOf('keeper'),
      note: 'Read beside two floras.',
    }),
  );
  expect((await ask('keeper', 'DELETE', `/groups/${group}/reviews/hydnum-repandum`)).status).toBe(204);
  expect(JSON.stringify((await ask('keeper', 'GET', `/groups/${group}`)).body.reviews)).not.toContain(
    'hydnum',
  );
});

test('the simulated expert of the demo answers after a while, blind, once, and says that it is simulated', async () => {
  const cookie = await demoCookie(server.url);
  const as = async (method: string, path: string, body?: unknown) =>
    (
      await fetch(`${server.url}/api/v1${path}`, {
        method,
        headers: { cookie, 'content-type': 'application/json' },
        ...(body ? { body: JSON.stringify(body) } : {}),
      })
    ).json() as Promise<Json>;
  const ask = {
    find: 'demo-find-4',
    kind: 'asks',
    body: {
      id: randomUUID(),
      at: at(5),
      by: 'mirel',
      of: 'simulated-expert',
      here: false,
      piece: 'demo-find-4-p1',
      characters: ['leaf.arrangement', 'leaf.venation', 'leaf.base'],
    },
  };
  for (let twice = 0; twice < 2; twice += 1)
    expect(((await as('POST', '/sync/push', { entries: [ask] })).results as Json[])[0]?.status).toBe(
      twice === 0 ? 'added' : 'known',
    );
  const answers = async () =>
    ((await as('GET', '/finds/demo-find-4')).readings as Json[]).filter((r) => r.by === 'simulated-expert');
  for (let attempt = 0; attempt < 200 && (await answers()).length === 0; attempt += 1)
    await new Promise((resolve) => {
      setTimeout(resolve, 100);
    });
  await new Promise((resolve) => {
    setTimeout(resolve, 2500);
  });
  const told = await answers();
  expect(told.map((r) => [r.character, r.blind])).toEqual([
    ['leaf.arrangement', true],
    ['leaf.venation', true],
    ['leaf.base', true],
  ]);
  expect(told.every((r) => String(r.note).startsWith('Simulated'))).toBe(true);
}, 40_000);

test('the demo lets in without a password, and only where it is the demo', async () => {
  await expect(demoCookie(server.url)).resolves.toMatch(/^pause/);
  const plain = await freshDatabase('access_test_plain');
  const earnest = await startServer({ databaseUrl: plain.url, port: 0, demo: false, logLevel: 'silent' });
  await expect(demoCookie(earnest.url)).rejects.toThrow(/no session: 404/);
  await earnest.stop();
  await plain.close();
});
