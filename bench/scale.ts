import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { Agent, request, type IncomingMessage } from 'node:http';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { openWorld } from './faults/world';

/**
 * What one server process and the database spend on a push, a pull and a piece of news, with three processes
 * on one database; and what that comes to for very many people, reckoned. Writes docs/scale.md.
 */

const SERVERS = 3;
const PEOPLE = 40;
const ROUNDS = 25;
const FOLLOWERS = 300;
const TICKS_A_SECOND = 100;

const world = await openWorld(SERVERS);
const pool = new pg.Pool({ connectionString: world.databaseUrl, max: 4 });
const agent = new Agent({ keepAlive: true, maxSockets: 400 });

interface Person {
  readonly id: string;
  readonly cookie: string;
  readonly url: string;
  readonly find: string;
  readonly piece: string;
  stamp: number;
}
function send(
  url: string,
  method: string,
  path: string,
  cookie: string,
  body?: unknown,
): Promise<{ readonly status: number; readonly text: string; readonly response: IncomingMessage }> {
  const json = body === undefined ? undefined : JSON.stringify(body);
  return new Promise((resolve, reject) => {
    const asking = request(
      `${url}/api/v1${path}`,
      {
        agent,
        method,
        headers: {
          origin: url,
          cookie,
          ...(json === undefined
            ? {}
            : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(json) }),
        },
      },
      (response) => {
        let text = '';
        response
          .setEncoding('utf8')
          .on('data', (part: string) => {
            text += part;
          })
          .on('end', () => resolve({ status: response.statusCode ?? 0, text, response }));
      },
    );
    asking.on('error', reject).end(json);
  });
}
const at = () => new Date().toISOString();

async function newPerson(n: number): Promise<Person> {
  const url = world.urls[n % SERVERS] ?? '';
  await pool.query('delete from "rateLimit"');
  const { text, response } = await send(url, 'POST', '/auth/sign-up/email', '', {
    name: `Walker ${n}`,
    email: `w${n}@ostrel.example`,
    password: 'walks along the weir',
  });
  const cookie = (response.headers['set-cookie']?.[0] ?? '').split(';')[0] ?? '';
  return {
    id: (JSON.parse(text) as { user: { id: string } }).user.id,
    cookie,
    url,
    find: randomUUID(),
    piece: randomUUID(),
    stamp: 0,
  };
}
const entry = (person: Person, kind: string, body: object) => ({ find: person.find, kind, body });
const reading = (person: Person) =>
  entry(person, 'readings', {
    id: randomUUID(),
    piece: person.piece,
    character: 'cap.shape',
    value: { kind: 'states', states: ['funnel'] },
    sureness: 'sure',
    by: person.id,
    at: at(),
  });
const note = (person: Person) =>
  entry(person, 'edits', {
    id: randomUUID(),
    at: at(),
    by: person.id,
    field: 'note',
    value: 'Below the weir, two of them, a little eaten.',
  });
async function push(person: Person, entries: readonly object[]): Promise<void> {
  const { status, text } = await send(person.url, 'POST', '/sync/push', person.cookie, { entries });
  if (status !== 200 || text.includes('"refused"')) throw new Error(`${status} ${text.slice(0, 300)}`);
}

/** Processor time that a process has used, in milliseconds (proc(5): fields 14 and 15). */
function used(pid: number): number {
  try {
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8')
      .replace(/^.*\) /s, '')
      .split(' ');
    return ((Number(fields[11]) + Number(fields[12])) / TICKS_A_SECOND) * 1000;
  } catch {
    return 0;
  }
}
const memory = (pid: number) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
const databasePids = () =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .filter((pid) => {
      try {
        return readFileSync(`/proc/${pid}/comm`, 'utf8').trim() === 'postgres';
      } catch {
        return false;
      }
    });
