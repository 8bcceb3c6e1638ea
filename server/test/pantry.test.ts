/**
 * Batches, what becomes of them and first tastes, told by several people; and finding everything again when
 * something no longer stands.
 */
import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { compileGuide, decide } from '@pause/core';
import { parseGuide } from '@pause/core/guide/parse';
import { stampOf, type Entry } from '@pause/core/notebook';
import { shippedGuide } from '@pause/guide';
import { followChecks, guide } from '../../core/test/finds';
import { actorOf, ownStream } from '../src/access';
import type { Db } from '../src/db';
import { keepGuide, push } from '../src/notebook';
import { markMoved, recallsFor, recheckAll, recheckMoved, recheckAfterEntries } from '../src/recall';
import { startServer, type RunningServer } from '../src/start';
import { freshDatabase } from './database';
import { asking, someone, type Someone } from './people';

type Json = Record<string, unknown>;
let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: RunningServer;
let keeper: Someone;
let member: Someone;
let stranger: Someone;
const group = 'pantry-of-karrow';
const NOW = Date.now();
let told = 0;
const at = (second: number) => new Date(NOW - 3_600_000 + second * 1000).toISOString();

const { ask, tell } = asking(() => server.url);
const stamped = (entry: Json) => {
  told += 1;
  return { ...entry, stamp: stampOf({ ms: NOW - 3_000_000 + told * 1000, count: 0, device: 'tollar' }) };
};
/** A page with its first fields. */
const page = (who: Someone, kind: string, id: string, fields: Json, inGroup = true): Json[] => [
  { page: id, kind: 'pages', body: { id, at: at(0), by: who.id, kind, ...(inGroup ? { group } : {}) } },
  ...Object.entries(fields).map(([field, value]) =>
    stamped({
      page: id,
      kind: 'fields',
      body: { id: randomUUID(), at: at(1), by: who.id, of: kind, field, value },
    }),
  ),
];
const field = (who: Someone, id: string, of: string, name: string, value: unknown) =>
  stamped({
    page: id,
    kind: 'fields',
    body: { id: randomUUID(), at: at(2), by: who.id, of, field: name, value },
  });
const batch = (from: readonly string[], of = 'batch') => ({
  name: 'Dried',
  from: from.map((id) => ({ of, id })),
  contents: [{ taxon: 'cantharellus-cibarius', part: 'fruiting-body' }],
  method: 'dry',
  on: '2026-09-14',
});

/** A find of this person, followed to *collect* and collected. */
async function collect(
  who: Someone,
  target: string,
  more: Json = {},
): Promise<{ find: string; readings: string[] }> {
  const find = randomUUID();
  const followed = followChecks(target);
  const piece = randomUUID();
  const readings = followed.readings.map((one) => ({ ...one, id: randomUUID(), piece, by: who.id }));
  const verdict = decide(guide, followed);
  expect(verdict.outcome).toBe('collect');
  const made = (kind: string, body: Json) => ({ find, kind, body });
  const verdictId = randomUUID();
  const results = await tell(
    who,
    made('finds', { id: find, startedAt: at(0), kingdom: followed.kingdom, person: who.id, ...more }),
    made('pieces', { id: piece, at: at(0), purpose: 'decide' }),
    made('targets', { id: randomUUID(), at: at(1), taxon: followed.target }),
    made('contexts', { id: randomUUID(), at: at(2), context: followed.context }),
    ...readings.map((one) => made('readings', { ...one, at: at(3) })),
    made('verdicts', { id: verdictId, at: at(4), verdict }),
    made('decisions', { id: randomUUID(), at: at(5), verdict: verdictId, choice: 'collect', by: who.id }),
  );
  expect(new Set(results)).toEqual(new Set(['added']));
  return { find, readings: readings.map(({ id }) => id) };
}
const recalls = async (who: Someone) =>
  (await ask(who, 'GET', '/recalls')).body.recalls as {
    cause: { of: string; code: string };
    ids: string[];
  }[];
