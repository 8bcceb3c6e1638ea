import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'kysely';
import pg from 'pg';
import { compileGuide, decide } from '@pause/core';
import { parseCase } from '@pause/core/case/parse';
import { shippedGuide } from '@pause/guide';
import { startServer } from '@pause/server';
import { openCluster } from '../scripts/lib/postgres';
import { asking, PASSWORD, someone, type Someone } from '../server/test/people';
import { note, newFind, ago } from './attackEntries';
import { counts, ms, writeReport, type Line } from './attackReport';
import { milliseconds, median } from './timing';

/**
 * A hostile member and a stranger do what they can to a server of their own, on loopback, within bounds; how
 * somebody else fares meanwhile is measured. Writes the table in docs/security.md.
 */

const NOTES = 10_000;
const guide = compileGuide(shippedGuide());
const scratch = mkdtempSync(join(tmpdir(), 'pause-attack-'));
chmodSync(scratch, 0o755);
const cluster = await openCluster(join(scratch, 'postgres'));
const server = await startServer({
  databaseUrl: cluster.url,
  port: 0,
  demo: false,
  logLevel: 'silent',
  proxies: 1,
});

const { ask, tell } = asking(() => server.url);
const [mallory, honest] = [await someone(server.url, 'Mallory'), await someone(server.url, 'Hanna Honest')];
const group = randomUUID();
await ask(honest, 'POST', '/groups', { id: group, name: 'The Karrow walkers' });
await ask(mallory, 'POST', '/invitations/accept', {
  code: (await ask(honest, 'POST', `/groups/${group}/invitations`, { role: 'member', days: 1 })).body.code,
});

/** The longest that somebody else waited for an entry of theirs while something went on. */
async function meanwhile(attack: Promise<unknown>): Promise<number> {
  const { find } = await begun(honest);
  const state = { going: true };
  void attack.finally(() => {
    state.going = false;
  });
  let longest = 0;
  while (state.going) {
    longest = Math.max(longest, await milliseconds(() => tell(honest, note(find, honest))));
    await new Promise((resolve) => {
      setTimeout(resolve, 20);
    });
  }
  return longest;
}

async function begun(who: Someone, more: object = {}): Promise<{ find: string }> {
  const entry = newFind(who, more);
  await tell(who, entry);
  return { find: entry.find };
}

const lines: Line[] = [];
async function attacked(attack: string, work: () => Promise<string>): Promise<void> {
  const going = work();
  const others = await meanwhile(going);
  lines.push({ attack, came: await going, others: ms(others) });
  process.stdout.write(`${attack}: ${lines.at(-1)?.came ?? ''}; others at most ${ms(others)}\n`);
}

await attacked('Stamps that tell no time, decisions dated year 9999, in the group’s notebook', async () => {
  const { find } = await begun(mallory, { group });
  const answer = await tell(mallory, note(find, mallory, 'x', { stamp: '9999-99-99T99:99:99.999Z-0000-x' }), {
    ...note(find, mallory),
    body: { ...note(find, mallory).body, at: '9999-12-31T23:59:59.999Z' },
  });
  return counts(answer);
});

await attacked('620 verdicts, each filled with 980 kB', async () => {
  const { find } = await begun(mallory);
  const verdict = decide(
    guide,
    parseCase(
      {
        guide: { id: guide.guide.id },
        kingdom: 'Fungi',
        target: 'boletus-edulis',
        pieces: [{ id: 'p', startedAt: ago(60), purpose: 'decide' }],
        readings: [],
        context: {},
      },
      guide,
    ),
  );
  const statuses: (string | number)[] = [];
  for (let n = 0; n < 620; n += 1)
    statuses.push(
      (
        await tell(mallory, {
          find,
          kind: 'verdicts',
          body: { id: randomUUID(), at: ago(9), verdict: { ...verdict, junk: 'x'.repeat(980_000) } },
        })
      )[0] ?? 0,
    );
  return counts(statuses);
});

let ratio = '';
await attacked(`${NOTES.toLocaleString('en')} notes on one find`, async () => {
  const { find } = await begun(mallory, { group });
  const statuses: string[] = [];
  for (let n = 0; n < NOTES + 500; n += 500)
    statuses.push(...(await tell(mallory, ...Array.from({ length: 500 }, () => note(find, mallory)))));
  const empty = await begun(honest, { group });
  await median(() => tell(honest, note(empty.find, honest)), 5);
  const [onto, ontoEmpty] = [
    await median(() => tell(honest, note(find, honest))),
    await median(() => tell(honest, note(empty.find, honest))),
  ];
  ratio =
    `one more by somebody else takes ${onto.toFixed(1)} ms, onto a new find ${ontoEmpty.toFixed(1)} ` +
    `ms: ${(onto / ontoEmpty).toFixed(1)} times`;
  return (
    `${counts(statuses)}; ${ratio}; reading it ` +
    ms(await milliseconds(() => ask(honest, 'GET', `/finds/${find}`)))
  );
});

