import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { decide } from '@pause/core';
import { stampOf } from '@pause/core/notebook';
import { followChecks, guide } from '../../../core/test/finds';
import { type RunningServer, startServer } from '../../src/start';
import { freshDatabase } from '../database';
import { type Someone, asking, someone } from '../people';

type Json = Record<string, unknown>;
let database: Awaited<ReturnType<typeof freshDatabase>>;
export let server: RunningServer;
export let keeper: Someone;
export let member: Someone;
export let stranger: Someone;
export const group = 'pantry-of-karrow';
const NOW = Date.now();
export let recorded = 0;
export const at = (second: number) => new Date(NOW - 3_600_000 + second * 1000).toISOString();
export const { ask, tell } = asking(() => server.url);
const stamped = (entry: Json) => {
  recorded += 1;
  return { ...entry, stamp: stampOf({ ms: NOW - 3_000_000 + recorded * 1000, count: 0, device: 'tollar' }) };
};

/** A page with its first fields. */
export const page = (who: Someone, kind: string, id: string, fields: Json, inGroup = true): Json[] => [
  { page: id, kind: 'pages', body: { id, at: at(0), by: who.id, kind, ...(inGroup ? { group } : {}) } },
  ...Object.entries(fields).map(([field, value]) =>
    stamped({
      page: id,
      kind: 'fields',
      body: { id: randomUUID(), at: at(1), by: who.id, of: kind, field, value },
    }),
  ),
];
export const field = (who: Someone, id: string, of: string, name: string, value: unknown) =>
  stamped({
    page: id,
    kind: 'fields',
    body: { id: randomUUID(), at: at(2), by: who.id, of, field: name, value },
  });
export const batch = (from: readonly string[], of = 'batch') => ({
  name: 'Dried',
  from: from.map((id) => ({ of, id })),
  contents: [{ taxon: 'cantharellus-cibarius', part: 'fruiting-body' }],
  method: 'dry',
  on: '2026-09-14',
});

/** A find of this person, followed to *collect* and collected. */
export async function collect(
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

export const recalls = async (who: Someone) =>
  (await ask(who, 'GET', '/recalls')).body.recalls as {
    cause: { of: string; code: string };
    ids: string[];
  }[];
export async function until<T>(get: () => Promise<T>, right: (value: T) => boolean): Promise<T> {
  for (let attempt = 0; attempt < 200; attempt += 1) {
    const value = await get();
    if (right(value)) return value;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return get();
}

/** Waits until the server itself has asked these, so that nothing of it comes in between. */
export const askedHere = (finds: readonly string[]) =>
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
/** Waits until no find that was changed waits to be asked. */
export const idle = () =>
  until(
    async () =>
      (
        await sql<{
          n: number;
        }>`select count(*)::int as n from pgboss.job where name = 'recheck-notebook'
          and state in ('created', 'retry', 'active')`.execute(server.db)
      ).rows[0]?.n,
    (n) => n === 0,
  );

/** Starts what these tests share before the first of them, and ends it after the last. */
export function setUp(): void {
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
}