interface Cost {
  readonly server: number;
  readonly database: number;
  readonly aSecond: number;
}
/** What one of so many of something costs, in milliseconds of processor time. */
async function cost(count: number, work: () => Promise<unknown>): Promise<Cost> {
  const before = databasePids();
  const [servers, database, began] = [
    world.pids().map(used),
    new Map(before.map((pid) => [pid, used(pid)])),
    performance.now(),
  ];
  await work();
  const seconds = (performance.now() - began) / 1000;
  const server = world.pids().reduce((sum, pid, n) => sum + used(pid) - (servers[n] ?? 0), 0) / count;
  const base = databasePids().reduce((sum, pid) => sum + used(pid) - (database.get(pid) ?? 0), 0) / count;
  return { server, database: base, aSecond: count / seconds };
}
const each = (work: (person: Person) => Promise<unknown>) =>
  Promise.all(
    people.map(async (person) => {
      for (let n = 0; n < ROUNDS; n += 1) await work(person);
    }),
  );

const people: Person[] = [];
for (let n = 0; n < PEOPLE; n += 1) people.push(await newPerson(n));
for (const person of people)
  await push(person, [
    entry(person, 'finds', { id: person.find, startedAt: at(), kingdom: 'Fungi', person: person.id }),
    entry(person, 'pieces', { id: person.piece, at: at(), purpose: 'decide' }),
  ]);
await each((person) => push(person, [note(person)]));

const single = await cost(PEOPLE * ROUNDS, () => each((person) => push(person, [note(person)])));
const batch = await cost(PEOPLE * 5, () =>
  Promise.all(
    people.map(async (person) => {
      for (let n = 0; n < 5; n += 1)
        await push(
          person,
          Array.from({ length: 20 }, () => reading(person)),
        );
    }),
  ),
);
const pull = await cost(PEOPLE * ROUNDS, () =>
  each(async (person) => {
    person.stamp += 1;
    await send(
      person.url,
      'GET',
      `/sync/pull?stream=p:${person.id}&after=${person.stamp}&most=1`,
      person.cookie,
    );
  }),
);

// Followers: devices with Pause open, each of which hears of what one person tells in their own notebook.
const teller = people[0] as Person;
const idle = world.pids().map(memory);
let heard = 0;
const open = await Promise.all(
  Array.from(
    { length: FOLLOWERS },
    (_, n) =>
      new Promise<ReturnType<typeof request>>((resolve, reject) => {
        const person = n % 10 === 0 ? teller : (people[1 + (n % (PEOPLE - 1))] as Person);
        const following = request(
          `${world.urls[n % SERVERS] ?? ''}/api/v1/sync/events`,
          { headers: { cookie: person.cookie } },
          (response) => {
            response.on('data', (part: Buffer) => {
              heard += part.toString('utf8').split('event: grew').length - 1;
            });
            resolve(following);
          },
        );
        following.on('error', reject).end();
      }),
  ),
);
await pause(500);
const streams =
  (world
    .pids()
    .map(memory)
    .reduce((sum, now, n) => sum + now - (idle[n] ?? 0), 0) *
    1024) /
  FOLLOWERS;
const before = heard;
const news = await cost(1, async () => {
  for (let n = 0; n < 200; n += 1) await push(teller, [note(teller)]);
  await pause(500);
});
const delivered = heard - before;
for (const one of open) one.destroy();
/** Of the news alone: what the pushes cost is taken off. */
const newsServer = Math.max(0, news.server - 200 * single.server) / delivered;

const PERSONS = 100_000;
const GROUPS = 5000;
const OUT = 0.02;
const OPEN = 0.2;
const SECONDS_AN_ENTRY = 5;
const CHECKED_IN_GROUP = 0.5;
const pushes = (PERSONS * OUT) / SECONDS_AN_ENTRY;
const heardBy = 1 + CHECKED_IN_GROUP * (PERSONS / GROUPS) * OPEN;
const pulls = pushes * heardBy;
const serverMs = pushes * single.server + pulls * (pull.server + newsServer);
const databaseMs = pushes * single.database + pulls * pull.database;
const BUSY = 0.6;
const processes = Math.ceil(serverMs / 1000 / BUSY);
const cores = Math.ceil(databaseMs / 1000 / BUSY);
const {
  rows: [size],
} = await pool.query<{ bytes: number; entries: number }>(
  "select (select sum(pg_total_relation_size(inhrelid)) from pg_inherits where inhparent = 'entries'::regclass)::float8 + pg_total_relation_size('entry_ids')::float8 as bytes, (select count(*) from entries)::float8 as entries",
);
const perEntry = (size?.bytes ?? 0) / (size?.entries ?? 1);
const ENTRIES_A_YEAR = 40 * 40;
const yearly = (PERSONS * ENTRIES_A_YEAR * perEntry) / 1e9;
const f = (value: number, digits = 1) => value.toFixed(digits);
const n = (value: number) => Math.round(value).toLocaleString('en');

