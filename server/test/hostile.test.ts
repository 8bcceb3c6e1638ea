/** What a hostile member, a stranger and bad luck would do to a server, and what of it is refused. */
import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { decide } from '@pause/core';
import { parseEntry, type Entry, type FindRecord } from '@pause/core/notebook';
import { find as aFind, guide } from '../../core/test/finds';
import { actorOf } from '../src/access';
import * as stamps from '../src/db/migrations/0007-stamps';
import { push, recordsFor } from '../src/notebook';
import { QUOTAS } from '../src/notebook/quotas';
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
  return {
    find,
    entry: { find, kind: 'finds', body: { id: find, startedAt, kingdom: 'Fungi', person: mallory.id } },
  };
};
const target = (find: string, at: string, more: object = {}) => ({
  find,
  kind: 'targets',
  body: { id: randomUUID(), at, taxon: 'boletus-edulis' },
  ...more,
});
const sound = { ...decide(guide, aFind('boletus-edulis', [])), outcome: 'pause' };
const recordOf = async (find: string) =>
  (await ask(mallory, 'GET', `/finds/${find}`)).body as unknown as FindRecord;

describe('a time that is none', () => {
  test('a stamp that tells no time is refused by its field, and keeps nothing else out', async () => {
    const { find, entry } = findAt();
    const none = [
      '9999-99-99T99:99:99.999Z-0000-x',
      '2026-02-31T08:00:00.000Z-0000-x',
      '1969-12-31T23:59:59.999Z-0000-x',
      '2100-01-01T00:00:00.000Z-0000-x',
    ];
    const told = await tell(
      mallory,
      entry,
      ...none.map((stamp) => target(find, ago(50), { stamp })),
      target(find, ago(40), { stamp: stampAt(ago(40)) }),
    );
    expect(told).toEqual(['added', ...none.map(() => '422 stamp'), 'added']);
    expect((await recordOf(find)).targets).toHaveLength(1);
  });

  test('what an earlier version let in no longer wins, and is no time any more', async () => {
    const { find, entry } = findAt();
    const poison = target(find, ago(30));
    expect(await tell(mallory, entry, poison)).toEqual(['added', 'added']);
    const { db } = database;
    await sql`alter table entries disable trigger entries_never_changed`.execute(db);
    await sql`update entries set stamp = '9999-99-99T99:99:99.999Z-0000-x' where id = ${poison.body.id}`.execute(
      db,
    );
    await sql`alter table entries enable trigger entries_never_changed`.execute(db);
    const before = await sql<{
      id: string;
      stamp: string;
    }>`select id, stamp from entries where id <> ${poison.body.id} order by id`.execute(db);
    await stamps.up(db as never);
    const { stamp } = await db
      .selectFrom('entries')
      .select('stamp')
      .where('id', '=', poison.body.id)
      .executeTakeFirstOrThrow();
    expect(Math.abs(Date.parse(stamp.slice(0, 24)) - Date.now())).toBeLessThan(MINUTE_MS);
    // Nothing else was touched, and nothing can be from here on.
    expect(
      (
        await sql<{
          id: string;
          stamp: string;
        }>`select id, stamp from entries where id <> ${poison.body.id} order by id`.execute(db)
      ).rows,
    ).toEqual(before.rows);
    await expect(
      sql`update entries set stamp = 'x' where id = ${poison.body.id}`.execute(db),
    ).rejects.toThrow(/never changed/);
  });

  test('what is dated ahead was told when it arrived, and loses to what comes after it; sent again, it is known', async () => {
    const { find, entry } = findAt();
    const verdict = { find, kind: 'verdicts', body: { id: randomUUID(), at: ago(20), verdict: sound } };
    const decided = (choice: string, at: string) => ({
      find,
      kind: 'decisions',
      body: {
        id: randomUUID(),
        at,
        verdict: verdict.body.id,
        choice,
        by: mallory.id,
        ...(choice === 'collect' ? { reason: 'I want it' } : {}),
      },
      stamp: stampAt(at),
    });
    const ahead = decided('collect', '2099-01-01T00:00:00.000Z');
    const piece = { find, kind: 'pieces', body: { id: randomUUID(), at: ago(59), purpose: 'decide' } };
    expect(await tell(mallory, entry, piece, target(find, ago(58)), verdict, ahead)).toEqual([
      'added',
      'added',
      'added',
      'added',
      'added',
    ]);
    const { body } = await ask(mallory, 'POST', '/sync/push', { entries: [ahead] });
    const [again] = body.results as { status: string; at?: string; stamp: string }[];
    expect([again?.status, Math.abs(Date.parse(again?.at ?? '') - Date.now()) < MINUTE_MS]).toEqual([
      'known',
      true,
    ]);
    // With another content under the same name it is still another thing.
    expect(await tell(mallory, { ...ahead, body: { ...ahead.body, choice: 'leave' } })).toEqual(['409 id']);
    expect(await tell(mallory, decided('leave', new Date().toISOString()))).toEqual(['added']);
    const { decisions } = await recordOf(find);
    expect(decisions.map(({ choice }) => choice)).toEqual(['collect', 'leave']);
    expect(Date.parse(decisions[0]?.at ?? '')).toBeLessThan(Date.now() + MINUTE_MS);
  });

  test.each([
    '0000-01-01T00:00:00.000Z',
    '1969-12-31T23:59:59.999Z',
    '2100-01-01T00:00:00.000Z',
    '9999-12-31T23:59:59.999Z',
  ])('%s is no time to have told something', async (at) => {
    const [{ entry: there, find }, { entry }] = [findAt(), findAt(at)];
    expect(await tell(mallory, there, entry, target(find, at), target(find, ago(1)))).toEqual([
      'added',
      '422 startedAt',
      '422 at',
      'added',
    ]);
  });
});

