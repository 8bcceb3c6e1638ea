/** What a hostile member, a stranger and bad luck would do to a server, and what of it is refused. */
import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import type { FindRecord } from '@pause/core/notebook';
import * as stamps from '../src/db/migrations/0007-stamps';
import { startServer, type RunningServer } from '../src/start';
import { freshDatabase } from './database';
import { asking, PASSWORD, someone, type Someone } from './people';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
let mallory: Someone;
const { ask, tell } = asking(() => server.url);

beforeAll(async () => {
  database = await freshDatabase('hostile_test');
  server = await startServer({ databaseUrl: database.url, port: 0, demo: false, logLevel: 'silent' });
  mallory = await someone(server.url, 'Mallory');
});
afterAll(async () => {
  await server.stop();
  await database.close();
});

const MINUTE_MS = 60_000;
const ago = (minutes: number) => new Date(Date.now() - minutes * MINUTE_MS).toISOString();
const stampAt = (at: string) => `${at}-0000-phone`;
const findAt = (startedAt = ago(60)) => {
  const find = randomUUID();
  return { find, entry: { find, kind: 'finds', body: { id: find, startedAt, kingdom: 'Fungi', person: mallory.id } } };
};
const target = (find: string, at: string, more: object = {}) => ({ find, kind: 'targets', body: { id: randomUUID(), at, taxon: 'boletus-edulis' }, ...more });
const recordOf = async (find: string) => (await ask(mallory, 'GET', `/finds/${find}`)).body as unknown as FindRecord;

describe('a time that is none', () => {
  test('a stamp that tells no time is refused by its field, and keeps nothing else out', async () => {
    const { find, entry } = findAt();
    const none = ['9999-99-99T99:99:99.999Z-0000-x', '2026-02-31T08:00:00.000Z-0000-x', '1969-12-31T23:59:59.999Z-0000-x', '2100-01-01T00:00:00.000Z-0000-x'];
    const told = await tell(mallory, entry, ...none.map((stamp) => target(find, ago(50), { stamp })), target(find, ago(40), { stamp: stampAt(ago(40)) }));
    expect(told).toEqual(['added', ...none.map(() => '422 stamp'), 'added']);
    expect((await recordOf(find)).targets).toHaveLength(1);
  });

  test('what an earlier version let in no longer wins, and is no time any more', async () => {
    const { find, entry } = findAt();
    const poison = target(find, ago(30));
    expect(await tell(mallory, entry, poison)).toEqual(['added', 'added']);
    const { db } = database;
    await sql`alter table entries disable trigger entries_never_changed`.execute(db);
    await sql`update entries set stamp = '9999-99-99T99:99:99.999Z-0000-x' where id = ${poison.body.id}`.execute(db);
    await sql`alter table entries enable trigger entries_never_changed`.execute(db);
    const before = await sql<{ id: string; stamp: string }>`select id, stamp from entries where id <> ${poison.body.id} order by id`.execute(db);
    await stamps.up(db as never);
    const { stamp } = await db.selectFrom('entries').select('stamp').where('id', '=', poison.body.id).executeTakeFirstOrThrow();
    expect(Math.abs(Date.parse(stamp.slice(0, 24)) - Date.now())).toBeLessThan(MINUTE_MS);
    // Nothing else was touched, and nothing can be from here on.
    expect((await sql<{ id: string; stamp: string }>`select id, stamp from entries where id <> ${poison.body.id} order by id`.execute(db)).rows).toEqual(before.rows);
    await expect(sql`update entries set stamp = 'x' where id = ${poison.body.id}`.execute(db)).rejects.toThrow(/never changed/);
  });

  test('what is dated ahead was told when it arrived, and loses to what comes after it; sent again, it is known', async () => {
    const { find, entry } = findAt();
    const verdict = { find, kind: 'verdicts', body: { id: randomUUID(), at: ago(20), verdict: { outcome: 'pause', guide: (await ask(mallory, 'GET', '/health')).body.guide } } };
    const decided = (choice: string, at: string) => ({ find, kind: 'decisions', body: { id: randomUUID(), at, verdict: verdict.body.id, choice, by: mallory.id, ...(choice === 'collect' ? { reason: 'I want it' } : {}) }, stamp: stampAt(at) });
    const ahead = decided('collect', '2099-01-01T00:00:00.000Z');
    const piece = { find, kind: 'pieces', body: { id: randomUUID(), at: ago(59), purpose: 'decide' } };
    expect(await tell(mallory, entry, piece, target(find, ago(58)), verdict, ahead)).toEqual(['added', 'added', 'added', 'added', 'added']);
    const { body } = await ask(mallory, 'POST', '/sync/push', { entries: [ahead] });
    const [again] = body.results as { status: string; at?: string; stamp: string }[];
    expect([again?.status, Math.abs(Date.parse(again?.at ?? '') - Date.now()) < MINUTE_MS]).toEqual(['known', true]);
    // With another content under the same name it is still another thing.
    expect(await tell(mallory, { ...ahead, body: { ...ahead.body, choice: 'leave' } })).toEqual(['409 id']);
    expect(await tell(mallory, decided('leave', new Date().toISOString()))).toEqual(['added']);
    const { decisions } = await recordOf(find);
    expect(decisions.map(({ choice }) => choice)).toEqual(['collect', 'leave']);
    expect(Date.parse(decisions[0]?.at ?? '')).toBeLessThan(Date.now() + MINUTE_MS);
  });

  test.each(['0000-01-01T00:00:00.000Z', '1969-12-31T23:59:59.999Z', '2100-01-01T00:00:00.000Z', '9999-12-31T23:59:59.999Z'])('%s is no time to have told something', async (at) => {
    const [{ entry: there, find }, { entry }] = [findAt(), findAt(at)];
    expect(await tell(mallory, there, entry, target(find, at), target(find, ago(1)))).toEqual(['added', '422 startedAt', '422 at', 'added']);
  });
});

