import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import type { Entry } from '@pause/core/notebook';
import { guide } from '../../../core/test/finds';
import { actorOf, ownStream } from '../../src/access';
import type { Db } from '../../src/db';
import { push } from '../../src/notebook';
import { recheckAll, recheckMoved, markMoved } from '../../src/recall';
import {
  collect,
  keeper,
  askedHere,
  idle,
  server,
  at,
  until,
  group,
  recalls,
  tell,
  field,
  setUp,
} from './kit';

setUp();

test('what causes a recall is stored with its job, or not at all; what was missed before is found', async () => {
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
      }>`select (select count(*) from pgboss.job where name = 'recheck-notebook'
        and data->>'stream' = ${ownStream(keeper.id)})::int + (select count(*) from recall_asked
        where moved_at is not null)::int as n`.execute(server.db)
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
      }>`select count(*)::int as n from pgboss.job where name = 'recheck-notebook' and state = 'created'
        and singleton_key = ${stream}`.execute(db)
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