test('half a character in one entry keeps the others of the push in no one’s way', async () => {
  const { find, entry } = findAt();
  const note = (value: string) => ({
    find,
    kind: 'edits',
    body: { id: randomUUID(), at: ago(5), by: mallory.id, field: 'note', value },
  });
  expect(await tell(mallory, entry, note('🍄'.slice(0, 1)), note('a\0b'), note('🍄'))).toEqual([
    'added',
    '422 body.value',
    '422 body.value',
    'added',
  ]);
});

test('an entry is no larger than sixty-four kilobytes, and a page of them no longer than a megabyte', async () => {
  const { find, entry } = findAt();
  const reason = { code: 'near-double', weight: 'leave', taxon: 'boletus-edulis', why: 'x'.repeat(1900) };
  const verdict = (size: number) => ({
    find,
    kind: 'verdicts',
    body: {
      id: randomUUID(),
      at: ago(9),
      verdict: { ...sound, rows: [], reasons: Array.from({ length: Math.ceil(size / 2000) }, () => reason) },
    },
  });
  const piece = { find, kind: 'pieces', body: { id: randomUUID(), at: ago(59), purpose: 'decide' } };
  expect(await tell(mallory, entry, piece, target(find, ago(58)), verdict(70_000), verdict(60_000))).toEqual([
    'added',
    'added',
    'added',
    '422 body',
    'added',
  ]);
  for (let n = 0; n < 4; n += 1)
    expect(new Set(await tell(mallory, ...Array.from({ length: 14 }, () => verdict(60_000))))).toEqual(
      new Set(['added']),
    );
  const stream = `p:${mallory.id}`;
  let [after, pages, all, last] = [0, 0, 0, Infinity];
  while (after < last) {
    const response = await fetch(`${server.url}/api/v1/sync/pull?stream=${stream}&after=${after}&most=1000`, {
      headers: { cookie: mallory.cookie },
    });
    const text = await response.text();
    expect(text.length).toBeLessThan(1_200_000);
    const page = JSON.parse(text) as { entries: { seq: number }[]; last: number };
    expect(page.entries.map(({ seq }) => seq)).toEqual(page.entries.map((_, n) => after + n + 1));
    [after, pages, all, last] = [
      page.entries.at(-1)?.seq ?? Infinity,
      pages + 1,
      all + page.entries.length,
      page.last,
    ];
  }
  expect([after, all]).toEqual([last, last]);
  expect(pages).toBeGreaterThanOrEqual(4);
});

test('a verdict with anything in it that is no part of one is refused, by its field', async () => {
  const { find, entry } = findAt();
  const piece = { find, kind: 'pieces', body: { id: randomUUID(), at: ago(59), purpose: 'decide' } };
  const verdict = (more: object) => ({
    find,
    kind: 'verdicts',
    body: { id: randomUUID(), at: ago(9), verdict: { ...sound, ...more } },
  });
  const told = await tell(
    mallory,
    entry,
    piece,
    target(find, ago(58)),
    verdict({ junk: 'x' }),
    verdict({ reasons: [{ code: 'unheard-of', weight: 'note' }] }),
    verdict({ rows: [{ junk: 1 }] }),
    verdict({}),
  );
  expect(told).toEqual([
    'added',
    'added',
    'added',
    '422 verdict',
    '422 verdict.reasons.0.code',
    '422 verdict.rows.0.taxon',
    'added',
  ]);
});

