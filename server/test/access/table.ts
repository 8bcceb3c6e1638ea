import { randomUUID } from 'node:crypto';
import { taxonContent } from '@pause/core';
import { at, guide } from '../../../core/test/finds';
import {
  ACTORS,
  type ActorName,
  type Row,
  find,
  IN_GROUP,
  NOT_THERE,
  pictured,
  type Json,
  ask,
  group,
  idOf,
  member,
  keeper,
} from './kit';

/** Who may ask what: a row for each route, and what everybody else is answered. */

const EVERYBODY = ACTORS;
const SIGNED_IN: readonly ActorName[] = ['stranger', 'former', 'young', 'member', 'keeper'];
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
const viewer = (path: (id: string) => string, sent = false): Row[] => [
  {
    of: 'a picture in the group',
    ask: async () => ({ path: path((await pictured(sent)).id) }),
    may: IN_GROUP,
    others: NOT_THERE,
  },
];
const addTo = (kind: string, body: (as: ActorName, of: Awaited<ReturnType<typeof find>>) => Json) =>
  reader(
    (id) => `/finds/${id}/${kind}`,
    (as, of) => ({ id: randomUUID(), at: at(60), ...body(as, of) }),
  );
export const TABLE: Readonly<Record<string, readonly Row[]>> = {
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
