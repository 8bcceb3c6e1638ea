import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'kysely';
import { connect, startServer } from '@pause/server';
import { backUp, restore } from '../../scripts/lib/copy';
import { openCluster, type Cluster } from '../../scripts/lib/postgres';

jest.setTimeout(120_000);

const scratch = mkdtempSync(join(tmpdir(), 'pause-backup-'));
chmodSync(scratch, 0o755);
let cluster: Cluster;
beforeAll(async () => {
  cluster = await openCluster(join(scratch, 'postgres'));
  await (await startServer({ databaseUrl: cluster.url, port: 0, demo: true, logLevel: 'silent' })).stop();
});
afterAll(async () => {
  await cluster.stop();
  rmSync(scratch, { recursive: true, force: true });
});

test('a copy is one file, comes back whole beside what is there, and serves', async () => {
  const file = join(scratch, 'one.backup');
  const summary = await backUp(cluster.url, file);
  expect(summary).toMatchObject({ finds: 6, problems: [] });
  expect(summary.readings).toBeGreaterThan(30);
  expect(existsSync(file)).toBe(true);
  // It holds everything: only whoever made it reads it.
  expect([file, `${file}.check.json`].map((one) => statSync(one).mode & 0o777)).toEqual([0o600, 0o600]);
  const back = await restore(file, cluster.url, 'restored_whole');
  expect(back.wrong).toEqual([]);
  expect(back.summary).toEqual(summary);
  const server = await startServer({ databaseUrl: back.url, port: 0, demo: true, logLevel: 'silent' });
  expect((await fetch(`${server.url}/api/v1/health`)).status).toBe(200);
  await server.stop();
  expect(await backUp(back.url, join(scratch, 'again.backup'))).toEqual(summary);
});

test.each([
  [
    'a reading that is not there',
    sql`delete from entries where kind = 'readings' and id = 'demo-find-1-r1'`,
    /entries: \d+ before|does not follow/,
  ],
  [
    'a reading that says something else',
    sql`update entries set body = jsonb_set(body, '{value,states,0}', '"winged"') where kind = 'readings'
      and id = 'demo-find-1-r1'`,
    /is not what was told/,
  ],
])('%s would be noticed', async (name, harm, problem) => {
  const file = join(scratch, `${name.replace(/ /g, '-')}.backup`);
  const spoiled = `spoiled_${Math.floor(Math.random() * 1e6)}`;
  await backUp(cluster.url, file);
  const { url } = await restore(file, cluster.url, spoiled);
  const db = connect(url);
  await sql`alter table entries disable trigger all`.execute(db);
  await harm.execute(db);
  await db.destroy();
  const after = join(scratch, `${spoiled}.backup`);
  await backUp(url, after);
  // What the copy was made of is compared with what came back, not with itself.
  writeFileSync(`${after}.check.json`, readFileSync(`${file}.check.json`, 'utf8'));
  const { wrong } = await restore(after, cluster.url, `${spoiled}_again`);
  expect(wrong.join('\n')).toMatch(problem);
  // And what is not whole is not left lying about.
  const admin = connect(cluster.url);
  const { rows } = await sql`select 1 from pg_database where datname = ${`${spoiled}_again`}`.execute(admin);
  await admin.destroy();
  expect(rows).toEqual([]);
});

test('without what it came to nobody calls a copy whole', async () => {
  const file = join(scratch, 'bare.backup');
  await backUp(cluster.url, file);
  rmSync(`${file}.check.json`);
  await expect(restore(file, cluster.url, 'restored_bare')).rejects.toThrow(
    /bare\.backup\.check\.json is not there/,
  );
});
