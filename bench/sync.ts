import { randomUUID } from 'node:crypto';
import { Agent, request } from 'node:http';
import { cpus } from 'node:os';
import pg from 'pg';
import { openWorld } from './faults/world';
import { writePage } from './page';

/**
 * How many entries a second the server takes, beside raw batched inserts of the same rows into the same
 * PostgreSQL. Writes docs/sync.md.
 */

const BATCH = 100;
const ENTRIES = 20_000;
const POOL = 10;
const at = (n: number) => new Date(Date.UTC(2026, 8, 14) + n).toISOString();

// The server is a process of its own, as it is for real; the devices are all in this one.
const server = await openWorld(1);
const pool = new pg.Pool({ connectionString: server.databaseUrl, max: POOL });
const agent = new Agent({ keepAlive: true, maxSockets: 100 });

interface Walker {
  readonly id: string;
  readonly cookie: string;
}

const headers = (cookie: string) => ({ 'content-type': 'application/json', origin: server.url, cookie });
// Sign-ups are counted per hour; people are put there as the library would, and sign in once.
async function walkers(count: number): Promise<Walker[]> {
  const all: Walker[] = [];
  for (let n = 0; n < count; n += 1) {
    await pool.query('delete from "rateLimit"');
    const response = await fetch(`${server.url}/api/v1/auth/sign-up/email`, {
      method: 'POST',
      headers: headers(''),
      body: JSON.stringify({
        name: `Walker ${n}`,
        email: `w${randomUUID()}@ostrel.example`,
        password: 'a long enough password',
      }),
    });
    const cookie = (response.headers.getSetCookie()[0] ?? '').split(';')[0] ?? '';
    all.push({ id: ((await response.json()) as { user: { id: string } }).user.id, cookie });
  }
  return all;
}

/** Costs a device as little as can be: what is measured is the server. */
const sent = (path: string, cookie: string, body: string) =>
  new Promise<string>((resolve, reject) => {
    const asking = request(
      `${server.url}${path}`,
      { agent, method: 'POST', headers: { ...headers(cookie), 'content-length': Buffer.byteLength(body) } },
      (response) => {
        let text = '';
        response
          .setEncoding('utf8')
          .on('data', (part: string) => {
            text += part;
          })
          .on('end', () => resolve(text));
      },
    );
    asking.on('error', reject).end(body);
  });
const push = async (walker: Walker, entries: readonly unknown[]) => {
  const { results } = JSON.parse(
    await sent('/api/v1/sync/push', walker.cookie, JSON.stringify({ entries })),
  ) as { results: { status: string }[] };
  if (results.some(({ status }) => status !== 'added'))
    throw new Error(JSON.stringify(results.find(({ status }) => status !== 'added')));
};

/** Entries as a device makes them: a few of a find in one batch. */
function batches(walker: Walker, count: number): object[][] {
  return Array.from({ length: Math.ceil(count / BATCH) }, (_, n) => {
    const [find, piece] = [randomUUID(), randomUUID()];
    const entry = (kind: string, body: object, i: number) => ({
      find,
      kind,
      stamp: `${at(n * BATCH + i)}-0000-bench`,
      body,
    });
    return [
      entry('finds', { id: find, startedAt: at(n * BATCH), kingdom: 'Fungi', person: walker.id }, 0),
      entry('pieces', { id: piece, at: at(n * BATCH), purpose: 'decide' }, 1),
      ...Array.from({ length: BATCH - 2 }, (__, i) =>
        entry(
          'readings',
          {
            id: randomUUID(),
            piece,
            character: 'cap.shape',
            value: { kind: 'states', states: ['funnel'] },
            sureness: 'sure',
            by: walker.id,
            at: at(n * BATCH + i),
          },
          i + 2,
        ),
      ),
    ];
  });
}

async function ours(people: readonly Walker[]): Promise<number> {
  const all = people.map((walker) => batches(walker, Math.floor(ENTRIES / people.length)));
  const began = performance.now();
  await Promise.all(
    people.map(async (walker, n) => {
      for (const batch of all[n] ?? []) await push(walker, batch);
    }),
  );
  return all.flat(2).length / ((performance.now() - began) / 1000);
}

const ALONE = 250;
/** As people tell them: one entry a request, each device of a find of its own. @returns entries a second */
async function alone(people: readonly Walker[]): Promise<number> {
  const all = people.map((walker) => batches(walker, BATCH * Math.ceil(ALONE / (BATCH - 2))));
  // The find and its piece are there before the clock starts.
  await Promise.all(
    people.map(async (walker, n) => {
      for (const batch of all[n] ?? []) await push(walker, batch.slice(0, 2));
    }),
  );
  const singles = all.map((mine) => mine.flatMap((batch) => batch.slice(2)).slice(0, ALONE));
  const began = performance.now();
  await Promise.all(
    people.map(async (walker, n) => {
      for (const one of singles[n] ?? []) await push(walker, [one]);
    }),
  );
  return singles.flat().length / ((performance.now() - began) / 1000);
}

