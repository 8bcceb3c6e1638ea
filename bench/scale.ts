import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { Agent, request, type IncomingMessage } from 'node:http';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import pg from 'pg';
import { openWorld } from './faults/world';
import { writePage } from './page';
import { databasePids, used, memory } from './processes';
import { report, type Cost } from './scaleReport';

/**
 * What one server process and the database spend on a push, a pull and a piece of news, with three processes
 * on one database; and what that comes to for very many people, reckoned. Writes docs/scale.md.
 */

const SERVERS = 3;
const PEOPLE = 40;
const ROUNDS = 25;
const FOLLOWERS = 300;

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

const {
  rows: [size],
} = await pool.query<{ bytes: number; entries: number }>(
  'select (select sum(pg_total_relation_size(inhrelid)) from pg_inherits where inhparent = ' +
    "'entries'::regclass)::float8 + pg_total_relation_size('entry_ids')::float8 as bytes, (select count(*) from " +
    'entries)::float8 as entries',
);
await writePage(
  'scale',
  report({
    servers: SERVERS,
    people: PEOPLE,
    single,
    batch,
    pull,
    newsServer,
    delivered,
    streams,
    idle,
    perEntry: (size?.bytes ?? 0) / (size?.entries ?? 1),
  }),
);
process.stdout.write(readFileSync(join(import.meta.dirname, '../docs/scale.md'), 'utf8'));
agent.destroy();
await pool.end();
await world.close();
process.exit(0);
