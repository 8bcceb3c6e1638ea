import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import * as stamps from '../../src/db/migrations/0007-stamps';
import {
  findAt,
  tell,
  mallory,
  target,
  ago,
  recordOf,
  database,
  MINUTE_MS,
  sound,
  ask,
  server,
  setUp,
} from './kit';

setUp();

const stampAt = (at: string) => `${at}-0000-phone`;
describe('a time that is none', () => {
  test('a stamp that tells no time is refused by its field, and keeps nothing else out', async () => {
    const { find, entry } = findAt();
    const none = [
      '9999-99-99T99:99:99.999Z-0000-x',
      '2026-02-31T08:00:00.000Z-0000-x',
      '1969-12-31T23:59:59.999Z-0000-x',
      '2100-01-01T00:00:00.000Z-0000-x',
    ];
    const answers = await tell(
      mallory,
      entry,
      ...none.map((stamp) => target(find, ago(50), { stamp })),
      target(find, ago(40), { stamp: stampAt(ago(40)) }),
    );
    expect(answers).toEqual(['added', ...none.map(() => '422 stamp'), 'added']);
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

  test('an entry dated ahead counts from its arrival, and loses to later ones; sent again, it is known', async () => {
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
  ])('%s is no time for anything', async (at) => {
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
  const answers = await tell(
    mallory,
    entry,
    piece,
    target(find, ago(58)),
    verdict({ junk: 'x' }),
    verdict({ reasons: [{ code: 'unheard-of', weight: 'note' }] }),
    verdict({ rows: [{ junk: 1 }] }),
    verdict({}),
  );
  expect(answers).toEqual([
    'added',
    'added',
    'added',
    '422 verdict',
    '422 verdict.reasons.0.code',
    '422 verdict.rows.0.taxon',
    'added',
  ]);
});