async function until<T>(get: () => Promise<T>, right: (value: T) => boolean): Promise<T> {
  for (let attempt = 0; attempt < 200; attempt += 1) {
    const value = await get();
    if (right(value)) return value;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return get();
}

beforeAll(async () => {
  database = await freshDatabase('pantry_test');
  server = await startServer({ databaseUrl: database.url, port: 0, demo: false, logLevel: 'silent' });
  [keeper, member, stranger] = [
    await someone(server.url, 'Keeper Kvist'),
    await someone(server.url, 'Member Moor'),
    await someone(server.url, 'Stranger Stan'),
  ];
  expect((await ask(keeper, 'POST', '/groups', { id: group, name: 'The pantry' })).status).toBe(201);
  const { code } = (await ask(keeper, 'POST', `/groups/${group}/invitations`, { role: 'member', days: 1 }))
    .body;
  expect((await ask(member, 'POST', '/invitations/accept', { code })).status).toBe(200);
});
afterAll(async () => {
  await server.stop();
  await database.close();
});

test('a batch comes from what is there, never from itself by any way; who tells what stays as it is', async () => {
  const { find } = await collect(keeper, 'cantharellus-cibarius');
  const [harvest, first, second, meal, taste] = Array.from({ length: 5 }, () => randomUUID()) as [
    string,
    string,
    string,
    string,
    string,
  ];
  expect(
    new Set(
      await tell(
        keeper,
        ...page(keeper, 'harvest', harvest, {
          find,
          taxon: 'cantharellus-cibarius',
          part: 'fruiting-body',
          on: '2026-09-14',
        }),
        ...page(keeper, 'batch', first, batch([harvest], 'harvest')),
        ...page(keeper, 'batch', second, batch([first])),
      ),
    ),
  ).toEqual(new Set(['added']));
  expect(await tell(keeper, field(keeper, first, 'batch', 'from', [{ of: 'batch', id: first }]))).toEqual([
    '422 value[0].id',
  ]);
  expect(
    await tell(
      keeper,
      field(keeper, first, 'batch', 'from', [
        { of: 'harvest', id: harvest },
        { of: 'batch', id: second },
      ]),
    ),
  ).toEqual(['422 value[1].id']);
  expect(
    await tell(keeper, field(keeper, first, 'batch', 'from', [{ of: 'harvest', id: randomUUID() }])),
  ).toEqual(['422 value[0].id']);
  expect(await tell(keeper, field(keeper, first, 'batch', 'made', { amount: -3, unit: 'g' }))).toEqual([
    '422 body.value.amount',
  ]);
  expect(
    await tell(keeper, field(keeper, first, 'batch', 'contents', [{ taxon: 'nothing-known', part: 'leaf' }])),
  ).toEqual(['422 value[0].taxon']);
  // Anybody of the group goes on with a batch; a meal is only told of by who told it first, and a taste never
  // in a group.
  expect(await tell(member, field(member, first, 'batch', 'note', 'Turned once more'))).toEqual(['added']);
  expect(
    new Set(
      await tell(
        keeper,
        ...page(keeper, 'portion', meal, {
          what: 'meal',
          at: at(9),
          of: [{ of: 'batch', id: first }],
          who: ['Lune'],
        }),
      ),
    ),
  ).toEqual(new Set(['added']));
  expect(await tell(member, field(member, meal, 'portion', 'note', 'mine too'))).toEqual(['422 by']);
  expect((await tell(keeper, ...page(keeper, 'taste', taste, {})))[0]).toBe('422 group');
  expect(
    (await tell(stranger, ...page(stranger, 'batch', randomUUID(), batch([harvest], 'harvest'), false)))[2],
  ).toBe('422 value[0].id');
  // Nor is anything taken of somebody else's find: what becomes of that is told to nobody else.
  expect(await tell(stranger, ...page(stranger, 'harvest', randomUUID(), { find }, false))).toEqual([
    'added',
    '422 value',
  ]);
});

test('a reading taken back puts in question all that was made of the find, for everybody who has some; told again, it is settled', async () => {
  const { find, readings } = await collect(keeper, 'hydnum-repandum');
  const [harvest, jar, own, gift] = Array.from({ length: 4 }, () => randomUUID()) as [
    string,
    string,
    string,
    string,
  ];
  expect(
    new Set(
      await tell(
        keeper,
        ...page(keeper, 'harvest', harvest, {
          find,
          taxon: 'hydnum-repandum',
          part: 'fruiting-body',
          on: '2026-09-14',
        }),
        ...page(keeper, 'batch', jar, batch([harvest], 'harvest')),
      ),
    ),
  ).toEqual(new Set(['added']));
  // A member made something of it in a notebook of their own.
  expect(
    new Set(
      await tell(
        member,
        ...page(member, 'batch', own, batch([jar]), false),
        ...page(
          member,
          'portion',
          gift,
          { what: 'gift', at: at(9), of: [{ of: 'batch', id: own }], toWhom: 'A neighbour' },
          false,
        ),
      ),
    ),
  ).toEqual(new Set(['added']));
  expect(await recalls(member)).toEqual([]);
  expect(
    new Set(
      await tell(
        keeper,
        ...readings
          .slice(0, 4)
          .map((reading) => ({ find, kind: 'withdrawals', body: { id: randomUUID(), at: at(20), reading } })),
      ),
    ),
  ).toEqual(new Set(['added']));
  const mine = await until(
    () => recalls(keeper),
    (all) => all.length > 0,
  );
  expect(mine).toEqual([
    {
      cause: expect.objectContaining({ code: 'verdict', of: find, because: 'record' }) as unknown,
      ids: [find, harvest, jar].sort(),
    },
  ]);
  expect((await recalls(member)).map(({ ids }) => ids)).toEqual([[harvest, jar, own, gift].sort()]);
  expect(await recalls(stranger)).toEqual([]);
});

test('a deadly stray puts the basket in question until it is settled as something else', async () => {
  const { find } = await collect(keeper, 'vaccinium-myrtillus');
  const harvest = randomUUID();
  const sorting = (grades: string[]) => ({ pieces: 80, found: [grades.length], now: 0, grades });
  expect(
    new Set(
      await tell(
        keeper,
        ...page(keeper, 'harvest', harvest, {
          find,
          taxon: 'vaccinium-myrtillus',
          part: 'fruit',
          on: '2026-09-14',
          sorting: sorting(['deadly']),
        }),
      ),
    ),
  ).toEqual(new Set(['added']));
  const has = (all: { cause: { of: string } }[]) => all.some(({ cause }) => cause.of === harvest);
  expect(has(await until(() => recalls(member), has))).toBe(true);
  expect(await tell(keeper, field(keeper, harvest, 'harvest', 'sorting', sorting(['none'])))).toEqual([
    'added',
  ]);
  expect(
    has(
      await until(
        () => recalls(member),
        (all) => !has(all),
      ),
    ),
  ).toBe(false);
});

test('under a corrected guide every find that was collected is asked again, once, with progress; killed half-way it goes on', async () => {
  const finds = [await collect(keeper, 'cantharellus-cibarius'), await collect(member, 'boletus-edulis')];
  await askedHere(finds.map((one) => one.find));
  const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
    taxa: { id: string; scientificName: string; statements: unknown[] }[];
  };
  raw.taxa.push({
    ...raw.taxa.find((taxon) => taxon.id === 'cortinarius-rubellus')!,
    id: 'cortinarius-nowhere',
    scientificName: 'Cortinarius nowhere',
    statements: [],
  });
  const corrected = compileGuide(parseGuide(raw));
  const seen: number[] = [];
  const asked = await recheckAll(server.db, corrected, ({ done }) => seen.push(done));
  expect(asked).toBeGreaterThanOrEqual(5);
  expect(seen.at(-1)).toBe(asked);
  const { recalls: theirs, run } = await recallsFor(
    server.db,
    await actorOf(server.db, keeper.id),
    corrected.version,
  );
  expect(run).toBeUndefined();
  // No plant is put in question by a new fungus: only fungus against plant rules out alone.
  expect(theirs.find(({ cause }) => cause.of === finds[0]?.find)).toMatchObject({
    cause: { code: 'verdict', because: 'guide', grade: 'deadly' },
  });
  expect(
    (await recallsFor(server.db, await actorOf(server.db, member.id), corrected.version)).recalls.some(
      ({ cause }) => cause.of === finds[1]?.find,
    ),
  ).toBe(true);
  // Asked again of the same version, nothing is done twice.
  expect(
    await recheckAll(server.db, corrected, () => {
      throw new Error('done already');
    }),
  ).toBe(asked);
  // As if a server had been killed half-way: only the rest is asked.
  const runNow = () => recallsFor(server.db, actor, corrected.version).then((told) => told.run);
  const actor = await actorOf(server.db, keeper.id);
  await server.db
    .updateTable('recall_asked')
    .set({ version: guide.version })
    .where('find_id', '=', finds[0]?.find ?? '')
    .execute();
  await server.db
    .updateTable('recall_runs')
    .set({ finished_at: null, done: asked - 1 })
    .where('version', '=', corrected.version)
    .execute();
  expect(await runNow()).toEqual({ done: asked - 1, total: asked });
  const again: number[] = [];
  await recheckAll(server.db, corrected, ({ done }) => again.push(done));
  expect(again).toEqual([asked]);
  expect(await runNow()).toBeUndefined();
});

