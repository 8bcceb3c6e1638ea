/** A server as it is run for people: compiled, without the demo, watched over and ended from outside. */
import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'kysely';
import { connect } from '@pause/server';
import { freePort } from '../../scripts/lib/ports';
import { openCluster, type Cluster } from '../../scripts/lib/postgres';
import { buildServer } from '../../scripts/lib/serverBuild';

jest.setTimeout(120_000);

const scratch = mkdtempSync(join(tmpdir(), 'pause-serve-'));
chmodSync(scratch, 0o755);
let cluster: Cluster;
let program: string;
beforeAll(async () => {
  cluster = await openCluster(join(scratch, 'postgres'));
  program = await buildServer(process.cwd());
});
afterAll(async () => {
  await cluster.stop();
  rmSync(scratch, { recursive: true, force: true });
});

interface Serving {
  readonly url: string;
  /** What it wrote so far. */
  readonly log: () => string;
  readonly ended: Promise<number | null>;
  readonly child: ChildProcess;
}
async function serve(environment: Record<string, string>): Promise<Serving> {
  let written = '';
  const child = spawn(process.execPath, [program], {
    env: {
      PATH: process.env.PATH ?? '',
      NODE_ENV: 'production',
      DATABASE_URL: cluster.url,
      PORT: '0',
      ...environment,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (chunk: Buffer) => {
      written += chunk.toString();
    });
  const ended = new Promise<number | null>((resolve) => {
    child.once('exit', resolve);
  });
  const url = await new Promise<string>((resolve) => {
    child.stdout.on('data', () => {
      const found = /^http:\S+$/m.exec(written)?.[0];
      if (found !== undefined) resolve(found);
    });
    void ended.then(() => {
      resolve('');
    });
  });
  return { url, log: () => written, ended, child };
}
const post = (url: string, path: string, body: object, cookie = '') =>
  fetch(`${url}/api/v1${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: url, cookie },
    body: JSON.stringify(body),
  });

test('it serves, decides in its threads, counts its work, logs no secrets, and ends when asked to', async () => {
  const metricsPort = await freePort();
  const server = await serve({ METRICS_PORT: String(metricsPort) });
  const { url } = server;
  expect([(await fetch(`${url}/api/v1/health`)).status, (await fetch(`${url}/api/v1/ready`)).status]).toEqual(
    [200, 200],
  );
  expect((await post(url, '/auth/demo/sign-in', {})).status).toBe(404);
  const signedUp = await post(url, '/auth/sign-up/email', {
    name: 'Serva',
    email: 'serva@ostrel.example',
    password: 'walks along the weir',
  });
  expect(signedUp.status).toBe(200);
  const cookie = (signedUp.headers.getSetCookie()[0] ?? '').split(';')[0] ?? '';
  const {
    user: { id: person },
  } = (await signedUp.json()) as { user: { id: string } };
  const find = 'a-find-of-serva';
  const now = new Date().toISOString();
  const entry = (kind: string, body: object) => ({ find, kind, body: { at: now, ...body } });
  const pushed = await post(
    url,
    '/sync/push',
    {
      entries: [
        { find, kind: 'finds', body: { id: find, startedAt: now, kingdom: 'Fungi', person } },
        entry('edits', { id: 'a-note-of-serva', by: person, field: 'note', value: 'Under the old beech' }),
        { find, kind: 'edits', body: {} },
      ],
    },
    cookie,
  );
  expect(
    ((await pushed.json()) as { results: { status: string }[] }).results.map(({ status }) => status),
  ).toEqual(['added', 'added', 'refused']);
  expect(pushed.headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/);
  // A question goes to a thread, which was compiled too.
  expect((await post(url, '/decide', {})).status).toBe(422);

  const metrics = await (await fetch(`http://127.0.0.1:${metricsPort}/metrics`)).text();
  expect(metrics).toMatch(/pause_request_seconds_count\{method="POST",route="\/sync\/push",status="200"\} 1/);
  expect(metrics).toMatch(/pause_entries_total\{status="added"\} 2/);
  expect(metrics).toMatch(/process_cpu_seconds_total/);
  for (const secret of [find, person, 'serva', cookie.split('=')[1] ?? 'none', 'beech', 'weir']) {
    expect(metrics).not.toContain(secret);
    expect(server.log()).not.toContain(secret);
  }
  const lines = server
    .log()
    .split('\n')
    .filter((line) => line.startsWith('{'))
    .map(
      (line) =>
        JSON.parse(line) as { msg: string; id?: string; route?: string; status?: number; ms?: number },
    );
  expect(lines.find(({ id }) => id === pushed.headers.get('x-request-id'))).toMatchObject({
    msg: 'request',
    route: '/sync/push',
    status: 200,
    ms: expect.any(Number) as number,
  });

  server.child.kill('SIGTERM');
  expect(await server.ended).toBe(0);
});

test('what the environment says wrongly is reported in one line each, and nothing starts', async () => {
  const server = await serve({ PORT: 'eighty', PAUSE_SECRET: 'short' });
  expect([server.url, await server.ended]).toEqual(['', 2]);
  expect(server.log().trim().split('\n')).toEqual([
    'PORT: a whole number',
    'PAUSE_SECRET: at least 32 characters',
  ]);
});

test('a database that a newer server brought further is refused in words', async () => {
  const db = connect(cluster.url);
  await sql`create database newer`.execute(db);
  const url = cluster.url.replace(/\/postgres$/, '/newer');
  const first = await serve({ DATABASE_URL: url });
  expect(first.url).not.toBe('');
  first.child.kill('SIGTERM');
  await first.ended;
  const newer = connect(url);
  await sql`insert into kysely_migration (name, timestamp) values ('9999-later', 'now')`.execute(newer);
  await newer.destroy();
  const second = await serve({ DATABASE_URL: url });
  expect([second.url, await second.ended]).toEqual(['', 1]);
  expect(second.log()).toMatch(
    /brought to a newer form \(9999-later\) than this server knows. Start a newer Pause/,
  );
  await db.destroy();
});
