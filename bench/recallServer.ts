import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'kysely';
import { decide, type CompiledGuide } from '@pause/core';
import { startServer, type RunningServer } from '@pause/server';
import { collectable, followChecks, guide } from '../core/test/finds';
import { openCluster } from '../scripts/lib/postgres';
import { actorOf } from '../server/src/access';
import { recallsFor, recheckAll } from '../server/src/recall';

/**
 * The same on the server: finds as a device sends them, kept in PostgreSQL as many times over as asked
 * for, with harvests, batches and meals that descend from them.
 */

export interface ServerRow {
  readonly finds: number;
  readonly batches: number;
  /** What the correction can touch. */
  readonly touched: number;
  readonly causes: number;
  readonly found: number;
  /**
   * Seconds: with what the correction cannot touch passed over, everything asked anew, and telling one person
   * of all of it.
   */
  readonly quick: number;
  readonly anew: number;
  readonly telling: number;
}

const at = (second: number) => new Date(Date.UTC(2026, 8, 14, 8, 0, second)).toISOString();
const UUID = '([0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12})';

/** Finds followed to *collect*, one of each taxon, recorded by one person. */
async function tellFinds(server: RunningServer): Promise<{ person: string; finds: string[] }> {
  const headers = { 'content-type': 'application/json', origin: server.url };
  const signedUp = await fetch(`${server.url}/api/v1/auth/sign-up/email`, {
    method: 'POST',
    headers,
    body: JSON.stringify({
      name: 'Walker',
      email: 'walker@ostrel.example',
      password: 'a long enough password',
    }),
  });
  const cookie = (signedUp.headers.getSetCookie()[0] ?? '').split(';')[0] ?? '';
  const person = ((await signedUp.json()) as { user: { id: string } }).user.id;
  const finds: string[] = [];
  for (const { id: taxon } of collectable) {
    const followed = followChecks(taxon);
    const verdict = decide(guide, followed);
    if (verdict.outcome !== 'collect') continue;
    const [find, piece, verdictId] = [randomUUID(), randomUUID(), randomUUID()];
    const entry = (kind: string, body: object) => ({ find, kind, body });
    const entries = [
      entry('finds', { id: find, startedAt: at(0), kingdom: followed.kingdom, person }),
      entry('pieces', { id: piece, at: at(0), purpose: 'decide' }),
      entry('targets', { id: randomUUID(), at: at(1), taxon }),
      entry('contexts', { id: randomUUID(), at: at(2), context: followed.context }),
      ...followed.readings.map((one) =>
        entry('readings', { ...one, id: randomUUID(), piece, by: person, at: at(3) }),
      ),
      entry('verdicts', { id: verdictId, at: at(4), verdict }),
      entry('decisions', { id: randomUUID(), at: at(5), verdict: verdictId, choice: 'collect', by: person }),
    ];
    const response = await fetch(`${server.url}/api/v1/sync/push`, {
      method: 'POST',
      headers: { ...headers, cookie },
      body: JSON.stringify({ entries }),
    });
    const { results } = (await response.json()) as { results: { status: string }[] };
    if (results.some(({ status }) => status !== 'added'))
      throw new Error(JSON.stringify(results.find(({ status }) => status !== 'added')));
    finds.push(find);
  }
  return { person, finds };
}

/**
 * The same finds again under other ids, until there are so many; then harvests of them, batches of these and
 * of one another, and a meal of each batch.
 */