/** Waits until the server itself has asked these, so that nothing of it comes in between. */
const askedHere = (finds: readonly string[]) =>
  until(
    () =>
      server.db
        .selectFrom('recall_asked')
        .select('find_id')
        .where('find_id', 'in', [...finds])
        .where('version', '=', guide.version)
        .execute(),
    (rows) => rows.length === finds.length,
  );

/** Waits until no find that was told of waits to be asked. */
const idle = () =>
  until(
    async () =>
      (
        await sql<{
          n: number;
        }>`select count(*)::int as n from pgboss.job where name = 'recheck-notebook' and state in ('created', 'retry', 'active')`.execute(
          server.db,
        )
      ).rows[0]?.n,
    (n) => n === 0,
  );

/** The guide, in which one fungus is known to show also what was looked at in this find. */
function varied(taxon: string, readings: ReturnType<typeof followChecks>['readings']) {
  const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
    taxa: { id: string; statements: { character: string; usual?: string[]; occasional?: string[] }[] }[];
  };
  const said = raw.taxa.find(({ id }) => id === taxon)?.statements ?? [];
  for (const { character, value } of readings) {
    const one = said.find((statement) => statement.character === character);
    if (one?.usual && value.kind === 'states')
      one.occasional = value.states.filter((state) => !one.usual?.includes(state));
  }
  return compileGuide(parseGuide(raw));
}

