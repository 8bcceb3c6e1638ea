import { randomUUID } from 'node:crypto';
import { taxonContent } from '@pause/core';
import { guide, at } from '../../../core/test/finds';
import { startServer } from '../../src/start';
import { freshDatabase } from '../database';
import { someone, type Someone, demoCookie } from '../people';
import { server, ask, group, type Json, push, rule, idOf, setUp } from './kit';

setUp();

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

test('a keeper’s signature counts for the group’s verdicts, as long as the guide says the same', async () => {
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
  const given = await answers();
  expect(given.map((r) => [r.character, r.blind])).toEqual([
    ['leaf.arrangement', true],
    ['leaf.venation', true],
    ['leaf.base', true],
  ]);
  expect(given.every((r) => String(r.note).startsWith('Simulated'))).toBe(true);
}, 40_000);
test('the demo lets in without a password, and only where it is the demo', async () => {
  await expect(demoCookie(server.url)).resolves.toMatch(/^pause/);
  const plain = await freshDatabase('access_test_plain');
  const earnest = await startServer({ databaseUrl: plain.url, port: 0, demo: false, logLevel: 'silent' });
  await expect(demoCookie(earnest.url)).rejects.toThrow(/no session: 404/);
  await earnest.stop();
  await plain.close();
});