describe('how much may be put on record', () => {
  const note = (find: string, by: Someone = mallory) => ({
    find,
    kind: 'edits',
    body: { id: randomUUID(), at: ago(5), by: by.id, field: 'note', value: 'Damp.' },
  });
  const parsed = (raw: unknown): Entry => {
    const told = parseEntry(raw);
    if (!('entry' in told)) throw new Error(JSON.stringify(told));
    return told.entry;
  };
  const pushed = async (quotas: object, ...entries: unknown[]) =>
    (
      await push(database.db, await actorOf(database.db, mallory.id), entries.map(parsed), {
        guide,
        now: Date.now(),
        quotas: { ...QUOTAS, ...quotas },
      })
    ).map((one) =>
      one.status === 'refused' ? `${one.problem.status} ${one.problem.errors[0]?.field ?? ''}` : one.status,
    );

  test('of one find by one person: so many entries, and so many bytes; what comes after them is refused by field, and what was there before stays', async () => {
    const { find, entry } = findAt();
    expect(await pushed({ entries: 3 }, entry, note(find), note(find), note(find))).toEqual([
      'added',
      'added',
      'added',
      '422 find',
    ]);
    expect(await pushed({ entries: 3 }, note(find))).toEqual(['422 find']);
    expect(await pushed({}, note(find))).toEqual(['added']);
    expect(await pushed({ bytes: 700 }, note(find), note(find))).toEqual(['422 find', '422 find']);
    expect((await recordOf(find)).edits).toHaveLength(3);
  });

  test('by one person in all, and in one notebook', async () => {
    const { find, entry } = findAt();
    expect(await pushed({}, entry)).toEqual(['added']);
    expect(await pushed({ person: 100 }, note(find))).toEqual(['422 by']);
    expect(await pushed({ stream: 100 }, note(find))).toEqual(['422 group']);
  });

  test('what others tell of a find takes nothing from who began it', async () => {
    const victim = await someone(server.url, 'Vik Verrin');
    const group = randomUUID();
    expect((await ask(victim, 'POST', '/groups', { id: group, name: 'The Karrow walkers' })).status).toBe(
      201,
    );
    const { code } = (await ask(victim, 'POST', `/groups/${group}/invitations`, { role: 'member', days: 1 }))
      .body;
    expect((await ask(mallory, 'POST', '/invitations/accept', { code })).status).toBe(200);
    const find = randomUUID();
    const piece = () => ({
      find,
      kind: 'pieces',
      body: { id: randomUUID(), at: ago(50), purpose: 'compare' },
    });
    expect(
      await tell(victim, {
        find,
        kind: 'finds',
        body: { id: find, startedAt: ago(60), kingdom: 'Fungi', person: victim.id, group },
      }),
    ).toEqual(['added']);
    expect(await tell(mallory, ...Array.from({ length: 22 }, piece))).toEqual([
      ...Array.from({ length: 20 }, () => 'added'),
      '422 kind',
      '422 kind',
    ]);
    expect(await tell(victim, piece(), piece())).toEqual(['added', 'added']);
    // Put out of the group, and with a request that was already under way, mallory tells nothing more in it.
    const before = await actorOf(database.db, mallory.id);
    expect((await ask(victim, 'DELETE', `/groups/${group}/members/${mallory.id}`)).status).toBe(204);
    const late = await push(database.db, before, [parsed(note(find))], { guide, now: Date.now() });
    expect(late.map((one) => (one.status === 'refused' ? one.problem.status : one.status))).toEqual([404]);
  });

  test('a verdict on very many readings is worked out in a thread, and comes to the same', async () => {
    const { find, entry } = findAt();
    const piece = { find, kind: 'pieces', body: { id: randomUUID(), at: ago(59), purpose: 'decide' } };
    const readings = Array.from({ length: 70 }, () => ({
      find,
      kind: 'readings',
      body: {
        id: randomUUID(),
        piece: piece.body.id,
        character: 'smell',
        value: { kind: 'cant-tell' },
        sureness: 'sure',
        by: mallory.id,
        at: ago(30),
      },
    }));
    const verdict = () => ({
      find,
      kind: 'verdicts',
      body: { id: randomUUID(), at: ago(9), verdict: sound },
    });
    const arrivals: unknown[] = [];
    for (const entries of [
      [entry, piece, target(find, ago(58)), ...readings.slice(0, 60), verdict()],
      [...readings.slice(60), verdict()],
    ]) {
      const { body } = await ask(mallory, 'POST', '/sync/push', { entries });
      const results = body.results as { status: string; arrival?: { verdict: { reasons: unknown[] } } }[];
      expect(results.map(({ status }) => status)).toEqual(entries.map(() => 'added'));
      arrivals.push(results.at(-1)?.arrival?.verdict);
    }
    expect(arrivals[1]).toEqual(arrivals[0]);
    expect(arrivals[0]).toMatchObject({ outcome: 'pause', target: 'boletus-edulis' });
  });

  test('onto a find of thousands of entries one more costs about as much as onto a new one, and reading it holds nobody up for long', async () => {
    const [long, short] = [findAt(), findAt()];
    expect(await tell(mallory, long.entry, short.entry, note(long.find))).toEqual([
      'added',
      'added',
      'added',
    ]);
    const { db } = database;
    // As if they had been told one by one.
    await sql`insert into entries (stream, seq, kind, id, find_id, person, stamp, body, content_hash, form)
      select e.stream, s.last + n, e.kind, e.id || '-' || n, e.find_id, e.person, e.stamp, jsonb_set(e.body, '{id}', to_jsonb(e.id || '-' || n)), 'x', 1
      from entries e join streams s on s.id = e.stream cross join generate_series(1, 6000) as n where e.find_id = ${long.find} and e.kind = 'edits'`.execute(
      db,
    );
    await sql`update streams set last = last + 6000 where id = ${`p:${mallory.id}`}`.execute(db);
    await sql`update written set entries = entries + 6000 where of = ${`find ${long.find}`}`.execute(db);
    const took = async (find: string) => {
      const times: number[] = [];
      for (let n = 0; n < 9; n += 1) {
        const began = performance.now();
        expect(await tell(mallory, note(find))).toEqual(['added']);
        times.push(performance.now() - began);
      }
      return times.sort((a, b) => a - b)[4] ?? 0;
    };
    await took(short.find);
    expect(await took(long.find)).toBeLessThan(3 * (await took(short.find)));
    // By somebody who is not told where it was, too.
    const began = performance.now();
    expect(
      (await recordsFor(database.db, [long.find], 'somebody-else')).get(long.find)?.edits.length,
    ).toBeGreaterThan(6000);
    expect(performance.now() - began).toBeLessThan(2500);
    const reading = recordOf(long.find);
    let longest = 0;
    for (let open = true; open;) {
      const began = performance.now();
      expect((await fetch(`${server.url}/api/v1/health`)).status).toBe(200);
      longest = Math.max(longest, performance.now() - began);
      open = await Promise.race([
        reading.then(() => false),
        new Promise<boolean>((resolve) => {
          setTimeout(() => resolve(true), 20);
        }),
      ]);
    }
    expect((await reading).edits.length).toBeGreaterThan(6000);
    // It is folded and written out in a thread; where it was done here, others waited for a second.
    expect(longest).toBeLessThan(500);
  });
});