/**
 * The same rows, ready made, into the same table with the same indexes; as many at once as the server's own
 * pool allows.
 */
async function raw(devices: number): Promise<number> {
  await pool.query(`create table if not exists raw_entries (like entries including all)`);
  await pool.query('truncate raw_entries');
  const { rows } = await pool.query<Record<string, string>>(
    'select stream, seq, kind, id, find_id, person, stamp, body::text as body, content_hash from entries ' +
      'order by received_at desc limit $1',
    [ENTRIES],
  );
  const part = Math.ceil(rows.length / devices);
  const began = performance.now();
  await Promise.all(
    Array.from({ length: devices }, async (_, n) => {
      const mine = rows.slice(n * part, (n + 1) * part);
      for (let from = 0; from < mine.length; from += BATCH) {
        const batch = mine.slice(from, from + BATCH);
        const column = (name: string) => batch.map((row) => row[name]);
        await pool.query(
          `insert into raw_entries (stream, seq, kind, id, find_id, person, stamp, body, content_hash, form)
        select *, 1 from unnest($1::text[], $2::bigint[], $3::text[], $4::text[], $5::text[], $6::text[],
$7::text[], $8::jsonb[], $9::text[])`,
          ['stream', 'seq', 'kind', 'id', 'find_id', 'person', 'stamp', 'body', 'content_hash'].map(column),
        );
      }
    }),
  );
  const rate = rows.length / ((performance.now() - began) / 1000);
  return rate;
}

const people = await walkers(50);
await ours(people.slice(0, 1));
await alone(people.slice(0, 4));
// As autovacuum does within a minute of a server's first use: plans made for empty tables are poor.
await pool.query('vacuum analyze');
const lines: { devices: number; ours: number; raw: number }[] = [];
for (const devices of [1, 5, 10, 25, 50]) {
  const line = { devices, ours: await ours(people.slice(0, devices)), raw: await raw(devices) };
  lines.push(line);
  process.stdout.write(
    `${devices} devices: ${Math.round(line.ours)} entries a second, raw ${Math.round(line.raw)}, ratio ` +
      `${(line.raw / line.ours).toFixed(1)}\n`,
  );
}

const singly: { devices: number; rate: number }[] = [];
for (const devices of [1, 4, 16]) {
  const line = { devices, rate: await alone(people.slice(0, devices)) };
  singly.push(line);
  process.stdout.write(
    `${devices} devices, one entry a request: ${Math.round(line.rate)} entries a second\n`,
  );
}

const [first, last] = [lines[0], lines.at(-1)];
await writePage(
  'sync',
  `# How fast a notebook is taken

Measured on ${new Date().toISOString().slice(0, 10)} by \`npm run bench:sync\` on ${cpus().length} cores
(${cpus()[0]?.model ?? ''}), server, database and devices on the same machine, each a process of its own.
${ENTRIES} entries a line, ${BATCH} in a request; each device sends one request after the other.

*Through the server* is all of it: HTTP and JSON, the session, every entry parsed, checked against what is
on record of its find, hashed, numbered and stored in one transaction with its stream held.
*Raw* is the same rows, ready made, inserted ${BATCH} at a time into a table with the same indexes in the
same PostgreSQL, over as many connections as the server has (${POOL}).

| devices at once | entries a second through the server | raw | raw is faster by |
|---|---|---|---|
${lines
  .map(
    (line) =>
      `| ${line.devices} | ${Math.round(line.ours)} | ${Math.round(line.raw)} | ` +
      `${(line.raw / line.ours).toFixed(1)} |`,
  )
  .join('\n')}

## One entry at a time

As people tell them: each device sends one entry in a request, of a find of its own, and waits for the
answer. What several tell at the same moment is written together, in one transaction.

| devices at once | entries a second |
|---|---|
${singly.map((line) => `| ${line.devices} | ${Math.round(line.rate)} |`).join('\n')}

## What it comes to

From 1 to 50 devices the server takes ${((last?.ours ?? 0) / (first?.ours ?? 1)).toFixed(1)} times as much,
raw inserts ${((last?.raw ?? 0) / (first?.raw ?? 1)).toFixed(1)} times. A person tells an entry every few
seconds: one such server is enough for thousands at once.
`,
);
agent.destroy();
await pool.end();
await server.close();
process.exit(0);