writeFileSync(
  join(import.meta.dirname, '../docs/scale.md'),
  `# How far it goes

Measured on ${new Date().toISOString().slice(0, 10)} by \`npm run bench:scale\`: ${SERVERS} server processes on one PostgreSQL, ${PEOPLE} devices, all on one machine with ${cpus().length} cores (${cpus()[0]?.model ?? ''}). Processor time is what the system says that each process used.

## Any number of processes

A server keeps nothing in memory that another would miss. Sessions and memberships are remembered for seconds, and forgotten at once when PostgreSQL tells that something changed. News go through PostgreSQL (\`LISTEN\`, \`NOTIFY\`), limits through a table, work through a queue in the database. So a balancer may deal requests out as it likes; \`e2e/test/servers.test.ts\` proves it with three processes behind one, one of which is killed.

## What things cost

| | server, ms of a core | database, ms of a core | a second, here |
|---|---|---|---|
| a push of one entry | ${f(single.server, 2)} | ${f(single.database, 2)} | ${n(single.aSecond)} |
| a push of twenty entries | ${f(batch.server, 2)} | ${f(batch.database, 2)} | ${n(batch.aSecond)} |
| a pull of one entry | ${f(pull.server, 2)} | ${f(pull.database, 2)} | ${n(pull.aSecond)} |
| a piece of news to one open device | ${f(newsServer, 3)} | | |

A process needs ${n(idle.reduce((a, b) => a + b, 0) / SERVERS)} MB at rest, and ${n(Math.max(0, streams))} kB more for each open device. ${n(delivered)} pieces of news were delivered.

## Reckoned: ${n(PERSONS)} people in ${n(GROUPS)} groups

On a good Sunday in autumn ${OUT * 100} % are checking at the same time and tell an entry every ${SECONDS_AN_ENTRY} seconds; ${OPEN * 100} % have Pause open; half of what is told is told in a group of ${PERSONS / GROUPS}. These are assumptions, not measurements.

| | |
|---|---|
| pushes a second | ${n(pushes)} |
| news and pulls a second | ${n(pulls)} |
| open devices | ${n(PERSONS * OPEN)} |
| server processes, each ${BUSY * 100} % busy | ${processes} |
| cores of the database, ${BUSY * 100} % busy | ${cores} |
| connections to the database, ten for requests and ten others a process | ${n(processes * 20)} |
| entries a year, at 40 finds of 40 entries | ${n(PERSONS * ENTRIES_A_YEAR)} |
| size of the entries with their indexes, at ${n(perEntry)} bytes | ${n(yearly)} GB a year |

## What breaks first

1. **Connections.** PostgreSQL allows 100 unless told otherwise. Raise \`max_connections\`, or lower \`POOL\`: a process is busy with fewer than ten.
2. **One very busy notebook.** Entries of one notebook are numbered one after the other, by one writer at a time. What several tell at the same moment is written together, so one group takes about as much as one process does. No group tells that much.
3. **News.** Every process hears of every notebook that grows: ${n(pushes)} short messages a second, which is little. From about ten times as many people on, news should go only where somebody listens.
4. **The disk of the database.** Entries lie in sixteen partitions by notebook. What id was used where is one table, which is never scanned. Photos belong into an object store (\`S3_BUCKET\`) long before that: a photo is a hundred times as large as an entry.
`,
);
process.stdout.write(readFileSync(join(import.meta.dirname, '../docs/scale.md'), 'utf8'));
agent.destroy();
await pool.end();
await world.close();
process.exit(0);