await attacked('Twelve bodies of 450 MB at the doors of accounts', async () => {
  const before = process.memoryUsage().rss;
  const one = () =>
    new Promise<string>((resolve) => {
      const sending = request(
        `${server.url}/api/v1/auth/sign-in/email`,
        {
          method: 'POST',
          headers: { 'content-type': 'application/json', 'content-length': 450_000_000, origin: server.url },
        },
        (response) => {
          response.resume();
          resolve(String(response.statusCode));
          sending.destroy();
        },
      );
      sending.on('error', () => resolve('cut'));
      const chunk = Buffer.alloc(1_000_000, 'x');
      const more = () => {
        while (!sending.destroyed && sending.write(chunk));
      };
      sending.on('drain', more);
      more();
    });
  const statuses = await Promise.all(Array.from({ length: 12 }, one));
  return (
    `${counts(statuses)}; memory grew by ` +
    `${Math.max(0, Math.round((process.memoryUsage().rss - before) / 1e6))} MB`
  );
});

await attacked('Half a character, a zero byte and a date in year 0 among good entries', async () => {
  const { find } = await begun(mallory);
  return counts(
    await tell(
      mallory,
      note(find, mallory, '🍄'.slice(0, 1)),
      note(find, mallory, 'a\0b'),
      { ...note(find, mallory), body: { ...note(find, mallory).body, at: '0000-01-01T00:00:00.000Z' } },
      note(find, mallory),
    ),
  );
});

await attacked('The lock of one notebook held for five seconds, fifteen pushes onto it', async () => {
  const client = new pg.Client({ connectionString: cluster.url });
  await begun(mallory);
  await client.connect();
  await client.query('begin');
  await client.query('select * from streams where id = $1 for update', [`p:${mallory.id}`]);
  const waiting = Promise.all(Array.from({ length: 15 }, () => tell(mallory, newFind(mallory))));
  await new Promise((resolve) => {
    setTimeout(resolve, 5000);
  });
  await client.query('commit');
  await client.end();
  return `${counts((await waiting).flat())} when it was let go`;
});

await attacked('300 passwords tried at one account, from 30 addresses', async () => {
  const statuses: number[] = [];
  for (let n = 0; n < 300; n += 1)
    statuses.push(
      (
        await fetch(`${server.url}/api/v1/auth/sign-in/email`, {
          method: 'POST',
          headers: {
            'content-type': 'application/json',
            origin: server.url,
            'x-forwarded-for': `10.0.0.${n % 30}`,
          },
          body: JSON.stringify({ email: 'hannahonest@ostrel.example', password: `${PASSWORD}${n}` }),
        })
      ).status,
    );
  return counts(statuses);
});

await attacked('A thousand groups in one account, then twenty times all of them', async () => {
  const statuses: number[] = [];
  for (let n = 0; n < 1000; n += 1)
    statuses.push((await ask(mallory, 'POST', '/groups', { id: randomUUID(), name: `Group ${n}` })).status);
  return (
    `${counts(statuses)}; twenty times \`/me\` ` +
    ms(await milliseconds(() => Promise.all(Array.from({ length: 20 }, () => ask(mallory, 'GET', '/me')))))
  );
});

await attacked('500 pushes of 500 nonsense entries at once', async () => {
  const statuses = await Promise.all(
    Array.from(
      { length: 500 },
      async () =>
        (await ask(mallory, 'POST', '/sync/push', { entries: Array(500).fill({ find: 'x' }) })).status,
    ),
  );
  return counts(statuses);
});

const alive = await milliseconds(() =>
  fetch(`${server.url}/api/v1/ready`).then(({ status }) => {
    if (status !== 200) throw new Error(`not ready: ${status}`);
  }),
);

const {
  rows: [kept],
} = await sql<{ count: string }>`select count(*) as count from entries
  where stream = ${`g:${group}`} and person = ${honest.id}`.execute(server.db);
writeReport(lines, alive, kept?.count ?? '0');
await server.stop();
await cluster.stop();
rmSync(scratch, { recursive: true, force: true });
process.exit(0);