async function multiply(
  server: RunningServer,
  stream: string,
  templates: readonly string[],
  have: number,
  want: number,
  batches: readonly [number, number],
): Promise<void> {
  const { db } = server;
  const from = Math.floor(have / templates.length);
  const rounds = Math.ceil(want / templates.length);
  await sql`insert into finds (id, stream, person, started_at)
    select f.id || '-' || n, f.stream, f.person, f.started_at from finds f cross
    join generate_series(${from}::int, ${rounds - 1}::int) n where f.id = any(${templates}::text[]) and n > 0`.execute(
    db,
  );
  await sql`insert into entries (stream, seq, kind, id, find_id, person, stamp, body, content_hash, form)
    select e.stream, (select last from streams
    where id = ${stream}) + row_number() over (order by n, e.seq), e.kind, e.id || '-' || n, e.find_id ||
    '-' || n, e.person, e.stamp, regexp_replace(e.body::text, ${UUID}, '\\1-' || n, 'g')::jsonb, e.content_hash, 1
    from entries e cross join generate_series(${from}::int, ${rounds - 1}::int) n
    where e.find_id = any(${templates}::text[]) and n > 0`.execute(db);
  await sql`update streams set last = (select max(seq) from entries where stream = ${stream})
    where id = ${stream}`.execute(db);
  const page = (kind: string, prefix: string, first: number, last: number) =>
    sql`insert into pages (id, stream, kind, person)
      select ${prefix} || n, ${stream}, ${kind}, ${stream.slice(2)}
      from generate_series(${first}::int, ${last}::int) n on conflict do nothing`.execute(db);
  const [first, last] = [batches[0], batches[1] - 1];
  await page('harvest', 'h', first, last);
  await page('batch', 'b', first, last);
  await page('portion', 'm', first, last);
  // Every fourth batch is of another batch.
  await sql`insert into descents (child, parent) select 'h' || n, f.id
    from generate_series(${first}::int, ${last}::int) n
    join (select id, row_number() over (order by id) - 1 as at from finds) f on f.at = (n * 5) % ${want}::int
    union all select 'b' || n, case when n % 4 = 3 then 'b' || (n / 2) else 'h' || n end
    from generate_series(${first}::int, ${last}::int) n
    union all select 'm' || n, 'b' || n from generate_series(${first}::int, ${last}::int) n
    on conflict do nothing`.execute(db);
  await sql`analyze`.execute(db);
}

/** @throws Error where what was passed over would have been found by asking everything anew */
export async function onServer(
  corrected: CompiledGuide,
  sizes: readonly (readonly [number, number])[],
): Promise<ServerRow[]> {
  const scratch = mkdtempSync(join(tmpdir(), 'pause-recall-'));
  chmodSync(scratch, 0o755);
  const cluster = await openCluster(join(scratch, 'postgres'));
  const server = await startServer({ databaseUrl: cluster.url, port: 0, demo: false, logLevel: 'silent' });
  const { db } = server;
  const rows: ServerRow[] = [];
  try {
    const { person, finds: templates } = await tellFinds(server);
    const stream = `p:${person}`;
    const actor = await actorOf(db, person);
    const timed = async <T>(work: () => Promise<T>): Promise<[T, number]> => {
      const began = performance.now();
      const done = await work();
      return [done, (performance.now() - began) / 1000];
    };
    const causes = async () =>
      (await db.selectFrom('recalls').select('of').orderBy('of').execute()).map(({ of }) => of);
    let [finds, batches] = [templates.length, 0];
    for (const [wantFinds, wantBatches] of sizes) {
      await multiply(server, stream, templates, finds, wantFinds, [batches, wantBatches]);
      [finds, batches] = [Math.ceil(wantFinds / templates.length) * templates.length, wantBatches];
      await recheckAll(db, guide);
      let touched = 0;
      const [, quick] = await timed(() =>
        recheckAll(db, corrected, ({ total, done }) => {
          touched ||= total - done;
        }),
      );
      const [answer, telling] = await timed(() => recallsFor(db, actor, corrected.version));
      const found = new Set(answer.recalls.flatMap(({ ids }) => ids)).size;
      const byPassing = await causes();
      await sql`update recall_asked set version = ''`.execute(db);
      const [, anew] = await timed(() => recheckAll(db, corrected));
      const byAsking = await causes();
      if (byAsking.length !== byPassing.length || byAsking.some((of, index) => of !== byPassing[index]))
        throw new Error(`${byPassing.length} found, ${byAsking.length} by asking everything anew`);
      rows.push({ finds, batches, touched, causes: byPassing.length, found, quick, anew, telling });
      console.log(rows.at(-1));
    }
  } finally {
    await server.stop();
    await cluster.stop();
    rmSync(scratch, { recursive: true, force: true });
  }
  return rows;
}
