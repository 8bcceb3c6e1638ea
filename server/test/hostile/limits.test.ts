import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { type Entry, type FindRecord, parseEntry } from '@pause/core/notebook';
import { guide } from '../../../core/test/finds';
import { actorOf } from '../../src/access';
import { push, recordsFor } from '../../src/notebook';
import { QUOTAS } from '../../src/notebook/quotas';
import { openReading } from '../../src/reading';
import { rowCounter } from '../database';
import { type Someone, someone, PASSWORD } from '../people';
import { mallory, ago, database, findAt, recordOf, server, ask, tell, sound, target, setUp } from './kit';

setUp();

describe('how much may be put on record', () => {
  const note = (find: string, by: Someone = mallory) => ({
    find,
    kind: 'edits',
    body: { id: randomUUID(), at: ago(5), by: by.id, field: 'note', value: 'Damp.' },
  });
  const parsed = (raw: unknown): Entry => {
    const parsed = parseEntry(raw);
    if (!('entry' in parsed)) throw new Error(JSON.stringify(parsed));
    return parsed.entry;
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

  test('one person’s entries of a find are limited in number and bytes; more are refused by field', async () => {
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

  test('one entry more reads no more of a find of thousands than of a new one', async () => {
    const [long, short] = [findAt(), findAt()];
    expect(await tell(mallory, long.entry, short.entry, note(long.find))).toEqual([
      'added',
      'added',
      'added',
    ]);
    const { db } = database;
    // As if they had been sent one by one.
    await sql`insert into entries (stream, seq, kind, id, find_id, person, stamp, body, content_hash, form)
      select e.stream, s.last + n, e.kind, e.id || '-' || n, e.find_id, e.person, e.stamp,
      jsonb_set(e.body, '{id}', to_jsonb(e.id || '-' || n)), 'x', 1
      from entries e join streams s on s.id = e.stream cross join generate_series(1, 6000) as n
      where e.find_id = ${long.find} and e.kind = 'edits'`.execute(db);
    await sql`update streams set last = last + 6000 where id = ${`p:${mallory.id}`}`.execute(db);
    await sql`update written set entries = entries + 6000 where of = ${`find ${long.find}`}`.execute(db);
    const rows = rowCounter();
    const readFor = async (find: string) => {
      const before = rows.read();
      const counted = push(
        database.db.withPlugin(rows.plugin),
        await actorOf(database.db, mallory.id),
        [parsed(note(find))],
        { guide, now: Date.now() },
      );
      expect((await counted).map(({ status }) => status)).toEqual(['added']);
      return rows.read() - before;
    };
    await readFor(short.find);
    expect(await readFor(long.find)).toBe(await readFor(short.find));
    expect((await recordOf(long.find)).edits.length).toBeGreaterThan(6000);
    // By somebody who may not know where it was, too.
    expect(
      (await recordsFor(database.db, [long.find], 'somebody-else')).get(long.find)?.edits.length,
    ).toBeGreaterThan(6000);
  });

  test('a find of thousands of entries is read in a thread, so that nobody else waits for it', async () => {
    const { find, entry } = findAt();
    expect(await tell(mallory, entry, note(find))).toEqual(['added', 'added']);
    const rows = rowCounter();
    const reading = openReading(database.url);
    const read = async () => {
      const before = rows.read();
      const json = await reading.find(
        database.db.withPlugin(rows.plugin),
        find,
        mallory.id,
        new AbortController().signal,
      );
      return { edits: (JSON.parse(json!) as FindRecord).edits.length, here: rows.read() - before };
    };
    // Here: how many entries there are, and each of them. In a thread: only how many there are.
    expect(await read()).toEqual({ edits: 1, here: 4 });
    await sql`update written set entries = 501 where of = ${`find ${find}`}`.execute(database.db);
    expect(await read()).toEqual({ edits: 1, here: 1 });
    await reading.stop();
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
