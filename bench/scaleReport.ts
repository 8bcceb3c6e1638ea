import { cpus } from 'node:os';

/** The report of `npm run bench:scale`. */

/** What something cost, and how often it can be done in a second. */
export interface Cost {
  readonly server: number;
  readonly database: number;
  readonly aSecond: number;
}

export interface Measured {
  readonly servers: number;
  readonly people: number;
  readonly single: Cost;
  readonly batch: Cost;
  readonly pull: Cost;
  /** ms of a core for one piece of news to one open device. */
  readonly newsServer: number;
  readonly delivered: number;
  /** kB of memory for each open device. */
  readonly streams: number;
  /** MB of each process at rest. */
  readonly idle: readonly number[];
  /** Bytes of an entry with its indexes. */
  readonly perEntry: number;
}

const PERSONS = 100_000;
const GROUPS = 5000;
const OUT = 0.02;
const OPEN = 0.2;
const SECONDS_AN_ENTRY = 5;
const CHECKED_IN_GROUP = 0.5;
const BUSY = 0.6;
const ENTRIES_A_YEAR = 40 * 40;
const f = (value: number, digits = 1) => value.toFixed(digits);
const n = (value: number) => Math.round(value).toLocaleString('en');

export function report({
  servers,
  people,
  single,
  batch,
  pull,
  newsServer,
  delivered,
  streams,
  idle,
  perEntry,
}: Measured): string {
  const pushes = (PERSONS * OUT) / SECONDS_AN_ENTRY;
  const heardBy = 1 + CHECKED_IN_GROUP * (PERSONS / GROUPS) * OPEN;
  const pulls = pushes * heardBy;
  const serverMs = pushes * single.server + pulls * (pull.server + newsServer);
  const databaseMs = pushes * single.database + pulls * pull.database;
  const processes = Math.ceil(serverMs / 1000 / BUSY);
  const cores = Math.ceil(databaseMs / 1000 / BUSY);
  const yearly = (PERSONS * ENTRIES_A_YEAR * perEntry) / 1e9;
  return `# How far it goes

Measured on ${new Date().toISOString().slice(0, 10)} by \`npm run bench:scale\`: ${servers} server
processes on one PostgreSQL, ${people} devices, all on one machine with ${cpus().length} cores
(${cpus()[0]?.model ?? ''}). Processor time is what the system says that each process used.

## Any number of processes

A server keeps nothing in memory that another would miss. Sessions and memberships are remembered for
seconds, and forgotten at once when PostgreSQL tells that something changed. News go through PostgreSQL
(\`LISTEN\`, \`NOTIFY\`), limits through a table, work through a queue in the database. So a balancer may
deal requests out as it likes; \`e2e/test/servers.test.ts\` proves it with three processes behind one, one
of which is killed.

## What things cost

| | server, ms of a core | database, ms of a core | a second, here |
|---|---|---|---|
| a push of one entry | ${f(single.server, 2)} | ${f(single.database, 2)} | ${n(single.aSecond)} |
| a push of twenty entries | ${f(batch.server, 2)} | ${f(batch.database, 2)} | ${n(batch.aSecond)} |
| a pull of one entry | ${f(pull.server, 2)} | ${f(pull.database, 2)} | ${n(pull.aSecond)} |
| a piece of news to one open device | ${f(newsServer, 3)} | | |

A process needs ${n(idle.reduce((a, b) => a + b, 0) / servers)} MB at rest, and ${n(Math.max(0, streams))}
kB more for each open device. ${n(delivered)} pieces of news were delivered.

## Reckoned: ${n(PERSONS)} people in ${n(GROUPS)} groups

On a good Sunday in autumn ${OUT * 100} % are checking at the same time and tell an entry every
${SECONDS_AN_ENTRY} seconds; ${OPEN * 100} % have Pause open; half of the entries are made in a group of
${PERSONS / GROUPS}. These are assumptions, not measurements.

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

1. **Connections.** PostgreSQL allows 100 unless configured otherwise. Raise \`max_connections\`, or lower
\`POOL\`: a process is busy with fewer than ten.
2. **One very busy notebook.** Entries of one notebook are numbered one after the other, by one writer at a
time. What several tell at the same moment is written together, so one group takes about as much as one
process does. No group tells that much.
3. **News.** Every process hears of every notebook that grows: ${n(pushes)} short messages a second, which
is little. From about ten times as many people on, news should go only where somebody listens.
4. **The disk of the database.** Entries lie in sixteen partitions by notebook. What id was used where is
one table, which is never scanned. Photos belong into an object store (\`S3_BUCKET\`) long before that: a
photo is a hundred times as large as an entry.
`;
}
