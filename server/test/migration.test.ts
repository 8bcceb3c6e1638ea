/** A notebook of the time before accounts and groups is taken over whole. */
import { Migrator, sql } from 'kysely';
import { caseOf, contentHash, decide, type FindRecord } from '@pause/core';
import { parseCase } from '@pause/core/case/parse';
import { allUsual, at, followChecks, guide, lookedAtTwice } from '../../core/test/finds';
import { digest } from '../src/backup';
import { connect, migrate, type Db } from '../src/db';
import * as before from '../src/db/migrations/0001-finds';
import { keepGuide, pull, push, recordsOf } from '../src/notebook';
import { entryKey } from '../src/notebook/ids';

const cluster = process.env.TEST_DATABASE_URL ?? '';
const NAME = 'migration_test';
let db: Db;
const admin = () => connect(cluster);

beforeAll(async () => {
  const all = admin();
  await sql`drop database if exists ${sql.id(NAME)} with (force)`.execute(all);
  await sql`create database ${sql.id(NAME)}`.execute(all);
  await all.destroy();
  const url = new URL(cluster);
  url.pathname = `/${NAME}`;
  db = connect(url.href);
  const { error } = await new Migrator({
    db,
    provider: { getMigrations: () => Promise.resolve({ '0001-finds': before }) },
  }).migrateToLatest();
  if (error) throw error as Error;
});
afterAll(async () => {
  await db.destroy();
  const all = admin();
  await sql`drop database if exists ${sql.id(NAME)} with (force)`.execute(all);
  await all.destroy();
});