test('what a correction cannot touch is not asked again, and nothing is missed by that', async () => {
  const finds = [
    await collect(keeper, 'cantharellus-cibarius'),
    await collect(keeper, 'vaccinium-myrtillus'),
  ].map(({ find }) => find);
  await askedHere(finds);
  await recheckAll(server.db, guide);
  // Whoever is asked again loses this; whoever is passed over keeps it.
  const marked = { code: 'decision', of: finds[1] ?? '', grade: 'none' } as const;
  const { stream } = await server.db
    .selectFrom('finds')
    .select('stream')
    .where('id', '=', finds[1] ?? '')
    .executeTakeFirstOrThrow();
  await server.db
    .insertInto('recalls')
    .values({ of: marked.of, stream, cause: JSON.stringify(marked) })
    .execute();
  const corrected = varied('omphalotus-olearius', followChecks('cantharellus-cibarius').readings);
  await recheckAll(server.db, corrected);
  const standing = async () =>
    await server.db
      .selectFrom('recalls')
      .select(['of', 'cause'])
      .where('of', 'in', finds)
      .orderBy('of')
      .execute();
  expect(await standing()).toEqual(
    [
      { of: finds[0], cause: expect.objectContaining({ because: 'guide', grade: 'deadly' }) as unknown },
      { of: finds[1], cause: marked },
    ].sort((a, b) => ((a.of ?? '') < (b.of ?? '') ? -1 : 1)),
  );
  await server.db.deleteFrom('recalls').where('of', '=', marked.of).execute();
  // Everything asked anew comes to the same.
  const quick = await server.db
    .selectFrom('recalls')
    .select(['of', 'cause'])
    .where('of', 'not in', (of) => of.selectFrom('pages').select('id'))
    .orderBy('of')
    .execute();
  await server.db.updateTable('recall_asked').set({ version: '' }).execute();
  await recheckAll(server.db, corrected);
  expect(
    await server.db
      .selectFrom('recalls')
      .select(['of', 'cause'])
      .where('of', 'not in', (of) => of.selectFrom('pages').select('id'))
      .orderBy('of')
      .execute(),
  ).toEqual(quick);
});