describe('the doors of accounts', () => {
  const knock = async (path: string, body: string, type = 'application/json') => {
    const response = await fetch(`${server.url}/api/v1/auth${path}`, {
      method: 'POST',
      headers: { 'content-type': type, origin: server.url },
      body,
    });
    return { status: response.status, text: await response.text() };
  };
  const NEW = { name: 'Someone', email: 'someone@ostrel.example', password: PASSWORD };

  test.each(['/sign-up/email', '/sign-in/email', '/change-password', '/sign-out', '/revoke-sessions'])(
    '%s reads no more than sixteen kilobytes',
    async (path) => {
      expect((await knock(path, JSON.stringify({ ...NEW, name: 'x'.repeat(20_000) }))).status).toBe(413);
      expect((await knock(path, 'a=b', 'application/x-www-form-urlencoded')).status).toBe(415);
    },
  );

  test('whoever signs out need send nothing', async () => {
    const guest = await someone(server.url, 'Guest Gast');
    const me = async () =>
      (await fetch(`${server.url}/api/v1/me`, { headers: { cookie: guest.cookie } })).status;
    expect(await me()).toBe(200);
    expect(
      (
        await fetch(`${server.url}/api/v1/auth/sign-out`, {
          method: 'POST',
          headers: { cookie: guest.cookie, origin: server.url },
        })
      ).status,
    ).toBe(200);
    expect(await me()).toBe(401);
  });

  test('a long name, and what nobody asked for, are refused by their field, and nothing is stored', async () => {
    const accounts = async () => (await database.db.selectFrom('people').select('id').execute()).length;
    const before = await accounts();
    for (const [more, field] of [
      [{ name: 'x'.repeat(81) }, 'name'],
      [{ name: '  ' }, 'name'],
      [{ email: 'x'.repeat(255) }, 'email'],
      [{ role: 'keeper' }, 'role'],
      [{ image: 'https://elsewhere.example' }, 'image'],
    ] as const) {
      const { status, text } = await knock('/sign-up/email', JSON.stringify({ ...NEW, ...more }));
      expect([field, status, text.includes(field)]).toEqual([field, 422, true]);
    }
    expect(await accounts()).toBe(before);
    expect((await knock('/sign-up/email', JSON.stringify(NEW))).status).toBe(200);
  });
});