test('every row becomes an entry, finds and verdicts stay equal, and it goes on from there', async () => {
  const put = (table: string, row: Record<string, unknown>) =>
    db
      .insertInto(table as never)
      .values(row)
      .execute();
  const hashed = (content: object) => contentHash(JSON.parse(JSON.stringify(content)));
  await put('people', { id: 'mirel', name: 'Mirel' });
  await put('people', { id: 'jorun', name: 'Jorun' });
  await keepGuide(db, guide);
  const find = {
    id: 'find-one-1',
    startedAt: at(0),
    kingdom: 'Fungi',
    bodyPlan: 'cantharelloid',
    placeNote: 'By the spring',
    person: 'mirel',
  };
  await put('finds', {
    id: find.id,
    content_hash: hashed(find),
    started_at: find.startedAt,
    kingdom: 'Fungi',
    body_plan: find.bodyPlan,
    place_note: find.placeNote,
    person: 'mirel',
  });
  const bare = { id: 'find-two-2', startedAt: at(500), kingdom: 'Plantae', person: 'jorun' };
  await put('finds', {
    id: bare.id,
    content_hash: hashed(bare),
    started_at: bare.startedAt,
    kingdom: 'Plantae',
    body_plan: null,
    place_note: null,
    person: 'jorun',
  });
  const add = (
    table: string,
    body: Record<string, unknown> & { id: string; at: string },
    row: Record<string, unknown>,
  ) =>
    put(table, {
      id: body.id,
      content_hash: hashed({ ...body, find: find.id }),
      find_id: find.id,
      at: body.at,
      ...row,
    });
  await add('pieces', { id: 'piece-one', at: at(1), purpose: 'decide' }, { purpose: 'decide' });
  await add(
    'targets',
    { id: 'target-one', at: at(2), taxon: 'cantharellus-cibarius' },
    { taxon: 'cantharellus-cibarius' },
  );
  const { context } = followChecks('cantharellus-cibarius');
  await add('contexts', { id: 'context-1', at: at(3), context }, { context: JSON.stringify(context) });
  for (const [index, { character, value }] of lookedAtTwice(allUsual('cantharellus-cibarius')).entries()) {
    const body = {
      id: `reading-${index}`,
      piece: 'piece-one',
      character,
      value,
      sureness: 'sure',
      by: 'mirel',
      at: at(10 + index / 2),
      ...(index === 0 ? { note: 'Below the rim', blind: false } : {}),
    };
    await add('readings', body, {
      piece_id: 'piece-one',
      character,
      value: JSON.stringify(value),
      sureness: 'sure',
      by: 'mirel',
      blind: index === 0 ? false : null,
      note: index === 0 ? 'Below the rim' : null,
    });
  }
  await add(
    'skips',
    { id: 'skip-one-1', at: at(80), piece: 'piece-one', character: 'spore.print' },
    { piece_id: 'piece-one', character: 'spore.print' },
  );

  expect(await migrate(db)).toEqual([
    '0002-notebook',
    '0003-pages',
    '0004-harvests',
    '0005-pantry',
    '0006-asked',
    '0007-stamps',
    '0008-asked-at',
    '0009-written',
    '0010-letters',
    '0011-partitions',
    '0012-counted',
    '0013-page-kinds',
  ]);
  const counted = await db
    .selectFrom('written')
    .select(['of', 'person', 'entries'])
    .where('of', 'not like', 'stream%')
    .orderBy('of')
    .execute();
  const readings = lookedAtTwice(allUsual('cantharellus-cibarius')).length;
  expect(counted.map(({ of, person, entries }) => `${of}: ${entries} by ${person}`)).toEqual([
    `find find-one-1: ${5 + readings} by mirel`,
    'find find-one-1 pieces own: 1 by mirel',
    `find find-one-1 readings own: ${readings} by mirel`,
    'find find-one-1 skips own: 1 by mirel',
    'find find-one-1 targets own: 1 by mirel',
    'find find-two-2: 1 by jorun',
  ]);
  expect(await db.selectFrom('finds').select(['id', 'kingdom']).orderBy('id').execute()).toEqual([
    { id: find.id, kingdom: 'Fungi' },
    { id: bare.id, kingdom: 'Plantae' },
  ]);
  // Every id is in the table of ids. A server that does not know of it, and still runs, is refused.
  const {
    rows: [ids],
  } = await sql<{
    missing: number;
  }>`select count(*)::int as missing from entries e left
    join entry_ids i on i.key = entry_key(e.kind, e.id) and i.stream = e.stream and i.seq = e.seq
    and i.about = 'find ' || e.find_id where i.key is null`.execute(db);
  expect(ids).toEqual({ missing: 0 });
  expect(entryKey('finds', 'find-one-1')).toBe(
    (
      await sql<{ key: string }>`select entry_key('finds', 'find-one-1') as key`.execute(db)
    ).rows[0]?.key.replaceAll('-', ''),
  );
  await expect(
    sql`insert into entries (stream, seq, kind, id, find_id, person, stamp, body, content_hash)
      values ('p:mirel', 999, 'edits', 'edit-late', 'find-one-1', 'mirel', 'x', '{}', 'x')`.execute(db),
  ).rejects.toThrow('"form"');
  const summary = await digest(db, guide);
  expect(summary).toMatchObject({ finds: 2, problems: [], streams: 2 });
  const record = (await recordsOf(db, [find.id])).get(find.id) as FindRecord;
  expect(record).toMatchObject({
    number: 1,
    placeNote: 'By the spring',
    bodyPlan: 'cantharelloid',
    context,
    pieces: [{ id: 'piece-one' }],
  });
  expect(record.readings[0]).toMatchObject({ note: 'Below the rim', blind: false });
  const raw = caseOf(record, guide);
  expect(decide(guide, parseCase(JSON.parse(JSON.stringify(raw)), guide)).outcome).toBe('collect');
  // Everything is in the stream of whoever began it, and nothing in anybody else's.
  const own = await pull(db, 'mirel', 'p:mirel', 0, 1000);
  expect(own.entries.map(({ seq }) => seq)).toEqual(own.entries.map((_, n) => n + 1));
  expect((await pull(db, 'jorun', 'p:jorun', 0, 1000)).entries).toHaveLength(1);
  // What was sent before and comes again is known; what is new is numbered on.
  const again = {
    find: find.id,
    kind: 'targets' as const,
    body: { id: 'target-one', at: at(2), taxon: 'cantharellus-cibarius' as never },
  };
  const fresh = {
    find: find.id,
    kind: 'targets' as const,
    body: { id: 'target-two', at: at(90), taxon: 'boletus-edulis' as never },
  };
  expect(
    await push(db, { person: 'mirel', groups: [] }, [again, fresh], { guide, now: Date.now() }),
  ).toMatchObject([{ status: 'known' }, { status: 'added', seq: own.last + 1 }]);
});
