/** What is taken of a server's answers, and what is not. */
import { Away, Refused } from '../src/notebook/api';
import { http } from '../src/notebook/http';

// This page has no clock for requests; a browser has.
Object.assign(AbortSignal, { timeout: () => new AbortController().signal });

const json = (status: number, body: unknown) =>
  ({
    ok: status < 400,
    status,
    text: () => Promise.resolve(typeof body === 'string' ? body : JSON.stringify(body)),
    blob: () => Promise.resolve('bytes'),
  }) as unknown as Response;
const answering = (response: Response | Error) =>
  http(() => (response instanceof Error ? Promise.reject(response) : Promise.resolve(response)));
const ME = {
  id: 'mirel',
  name: 'Mirel',
  demo: true,
  now: '2026-09-14T07:40:00.000Z',
  guide: { id: 'ostrel', version: 'x' },
  groups: [],
  streams: [{ id: 'p:mirel', last: 3 }],
};
const entry = (seq: number, more: object = {}) => ({
  seq,
  find: 'find-one-1',
  kind: 'pieces',
  stamp: '2026-09-14T08:00:00.000Z-0000-tollar',
  body: { id: `piece-${seq}`, at: '2026-09-14T08:00:00.000Z', purpose: 'decide' },
  ...more,
});

test('who it is comes as it was said', async () => {
  expect(await answering(json(200, ME)).me()).toEqual(ME);
});

test.each<[string, Response | Error]>([
  ['no connection', new TypeError('fetch failed')],
  ['no JSON', json(200, '<html>')],
  ['something else', json(200, { id: 7 })],
  ['a group without members', json(200, { ...ME, groups: [{ id: 'g' }] })],
  [
    'a server that cannot work just now',
    json(503, {
      type: 'urn:pause:problem:database-away',
      title: 'The database does not answer.',
      status: 503,
    }),
  ],
  ['too often', json(429, { type: 'urn:pause:problem:too-often', title: 'Too often.', status: 429 })],
])('%s: tried again later, and nothing of it is believed', async (_, response) => {
  await expect(answering(response).me()).rejects.toBeInstanceOf(Away);
});

test.each<[string, Response, object]>([
  [
    'nobody signed in',
    json(401, { type: 'urn:pause:problem:not-signed-in', title: 'Sign in first.', status: 401 }),
    { status: 401, code: 'not-signed-in', message: 'Sign in first.' },
  ],
  [
    'a field that is wrong',
    json(422, {
      type: 'urn:pause:problem:invalid',
      title: 'code: no',
      status: 422,
      errors: [{ field: 'code', reason: 'no' }],
    }),
    { status: 422, errors: [{ field: 'code', reason: 'no' }] },
  ],
  [
    'the library for accounts',
    json(400, { message: 'Password too short' }),
    { status: 400, message: 'Password too short' },
  ],
  ['no reason at all', json(418, ''), { status: 418, message: 'The server answered 418.' }],
])('%s: refused, with its reason', async (_, response, problem) => {
  const refused = await answering(response)
    .ask('POST', '/anything', {})
    .catch((error: unknown) => error);
  expect(refused).toBeInstanceOf(Refused);
  expect(refused).toMatchObject(problem);
});

test('of what others recorded everything is taken up to the first that this Pause cannot read', async () => {
  const page = await answering(
    json(200, {
      stream: 'p:mirel',
      last: 4,
      entries: [entry(1, { number: 9 }), entry(2), entry(3, { kind: 'songs' }), entry(4)],
    }),
  ).pull('p:mirel', 0);
  expect(page).toMatchObject({
    last: 4,
    newer: true,
    entries: [{ seq: 1, number: 9, entry: { kind: 'pieces', body: { id: 'piece-1' } } }, { seq: 2 }],
  });
  expect(page.entries).toHaveLength(2);
});

test('what was sent has an answer each, or none of it counts', async () => {
  const sent = [entry(1), entry(2)].map(({ seq: _, ...one }) => one) as never[];
  const added = { status: 'added', stream: 'p:mirel', seq: 1, stamp: '2026-09-14T08:00:00.000Z-0000-tollar' };
  const refused = {
    status: 'refused',
    problem: { type: 'urn:pause:problem:invalid', title: 'body.purpose: no', status: 422 },
  };
  expect(await answering(json(200, { results: [added, refused] })).push(sent)).toMatchObject([
    { status: 'arrived', seq: 1 },
    { status: 'refused', reason: 'body.purpose: no' },
  ]);
  await expect(answering(json(200, { results: [added] })).push(sent)).rejects.toBeInstanceOf(Away);
});

test('a picture on its way is none yet', async () => {
  await expect(answering(json(404, {})).picture('one')).rejects.toMatchObject({ status: 404 });
  expect(await answering(json(200, {})).picture('one')).toBe('bytes');
  expect(await answering(json(200, { received: 5, size: 9 })).received('one')).toEqual({
    received: 5,
    size: 9,
  });
});