test('told again at a server with an older guide, a find is asked of the newer one that called it back', async () => {
  const { find, readings } = await collect(keeper, 'cantharellus-cibarius');
  await askedHere([find]);
  const corrected = varied('omphalotus-olearius', followChecks('cantharellus-cibarius').readings);
  await keepGuide(server.db, corrected);
  await recheckAll(server.db, corrected);
  const cause = async () =>
    (await server.db.selectFrom('recalls').select('cause').where('of', '=', find).executeTakeFirst())?.cause;
  expect(await cause()).toMatchObject({ because: 'guide' });
  // Nothing of it speaks to the older guide: there it would stand.
  await recheckAfterEntries(server.db, guide, [find]);
  expect(await cause()).toMatchObject({ because: 'guide' });
  expect(
    await tell(keeper, {
      find,
      kind: 'withdrawals',
      body: { id: randomUUID(), at: at(30), reading: readings[0] },
    }),
  ).toEqual(['added']);
  await recheckAfterEntries(server.db, guide, [find]);
  expect(await cause()).toMatchObject({ because: 'record' });
  // Put back to the older one on purpose, that one is asked; once nothing that was told before is still being
  // asked of the other.
  await idle();
  await recheckAll(server.db, guide);
  expect(
    (
      await server.db
        .selectFrom('recall_asked')
        .select('version')
        .where('find_id', '=', find)
        .executeTakeFirstOrThrow()
    ).version,
  ).toBe(guide.version);
});