test('half a character in one entry keeps the others of the push in no one’s way', async () => {
  const { find, entry } = findAt();
  const note = (value: string) => ({ find, kind: 'edits', body: { id: randomUUID(), at: ago(5), by: mallory.id, field: 'note', value } });
  expect(await tell(mallory, entry, note('🍄'.slice(0, 1)), note('a\0b'), note('🍄'))).toEqual(['added', '422 body.value', '422 body.value', 'added']);
});

test('an entry is no larger than sixty-four kilobytes, and a page of them no longer than a megabyte', async () => {
  const { find, entry } = findAt();
  const { guide } = (await ask(mallory, 'GET', '/health')).body;
  const verdict = (junk: number) => ({ find, kind: 'verdicts', body: { id: randomUUID(), at: ago(9), verdict: { outcome: 'pause', guide, junk: 'x'.repeat(junk) } } });
  const piece = { find, kind: 'pieces', body: { id: randomUUID(), at: ago(59), purpose: 'decide' } };
  expect(await tell(mallory, entry, piece, target(find, ago(58)), verdict(70_000), verdict(60_000))).toEqual(['added', 'added', 'added', '422 body', 'added']);
  for (let n = 0; n < 4; n += 1) expect(new Set(await tell(mallory, ...Array.from({ length: 14 }, () => verdict(60_000))))).toEqual(new Set(['added']));
  const stream = `p:${mallory.id}`;
  let [after, pages, all, last] = [0, 0, 0, Infinity];
  while (after < last) {
    const response = await fetch(`${server.url}/api/v1/sync/pull?stream=${stream}&after=${after}&most=1000`, { headers: { cookie: mallory.cookie } });
    const text = await response.text();
    expect(text.length).toBeLessThan(1_200_000);
    const page = JSON.parse(text) as { entries: { seq: number }[]; last: number };
    expect(page.entries.map(({ seq }) => seq)).toEqual(page.entries.map((_, n) => after + n + 1));
    [after, pages, all, last] = [page.entries.at(-1)?.seq ?? Infinity, pages + 1, all + page.entries.length, page.last];
  }
  expect([after, all]).toEqual([last, last]);
  expect(pages).toBeGreaterThanOrEqual(4);
});

describe('the doors of accounts', () => {
  const knock = async (path: string, body: string, type = 'application/json') => {
    const response = await fetch(`${server.url}/api/v1/auth${path}`, { method: 'POST', headers: { 'content-type': type, origin: server.url }, body });
    return { status: response.status, text: await response.text() };
  };
  const NEW = { name: 'Someone', email: 'someone@ostrel.example', password: PASSWORD };

  test.each(['/sign-up/email', '/sign-in/email', '/change-password', '/sign-out', '/revoke-sessions'])('%s reads no more than sixteen kilobytes', async (path) => {
    expect((await knock(path, JSON.stringify({ ...NEW, name: 'x'.repeat(20_000) }))).status).toBe(413);
    expect((await knock(path, 'a=b', 'application/x-www-form-urlencoded')).status).toBe(415);
  });

  test('whoever signs out need send nothing', async () => {
    const guest = await someone(server.url, 'Guest Gast');
    const me = async () => (await fetch(`${server.url}/api/v1/me`, { headers: { cookie: guest.cookie } })).status;
    expect(await me()).toBe(200);
    expect((await fetch(`${server.url}/api/v1/auth/sign-out`, { method: 'POST', headers: { cookie: guest.cookie, origin: server.url } })).status).toBe(200);
    expect(await me()).toBe(401);
  });

  test('a long name, and what nobody asked for, are refused by their field, and nothing is stored', async () => {
    const accounts = async () => (await database.db.selectFrom('people').select('id').execute()).length;
    const before = await accounts();
    for (const [more, field] of [[{ name: 'x'.repeat(81) }, 'name'], [{ name: '  ' }, 'name'], [{ email: 'x'.repeat(255) }, 'email'], [{ role: 'keeper' }, 'role'], [{ image: 'https://elsewhere.example' }, 'image']] as const) {
      const { status, text } = await knock('/sign-up/email', JSON.stringify({ ...NEW, ...more }));
      expect([field, status, text.includes(field)]).toEqual([field, 422, true]);
    }
    expect(await accounts()).toBe(before);
    expect((await knock('/sign-up/email', JSON.stringify(NEW))).status).toBe(200);
  });
});