test('what calls something back is on record with the work that it makes, or not at all; what was missed before is found', async () => {
  const { find, readings } = await collect(keeper, 'cantharellus-cibarius');
  await askedHere([find]);
  await idle();
  const actor = await actorOf(server.db, keeper.id);
  const back = (reading: string) =>
    ({ find, kind: 'withdrawals', body: { id: randomUUID(), at: at(25), reading } }) as unknown as Entry;
  const entries = async () =>
    (await server.db.selectFrom('entries').select('id').where('find_id', '=', find).execute()).length;
  const before = await entries();
  // The queue fails, as where the server dies in the middle: nothing is stored, and the device sends it
  // again.
  const fails = push(server.db, actor, [back(readings[0] ?? '')], {
    guide,
    now: Date.now(),
    recheck: () => Promise.reject(new Error('no queue')),
  });
  await expect(fails).rejects.toThrow('no queue');
  expect(await entries()).toBe(before);
  // The queue has it as soon as the notebook does, and not before.
  const jobs = async () =>
    (
      await sql<{
        n: number;
      }>`select (select count(*) from pgboss.job where name = 'recheck-notebook' and data->>'stream' = ${ownStream(keeper.id)})::int + (select count(*) from recall_asked where moved_at is not null)::int as n`.execute(
        server.db,
      )
    ).rows[0]?.n ?? 0;
  const known = await jobs();
  await expect(
    push(server.db, actor, [back(readings[1] ?? '')], {
      guide,
      now: Date.now(),
      recheck: async (what, transaction) => {
        await server.jobs.recheck(what, transaction);
        throw new Error('killed');
      },
    }),
  ).rejects.toThrow('killed');
  expect([await entries(), await jobs()]).toEqual([before, known]);
  // As an earlier version could leave it: on record, and never asked.
  for (const reading of readings.slice(0, 3))
    await push(server.db, actor, [back(reading)], { guide, now: Date.now() });
  const cause = async () =>
    (await server.db.selectFrom('recalls').select('cause').where('of', '=', find).executeTakeFirst())?.cause;
  expect(await cause()).toBeUndefined();
  await recheckAll(server.db, guide);
  expect(await cause()).toMatchObject({ because: 'record' });
  // Once found, it is not asked for ever.
  const progress: number[] = [];
  await recheckAll(server.db, guide, ({ done }) => progress.push(done));
  expect(progress).toEqual([]);
});

test('however much of a notebook moves at once, one job waits for it, and every find that moved is asked', async () => {
  const finds = [await collect(keeper, 'hydnum-repandum'), await collect(keeper, 'hydnum-repandum')];
  await askedHere(finds.map(({ find }) => find));
  await idle();
  const stream = ownStream(keeper.id);
  const waiting = async (db: Db) =>
    (
      await sql<{
        n: number;
      }>`select count(*)::int as n from pgboss.job where name = 'recheck-notebook' and state = 'created' and singleton_key = ${stream}`.execute(
        db,
      )
    ).rows[0]?.n;
  await server.db.transaction().execute(async (transaction) => {
    for (const { find } of finds)
      await server.jobs.recheck({ finds: [find], streams: [stream], harvests: [], groups: [] }, transaction);
    expect(await waiting(transaction)).toBe(1);
  });
  const marked = async () =>
    (await server.db.selectFrom('recall_asked').select('find_id').where('moved_at', 'is not', null).execute())
      .length;
  expect(await until(marked, (n) => n === 0)).toBe(0);
  // Whoever is still writing into the notebook is waited for: what they mark is asked too.
  let asked: Promise<void> | undefined;
  await server.db.transaction().execute(async (transaction) => {
    await sql`select 1 from streams where id = ${stream} for no key update`.execute(transaction);
    asked = recheckMoved(server.db, guide, stream);
    await new Promise((resolve) => {
      setTimeout(resolve, 200);
    });
    await markMoved(transaction, [finds[0]?.find ?? '']);
  });
  await asked;
  expect(await marked()).toBe(0);
});

test('a group that sets stricter rules has what it collected asked again of them', async () => {
  const { find } = await collect(keeper, 'boletus-edulis', { group });
  await recheckAll(server.db, guide);
  const has = (all: { cause: { of: string } }[]) => all.some(({ cause }) => cause.of === find);
  expect(has(await recalls(keeper))).toBe(false);
  expect(await tell(keeper, field(keeper, group, 'group', 'forgoneTaxa', ['boletus-edulis']))).toEqual([
    'added',
  ]);
  expect(
    (await until(() => recalls(keeper), has)).find(({ cause }) => cause.of === find)?.cause,
  ).toMatchObject({ code: 'verdict', because: 'policy', outcome: 'leave' });
  expect(await tell(keeper, field(keeper, group, 'group', 'forgoneTaxa', []))).toEqual(['added']);
  expect(
    has(
      await until(
        () => recalls(keeper),
        (all) => !has(all),
      ),
    ),
  ).toBe(false);
});
